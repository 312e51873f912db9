import { fanLaws } from '../quantity/fan-laws';
import { type MonotoneCurve, monotoneCurve } from './monotone-curve';

export interface BlowerPoint {
  /** m³/s */
  readonly flow: number;
  /** Fan static pressure, Pa (AMCA: static at the outlet less total at the inlet). */
  readonly pressure: number;
}

/** What a curve was measured at, or what the blower runs at. */
export interface BlowerState {
  /** Air density, kg/m³. */
  readonly density: number;
  /** rev/s */
  readonly speed: number;
  /** Diameter of the wheel in its housing, m. */
  readonly wheelDiameter: number;
}

/**
 * A blower's points at another density, speed or wheel, by `fanLaws`.
 * @example // twice the speed: twice the flow, four times the pressure
 * scaleBlower([{ flow: 0.2, pressure: 1000 }], a, { ...a, speed: 2 * a.speed })
 */
export function scaleBlower(
  points: readonly BlowerPoint[],
  measured: BlowerState,
  running: BlowerState,
): BlowerPoint[] {
  const times = fanLaws({
    speed: running.speed / measured.speed,
    wheel: running.wheelDiameter / measured.wheelDiameter,
    density: running.density / measured.density,
  });
  return points.map(({ flow, pressure }) => ({
    flow: flow * times.flow,
    pressure: pressure * times.pressure,
  }));
}

/** Whether a curve rises anywhere, out of a stall: such a blower may settle at more than one flow. */
export const isRising = (points: readonly BlowerPoint[]): boolean =>
  points.some(({ pressure }, i) => pressure > (points[i - 1]?.pressure ?? Infinity));

/** The smooth curve through a blower's points; at least two, flow rising. */
export const blowerCurve = (points: readonly BlowerPoint[]): MonotoneCurve =>
  monotoneCurve(points.map(({ flow, pressure }) => [flow, pressure] as const));
