import type { PlugId, TripId } from '../catalogue/ids';
import { fullLoadCurrent, type Motor, type WiringCode } from './motor';

/** A cord and plug on a US circuit carries 80 % of its rating (NEC 210.23, from memory). */
const US_CORD_MARGIN = 1.25;

/**
 * Ways to connect a motor: rated volts and amperes. NEMA WD 6 for the US ones, BS 1363, CEE 7 and
 * IEC 60309 for the others (from memory). `code` is whose wiring rules such a plug is met under.
 */
export const PLUGS = {
  wired: { name: 'wired in, no plug', volts: null, rating: null, margin: 1, code: null },
  us15: { name: '15 A, 120 V', volts: 120, rating: 15, margin: US_CORD_MARGIN, code: 'nec' },
  us20: { name: '20 A, 120 V', volts: 120, rating: 20, margin: US_CORD_MARGIN, code: 'nec' },
  us15at240: { name: '15 A, 240 V', volts: 240, rating: 15, margin: US_CORD_MARGIN, code: 'nec' },
  us20at240: { name: '20 A, 240 V', volts: 240, rating: 20, margin: US_CORD_MARGIN, code: 'nec' },
  usLock30: {
    name: '30 A, 240 V, twist',
    volts: 240,
    rating: 30,
    margin: US_CORD_MARGIN,
    code: 'nec',
  },
  uk13: { name: '13 A, fused', volts: 230, rating: 13, margin: 1, code: 'other' },
  eu16: { name: '16 A, household', volts: 230, rating: 16, margin: 1, code: 'other' },
  blue16: { name: '16 A, blue round', volts: 230, rating: 16, margin: 1, code: 'other' },
  blue32: { name: '32 A, blue round', volts: 230, rating: 32, margin: 1, code: 'other' },
} as const satisfies Record<
  PlugId,
  {
    name: string;
    volts: number | null;
    rating: number | null;
    margin: number;
    code: WiringCode | null;
  }
>;

/** Supplies above this are of the 208–240 V kind, V. */
const BETWEEN_SUPPLIES = 180;

/**
 * Whose wiring rules a motor's circuit follows: its plug's; else American ones on 120 V; else those of
 * the units its shop is written in.
 */
export function wiringCode(
  plug: PlugId | null,
  { voltage }: Pick<Motor, 'voltage'>,
  units: 'us' | 'metric',
): WiringCode {
  const byPlug = plug && PLUGS[plug].code;
  if (byPlug) return byPlug;
  return voltage < BETWEEN_SUPPLIES || units === 'us' ? 'nec' : 'other';
}

/** Full-load current a plug carries for hours, A; null where there is none. */
export function plugCarries(id: PlugId): number | null {
  const { rating, margin } = PLUGS[id];
  return rating === null ? null : rating / margin;
}

/** A plug's volts and a motor's are of the same kind of supply: 110–127 V, or 208–240 V. */
export function plugSuits(id: PlugId, motor: Pick<Motor, 'voltage'>): boolean {
  const { volts } = PLUGS[id];
  return volts === null || motor.voltage > BETWEEN_SUPPLIES === volts > BETWEEN_SUPPLIES;
}

/** Current while a single-phase motor starts, over full-load current: an estimate, 5–8 is usual. */
export const USUAL_START_RATIO = 6;

/**
 * How many times its rating a breaker lets pass for the moment of a start, at the least: IEC 60898 B,
 * C, D (from memory); where it is not known, as C.
 */
export const TRIPS = {
  unknown: { name: 'not known', least: 5 },
  B: { name: 'B', least: 3 },
  C: { name: 'C', least: 5 },
  D: { name: 'D, for motors', least: 10 },
} as const satisfies Record<TripId, { name: string; least: number }>;

/** Current while it starts, A: full-load current times the ratio on its plate, or the usual one. */
export const startCurrent = (
  motor: Motor & { readonly startRatio: number | null },
  code: WiringCode,
): number => fullLoadCurrent(motor, code).current * (motor.startRatio ?? USUAL_START_RATIO);
