import 'fake-indexeddb/auto';
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { database } from './database';
import { eventually } from './eventually';
import { sampleShop } from './sample-records';
import type { Refusal } from './session-state';
import { addShop } from './shop-list';
import { hasOnlyInMemory, useStoragePlace } from './storage-place';

const kept = new Map<string, string>();
const localStorage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
};
const page = Object.assign(new EventTarget(), { localStorage });
vi.stubGlobal('window', page);

const loaded = await import('./session');
const { shopSession, edit, openShopId, tryEdit } = loaded;

const setCeiling = (height: number) =>
  edit('ceiling', ({ room }) => void Object.assign(room, { ceilingHeight: height }), {
    merge: 'ceiling',
  });
const stored = async () => (await database().designs.get('one'))?.document.room.ceilingHeight;
const keptHeights = () =>
  [...kept.values()].flatMap((text) =>
    (JSON.parse(text) as { change: { design: { value: number }[] } }[]).map(
      ({ change }) => change.design[0]?.value,
    ),
  );
const leave = () => page.dispatchEvent(new Event('pagehide'));

beforeAll(() => eventually(() => expect(useStoragePlace.getState().kind).toBe('browser')));
beforeEach(async () => {
  shopSession.close();
  kept.clear();
  await Promise.all(database().tables.map((table) => table.clear()));
  await addShop(sampleShop(), { keepId: true });
  shopSession.open('one');
  await eventually(() => expect(openShopId()).toBe('one'));
});

describe('a page', () => {
  it('knows which shop is open, and that none is', () => {
    expect(openShopId()).toBe('one');
    shopSession.close();
    expect(openShopId()).toBe('');
  });

  it('that is left keeps the edits on their way, gathered ones too', async () => {
    setCeiling(3);
    leave();
    expect(keptHeights()).toEqual([3]);
    await eventually(async () => expect(await stored()).toBe(3));
  });

  it('that may keep nothing still sends its edits on their way', async () => {
    Object.defineProperty(page, 'localStorage', {
      configurable: true,
      get: () => {
        throw new DOMException('blocked', 'SecurityError');
      },
    });
    setCeiling(4);
    leave();
    expect(kept.size).toBe(0);
    await eventually(async () => expect(await stored()).toBe(4));
    Object.defineProperty(page, 'localStorage', { configurable: true, value: localStorage });
  });

  it('keeps no edits of what is in memory: they would be taken for edits of what is stored', () => {
    useStoragePlace.setState({ kind: 'memory', why: { kind: 'silent' }, isOpenNow: false }, true);
    setCeiling(5);
    leave();
    expect(kept.size).toBe(0);
    useStoragePlace.setState({ kind: 'browser' }, true);
  });

  it('asks before it is left while something cannot be stored, and only then', async () => {
    const asks = () => {
      const event = new Event('beforeunload', { cancelable: true });
      page.dispatchEvent(event);
      return event.defaultPrevented;
    };
    expect(hasOnlyInMemory()).toBe(false);
    expect(asks()).toBe(false);
    const spy = vi.spyOn(database(), 'transaction').mockImplementation((() => {
      throw new DOMException('full', 'QuotaExceededError');
    }) as never);
    edit('ceiling', ({ room }) => void Object.assign(room, { ceilingHeight: 6 }));
    await eventually(() => expect(asks()).toBe(true));
    spy.mockRestore();
    shopSession.retry();
    await eventually(() => expect(asks()).toBe(false));
  });
});

describe('an edit of a field', () => {
  it('that a shop cannot have is answered with the reason, and told to nobody else', () => {
    const refusals: Refusal[] = [];
    const report = (refusal: Refusal) => void refusals.push(refusal);
    shopSession.onRefused = report;
    expect(tryEdit(() => setCeiling(1e9))).toBe('30 is the most (room.ceilingHeight)');
    expect(tryEdit(() => setCeiling(3))).toBeNull();
    expect(refusals).toEqual([]);
    expect(shopSession.onRefused).toBe(report);
    setCeiling(1e9);
    expect(refusals).toMatchObject([
      { label: 'ceiling', reason: '30 is the most (room.ceilingHeight)' },
    ]);
    const unname = () => edit('name', ({ shop }) => void Object.assign(shop, { name: '' }));
    expect(tryEdit(unname)).toBe('It is empty.');

    expect(() =>
      tryEdit(() => {
        throw new Error('a fault of the field');
      }),
    ).toThrow('a fault of the field');
    expect(shopSession.onRefused).toBe(report);
  });
});
