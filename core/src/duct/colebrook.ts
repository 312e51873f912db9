/**
 * The Darcy friction factor of round pipe.
 *
 * Turbulent: Colebrook–White, solved for x = 1/√f by Householder's method of third order, where
 * g(x) = x + 2·log₁₀(ε/3.7D + 2.51·x/Re) is smooth and nearly straight. A logarithm is what costs
 * time here and all three derivatives come with it: two steps reach machine precision from any x,
 * one from the answer at a flow a few per cent off. Laminar: 64/Re. Between Re 2000 and 4000, where
 * neither holds, a cubic in Re that meets both with their slopes, so that a solver sees no kink.
 *
 * Source: Colebrook 1939; Moody 1944 (checked in `core/reference/moody.test.ts`).
 */

export const LAMINAR_END = 2000;
export const TURBULENT_START = 4000;

const TWO_OVER_LN10 = 2 / Math.LN10;

/** A step no longer than this leaves the next one nothing to mend. */
const LAST_STEP = 0.02;

/** 1/√f by Colebrook–White from `reynolds` (≥ 4000) and ε/D, starting at `guess`. */
export function colebrookInverseRoot(
  reynolds: number,
  relativeRoughness: number,
  guess = 7,
): number {
  const rough = relativeRoughness / 3.7;
  const smooth = 2.51 / reynolds;
  let x = guess;
  for (let step = 0; step < 20; step++) {
    const inside = rough + smooth * x;
    const bend = (TWO_OVER_LN10 * smooth) / inside;
    // h = g/g', with c2 = g''/g' and c3 = g'''/g', all from the one logarithm.
    const h = (x + TWO_OVER_LN10 * Math.log(inside)) / (1 + bend);
    const c2 = (-bend * bend) / TWO_OVER_LN10 / (1 + bend);
    const c3 = ((-2 * bend) / TWO_OVER_LN10) * c2;
    const change = (h * (1 - (h * c2) / 2)) / (1 - h * c2 + (h * h * c3) / 6);
    x -= change;
    // What is left is about a millionth of change⁴.
    if (Math.abs(change) < LAST_STEP) break;
  }
  return x;
}

/** d(1/√f)/dRe on the Colebrook curve, from the implicit function. */
function colebrookSlope(reynolds: number, relativeRoughness: number, x: number): number {
  const smooth = 2.51 / reynolds;
  const inside = relativeRoughness / 3.7 + smooth * x;
  const weight = TWO_OVER_LN10 / inside;
  return (weight * smooth * x) / reynolds / (1 + weight * smooth);
}

/** A friction factor with its derivative by Reynolds number and the 1/√f to start the next from. */
export interface Friction {
  factor: number;
  slope: number;
  inverseRoot: number;
}

/**
 * Writes the friction factor at `reynolds` (> 0) and ε/D (0 to 0.05) into `out`, starting from
 * `out.inverseRoot`. Allocation-free for the solver; everyone else calls `frictionFactor`.
 */
export function frictionInto(out: Friction, reynolds: number, relativeRoughness: number): void {
  if (reynolds <= LAMINAR_END) {
    out.factor = 64 / reynolds;
    out.slope = -64 / (reynolds * reynolds);
    return;
  }
  const edge = Math.max(reynolds, TURBULENT_START);
  const x = colebrookInverseRoot(edge, relativeRoughness, out.inverseRoot);
  out.inverseRoot = x;
  const factor = 1 / (x * x);
  const slope = (-2 * factor * colebrookSlope(edge, relativeRoughness, x)) / x;
  if (reynolds >= TURBULENT_START) {
    out.factor = factor;
    out.slope = slope;
    return;
  }
  const width = TURBULENT_START - LAMINAR_END;
  const t = (reynolds - LAMINAR_END) / width;
  const f0 = 64 / LAMINAR_END;
  const m0 = -(f0 / LAMINAR_END) * width;
  const m1 = slope * width;
  out.factor =
    f0 * (1 + t * t * (2 * t - 3)) +
    m0 * t * (1 - t) ** 2 +
    factor * t * t * (3 - 2 * t) +
    m1 * t * t * (t - 1);
  out.slope =
    (6 * t * (t - 1) * (f0 - factor) + m0 * (1 - t) * (1 - 3 * t) + m1 * t * (3 * t - 2)) / width;
}

/**
 * The Darcy friction factor at Reynolds number `reynolds` and relative roughness ε/D.
 * Zero or negative Reynolds numbers give Infinity, as 64/Re does.
 * @example frictionFactor(1e5, 0.001) // 0.0222
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  if (!(reynolds > 0)) return Number.POSITIVE_INFINITY;
  const out: Friction = { factor: 0, slope: 0, inverseRoot: 7 };
  frictionInto(out, reynolds, relativeRoughness);
  return out.factor;
}
