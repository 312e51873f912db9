import 'fake-indexeddb/auto';
import { VERSION } from '@frank-gauge/core/design';
import { NO_DIFF } from '@frank-gauge/core/journal';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Database } from './database';
import { eventually } from './eventually';
import { storeChange } from './history';
import { sampleJournal, sampleReading, sampleShop, sampleSound } from './sample-records';
import type { Refusal } from './session-state';
import { addShop } from './shop-list';
import { ShopSession } from './shop-session';

const counts = { databases: 0 };
let db: Database;
let session: ShopSession;

const open = () => {
  const state = session.state.getState();
  if (state.status !== 'open') throw new Error(state.status);
  return state;
};
const saved = () => eventually(() => expect(open().saved).toBe('saved'));
const stored = async () => (await db.designs.get('one'))?.document;
const revision = async () => (await db.summaries.get('one'))?.revision;
const setName = (name: string) =>
  session.edit('name', (draft) => {
    draft.shop.name = name;
  });
const setCeiling = (height: number) =>
  session.edit(
    'ceiling',
    ({ room }) => {
      room.ceilingHeight = height;
    },
    { merge: 'ceiling' },
  );
const addSound = (id: string, level = 80) =>
  session.record('sound', ({ sounds }) => {
    sounds.push(sampleSound(id, level));
  });
const soundIds = () => open().journal.sounds.map(({ id }) => id);

/** Makes a change from elsewhere, as another tab would. */
const elsewhere = (path: string[], value: unknown) =>
  storeChange(
    db,
    'one',
    {
      label: 'elsewhere',
      design: [{ op: 'set', path, value }],
      journal: { added: [], updated: [], removed: [] },
      merge: null,
    },
    new Date(),
  );

beforeEach(async () => {
  const own = new Database(`session-${counts.databases++}`);
  db = own;
  session = new ShopSession(() => own);
  await addShop(sampleShop(), { keepId: true, journal: sampleJournal(2), db });
  session.open('one');
  await eventually(() => expect(session.state.getState().status).toBe('open'));
});

afterEach(() => {
  session.close();
  vi.restoreAllMocks();
});

describe('an open shop', () => {
  it('shows an edit at once and stores it right behind', async () => {
    setName('Two');
    expect(open().shop.shop.name).toBe('Two');
    expect(open().saved).toBe('saving');
    await saved();
    expect((await stored())?.shop.name).toBe('Two');
  });

  it('keeps parts an edit did not touch as they were, so that little is solved anew', () => {
    const { ducts, collector } = open().shop;
    const { journal } = open();
    setName('Two');
    expect(open().shop.ducts).toBe(ducts);
    expect(open().shop.collector).toBe(collector);
    expect(open().journal.sounds).toBe(journal.sounds);
    const { shop } = open();
    addSound('new');
    expect(open().shop).toBe(shop);
    expect(open().journal.instruments).toBe(journal.instruments);
  });

  it('is not read again after an edit of its own: what is shown is what is stored', async () => {
    setName('Two');
    addSound('new');
    const shown = open();
    await saved();
    // Whatever would look at storage again has had the time for it.
    await new Promise((resolve) => setTimeout(resolve, 150));
    expect(open().shop).toBe(shown.shop);
    expect(open().journal.sounds).toBe(shown.journal.sounds);
    expect(open().journal).not.toBe(null);
    const reads = vi.spyOn(db.designs, 'get');
    const before = reads.mock.calls.length;
    addSound('newer');
    await saved();
    await new Promise((resolve) => setTimeout(resolve, 150));
    // A change of the journal alone reads no design.
    expect(reads.mock.calls.length).toBe(before);
  });

  it('that is closed says so, and shows nothing of what others do to it', async () => {
    session.close();
    expect(session.state.getState()).toEqual({ status: 'closed' });
    await elsewhere(['shop', 'name'], 'Elsewhere');
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect(session.state.getState()).toEqual({ status: 'closed' });
  });

  it('that is not open takes no edit, no record, no step and no repair', async () => {
    session.close();
    setName('Lost');
    addSound('lost');
    session.apply('lost', { added: [], updated: [], removed: [] });
    expect(await session.undo()).toBeNull();
    expect(await session.repair()).toEqual({ kind: 'no way back' });
    await session.acknowledgeRenewed();
    expect(session.state.getState()).toEqual({ status: 'closed' });
    expect((await stored())?.shop.name).toBe('One');
    expect(await revision()).toBe(0);
  });

  it('lets go of the notice of renewed estimates, on screen and in storage', async () => {
    const renewed = [{ path: 'x', from: 1, to: 2 }] as never;
    session.close();
    await db.summaries.update('one', { renewed, revision: 5 });
    session.open('one');
    await eventually(() => expect(open().renewed).toHaveLength(1));
    await session.acknowledgeRenewed();
    expect(open().renewed).toEqual([]);
    expect((await db.summaries.get('one'))?.renewed).toEqual([]);
  });

  it('knows what of its journal is shown but not stored: on its way, and gathered', async () => {
    expect(session.unstoredJournal()).toEqual([]);
    addSound('a');
    session.record('louder', ({ sounds }) => void sounds.push(sampleSound('b')), { merge: 'b' });
    const ids = () =>
      session.unstoredJournal().map(({ added }) => added.map(({ record }) => record.id));
    expect(ids()).toEqual([['a'], ['b']]);
    expect(session.unstored().map(({ shop, change }) => [shop, change.label])).toEqual([
      ['one', 'sound'],
      ['one', 'louder'],
    ]);
    await saved();
    expect(ids()).toEqual([]);
    expect(session.unstored()).toEqual([]);
  });

  it('an edit that changes nothing leaves no trace', async () => {
    setName('One');
    session.record('nothing', () => {});
    expect(open().saved).toBe('saved');
    expect(await session.undo()).toBeNull();
  });

  it('quick edits of one thing are stored once, and undone once', async () => {
    for (let i = 0; i < 40; i++) setCeiling(2 + i / 100);
    await saved();
    expect((await stored())?.room.ceilingHeight).toBeCloseTo(2.39, 9);
    expect(await revision()).toBe(1);
    expect(await session.undo()).toBe('ceiling');
    await saved();
    expect(open().shop.room.ceilingHeight).toBeNull();
  });

  it('an edit of another thing, or an undo, stores what waits first', async () => {
    setCeiling(2.5);
    setName('Two');
    expect(await session.undo()).toBe('name');
    expect(await session.undo()).toBe('ceiling');
    await saved();
    expect(open().shop.room.ceilingHeight).toBeNull();
    expect(open().shop.shop.name).toBe('One');
  });

  it('undoes and does again, through any mixture of quick edits', async () => {
    for (const name of ['A', 'B', 'C']) setName(name);
    const first = session.undo();
    const second = session.undo();
    expect([await first, await second]).toEqual(['name', 'name']);
    await saved();
    expect(open().shop.shop.name).toBe('A');
    expect(await session.redo()).toBe('name');
    expect(open().shop.shop.name).toBe('B');
    setName('D');
    await saved();
    expect(await session.redo()).toBeNull();
    expect(open().shop.shop.name).toBe('D');
    expect((await stored())?.shop.name).toBe('D');
  });

  it('an undo with an edit right behind it ends as both', async () => {
    session.edit('breaker', (draft) => {
      draft.collector.blower.breaker = 33;
    });
    await saved();
    const undone = session.undo();
    setName('After');
    addSound('after');
    await undone;
    await saved();
    await eventually(() => expect(open().shop.collector.blower.breaker).toBe(20));
    expect(open().shop.shop.name).toBe('After');
    expect(soundIds()).toEqual(['after', 's1']);
    expect(await stored()).toEqual(open().shop);
  });

  it('follows what is changed elsewhere', async () => {
    await elsewhere(['shop', 'name'], 'Elsewhere');
    await eventually(() => expect(open().shop.shop.name).toBe('Elsewhere'));
    await db.summaries.update('one', { deleted: '2026-10-01T10:00:00Z' });
    await eventually(() => expect(session.state.getState().status).toBe('missing'));
  });

  it('holds its records and counts its readings; readings logged are stored, not held', async () => {
    expect(open().readings).toBe(2);
    expect(open().journal).not.toHaveProperty('readings');
    session.record('log', ({ readings }) => {
      readings.push(sampleReading('new', 9));
    });
    expect(open().readings).toBe(3);
    await saved();
    expect(await db.table('readings').count()).toBe(3);
    expect(open().journal).not.toHaveProperty('readings');
    expect(await session.undo()).toBe('log');
    expect(open().readings).toBe(2);
    expect(await db.table('readings').count()).toBe(2);
  });

  it('types into a record as one step to undo', async () => {
    for (const place of ['B', 'Be', 'Bed']) {
      session.record(
        'place',
        ({ sounds: [own] }) => {
          if (own) own.place = place;
        },
        { merge: 'place of s1' },
      );
    }
    await saved();
    expect(await revision()).toBe(1);
    await session.undo();
    expect(open().journal.sounds[0]?.place).toBe('Bench');
  });

  it('undoes a change of a record stored before a field had its default, the default kept', async () => {
    session.close();
    const [row] = await db.table('readings').toArray();
    if (!row) throw new Error('no reading');
    const { round: _, ...older } = row.record;
    await db.table('readings').put({ ...row, record: older as typeof row.record });
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('open'));
    const after = { ...older, round: null, note: 'Meter warm.' } as typeof row.record;
    session.apply('note', {
      added: [],
      updated: [{ kind: 'readings', before: row.record, after }],
      removed: [],
    });
    await saved();
    await session.undo();
    expect((await db.table('readings').get([row.shop, row.time, row.record.id]))?.record).toEqual({
      ...older,
      round: null,
    });
  });

  it('that cannot be read says why and keeps what is stored', async () => {
    session.close();
    const broken = { ...sampleShop(), version: (VERSION + 1) as typeof VERSION };
    await db.designs.put({ id: 'one', document: broken });
    session.open('one');
    await eventually(() => {
      const state = session.state.getState();
      expect(state.status === 'broken' && state.faults[0]?.message).toMatch(/newer Frank Gauge/);
    });
    expect(await stored()).toEqual(broken);
  });

  it('thrown away and brought back elsewhere, is missing and then there again', async () => {
    await db.summaries.update('one', { deleted: '2026-10-01T10:00:00Z', revision: 1 });
    await eventually(() => expect(session.state.getState().status).toBe('missing'));
    await db.summaries.update('one', { deleted: null, revision: 2 });
    await eventually(() => expect(session.state.getState().status).toBe('open'));
    expect(open().shop.shop.name).toBe('One');
    expect(soundIds()).toEqual(['s1']);
  });

  it('is closed before it is opened, and loading until it is read', async () => {
    const own = new ShopSession(() => db);
    expect(own.state.getState()).toEqual({ status: 'closed' });
    own.open('one');
    expect(own.state.getState()).toEqual({ status: 'loading' });
    own.edit('name', (shop) => void Object.assign(shop.shop, { name: 'Too early' }));
    own.apply('sound', { ...NO_DIFF, added: [{ kind: 'sounds', record: sampleSound('early') }] });
    await eventually(() => expect(own.state.getState().status).toBe('open'));
    expect(await own.settled()).toBeNull();
    expect(open().shop.shop.name).toBe('One');
    own.close();
    expect(own.state.getState()).toEqual({ status: 'closed' });
    // Written elsewhere, it stays closed.
    setName('Later');
    await saved();
    expect(own.state.getState()).toEqual({ status: 'closed' });
  });

  it('cannot be opened where storage cannot be read, and says why', async () => {
    vi.spyOn(db.summaries, 'get').mockRejectedValue(new DOMException('disk', 'UnknownError'));
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('broken'));
    expect(session.state.getState()).toEqual({
      status: 'broken',
      id: 'one',
      faults: [{ path: '', message: 'disk' }],
      document: null,
    });
    vi.restoreAllMocks();
    expect(await session.repair()).toEqual({ kind: 'no way back' });
    expect(session.state.getState().status).toBe('broken');
  });

  it('is read again after a moment where it could not be read at first', async () => {
    session.close();
    const { transaction } = db;
    let failures = 0;
    const spy = vi.spyOn(db, 'transaction').mockImplementation(((...all: unknown[]) => {
      if (all[0] === 'r' && failures++ === 0) throw new DOMException('gone', 'UnknownError');
      return (transaction as (...rest: unknown[]) => unknown).apply(db, all);
    }) as never);
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('open'));
    expect(failures).toBeGreaterThan(1);
    spy.mockRestore();
  });

  it('tells of what other tabs do to its journal, or that it is to be read anew', async () => {
    const news: unknown[] = [];
    session.onJournal((one) => news.push(one));
    const other = new ShopSession(() => db);
    other.open('one');
    await eventually(() => expect(other.state.getState().status).toBe('open'));
    const add = (id: string) =>
      other.apply('sound', { ...NO_DIFF, added: [{ kind: 'sounds', record: sampleSound(id) }] });
    add('theirs');
    await eventually(() => expect(soundIds()).toEqual(['s1', 'theirs']));
    expect(news).toEqual([
      { ...NO_DIFF, added: [{ kind: 'sounds', record: sampleSound('theirs') }] },
    ]);
    // An edit of the design says nothing of the journal.
    other.edit('name', (shop) => void Object.assign(shop.shop, { name: 'Theirs' }));
    await eventually(() => expect(open().shop.shop.name).toBe('Theirs'));
    expect(news).toHaveLength(1);
    // Two steps at once: only the last of them is handed on.
    await db.summaries.update('one', (row) => {
      row.journalRevision += 2;
      row.revision += 1;
    });
    await eventually(() => expect(news).toHaveLength(2));
    expect(news[1]).toBe('anew');
    expect(soundIds()).toEqual(['s1', 'theirs']);
    other.close();
  });

  it('of which too much changed elsewhere at once to be handed on is read anew', async () => {
    const news: unknown[] = [];
    session.onJournal((one) => news.push(one));
    await db.table('sounds').put({
      shop: 'one',
      time: Date.parse(sampleSound('s2').at),
      record: sampleSound('s2'),
    });
    await db.summaries.update('one', (row) => {
      row.journalRevision += 1;
      row.lastDiff = null;
      row.revision += 1;
    });
    await eventually(() => expect(soundIds()).toEqual(['s1', 's2']));
    expect(news).toEqual(['anew']);
  });

  it('that is not there is said to be missing', async () => {
    session.open('nowhere');
    await eventually(() => expect(session.state.getState().status).toBe('missing'));
  });

  it('opened while another’s last writes are under way opens, and both are stored', async () => {
    await addShop(sampleShop('two', 'Two'), { keepId: true, db });
    setName('Left behind');
    setCeiling(3);
    session.open('two');
    await eventually(() => expect(open().id).toBe('two'));
    await eventually(async () => expect((await stored())?.room.ceilingHeight).toBe(3));
    expect((await stored())?.shop.name).toBe('Left behind');
  });
});

describe('an edit that cannot be kept', () => {
  it('since what it changes was taken out elsewhere, is told of, and the screen shows what is stored', async () => {
    const refusals: Refusal[] = [];
    session.onRefused = (refusal) => refusals.push(refusal);
    const before = sampleSound('s1');
    const other = new ShopSession(() => db);
    other.open('one');
    await eventually(() => expect(other.state.getState().status).toBe('open'));
    other.apply('take out', {
      added: [],
      updated: [],
      removed: [{ kind: 'sounds', record: before }],
    });
    session.record('louder', ({ sounds: [own] }) => {
      if (own) own.level = 99;
    });
    await eventually(() => expect(refusals).toEqual([{ label: 'louder', reason: null }]));
    await eventually(() => expect(soundIds()).toEqual([]));
    expect(open().saved).toBe('saved');
    other.close();
  });

  it('since it would leave a shop that cannot be read, is told of with its reason', async () => {
    const refusals: Refusal[] = [];
    session.onRefused = (refusal) => refusals.push(refusal);
    session.edit('doors', ({ room }) => {
      for (let i = 0; i < 101; i++) room.doors.push({ id: `d${i}`, wall: 0, along: i, width: 1 });
    });
    expect(refusals).toMatchObject([
      { label: 'doors', reason: '100 of them are the most (room.doors)' },
    ]);
    expect(open().shop.room.doors).toEqual([]);
    expect(open().saved).toBe('saved');
    addSound('s1'.repeat(40));
    expect(refusals[1]?.reason).toBe('64 letters are the most (sounds.id)');
    session.record('louder', ({ sounds: [own] }) => {
      if (own) own.level = 1e9;
    });
    expect(refusals[2]?.reason).toMatch(/\(sounds\.level\)$/);
    expect(soundIds()).toEqual(['s1']);
    expect(await session.undo()).toBeNull();
  });
});

describe('storage that fails', () => {
  /** Lets every write fail until it is mended. */
  function breakStorage(): () => void {
    const spy = vi.spyOn(db, 'transaction').mockImplementation((() => {
      throw new DOMException('full', 'QuotaExceededError');
    }) as never);
    return () => spy.mockRestore();
  }

  it('keeps saying so until everything is stored, in order', async () => {
    const mend = breakStorage();
    setName('First');
    await eventually(() => expect(open().saved).toBe('failed'));
    expect(session.hasUnstored).toBe(true);
    session.edit('breaker', (draft) => {
      draft.collector.blower.breaker = 30;
    });
    addSound('kept');
    expect(open().saved).toBe('failed');
    expect(open().shop.shop.name).toBe('First');
    mend();
    session.retry();
    await saved();
    expect(session.hasUnstored).toBe(false);
    const now = await stored();
    expect(now?.shop.name).toBe('First');
    expect(now?.collector.blower.breaker).toBe(30);
    expect(await db.table('sounds').count()).toBe(2);
    expect(await session.undo()).toBe('sound');
    expect(await session.undo()).toBe('breaker');
    expect(await session.undo()).toBe('name');
  });

  it('for one shop says so of the next one opened, until all is stored; that one stays as it is', async () => {
    await addShop(sampleShop('two', 'Two'), { keepId: true, db });
    const { transaction } = db;
    const spy = vi.spyOn(db, 'transaction').mockImplementation(((...all: unknown[]) => {
      if (all[0] === 'rw') throw new DOMException('full', 'QuotaExceededError');
      return (transaction as (...rest: unknown[]) => unknown).apply(db, all);
    }) as never);
    setName('First');
    addSound('first');
    await eventually(() => expect(open().saved).toBe('failed'));
    session.open('two');
    await eventually(() => expect(open().id).toBe('two'));
    session.retry();
    await eventually(() => expect(open().saved).toBe('failed'));
    expect(session.unstoredJournal()).toEqual([]);
    const shown = open();
    spy.mockRestore();
    session.retry();
    await saved();
    expect((await stored())?.shop.name).toBe('First');
    expect(open()).toEqual({ ...shown, saved: 'saved' });
    expect(await session.undo()).toBeNull();
  });

  it('is tried again by itself', async () => {
    const mend = breakStorage();
    setName('First');
    await eventually(() => expect(open().saved).toBe('failed'));
    mend();
    await eventually(() => expect(open().saved).toBe('saved'));
    expect((await stored())?.shop.name).toBe('First');
  });

  it('says what of the journal is not stored', async () => {
    expect(await session.settled()).toBeNull();
    const mend = breakStorage();
    addSound('unstored');
    const unstored = await session.settled();
    expect(unstored?.added.map(({ record }) => record.id)).toEqual(['unstored']);
    mend();
    session.retry();
    await saved();
    expect(await session.settled()).toBeNull();
  });
});
