import { packedCholesky, whitenPacked } from './least-squares';
import type { Observation } from './observations';

/**
 * How likely readings are where a model predicts something else: a Gaussian in ln of all readings together, whose
 * covariance is what the model is unsure of (J·Σ·Jᵀ), what each meter does wrong on one visit, and what is each
 * reading's own. Bounds are bounds: the share of that Gaussian beyond them, given the values (censored, as in Tobin
 * 1958, from memory); what two bounds tell of each other is left out.
 */
export class Evidence {
  private readonly values: Int32Array;
  private readonly bounds: readonly BoundRow[];
  /** Lower triangle of the values' covariance, packed. */
  private readonly lower: Float64Array;
  private readonly constant: number;

  /**
   * @param covariance of all observations, in ln
   * @param more variance that each has of its own besides
   */
  constructor(
    observations: readonly Observation[],
    covariance: readonly Float64Array[],
    more: readonly number[] = [],
  ) {
    this.values = valuesAmong(observations);
    this.lower = packedCholesky(covariance, this.values, more);
    const count = this.values.length;
    let logDeterminant = 0;
    for (let i = 0, at = 0; i < count; at += ++i + 1) {
      logDeterminant += Math.log(this.lower[at] as number);
    }
    this.constant = -logDeterminant - (count / 2) * Math.log(2 * Math.PI);
    this.bounds =
      count === observations.length ? [] : this.boundsOf(observations, covariance, more);
  }

  private boundsOf(
    observations: readonly Observation[],
    covariance: readonly Float64Array[],
    more: readonly number[],
  ): BoundRow[] {
    return observations.flatMap(({ bound }, b): BoundRow[] => {
      if (!bound) return [];
      const weights = whitenPacked(
        this.lower,
        Float64Array.from(this.values, (a) => covariance[b]?.[a] ?? 0),
      );
      const known = weights.reduce((sum, weight) => sum + weight * weight, 0);
      const own = (covariance[b]?.[b] ?? 0) + (more[b] ?? 0);
      const sigma = Math.sqrt(Math.max(1e-12, own - known));
      return [{ index: b, sign: bound === 'at least' ? 1 : -1, weights, sigma }];
    });
  }

  /** Squared distance of the values' residuals from none, in standard deviations, and of how many: about as much is to be expected. */
  distanceOf(residuals: ArrayLike<number>): { readonly square: number; readonly count: number } {
    const z = this.whitened(residuals);
    return { square: z.reduce((sum, each) => sum + each * each, 0), count: z.length };
  }

  private whitened(residuals: ArrayLike<number>): Float64Array {
    const own = new Float64Array(this.values.length);
    for (let i = 0; i < own.length; i++) own[i] = residuals[this.values[i] as number] ?? 0;
    return whitenPacked(this.lower, own);
  }

  /** ln of the likelihood of residuals, ln measured − ln predicted, one for each observation. */
  of(residuals: ArrayLike<number>): number {
    const z = this.whitened(residuals);
    let sum = this.constant;
    for (const each of z) sum -= (each * each) / 2;
    for (const { index, sign, weights, sigma } of this.bounds) {
      let mean = 0;
      for (let i = 0; i < weights.length; i++) mean += (weights[i] as number) * (z[i] as number);
      sum += logNormalCdf((sign * (mean - (residuals[index] ?? 0))) / sigma);
    }
    return sum;
  }
}

/** Which observations are values, not bounds. */
function valuesAmong(observations: readonly Observation[]): Int32Array {
  const values = new Int32Array(observations.length);
  let count = 0;
  for (let i = 0; i < observations.length; i++) {
    if (observations[i]?.bound === null) values[count++] = i;
  }
  return values.subarray(0, count);
}

interface BoundRow {
  readonly index: number;
  readonly sign: 1 | -1;
  /** What the whitened values say of it. */
  readonly weights: Float64Array;
  /** What they leave open. */
  readonly sigma: number;
}

/** Far below the mean the tail is by its asymptotic series. */
const FAR = -6;

/**
 * ln of the share of a normal distribution below x. By the complementary error function of Abramowitz and Stegun
 * 7.1.26 (from memory), good to 1.5e-7 of the share; far out by the tail's asymptotic series.
 */
export function logNormalCdf(x: number): number {
  if (x < FAR) {
    const square = x * x;
    return (
      -square / 2 -
      Math.log(-x * Math.sqrt(2 * Math.PI)) +
      Math.log1p(-1 / square + 3 / square ** 2)
    );
  }
  return Math.log(normalCdf(x));
}

/** The share of a normal distribution below x. */
export function normalCdf(x: number): number {
  const y = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * y);
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = (poly * Math.exp(-y * y)) / 2;
  return x < 0 ? tail : 1 - tail;
}

/**
 * The covariance of observations in ln, of a model whose predictions move with its nuisances as the rows say.
 * @param rows by observation: what ln of its prediction changes by for ln of each nuisance
 * @param sigmas one standard deviation of each nuisance, in ln
 */
export function covarianceOf(
  observations: readonly Observation[],
  rows: readonly (readonly number[])[],
  sigmas: readonly number[],
): Float64Array[] {
  const scaled = rows.map((row) => Float64Array.from(row, (each, p) => each * (sigmas[p] ?? 0)));
  const lines = observations.map(() => new Float64Array(observations.length));
  observations.forEach((a, i) => {
    const one = scaled[i] as Float64Array;
    for (let j = 0; j <= i; j++) {
      const [b, other] = [observations[j] as Observation, scaled[j] as Float64Array];
      let sum = 0;
      for (let p = 0; p < one.length; p++) sum += (one[p] as number) * (other[p] as number);
      if (a.meter === b.meter) sum += a.meterSigma * b.meterSigma;
      if (i === j) sum += a.sigma ** 2;
      (lines[i] as Float64Array)[j] = sum;
      (lines[j] as Float64Array)[i] = sum;
    }
  });
  return lines;
}
