import type { Instrument, Reading, Taken } from '@frank-gauge/core/journal';
import { parseQuantity, STYLES, type UnitId, type UnitSystem } from '@frank-gauge/core/quantity';
import { MOST_READ } from '@frank-gauge/core/reading';
import { KIND_OF, unitRead } from './as-read';
import type { Repeat } from './draft-reading';

/** How a repeat is read. */
export interface ReadAs {
  readonly quantity: Reading['quantity'];
  readonly system: UnitSystem;
  /** Unit of a bare number, and ends of the range; null: no meter is known. */
  readonly instrument: Pick<Instrument, 'unit' | 'range'> | null;
}

export type ReadRepeat =
  | { readonly ok: true; readonly taken: Taken | null; readonly unit: UnitId }
  | { readonly ok: false; readonly reason: string };

/** The unit a bare number is in: the meter's, else the shop's. */
export const bareUnit = ({ quantity, system, instrument }: ReadAs): UnitId =>
  unitRead({ unit: instrument?.unit ?? '', quantity }, system);

/**
 * Reads one repeat; a blank one is no repeat. Over or under range and blank, it is beyond the end of the meter's
 * range, where that is known.
 */
export function readRepeat({ text, bound }: Repeat, as: ReadAs): ReadRepeat {
  const { quantity, system, instrument } = as;
  const unit = bareUnit(as);
  if (text.trim() === '') {
    if (bound === null) return { ok: true, taken: null, unit };
    const end = bound === 'over' ? instrument?.range.to : instrument?.range.from;
    if (!end) {
      return {
        ok: false,
        reason: 'Enter the end of the meter’s range, or describe the meter under Instruments.',
      };
    }
    return { ok: true, taken: { kind: bound, limit: end }, unit };
  }
  const parsed = parseQuantity(text, { unit, places: STYLES[system][KIND_OF[quantity]].places });
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  if (value < 0) return { ok: false, reason: 'A reading is not below zero.' };
  if (value > MOST_READ[quantity]) {
    return { ok: false, reason: 'No meter reads that high; check the unit.' };
  }
  if (bound !== null && value === 0) {
    return { ok: false, reason: 'A meter’s range does not end at zero.' };
  }
  if (bound !== null) return { ok: true, taken: { kind: bound, limit: value }, unit: parsed.unit };
  return { ok: true, taken: { kind: 'value', value }, unit: parsed.unit };
}
