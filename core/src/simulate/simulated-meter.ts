import type { Instrument } from '../journal/instrument';
import type { Taken } from '../journal/reading';
import type { Chance } from './chance';

/**
 * A way to a meter's values: a person who types them, a meter on a cable, or a stand-in. A value is in the SI
 * unit of what the meter shows.
 */
export interface MeterSource {
  /** The next value the meter shows. Rejects where the meter cannot be reached. */
  readonly read: () => Promise<Taken>;
  /** Lets go of the meter. */
  readonly close: () => Promise<void>;
}

/** How a stand-in departs from what is true. */
export interface Imperfection {
  /** Standard deviation of one glance at the meter, as a share: the air swings, the hand wobbles. */
  readonly noise: number;
  /** What the meter does wrong all the time, as a share: 0.02 shows 2 % too much. */
  readonly bias: number;
  /** What it does wrong more with every value it shows, as a share: batteries and bearings. */
  readonly drift: number;
}

/** A vane in a small shop, held by hand: estimates. */
export const USUAL_IMPERFECTION: Imperfection = { noise: 0.025, bias: 0.01, drift: 0 };

/** Glances that an average or a maximum is made of. */
const GLANCES = 12;

/**
 * What a meter shows of a true value: off by its bias and drift, swinging by its noise, averaged or at its
 * highest as it holds, rounded to its last digit, and stopped at either end of its range.
 * @param truth SI, of what the meter shows
 * @param shown how many values it has shown before
 */
export function shownBy(
  truth: number,
  { hold, range, resolution }: Pick<Instrument, 'hold' | 'range' | 'resolution'>,
  { noise, bias, drift }: Imperfection,
  { normal }: Chance,
  shown = 0,
): Taken {
  const glances = Array.from({ length: hold === 'live' ? 1 : GLANCES }, () => 1 + noise * normal());
  const swing =
    hold === 'maximum'
      ? Math.max(...glances)
      : glances.reduce((sum, glance) => sum + glance, 0) / glances.length;
  const raw = Math.max(0, truth * (1 + bias + drift * shown) * swing);
  const value = resolution ? resolution * Math.round(raw / resolution) : raw;
  if (range.to !== null && value >= range.to) return { kind: 'over', limit: range.to };
  if (range.from !== null && value < range.from) return { kind: 'under', limit: range.from };
  return { kind: 'value', value };
}

/**
 * A stand-in for a meter, which reads the solved shop as it really is.
 * @param truth what is true at the place the meter is held now, in SI of what it shows; asked at each value
 * @param before how many values it has shown already
 */
export function simulatedMeter(
  instrument: Pick<Instrument, 'hold' | 'range' | 'resolution'>,
  truth: () => number,
  chance: Chance,
  imperfection = USUAL_IMPERFECTION,
  before = 0,
): MeterSource {
  let shown = before;
  return {
    read: async () => shownBy(truth(), instrument, imperfection, chance, shown++),
    close: async () => {},
  };
}
