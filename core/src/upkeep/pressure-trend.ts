/** A pressure across a filter, brought to one flow. */
export interface FilterPressure {
  /** ms */
  readonly at: number;
  /** Pa, with the half-width of its 95 % interval. */
  readonly pressure: number;
  readonly uncertainty: number;
}

/** When a pressure is reached, ms. */
export interface TrendDue {
  readonly at: number;
  /** 95 times in 100; null: it may never be. */
  readonly from: number;
  readonly to: number | null;
}

/** So many readings make a trend. */
const LEAST = 3;
const TO_RANGE = 1.96;
const SECOND = 1000;

/**
 * When the pressure across a filter gets to where it is due, by a straight line through those read since it was last
 * cleaned: the cake's pressure grows with the dust that comes, and that with time. Least squares, each reading weighed
 * by its uncertainty and by how they scatter about the line. Null where there are fewer than three or they do not rise.
 * @param due Pa at the same flow
 */
export function trendDue(readings: readonly FilterPressure[], due: number): TrendDue | null {
  if (readings.length < LEAST) return null;
  const first = readings[0]?.at ?? 0;
  const points = readings.map(({ at, pressure, uncertainty }) => ({
    x: (at - first) / SECOND,
    y: pressure,
    weight: 1 / Math.max(uncertainty / TO_RANGE, pressure * 0.005) ** 2,
  }));
  const sum = (of: (point: (typeof points)[number]) => number) =>
    points.reduce((total, point) => total + point.weight * of(point), 0);
  const whole = sum(() => 1);
  const [x, y] = [sum((point) => point.x) / whole, sum((point) => point.y) / whole];
  const across = sum((point) => (point.x - x) ** 2);
  if (!(across > 0)) return null;
  const slope = sum((point) => (point.x - x) * (point.y - y)) / across;
  if (!(slope > 0)) return null;
  const misfit = sum((point) => (point.y - y - slope * (point.x - x)) ** 2) / (points.length - 2);
  const scatter = Math.max(1, misfit);
  const bySlope = scatter / across;
  const byMean = scatter / whole;
  const reach = (due - y) / slope;
  // The law of propagation of uncertainty (GUM, section 5) for where a line gets to a height.
  const off = (TO_RANGE * Math.sqrt(byMean + bySlope * reach ** 2)) / slope;
  const isRising = slope > TO_RANGE * Math.sqrt(bySlope);
  const time = (seconds: number) => first + seconds * SECOND;
  return {
    at: time(x + reach),
    from: time(x + reach - off),
    to: isRising ? time(x + reach + off) : null,
  };
}
