/** Row by row, each as far as the diagonal at least; symmetric, positive definite. */
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
export function whiten(lower: Matrix, v: ArrayLike<number>): Float64Array {
  const out = new Float64Array(v.length);
  for (let i = 0; i < v.length; i++) {
    const row = lower[i] as ArrayLike<number>;
    let sum = v[i] as number;
    for (let k = 0; k < i; k++) sum -= (row[k] as number) * (out[k] as number);
    out[i] = sum / (row[i] as number);
  }
  return out;
}
