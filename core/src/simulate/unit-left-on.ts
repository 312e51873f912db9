import type { Instrument } from '../journal/instrument';
import type { Quantity } from '../journal/reading';
import { CONFUSED_UNITS } from '../measuring/confused-units';
import type { UnitId } from '../quantity/units';
import { chanceOf } from './chance';
import type { HiddenCondition } from './hidden-condition';

/** One meter in three has had its unit button pressed. */
const PRESSED = 1 / 3;

/**
 * The unit a stand-in really shows in a hidden condition, where its record says another: somebody pressed its
 * button. The same for the same condition and meter.
 * @param unit that its record says
 */
export function unitLeftOn(
  { seed }: Pick<HiddenCondition, 'seed'>,
  { id }: Pick<Instrument, 'id'>,
  quantity: Quantity,
  unit: UnitId,
): UnitId {
  const others = (CONFUSED_UNITS[quantity] ?? []).filter((each) => each !== unit);
  const own = [...id].reduce((sum, letter) => Math.imul(31, sum) + letter.charCodeAt(0), 7);
  const { uniform } = chanceOf(seed ^ own);
  if (others.length === 0 || uniform() >= PRESSED) return unit;
  return others[Math.floor(uniform() * others.length)] ?? unit;
}
