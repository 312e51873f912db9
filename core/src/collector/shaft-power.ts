import { type BlowerPoint, blowerCurve } from './blower';
import { curveInto } from './monotone-curve';

/** Share of its shaft power at best that a wheel takes while it moves no air: an estimate. */
export const IDLE_SHARE = 0.35;

const STEPS = 200;

/** Where a blower's air power, flow times pressure, is greatest. */
export function greatestAirPower(points: readonly BlowerPoint[]): BlowerPoint {
  const curve = blowerCurve(points);
  const last = points.at(-1)?.flow ?? 0;
  const out = { value: 0, slope: 0 };
  let best: BlowerPoint = { flow: 0, pressure: 0 };
  for (let i = 0; i <= STEPS; i++) {
    const flow = (last * i) / STEPS;
    curveInto(out, curve, flow);
    if (flow * out.value > best.flow * best.pressure) best = { flow, pressure: out.value };
  }
  return best;
}

/**
 * Power in W that a blower asks of its shaft at `flow` (m³/s). Where its air power is greatest it
 * is Q·P/η (W = Q·P/η, AMCA); from there it follows flow in a straight line, as it does for the
 * paddle wheels of small collectors, down to 0.35 of it without flow (an estimate): more air is
 * more power, and opening everything loads the motor most.
 *
 * @param points the curve as it runs, at the site's density, speed and wheel
 * @param efficiency static, at its best, 0–1
 * @example // 1000 W of air at its best and an efficiency of a half: 2000 W there
 */
export function shaftPower(
  flow: number,
  points: readonly BlowerPoint[],
  efficiency: number,
): number {
  const best = greatestAirPower(points);
  if (best.flow === 0) return 0;
  const atBest = (best.flow * best.pressure) / efficiency;
  return atBest * (IDLE_SHARE + ((1 - IDLE_SHARE) * Math.max(0, flow)) / best.flow);
}

/** Static efficiency at a point of the curve: air power over shaft power; 0 without flow. */
export function staticEfficiency(
  { flow, pressure }: BlowerPoint,
  points: readonly BlowerPoint[],
  efficiency: number,
): number {
  const power = shaftPower(flow, points, efficiency);
  return power > 0 ? (Math.max(0, flow) * Math.max(0, pressure)) / power : 0;
}
