import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { Database } from './database';
import { eventually } from './eventually';
import { storeChange } from './history';
import { repairShop, restoreSummary } from './repair';
import type { SummaryRow } from './rows';
import { sampleJournal, sampleShop } from './sample-records';
import { addShop, listShops } from './shop-list';
import { ShopSession } from './shop-session';
import { storeStanding } from './standing';

let names = 0;
let db: Database;
beforeEach(() => {
  db = new Database(`repair-${names++}`);
});

/** Puts whatever it likes into a summary, as a broken disk or another program would. */
const damage = (id: string, members: Record<string, unknown>) =>
  db.table('summaries').update(id, members);
const whole = async (id: string): Promise<SummaryRow | undefined> => db.summaries.get(id);

const setCeiling = (value: unknown, label = `ceiling ${value}`) =>
  storeChange(
    db,
    'one',
    {
      label,
      merge: null,
      design: [{ op: 'set', path: ['room', 'ceilingHeight'], value: value as number }],
      journal: { added: [], updated: [], removed: [] },
    },
    new Date(),
  );

describe('one bad row', () => {
  it.each<[string, Record<string, unknown>]>([
    ['no date', { changed: undefined }],
    ['a date that is none', { changed: 'yesterday' }],
    ['a date of another kind', { changed: 12 }],
    ['a number for its name', { name: 5 }],
    ['no units', { units: 'cubits' }],
    ['counts that are none', { revision: Number.NaN, cursor: -1, readings: 'many' }],
    ['a standing that is none', { standing: { kind: 'judged', of: 0, drops: 1, worst: 'saw' } }],
    ['news that is none', { lastDiff: 'none' }],
    ['a nonsense day of deletion', { deleted: {} }],
  ])('with %s hides no other, and is opened all the same', async (_, members) => {
    await addShop(sampleShop('one', 'One'), { keepId: true, db });
    await addShop(sampleShop('two', 'Two'), { keepId: true, db });
    await damage('one', members);
    const rows = await listShops(db);
    expect(rows.map(({ id }) => id).sort()).toEqual(['one', 'two']);
    for (const row of rows) expect(Number.isNaN(Date.parse(row.changed))).toBe(false);
    const session = new ShopSession(() => db);
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('open'));
    session.edit('name', (shop) => void Object.assign(shop.shop, { name: 'Renamed' }));
    await session.settled();
    expect(await whole('one')).toMatchObject({ name: 'Renamed', cursor: 1, changes: 1 });
    session.close();
  });

  it('of a shop without its design is listed, and said to be missing when opened', async () => {
    await addShop(sampleShop('one', 'One'), { keepId: true, db });
    await db.designs.delete('one');
    expect((await listShops(db)).map(({ id }) => id)).toEqual(['one']);
    const session = new ShopSession(() => db);
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('missing'));
    session.close();
  });
});

describe('a design without its summary', () => {
  it('is listed by its name, and opened with its journal and its undo', async () => {
    await addShop(sampleShop('one', 'One'), { keepId: true, journal: sampleJournal(3), db });
    await setCeiling(3);
    await db.summaries.delete('one');
    expect((await listShops(db)).map(({ id, name }) => [id, name])).toEqual([['one', 'One']]);
    const session = new ShopSession(() => db);
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('open'));
    expect(await whole('one')).toMatchObject({ name: 'One', readings: 3, cursor: 1, changes: 1 });
    expect(await session.undo()).toBe('ceiling 3');
    session.close();
    expect(await restoreSummary(db, 'one')).toBe(true);
    expect(await restoreSummary(db, 'none')).toBe(false);
    // The list asks how it stands, which brings its summary back too.
    await db.summaries.delete('one');
    await storeStanding(db, 'one');
    expect((await whole('one'))?.standing).toMatchObject({ kind: 'judged', drops: 0 });
  });
});

describe('a design that cannot be read', () => {
  /** Writes past every check, as an older program with fewer of them did. */
  async function broken() {
    await addShop(sampleShop('one', 'One'), { keepId: true, journal: sampleJournal(3), db });
    await setCeiling(3);
    await setCeiling(3.5);
    const row = await db.designs.get('one');
    if (!row) throw new Error('no design');
    const at = (ceilingHeight: unknown) => ({
      ...row.document,
      room: { ...row.document.room, ceilingHeight: ceilingHeight as number },
    });
    for (const [i, [value, before]] of (
      [
        [-1, 3.5],
        ['high', -1],
      ] as const
    ).entries()) {
      await db.history.put({
        shop: 'one',
        position: 2 + i,
        label: `broken ${i}`,
        design: [{ op: 'set', path: ['room', 'ceilingHeight'], value }],
        inverse: [{ op: 'set', path: ['room', 'ceilingHeight'], value: before }],
        journal: { added: [], updated: [], removed: [] },
        merge: null,
        at: 0,
      });
    }
    await db.designs.put({ id: 'one', document: at('high') });
    await damage('one', { cursor: 4, changes: 4, designRevision: 9 });
  }

  it('says all that is wrong, and goes back to the last that can be, keeping what was measured', async () => {
    await broken();
    const session = new ShopSession(() => db);
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('broken'));
    const state = session.state.getState();
    expect(state.status === 'broken' && state.faults.map(({ path }) => path)).toEqual([
      'room.ceilingHeight',
    ]);
    expect(await session.repair()).toEqual({ kind: 'repaired', undone: ['broken 1', 'broken 0'] });
    await eventually(() => expect(session.state.getState().status).toBe('open'));
    const open = session.state.getState();
    if (open.status !== 'open') throw new Error(open.status);
    expect(open.shop.room.ceilingHeight).toBe(3.5);
    expect([open.readings, open.cursor, open.changes]).toEqual([3, 2, 2]);
    // From there undo and edits go on as ever.
    expect(await session.undo()).toBe('ceiling 3.5');
    session.close();
  });

  it('without a way back is left as it lies', async () => {
    await broken();
    await db.history.clear();
    const before = await db.designs.get('one');
    expect(await repairShop(db, 'one', new Date())).toEqual({ kind: 'no way back' });
    expect(await db.designs.get('one')).toEqual(before);
    // Nor is there one where changes lead nowhere, or nothing is stored.
    for (const document of [null, 5, 'text', []]) {
      await broken().catch(() => undefined);
      await db.table('designs').put({ id: 'one', document });
      expect(await repairShop(db, 'one', new Date())).toEqual({ kind: 'no way back' });
    }
    expect(await repairShop(db, 'none', new Date())).toEqual({ kind: 'no way back' });
  });
});
