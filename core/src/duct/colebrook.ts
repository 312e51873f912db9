import { octaveTable, readTable } from '../quantity/octave-table';

/**
 * The Darcy friction factor of round pipe.
 *
 * Turbulent: Colebrook–White, 1/√f = −a·ln(ε/3.7D + 2.51/(Re·√f)) with a = 2/ln 10. With
 *   z = 1/√f + B,   B = (ε/3.7D)·Re/2.51,   s = B + a·ln(Re/2.51)
 * it is z + a·ln z = s: one function z(s) of one variable for every roughness, smooth and nearly
 * straight (its explicit form is Lambert's W; Keady 1998, from memory). `frictionFactor` solves it
 * to machine precision by Newton's method; `frictionInto`, for solvers, reads z(s) and a·ln Re from
 * two tables, good to 1e-8, without a logarithm. Laminar: 64/Re. Between Re 2000 and 4000, where
 * neither holds, a cubic in Re that meets both with their slopes, so that a solver sees no kink.
 *
 * Source: Colebrook 1939; Moody 1944 (checked in `core/reference/moody.test.ts`).
 */

export const LAMINAR_END = 2000;
const TURBULENT_START = 4000;

const A = 2 / Math.LN10;
const ROUGH = 3.7;
const SMOOTH = 2.51;
const A_LN_SMOOTH = A * Math.log(SMOOTH);
const MAX_STEPS = 30;

/** z of z + a·ln z = s, for s ≥ 1. */
function solveZ(s: number): number {
  let z = s;
  for (let step = 0; step < MAX_STEPS; step++) {
    const change = (z + A * Math.log(z) - s) / (1 + A / z);
    z -= change;
    if (Math.abs(change) <= 1e-15 * z) break;
  }
  return z;
}

/** For ε/D to 0.05 and any flow of air s runs from 6 to a few 1e4. */
const Z = octaveTable(
  (out, s) => {
    const z = solveZ(s);
    out[0] = z;
    out[1] = z / (z + A);
  },
  6,
  2 ** 18,
  16,
);

const LN = octaveTable(
  (out, reynolds) => {
    out[0] = A * Math.log(reynolds);
    out[1] = A / reynolds;
  },
  LAMINAR_END,
  2 ** 24,
);

const ln = new Float64Array(2);
const z = new Float64Array(2);

/**
 * Writes the friction factor at `reynolds` (> 0) and ε/D (0 to 0.05) into `out[0]`, its derivative
 * by Reynolds number into `out[1]`. Allocation-free, for solvers.
 */
export function frictionInto(out: Float64Array, reynolds: number, relativeRoughness: number): void {
  if (reynolds <= LAMINAR_END) {
    out[0] = 64 / reynolds;
    out[1] = -64 / (reynolds * reynolds);
    return;
  }
  const edge = Math.max(reynolds, TURBULENT_START);
  const perReynolds = relativeRoughness / (ROUGH * SMOOTH);
  const b = perReynolds * edge;
  readTable(ln, LN, edge);
  readTable(z, Z, b + (ln[0] as number) - A_LN_SMOOTH);
  const root = 1 / ((z[0] as number) - b);
  const byReynolds = (z[1] as number) * (perReynolds + (ln[1] as number)) - perReynolds;
  out[0] = root * root;
  out[1] = -2 * root * root * root * byReynolds;
  if (reynolds < TURBULENT_START) bridgeInto(out, reynolds);
}

/** The cubic from laminar friction to the turbulent value and slope at its start, in `out`. */
function bridgeInto(out: Float64Array, reynolds: number): void {
  const width = TURBULENT_START - LAMINAR_END;
  const t = (reynolds - LAMINAR_END) / width;
  const f0 = 64 / LAMINAR_END;
  const f1 = out[0] as number;
  const m0 = -(f0 / LAMINAR_END) * width;
  const m1 = (out[1] as number) * width;
  out[0] =
    f0 * (1 + t * t * (2 * t - 3)) +
    m0 * t * (1 - t) ** 2 +
    f1 * t * t * (3 - 2 * t) +
    m1 * t * t * (t - 1);
  out[1] =
    (6 * t * (t - 1) * (f0 - f1) + m0 * (1 - t) * (1 - 3 * t) + m1 * t * (3 * t - 2)) / width;
}

const exact = new Float64Array(2);

/**
 * The Darcy friction factor at Reynolds number `reynolds` and relative roughness ε/D.
 * Zero or negative Reynolds numbers give Infinity, as 64/Re does.
 * @example frictionFactor(1e5, 0.001) // 0.0222
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  if (!(reynolds > 0)) return Number.POSITIVE_INFINITY;
  if (reynolds <= LAMINAR_END) return 64 / reynolds;
  const edge = Math.max(reynolds, TURBULENT_START);
  const perReynolds = relativeRoughness / (ROUGH * SMOOTH);
  const b = perReynolds * edge;
  const root = solveZ(b + A * Math.log(edge / SMOOTH));
  const x = root - b;
  if (reynolds >= TURBULENT_START) return 1 / (x * x);
  exact[0] = 1 / (x * x);
  exact[1] = (-2 / x ** 3) * ((root / (root + A)) * (perReynolds + A / edge) - perReynolds);
  bridgeInto(exact, reynolds);
  return exact[0] as number;
}
