import type { Instrument } from '../journal/instrument';
import type { Taken } from '../journal/reading';
import { parseQuantity } from '../quantity/parse-quantity';
import type { UnitId } from '../quantity/units';

/** How meters write that they are beyond the upper end of their range. */
const OVERLOAD = /\b(OL|O\.L|over|ovf)\b|^\s*>/i;
/** A number as meters send it, and what may be its unit behind it. */
const NUMBER = /([+-]?\d+(?:[.,]\d+)?)\s*((?:[a-zµ°%"][\wµ°²³/%".]*)?)/i;

/**
 * What one line of text says that a meter sends on a cable: its first number, in the unit it names or the meter's
 * own, without its sign. `OL` and the like are beyond the upper end of the range, where that is known. Null: the
 * line says nothing, as a heading or an empty one.
 * @example takenOfLine('AVG 12.4 m/s', { unit: 'fpm', range: { from: null, to: null } })
 * // { kind: 'value', value: 12.4 }
 */
export function takenOfLine(
  line: string,
  { unit, range }: { readonly unit: UnitId; readonly range: Instrument['range'] },
): Taken | null {
  if (OVERLOAD.test(line)) return range.to === null ? null : { kind: 'over', limit: range.to };
  const [, number = '', named = ''] = NUMBER.exec(line) ?? [];
  if (number === '') return null;
  // With one separator it is a decimal one: no meter sends thousands.
  const plain = number.replace(',', '.');
  const inUnit = named === '' ? null : parseQuantity(`${plain} ${named}`, unit);
  // What stands behind it may be anything: a flag, a mode. It is then in the meter's own unit.
  const read = inUnit?.ok ? inUnit : parseQuantity(plain, { unit, places: 3 });
  if (!read.ok) return null;
  const value = Math.abs(read.value);
  if (range.to !== null && value > range.to) return { kind: 'over', limit: range.to };
  if (range.from !== null && value < range.from) return { kind: 'under', limit: range.from };
  return { kind: 'value', value };
}
