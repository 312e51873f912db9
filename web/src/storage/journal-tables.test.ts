import 'fake-indexeddb/auto';
import type { Journal, Reading } from '@frank-gauge/core/journal';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { Database } from './database';
import { addRecords, measuredSince, readingsNewestFirst, readJournal } from './journal-tables';
import { sampleJournal, sampleReading } from './sample-records';

const counts = { databases: 0 };
let db: Database;
beforeEach(() => {
  db = new Database(`journal-${counts.databases++}`);
});

const add = (shop: string, journal: Journal) =>
  db.transaction('rw', db.shopTables, () => addRecords(shop, journal));

const journalOf = (readings: readonly Reading[]) => ({ ...sampleJournal(0), readings });

async function inPieces(sizes: { first: number; next: number }, shop = 'one') {
  const pieces: (readonly Reading[])[] = [];
  for await (const piece of readingsNewestFirst(db, shop, sizes)) pieces.push(piece);
  return pieces;
}

describe('stored records', () => {
  it('are read as they were stored, those of each shop by themselves', async () => {
    const journal = sampleJournal(3);
    await add('one', journal);
    await add('two', journalOf([sampleReading('r0', 7)]));
    expect(await readJournal(db, 'one')).toEqual(journal);
    expect((await readJournal(db, 'two')).readings).toEqual([sampleReading('r0', 7)]);
  });

  it('of an older program get the defaults of fields it did not have', async () => {
    const { round: _, ...older } = sampleReading('r0');
    await add('one', journalOf([older as Reading]));
    expect((await readJournal(db, 'one')).readings).toEqual([sampleReading('r0')]);
  });

  it('are not stored over others of the same shop', async () => {
    await add('one', journalOf([sampleReading('r0')]));
    await expect(add('one', journalOf([sampleReading('r1')]))).rejects.toThrow('already');
    expect((await readJournal(db, 'one')).readings).toEqual([sampleReading('r0')]);
  });

  it('are all refused where two of them share a time and an id', async () => {
    const twins = [sampleReading('r0'), sampleReading('r1'), sampleReading('r0')];
    await expect(add('one', journalOf(twins))).rejects.toThrow('two readings');
    expect(await db.table('readings').count()).toBe(0);
  });

  it('one that is damaged does not hide the others', async () => {
    const damaged = { ...sampleReading('bad'), taken: 'soon' } as unknown as Reading;
    await add('one', journalOf([damaged, sampleReading('good')]));
    expect((await readJournal(db, 'one')).readings).toEqual([sampleReading('good')]);
  });
});

describe('readings, newest first', () => {
  it('are all there, once, in order, however they fall into pieces and share their times', async () => {
    let round = 0;
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 0, max: 12 }), { maxLength: 40 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 9 }),
        async (minutes, first, next) => {
          const shop = `shop ${round++}`;
          const readings = minutes.map((minute, i) => sampleReading(`r${i}`, minute));
          await add(shop, journalOf(readings));
          const pieces = await inPieces({ first, next }, shop);
          const times = pieces.flat().map(({ at }) => at);
          expect(times).toEqual(times.toSorted().reverse());
          expect(
            pieces
              .flat()
              .map(({ id }) => id)
              .sort(),
          ).toEqual(readings.map(({ id }) => id).sort());
        },
      ),
      { numRuns: 60 },
    );
  });

  it('come in pieces of about the size that is asked for', async () => {
    await add('one', sampleJournal(25));
    const pieces = await inPieces({ first: 4, next: 10 });
    expect(pieces.map(({ length }) => length)).toEqual([4, 10, 10, 1]);
    expect(await inPieces({ first: 4, next: 10 }, 'none')).toEqual([]);
  });

  it('those since a time are found, the newest first, whatever zone their times are written in', async () => {
    await add(
      'one',
      journalOf([
        sampleReading('old', 1, 'saw'),
        // 10:05 in UTC, though as a text it stands before 10:01.
        { ...sampleReading('new', 0, 'saw'), at: '2026-01-01T05:05:00-05:00' },
        sampleReading('planer', 3, 'planer'),
      ]),
    );
    const since = async (time: string | null, most = 10) => {
      const found = await measuredSince(db, 'one', time === null ? null : Date.parse(time), most);
      return found.readings.map(({ id }) => id);
    };
    expect(await since(null)).toEqual(['new', 'planer', 'old']);
    expect(await since('2026-01-01T10:02:00Z')).toEqual(['new', 'planer']);
    expect(await since(null, 1)).toEqual(['new']);
  });
});
