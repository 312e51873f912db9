import type { PartLoss, ShopSolution } from '../network/solve-shop';

/** A part of a run with what it takes now. */
export interface PartOfRun extends PartLoss {
  /** Of the velocity pressure where it stands; null without air, or with so little that it says nothing. */
  readonly coefficient: number | null;
}

/** Least velocity pressure a coefficient is told from, Pa: about 0.4 m/s. */
const LEAST = 0.1;
/** A coefficient beyond this says only that its duct is all but still beside the one it joins. */
const MOST = 100;

/**
 * A run's parts in the order the air meets them, each with its loss and what that is of its velocity
 * pressure: a junction's coefficient as it is with these flows.
 */
export function lossesOfRun(solution: ShopSolution, run: string): PartOfRun[] {
  return (solution.airIn.get(run) ?? []).flatMap(({ parts, velocityPressureOut }) =>
    parts.map((part) => ({
      ...part,
      coefficient: coefficientOf(part.loss, velocityPressureOut),
    })),
  );
}

function coefficientOf(loss: number, velocityPressure: number): number | null {
  if (velocityPressure < LEAST) return null;
  const coefficient = loss / velocityPressure;
  return Math.abs(coefficient) > MOST ? null : coefficient;
}
