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

export interface Motor {
  /** Rated shaft power, W. */
  readonly power: number;
  /** Supply, V. */
  readonly voltage: number;
  /** Current on its plate, A; null: taken from the code's table. */
  readonly plateCurrent: number | null;
}

/**
 * Full-load current in A: the plate's where known, else by the code's table for the power, straight
 * lines between its rows, halved at twice the voltage.
 * @example fullLoadCurrent({ power: 1491, voltage: 230, plateCurrent: null }) // { current: 12, … }
 */
export function fullLoadCurrent(motor: Motor): { current: number; origin: Origin } {
  if (motor.plateCurrent !== null) return { current: motor.plateCurrent, origin: 'practice' };
  const at115 = lookUp(FULL_LOAD_AT_115, motor.power / WATT_PER_HP);
  return { current: (at115 * 115) / motor.voltage, origin: 'standard' };
}

/**
 * Current in A at `load` W on the shaft: no-load and load current added at right angles, so that
 * the rated load gives the full-load current. An estimate until a clamp meter replaces it.
 */
export function motorCurrent(motor: Motor, load: number): number {
  const { current } = fullLoadCurrent(motor);
  const share = load / motor.power;
  return current * Math.sqrt(NO_LOAD_SHARE ** 2 + (1 - NO_LOAD_SHARE ** 2) * share ** 2);
}

/** A circuit's breaker carries a motor's full-load current times this (NEC 430.22, from memory). */
export const CONDUCTOR_MARGIN = 1.25;
