import type { ProfileStep } from '@frank-gauge/core/analysis';
import { isFittingKind } from '@frank-gauge/core/catalogue';

/** Parts of a run, besides its fittings, that share a step on the ladder, under the first one's name. */
const SMALL = new Set<ProfileStep['kind']>(['reducer', 'straight', 'branch']);

/** A part that takes less than this share of the blower's pressure may share a step. */
const LITTLE = 0.03;

const joined = (
  first: ProfileStep,
  second: ProfileStep,
  kind: ProfileStep['kind'],
): ProfileStep => ({
  ...first,
  kind,
  loss: first.loss + second.loss,
  staticAfter: second.staticAfter,
  totalAfter: second.totalAfter,
});

/**
 * The ladder with its least steps put together with the pipe they belong to, so that what matters
 * can be read: pressures at the ends and the sum of losses stay as they are.
 */
export function gather(steps: readonly ProfileStep[]): ProfileStep[] {
  const rise = steps.reduce((sum, step) => (step.kind === 'blower' ? sum - step.loss : sum), 0);
  const isSmall = ({ kind }: ProfileStep) => SMALL.has(kind) || isFittingKind(kind);
  const isLittle = (step: ProfileStep) => isSmall(step) && Math.abs(step.loss) < LITTLE * rise;
  const gathered: ProfileStep[] = [];
  for (const step of steps) {
    const last = gathered.at(-1);
    if (last && last.run === step.run && isLittle(step)) {
      gathered[gathered.length - 1] = joined(last, step, last.kind);
    } else {
      gathered.push(step);
    }
  }
  return gathered;
}
