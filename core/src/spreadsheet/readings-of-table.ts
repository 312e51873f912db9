import { HOLD_MODES, type Instrument } from '../journal/instrument';
import { recordWith } from '../journal/journal';
import { QUANTITIES, type Quantity, type Reading, type Taken } from '../journal/reading';
import { MOST_READ } from '../measuring/most-read';
import { parseQuantity } from '../quantity/parse-quantity';
import { UNITS, type UnitId } from '../quantity/units';
import { type Column, SHOWN, type TableField, unitNamed } from './columns';
import { asWritten } from './formula';
import { type DateOrder, readMoment } from './read-moment';
import type { Table, TableRow } from './read-table';

/** A place readings of a table can be of. */
export interface PlaceOfTable {
  readonly testPoint: string;
  /** Inside, m. */
  readonly diameter: number;
  /** Runs whose gates stand open while it is read, where the table does not say. */
  readonly gates: readonly string[];
}

/** How a table is read: what its columns hold, and what it does not say itself. */
export interface TableReading {
  readonly columns: readonly Column[];
  readonly order: DateOrder;
  /** Unit of values that name none; null: they are refused. */
  readonly unit: UnitId | null;
  /** By the name in lower case; null: its rows are left out. */
  readonly places: ReadonlyMap<string, PlaceOfTable | null>;
  /** Meter of rows that name none that is known. */
  readonly meter: Pick<Instrument, 'id' | 'range'>;
  readonly meters: readonly Pick<Instrument, 'id' | 'name' | 'range'>[];
  /** Ids of runs by their names in lower case. */
  readonly runs: ReadonlyMap<string, string>;
  /** What the journal has already. */
  readonly readings: readonly Reading[];
  /** The present time, ms since 1970. */
  readonly now: number;
  readonly newId: () => string;
}

/** What is wrong with a cell. */
export interface CellFault {
  /** Of the column, from 0; null: of the row as a whole. */
  readonly column: number | null;
  readonly what:
    | { readonly kind: 'row ends early' }
    | { readonly kind: 'no date' | 'no value' | 'no unit' }
    | {
        readonly kind: 'unknown date' | 'future' | 'unknown place' | 'unknown gate';
        readonly text: string;
      }
    | { readonly kind: 'not read'; readonly reason: string }
    | { readonly kind: 'mixed units'; readonly text: string }
    | { readonly kind: 'impossible' | 'unknown word'; readonly text: string }
    | { readonly kind: 'not a reading'; readonly reason: string };
}

export type RowOutcome = { readonly line: number } & (
  | { readonly kind: 'good'; readonly reading: Reading }
  | { readonly kind: 'faulty'; readonly faults: readonly CellFault[] }
  /** The journal has it, or an earlier row does. */
  | { readonly kind: 'duplicate' }
  /** Its place is left out. */
  | { readonly kind: 'left out' }
);

const OF_DIMENSION: Partial<Record<string, Quantity>> = {
  velocity: 'velocity',
  flow: 'flow',
  pressure: 'pressure',
  current: 'current',
  rotation: 'rotation',
};

/** What each row of a table comes to; nothing is stored. Rows that are wrong say where, and keep none from being read. */
export function readingsOfTable(table: Table, by: TableReading): readonly RowOutcome[] {
  const known = new Set(by.readings.flatMap((reading) => [reading.id, likeness(reading)]));
  return table.rows.map((row): RowOutcome => {
    const outcome = readRow(row, table, by);
    if (outcome.kind !== 'good') return outcome;
    const { id } = outcome.reading;
    const likely = likeness(outcome.reading);
    if (known.has(id) || known.has(likely)) return { line: row.line, kind: 'duplicate' };
    known.add(id).add(likely);
    return outcome;
  });
}

/** The same place, minute and figures: the same reading, whatever its id. */
const likeness = ({ testPoint, at, quantity, taken }: Reading) =>
  [
    testPoint,
    Math.floor(Date.parse(at) / 60_000),
    quantity,
    ...taken.map((one) =>
      one.kind === 'value' ? one.value.toPrecision(6) : `${one.kind} ${one.limit.toPrecision(6)}`,
    ),
  ].join('|');

/** The cells of one row by what they hold, and the faults found in them. */
class Row {
  readonly faults: CellFault[] = [];

  constructor(
    readonly row: TableRow,
    private readonly columns: readonly Column[],
  ) {}

  private cell(column: number): string {
    return asWritten((this.row.cells[column] ?? '').trim());
  }

  /** The cell of a field, empty where there is none. */
  of(field: TableField): {
    readonly text: string;
    readonly column: number | null;
    readonly unit: UnitId | null;
  } {
    const column = this.columns.findIndex((each) => each.field === field);
    if (column < 0) return { text: '', column: null, unit: null };
    return { text: this.cell(column), column, unit: this.columns[column]?.unit ?? null };
  }

  /** As it stands, with its blanks and line breaks. */
  get note(): string {
    const column = this.columns.findIndex(({ field }) => field === 'note');
    return asWritten(this.row.cells[column] ?? '');
  }

  /** The cells with repeats that are not blank. */
  values() {
    return this.columns.flatMap(({ field, unit }, column) => {
      const text = this.cell(column);
      return field === 'value' && text !== '' ? [{ text, column, unit }] : [];
    });
  }

  fault(column: number | null, what: CellFault['what']): null {
    this.faults.push({ column, what });
    return null;
  }

  /** One of some words; the fallback where the cell is blank. */
  word<T extends string>(field: TableField, words: readonly T[], fallback: T): T {
    const { text, column } = this.of(field);
    if (text === '') return fallback;
    const found = words.find((word) => word === text.toLowerCase());
    if (found) return found;
    this.fault(column, { kind: 'unknown word', text });
    return fallback;
  }
}

function readRow(row: TableRow, table: Table, by: TableReading): RowOutcome {
  const { line } = row;
  const cells = new Row(row, by.columns);
  const isShort = row.cells.length < table.headers.length && row === table.rows.at(-1);
  if (row.isTorn || isShort) {
    return { line, kind: 'faulty', faults: [{ column: null, what: { kind: 'row ends early' } }] };
  }
  const named = cells.of('test point');
  const place = by.places.get(named.text.toLowerCase());
  if (place === null) return { line, kind: 'left out' };
  if (!place) cells.fault(named.column, { kind: 'unknown place', text: named.text });
  const at = momentOf(cells, by);
  const shown = shownOf(cells, by);
  const reading = shown && place && at !== null ? readingOf(cells, by, { place, at, shown }) : null;
  if (!reading || cells.faults.length > 0) return { line, kind: 'faulty', faults: cells.faults };
  return { line, kind: 'good', reading };
}

function momentOf(cells: Row, { order, now }: TableReading): number | null {
  const date = cells.of('date');
  const time = cells.of('time');
  if (date.text === '') return cells.fault(date.column, { kind: 'no date' });
  const text = `${date.text} ${time.text}`.trim();
  const at = readMoment(date.text, time.text, order);
  if (at === null) return cells.fault(date.column, { kind: 'unknown date', text });
  return at > now ? cells.fault(date.column, { kind: 'future', text }) : at;
}

interface Shown {
  readonly quantity: Quantity;
  readonly unit: UnitId;
  readonly taken: readonly Taken[];
}

/** What the meter showed: every repeat in one unit, or each in its own of one quantity. */
function shownOf(cells: Row, by: TableReading): Shown | null {
  const values = cells.values();
  if (values.length === 0) return cells.fault(null, { kind: 'no value' });
  const named = cells.of('unit');
  const ofRow = named.text === '' ? null : unitNamed(named.text, [...SHOWN, 'number']);
  if (named.text !== '' && !ofRow) {
    return cells.fault(named.column, { kind: 'unknown word', text: named.text });
  }
  const said = cells.word('quantity', QUANTITIES, 'number');
  const isSaid = cells.of('quantity').text !== '';
  let unit: UnitId | null = null;
  const taken: Taken[] = [];
  for (const { text, column, unit: ofColumn } of values) {
    const written = /[^\d\s.,'<>+-]/.exec(text.replace(/^(over|under)\b/i, ''))
      ? unitNamed(text.replace(/^[<>]|^(over|under)/i, '').replace(/^[\s\d.,'+-]+/, ''), SHOWN)
      : null;
    const own: UnitId | null =
      written ?? ofRow ?? ofColumn ?? by.unit ?? (isSaid && said === 'number' ? 'one' : null);
    if (!own) {
      cells.fault(column, { kind: 'no unit' });
      continue;
    }
    if (unit && UNITS[own].dimension !== UNITS[unit].dimension) {
      cells.fault(column, { kind: 'mixed units', text });
      continue;
    }
    unit ??= own;
    const one = takenOf(text, own);
    if ('reason' in one) cells.fault(column, { kind: 'not read', reason: one.reason });
    else taken.push(one);
  }
  if (!unit || taken.length < values.length) return null;
  const usual = OF_DIMENSION[UNITS[unit].dimension] ?? 'number';
  const quantity = isSaid && matches(said, usual) ? said : usual;
  for (const [i, one] of taken.entries()) {
    const value = one.kind === 'value' ? one.value : one.limit;
    const { text = '', column = null } = values[i] ?? {};
    if (value > MOST_READ[quantity]) cells.fault(column, { kind: 'impossible', text });
  }
  return { quantity, unit, taken };
}

/** A pressure may be a velocity pressure; all else is what its unit says. */
const matches = (said: Quantity, usual: Quantity) =>
  said === usual || (said === 'velocity pressure' && usual === 'pressure');

/** One repeat: a number, or `>30` and `<0.4` where the meter stopped at an end of its range. */
function takenOf(text: string, unit: UnitId): Taken | { readonly reason: string } {
  const [, sign = ''] = /^\s*(>|<|over\b|under\b)/i.exec(text) ?? [];
  const parsed = parseQuantity(text.replace(/^\s*(>|<|over\b|under\b)/i, ''), unit);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  if (value < 0) return { reason: 'A reading is not below zero.' };
  if (sign === '') return { kind: 'value', value };
  if (value === 0) return { reason: 'A meter’s range does not end at zero.' };
  return { kind: /^(>|over)$/i.test(sign) ? 'over' : 'under', limit: value };
}

interface Whereabouts {
  readonly place: PlaceOfTable;
  readonly at: number;
  readonly shown: Shown;
}

function readingOf(
  cells: Row,
  by: TableReading,
  { place, at, shown }: Whereabouts,
): Reading | null {
  const { quantity, unit, taken } = shown;
  const traverse = traverseOf(cells);
  const struck = cells.of('struck out').text;
  const struckAt = cells.of('struck out on').text;
  const name = cells.of('meter').text.toLowerCase();
  const meter = by.meters.find((each) => each.name.toLowerCase() === name) ?? by.meter;
  try {
    return recordWith('readings', {
      id: cells.of('id').text || by.newId(),
      at: new Date(at).toISOString(),
      testPoint: place.testPoint,
      instrument: meter.id,
      method: cells.word('method', METHODS, quantity === 'number' ? 'relative' : 'absolute'),
      quantity,
      spot: traverse ? 'traverse' : spotOf(cells),
      traverse,
      diameter: lengthOf(cells, 'inside diameter') ?? place.diameter,
      taken: [...taken],
      unit: UNITS[unit].symbol,
      hold: cells.of('hold').text === '' ? null : cells.word('hold', HOLD_MODES, 'live'),
      presetDiameter: lengthOf(cells, 'preset diameter'),
      openGates: gatesOf(cells, by) ?? [...place.gates],
      struckOut:
        struck === '' ? null : { at: struckAt || new Date(at).toISOString(), reason: struck },
      isSimulated: /^(yes|true|1)$/i.test(cells.of('simulated').text),
      note: cells.note,
    });
  } catch (error) {
    const [issue] =
      (error as { readonly issues?: readonly { readonly message: string }[] }).issues ?? [];
    return cells.fault(null, { kind: 'not a reading', reason: issue?.message ?? String(error) });
  }
}

const METHODS = ['absolute', 'relative'] as const;

const SPOTS = { point: 'point', center: 'centre', centre: 'centre', average: 'average' } as const;

function spotOf(cells: Row): 'point' | 'centre' | 'average' {
  const words = Object.keys(SPOTS) as (keyof typeof SPOTS)[];
  return SPOTS[cells.word('spot', words, 'average')];
}

/** A traverse by its points and diameters, `6 x 2`; null: it is none. */
function traverseOf(cells: Row): Reading['traverse'] {
  const { text, column } = cells.of('traverse');
  if (text === '') return null;
  const [, points, diameters = '1'] = /^(6|8|10)(?:\s*[x×]\s*([12]))?$/i.exec(text) ?? [];
  if (points === undefined) return cells.fault(column, { kind: 'unknown word', text });
  return { points: Number(points) as 6 | 8 | 10, diameters: Number(diameters) as 1 | 2 };
}

function lengthOf(cells: Row, field: 'inside diameter' | 'preset diameter'): number | null {
  const { text, column, unit } = cells.of(field);
  if (text === '') return null;
  const parsed = parseQuantity(text, unit ?? 'in');
  return parsed.ok
    ? parsed.value
    : cells.fault(column, { kind: 'not read', reason: parsed.reason });
}

/** Runs by the names of the gates that stood open, parted by semicolons; null: the table does not say. */
function gatesOf(cells: Row, { runs, columns }: TableReading): string[] | null {
  if (!columns.some(({ field }) => field === 'gates open')) return null;
  const { text, column } = cells.of('gates open');
  return text
    .split(/[;|]/)
    .map((name) => name.trim())
    .filter((name) => name !== '')
    .flatMap((name) => {
      const run = runs.get(name.toLowerCase());
      return run ? [run] : (cells.fault(column, { kind: 'unknown gate', text: name }) ?? []);
    });
}
