import type { ProfileStep } from '@frank-gauge/core/analysis';
import type { DuctTree } from '@frank-gauge/core/design';
import { SEPARATOR_RUN } from '@frank-gauge/core/network';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { partWord } from '@/words/part-words';

/** What stands under a step: the part, and the measure that matters about it. */
export function stepLabel(step: ProfileStep, tree: DuctTree, system: UnitSystem): string[] {
  const run = tree.upstreamFirst.find(({ id }) => id === step.run);
  const length = (value: number) => formatShort(value, 'length', system);
  const diameter = (value: number) => formatShort(value, 'diameter', system);
  const word = partWord(step.kind, step.name);
  if (step.run === SEPARATOR_RUN && step.kind === 'inlet') return ['Elbow', 'at inlet'];
  if (step.run === SEPARATOR_RUN && step.kind !== 'separator') return ['Collector', 'inlet'];
  if (step.kind === 'pipe' && run?.length) return [diameter(run.diameter), length(run.length)];
  if (step.kind === 'hose' && run?.hose) return [word, length(run.hose.length)];
  if (step.kind === 'exhaust') return word.split(' ');
  if (step.kind === 'elbow' && run) {
    const bends = run.fittings.reduce((sum, fitting) => sum + fitting.count, 0);
    return [bends > 1 ? `${bends} elbows` : 'Elbow'];
  }
  return word.split(', ');
}
