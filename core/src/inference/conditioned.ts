import { covarianceOf } from './evidence';
import { cholesky, whiten } from './least-squares';
import type { Observation } from './observations';

interface Known {
  readonly observation: Observation;
  /** ln measured − ln predicted. */
  readonly residual: number;
  /** What ln of its prediction moves by for each parameter. */
  readonly row: readonly number[];
}

/**
 * What readings leave open of a further one: the Gaussian of everything a model is unsure of, given those readings.
 * Bounds are left out: of what lies on the near side of a prediction they say little.
 */
export class Conditioned {
  private readonly lower: readonly Float64Array[];
  private readonly z: Float64Array;
  private readonly rows: readonly (readonly number[])[];

  /** @param sigmas one standard deviation of each parameter */
  constructor(
    known: readonly Known[],
    private readonly sigmas: readonly number[],
  ) {
    const values = known.filter(({ observation }) => observation.bound === null);
    this.rows = values.map(({ row }) => row.map((each, p) => each * (sigmas[p] ?? 0)));
    const covariance = covarianceOf(
      values.map(({ observation }) => observation),
      values.map(({ row }) => row),
      sigmas,
    );
    this.lower = cholesky(covariance);
    this.z = whiten(
      this.lower,
      values.map(({ residual }) => residual),
    );
  }

  /** By how much a prediction with such derivatives is to be moved, and the variance that is left of it, in ln. */
  of(row: readonly number[]): { readonly mean: number; readonly variance: number } {
    const scaled = row.map((each, p) => each * (this.sigmas[p] ?? 0));
    const own = scaled.reduce((sum, each) => sum + each * each, 0);
    const shared = this.rows.map((other) =>
      other.reduce((sum, each, p) => sum + each * (scaled[p] ?? 0), 0),
    );
    const w = whiten(this.lower, shared);
    const mean = w.reduce((sum, each, i) => sum + each * (this.z[i] ?? 0), 0);
    const known = w.reduce((sum, each) => sum + each * each, 0);
    return { mean, variance: Math.max(0, own - known) };
  }
}
