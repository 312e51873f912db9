import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { guessColumns } from './columns';
import { decodeText } from './decode-text';
import { asWritten, defused } from './formula';
import { dateOrderOf, readMoment } from './read-moment';
import { readTable } from './read-table';
import {
  type CellFault,
  type RowOutcome,
  readingsOfTable,
  type TableReading,
} from './readings-of-table';
import { writeReadings } from './write-readings';

const NOW = Date.parse('2026-11-28T12:00:00Z');
const RANGE = { from: null, to: null };
const METERS = [
  { id: 'v', name: 'Vane', range: RANGE },
  { id: 'm', name: 'Manometer', range: RANGE },
];
const RUNS = new Map([
  ['saw drop', 'run-saw'],
  ['planer drop', 'run-planer'],
]);
const place = (testPoint: string) => ({ testPoint, diameter: 0.1, gates: ['run-saw'] });

function read(text: string, options: Partial<TableReading> = {}): readonly RowOutcome[] {
  const made = readTable(text);
  if (!made.ok) throw new Error(made.why);
  let id = 0;
  return readingsOfTable(made.table, {
    columns: guessColumns(made.table.headers),
    order: 'month first',
    unit: null,
    places: new Map([
      ['table saw', place('saw')],
      ['planer', place('planer')],
      ['shed', null],
    ]),
    meter: { id: 'v', range: RANGE },
    meters: METERS,
    runs: RUNS,
    readings: [],
    now: NOW,
    newId: () => `new-${id++}`,
    ...options,
  });
}

const readingsIn = (outcomes: readonly RowOutcome[]) =>
  outcomes.flatMap((outcome) => (outcome.kind === 'good' ? [outcome.reading] : []));
const valuesOf = (outcomes: readonly RowOutcome[]) =>
  readingsIn(outcomes).map(({ taken }) =>
    taken.map((one) => (one.kind === 'value' ? one.value : { [one.kind]: one.limit })),
  );
const faultsIn = (outcomes: readonly RowOutcome[]) =>
  outcomes.flatMap((outcome) =>
    outcome.kind === 'faulty'
      ? outcome.faults.map(
          ({ column, what }): [number, number | null, CellFault['what']['kind']] => [
            outcome.line,
            column,
            what.kind,
          ],
        )
      : [],
  );

describe('a table of readings as people keep one', () => {
  it('with units in its headers, and several repeats', () => {
    const outcomes = read(
      'Date,Drop,Velocity 1 (fpm),Velocity 2 (fpm),Remarks\n' +
        '11/7/2026 3:20 PM,Table saw,"4,000",3900,after sealing\n' +
        '2026-11-08,planer,3500,,\n',
    );
    expect(valuesOf(outcomes)).toEqual([
      [expect.closeTo(20.32, 9), expect.closeTo(19.812, 9)],
      [expect.closeTo(17.78, 9)],
    ]);
    expect(readingsIn(outcomes)).toMatchObject([
      {
        testPoint: 'saw',
        instrument: 'v',
        quantity: 'velocity',
        unit: 'fpm',
        method: 'absolute',
        spot: 'average',
        diameter: 0.1,
        openGates: ['run-saw'],
        note: 'after sealing',
      },
      { testPoint: 'planer', note: '' },
    ]);
    expect(new Date(readingsIn(outcomes)[0]?.at ?? '').getHours()).toBe(15);
    expect(new Date(readingsIn(outcomes)[1]?.at ?? '').getHours()).toBe(12);
  });

  it('with semicolons, decimal commas and dates with dots', () => {
    const outcomes = read(
      'Date;Drop;Air speed [m/s]\n7.11.2026;Table saw;20,5\n8.11.2026 15:20;Planer;"18,25"\n',
      { order: 'day first' },
    );
    expect(valuesOf(outcomes)).toEqual([[20.5], [18.25]]);
    expect(readingsIn(outcomes).map(({ at }) => new Date(at).getMonth())).toEqual([10, 10]);
  });

  it('with a unit in each cell, or in a column of its own', () => {
    const inCells = read(
      'Date,Place,Reading\n2026-11-01,Table saw,45 mph\n2026-11-01,Planer,20 m/s\n2026-11-02,Planer,2.5 in. w.g.\n2026-11-02,Table saw,700 CFM\n',
    );
    expect(readingsIn(inCells).map(({ quantity, unit }) => [quantity, unit])).toEqual([
      ['velocity', 'mph'],
      ['velocity', 'm/s'],
      ['pressure', 'in. w.g.'],
      ['flow', 'CFM'],
    ]);
    const inColumn = read(
      'Date,Place,Quantity,Unit,Reading\n2026-11-01,Table saw,velocity pressure,Pa,250\n2026-11-01,Planer,,A,9.5\n',
    );
    expect(readingsIn(inColumn)).toMatchObject([
      { quantity: 'velocity pressure', taken: [{ value: 250 }] },
      { quantity: 'current', taken: [{ value: 9.5 }] },
    ]);
  });

  it('takes values beyond the meter’s range as bounds', () => {
    const outcomes = read(
      'Date,Place,Reading (m/s)\n2026-11-01,Table saw,>30\n2026-11-01,Planer,< 0.4\n',
    );
    expect(valuesOf(outcomes)).toEqual([[{ over: 30 }], [{ under: 0.4 }]]);
  });

  it('names what is wrong at its place, and takes the rest', () => {
    const outcomes = read(
      [
        'Date,Place,Reading,Gates open',
        '2026-11-01,Table saw,3500 fpm,saw drop',
        '2026-11-01,Table saw,fast,saw drop',
        'yesterday,Table saw,3500 fpm,saw drop',
        '2027-01-01,Table saw,3500 fpm,saw drop',
        '2026-11-01,Lathe,3500 fpm,saw drop',
        '2026-11-01,Table saw,90 m/s,saw drop',
        '2026-11-01,Table saw,3500,saw drop',
        '2026-11-01,Table saw,3500 fpm,lathe drop',
        ',Table saw,,saw drop',
        '2026-11-01,Shed,3500 fpm,saw drop',
        '2026-11-01,Planer,3400 fpm,saw drop; planer drop',
        '2026-11-01,Pla',
      ].join('\n'),
    );
    expect(readingsIn(outcomes)).toHaveLength(2);
    expect(readingsIn(outcomes)[1]?.openGates).toEqual(['run-saw', 'run-planer']);
    expect(faultsIn(outcomes)).toEqual([
      [3, 2, 'no unit'],
      [4, 0, 'unknown date'],
      [5, 0, 'future'],
      [6, 1, 'unknown place'],
      [7, 2, 'impossible'],
      [8, 2, 'no unit'],
      [9, 3, 'unknown gate'],
      [10, 0, 'no date'],
      [10, null, 'no value'],
      [13, null, 'row ends early'],
    ]);
    expect(outcomes.filter(({ kind }) => kind === 'left out')).toMatchObject([{ line: 11 }]);
    // Where the table names no unit, its reader may.
    const told = read('Date,Place,Reading\n2026-11-01,Table saw,3500\n2026-11-01,Planer,fast\n', {
      unit: 'fpm',
    });
    expect(valuesOf(told)).toEqual([[expect.closeTo(17.78, 9)]]);
    expect(faultsIn(told)).toEqual([[3, 2, 'not read']]);
  });

  it('names mixed units of one reading, and a cell in quotes that never ends', () => {
    expect(
      faultsIn(read('Date,Place,Repeat 1,Repeat 2\n2026-11-01,Table saw,3500 fpm,2 in. w.g.\n')),
    ).toEqual([[2, 3, 'mixed units']]);
    const torn = read(
      'Date,Place,Reading,Note\n2026-11-01,Table saw,3500 fpm,a\n2026-11-01,Planer,3500 fpm,"b',
    );
    expect(readingsIn(torn)).toHaveLength(1);
    expect(faultsIn(torn)).toEqual([[3, null, 'row ends early']]);
  });

  it('sees what the journal has already, and what stands in it twice', () => {
    const text =
      'Date,Place,Reading\n2026-11-01,Table saw,3500 fpm\n2026-11-01,Table saw,3500 fpm\n';
    const once = read(text);
    expect(once.map(({ kind }) => kind)).toEqual(['good', 'duplicate']);
    const again = read(text, { readings: readingsIn(once) });
    expect(again.map(({ kind }) => kind)).toEqual(['duplicate', 'duplicate']);
  });

  it('counts lines as a text editor does, blank ones and those inside cells too', () => {
    const outcomes = read(
      'Date,Place,Reading,Note\n\n2026-11-01,Table saw,3500 fpm,"two\nlines"\n2026-11-01,Lathe,1,x\n',
    );
    expect(outcomes.map(({ line }) => line)).toEqual([3, 5]);
  });

  it.each([
    ['', 'empty'],
    ['  \n ', 'empty'],
    ['just a sentence', 'no table'],
    ['Date,Place', 'no table'],
  ])('%j is no table', (text, why) => {
    expect(readTable(text)).toEqual({ ok: false, why });
  });
});

describe('dates', () => {
  const day = (text: string, order: 'day first' | 'month first') => {
    const at = readMoment(text, '', order);
    if (at === null) return null;
    const date = new Date(at);
    return [
      date.getFullYear(),
      date.getMonth() + 1,
      date.getDate(),
      date.getHours(),
      date.getMinutes(),
    ];
  };

  it.each([
    ['3/7/2026', 'month first', [2026, 3, 7, 12, 0]],
    ['3/7/2026', 'day first', [2026, 7, 3, 12, 0]],
    ['3/7/26 8:05', 'month first', [2026, 3, 7, 8, 5]],
    ['07.03.2026 18:30:15', 'day first', [2026, 3, 7, 18, 30]],
    ['Mar 7, 2026 3:20 PM', 'month first', [2026, 3, 7, 15, 20]],
    ['March 7 2026', 'month first', [2026, 3, 7, 12, 0]],
    ['7 Mar 2026 3:20pm', 'day first', [2026, 3, 7, 15, 20]],
    ['2026/03/07', 'month first', [2026, 3, 7, 12, 0]],
    ['2026-03-07 09:15', 'month first', [2026, 3, 7, 9, 15]],
    ['31.02.2026', 'day first', null],
    ['13/13/2026', 'month first', null],
    ['soon', 'month first', null],
  ] as const)('%s, %s', (text, order, expected) => {
    expect(day(text, order)).toEqual(expected);
  });

  it('with their zone are the moment they say', () => {
    expect(readMoment('2026-03-07T09:15:00Z', '', 'day first')).toBe(Date.UTC(2026, 2, 7, 9, 15));
  });

  it('of a column tell which number is the day, where any does', () => {
    expect(dateOrderOf(['3/7/2026', '3/17/2026'])).toBe('month first');
    expect(dateOrderOf(['3/7/2026', '17/3/2026'])).toBe('day first');
    expect(dateOrderOf(['3.7.2026'])).toBe('day first');
    expect(dateOrderOf(['3/7/2026', '2026-03-07', ''])).toBeNull();
  });
});

describe('the text of a file', () => {
  const text = 'Date,Place\n2026-11-01,Säge “1”\n';
  const utf16 = (isBig: boolean) =>
    Uint8Array.from(
      [...`\ufeff${text}`].flatMap((one) => {
        const code = one.charCodeAt(0);
        const bytes = [code & 255, code >> 8];
        return isBig ? bytes.reverse() : bytes;
      }),
    );

  it('is read in whatever encoding it came', () => {
    expect(decodeText(new TextEncoder().encode(`\ufeff${text}`))).toEqual({
      text,
      encoding: 'utf-8',
    });
    expect(decodeText(utf16(false))).toEqual({ text, encoding: 'utf-16le' });
    expect(decodeText(utf16(true))).toEqual({ text, encoding: 'utf-16be' });
    const western = Uint8Array.from([0x53, 0xe4, 0x67, 0x65, 0x20, 0xb1, 0x31]);
    expect(decodeText(western)).toEqual({ text: 'Säge ±1', encoding: 'windows-1252' });
  });
});

describe('readings as a table', () => {
  const names = {
    places: new Map([
      ['saw', 'Table saw'],
      ['planer', 'Planer'],
    ]),
    meters: new Map(METERS.map(({ id, name }) => [id, name])),
    runs: new Map([...RUNS].map(([name, id]) => [id, name])),
  };
  const anyText = fc.oneof(
    fc.string({ maxLength: 30 }),
    fc.constantFrom(
      '=1+1',
      "'=1+1",
      '+49 30',
      '-x',
      '@a',
      '\tx',
      'two\nlines',
      '"quoted"',
      'a;b',
      '',
    ),
  );
  const anyReading = fc
    .record({
      id: fc.uuid(),
      minute: fc.nat(400_000),
      testPoint: fc.constantFrom('saw', 'planer'),
      instrument: fc.constantFrom('v', 'm'),
      method: fc.constantFrom('absolute' as const, 'relative' as const),
      shows: fc.constantFrom<{ quantity: Reading['quantity']; unit: string }>(
        { quantity: 'velocity', unit: 'fpm' },
        { quantity: 'velocity', unit: 'm/s' },
        { quantity: 'flow', unit: 'CFM' },
        { quantity: 'velocity pressure', unit: 'in. w.g.' },
        { quantity: 'pressure', unit: 'Pa' },
        { quantity: 'current', unit: 'A' },
        { quantity: 'number', unit: '' },
      ),
      spot: fc.constantFrom(
        'point' as const,
        'centre' as const,
        'average' as const,
        'traverse' as const,
      ),
      diameter: fc.double({ min: 0.05, max: 0.3, noNaN: true }),
      kind: fc.constantFrom('value' as const, 'over' as const, 'under' as const),
      values: fc.array(fc.double({ min: 0.1, max: 5, noNaN: true }), {
        minLength: 1,
        maxLength: 5,
      }),
      hold: fc.constantFrom(null, 'live' as const, 'maximum' as const),
      openGates: fc.subarray(['run-saw', 'run-planer']),
      note: anyText,
      reason: anyText.filter((text) => text.trim() === text),
      isSimulated: fc.boolean(),
    })
    .map(({ minute, shows, kind, values, spot, reason, ...rest }): Reading => {
      const count = spot === 'traverse' ? 12 : values.length;
      const at = new Date(Date.UTC(2026, 0, 1) + minute * 60_000).toISOString();
      return recordWith('readings', {
        ...rest,
        ...shows,
        ...{ at, spot },
        traverse: spot === 'traverse' ? { points: 6, diameters: 2 } : null,
        taken: Array.from({ length: count }, (_, i) => {
          const value = values[i % values.length] ?? 1;
          return kind === 'value' ? { kind, value } : { kind, limit: value };
        }),
        struckOut: reason === '' ? null : { at, reason },
      });
    });

  it('written and read again are the same readings, and the same table', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(anyReading, { minLength: 1, maxLength: 6, selector: ({ at }) => at }),
        (readings) => {
          const text = writeReadings(readings, names);
          const outcomes = read(text);
          expect(faultsIn(outcomes)).toEqual([]);
          const again = readingsIn(outcomes);
          expect(writeReadings(again, names)).toBe(text);
          again.forEach((reading, i) => {
            const { taken, diameter, ...rest } = readings[i] as Reading;
            expect(reading).toMatchObject(rest);
            expect(reading.diameter / diameter).toBeCloseTo(1, 9);
            expect(reading.taken.map(({ kind }) => kind)).toEqual(taken.map(({ kind }) => kind));
          });
          expect(read(text, { readings }).every(({ kind }) => kind === 'duplicate')).toBe(true);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('run nothing in a spreadsheet, and say what they said', () => {
    for (const text of ['=HYPERLINK("x")', '+1', '-1', '@x', '\t=1', '\r=1']) {
      expect(defused(text)).toBe(`'${text}`);
    }
    for (const text of ['4000', 'a=b', "'quoted'", '']) expect(defused(text)).toBe(text);
    fc.assert(
      fc.property(anyText, (text) => {
        expect(asWritten(defused(text))).toBe(text);
      }),
    );
  });
});
