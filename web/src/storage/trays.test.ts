import 'fake-indexeddb/auto';
import type { Shop } from '@frank-gauge/core/design';
import { beforeEach, describe, expect, it } from 'vitest';
import { database } from './database';
import { stepChange, storeChange } from './history';
import { readJournal } from './journal-tables';
import { sampleJournal, sampleShop } from './sample-records';
import { addShop, baseOfTray, deleteShop, emptyBin, listShops, openDemo } from './shop-list';
import {
  addTray,
  discardTray,
  keepTray,
  listTrays,
  MOST_TRAYS,
  readDesign,
  restoreTray,
  trayAsShop,
} from './trays';

const NOTHING = { added: [], updated: [], removed: [] };
const now = new Date(Date.UTC(2026, 5, 1));

const setNote = (id: string, note: string) =>
  storeChange(
    database(),
    id,
    {
      label: 'note',
      design: [{ op: 'set', path: ['shop', 'note'], value: note }],
      journal: NOTHING,
      merge: null,
    },
    now,
  );
const setElevation = (id: string, elevation: number) =>
  storeChange(
    database(),
    id,
    {
      label: 'site',
      design: [{ op: 'set', path: ['shop', 'site', 'elevation'], value: elevation }],
      journal: NOTHING,
      merge: null,
    },
    now,
  );
const noteOf = async (id: string) => (await readDesign(id))?.shop.note;

let shop = '';
beforeEach(async () => {
  await Promise.all(database().tables.map((table) => table.clear()));
  shop = await addShop(sampleShop(), { keepId: true, journal: sampleJournal(2) });
});

/** A tray that must be there. */
async function tray(change?: (design: Shop) => Shop): Promise<string> {
  const id = await addTray(shop, change);
  if (id === null) throw new Error('no tray');
  return id;
}

describe('a tray', () => {
  it('begins as the shop is, is no shop in the list, and has no readings', async () => {
    const id = await tray();
    const [own, ...others] = await listTrays(shop);
    expect(others).toEqual([]);
    expect(own).toMatchObject({ id, name: 'A', differences: [] });
    expect({ ...own?.design, id: shop }).toEqual(await readDesign(shop));
    expect((await listShops()).map((each) => each.id)).toEqual([shop]);
    expect((await readJournal(database(), id)).readings).toEqual([]);
  });

  it('takes edits without the shop hearing of them, and says what it has otherwise', async () => {
    const id = await tray();
    await setNote(id, 'tried');
    expect(await noteOf(shop)).not.toBe('tried');
    expect((await listTrays(shop))[0]?.differences).toEqual([
      { area: 'shop', name: null, what: 'changed', members: ['note'] },
    ]);
  });

  it('may begin with something changed', async () => {
    const id = await tray((design) => ({ ...design, shop: { ...design.shop, note: 'wider' } }));
    expect(await noteOf(id)).toBe('wider');
    expect((await listTrays(shop))[0]?.differences).toHaveLength(1);
  });

  it('has one of four names; a fifth is refused, and one thrown away makes room', async () => {
    const ids = [await tray(), await tray(), await tray(), await tray()];
    expect((await listTrays(shop)).map(({ name }) => name)).toEqual(['A', 'B', 'C', 'D']);
    expect(ids).toHaveLength(MOST_TRAYS);
    expect(await addTray(shop)).toBeNull();
    await discardTray(ids[1] ?? '', now);
    const next = await tray();
    expect((await listTrays(shop)).find(({ id }) => id === next)?.name).toBe('B');
    expect(await restoreTray(ids[1] ?? '')).toBe(false);
    await discardTray(ids[3] ?? '', now);
    expect(await restoreTray(ids[1] ?? '')).toBe(true);
    expect((await listTrays(shop)).map(({ id }) => id).sort()).toEqual(
      [ids[0], ids[1], ids[2], next].sort(),
    );
  });

  it('of a shop that is not there is none', async () => {
    expect(await addTray('nowhere')).toBeNull();
  });
});

describe('keeping a tray', () => {
  it('is one step to undo in the shop, and puts the tray away', async () => {
    const before = await readDesign(shop);
    const id = await tray();
    await setNote(id, 'one');
    await setNote(id, 'two');
    await setElevation(id, 300);
    expect(await keepTray(id, now)).toEqual({ kind: 'kept', shop, isStep: true });
    const kept = await readDesign(shop);
    expect(kept?.shop.note).toBe('two');
    expect(kept?.shop.site.elevation).toBe(300);
    expect(await listTrays(shop)).toEqual([]);
    const undone = await stepChange(database(), shop, -1, now);
    expect(undone.ok && undone.label).toBe('keep tray A');
    expect(await readDesign(shop)).toEqual(before);
    expect((await readJournal(database(), shop)).readings).toHaveLength(2);
  });

  it('leaves alone what was changed in the shop since', async () => {
    const id = await tray();
    await setNote(id, 'tray');
    await setElevation(shop, 500);
    expect((await keepTray(id, now)).kind).toBe('kept');
    const kept = await readDesign(shop);
    expect([kept?.shop.note, kept?.shop.site.elevation]).toEqual(['tray', 500]);
  });

  it('that the shop has all of already leaves nothing to undo, and puts the tray away', async () => {
    const id = await tray();
    await setNote(id, 'same');
    await setNote(shop, 'same');
    expect(await keepTray(id, now)).toEqual({ kind: 'kept', shop, isStep: false });
    expect(await listTrays(shop)).toEqual([]);
    expect((await database().summaries.get(shop))?.cursor).toBe(1);
  });

  it('of nothing is refused, and the tray stays', async () => {
    const id = await tray();
    expect(await keepTray(id, now)).toEqual({ kind: 'nothing to keep' });
    expect(await listTrays(shop)).toHaveLength(1);
  });

  it('where the shop lacks what the tray changes is refused, and both stay as they are', async () => {
    shop = await openDemo();
    const id = await tray();
    const candidate = (await readDesign(shop))?.candidates[0]?.id ?? '';
    const path = ['candidates', { key: 'id', is: candidate }, 'name'] as const;
    const rename = { op: 'set', path, value: 'Renamed' } as const;
    await storeChange(
      database(),
      id,
      { label: 'rename', design: [rename], journal: NOTHING, merge: null },
      now,
    );
    const row = await database().designs.get(shop);
    if (!row) throw new Error('no shop');
    const candidates = row.document.candidates.filter((each) => each.id !== candidate);
    await database().designs.put({ ...row, document: { ...row.document, candidates } });
    expect(await keepTray(id, now)).toEqual({ kind: 'does not fit' });
    expect(await listTrays(shop)).toHaveLength(1);
    expect((await readDesign(shop))?.candidates).toEqual(candidates);
  });
});

it('a tray of a shop that was deleted is not kept in it', async () => {
  const id = await tray();
  await setNote(id, 'late');
  await deleteShop(shop);
  expect(await keepTray(id, now)).toEqual({ kind: 'does not fit' });
  expect(await noteOf(shop)).not.toBe('late');
});

it('a tray becomes a shop of its own, and stays', async () => {
  const id = await tray();
  await setNote(id, 'apart');
  const apart = await trayAsShop(id);
  expect(await noteOf(apart ?? '')).toBe('apart');
  expect((await listShops()).map(({ name }) => name).sort()).toEqual(['One', 'One, tray A']);
  expect(await listTrays(shop)).toHaveLength(1);
});

it('trays go with their shop once it is let go, and by themselves when thrown away long ago', async () => {
  const own = await tray();
  const other = await addShop(sampleShop('other', 'Other'));
  const gone = (await addTray(other)) ?? '';
  await discardTray(gone, new Date(Date.UTC(2026, 0, 1)));
  await deleteShop(shop);
  await emptyBin(new Date(Date.now() + 31 * 24 * 3600 * 1000));
  const left = (await database().designs.toCollection().primaryKeys()).sort();
  expect(left).toEqual([other]);
  expect(await database().summaries.get(own)).toBeUndefined();
  expect(await database().designs.get(baseOfTray(own))).toBeUndefined();
});
