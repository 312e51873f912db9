import type { Shop } from '../design/schema';
import type { Evaluation } from './evaluate';
import { priceOf } from './price-book';

/** Air beyond this share of what is needed is worth nothing more. */
const ENOUGH = 1.1;
/** A point is one per cent of what the worst drop needs. What it is worth by usual weights: estimates. */
const POINT = {
  /** Of one per cent more certainty that every drop gets what it needs. */
  met: 0.3,
  /** Money, hours and dB(A) that one point is worth. */
  money: 20,
  hours: 1,
  noise: 1,
  /** Of all the dust that would go to the filter instead of the bin: it clogs, and has to be cleaned all the time. */
  caught: 45,
  /** Of all the finest dust that would come back into the room, and of a saw whose blade throws dust over its table. */
  fines: 8,
  unguarded: 4,
  /** What a motor that draws more than its circuit carries takes away, or more than it was made for. */
  overCircuit: 20,
  overloaded: 20,
  /** What a shop that is drawn down so far that a heater could draw its flue gas back takes away. */
  drawnDown: 15,
  /** Of a square meter of floor. */
  floor: 4,
  /** What a drop whose chips settle, and did not before, takes away. */
  slow: 6,
};

type Advice = Pick<Shop['advice'], 'weights' | 'prices'>;

/** What a change brings and what it takes, in points by what the user weighs: one is a per cent at the worst drop. */
export interface Worth {
  readonly air: number;
  readonly cost: number;
  /** air − cost */
  readonly points: number;
}

/** What a share of the dust that stays in the bin is worth, in points. */
export const airOfDust = (caught: number, { weights }: Pick<Advice, 'weights'>): number =>
  weights.dust * POINT.caught * caught;

type Beside = Pick<
  Evaluation,
  'slow' | 'fines' | 'unguarded' | 'isOverCircuit' | 'isOverloaded' | 'isDrawnDown'
>;

/** What is taken off for chips that settle, for dust that is left in the room, and for what is not safe, in points. */
export const worthBeside = (
  { slow, fines, unguarded, ...is }: Beside,
  { weights }: Pick<Advice, 'weights'>,
): number =>
  -POINT.slow * slow -
  (is.isOverCircuit ? POINT.overCircuit : 0) -
  (is.isOverloaded ? POINT.overloaded : 0) -
  (is.isDrawnDown ? POINT.drawnDown : 0) -
  weights.dust * (POINT.fines * fines + POINT.unguarded * unguarded);

/**
 * What air is worth: how near the worst drop is to its need, how sure all of them are of theirs, what settles, what the
 * bin catches, what dust is left in the room, and what is not safe.
 */
export function airWorth(evaluation: Evaluation, advice: Pick<Advice, 'weights'>): number {
  const { worst, met, caught } = evaluation;
  const { weights } = advice;
  return (
    weights.worst * 100 * Math.min(ENOUGH, worst) +
    weights.met * POINT.met * 100 * met +
    airOfDust(caught, advice) +
    worthBeside(evaluation, advice)
  );
}

/**
 * What a change is worth.
 * @param cost in the shop's money
 * @param hours of work
 */
export function worthOf(
  before: Evaluation,
  after: Evaluation,
  { cost, hours }: { readonly cost: number; readonly hours: number },
  advice: Advice,
): Worth {
  const { weights } = advice;
  const air = airWorth(after, advice) - airWorth(before, advice);
  // Of heat that leaves with the air, one season counts.
  const heat = (after.heat - before.heat) * priceOf('heat', advice);
  const effort =
    (weights.money * (cost + heat)) / POINT.money +
    (weights.hours * hours) / POINT.hours +
    (weights.noise * (after.noise - before.noise)) / POINT.noise +
    weights.space * POINT.floor * (after.floor - before.floor);
  return { air, cost: effort, points: air - effort };
}
