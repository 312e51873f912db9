import { Conditioned } from './conditioned';
import { shownMore } from './faults';
import { amountSigma, movedBy } from './moved-amount';
import { isTakenBefore, type Observation } from './observations';
import type { Leader, Weighed } from './posterior';
import { type Asked, expectedBy } from './predictor';

/** What a hypothesis says of a reading, in ln, and what that moves with: the nuisances, then its own amount. */
interface LeaderRow {
  readonly ln: number;
  readonly row: readonly number[];
}

export interface ConditionedLeader {
  /** Of the nuisances and the amount, given the readings. */
  readonly conditioned: Conditioned;
  /**
   * What it says of what a meter would read; null: it says nothing of what is asked.
   * @param meter the id of the meter it is read with
   */
  readonly rowOf: (asked: Asked, meter: string) => LeaderRow | null;
}

/** What readings leave open of everything a hypothesis is unsure of, to first order about where it was solved. */
export function conditionedBy(
  weighed: Weighed,
  { fault, amount, solutions, onTopOf }: Leader,
  observations: readonly Observation[],
): ConditionedLeader {
  const { base, nuisances } = weighed;
  const under = onTopOf?.solutions ?? base;
  const more = (meter: string) =>
    shownMore(fault, amount, meter) +
    shownMore(onTopOf?.fault ?? null, onTopOf?.amount ?? 1, meter);
  const isBefore = (observation: Observation) => isTakenBefore(observation, weighed.began);
  const moved = fault && fault.kind !== 'meter' ? movedBy(fault, amount, under) : null;
  const rowOf = (asked: Asked, meter: string): LeaderRow | null => {
    const own = expectedBy(solutions, asked, nuisances);
    if (!own) return null;
    const other = moved?.solutions.lnOf(asked) ?? null;
    // What a meter shows goes with its own fault in proportion.
    const byAmount =
      moved && other !== null ? (other - own.ln) / moved.by : shownMore(fault, Math.E, meter);
    return { ln: own.ln + more(meter), row: [...own.byNuisance, byAmount] };
  };
  /** Of a reading taken before what is wrong began. */
  const rowBefore = (asked: Asked): LeaderRow | null => {
    const own = expectedBy(base, asked, nuisances, true);
    return own && { ln: own.ln, row: [...own.byNuisance, 0] };
  };
  const rows = observations.flatMap((observation) => {
    const own = isBefore(observation)
      ? rowBefore(observation)
      : rowOf(observation, observation.reading.instrument);
    return own ? [{ observation, residual: observation.ln - own.ln, row: own.row }] : [];
  });
  const sigmas = [...nuisances.sigmas, fault ? amountSigma(fault) : 0];
  return { conditioned: new Conditioned(rows, sigmas), rowOf };
}
