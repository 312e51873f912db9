/**
 * A smooth curve through points that never overshoots between them: piecewise cubic Hermite with
 * the slopes of Fritsch and Carlson (SIAM J. Numer. Anal. 17, 1980), in the weighted harmonic form
 * of Fritsch and Butland (1984), the one called PCHIP.
 */
export interface MonotoneCurve {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly slope: Float64Array;
}

/** A value with its derivative. */
export interface CurveValue {
  value: number;
  slope: number;
}

/** @param points at least two, x strictly rising */
export function monotoneCurve(points: readonly (readonly [number, number])[]): MonotoneCurve {
  const n = points.length;
  const x = Float64Array.from(points, (point) => point[0]);
  const y = Float64Array.from(points, (point) => point[1]);
  const at = (array: Float64Array, i: number) => array[i] ?? 0;
  const width = (i: number) => at(x, i + 1) - at(x, i);
  const secant = (i: number) => (at(y, i + 1) - at(y, i)) / width(i);
  const slope = new Float64Array(n);
  for (let i = 1; i < n - 1; i++) {
    const before = secant(i - 1);
    const after = secant(i);
    if (before * after <= 0) continue;
    const w1 = 2 * width(i) + width(i - 1);
    const w2 = width(i) + 2 * width(i - 1);
    slope[i] = (w1 + w2) / (w1 / before + w2 / after);
  }
  if (n === 2) slope.fill(secant(0));
  else {
    slope[0] = endSlope(width(0), width(1), secant(0), secant(1));
    slope[n - 1] = endSlope(width(n - 2), width(n - 3), secant(n - 2), secant(n - 3));
  }
  return { x, y, slope };
}

/** The three-point end slope, limited to keep the shape. */
function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (slope * d0 <= 0) return 0;
  if (d0 * d1 <= 0 && Math.abs(slope) > 3 * Math.abs(d0)) return 3 * d0;
  return slope;
}

/**
 * Writes the curve's value and slope at `at` into `out`. Before the first point the first value is
 * held. Beyond the last point there is no curve: what is written there goes on along the last
 * secant, only to guide a solver's iteration back; whoever ends there must refuse the answer.
 */
export function curveInto(out: CurveValue, curve: MonotoneCurve, at: number): void {
  const { x, y, slope } = curve;
  const last = x.length - 1;
  const x0 = x[0] as number;
  const xn = x[last] as number;
  if (at <= x0) {
    out.value = y[0] as number;
    out.slope = 0;
    return;
  }
  if (at >= xn) {
    const run = xn - (x[last - 1] as number);
    const fall = ((y[last] as number) - (y[last - 1] as number)) / run;
    out.slope = Math.min(fall, -1);
    out.value = (y[last] as number) + out.slope * (at - xn);
    return;
  }
  let i = 0;
  while ((x[i + 1] as number) <= at) i++;
  const h = (x[i + 1] as number) - (x[i] as number);
  const t = (at - (x[i] as number)) / h;
  const ya = y[i] as number;
  const yb = y[i + 1] as number;
  const ma = (slope[i] as number) * h;
  const mb = (slope[i + 1] as number) * h;
  out.value =
    ya * (1 + t * t * (2 * t - 3)) +
    yb * t * t * (3 - 2 * t) +
    ma * t * (1 - t) ** 2 +
    mb * t * t * (t - 1);
  out.slope = (6 * t * (t - 1) * (ya - yb) + ma * (1 - t) * (1 - 3 * t) + mb * t * (3 * t - 2)) / h;
}
