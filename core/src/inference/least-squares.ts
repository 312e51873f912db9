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
export type Matrix = readonly (readonly number[])[];

/** The lower triangle L with L·Lᵀ = C (Cholesky). */
export function cholesky(c: Matrix): number[][] {
  const lower: number[][] = [];
  c.forEach((row, i) => {
    const own: number[] = [];
    for (let j = 0; j <= i; j++) {
      const other = j === i ? own : (lower[j] ?? []);
      let sum = row[j] ?? 0;
      for (let k = 0; k < j; k++) sum -= (own[k] ?? 0) * (other[k] ?? 0);
      own.push(j === i ? Math.sqrt(sum) : sum / (other[j] ?? 1));
    }
    lower.push(own);
  });
  return lower;
}

/** L⁻¹·v: in these coordinates the covariance is the unit matrix. */
export function whiten(lower: Matrix, v: readonly number[]): number[] {
  const out: number[] = [];
  v.forEach((value, i) => {
    const row = lower[i] ?? [];
    const known = out.reduce((sum, other, j) => sum + (row[j] ?? 0) * other, 0);
    out.push((value - known) / (row[i] ?? 1));
  });
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
