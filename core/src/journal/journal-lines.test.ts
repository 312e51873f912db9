import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import kept from '../file/kept/version-5.json';
import { readShop } from '../file/shop-file';
import { emptyJournal, type Journal, recordCount } from './journal';
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
    ['{"format":"frank-gauge-journal","version":"5"}', 1, /not a whole number/],
    ['{"format":"frank-gauge-journal","version":5}', 1, /how many records/],
  ])('%s is refused', (bad, line, message) => {
    expect(faultsOf(bad)).toEqual([{ line, message: expect.stringMatching(message) }]);
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
