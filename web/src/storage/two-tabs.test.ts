import 'fake-indexeddb/auto';
import { addDrop, type Shop } from '@frank-gauge/core/design';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Database } from './database';
import { eventually } from './eventually';
import { readOpenJournal, readRecords } from './journal-tables';
import { ReadingList } from './reading-list';
import { sampleJournal, sampleReading, sampleShop, sampleSound } from './sample-records';
import { addShop } from './shop-list';
import { ShopSession } from './shop-session';

/** How many histories are tried, and from which seed: `npm run attack` tries others. */
const [HISTORIES = 40, SEED = 0] = (process.env.FRANK_GAUGE_HISTORIES ?? '40 0')
  .split(' ')
  .map(Number);

/** A tab: its own connection, its own session, and the list of readings it shows. */
class Tab {
  readonly db: Database;
  readonly session: ShopSession;
  readonly list: ReadingList;

  constructor(name: string) {
    this.db = new Database(name);
    this.session = new ShopSession(() => this.db);
    this.session.open('one');
    this.list = new ReadingList(this.db, 'one', this.session);
  }

  get open() {
    const state = this.session.state.getState();
    if (state.status !== 'open') throw new Error(state.status);
    return state;
  }

  close(): void {
    this.list.close();
    this.session.close();
    this.db.close();
  }
}

/** What somebody does in a tab: `which` chooses among what stands there. */
interface Deed {
  readonly tab: 0 | 1;
  readonly what: (typeof WHAT)[number];
  readonly which: number;
  /** Lets writes and news go their way first, or not. */
  readonly waits: boolean;
}

const WHAT = [
  'name',
  'breaker',
  'addDrop',
  'renameMachine',
  'removeMachine',
  'addSound',
  'louder',
  'noteSound',
  'removeSound',
  'log',
  'removeReading',
  'undo',
  'redo',
] as const;

const anyHistory: fc.Arbitrary<Deed[]> = fc.array(
  fc.record({
    tab: fc.constantFrom(0 as const, 1 as const),
    what: fc.constantFrom(...WHAT),
    which: fc.nat(5),
    waits: fc.boolean(),
  }),
  { minLength: 1, maxLength: 25 },
);

let next = 0;
const newId = () => `id${next++}`;

function removeMachine(shop: Shop, which: number): void {
  const machine = shop.machines[which % Math.max(1, shop.machines.length)];
  if (!machine) return;
  const nodes = new Set(
    shop.ducts.nodes.flatMap(({ id, kind }) =>
      kind.kind === 'port' && kind.machine === machine.id ? [id] : [],
    ),
  );
  shop.machines = shop.machines.filter(({ id }) => id !== machine.id);
  shop.ducts.runs = shop.ducts.runs.filter(({ from }) => !nodes.has(from));
  shop.ducts.nodes = shop.ducts.nodes.filter(({ id }) => !nodes.has(id));
}

function act({ session, open, list }: Tab, { what, which }: Deed): void {
  const sound = open.journal.sounds[which % Math.max(1, open.journal.sounds.length)];
  const own = <T extends { readonly id: string }>(sounds: T[]) =>
    sounds.find(({ id }) => id === sound?.id);
  switch (what) {
    case 'name':
      session.edit('name', ({ shop }) => void Object.assign(shop, { name: `N${which}` }), {
        merge: 'name',
      });
      break;
    case 'breaker':
      session.edit(
        'breaker',
        (s) => void Object.assign(s.collector.blower, { breaker: 15 + which }),
      );
      break;
    case 'addDrop':
      session.edit('drop', (shop) => void addDrop(shop, 'inlet', 'planer', newId));
      break;
    case 'renameMachine':
      session.edit('machine', ({ machines }) => {
        const machine = machines[which % Math.max(1, machines.length)];
        if (machine) machine.name = `M${which}`;
      });
      break;
    case 'removeMachine':
      session.edit('remove', (shop) => removeMachine(shop, which));
      break;
    case 'addSound':
      session.record('sound', ({ sounds }) => void sounds.push(sampleSound(newId())));
      break;
    case 'louder':
      session.record(
        'louder',
        ({ sounds }) => void Object.assign(own(sounds) ?? {}, { level: 90 + which }),
        { merge: 'louder' },
      );
      break;
    case 'noteSound':
      session.record(
        'note',
        ({ sounds }) => void Object.assign(own(sounds) ?? {}, { note: `n${which}` }),
      );
      break;
    case 'removeSound':
      session.record('quiet', (journal) => {
        journal.sounds = journal.sounds.filter(({ id }) => id !== sound?.id);
      });
      break;
    case 'log':
      session.record('log', ({ readings }) => void readings.push(sampleReading(newId(), which)));
      break;
    case 'removeReading': {
      const { readings } = list.state.getState();
      const record = readings[which % Math.max(1, readings.length)];
      const removed = record ? [{ kind: 'readings' as const, record }] : [];
      session.apply('remove', { added: [], updated: [], removed });
      break;
    }
    case 'undo':
      void session.undo();
      break;
    case 'redo':
      void session.redo();
      break;
  }
}

/** What is stored, as a tab would show it. */
async function storedIn(db: Database) {
  const row = await db.designs.get('one');
  const summary = await db.summaries.get('one');
  const readings = await readRecords(db, 'one', 'readings');
  return {
    shop: row?.document,
    journal: await readOpenJournal(db, 'one'),
    readings: readings.map(({ id }) => id).sort(),
    count: summary?.readings,
    cursor: summary?.cursor,
    changes: summary?.changes,
  };
}

function shownIn({ open, list }: Tab) {
  const { shop, journal, readings: count, cursor, changes } = open;
  const { readings } = list.state.getState();
  return { shop, journal, readings: readings.map(({ id }) => id).sort(), count, cursor, changes };
}

const wait = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

describe('two tabs of one shop', () => {
  it(
    'after any history show the same, which is what is stored; undone, it is as it began',
    async () => {
      await fc.assert(
        fc.asyncProperty(anyHistory, async (history) => {
          const name = `tabs-${next++}`;
          const tabs = [new Tab(name), new Tab(name)] as const;
          const { db } = tabs[0];
          await addShop(sampleShop(), { keepId: true, journal: sampleJournal(2), db });
          for (const tab of tabs) await eventually(() => tab.open);
          const begun = await storedIn(db);
          for (const deed of history) {
            if (deed.waits) await wait(8);
            act(tabs[deed.tab], deed);
          }
          const agree = async () => {
            for (const tab of tabs) expect(await tab.session.settled()).toBeNull();
            await eventually(async () => {
              const stored = await storedIn(db);
              expect(shownIn(tabs[0])).toEqual(stored);
              expect(shownIn(tabs[1])).toEqual(stored);
            });
            return storedIn(db);
          };
          const ended = await agree();
          expect(ended.count).toBe(ended.readings.length);

          while ((await tabs[0].session.undo()) !== null);
          const undone = await agree();
          expect({ ...undone, changes: 0 }).toEqual(begun);
          for (let i = 0; i < (ended.cursor ?? 0); i++) await tabs[1].session.redo();
          expect(await agree()).toEqual(ended);
          for (const tab of tabs) tab.close();
        }),
        { numRuns: HISTORIES, endOnFailure: true, ...(SEED > 0 && { seed: SEED }) },
      );
    },
    3000 * HISTORIES,
  );
});
