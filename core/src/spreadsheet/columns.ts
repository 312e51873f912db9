import { type Dimension, UNITS, type Unit, type UnitId } from '../quantity/units';

/** What a column of a table of readings may hold. */
export const TABLE_FIELDS = [
  'date',
  'time',
  'test point',
  'value',
  'unit',
  'quantity',
  'meter',
  'method',
  'spot',
  'traverse',
  'inside diameter',
  'hold',
  'preset diameter',
  'gates open',
  'note',
  'struck out',
  'struck out on',
  'simulated',
  'id',
] as const;
export type TableField = (typeof TABLE_FIELDS)[number];

/** A column: what it holds, null where it is passed over, and the unit its header names. */
export interface Column {
  readonly field: TableField | null;
  readonly unit: UnitId | null;
}

/** Dimensions of what a meter shows. */
export const SHOWN: readonly Dimension[] = ['velocity', 'flow', 'pressure', 'current', 'rotation'];

const bare = (text: string) => text.toLowerCase().replace(/[\s.]/g, '');

/** A unit of one of some dimensions by any of its spellings; null: it is none. */
export function unitNamed(text: string, dimensions: readonly Dimension[]): UnitId | null {
  const wanted = bare(text);
  if (wanted === '') return null;
  const found = (Object.entries(UNITS) as [UnitId, Unit][]).find(
    ([, unit]) =>
      dimensions.includes(unit.dimension) &&
      (bare(unit.symbol) === wanted || unit.spellings.includes(wanted)),
  );
  return found?.[0] ?? null;
}

/** Dimensions a header's unit may be of. */
const IN_HEADERS: readonly Dimension[] = [...SHOWN, 'length'];

/** What a header says, and the unit it ends in: “Velocity (fpm)”, “air speed [m/s]”, “flow, CFM”, “CFM”. */
function splitHeader(header: string): { readonly words: string; readonly unit: string } {
  const ends = /[([]([^)\]]+)[)\]]\s*$/.exec(header) ?? /,\s*([^,]+)$/.exec(header);
  const unit = ends?.[1] ?? '';
  if (ends && unitNamed(unit, IN_HEADERS)) {
    return { words: header.slice(0, ends.index).trim().toLowerCase(), unit };
  }
  return { words: header.toLowerCase(), unit: header };
}

/** By what its header says; the first that fits. */
const SAYS: readonly (readonly [TableField, RegExp])[] = [
  ['id', /^(id|key)$/],
  ['struck out on', /struck out on/],
  ['struck out', /struck/],
  ['simulated', /simulated/],
  ['preset diameter', /preset/],
  ['inside diameter', /diameter|inside|bore|pipe size/],
  ['traverse', /traverse/],
  ['gates open', /gates?\b.*open|open.*gates?|^gates$/],
  ['method', /method/],
  ['spot', /spot|where in/],
  ['hold', /hold/],
  ['unit', /^units?$/],
  ['quantity', /quantity|what is read/],
  ['meter', /meter|instrument|anemometer|gauge/],
  ['note', /note|comment|remark/],
  ['date', /date|day|when|stamp/],
  ['time', /^(time|hour|clock)/],
  ['test point', /point|place|drop|port|machine|tool|location|where|branch/],
  ['value', /repeat|reading|value|velocity|speed|flow|air|pressure|\bsp\b|\bvp\b|current|amps|rpm/],
];

/** Fields that more than one column may hold. */
const isMany = (field: TableField) => field === 'value';

/**
 * What each column of a table most likely holds, by its header. No field but the repeats is given twice.
 * @example guessColumns(['Date', 'Drop', 'Velocity (m/s)']) // date, test point, value in m/s
 */
export function guessColumns(headers: readonly string[]): Column[] {
  const given = new Set<TableField>();
  return headers.map((header) => {
    const { words, unit: ending } = splitHeader(header.trim());
    const shown = unitNamed(ending, SHOWN);
    const found = SAYS.find(
      ([field, says]) => says.test(words) && (isMany(field) || !given.has(field)),
    );
    const field = found?.[0] ?? (shown ? 'value' : null);
    if (field !== null) given.add(field);
    if (field === 'inside diameter' || field === 'preset diameter') {
      return { field, unit: unitNamed(ending, ['length']) };
    }
    return { field, unit: field === 'value' ? shown : null };
  });
}
