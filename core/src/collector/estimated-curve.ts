import type { BlowerPoint } from './blower';

/** Shut-off pressure over ρ·u²: 0.65–0.75 for the paddle wheels of small collectors. */
const SHUT_OFF_COEFFICIENT = 0.7;
const FALL_EXPONENT = 1.9;
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
  const shutOff = SHUT_OFF_COEFFICIENT * density * rimSpeed * rimSpeed;
  return SHARES.map((share) => ({
    flow: share * freeFlow,
    pressure: shutOff * (1 - share ** FALL_EXPONENT),
  }));
}
