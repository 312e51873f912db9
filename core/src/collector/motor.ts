import { lookUp, type Table } from '../quantity/look-up';
import type { Origin } from '../quantity/origin';
import { toSI } from '../quantity/units';

/**
 * Full-load current in A, single phase, at 115 V, by shaft power in hp: NEC table 430.248 (from
 * memory), with the origin added so that the smallest motors are in proportion.
 */
export const FULL_LOAD_AT_115: Table = [
  [0, 0],
  [0.5, 9.8],
  [0.75, 13.8],
  [1, 16],
  [1.5, 20],
  [2, 24],
  [3, 34],
  [5, 56],
  [7.5, 80],
  [10, 100],
];

/** Share of full-load current an unloaded single-phase motor still draws: an estimate. */
export const NO_LOAD_SHARE = 0.4;
const WATT_PER_HP = toSI(1, 'hp');

/**
 * Efficiency times power factor of a single-phase capacitor motor at full load, for mains the American
 * table does not speak of: an estimate.
 */
export const MOTOR_YIELD = 0.71;

/** Supplies the table's two columns hold for, unscaled, V: 115 and 230 V motors. */
const LOW_SUPPLY = { least: 110, most: 120 } as const;
const HIGH_SUPPLY = { least: 220, most: 240 } as const;

export interface Motor {
  /** Rated shaft power, W. */
  readonly power: number;
  /** Supply, V. */
  readonly voltage: number;
  /** Current on its plate, A; null: taken from the code's table. */
  readonly plateCurrent: number | null;
}

/** Whose wiring rules a circuit follows: the American code, or another country's. */
export type WiringCode = 'nec' | 'other';

/**
 * Full-load current in A: the plate's where known. By the American code from its table for the
 * power, straight lines between its rows: the 115 V column as it stands for 110–120 V, half of it for
 * 220–240 V, and in proportion to the voltage elsewhere, an estimate. Under other codes
 * P/(V·0.71), an estimate.
 * @example fullLoadCurrent({ power: 1491, voltage: 240, plateCurrent: null }, 'nec') // { current: 12, … }
 */
export function fullLoadCurrent(
  motor: Motor,
  code: WiringCode,
): { current: number; origin: Origin } {
  const { power, voltage, plateCurrent } = motor;
  if (plateCurrent !== null) return { current: plateCurrent, origin: 'practice' };
  if (code === 'other') return { current: power / (MOTOR_YIELD * voltage), origin: 'estimate' };
  const at115 = lookUp(FULL_LOAD_AT_115, power / WATT_PER_HP);
  if (voltage >= LOW_SUPPLY.least && voltage <= LOW_SUPPLY.most) {
    return { current: at115, origin: 'standard' };
  }
  if (voltage >= HIGH_SUPPLY.least && voltage <= HIGH_SUPPLY.most) {
    return { current: at115 / 2, origin: 'standard' };
  }
  return { current: (at115 * 115) / voltage, origin: 'estimate' };
}

/**
 * Current in A at `load` W on the shaft: no-load and load current added at right angles, so that
 * the rated load gives the full-load current. An estimate until a clamp meter replaces it.
 */
export function motorCurrent(motor: Motor, code: WiringCode, load: number): number {
  const { current } = fullLoadCurrent(motor, code);
  const share = load / motor.power;
  return current * Math.sqrt(NO_LOAD_SHARE ** 2 + (1 - NO_LOAD_SHARE ** 2) * share ** 2);
}

/** A motor's conductors carry its full-load current times this (NEC 430.22, from memory). */
export const CONDUCTOR_MARGIN = 1.25;

/** An inverse-time breaker may be rated up to full-load current times this (NEC 430.52, from memory). */
export const BREAKER_MARGIN = 2.5;

/** Ratings breakers are made in, A (NEC 240.6, from memory). */
const BREAKER_RATINGS = [
  15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350,
  400,
] as const;

/** The least rating of a breaker that carries a current, A; the current itself beyond the largest. */
export const breakerAtLeast = (current: number): number =>
  BREAKER_RATINGS.find((rating) => rating >= current * 0.999) ?? current;

/**
 * The largest inverse-time breaker the American code lets a motor have, A: 250 % of its full-load
 * current, or the next rating up where that is none (NEC 430.52, from memory).
 * @example largestBreaker(12) // 30
 */
export const largestBreaker = (fullLoad: number): number =>
  breakerAtLeast(BREAKER_MARGIN * fullLoad);
