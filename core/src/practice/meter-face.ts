import { HOLD_MODES, type HoldMode } from '../journal/instrument';
import { CONFUSED_UNITS } from '../measuring/confused-units';
import type { UnitSystem } from '../quantity/unit-system';
import type { UnitId } from '../quantity/units';

/** How a vane meter is set by its buttons. */
export interface MeterFace {
  /** Null: the unit it is said to show. */
  readonly unit: UnitId | null;
  readonly hold: HoldMode;
}

/** As it should be: what the notebook takes for granted. */
export const USUAL_FACE: MeterFace = { unit: null, hold: 'average' };

/** The unit the notebook takes a vane meter's numbers in. */
export const notedUnit = (system: UnitSystem): UnitId => (system === 'us' ? 'fpm' : 'ms');

/** The unit a vane meter really shows. */
export const shownUnit = ({ unit }: MeterFace, system: UnitSystem): UnitId =>
  unit ?? notedUnit(system);

/** Its unit button pressed once. */
export function nextUnit(face: MeterFace, system: UnitSystem): MeterFace {
  const units = CONFUSED_UNITS.velocity ?? [];
  const at = units.indexOf(shownUnit(face, system));
  const unit = units[(at + 1) % units.length] ?? null;
  return { ...face, unit: unit === notedUnit(system) ? null : unit };
}

/** Its hold button pressed once. */
export function nextHold(face: MeterFace): MeterFace {
  const at = HOLD_MODES.indexOf(face.hold);
  return { ...face, hold: HOLD_MODES[(at + 1) % HOLD_MODES.length] ?? 'average' };
}
