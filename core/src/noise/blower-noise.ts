import { fromSI } from '../quantity/units';

/**
 * A-weighted sound power of a small paddle-wheel blower at 1 CFM and 1 in. w.g., dB: the form is the
 * specific sound power of ASHRAE's older fan tables (from memory), the number an estimate, set so that
 * a 2 hp collector reads about 81 dB(A) at 3 m in the open.
 */
export const SPECIFIC_SOUND_POWER = 53;

/**
 * A choked blower is no quieter for the air it lacks: below this share of the flow where it makes most
 * air power, the air it churns is counted as so much. An estimate; a wheel off its best flow is known to
 * grow louder, by up to a dozen dB in ASHRAE's older tables (from memory).
 */
export const CHURNED_SHARE = 0.3;

/** How far such an estimate may be off, dB: an estimate itself. */
export const NOISE_UNCERTAINTY = 5;

/** What a stud wall with a door, or a ceiling, keeps back, dB: common practice, no source. */
export const THROUGH_PARTITION = 20;

/** Where a collector's noise is stated, m. */
export const NOISE_DISTANCE = 3;

/**
 * Sound power of a blower at work, dB(A): Kw + 10·log₁₀(Q/CFM) + 20·log₁₀(P/in. w.g.); more air and
 * more pressure are both louder. Choked, its flow counts as 0.3 of its best at the least. −∞ where it
 * makes no pressure.
 * @param flow m³/s
 * @param pressure Pa
 * @param bestFlow at which it makes most air power, m³/s
 * @example blowerSoundPower(0.27, 2000, 0.3) // about 98.6
 */
export function blowerSoundPower(flow: number, pressure: number, bestFlow: number): number {
  const air = fromSI(Math.max(flow, CHURNED_SHARE * bestFlow), 'cfm');
  const head = Math.max(0, fromSI(pressure, 'inwg'));
  return SPECIFIC_SOUND_POWER + 10 * Math.log10(air) + 20 * Math.log10(head);
}

/**
 * Level at `distance` m from a source on a floor, in the open: Lp = Lw − 10·log₁₀(2πr²). A room with
 * bare walls is louder than that further off.
 */
export const levelAt = (soundPower: number, distance: number): number =>
  soundPower - 10 * Math.log10(2 * Math.PI * distance ** 2);

/**
 * A level read at one distance, taken to another: 6 dB less for each doubling, as in the open. An
 * estimate: indoors it falls less.
 * @example levelMoved(88, 1, 4) // 75.96
 */
export const levelMoved = (level: number, from: number, to: number): number =>
  level - 20 * Math.log10(to / from);
