import { isOfFlow, type Reading, type Taken } from '@frank-gauge/core/journal';
import {
  formatShort,
  fromSI,
  type QuantityKind,
  STYLES,
  UNITS,
  type UnitId,
  type UnitSystem,
  writeNumber,
} from '@frank-gauge/core/quantity';

/** What kind of quantity a reading's is, to be written. */
export const KIND_OF: Readonly<Record<Reading['quantity'], QuantityKind>> = {
  velocity: 'velocity',
  flow: 'flow',
  'velocity pressure': 'pressure',
  pressure: 'pressure',
  current: 'current',
  rotation: 'rotation',
  number: 'number',
};

/** The unit a reading was read in; the shop's own where it was none that is known. */
export function unitRead(
  { unit, quantity }: Pick<Reading, 'unit' | 'quantity'>,
  system: UnitSystem,
): UnitId {
  const own = STYLES[system][KIND_OF[quantity]].unit;
  const { dimension } = UNITS[own];
  const read = Object.entries(UNITS).find(
    ([, each]) => each.symbol === unit && each.dimension === dimension,
  );
  return read ? (read[0] as UnitId) : own;
}

/** Decimal places a unit is written with where the shop does not say. */
const PLACES: Partial<Record<UnitId, number>> = { mph: 1, kmh: 1, kn: 1, ms: 1, inwg: 2, mmwg: 1 };

/** A value as it was read, in the unit it was read in, without it. */
function writeTaken(one: Taken, unit: UnitId, system: UnitSystem, kind: QuantityKind) {
  const style = STYLES[system][kind];
  const places = style.unit === unit ? style.places : (PLACES[unit] ?? 0);
  const write = (value: number) => writeNumber(value, { unit, places });
  switch (one.kind) {
    case 'value':
      return write(one.value);
    case 'over':
      return `> ${write(one.limit)}`;
    case 'under':
      return `< ${write(one.limit)}`;
  }
}

/** At most so many repeats are written out; of a traverse there may be dozens. */
const MOST_WRITTEN = 6;

/** The repeats as they were read, in their own unit, and the diameter and spot they were read at. */
export function asRead(reading: Reading, system: UnitSystem): string {
  const unit = unitRead(reading, system);
  const kind = KIND_OF[reading.quantity];
  const written = reading.taken
    .slice(0, MOST_WRITTEN)
    .map((one) => writeTaken(one, unit, system, kind));
  const rest =
    reading.taken.length > MOST_WRITTEN ? ` and ${reading.taken.length - MOST_WRITTEN} more` : '';
  const { symbol } = UNITS[unit];
  const repeats = `${written.join(' · ')}${rest}${symbol === '' ? '' : ` ${symbol}`}`;
  if (!isOfFlow(reading.quantity)) return repeats;
  const across = fromSI(reading.diameter, STYLES[system].diameter.unit);
  const inside = `${Number(across.toPrecision(4))} ${UNITS[STYLES[system].diameter.unit].symbol}`;
  return `${repeats} in ${inside}${spotWord(reading)}`;
}

function spotWord({ spot, traverse, method }: Reading): string {
  const relative = method === 'relative' ? ', relative' : '';
  switch (spot) {
    case 'average':
      return relative;
    case 'centre':
      return `, center${relative}`;
    case 'point':
      return `, one point${relative}`;
    case 'traverse':
      return `, traverse of ${traverse?.points ?? ''} points${relative}`;
  }
}

/** A value of any quantity with its unit, as the shop writes it. */
export const writeQuantity = (
  value: number,
  quantity: Reading['quantity'],
  system: UnitSystem,
): string => formatShort(value, KIND_OF[quantity], system);

/** A value in a unit of its own, with it: `6,370 fpm`. */
export function writeInUnit(
  value: number,
  unit: UnitId,
  system: UnitSystem,
  kind: QuantityKind,
): string {
  const written = writeTaken({ kind: 'value', value }, unit, system, kind);
  return `${written} ${UNITS[unit].symbol}`.trim();
}
