import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import kept from '../file/kept/version-5.json';
import { readShop } from '../file/shop-file';
import { emptyJournal, type Journal, RECORD_TYPES, recordCount } from './journal';
import { readJournalLines, writeJournalLines } from './journal-lines';

const VERSION = 5;

function keptJournal(): Journal {
  const read = readShop(kept);
  if (!read.ok) throw new Error(read.faults[0].message);
  return read.journal;
}

const textOf = (journal: Journal) => [...writeJournalLines(journal, VERSION)].join('');
const faultsOf = (text: string) => {
  const read = readJournalLines(text, VERSION);
  return read.kind === 'refused' ? read.faults : [];
};

describe('the lines of a journal', () => {
  const journal = keptJournal();
  const text = textOf(journal);
  const lines = text.trimEnd().split('\n');

  it('read again are the same journal', () => {
    expect(readJournalLines(text, VERSION)).toEqual({ kind: 'whole', journal });
    expect(readJournalLines(text.replaceAll('\n', '\r\n'), VERSION)).toMatchObject({
      kind: 'whole',
    });
    expect(readJournalLines(textOf(emptyJournal()), VERSION)).toMatchObject({ kind: 'whole' });
    expect(lines).toHaveLength(1 + recordCount(journal));
  });

  it('cut off anywhere behind the head give the whole records before the cut, and say so', () => {
    const head = (lines[0]?.length ?? 0) + 1;
    fc.assert(
      fc.property(fc.integer({ min: head, max: text.length - 2 }), (cut) => {
        const read = readJournalLines(text.slice(0, cut), VERSION);
        if (read.kind !== 'cut off') throw new Error(read.kind);
        const before = text.slice(0, cut).split('\n');
        const last = before.at(-1) ?? '';
        const isWhole = lines.includes(last) && last !== '';
        expect(read.whole).toBe(before.length - 2 + (isWhole ? 1 : 0));
        expect(read.promised).toBe(recordCount(journal));
        expect(recordCount(read.journal)).toBe(read.whole);
      }),
    );
  });

  it.each([
    ['', 1, /does not begin like a journal/],
    ['{"format":"frank-gauge"}', 1, /does not begin like a journal/],
    ['{"format":"frank-gauge-journal","version":6,"records":0}', 1, /newer Frank Gauge/],
    [
      '{"format":"frank-gauge-journal","version":"5"}',
      1,
      /its version, "5", is not a whole number/,
    ],
    ['{"format":"frank-gauge-journal","version":1.5}', 1, /its version, 1.5, is not/],
    ['{"format":"frank-gauge-journal","version":0,"records":0}', 1, /its version, 0, is not/],
    ['{"format":"frank-gauge-journal","version":-1}', 1, /not a whole number/],
    ['{"format":"frank-gauge-journal","version":5}', 1, /how many records/],
    ['{"format":"frank-gauge-journal","version":5,"records":"2"}', 1, /how many records/],
    ['{"format":"frank-gauge-journal","version":5,"records":2.5}', 1, /how many records/],
    ['{"format":"frank-gauge-journal","version":5,"records":-1}', 1, /how many records/],
  ])('%s is refused', (bad, line, message) => {
    expect(faultsOf(bad)).toEqual([{ line, message: expect.stringMatching(message) }]);
  });

  it('say in their head how many records follow', () => {
    const head = JSON.parse(lines[0] ?? '');
    expect(head).toEqual({
      format: 'frank-gauge-journal',
      version: VERSION,
      records: recordCount(journal),
    });
    expect(textOf(emptyJournal())).toBe(
      '{"format":"frank-gauge-journal","version":5,"records":0}\n',
    );
    // Version 1 is accepted.
    const first = '{"format":"frank-gauge-journal","version":1,"records":0}';
    expect(readJournalLines(first, VERSION).kind).toBe('whole');
  });

  it('are whole where all promised records are there, with blank lines too; a scrap after them is a fault', () => {
    expect(readJournalLines(`${text}\n  \n`, VERSION).kind).toBe('whole');
    expect(faultsOf(`${text}{"list":"rea`)).toEqual([
      { line: lines.length + 1, message: 'it is not JSON' },
    ]);
    // A last line that is JSON but no record is a fault, not a cut.
    const short = lines.slice(0, -1).join('\n');
    expect(faultsOf(`${short}\n{"list":"readings"}`)).toEqual([
      { line: lines.length, message: 'it has no record' },
    ]);
    expect(readJournalLines(short, VERSION)).toMatchObject({
      kind: 'cut off',
      whole: recordCount(journal) - 1,
      promised: recordCount(journal),
    });
  });

  it('name no more than twenty faults', () => {
    const bad = Array.from({ length: 30 }, () => '{"list":"thoughts"}');
    const faults = faultsOf([lines[0], ...bad].join('\n'));
    expect(faults.map(({ line }) => line)).toEqual(Array.from({ length: 20 }, (_, i) => i + 2));
  });

  it('name the line of a second record with one id, and the path of a wrong value', () => {
    const at = lines.findIndex((line) => line.includes('"list":"readings"'));
    const twin = [...lines.slice(0, at + 1), lines[at] ?? '', ...lines.slice(at + 1)].join('\n');
    const { id } = JSON.parse(lines[at] ?? '').record;
    expect(faultsOf(twin)).toEqual([
      { line: at + 2, message: `two records of readings have the id '${id}'` },
    ]);
    const wrong = lines
      .map((line, i) => (i === at ? line.replace(/"kind":"value"/, '"kind":"guess"') : line))
      .join('\n');
    expect(faultsOf(wrong)[0]).toEqual({
      line: at + 1,
      message: expect.stringMatching(/^taken\.0\.kind: \S/),
    });
    const unknown = lines
      .map((line, i) => (i === at ? line.replace('"record":{', '"record":{"mood":"good",') : line))
      .join('\n');
    expect(faultsOf(unknown)[0]?.message).toMatch(/^readings: .*mood/);
  });

  it('are refused beyond the most records of a kind', () => {
    const most = RECORD_TYPES.instruments.most;
    const one = (i: number) =>
      `{"list":"instruments","record":{"id":"i${i}","name":"Vane","kind":"vane","accuracy":0.03}}`;
    const fileOf = (count: number) =>
      [
        `{"format":"frank-gauge-journal","version":5,"records":${count}}`,
        ...Array.from({ length: count }, (_, i) => one(i)),
      ].join('\n');
    expect(readJournalLines(fileOf(most), VERSION).kind).toBe('whole');
    expect(faultsOf(fileOf(most + 3))).toEqual([
      { line: most + 2, message: `more than ${most} instruments` },
    ]);
  });

  it('with something wrong in the middle are refused, with the line', () => {
    const at = lines.findIndex((line) => line.includes('"list":"readings"'));
    const broken = (change: (line: string) => string) =>
      lines.map((line, i) => (i === at ? change(line) : line)).join('\n');
    expect(faultsOf(broken((line) => line.slice(0, 40)))).toEqual([
      { line: at + 1, message: 'it is not JSON' },
    ]);
    expect(faultsOf(broken((line) => line.replace('"readings"', '"thoughts"')))[0]).toMatchObject({
      line: at + 1,
      message: 'no list of records is called "thoughts"',
    });
    expect(faultsOf(broken((line) => line.replace(/"spot":"\w+"/, '"spot":"beside"')))[0]).toEqual({
      line: at + 1,
      message: expect.stringMatching(/^spot: /),
    });
    expect(faultsOf(broken(() => lines[at + 1] ?? ''))[0]?.message).toMatch(/have the id/);
    expect(faultsOf(broken(() => '{"list":"readings"}'))[0]?.message).toBe('it has no record');
  });

  it('take a reading as version 4 had it', () => {
    const { testPoint, ...reading } = journal.readings[0] ?? { testPoint: '' };
    const old = { ...reading, node: testPoint, place: 'Planer', round: null };
    const head = { format: 'frank-gauge-journal', version: 4, records: 1 };
    const file = `${JSON.stringify(head)}\n${JSON.stringify({ list: 'readings', record: old })}`;
    const read = readJournalLines(file, VERSION);
    expect(read.kind === 'whole' && read.journal.readings[0]).toEqual({
      ...journal.readings[0],
      round: null,
    });
  });
});
