import type { Weighing } from '../journal/weighing';
import { levelMoved, NOISE_DISTANCE } from '../noise/blower-noise';
import type { HiddenCondition } from './hidden-condition';
import type { Imperfection } from './simulated-meter';

/** A sound meter in a shop, a decibel either way of some eighty; and a bathroom scale: estimates. */
export const SOUND_METER: Imperfection = { noise: 0.012, bias: 0, drift: 0 };
export const SCALE: Imperfection = { noise: 0.005, bias: 0.01, drift: 0 };

/**
 * What a stand-in for a sound meter is in, dB(A).
 * @param estimated of the collector, at `NOISE_DISTANCE`
 * @param distance from the collector, m
 */
export const trueLevel = (
  estimated: number,
  distance: number,
  hidden: Pick<HiddenCondition, 'louder'> | null,
): number => levelMoved(estimated, NOISE_DISTANCE, distance) + (hidden?.louder ?? 0);

/** What machines make and a separator catches of it, as it is believed. */
export interface BelievedDust {
  /** kg/s while they run. */
  readonly rate: number;
  /** Share the separator's bin catches. */
  readonly caught: number;
}

/** What a stand-in for a scale finds in a bin after so many hours at the machines, kg. */
export function trueMass(
  { rate, caught }: BelievedDust,
  bin: Weighing['bin'],
  hours: number,
  hidden: Pick<HiddenCondition, 'dust' | 'letBy'> | null,
): number {
  const letBy = Math.min(1, (1 - caught) * (hidden?.letBy ?? 1));
  const made = 3600 * rate * hours * (hidden?.dust ?? 1);
  return made * (bin === 'separator' ? 1 - letBy : letBy);
}
