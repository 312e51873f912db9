import type { BlowerPoint } from './blower';

/** Shut-off pressure over ρ·u²: 0.65–0.75 for the paddle wheels of small collectors. */
export const SHUT_OFF_COEFFICIENT = 0.7;
/** A blower's pressure falls as 1 − (Q/Q_max)^1.9: an estimate. */
export const FALL_EXPONENT = 1.9;
const SHARES = [0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9, 1];

/**
 * A blower's curve where nothing is published, an estimate in every point: shut-off ≈ 0.70·ρ·u²,
 * u the rim speed, falling as 1 − (Q/Q_max)^1.9.
 *
 * @param wheelDiameter m
 * @param speed rev/s
 * @param freeFlow flow with nothing attached, m³/s; less than the advertised figure
 * @param density kg/m³
 * @example estimatedCurve(0.3048, 57.5, 0.52, 1.2)[0] // { flow: 0, pressure: about 2550 }
 */
export function estimatedCurve(
  wheelDiameter: number,
  speed: number,
  freeFlow: number,
  density: number,
): BlowerPoint[] {
  const rimSpeed = Math.PI * wheelDiameter * speed;
  return fallingCurve(SHUT_OFF_COEFFICIENT * density * rimSpeed * rimSpeed, freeFlow);
}

const fallingCurve = (shutOff: number, freeFlow: number): BlowerPoint[] =>
  SHARES.map((share) => ({
    flow: share * freeFlow,
    pressure: shutOff * (1 - share ** FALL_EXPONENT),
  }));

export type CurveFromTests =
  | { readonly ok: true; readonly points: BlowerPoint[] }
  | { readonly ok: false; readonly reason: string };

/**
 * A blower's curve from two field tests: the pressure across it with its inlet blocked, and flow
 * and pressure with its inlet open. Between and beyond them the estimated fall, 1 − (Q/Q_max)^1.9,
 * drawn through both.
 *
 * @param blocked static pressure across the blower without flow, Pa
 * @param open flow in m³/s and the static pressure across the blower at it, Pa: what its filter
 *   takes then
 * @returns points at the density the tests were made in; a sentence where they cannot be one blower
 * @example curveFromTests(2500, { flow: 0.4, pressure: 500 }) // shut-off 2500 Pa, free flow 0.45
 */
export function curveFromTests(blocked: number, open: BlowerPoint): CurveFromTests {
  if (!(blocked > 0)) {
    return { ok: false, reason: 'With its inlet blocked a blower makes more than no pressure.' };
  }
  if (!(open.flow > 0)) {
    return { ok: false, reason: 'With its inlet open a blower moves more than no air.' };
  }
  if (!(open.pressure < blocked)) {
    return {
      ok: false,
      reason: 'With its inlet open a blower makes less pressure than with it blocked.',
    };
  }
  const share = (1 - Math.max(0, open.pressure) / blocked) ** (1 / FALL_EXPONENT);
  return { ok: true, points: fallingCurve(blocked, open.flow / share) };
}
