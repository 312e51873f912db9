import 'fake-indexeddb/auto';
import { newShop, type Shop } from '@frank-gauge/core';
import { produceWithPatches } from 'immer';
import { beforeEach, describe, expect, it } from 'vitest';
import { stepChange, storeChange } from './change-log';
import { Database } from './database';

const curve = [
  { flow: 0, pressure: 2000 },
  { flow: 0.5, pressure: 0 },
];
const shop = newShop('one', 'One', 'us', curve);
const counts = { databases: 0 };
let db: Database;
let clock = 0;

beforeEach(async () => {
  db = new Database(`test-${counts.databases++}`);
  clock = 0;
  await db.shops.add({
    id: 'one',
    document: shop,
    revision: 0,
    cursor: 0,
    changes: 0,
    changed: '2026-01-01T00:00:00Z',
    deleted: null,
  });
});

/** A minute later each time, so that nothing merges unless it is meant to. */
const later = (milliseconds = 60_000) => {
  clock += milliseconds;
  return new Date(clock);
};

const document = async (): Promise<Shop> => {
  const row = await db.shops.get('one');
  if (!row) throw new Error('gone');
  return row.document;
};

/** Makes a change from what a tab believes the document to be. */
function change(from: Shop, recipe: (draft: Shop) => void, merge: string | null = null) {
  const [next, patches, inverse] = produceWithPatches(from, recipe);
  return { next, change: { label: 'change', patches, inverse, merge } };
}

describe('stored changes', () => {
  it('go back to the beginning and forth to the end', async () => {
    let now = shop;
    const states = [now];
    for (const name of ['Two', 'Three', 'Four']) {
      const made = change(now, (draft) => {
        draft.shop.name = name;
        draft.collector.blower.curve.push({ flow: 1 + name.length, pressure: 1 });
      });
      await storeChange(db, 'one', made.change, later());
      now = made.next;
      states.push(now);
    }
    expect(await document()).toEqual(states[3]);
    for (const state of [states[2], states[1], states[0]]) {
      expect(await stepChange(db, 'one', -1, later())).toMatchObject({ ok: true });
      expect(await document()).toEqual(state);
    }
    expect(await stepChange(db, 'one', -1, later())).toEqual({ ok: false, reason: 'nothing' });
    for (const state of states.slice(1)) {
      await stepChange(db, 'one', 1, later());
      expect(await document()).toEqual(state);
    }
    expect(await stepChange(db, 'one', 1, later())).toEqual({ ok: false, reason: 'nothing' });
  });

  it('of one field in quick succession are one', async () => {
    let now = shop;
    for (const name of ['H', 'He', 'Her']) {
      const made = change(now, (draft) => void Object.assign(draft.shop, { name }), 'name');
      await storeChange(db, 'one', made.change, later(200));
      now = made.next;
    }
    await stepChange(db, 'one', -1, later());
    expect((await document()).shop.name).toBe('One');
  });

  it('made after an undo replace what was undone', async () => {
    const first = change(shop, (draft) => void Object.assign(draft.shop, { name: 'A' }));
    await storeChange(db, 'one', first.change, later());
    await stepChange(db, 'one', -1, later());
    const second = change(shop, (draft) => void Object.assign(draft.shop, { name: 'B' }));
    await storeChange(db, 'one', second.change, later());
    expect(await stepChange(db, 'one', 1, later())).toEqual({ ok: false, reason: 'nothing' });
    expect((await document()).shop.name).toBe('B');
  });

  it('of two tabs both hold, when they touch different things', async () => {
    const mine = change(shop, (draft) => void Object.assign(draft.shop, { name: 'Mine' }));
    const yours = change(
      shop,
      (draft) => void Object.assign(draft.collector.blower, { breaker: 30 }),
    );
    await Promise.all([
      storeChange(db, 'one', mine.change, later()),
      storeChange(db, 'one', yours.change, later()),
    ]);
    const both = await document();
    expect(both.shop.name).toBe('Mine');
    expect(both.collector.blower.breaker).toBe(30);
  });

  it('that no longer fit are refused and change nothing', async () => {
    const own = change(shop, (draft) => void Object.assign(draft.collector.exhaust, { area: 5 }));
    const patches = [{ op: 'replace' as const, path: ['ducts', 'runs', 7, 'length'], value: 3 }];
    expect(await storeChange(db, 'one', { ...own.change, patches }, later())).toEqual({
      ok: false,
      reason: 'conflict',
    });
    expect(await document()).toEqual(shop);
    expect(await storeChange(db, 'none', own.change, later())).toEqual({
      ok: false,
      reason: 'gone',
    });
  });
});
