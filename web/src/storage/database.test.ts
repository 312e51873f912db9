import 'fake-indexeddb/auto';
import { type Shop, VERSION, withChanges } from '@frank-gauge/core/design';
import {
  NO_DIFF,
  RECORD_KINDS,
  RECORD_TYPES,
  type RecordKind,
  readShop,
} from '@frank-gauge/core/journal';
import Dexie from 'dexie';
import { describe, expect, it, vi } from 'vitest';
import version1 from '../../../core/src/file/kept/version-1.json';
import version2 from '../../../core/src/file/kept/version-2.json';
import version3 from '../../../core/src/file/kept/version-3.json';
import version4 from '../../../core/src/file/kept/version-4.json';
import version5 from '../../../core/src/file/kept/version-5.json';
import { Database } from './database';
import { readJournal } from './journal-tables';
import { newSummary } from './rows';

/** A database as an earlier version of this program left it, with these documents in it. */
async function leftBehind(
  name: string,
  version: number,
  documents: readonly { readonly id: string }[],
): Promise<void> {
  const old = new Dexie(name);
  old.version(version).stores({ shops: 'id, changed', changes: '[shop+position], shop' });
  const row = { revision: 4, cursor: 1, changes: 1, changed: '2026-10-01T10:00:00Z' };
  await old
    .table('shops')
    .bulkPut(documents.map((document) => ({ ...row, id: document.id, document, deleted: null })));
  await old.table('changes').put({
    shop: 'heron-slip',
    position: 0,
    label: 'filter area',
    patches: [{ op: 'replace', path: ['collector', 'exhaust', 'area'], value: 12 }],
    inverse: [{ op: 'replace', path: ['collector', 'exhaust', 'area'], value: 13 }],
    merge: null,
    at: 0,
  });
  old.close();
}

type Step = Record<string, unknown>;

describe('shops stored by an older version', () => {
  it.each([
    [1, version1],
    [2, version2],
    [3, version3],
    [4, version4],
  ] as const)(
    'of the tables of version %i are moved over whole, the log as records of a journal',
    async (version, kept) => {
      await leftBehind(`moved-${version}`, version, [kept]);
      const database = new Database(`moved-${version}`);
      const read = readShop(kept);
      if (!read.ok) throw new Error(read.faults[0].message);
      expect((await database.designs.get(kept.id))?.document).toEqual(read.shop);
      const journal = await readJournal(database, kept.id);
      for (const [kind, records] of Object.entries(read.journal)) {
        const stored: readonly { id: string }[] = journal[kind as keyof typeof journal];
        const byId = (a: { id: string }, b: { id: string }) => a.id.localeCompare(b.id);
        expect(stored.toSorted(byId)).toEqual(records.toSorted(byId));
      }
      expect(journal.readings.length).toBe(kept.log.readings.length);
      expect(await database.summaries.get(kept.id)).toMatchObject({
        name: kept.shop.name,
        changed: '2026-10-01T10:00:00Z',
        readings: kept.log.readings.length,
        renewed: read.renewed,
        // An undo of the old shape would write where nothing is any more.
        cursor: 0,
        changes: 0,
        revision: 5,
      });
      expect(await database.history.count()).toBe(0);
      expect(await database.table('shops').count()).toBe(0);
      database.close();
    },
  );

  it('that cannot be read are left as they lie, and listed', async () => {
    const torn = { format: 'frank-gauge', version: 1, id: 'torn' };
    await leftBehind('torn', 4, [torn, version4]);
    const database = new Database('torn');
    expect((await database.designs.get('torn'))?.document).toEqual(torn);
    expect((await database.summaries.get('torn'))?.name).toBe('A damaged shop');
    expect(await database.summaries.count()).toBe(2);
    database.close();
  });
});

describe('shops stored by the version before, apart from their journals already', () => {
  /** Tables as version 5 left them: a design, a record of its journal, and one change to undo. */
  async function leftApart(
    name: string,
    document: { readonly id: string },
    unknown: RecordKind | null = null,
  ): Promise<void> {
    const old = new Dexie(name);
    old.version(5).stores({
      shops: 'id, changed',
      changes: '[shop+position], shop',
      summaries: 'id, changed',
      designs: 'id',
      history: '[shop+position]',
      photoFiles: '[shop+id]',
      ...Object.fromEntries(
        RECORD_KINDS.filter((kind) => kind !== unknown).map((kind) => [
          kind,
          '[shop+time+record.id]',
        ]),
      ),
      readings: '[shop+time+record.id], [shop+record.testPoint+time]',
    });
    const { id } = document;
    const summary = newSummary(id, document as Shop, 1);
    await old.table('designs').put({ id, document });
    await old.table('summaries').put({ ...summary, cursor: 1, changes: 1, revision: 7 });
    await old.table('history').put({
      ...{ shop: id, position: 0, label: 'mount and field test', merge: null, at: 0 },
      design: [{ op: 'set', path: ['collector', 'stack', 'mount'], value: { kind: 'cart' } }],
      inverse: [{ op: 'set', path: ['collector', 'stack', 'mount'], value: { kind: 'wall' } }],
      journal: {
        ...NO_DIFF,
        added: [{ kind: 'events', record: version5.journal.events[0] }],
        removed: [{ kind: 'fieldTests', record: fieldTest }],
      },
    });
    // One that lies damaged keeps nothing from opening.
    await old.table('history').put({ shop: 'another', position: 0 });
    await old.table('events').put({ shop: id, time: 0, record: version5.journal.events[0] });
    old.close();
  }
  const { journal: _, ...design } = version5;
  const historyOf = ({ history }: Database) =>
    history.filter(({ shop }) => shop === design.id).toArray();
  const [fieldTest] = version5.journal.fieldTests;

  it('are brought to the present one; undo stays where names changed and nothing else', async () => {
    await leftApart('forward', design);
    const database = new Database('forward');
    const read = readShop(design);
    if (!read.ok) throw new Error(read.faults[0].message);
    const stored = (await database.designs.get(design.id))?.document;
    expect(stored).toEqual(read.shop);
    expect(stored).toMatchObject({ version: VERSION, machines: design.machines });
    expect(await database.summaries.get(design.id)).toMatchObject({
      cursor: 1,
      changes: 1,
      revision: 8,
      designRevision: 1,
    });
    const [remembered] = await historyOf(database);
    const undone = withChanges(read.shop, remembered?.inverse ?? []);
    expect(undone?.collector.assembly.mount).toEqual({ kind: 'wall' });
    expect(remembered?.journal.removed).toMatchObject([{ record: { flowUncertainty: 0.04 } }]);
    expect((await readJournal(database, design.id)).events).toMatchObject([
      version5.journal.events[0],
    ]);
    database.close();
  });

  it('keep their undo where defaults fill in what they lacked, and lose it where their shape changed', async () => {
    const reads = (change: (shop: Shop) => object): typeof readShop => {
      return (document) => {
        const read = readShop(document);
        return read.ok ? { ...read, shop: change(read.shop) as Shop } : read;
      };
    };
    await leftApart('gained', design);
    const gained = new Database(
      'gained',
      reads((shop) => ({ ...shop, gained: 0 })),
    );
    expect((await gained.designs.get(design.id))?.document).toMatchObject({ gained: 0 });
    expect(await gained.summaries.get(design.id)).toMatchObject({ cursor: 1, changes: 1 });
    expect(await historyOf(gained)).toHaveLength(1);
    gained.close();
    await leftApart('reshaped', design);
    const reshaped = new Database(
      'reshaped',
      reads(({ machines: _, ...rest }) => rest),
    );
    expect(await reshaped.summaries.get(design.id)).toMatchObject({ cursor: 0, changes: 0 });
    expect(await historyOf(reshaped)).toEqual([]);
    reshaped.close();
  });

  it('that cannot be read stay as they lie, undo and all', async () => {
    await leftApart('unreadable', { ...design, stray: 1 } as typeof design);
    const database = new Database('unreadable');
    expect((await database.designs.get(design.id))?.document).toEqual({ ...design, stray: 1 });
    expect(await database.summaries.get(design.id)).toMatchObject({ cursor: 1, revision: 7 });
    expect(await historyOf(database)).toHaveLength(1);
    database.close();
  });

  it('gain a table for each kind of record that was unknown to it', async () => {
    await leftApart('new-kind', design, 'weighings');
    const database = new Database('new-kind');
    const record = version5.journal.weighings[0];
    await database.table('weighings').put({ shop: design.id, time: 0, record });
    expect((await readJournal(database, design.id)).weighings).toMatchObject([record]);
    database.close();
  });

  it('have their records brought forward by the steps of their kind', async () => {
    const migrations = RECORD_TYPES.events.migrations as Record<number, (record: Step) => Step>;
    const [event] = version5.journal.events;
    migrations[5] = (record) => ({ ...record, note: `${record.note} Brought forward.` });
    try {
      await leftApart('records', design);
      const database = new Database('records');
      expect((await readJournal(database, design.id)).events).toMatchObject([
        { ...event, note: `${event?.note} Brought forward.` },
      ]);
      expect(await historyOf(database)).toMatchObject([
        { journal: { added: [{ record: { note: `${event?.note} Brought forward.` } }] } },
      ]);
      database.close();
      // Once only, by the reading of the old document, where it is moved apart in the same start.
      await leftBehind('records-twice', 4, [version4]);
      const moved = new Database('records-twice');
      const notes = (await readJournal(moved, version4.id)).events.map(({ note }) => note);
      expect(notes).toEqual(version4.log.events.map(({ note }) => `${note} Brought forward.`));
      moved.close();
    } finally {
      delete migrations[5];
    }
  });
});

describe('two tabs, one of them old, after an update', () => {
  it('the old program finds no shop to write over, and what it starts anew is moved over later', async () => {
    await leftBehind('update', 4, [version4]);
    const old = new Dexie('update');
    old.version(4).stores({ shops: 'id, changed', changes: '[shop+position], shop' });
    await old.open();
    const database = new Database('update');
    await database.open();
    const before = await database.designs.toArray();
    expect(await old.table('shops').toArray()).toEqual([]);
    const started = { ...version4, id: 'started-there' };
    const row = { revision: 0, cursor: 0, changes: 0, changed: '2026-10-02T10:00:00Z' };
    // One of its own, and one under an id that was moved over before.
    for (const document of [started, { ...version4, shop: { ...version4.shop, name: 'Again' } }]) {
      const rest = { document, deleted: null, renewed: [] };
      await old.table('shops').put({ ...row, ...rest, id: document.id });
    }
    old.close();
    expect(await database.designs.toArray()).toEqual(before);
    database.close();
    const again = new Database('update');
    const summaries = await again.summaries.toArray();
    expect(summaries.map(({ name }) => name).sort()).toEqual([
      'Again',
      version4.shop.name,
      version4.shop.name,
    ]);
    expect((await again.designs.get('heron-slip'))?.document.shop.name).toBe(version4.shop.name);
    expect((await readJournal(again, 'started-there')).readings).toHaveLength(
      version4.log.readings.length,
    );
    again.close();
  });

  it('this program, when a newer one opens the tables, says so and writes nothing more', async () => {
    const database = new Database('newer');
    const onOutdated = vi.fn();
    database.onOutdated = onOutdated;
    await database.open();
    const newer = new Dexie('newer');
    newer.version(99).stores({ something: 'id' });
    await newer.open();
    expect(onOutdated).toHaveBeenCalledOnce();
    await expect(database.summaries.clear()).rejects.toThrow();
    newer.close();
  });

  it('this program, opened on tables of a newer one, says so and touches nothing', async () => {
    const newer = new Dexie('ahead');
    newer.version(99).stores({ summaries: 'id', designs: 'id' });
    await newer.table('summaries').put({ id: 'theirs' });
    newer.close();
    const database = new Database('ahead');
    const onOutdated = vi.fn();
    database.onOutdated = onOutdated;
    await expect(database.summaries.clear()).rejects.toThrow();
    expect(onOutdated).toHaveBeenCalledOnce();
    const again = new Dexie('ahead');
    again.version(99).stores({ summaries: 'id', designs: 'id' });
    expect(await again.table('summaries').count()).toBe(1);
    again.close();
  });
});
