import type { Instrument } from '../journal/instrument';
import type { Quantity } from '../journal/reading';
import { CONFUSED_UNITS } from '../measuring/confused-units';
import type { UnitId } from '../quantity/units';
import { type Chance, chanceOf } from './chance';
import type { HiddenCondition } from './hidden-condition';
import { type Imperfection, USUAL_IMPERFECTION } from './simulated-meter';

/** What a meter drifts by with every value it shows, as a share, at the most: an estimate. */
const MOST_DRIFT = 0.002;

/** A stream of chance of one meter in a hidden condition. */
function chanceOfMeter(
  { seed }: Pick<HiddenCondition, 'seed'>,
  { id }: Pick<Instrument, 'id'>,
): Chance {
  const own = [...id].reduce((sum, letter) => Math.imul(31, sum) + letter.charCodeAt(0), 7);
  return chanceOf(seed ^ own);
}

/**
 * How a stand-in departs from what is true in a hidden condition: off by as much as its accuracy allows, and drifting
 * a little with every value. The same for the same condition and meter.
 */
export function hiddenImperfection(
  hidden: Pick<HiddenCondition, 'seed'>,
  instrument: Pick<Instrument, 'id' | 'accuracy'>,
): Imperfection {
  const { uniform, normal } = chanceOfMeter(hidden, instrument);
  // The first numbers of the stream are how its unit is set.
  uniform();
  uniform();
  const bias = (instrument.accuracy / 1.96) * normal();
  return { ...USUAL_IMPERFECTION, bias, drift: MOST_DRIFT * (2 * uniform() - 1) };
}

/** One meter in three has had its unit button pressed. */
const PRESSED = 1 / 3;

/**
 * The unit a stand-in really shows in a hidden condition, where its record says another: somebody pressed its
 * button. The same for the same condition and meter.
 * @param unit that its record says
 */
export function unitLeftOn(
  hidden: Pick<HiddenCondition, 'seed'>,
  instrument: Pick<Instrument, 'id'>,
  quantity: Quantity,
  unit: UnitId,
): UnitId {
  const others = (CONFUSED_UNITS[quantity] ?? []).filter((each) => each !== unit);
  const { uniform } = chanceOfMeter(hidden, instrument);
  if (others.length === 0 || uniform() >= PRESSED) return unit;
  return others[Math.floor(uniform() * others.length)] ?? unit;
}
