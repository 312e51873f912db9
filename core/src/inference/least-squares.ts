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

/**
 * The same of some rows and columns of a matrix, with more on its diagonal, row by row in one array: for whoever needs
 * hundreds of them.
 * @param more by the whole matrix's rows; what it does not have is 0
 */
export function packedCholesky(
  c: Matrix,
  indices: ArrayLike<number>,
  more: ArrayLike<number>,
): Float64Array {
  const size = indices.length;
  const lower = new Float64Array((size * (size + 1)) / 2);
  for (let i = 0, start = 0; i < size; start += ++i) {
    const from = indices[i] as number;
    const row = c[from] as ArrayLike<number>;
    for (let j = 0, other = 0; j <= i; other += ++j) {
      let sum = row[indices[j] as number] as number;
      if (j === i) sum += more[from] ?? 0;
      for (let k = 0; k < j; k++) {
        sum -= (lower[start + k] as number) * (lower[other + k] as number);
      }
      lower[start + j] = j === i ? Math.sqrt(sum) : sum / (lower[other + j] as number);
    }
  }
  return lower;
}

/** L⁻¹·v of a packed triangle, into an array of its size. */
export function whitenPacked(lower: Float64Array, v: Float64Array): Float64Array {
  const out = new Float64Array(v.length);
  for (let i = 0, start = 0; i < v.length; start += ++i) {
    let sum = v[i] as number;
    for (let k = 0; k < i; k++) sum -= (lower[start + k] as number) * (out[k] as number);
    out[i] = sum / (lower[start + i] as number);
  }
  return out;
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
