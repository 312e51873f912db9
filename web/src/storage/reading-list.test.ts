import 'fake-indexeddb/auto';
import { NO_DIFF } from '@frank-gauge/core/journal';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Database } from './database';
import { eventually } from './eventually';
import { ReadingList } from './reading-list';
import { sampleJournal, sampleReading, sampleShop, sampleSound } from './sample-records';
import { addShop } from './shop-list';
import { ShopSession } from './shop-session';

const counts = { databases: 0 };
let db: Database;
let session: ShopSession;
let list: ReadingList;

async function opened(readings: number): Promise<void> {
  await addShop(sampleShop(), { keepId: true, journal: sampleJournal(readings), db });
  session.open('one');
  await eventually(() => expect(session.state.getState().status).toBe('open'));
  list = new ReadingList(db, 'one', session);
}
const ids = () => list.state.getState().readings.map(({ id }) => id);
const whole = () => eventually(() => expect(list.state.getState().isWhole).toBe(true));

beforeEach(() => {
  db = new Database(`list-${counts.databases++}`);
  session = new ShopSession(() => db);
});

describe('the list of readings', () => {
  it('has the newest first at once, then all', async () => {
    await opened(500);
    const seen: string[][] = [];
    list.state.subscribe(() => seen.push(ids()));
    await whole();
    expect(seen.map(({ length }) => length)).toEqual([40, 440, 500, 500]);
    expect(seen[0]?.slice(0, 3)).toEqual(['r499', 'r498', 'r497']);
    expect(ids()).toEqual(Array.from({ length: 500 }, (_, i) => `r${499 - i}`));
  });

  it('follows what is logged, taken out and undone, in its place by time', async () => {
    await opened(3);
    await whole();
    session.record('log', ({ readings }) => {
      readings.push({ ...sampleReading('between', 1), at: '2026-01-01T10:01:30Z' });
    });
    expect(ids()).toEqual(['r2', 'between', 'r1', 'r0']);
    const removed = [{ kind: 'readings', record: sampleReading('r2', 2) }] as const;
    session.apply('remove', { ...NO_DIFF, removed });
    expect(ids()).toEqual(['between', 'r1', 'r0']);
    await session.undo();
    expect(ids()).toEqual(['r2', 'between', 'r1', 'r0']);
    await session.undo();
    expect(ids()).toEqual(['r2', 'r1', 'r0']);
  });

  it('takes a changed reading to its new place, and no record of another kind', async () => {
    await opened(3);
    await whole();
    const before = sampleReading('r0', 0);
    const after = { ...before, at: '2026-01-01T10:01:30Z' };
    session.apply('time', { ...NO_DIFF, updated: [{ kind: 'readings', before, after }] });
    expect(ids()).toEqual(['r2', 'r0', 'r1']);
    expect(list.state.getState().readings[1]).toEqual(after);
    const { readings } = list.state.getState();
    const sound = sampleSound('r2');
    session.apply('sounds', {
      added: [{ kind: 'sounds', record: { ...sound, id: 'r9' } }],
      updated: [{ kind: 'sounds', before: sampleSound('s1'), after: sampleSound('s1', 90) }],
      removed: [],
    });
    session.apply('no sound', { ...NO_DIFF, removed: [{ kind: 'sounds', record: sound }] });
    expect(list.state.getState().readings).toBe(readings);
  });

  it('puts one of the same time before those that are there', async () => {
    await opened(3);
    await whole();
    session.record('log', ({ readings }) => {
      readings.push(sampleReading('again', 1));
    });
    expect(ids()).toEqual(['r2', 'again', 'r1', 'r0']);
  });

  it('closed while it is read, tells of nothing more', async () => {
    await opened(500);
    const seen = vi.fn();
    list.state.subscribe(seen);
    list.close();
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(seen).not.toHaveBeenCalled();
  });

  it('read anew stays as it is until all of it is there', async () => {
    await opened(500);
    await whole();
    const lengths: number[] = [];
    list.state.subscribe(({ readings }) => lengths.push(readings.length));
    const other = new ShopSession(() => db);
    other.open('one');
    await eventually(() => expect(other.state.getState().status).toBe('open'));
    // More than is handed on from tab to tab.
    other.record('log', ({ readings }) => {
      for (let i = 0; i < 201; i++) readings.push(sampleReading(`more${i}`, 600 + i));
    });
    await eventually(() => expect(ids()).toHaveLength(701));
    expect(new Set(lengths)).toEqual(new Set([701]));
    expect(list.state.getState().isWhole).toBe(true);
    other.close();
  });

  it('follows other tabs', async () => {
    await opened(2);
    await whole();
    const other = new ShopSession(() => db);
    other.open('one');
    await eventually(() => expect(other.state.getState().status).toBe('open'));
    other.record('log', ({ readings }) => {
      readings.push(sampleReading('theirs', 9));
    });
    await eventually(() => expect(ids()).toEqual(['theirs', 'r1', 'r0']));
  });

  it('opened while storage refuses the last readings, shows them all the same', async () => {
    await opened(2);
    await whole();
    list.close();
    const spy = vi.spyOn(db, 'transaction').mockImplementation((() => {
      throw new DOMException('full', 'QuotaExceededError');
    }) as never);
    session.record('log', ({ readings }) => {
      readings.push(sampleReading('unstored', 9));
    });
    await eventually(() => expect(session.hasUnstored).toBe(true));
    list = new ReadingList(db, 'one', session);
    await whole();
    expect(ids()).toEqual(['unstored', 'r1', 'r0']);
    spy.mockRestore();
    session.retry();
    expect(await session.settled()).toBeNull();
    expect(ids()).toEqual(['unstored', 'r1', 'r0']);
  });

  it('keeps what is logged while it is still being read', async () => {
    await opened(300);
    session.record('log', ({ readings }) => {
      readings.push(sampleReading('early', 400));
    });
    await whole();
    expect(ids()).toHaveLength(301);
    expect(ids()[0]).toBe('early');
    list.close();
    session.record('log', ({ readings }) => {
      readings.push(sampleReading('late', 500));
    });
    expect(ids()).toHaveLength(301);
  });
});
