import 'fake-indexeddb/auto';
import { describe, expect, it, vi } from 'vitest';
import { Database } from './database';
import { eventually } from './eventually';
import { type KeptWrite, keepWrites, type Shelf, takeWrites } from './kept-writes';
import { sampleShop } from './sample-records';
import type { Refusal } from './session-state';
import { addShop } from './shop-list';
import { ShopSession } from './shop-session';

/** A browser's storage for one address, in memory. */
function shelfOf(): Shelf & { readonly all: Map<string, string> } {
  const all = new Map<string, string>();
  return {
    all,
    getItem: (key) => all.get(key) ?? null,
    setItem: (key, value) => void all.set(key, value),
    removeItem: (key) => void all.delete(key),
  };
}

const write = (id: string, shop = 'one', height = 3): KeptWrite => ({
  id,
  shop,
  change: {
    label: 'ceiling',
    merge: null,
    design: [{ op: 'set', path: ['room', 'ceilingHeight'], value: height }],
    journal: { added: [], updated: [], removed: [] },
  },
});

describe('what a page that is left keeps', () => {
  it('is taken back once, in order, by shop', () => {
    const shelf = shelfOf();
    keepWrites(shelf, [write('a'), write('b', 'two'), write('c')]);
    keepWrites(shelf, [write('d')]);
    keepWrites(shelf, []);
    expect(takeWrites(shelf, 'one').map(({ id }) => id)).toEqual(['a', 'c', 'd']);
    expect(takeWrites(shelf, 'one')).toEqual([]);
    expect(takeWrites(shelf, 'two')).toEqual([write('b', 'two')]);
    expect(shelf.all.size).toBe(0);
  });

  it('kept again, an edit is kept once, where it stands last', () => {
    const shelf = shelfOf();
    keepWrites(shelf, [write('a'), write('b')]);
    keepWrites(shelf, [write('a')]);
    expect(takeWrites(shelf, 'one').map(({ id }) => id)).toEqual(['b', 'a']);
  });

  it.each([
    '',
    'nonsense',
    '{}',
    '[null]',
    '[{"id":"a"}]',
    '[{"id":"a","shop":"one","change":{"design":{}}}]',
    '[5, "text", []]',
    ...[
      { id: 7 },
      { shop: 7 },
      { change: null },
      { change: { design: [], journal: null } },
      { change: { design: 'all', journal: { added: [], updated: [], removed: [] } } },
      { change: { design: [], journal: { added: 1, updated: [], removed: [] } } },
      { change: { design: [], journal: { added: [], updated: {}, removed: [] } } },
      { change: { design: [], journal: { added: [], updated: [] } } },
    ].map((members) => JSON.stringify([{ ...write('a'), ...members }])),
  ])('is nothing where %j was put there by something else', (text) => {
    const shelf = shelfOf();
    keepWrites(shelf, [write('a')]);
    for (const key of shelf.all.keys()) shelf.all.set(key, text);
    expect(takeWrites(shelf, 'one')).toEqual([]);
    keepWrites(shelf, [write('b')]);
    expect(takeWrites(shelf, 'one')).toEqual([write('b')]);
  });

  it('is what is an edit of whatever else was put among them', () => {
    const shelf = shelfOf();
    keepWrites(shelf, [write('a')]);
    const [key] = shelf.all.keys();
    const { design } = write('a').change;
    const others = [
      null,
      {},
      { id: 'x', shop: 'one', change: {} },
      { id: 'x', shop: 'one', change: { design } },
      { ...write('x'), shop: 7 },
    ];
    shelf.all.set(key ?? '', JSON.stringify([...others, write('a')]));
    expect(takeWrites(shelf, 'one')).toEqual([write('a')]);
    expect(shelf.all.size).toBe(0);
    // One of another shop is put back as it is.
    shelf.all.set(key ?? '', JSON.stringify([...others, write('b', 'two')]));
    expect(takeWrites(shelf, 'one')).toEqual([]);
    expect(takeWrites(shelf, 'two')).toEqual([write('b', 'two')]);
  });

  it('is neither written nor taken out where there is nothing', () => {
    const shelf = { ...shelfOf(), setItem: vi.fn(), removeItem: vi.fn() };
    keepWrites(shelf, []);
    expect(takeWrites(shelf, 'one')).toEqual([]);
    expect(shelf.setItem).not.toHaveBeenCalled();
    expect(shelf.removeItem).not.toHaveBeenCalled();
  });

  it('is lost, and nothing else, where there is no room', () => {
    const shelf = shelfOf();
    const full: Shelf = {
      ...shelf,
      setItem: () => {
        throw new Error('full');
      },
    };
    keepWrites(full, [write('a')]);
    expect(takeWrites(full, 'one')).toEqual([]);
  });
});

describe('a page opened again', () => {
  let names = 0;
  async function opened(shelf: Shelf, db = new Database(`kept-${names++}`)) {
    if (!(await db.summaries.get('one'))) await addShop(sampleShop(), { keepId: true, db });
    const session = new ShopSession(
      () => db,
      () => new Date(),
      () => shelf,
    );
    const refused: Refusal[] = [];
    session.onRefused = (refusal) => refused.push(refusal);
    session.open('one');
    await eventually(() => expect(session.state.getState().status).toBe('open'));
    const ceiling = () => {
      const state = session.state.getState();
      return state.status === 'open' ? state.shop.room.ceilingHeight : null;
    };
    return { db, session, ceiling, refused };
  }

  it('stores what the one before had on its way, shows it, and can undo it', async () => {
    const shelf = shelfOf();
    const before = await opened(shelf);
    const was = before.ceiling();
    before.session.edit('ceiling', ({ room }) => void Object.assign(room, { ceilingHeight: 4 }), {
      merge: 'ceiling',
    });
    // The page is gone in this very moment, and its database with it.
    keepWrites(shelf, before.session.unstored());
    before.db.close();
    const after = await opened(shelf, new Database(before.db.name));
    await eventually(() => expect(after.ceiling()).toBe(4));
    expect(await after.session.undo()).toBe('ceiling');
    await eventually(() => expect(after.ceiling()).toBe(was));
    expect(after.refused).toEqual([]);
  });

  it('stores nothing twice that came through all the same', async () => {
    const shelf = shelfOf();
    const before = await opened(shelf);
    before.session.edit('ceiling', ({ room }) => void Object.assign(room, { ceilingHeight: 4 }));
    keepWrites(shelf, before.session.unstored());
    await before.session.settled();
    before.session.edit('ceiling', ({ room }) => void Object.assign(room, { ceilingHeight: 5 }));
    await before.session.settled();
    const after = await opened(shelf, before.db);
    await after.session.settled();
    await eventually(() => expect(after.ceiling()).toBe(5));
    expect((await before.db.summaries.get('one'))?.changes).toBe(2);
    expect(takeWrites(shelf, 'one')).toEqual([]);
    expect(after.refused).toEqual([]);
  });

  it('says what of it can no longer be stored, and goes on', async () => {
    const shelf = shelfOf();
    keepWrites(shelf, [write('a', 'one', -1), write('b', 'one', 3.5)]);
    const { ceiling, refused } = await opened(shelf);
    await eventually(() => expect(ceiling()).toBe(3.5));
    expect(refused).toEqual([{ label: 'ceiling', reason: expect.stringMatching(/ceilingHeight/) }]);
  });
});
