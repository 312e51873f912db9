/**
 * How much of the residuals `r` one pattern `d` explains, with covariance `c`, by generalised least
 * squares: r ≈ a·d, a = dᵀC⁻¹r / dᵀC⁻¹d, and χ² falls by a·dᵀC⁻¹r.
 */
export interface PatternFit {
  readonly amount: number;
  /** One standard deviation of the amount. */
  readonly sigma: number;
  readonly explains: number;
}

/** Row by row; symmetric, positive definite. */
export type Matrix = readonly ArrayLike<number>[];

/** The lower triangle L with L·Lᵀ = C (Cholesky). */
export function cholesky(c: Matrix): Float64Array[] {
  const lower: Float64Array[] = [];
  for (let i = 0; i < c.length; i++) {
    const own = new Float64Array(i + 1);
    for (let j = 0; j <= i; j++) {
      const other = j === i ? own : (lower[j] as Float64Array);
      let sum = (c[i] as ArrayLike<number>)[j] as number;
      for (let k = 0; k < j; k++) sum -= (own[k] as number) * (other[k] as number);
      own[j] = j === i ? Math.sqrt(sum) : sum / (other[j] as number);
    }
    lower.push(own);
  }
  return lower;
}

/** L⁻¹·v: in these coordinates the covariance is the unit matrix. */
export function whiten(lower: Matrix, v: ArrayLike<number>): number[] {
  const out: number[] = [];
  for (let i = 0; i < v.length; i++) {
    const row = lower[i] as ArrayLike<number>;
    let sum = v[i] as number;
    for (let k = 0; k < i; k++) sum -= (row[k] as number) * (out[k] as number);
    out.push(sum / (row[i] as number));
  }
  return out;
}

/** `r` and `d` whitened alike. A pattern of nothing explains nothing. */
export function fitPattern(r: readonly number[], d: readonly number[]): PatternFit {
  let dd = 0;
  let dr = 0;
  d.forEach((value, i) => {
    dd += value * value;
    dr += value * (r[i] ?? 0);
  });
  if (dd === 0) return { amount: 0, sigma: Number.POSITIVE_INFINITY, explains: 0 };
  return { amount: dr / dd, sigma: Math.sqrt(1 / dd), explains: (dr * dr) / dd };
}
