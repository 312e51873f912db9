import { STANDARD_DENSITY } from '../air/air-at-site';
import { toSI } from '../quantity/units';
import { estimatedCurve } from './estimated-curve';

/**
 * Blowers of small shops by the power of their motor, invented in every number: what such a machine
 * is usually like, an estimate until its own curve or two field tests replace it.
 */
export interface BlowerClass {
  readonly name: string;
  /** W */
  readonly power: number;
  /** m */
  readonly wheelDiameter: number;
  /** Flow with nothing attached, m³/s. */
  readonly freeFlow: number;
  /** Supply, V, and the breaker its circuit usually has, A, for shops on US mains and others. */
  readonly us: { readonly voltage: number; readonly breaker: number };
  readonly metric: { readonly voltage: number; readonly breaker: number };
}

const blowerClass = (
  name: string,
  horsepower: number,
  wheelInches: number,
  freeCfm: number,
  us: readonly [voltage: number, breaker: number],
  metricBreaker: number,
): BlowerClass => ({
  name,
  power: toSI(horsepower, 'hp'),
  wheelDiameter: toSI(wheelInches, 'in'),
  freeFlow: toSI(freeCfm, 'cfm'),
  us: { voltage: us[0], breaker: us[1] },
  metric: { voltage: 230, breaker: metricBreaker },
});

/** All turn a four- or two-pole motor's wheel directly: 3450 rpm on 60 Hz, 2850 on 50 Hz. */
export const WHEEL_SPEEDS = { us: toSI(3450, 'rpm'), metric: toSI(2850, 'rpm') } as const;

export const BLOWER_CLASSES = {
  half: blowerClass('½ hp', 0.5, 8, 380, [115, 15], 16),
  threeQuarter: blowerClass('¾ hp', 0.75, 9, 520, [115, 20], 16),
  one: blowerClass('1 hp', 1, 10, 680, [115, 20], 16),
  oneAndHalf: blowerClass('1½ hp', 1.5, 11, 880, [230, 15], 16),
  two: blowerClass('2 hp', 2, 12, 1100, [230, 20], 16),
  three: blowerClass('3 hp', 3, 14, 1500, [230, 30], 20),
  five: blowerClass('5 hp', 5, 15.5, 2200, [230, 40], 32),
} as const satisfies Record<string, BlowerClass>;

export type BlowerClassId = keyof typeof BLOWER_CLASSES;
export const BLOWER_CLASS_IDS = Object.keys(BLOWER_CLASSES) as BlowerClassId[];

/** Static efficiency such wheels reach at their best: an estimate. */
const USUAL_EFFICIENCY = 0.5;

/**
 * A blower of a class as a shop's document has one, its curve estimated from wheel and speed at
 * standard air.
 * @param system US mains, 60 Hz, or others, 50 Hz
 */
export function blowerOfClass(id: BlowerClassId, system: 'us' | 'metric') {
  const { name, power, wheelDiameter, freeFlow, ...mains } = BLOWER_CLASSES[id];
  const { voltage, breaker } = mains[system];
  const speed = WHEEL_SPEEDS[system];
  const free = freeFlow * (speed / WHEEL_SPEEDS.us);
  return {
    name: `${name} (estimate)`,
    curve: estimatedCurve(wheelDiameter, speed, free, STANDARD_DENSITY),
    measured: { density: STANDARD_DENSITY, speed, wheelDiameter },
    speed,
    wheelDiameter,
    efficiency: USUAL_EFFICIENCY,
    motor: { power, voltage, plateCurrent: null, startRatio: null },
    breaker,
    trip: 'unknown' as const,
    plug: null,
    inletElbow: null,
  };
}
