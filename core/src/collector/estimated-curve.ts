import { circleArea, velocityPressure } from '../air/velocity-pressure';
import type { BlowerPoint } from './blower';

/** Shut-off pressure over ρ·u²: 0.65–0.75 for the paddle wheels of small collectors. */
export const SHUT_OFF_COEFFICIENT = 0.7;
/** A blower's pressure falls as 1 − (Q/Q_max)^1.9: an estimate. */
export const FALL_EXPONENT = 1.9;
const SHARES: readonly number[] = [0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9, 1];
/** Two points of a curve nearer than this share of its free flow are one. */
const NEAR = 1e-6;

/**
 * A blower's curve where nothing is published, an estimate in every point: shut-off ≈ 0.70·ρ·u²,
 * u the rim speed, falling as 1 − (Q/Q_max)^1.9.
 *
 * @param wheelDiameter m
 * @param speed rev/s
 * @param freeFlow flow at no fan static pressure, m³/s. No blower moves that much with nothing
 *   attached, since its open inlet takes pressure: see `freeFlowOf`
 * @param density kg/m³
 * @example estimatedCurve(0.3048, 57.5, 0.52, 1.2)[0] // { flow: 0, pressure: about 2550 }
 */
export const estimatedCurve = (
  wheelDiameter: number,
  speed: number,
  freeFlow: number,
  density: number,
): BlowerPoint[] => fallingCurve(estimatedShutOff(wheelDiameter, speed, density), freeFlow);

/**
 * Pressure an unknown blower makes with its inlet blocked, Pa: 0.70·ρ·u², an estimate.
 * @param wheelDiameter m
 * @param speed rev/s
 * @param density kg/m³
 */
export function estimatedShutOff(wheelDiameter: number, speed: number, density: number): number {
  const rimSpeed = Math.PI * wheelDiameter * speed;
  return SHUT_OFF_COEFFICIENT * density * rimSpeed * rimSpeed;
}

const fallingCurve = (
  shutOff: number,
  freeFlow: number,
  shares: readonly number[] = SHARES,
): BlowerPoint[] =>
  shares.map((share) => ({
    flow: share * freeFlow,
    pressure: shutOff * (1 - share ** FALL_EXPONENT),
  }));

/** A blower read with nothing attached to its inlet. SI. */
export interface BareTest {
  readonly flow: number;
  /** True inside diameter of the inlet, m. */
  readonly inletDiameter: number;
  /** What the open inlet loses on its velocity pressure: 0.93 a plain pipe end, 0.49 a flanged one. */
  readonly entryLoss: number;
  /** Static pressure at its outlet then, Pa over the room: what its filter takes. */
  readonly outlet: number;
}

/**
 * Fan static pressure of a blower with nothing attached to its inlet, Pa: static at the outlet less
 * total at the inlet (AMCA 210, from memory). At an open inlet the total pressure lies below the room's
 * by the entry loss; what a tap shows there is lower still, by the velocity pressure, and no loss.
 * @param density kg/m³
 * @example bareFanStatic({ flow: 0.42, inletDiameter: 0.127, entryLoss: 0.93, outlet: 120 }, 1.2) // 733
 */
export const bareFanStatic = (
  { flow, inletDiameter, entryLoss, outlet }: BareTest,
  density: number,
): number => outlet + entryLoss * velocityPressure(flow / circleArea(inletDiameter), density);

/**
 * The flow at which a blower would make no fan static pressure, m³/s, from what it moves bare: the
 * estimated fall, 1 − (Q/Q_max)^1.9, drawn through that point. Null where the open inlet and the filter
 * alone would take more than the blower gives.
 * @param shutOff Pa
 * @param density kg/m³
 */
export function freeFlowOf(bare: BareTest, shutOff: number, density: number): number | null {
  const share = 1 - bareFanStatic(bare, density) / shutOff;
  return share > 0 && share <= 1 ? bare.flow / share ** (1 / FALL_EXPONENT) : null;
}

export type CurveFromTests =
  | { readonly ok: true; readonly points: BlowerPoint[] }
  | { readonly ok: false; readonly reason: string };

/**
 * A blower's curve from two field tests, both made at the blower's own inlet with no separator and no
 * duct before it: the pressure with the inlet blocked, and the flow with it open. Between and beyond them
 * the estimated fall, 1 − (Q/Q_max)^1.9, drawn through both. Solved bare, with the same inlet and the
 * same filter, such a blower moves the flow that was read.
 *
 * @param blocked suction at a tap in the blocked inlet, Pa below the room. No air moves: static and
 *   total pressure are one, and the outlet is at the room's pressure
 * @param open what was read with the inlet open
 * @param density of the air the tests were made in, kg/m³
 * @returns points at that density; a sentence where the tests cannot be of one blower
 * @example
 * curveFromTests(2500, { flow: 0.42, inletDiameter: 0.127, entryLoss: 0.93, outlet: 120 }, 1.2)
 * // shut-off 2500 Pa, no pressure at 0.504 m³/s
 */
export function curveFromTests(blocked: number, open: BareTest, density: number): CurveFromTests {
  if (!(blocked > 0)) {
    return { ok: false, reason: 'With its inlet blocked, a blower makes some suction.' };
  }
  if (!(open.flow > 0)) {
    return { ok: false, reason: 'With its inlet open, a blower moves some air.' };
  }
  if (!(open.inletDiameter > 0)) {
    return { ok: false, reason: 'The inlet needs a diameter.' };
  }
  if (!(open.outlet >= 0) || !(open.entryLoss >= 0)) {
    return {
      ok: false,
      reason: 'The pressure at the outlet and the entry loss are zero or more.',
    };
  }
  const freeFlow = freeFlowOf(open, blocked, density);
  if (freeFlow === null) {
    return {
      ok: false,
      reason:
        'At that flow the open inlet and the filter would take more than the pressure with the inlet blocked. Check the flow, the inlet’s diameter and both pressures.',
    };
  }
  // The flow that was read is a point of its own, so that what lies between points cannot move it.
  const read = open.flow / freeFlow;
  const shares = SHARES.some((share) => Math.abs(share - read) < NEAR)
    ? SHARES
    : [...SHARES, read].sort((a, b) => a - b);
  return { ok: true, points: fallingCurve(blocked, freeFlow, shares) };
}
