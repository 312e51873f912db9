import 'fake-indexeddb/auto';
import { changesBetween, type Shop } from '@frank-gauge/core/design';
import { type JournalDiff, NO_DIFF } from '@frank-gauge/core/journal';
import { produce } from 'immer';
import { beforeEach, describe, expect, it } from 'vitest';
import { Database } from './database';
import { stepChange, storeChange } from './history';
import { readJournal } from './journal-tables';
import { sampleJournal, sampleShop, sampleSound } from './sample-records';
import { addShop } from './shop-list';

const shop = sampleShop();
const counts = { databases: 0 };
let db: Database;
let clock = 0;

beforeEach(async () => {
  db = new Database(`history-${counts.databases++}`);
  clock = 0;
  await addShop(shop, { keepId: true, journal: sampleJournal(2), db });
});

/** A minute later each time, so that nothing merges unless it is meant to. */
const later = (milliseconds = 60_000) => {
  clock += milliseconds;
  return new Date(clock);
};

async function document(): Promise<Shop> {
  const row = await db.designs.get('one');
  if (!row) throw new Error('gone');
  return row.document;
}
const sounds = async () => (await readJournal(db, 'one')).sounds;
const summary = () => db.summaries.get('one');

/** Makes a change from what a tab believes the design to be. */
function change(from: Shop, recipe: (draft: Shop) => void, merge: string | null = null) {
  const next = produce(from, recipe);
  const design = changesBetween(from, next);
  return { next, change: { label: 'change', design, journal: NO_DIFF, merge } };
}

const journalChange = (journal: Partial<JournalDiff>, merge: string | null = null) => ({
  label: 'log',
  design: [],
  journal: { ...NO_DIFF, ...journal },
  merge,
});
const add = (id: string, level?: number) =>
  journalChange({ added: [{ kind: 'sounds', record: sampleSound(id, level) }] });

describe('stored changes', () => {
  it('go back to the beginning and forth to the end', async () => {
    let now = shop;
    const states = [now];
    for (const name of ['Two', 'Three', 'Four']) {
      const made = change(now, (draft) => {
        draft.shop.name = name;
        draft.collector.blower.curve.push({ flow: 1 + states.length, pressure: 1 });
      });
      expect(await storeChange(db, 'one', made.change, later())).toMatchObject({ ok: true });
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
    expect((await summary())?.name).toBe('One');
  });

  it('a second and a half apart are two, and so are those of another field, or after an undo', async () => {
    const ceiling = async (height: number, after: number, merge: string | null = 'ceiling') => {
      const from = await document();
      const made = change(
        from,
        ({ room }) => void Object.assign(room, { ceilingHeight: height }),
        merge,
      );
      await storeChange(db, 'one', made.change, later(after));
      return (await summary())?.changes;
    };
    expect(await ceiling(2, 0)).toBe(1);
    expect(await ceiling(2.1, 1499)).toBe(1);
    // Counted from the last of them.
    expect(await ceiling(2.2, 1499)).toBe(1);
    expect(await ceiling(2.3, 1500)).toBe(2);
    expect(await ceiling(2.4, 10, 'other')).toBe(3);
    expect(await ceiling(2.5, 10, null)).toBe(4);
    expect(await ceiling(2.6, 10, null)).toBe(5);
    await stepChange(db, 'one', -1, later(10));
    expect((await document()).room.ceilingHeight).toBe(2.5);
  });

  it('are remembered up to five hundred, and edits by their ids up to a hundred', async () => {
    for (let i = 0; i < 503; i++) {
      const design = [{ op: 'set', path: ['room', 'ceilingHeight'], value: 2 + i / 1000 }] as const;
      const edit = { label: `${i}`, design, journal: NO_DIFF, merge: null };
      await storeChange(db, 'one', edit, later(), `w${i}`);
    }
    const rows = await db.history.toArray();
    expect([rows.length, rows[0]?.label, rows.at(-1)?.label]).toEqual([500, '3', '502']);
    const writes = (await summary())?.writes ?? [];
    expect([writes.length, writes[0], writes.at(-1)]).toEqual([100, 'w403', 'w502']);
    const design = [{ op: 'set', path: ['room', 'ceilingHeight'], value: 9 }] as const;
    const again = { label: 'again', design, journal: NO_DIFF, merge: null };
    expect(await storeChange(db, 'one', again, later(), 'w403')).toEqual({
      ok: false,
      reason: 'nothing',
    });
    expect((await storeChange(db, 'one', again, later(), 'new')).ok).toBe(true);
    expect((await storeChange(db, 'one', again, later())).ok).toBe(false);
  }, 60_000);

  it('of a shop that is not there are refused', async () => {
    const gone = { ok: false, reason: 'gone' };
    expect(await stepChange(db, 'none', -1, later())).toEqual(gone);
    const edit = { label: '', design: [], journal: NO_DIFF, merge: null };
    expect(await storeChange(db, 'none', edit, later())).toEqual(gone);
    expect(await stepChange(db, 'one', 1, later())).toEqual({ ok: false, reason: 'nothing' });
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

  it('that no longer fit, or break the schema or the tree, are refused and change nothing', async () => {
    const refused = async (path: (string | { key: 'id'; is: string })[], value: unknown) => {
      const design = [{ op: 'set', path, value }] as const;
      const written = await storeChange(db, 'one', { ...add('x'), design }, later());
      return written.ok ? 'stored' : written.reason;
    };
    const before = await document();
    expect(await refused(['ducts', 'runs', { key: 'id', is: 'gone' }, 'length'], 3)).toBe(
      'conflict',
    );
    expect(await refused(['collector', 'blower', 'curve'], [{ flow: 0, pressure: 1e9 }])).toBe(
      'invalid',
    );
    expect(await refused(['ducts', 'nodes'], [])).toBe('invalid');
    expect(await document()).toEqual(before);
    // Nor was the record stored that came with it.
    expect(await sounds()).toHaveLength(1);
    expect((await summary())?.revision).toBe(0);
    const none = await storeChange(db, 'none', add('x'), later());
    expect(none).toEqual({ ok: false, reason: 'gone' });
  });
});

describe('stored changes of the journal', () => {
  it('are undone and done again with those of the design, in one order', async () => {
    const renamed = change(shop, (draft) => void Object.assign(draft.shop, { name: 'Two' }));
    await storeChange(db, 'one', add('a'), later());
    await storeChange(db, 'one', { ...renamed.change, ...add('b'), ...renamed.change }, later());
    await storeChange(db, 'one', add('b'), later());
    expect((await sounds()).map(({ id }) => id).sort()).toEqual(['a', 'b', 's1']);
    await stepChange(db, 'one', -1, later());
    expect((await sounds()).map(({ id }) => id).sort()).toEqual(['a', 's1']);
    await stepChange(db, 'one', -1, later());
    expect((await document()).shop.name).toBe('One');
    await stepChange(db, 'one', -1, later());
    expect((await sounds()).map(({ id }) => id)).toEqual(['s1']);
    for (const _ of [1, 2, 3]) await stepChange(db, 'one', 1, later());
    expect((await sounds()).map(({ id }) => id).sort()).toEqual(['a', 'b', 's1']);
    expect((await document()).shop.name).toBe('Two');
  });

  it('do not write the design, nor those of the design the journal', async () => {
    await storeChange(db, 'one', add('a'), later());
    const renamed = change(shop, (draft) => void Object.assign(draft.shop, { name: 'Two' }));
    await storeChange(db, 'one', renamed.change, later());
    expect(await summary()).toMatchObject({ revision: 2, designRevision: 1, journalRevision: 1 });
  });

  it('count readings in the summary', async () => {
    const [first] = sampleJournal(1).readings;
    if (!first) throw new Error('none');
    const removed = [{ kind: 'readings', record: first }] as const;
    await storeChange(db, 'one', journalChange({ removed }), later());
    expect((await summary())?.readings).toBe(1);
    await stepChange(db, 'one', -1, later());
    expect((await summary())?.readings).toBe(2);
  });

  it('of two tabs in one record both hold, when they touch different fields', async () => {
    const before = sampleSound('s1');
    const louder = { kind: 'sounds', before, after: { ...before, level: 90 } } as const;
    const noted = { kind: 'sounds', before, after: { ...before, note: 'Muffs on.' } } as const;
    await storeChange(db, 'one', journalChange({ updated: [louder] }), later());
    await storeChange(db, 'one', journalChange({ updated: [noted] }), later());
    expect(await sounds()).toEqual([{ ...before, level: 90, note: 'Muffs on.' }]);
    // Undoing the note leaves the level that was stored before it.
    await stepChange(db, 'one', -1, later());
    expect(await sounds()).toEqual([{ ...before, level: 90 }]);
  });

  it('note when a record was last changed or taken out, and an undo takes that back', async () => {
    const noted = async () =>
      (await readJournal(db, 'one')).revisions.map(({ id, revised, isRemoved }) => [
        id,
        Date.parse(revised),
        isRemoved,
      ]);
    await storeChange(db, 'one', add('new'), later());
    expect(await noted()).toEqual([]);
    const before = sampleSound('new');
    const after = { ...before, level: 91 };
    const update = journalChange({ updated: [{ kind: 'sounds', before, after }] });
    await storeChange(db, 'one', update, later());
    expect(await noted()).toEqual([['sounds/new', 120_000, false]]);
    const removal = journalChange({ removed: [{ kind: 'sounds', record: after }] });
    await storeChange(db, 'one', removal, later());
    expect(await noted()).toEqual([['sounds/new', 180_000, true]]);
    await stepChange(db, 'one', -1, later());
    expect(await noted()).toEqual([['sounds/new', 120_000, false]]);
    await stepChange(db, 'one', -1, later());
    expect(await noted()).toEqual([]);
    await stepChange(db, 'one', 1, later());
    expect(await noted()).toEqual([['sounds/new', 120_000, false]]);
  });

  it('of a record that is gone, or against its schema, are refused whole', async () => {
    const before = sampleSound('gone');
    const updated = [{ kind: 'sounds', before, after: { ...before, level: 90 } }] as const;
    const written = await storeChange(
      db,
      'one',
      journalChange({ updated, removed: [{ kind: 'sounds', record: sampleSound('s1') }] }),
      later(),
    );
    expect(written).toEqual({ ok: false, reason: 'conflict' });
    expect(await sounds()).toHaveLength(1);
    const loud = await storeChange(db, 'one', add('loud', 400), later());
    expect(loud).toMatchObject({ ok: false, reason: 'invalid' });
    expect(await sounds()).toHaveLength(1);
  });

  it('never write over a record that has their id, nor take one out twice', async () => {
    expect(await storeChange(db, 'one', add('s1', 99), later())).toEqual({
      ok: false,
      reason: 'nothing',
    });
    expect((await sounds())[0]?.level).toBe(80);
  });

  it('hand their diff on to other tabs, unless it is very long', async () => {
    const written = await storeChange(db, 'one', add('a'), later());
    expect((await summary())?.lastDiff).toEqual(written.ok && written.journal);
    const many = Array.from({ length: 201 }, (_, i) => ({
      kind: 'sounds' as const,
      record: sampleSound(`m${i}`),
    }));
    await storeChange(db, 'one', journalChange({ added: many }), later());
    expect((await summary())?.lastDiff).toBeNull();
    expect(await sounds()).toHaveLength(203);
  });
});
