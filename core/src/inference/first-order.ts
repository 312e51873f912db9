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
  const exactly = isExact ? new Evidence(observations, covariance) : null;
  const shiftsAt = shiftsOf(rows, fault, believed, nuisances);
  return integrate(fault, isExact ? INTEGRATED_AT : SCREENED_AT, (amount) => {
    // To a reading of a time before it began it does nothing.
    const shifts = shiftsAt(amount).map((shift, i) => (rows[i]?.isBefore ? 0 : shift));
    const own =
      exactly ??
      new Evidence(
        observations,
        covariance,
        shifts.map((shift) => (SCREENING_ERROR * shift) ** 2),
      );
    return own.of(residuals.map((residual, i) => residual - (shifts[i] ?? 0)));
  });
}

/** What so much of a fault does to ln of each prediction, to first order, bent so that it cannot take more than there is. */
function shiftsOf(
  rows: readonly Row[],
  fault: Fault,
  { tree: { upstreamFirst } }: BelievedShop,
  { indexOf }: Nuisances,
): (amount: number) => readonly number[] {
  const derivativeBy = (nuisance: string) => {
    const index = indexOf.get(nuisance) ?? -1;
    return rows.map(({ derivatives }) => derivatives.byNuisance[index] ?? 0);
  };
  /** Derivatives of readings with its gate open, or shut; 0 of the others. */
  const where = (isOpen: boolean, run: string, of: (row: Row) => number) =>
    rows.map((row) => (row.observation.gates.has(run) === isOpen ? of(row) : 0));
  switch (fault.kind) {
    case 'opening': {
      const each = rows.map(({ derivatives }) => derivatives.byOpening(fault.run));
      return (amount) => each.map((by) => bent(by * amount));
    }
    case 'clog': {
      const each = rows.map(({ derivatives }) => derivatives.byLoss(fault.run));
      return (amount) => each.map((by) => choked(by * amount));
    }
    case 'gate not open': {
      const gate = upstreamFirst.find(({ id }) => id === fault.run)?.gate;
      const now = gateLoss(gate?.opening ?? 1, 0);
      const each = where(true, fault.run, ({ derivatives }) => derivatives.byLoss(fault.run));
      return (amount) => each.map((by) => choked(by * (gateLoss(amount, 0) - now)));
    }
    case 'gate not shut': {
      const run = upstreamFirst.find(({ id }) => id === fault.run);
      const area = Math.PI * ((run?.diameter ?? 0) / 2) ** 2;
      const each = where(false, fault.run, ({ derivatives }) => derivatives.byOpening(fault.run));
      return (amount) => each.map((by) => bent(by * amount * area));
    }
    case 'meter':
      return (amount) =>
        rows.map(({ observation }) => shownMore(fault, amount, observation.reading.instrument));
    // Of twice the leakage or the loss there is as much more as there was: what it does goes with the factor, not its ln.
    case 'leakage': {
      const each = derivativeBy('leaks');
      return (amount) => each.map((by) => bent(by * (amount - 1)));
    }
    case 'filter':
    case 'separator': {
      const each = derivativeBy(fault.kind);
      return (amount) => each.map((by) => choked(by * (amount - 1)));
    }
    case 'blower': {
      const each = derivativeBy('blower');
      return (amount) => each.map((by) => by * Math.log(amount));
    }
  }
}

/** A first-order change of ln that air flowing in adds to a flow, or takes from it. */
const bent = (change: number): number => Math.sign(change) * Math.log1p(Math.abs(change));
/** One that a loss takes: a flow goes with the root of what is left of the pressure. */
const choked = (change: number): number =>
  (Math.sign(change) * Math.log1p(2 * Math.abs(change))) / 2;
