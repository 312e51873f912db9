import type { Rung } from '@frank-gauge/core/analysis';
import type { DuctTree } from '@frank-gauge/core/design';
import { SEPARATOR_RUN } from '@frank-gauge/core/network';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { partWord } from '@/words/part-words';

/** What stands under a step: the part, and the measure that matters about it. */
export function rungLabel(rung: Rung, tree: DuctTree, system: UnitSystem): string[] {
  const run = tree.upstreamFirst.find(({ id }) => id === rung.run);
  const length = (value: number) => formatShort(value, 'length', system);
  const diameter = (value: number) => formatShort(value, 'diameter', system);
  const word = partWord(rung.kind, rung.name);
  if (rung.run === SEPARATOR_RUN && rung.kind === 'inlet') return ['Elbow', 'at inlet'];
  if (rung.run === SEPARATOR_RUN && rung.kind !== 'separator') return ['Collector', 'inlet'];
  if (rung.kind === 'pipe' && run?.length) return [diameter(run.diameter), length(run.length)];
  if (rung.kind === 'hose' && run?.hose) return [word, length(run.hose.length)];
  if (rung.kind === 'exhaust') return word.split(' ');
  if (rung.kind === 'elbow' && run) {
    const bends = run.fittings.reduce((sum, fitting) => sum + fitting.count, 0);
    return [bends > 1 ? `${bends} elbows` : 'Elbow'];
  }
  return word.split(', ');
}
