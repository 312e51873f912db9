import { cholesky, type Matrix, whiten } from './least-squares';

/**
 * ln of the density of each value of a Gaussian about 0, given all the others: by the inverse of the covariance, as in
 * Rasmussen and Williams, Gaussian Processes for Machine Learning (2006), 5.4.2, from memory.
 */
export function leaveOneOut(covariance: Matrix, residuals: readonly number[]): number[] {
  const lower = cholesky(covariance);
  // Columns of L⁻¹: their products are the inverse.
  const columns = residuals.map((_, i) =>
    whiten(
      lower,
      residuals.map((__, j) => (i === j ? 1 : 0)),
    ),
  );
  const z = whiten(lower, residuals);
  return columns.map((column) => {
    const precision = column.reduce((sum, each) => sum + each * each, 0);
    const pull = column.reduce((sum, each, k) => sum + each * (z[k] ?? 0), 0);
    const off = pull / precision;
    return (Math.log(precision) - precision * off * off - Math.log(2 * Math.PI)) / 2;
  });
}
