import papaparse from 'papaparse';
import type { Reading, Taken } from '../journal/reading';
import { fromSI, UNITS, type Unit, type UnitId } from '../quantity/units';
import { defused } from './formula';

/** What readings refer to by ids, by name. */
export interface NamesForTable {
  readonly places: ReadonlyMap<string, string>;
  readonly meters: ReadonlyMap<string, string>;
  readonly runs: ReadonlyMap<string, string>;
}

/** The fewest columns for repeats a table has. */
const LEAST_REPEATS = 3;

/** Digits enough that a number read again is the same to within a billionth of itself. */
const written = (value: number) => String(Number(value.toPrecision(10)));

/** The unit a reading was read in, by its symbol; SI where it is none that is known. */
const unitOf = ({ unit }: Pick<Reading, 'unit'>): UnitId | null => {
  const found = (Object.entries(UNITS) as [UnitId, Unit][]).find(
    ([, { symbol }]) => symbol === unit,
  );
  return found?.[0] ?? null;
};

/** SI units of what a meter shows, for a reading whose own unit is not known. */
const IN_SI = {
  velocity: 'ms',
  flow: 'm3s',
  'velocity pressure': 'pa',
  pressure: 'pa',
  current: 'a',
  rotation: 'rpm',
  number: 'one',
} as const satisfies Readonly<Record<Reading['quantity'], UnitId>>;

function writeTaken(one: Taken, unit: UnitId): string {
  if (one.kind === 'value') return written(fromSI(one.value, unit));
  return `${one.kind === 'over' ? '>' : '<'}${written(fromSI(one.limit, unit))}`;
}

const inches = (value: number | null) => (value === null ? '' : written(fromSI(value, 'in')));

/**
 * Readings as CSV, one a row in the unit it was read in, times in UTC. What `readingsOfTable` reads of it with the
 * columns `guessColumns` finds is the same readings; text that a spreadsheet would run is defused.
 */
export function writeReadings(readings: readonly Reading[], names: NamesForTable): string {
  const most = readings.reduce((count, { taken }) => Math.max(count, taken.length), LEAST_REPEATS);
  const repeats = Array.from({ length: most }, (_, i) => `Repeat ${i + 1}`);
  const fields = [
    ...[
      'Date',
      'Test point',
      'Quantity',
      'Unit',
      ...repeats,
      'Meter',
      'Method',
      'Spot',
      'Traverse',
    ],
    ...['Inside diameter (in.)', 'Hold', 'Preset diameter (in.)', 'Gates open', 'Note'],
    ...['Struck out', 'Struck out on', 'Simulated', 'Id'],
  ];
  const data = readings.map((reading) => {
    const unit = unitOf(reading) ?? IN_SI[reading.quantity];
    const { traverse, struckOut } = reading;
    const taken = reading.taken.map((one) => writeTaken(one, unit));
    return [
      reading.at,
      names.places.get(reading.testPoint) ?? reading.testPoint,
      reading.quantity,
      UNITS[unit].symbol,
      ...repeats.map((_, i) => taken[i] ?? ''),
      names.meters.get(reading.instrument) ?? reading.instrument,
      reading.method,
      reading.spot === 'traverse' ? '' : reading.spot === 'centre' ? 'center' : reading.spot,
      traverse ? `${traverse.points} x ${traverse.diameters}` : '',
      inches(reading.diameter),
      reading.hold ?? '',
      inches(reading.presetDiameter),
      reading.openGates.map((run) => names.runs.get(run) ?? run).join('; '),
      reading.note,
      struckOut?.reason ?? '',
      struckOut?.at ?? '',
      reading.isSimulated ? 'yes' : '',
      reading.id,
    ].map(defused);
  });
  return `${papaparse.unparse({ fields, data }, { newline: '\r\n' })}\r\n`;
}
