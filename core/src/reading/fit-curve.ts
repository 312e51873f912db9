import { inverse, Matrix, solve } from 'ml-matrix';
import { FALL_EXPONENT } from '../collector/estimated-curve';
import { studentT } from '../measuring/student-t';

/** Flow and the fan static pressure at it, as they were read; m³/s and Pa. */
export interface TestPoint {
  readonly flow: number;
  readonly pressure: number;
}

/** What the two meters may be off by as a whole, as shares, 95 times in 100. */
export interface TestUncertainties {
  readonly flow: number;
  readonly pressure: number;
}

export interface CurveAt {
  readonly pressure: number;
  /** Half-width of its 95 % interval, Pa: the points' own scatter and the meters' uncertainties. */
  readonly uncertainty: number;
}

export type FittedCurve =
  | {
      readonly ok: true;
      /** P = shutOff·(1 − (Q/freeFlow)^exponent). */
      readonly shutOff: number;
      readonly freeFlow: number;
      readonly exponent: number;
      /** The exponent is the usual one: too few points to fit it. */
      readonly isExponentAssumed: boolean;
      readonly at: (flow: number) => CurveAt;
      /** Largest flow that was tested; beyond it the curve is an extrapolation. */
      readonly tested: number;
    }
  | { readonly ok: false; readonly reason: string };

/** Fewer points than this say nothing about scatter. */
const LEAST_STEPS = 4;
/** From so many on the exponent is fitted too. */
const STEPS_FOR_EXPONENT = 6;
const EXPONENTS = { least: 1, most: 4 } as const;
/** Share of the greatest pressure that any reading may be off by: a manometer's own division. */
const DIVISION = 0.005;
/** Weights depend on the slope of what is fitted: so many rounds settle them. */
const ROUNDS = 4;

type Parameters = readonly [shutOff: number, freeFlow: number, exponent: number];

const modelled = ([a, q, n]: Parameters, flow: number) => a * (1 - (flow / q) ** n);

const gradient = ([a, q, n]: Parameters, flow: number): [number, number, number] => {
  const share = flow / q;
  const power = share > 0 ? share ** n : 0;
  return [1 - power, (a * n * power) / q, share > 0 ? -a * power * Math.log(share) : 0];
};

const slopeAt = ([a, q, n]: Parameters, flow: number) =>
  flow > 0 ? (-a * n * (flow / q) ** n) / flow : 0;

/**
 * A blower's curve from a field test: one gate drawn step by step, flow and fan static pressure read
 * at each. Least squares (Levenberg–Marquardt) on P = P₀·(1 − (Q/Q₀)^n), each point weighed by what
 * its two readings may scatter by: a flow's error counts by the curve's slope (effective variance).
 * The exponent is fitted from six points on, else the usual one is taken.
 *
 * The interval at a flow has two parts, added at right angles: the points' scatter about the curve
 * (Student's t, n − p degrees of freedom) and the meters' own uncertainties, which shift all points alike.
 *
 * Fails, with a sentence, with fewer than four points, flows that hardly differ, or a pressure that
 * does not fall as the flow rises.
 */
export function fitCurve(
  points: readonly TestPoint[],
  uncertainties: TestUncertainties,
): FittedCurve {
  const refusal = unfit(points);
  if (refusal) return { ok: false, reason: refusal };
  const flowScale = Math.max(...points.map(({ flow }) => flow));
  const pressureScale = Math.max(...points.map(({ pressure }) => pressure));
  const x = points.map(({ flow }) => flow / flowScale);
  const y = points.map(({ pressure }) => pressure / pressureScale);
  const isExponentAssumed = points.length < STEPS_FOR_EXPONENT;
  const count = isExponentAssumed ? 2 : 3;

  const least = Math.min(...y);
  let fitted: Parameters = [
    Math.max(...y) * 1.02,
    (1 - Math.min(least, 0.98)) ** (-1 / FALL_EXPONENT),
    FALL_EXPONENT,
  ];
  let variances: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const now = fitted;
    variances = x.map((flow) => {
      const ofPressure = uncertainties.pressure * Math.max(0, modelled(now, flow));
      const ofFlow = uncertainties.flow * flow * slopeAt(now, flow);
      return ofPressure ** 2 + ofFlow ** 2 + DIVISION ** 2;
    });
    fitted = leastSquares(x, y, variances, now, isExponentAssumed);
  }
  const [a, q, n] = fitted;
  if (!fitted.every(Number.isFinite) || !(a > 0) || !(q > 0)) {
    return { ok: false, reason: 'These readings make no curve a blower could have.' };
  }

  const freedom = points.length - count;
  const chiSquare = x.reduce(
    (sum, flow, i) => sum + ((y[i] ?? 0) - modelled(fitted, flow)) ** 2 / (variances[i] ?? 1),
    0,
  );
  const covariance = covarianceOf(x, variances, fitted, count, chiSquare / freedom);
  const t = studentT(freedom);
  const at = (flow: number): CurveAt => {
    const own = flow / flowScale;
    const direction = gradient(fitted, own).slice(0, count);
    const scatter = t * Math.sqrt(Math.max(0, quadraticForm(covariance, direction)));
    const pressure = modelled(fitted, own);
    const byFlow = uncertainties.flow * own * slopeAt(fitted, own);
    const byPressure = uncertainties.pressure * pressure;
    return {
      pressure: pressure * pressureScale,
      uncertainty: pressureScale * Math.hypot(scatter, byFlow, byPressure),
    };
  };
  return {
    ok: true,
    shutOff: a * pressureScale,
    freeFlow: q * flowScale,
    exponent: n,
    isExponentAssumed,
    at,
    tested: flowScale,
  };
}

function unfit(points: readonly TestPoint[]): string | null {
  if (points.length < LEAST_STEPS) {
    return `A curve wants at least ${LEAST_STEPS} gate openings, blocked and open among them.`;
  }
  if (points.some(({ pressure }) => !(pressure > 0))) {
    return 'A step shows no pressure across the blower: look at its tubes, or leave the step out.';
  }
  const byFlow = [...points].sort((a, b) => a.flow - b.flow);
  const [first] = byFlow;
  const last = byFlow.at(-1);
  if (!first || !last || last.flow - first.flow < 0.3 * last.flow) {
    return 'The flows hardly differ: shut the gate further for some of the steps.';
  }
  if (!(last.pressure < 0.97 * first.pressure)) {
    return 'The pressure does not fall as the flow rises: the readings may be of two different places.';
  }
  return null;
}

/** Bounds that keep a step of the fit on curves a blower could have, in shares of the greatest reading. */
const LOWEST: Parameters = [1e-3, 0.5, EXPONENTS.least];
const HIGHEST: Parameters = [10, 50, EXPONENTS.most];
const MOST_ITERATIONS = 100;
const DAMPING = { first: 1e-3, by: 10, most: 1e9 } as const;

/**
 * Weighted least squares by Levenberg and Marquardt: solve (JᵀWJ + λ·diag)·δ = JᵀWr, take the step
 * where it is better and damp less, else damp more; stop where steps no longer matter.
 */
function leastSquares(
  x: readonly number[],
  y: readonly number[],
  variances: readonly number[],
  start: Parameters,
  isExponentAssumed: boolean,
): Parameters {
  const free = isExponentAssumed ? 2 : 3;
  const chiSquare = (own: Parameters) =>
    x.reduce(
      (sum, flow, i) => sum + ((y[i] ?? 0) - modelled(own, flow)) ** 2 / (variances[i] ?? 1),
      0,
    );
  let best = start;
  let error = chiSquare(best);
  let damping: number = DAMPING.first;
  for (let step = 0; step < MOST_ITERATIONS && damping < DAMPING.most; step++) {
    const { normal, right } = normalEquations(x, y, variances, best, free);
    for (let k = 0; k < free; k++) normal.set(k, k, normal.get(k, k) * (1 + damping) + 1e-15);
    const change = solve(normal, right).to1DArray();
    const trial = best.map((value, k) =>
      Math.min(Math.max(value + (change[k] ?? 0), LOWEST[k] ?? 0), HIGHEST[k] ?? 0),
    ) as [number, number, number];
    const after = chiSquare(trial);
    if (!(after < error)) {
      damping *= DAMPING.by;
      continue;
    }
    const isSettled = trial.every((value, k) => Math.abs(value - (best[k] ?? 0)) < 1e-11 * value);
    best = trial;
    error = after;
    if (isSettled) break;
    damping /= DAMPING.by;
  }
  return best;
}

function normalEquations(
  x: readonly number[],
  y: readonly number[],
  variances: readonly number[],
  own: Parameters,
  free: number,
): { normal: Matrix; right: Matrix } {
  const normal = Matrix.zeros(free, free);
  const right = Matrix.zeros(free, 1);
  x.forEach((flow, i) => {
    const partials = gradient(own, flow);
    const weight = 1 / (variances[i] ?? 1);
    const residual = (y[i] ?? 0) - modelled(own, flow);
    for (let k = 0; k < free; k++) {
      const partial = partials[k] ?? 0;
      right.set(k, 0, right.get(k, 0) + weight * partial * residual);
      for (let l = 0; l < free; l++) {
        normal.set(k, l, normal.get(k, l) + weight * partial * (partials[l] ?? 0));
      }
    }
  });
  return { normal, right };
}

/** Of the parameters: s²·(JᵀWJ)⁻¹. */
const covarianceOf = (
  x: readonly number[],
  variances: readonly number[],
  fitted: Parameters,
  count: number,
  scale: number,
): Matrix => inverse(normalEquations(x, x, variances, fitted, count).normal, true).mul(scale);

const quadraticForm = (matrix: Matrix, direction: readonly number[]): number => {
  const row = Matrix.rowVector(direction);
  return row.mmul(matrix).mmul(row.transpose()).get(0, 0);
};
