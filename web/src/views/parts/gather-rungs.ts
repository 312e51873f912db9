import type { Rung } from '@frank-gauge/core/analysis';
import { isFittingKind } from '@frank-gauge/core/catalogue';

/** Parts of a run, besides its fittings, that share a step on the ladder, under the first one's name. */
const SMALL = new Set<Rung['kind']>(['reducer', 'straight', 'branch']);

/** A part that takes less than this share of the blower's pressure may share a step. */
const LITTLE = 0.03;

const joined = (first: Rung, second: Rung, kind: Rung['kind']): Rung => ({
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
export function gather(rungs: readonly Rung[]): Rung[] {
  const rise = rungs.reduce((sum, rung) => (rung.kind === 'blower' ? sum - rung.loss : sum), 0);
  const isSmall = ({ kind }: Rung) => SMALL.has(kind) || isFittingKind(kind);
  const isLittle = (rung: Rung) => isSmall(rung) && Math.abs(rung.loss) < LITTLE * rise;
  const gathered: Rung[] = [];
  for (const rung of rungs) {
    const last = gathered.at(-1);
    if (last && last.run === rung.run && isLittle(rung)) {
      gathered[gathered.length - 1] = joined(last, rung, last.kind);
    } else {
      gathered.push(rung);
    }
  }
  return gathered;
}
