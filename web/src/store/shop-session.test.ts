import 'fake-indexeddb/auto';
import { newShop } from '@frank-gauge/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { database } from './database';
import { addShop, deleteShop, renameShop } from './shop-list';
import { closeShop, edit, openShop, redo, undo, useSession } from './shop-session';

const curve = [
  { flow: 0, pressure: 2000 },
  { flow: 0.5, pressure: 0 },
];

const open = () => {
  const session = useSession.getState();
  if (session.status !== 'open') throw new Error(session.status);
  return session;
};
const saved = () => vi.waitFor(() => expect(open().saved).toBe('saved'));
const stored = async () => (await database.shops.get('one'))?.document;
const setName = (name: string) =>
  edit('name', (draft) => {
    draft.shop.name = name;
  });

const setCeiling = (height: number) =>
  edit(
    'ceiling',
    ({ room }) => {
      room.ceilingHeight = height;
    },
    { merge: 'ceiling' },
  );

beforeEach(async () => {
  closeShop();
  await Promise.all([database.shops.clear(), database.changes.clear()]);
  await addShop(newShop('one', 'One', 'us', curve), { keepId: true });
  openShop('one');
  await vi.waitFor(() => expect(useSession.getState().status).toBe('open'));
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
    setName('Two');
    expect(open().shop.ducts).toBe(ducts);
    expect(open().shop.collector).toBe(collector);
  });

  it('an edit that changes nothing leaves no trace', async () => {
    setName('One');
    expect(open().saved).toBe('saved');
    expect(await undo()).toBeNull();
  });

  it('quick edits of one thing are stored once, and undone once', async () => {
    const before = (await database.shops.get('one'))?.revision ?? 0;
    for (let i = 0; i < 40; i++) {
      setCeiling(2 + i / 100);
    }
    await saved();
    expect((await stored())?.room.ceilingHeight).toBeCloseTo(2.39, 9);
    expect((await database.shops.get('one'))?.revision).toBe(before + 1);
    expect(await undo()).toBe('ceiling');
    await saved();
    expect(open().shop.room.ceilingHeight).toBeNull();
  });

  it('an edit of another thing, or an undo, stores what waits first', async () => {
    setCeiling(2.5);
    setName('Two');
    expect(await undo()).toBe('name');
    expect(await undo()).toBe('ceiling');
    await saved();
    expect(open().shop.room.ceilingHeight).toBeNull();
    expect(open().shop.shop.name).toBe('One');
  });

  it('undoes and does again, through any mixture of quick edits', async () => {
    for (const name of ['A', 'B', 'C']) setName(name);
    const first = undo();
    const second = undo();
    expect([await first, await second]).toEqual(['name', 'name']);
    await saved();
    expect(open().shop.shop.name).toBe('A');
    expect(await redo()).toBe('name');
    expect(open().shop.shop.name).toBe('B');
    setName('D');
    await saved();
    expect(await redo()).toBeNull();
    expect(open().shop.shop.name).toBe('D');
    expect((await stored())?.shop.name).toBe('D');
  });

  it('an undo with an edit right behind it ends as both', async () => {
    edit('breaker', (draft) => {
      draft.collector.blower.breaker = 33;
    });
    await saved();
    const undone = undo();
    setName('After');
    await undone;
    await saved();
    expect(open().shop.collector.blower.breaker).toBe(20);
    expect(open().shop.shop.name).toBe('After');
    expect(await stored()).toEqual(open().shop);
  });

  it('follows what is changed elsewhere', async () => {
    await renameShop('one', 'Elsewhere');
    await vi.waitFor(() => expect(open().shop.shop.name).toBe('Elsewhere'));
    await deleteShop('one');
    await vi.waitFor(() => expect(useSession.getState().status).toBe('missing'));
  });

  it('that cannot be read says why and keeps what is stored', async () => {
    closeShop();
    const row = await database.shops.get('one');
    if (!row) throw new Error('gone');
    const broken = { ...row.document, version: 7 as 4 };
    await database.shops.put({ ...row, document: broken });
    openShop('one');
    await vi.waitFor(() => expect(useSession.getState().status).toBe('broken'));
    const session = useSession.getState();
    expect(session.status === 'broken' && session.reason).toMatch(/newer Frank Gauge/);
    expect(await stored()).toEqual(broken);
  });

  it('that is not there is missing', async () => {
    openShop('none');
    await vi.waitFor(() => expect(useSession.getState().status).toBe('missing'));
  });
});

describe('another shop', () => {
  it('opened while a write is on its way is not overwritten by the one left', async () => {
    await addShop(newShop('two', 'Second', 'us', curve), { keepId: true });
    setName('Left behind');
    openShop('two');
    await vi.waitFor(() => expect(useSession.getState().status).toBe('open'));
    await vi.waitFor(async () => expect((await stored())?.shop.name).toBe('Left behind'));
    expect(open().id).toBe('two');
    expect(open().shop.shop.name).toBe('Second');
  });

  it('opens even if many writes of the one left end only after it was read', async () => {
    await addShop(newShop('two', 'Second', 'us', curve), { keepId: true });
    for (let i = 0; i < 40; i++) setName(`Name ${i}`);
    openShop('two');
    await vi.waitFor(() => expect(useSession.getState().status).toBe('open'), { timeout: 5000 });
    expect(open().shop.shop.name).toBe('Second');
    await vi.waitFor(async () => expect((await stored())?.shop.name).toBe('Name 39'));
  });
});
