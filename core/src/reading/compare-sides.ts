import { isOfFlow, type Reading } from '../journal/reading';
import { type Circumstances, correctReading, pointsOf } from '../measuring/corrections';
import { numberOf } from '../measuring/repeats';
import { type Change, changeBetween, type Side } from './change';

/** Readings of one side of a comparison, with what each is corrected by. */
export interface SideReadings {
  readonly readings: readonly Reading[];
  readonly by: (reading: Reading) => Circumstances;
}

/** What two sides must have in common before percentages mean anything, and do not. */
export type Missing =
  /** One side is relative, the other absolute. */
  | 'one method'
  /** Relative readings compare at one place only. */
  | 'one place'
  /** Relative readings compare with one meter only. */
  | 'one meter'
  /** Relative readings compare only if the meter was held and read in one way. */
  | 'one way of reading'
  /** One is a flow, the other a pressure or something else. */
  | 'one quantity';

export type ComparedSides =
  | ({ readonly kind: 'change'; readonly isShared: boolean } & Change)
  /** A bound on one side: after over before is this or more, or this or less. */
  | { readonly kind: 'at least' | 'at most'; readonly ratio: number }
  | { readonly kind: 'not comparable'; readonly missing: readonly Missing[] }
  /** Nothing was read on one side, or no air, or bounds that say nothing together. */
  | { readonly kind: 'nothing'; readonly why: 'no readings' | 'no air' | 'bounds' };

/**
 * Compares what was read before with what was read after. With one meter held in one way at one place, what
 * that meter does wrong cancels, whatever the method; two absolute sides compare across places and meters,
 * with the meters' own uncertainty. Struck-out readings count for nothing.
 */
export function compareSides(before: SideReadings, after: SideReadings): ComparedSides {
  const [a, b] = [counting(before), counting(after)];
  if (a.length === 0 || b.length === 0) return { kind: 'nothing', why: 'no readings' };
  const all = [...a, ...b];
  const missing = missingOf(all);
  if (missing.length > 0) return { kind: 'not comparable', missing };

  const [was, is] = [sideOf(a, before.by), sideOf(b, after.by)];
  if (was.kind === 'nothing') return was;
  if (is.kind === 'nothing') return is;
  if (was.kind === 'value' && is.kind === 'value') {
    const isShared =
      isOne(all, placeOf) && isOne(all, ({ instrument }) => instrument) && isOne(all, wayOf);
    // One meter at two places: its own accuracy cancels, how it stands in each pipe does not.
    const isOneMeter = isOne(all, ({ instrument }) => instrument);
    const sides = [was, is].map((side) => ({
      ...side.side,
      systematic: isOneMeter ? side.steps : side.side.systematic,
    })) as [Side, Side];
    return { kind: 'change', isShared, ...changeBetween(...sides, isShared) };
  }
  const ratio = is.mean / was.mean;
  // Over range after, or under it before: the gain is this or more.
  const isMore = is.kind !== 'at most' && was.kind !== 'at least';
  const isLess = is.kind !== 'at least' && was.kind !== 'at most';
  if (isMore === isLess) return { kind: 'nothing', why: 'bounds' };
  return { kind: isMore ? 'at least' : 'at most', ratio };
}

const counting = ({ readings }: SideReadings) =>
  readings.filter(({ struckOut }) => struckOut === null);

const isOne = (readings: readonly Reading[], of: (reading: Reading) => string) =>
  new Set(readings.map(of)).size === 1;

const placeOf = ({ testPoint }: Reading) => testPoint;
/** Where and how the meter was held and read. */
const wayOf = ({ quantity, spot, traverse, diameter, hold, presetDiameter }: Reading) =>
  JSON.stringify([quantity, spot, traverse, diameter, hold, presetDiameter]);

const quantityOf = ({ quantity, method }: Reading) =>
  method === 'absolute' && isOfFlow(quantity) ? 'flow' : quantity;

function missingOf(all: readonly Reading[]): Missing[] {
  if (!isOne(all, ({ method }) => method)) return ['one method'];
  if (!isOne(all, quantityOf)) return ['one quantity'];
  if (all[0]?.method === 'absolute') return [];
  const missing: Missing[] = [];
  if (!isOne(all, placeOf)) missing.push('one place');
  if (!isOne(all, ({ instrument }) => instrument)) missing.push('one meter');
  if (!isOne(all, wayOf)) missing.push('one way of reading');
  return missing;
}

/** How differently a hand holds a meter at one place from visit to visit, as a share, 95 %: estimates. */
export const PLACING = { byHand: 0.02, byJig: 0.005 } as const;

/** A place where it is noted how the meter is held has a jig or a stop. */
const placingOf = (point: Circumstances['point']) =>
  point && point.holding.trim() !== '' ? PLACING.byJig : PLACING.byHand;

type Summed =
  | { readonly kind: 'nothing'; readonly why: 'no air' | 'bounds' }
  | { readonly kind: 'at least' | 'at most'; readonly mean: number }
  | {
      readonly kind: 'value';
      readonly mean: number;
      readonly side: Side;
      /** What is systematic besides the meter's own accuracy. */
      readonly steps: number;
    };

/** All repeats of a side, corrected, as one. */
function sideOf(readings: readonly Reading[], by: SideReadings['by']): Summed {
  const corrected = readings.map((reading) => correctReading(reading, by(reading)));
  const means = corrected.map(({ mean }) => mean);
  const kinds = new Set(means.map(({ kind }) => kind));
  if (kinds.has('nothing') || (kinds.has('at least') && kinds.has('at most'))) {
    return { kind: 'nothing', why: 'bounds' };
  }
  const values = corrected.flatMap((each) => each.repeats.map(numberOf));
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  if (!(mean > 0)) return { kind: 'nothing', why: 'no air' };
  for (const kind of ['at least', 'at most'] as const) if (kinds.has(kind)) return { kind, mean };
  const systematic = Math.max(...corrected.map((each) => each.systematic));
  const steps = Math.max(
    ...corrected.map((each) => Math.sqrt(Math.max(0, each.systematic ** 2 - each.meter ** 2))),
  );
  const resolution = Math.max(0, ...corrected.map((each) => each.lastDigit ?? 0)) || null;
  const placing = Math.max(...readings.map((reading) => placingOf(by(reading).point)));
  const points = Math.min(...readings.map(pointsOf));
  return { kind: 'value', mean, side: { values, resolution, points, systematic, placing }, steps };
}
