import { type Reading, type SoundReading, timeOf, type Weighing } from '@frank-gauge/core/journal';
import {
  catchesOf,
  correctReading,
  filterAtOneFlow,
  type ReadingsByPoint,
  type SideReadings,
} from '@frank-gauge/core/reading';

/** A reading as a point of a trend. SI, or of a relative series a share of its first value. */
export interface TrendPoint {
  readonly id: string;
  readonly time: number;
  readonly value: number;
  /** Half-width of its 95 % interval; null: it is a bound. */
  readonly uncertainty: number | null;
  /** On which side of `value` the truth lies, where it is a bound. */
  readonly bound: 'at least' | 'at most' | null;
  readonly isSimulated: boolean;
}

/** What the readings of one test point show over time. */
export interface Series {
  /** What they are of; `share`: relative readings, by their first; `caught`: a share of what came. */
  readonly quantity: Reading['quantity'] | 'share' | 'caught' | 'sound';
  /** Earliest first. */
  readonly points: readonly TrendPoint[];
  /** Readings there that are of another quantity or method and do not belong to it. */
  readonly leftOut: number;
  /** Earlier readings there that are not looked at. */
  readonly earlier: number;
}

/** The most readings that are drawn, the latest: more would be a black band. */
export const MOST_DRAWN = 200;

/** Readings that may stand in one series: of one method, and of one quantity once corrected. */
const seriesOf = (reading: Reading, quantity: Reading['quantity']) =>
  `${reading.method} ${quantity}${reading.method === 'relative' ? ` ${reading.instrument}` : ''}`;

/**
 * The trend of one test point: its latest readings, corrected, of the kind the latest one is of. Methods are never
 * mixed. Null: there are none.
 * @param readings that count, the latest first
 */
export function trendOf(readings: readonly Reading[], by: SideReadings['by']): Series | null {
  const corrected = readings
    .slice(0, MOST_DRAWN)
    .reverse()
    .map((reading) => ({ reading, ...correctReading(reading, by(reading)) }));
  const last = corrected.at(-1);
  if (!last) return null;
  const wanted = seriesOf(last.reading, last.quantity);
  const own = corrected.filter(({ reading, quantity }) => seriesOf(reading, quantity) === wanted);
  const isRelative = last.reading.method === 'relative';
  const first = own.find(({ mean }) => mean.kind === 'value' && mean.mean > 0)?.mean;
  const unit = isRelative && first?.kind === 'value' ? first.mean : 1;
  const points = own.flatMap(({ reading, mean, systematic }): TrendPoint[] => {
    if (mean.kind === 'nothing') return [];
    const value = mean.mean / unit;
    // What the meter does wrong is the same at every relative reading, and cancels.
    const share = isRelative ? 0 : systematic;
    return [
      {
        id: reading.id,
        time: timeOf(reading),
        value,
        uncertainty: mean.kind === 'value' ? Math.hypot(mean.spread / unit, share * value) : null,
        bound: mean.kind === 'value' ? null : mean.kind,
        isSimulated: reading.isSimulated,
      },
    ];
  });
  return {
    quantity: isRelative ? 'share' : last.quantity,
    points,
    leftOut: corrected.length - own.length,
    earlier: readings.length - corrected.length,
  };
}

const latest = (points: readonly TrendPoint[]) => ({
  points: points.slice(-MOST_DRAWN),
  earlier: Math.max(0, points.length - MOST_DRAWN),
});

/** What the separator caught, a point for each emptying of the filter's bin; null: nothing was weighed. */
export function caughtTrend(
  weighings: readonly Weighing[],
  within: { readonly from: number; readonly until: number },
): Series | null {
  const { periods: all } = catchesOf(weighings);
  const periods = all.filter(({ time }) => time >= within.from && time < within.until);
  if (periods.length === 0) return null;
  const points = periods.map(({ id, time, share, uncertainty }) => ({
    ...{ id, time, value: share, uncertainty },
    bound: null,
    isSimulated: false,
  }));
  return { quantity: 'caught', ...latest(points), leftOut: 0 };
}

/** The sound level at one place; what the meter may be off by is not noted. */
export function soundTrend(sounds: readonly SoundReading[]): Series | null {
  if (sounds.length === 0) return null;
  const points = sounds
    .toSorted((a, b) => timeOf(a) - timeOf(b))
    .map((sound) => ({
      ...{ id: sound.id, time: timeOf(sound), value: sound.level, uncertainty: 0 },
      bound: null,
      isSimulated: false,
    }));
  return { quantity: 'sound', ...latest(points), leftOut: 0 };
}

/** Pressure across the filter at one flow, and that flow, m³/s; null: none was read beside an airflow. */
export function filterTrend(
  byPoint: ReadingsByPoint,
  filters: ReadonlySet<string>,
  by: SideReadings['by'],
): { readonly series: Series; readonly atFlow: number } | null {
  const found = filterAtOneFlow(byPoint, filters, by, MOST_DRAWN);
  if (!found || found.points.length === 0) return null;
  const points = found.points.map(({ reading, pressure, uncertainty }) => ({
    ...{ id: reading.id, time: timeOf(reading), value: pressure, uncertainty },
    bound: null,
    isSimulated: reading.isSimulated,
  }));
  return {
    series: { quantity: 'pressure', points, leftOut: found.leftOut, earlier: found.earlier },
    atFlow: found.atFlow,
  };
}
