import { isTest, type ShopEvent } from '../journal/event';
import { timeOf } from '../journal/journal';
import { isOfFlow, type Reading } from '../journal/reading';
import { measuredFlow } from '../measuring/measured-flow';
import { chainOf } from './change';
import { type ComparedSides, compareSides, type SideReadings } from './compare-sides';
import { countAfter, type ReadingsByPoint } from './reading-index';

/** What a change of the shop was worth at one test point: the readings nearest to it on either side. */
export interface WorthAtPoint {
  readonly testPoint: string;
  readonly before: Reading;
  readonly after: Reading;
  readonly compared: ComparedSides;
  /** Airflow gained, m³/s; null: the readings do not say how much air flows. */
  readonly gained: number | null;
}

/** What a change of the shop was worth, by the readings around it. */
export interface EventWorth {
  readonly event: ShopEvent;
  /** Other changes between the same readings: what is found is the worth of all of them together. */
  readonly along: readonly ShopEvent[];
  readonly points: readonly WorthAtPoint[];
  /** The airflow at all test points together: their mean ratio, weighed by how sure each is; null: none compares. */
  readonly overall: {
    readonly ratio: number;
    readonly low: number;
    readonly high: number;
    readonly isSignificant: boolean;
  } | null;
  /** Mean airflow gained at a test point, m³/s; null: not known. */
  readonly gained: number | null;
  /** Cost of all changes concerned for each m³/s gained; null: no cost is known, or nothing was shown to be gained. */
  readonly costPerFlow: number | null;
  /** What the model promised, over the same test points: after over before; null: it was not asked. */
  readonly promised: number | null;
}

/**
 * What a change of the shop was worth: at each test point the last reading before it held against the first one after
 * it.
 * @param events every change, this one among them
 * @param byPoint readings that count
 * @param by what each reading is corrected by
 */
export function worthOfEvent(
  event: ShopEvent,
  events: readonly ShopEvent[],
  byPoint: ReadingsByPoint,
  by: SideReadings['by'],
): EventWorth {
  const points = [...byPoint].flatMap(([testPoint, list]) =>
    worthAt(testPoint, list, timeOf(event), by),
  );
  const along = events.filter(
    (other) =>
      other.id !== event.id &&
      !isTest(other.kind) &&
      points.some((point) => isBetween(other, point)),
  );
  return { event, along, points, ...summary(event, along, points) };
}

/** What every change was worth, the earliest first. */
export const worthOfEvents = (
  events: readonly ShopEvent[],
  byPoint: ReadingsByPoint,
  by: SideReadings['by'],
): EventWorth[] =>
  events
    .toSorted((a, b) => timeOf(a) - timeOf(b))
    .map((event) => worthOfEvent(event, events, byPoint, by));

/**
 * All changes of the air one after another as one: their ratios multiply. Changes with no readings between them were
 * measured together, and count once. Null: fewer than two were measured.
 */
export function worthTogether(worths: readonly EventWorth[]): {
  readonly ratio: number;
  readonly low: number;
  readonly high: number;
  readonly count: number;
} | null {
  const counted = new Set<string>();
  const changes = worths.flatMap(({ event, along, overall }) => {
    if (!overall || along.some(({ id }) => counted.has(id))) return [];
    counted.add(event.id);
    return [overall];
  });
  return changes.length < 2 ? null : { ...chainOf(changes), count: changes.length };
}

const isBetween = (event: ShopEvent, { before, after }: WorthAtPoint) =>
  timeOf(event) >= timeOf(before) && timeOf(event) <= timeOf(after);

function worthAt(
  testPoint: string,
  list: readonly Reading[],
  time: number,
  by: SideReadings['by'],
): WorthAtPoint[] {
  const later = countAfter(list, time);
  const [before, after] = [list[later], list[later - 1]];
  if (!before || !after) return [];
  const compared = compareSides({ readings: [before], by }, { readings: [after], by });
  const [was, is] = [measuredFlow(before, by(before)), measuredFlow(after, by(after))];
  const gained = was.kind === 'value' && is.kind === 'value' ? is.flow - was.flow : null;
  return [{ testPoint, before, after, compared, gained }];
}

function summary(
  event: ShopEvent,
  along: readonly ShopEvent[],
  points: readonly WorthAtPoint[],
): Pick<EventWorth, 'overall' | 'gained' | 'costPerFlow' | 'promised'> {
  // Pressures and currents change too, but are no airflow.
  const changes = points.flatMap(({ after, compared }) =>
    compared.kind === 'change' && isOfFlow(after.quantity) ? [compared] : [],
  );
  // Weighed by one over the square of each one's uncertainty, as independent measurements are.
  const weights = changes.map(({ low, high }) => (2 / Math.log(high / low)) ** 2);
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = changes.reduce(
    (sum, { ratio }, i) => sum + ((weights[i] ?? 0) / whole) * Math.log(ratio),
    0,
  );
  const half = 1 / Math.sqrt(whole);
  const overall = Number.isFinite(mean + half)
    ? {
        ratio: Math.exp(mean),
        low: Math.exp(mean - half),
        high: Math.exp(mean + half),
        isSignificant: Math.abs(mean) > half,
      }
    : null;
  const gains = points.flatMap((point) => (point.gained === null ? [] : [point.gained]));
  const gained =
    gains.length === 0 ? null : gains.reduce((sum, each) => sum + each, 0) / gains.length;
  const costs = [event, ...along].flatMap(({ cost }) => (cost === null ? [] : [cost]));
  const cost = costs.length === 0 ? null : costs.reduce((sum, each) => sum + each, 0);
  const isGain = overall?.isSignificant && gained !== null && gained > 0;
  return {
    overall,
    gained,
    costPerFlow: cost !== null && isGain ? cost / gained : null,
    promised: promisedBy(event, points),
  };
}

function promisedBy({ promised }: ShopEvent, points: readonly WorthAtPoint[]): number | null {
  const read = new Set(points.map(({ testPoint }) => testPoint));
  const of = promised.filter(
    ({ testPoint, before, after }) => read.has(testPoint) && before > 0 && after > 0,
  );
  if (of.length === 0) return null;
  const mean = of.reduce((sum, { before, after }) => sum + Math.log(after / before), 0) / of.length;
  return Math.exp(mean);
}
