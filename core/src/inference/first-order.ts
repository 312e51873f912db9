import { gateLoss } from '../fittings/gate';
import { Evidence } from './evidence';
import { type BelievedShop, type Fault, shownMore } from './faults';
import { INTEGRATED_AT, type Integrated, integrate } from './integrate-amount';
import type { Nuisances } from './predictor';
import type { Row } from './solve-fault';

/** Amounts a fault is screened at to first order. */
const SCREENED_AT = 6;
/** How far a first-order change of ln may be off, as a share of it, one standard deviation. */
const SCREENING_ERROR = 0.2;

/** What readings leave of a model: ln measured − ln predicted, and how those vary together. */
export interface Left {
  readonly rows: readonly Row[];
  readonly residuals: readonly number[];
  readonly covariance: readonly Float64Array[];
}

/** How likely readings are if a fault is added to what a model has, to first order, its amount integrated out. */
export function screenFault(
  fault: Fault,
  { rows, residuals, covariance }: Left,
  believed: BelievedShop,
  nuisances: Nuisances,
): Integrated {
  const observations = rows.map(({ observation }) => observation);
  // What a meter does wrong is known without solving anything.
  const isExact = fault.kind === 'meter';
  return integrate(fault, isExact ? INTEGRATED_AT : SCREENED_AT, (amount) => {
    const shifts = firstOrderShifts(rows, fault, amount, believed, nuisances);
    const error = isExact ? 0 : SCREENING_ERROR;
    const more = shifts.map((shift) => (error * shift) ** 2);
    const own = new Evidence(observations, covariance, more);
    return own.of(residuals.map((residual, i) => residual - (shifts[i] ?? 0)));
  });
}

/** What a fault does to ln of each prediction, to first order; to one of a time before it began nothing. */
const firstOrderShifts = (
  rows: readonly Row[],
  ...of: [Fault, number, BelievedShop, Nuisances]
): number[] => shiftsOf(rows, ...of).map((shift, i) => (rows[i]?.isBefore ? 0 : shift));

/** The same at the present, bent so that it cannot take more than there is. */
function shiftsOf(
  rows: readonly Row[],
  fault: Fault,
  amount: number,
  { tree: { upstreamFirst } }: BelievedShop,
  { indexOf }: Nuisances,
): number[] {
  const derivativeBy = (nuisance: string) => {
    const index = indexOf.get(nuisance) ?? -1;
    return rows.map(({ derivatives }) => derivatives.byNuisance[index] ?? 0);
  };
  switch (fault.kind) {
    case 'opening':
      return rows.map(({ derivatives }) => bent(derivatives.byOpening(fault.run) * amount));
    case 'clog':
      return rows.map(({ derivatives }) => choked(derivatives.byLoss(fault.run) * amount));
    case 'gate not open': {
      const gate = upstreamFirst.find(({ id }) => id === fault.run)?.gate;
      const more = gateLoss(amount, 0) - gateLoss(gate?.opening ?? 1, 0);
      return rows.map(({ observation, derivatives }) =>
        observation.gates.has(fault.run) ? choked(derivatives.byLoss(fault.run) * more) : 0,
      );
    }
    case 'gate not shut': {
      const run = upstreamFirst.find(({ id }) => id === fault.run);
      const area = amount * Math.PI * ((run?.diameter ?? 0) / 2) ** 2;
      return rows.map(({ observation, derivatives }) =>
        observation.gates.has(fault.run) ? 0 : bent(derivatives.byOpening(fault.run) * area),
      );
    }
    case 'meter':
      return rows.map(({ observation }) =>
        shownMore(fault, amount, observation.reading.instrument),
      );
    // Of twice the leakage or the loss there is as much more as there was: what it does goes with the factor, not its ln.
    case 'leakage':
      return derivativeBy('leaks').map((each) => bent(each * (amount - 1)));
    case 'filter':
    case 'separator':
      return derivativeBy(fault.kind).map((each) => choked(each * (amount - 1)));
    case 'blower':
      return derivativeBy('blower').map((each) => each * Math.log(amount));
  }
}

/** A first-order change of ln that air flowing in adds to a flow, or takes from it. */
const bent = (change: number): number => Math.sign(change) * Math.log1p(Math.abs(change));
/** One that a loss takes: a flow goes with the root of what is left of the pressure. */
const choked = (change: number): number =>
  (Math.sign(change) * Math.log1p(2 * Math.abs(change))) / 2;
