import { STANDARD_DENSITY } from '../air/air-at-site';
import { toSI } from '../quantity/units';
import { estimatedCurve, estimatedShutOff, freeFlowOf } from './estimated-curve';

/**
 * Blowers of small shops by wheel and motor, invented in every number: what such a machine is usually
 * like, an estimate until its own curve or two field tests replace it. The wheel and its speed make the
 * pressure; the motor only says what the wheel may ask of it, so that two machines sold as 2 hp can be a
 * third apart.
 */
export interface BlowerClass {
  readonly name: string;
  /** W */
  readonly power: number;
  /** m */
  readonly wheelDiameter: number;
  /** True inside diameter of its inlet, m. */
  readonly inletDiameter: number;
  /** Flow through that inlet, open, with no duct, separator or filter, m³/s. */
  readonly bareFlow: number;
  /** Static efficiency at its best. */
  readonly efficiency: number;
  /** Supply, V, and the breaker its circuit usually has, A, for shops on US mains and others. */
  readonly us: { readonly voltage: number; readonly breaker: number };
  readonly metric: { readonly voltage: number; readonly breaker: number };
}

/** Static efficiency such wheels reach at their best, small machines and larger ones: estimates. */
const SMALL_EFFICIENCY = 0.5;
const LARGE_EFFICIENCY = 0.55;

const blowerClass = (
  name: string,
  horsepower: number,
  wheelInches: number,
  [inletInches, bareCfm]: readonly [inletInches: number, bareCfm: number],
  us: readonly [voltage: number, breaker: number],
  metricBreaker: number,
  efficiency: number = SMALL_EFFICIENCY,
): BlowerClass => ({
  name,
  power: toSI(horsepower, 'hp'),
  wheelDiameter: toSI(wheelInches, 'in'),
  inletDiameter: toSI(inletInches, 'in'),
  bareFlow: toSI(bareCfm, 'cfm'),
  us: { voltage: us[0], breaker: us[1] },
  metric: { voltage: 230, breaker: metricBreaker },
  efficiency,
});

/** All turn a two-pole motor's wheel directly: 3450 rpm on 60 Hz, 2850 on 50 Hz. */
const WHEEL_SPEEDS = { us: toSI(3450, 'rpm'), metric: toSI(2850, 'rpm') } as const;

/** Name, hp, wheel in inches, inlet in inches with the CFM through it bare, US volts and breaker, the other breaker. */
export const BLOWER_CLASSES = {
  half: blowerClass('½ hp', 0.5, 8, [4, 340], [115, 15], 16),
  threeQuarter: blowerClass('¾ hp', 0.75, 9.5, [4, 450], [115, 20], 16),
  one: blowerClass('1 hp', 1, 11.25, [4, 570], [115, 20], 16),
  oneAndHalf: blowerClass('1½ hp', 1.5, 11.75, [5, 820], [230, 15], 16),
  smallWheelTwo: blowerClass('2 hp, small wheel', 2, 11.5, [5, 660], [230, 20], 16),
  two: blowerClass('2 hp', 2, 12.5, [5, 950], [230, 20], 16),
  three: blowerClass('3 hp', 3, 14, [6, 1250], [230, 30], 20, LARGE_EFFICIENCY),
  five: blowerClass('5 hp', 5, 15.5, [8, 1900], [230, 40], 32, LARGE_EFFICIENCY),
} as const satisfies Record<string, BlowerClass>;

export type BlowerClassId = keyof typeof BLOWER_CLASSES;
export const BLOWER_CLASS_IDS = Object.keys(BLOWER_CLASSES) as BlowerClassId[];

/** Loss of the open inlet a class's bare flow is stated for: a plain pipe end (ACGIH, from memory). */
export const BARE_ENTRY_LOSS = 0.93;

/**
 * A blower of a class as a shop's document has one, its curve estimated from wheel and speed at
 * standard air, through its bare flow.
 * @param system US mains, 60 Hz, or others, 50 Hz, where the same wheel turns slower
 */
export function blowerOfClass(id: BlowerClassId, system: 'us' | 'metric') {
  const { name, power, wheelDiameter, inletDiameter, bareFlow, efficiency, ...mains } =
    BLOWER_CLASSES[id];
  const { voltage, breaker } = mains[system];
  const speed = WHEEL_SPEEDS[system];
  const flow = bareFlow * (speed / WHEEL_SPEEDS.us);
  const shutOff = estimatedShutOff(wheelDiameter, speed, STANDARD_DENSITY);
  const bare = { flow, inletDiameter, entryLoss: BARE_ENTRY_LOSS, outlet: 0 };
  const free = freeFlowOf(bare, shutOff, STANDARD_DENSITY) ?? flow;
  return {
    name: `${name} (estimate)`,
    curve: estimatedCurve(wheelDiameter, speed, free, STANDARD_DENSITY),
    measured: { density: STANDARD_DENSITY, speed, wheelDiameter },
    speed,
    wheelDiameter,
    efficiency,
    motor: { power, voltage, plateCurrent: null, startRatio: null },
    breaker,
    trip: 'unknown' as const,
    plug: null,
    inletElbow: null,
  };
}
