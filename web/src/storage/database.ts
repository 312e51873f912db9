import { isExtended, type Shop, VERSION } from '@frank-gauge/core/design';
import {
  changeRenamedSince,
  type Journal,
  migrateDiff,
  migrateRecord,
  RECORD_KINDS,
  RECORD_TYPES,
  type Renewal,
  readShop,
  renamedSince,
} from '@frank-gauge/core/journal';
import Dexie, { type DexieOptions, type EntityTable, type Table, type Transaction } from 'dexie';
import { nanoid } from 'nanoid';
import { addRecords } from './journal-tables';
import {
  type ChangeRow,
  type DesignRow,
  mendedSummary,
  newSummary,
  type PhotoFileRow,
  type SummaryRow,
} from './rows';

/** The first version of the tables that keeps the journal apart from the design. */
const APART = 5;
/**
 * The present version of the tables: the document's, so that a new version of the document brings what is
 * stored forward, and stops pages that do not know it.
 */
const TABLES_VERSION = VERSION;

/** A shop as versions 1 to 4 of the tables kept it: the whole document, its log inside, in one row. */
interface OldShopRow {
  readonly id: string;
  readonly document: Shop;
  readonly revision: number;
  readonly changed: string;
  readonly deleted: string | null;
  readonly renewed?: readonly Renewal[];
}

/**
 * Tables of versions 1 to 4, empty since. They stay, so that a tab that still runs such a version finds
 * them and no shop in them: it can write over nothing. What it puts there is moved over at the next start.
 */
const OLD_TABLES = { shops: 'id, changed', changes: '[shop+position], shop' };
const RECORDS = '[shop+time+record.id]';

export class Database extends Dexie {
  readonly summaries!: EntityTable<SummaryRow, 'id'>;
  readonly designs!: EntityTable<DesignRow, 'id'>;
  readonly history!: Table<ChangeRow, [string, number]>;
  readonly photoFiles!: Table<PhotoFileRow, [string, string]>;
  /** Called once it is found, here or by another tab, that a newer program owns the tables. */
  onOutdated: () => void = () => {};
  /** Tables of an earlier version are being brought forward: opening takes as long as there is to move. */
  isBringingForward = false;
  private isMovedNow = false;

  /**
   * @param read what designs of an earlier version are read by
   * @param place where the tables are kept; absent: in the browser's own storage
   */
  constructor(
    name = 'frank-gauge',
    read = readShop,
    place: Pick<DexieOptions, 'indexedDB' | 'IDBKeyRange'> = {},
  ) {
    super(name, place);
    for (const version of [1, 2, 3, 4]) this.version(version).stores(OLD_TABLES);
    this.version(APART)
      .stores({
        ...OLD_TABLES,
        summaries: 'id, changed',
        designs: 'id',
        history: '[shop+position]',
        photoFiles: '[shop+id]',
        ...Object.fromEntries(RECORD_KINDS.map((kind) => [kind, RECORDS])),
        readings: `${RECORDS}, [shop+record.testPoint+time]`,
      })
      .upgrade((stored) => {
        this.isMovedNow = true;
        this.isBringingForward = true;
        return moveApart(stored);
      });
    for (let version = APART; version < TABLES_VERSION; version++) {
      this.version(version + 1).upgrade(async (stored) => {
        this.isBringingForward = true;
        // What was only now moved apart is of the present version already.
        if (this.isMovedNow) return;
        await bringForward(stored, version, read);
      });
    }
    this.summaries.hook('reading', (row: SummaryRow | undefined) => row && mendedSummary(row));
    this.on('versionchange', () => {
      // A newer program opens the tables: this one must not write to them any more.
      this.close({ disableAutoOpen: true });
      this.onOutdated();
      return false;
    });
    this.on('ready', async (opened) => {
      if (Math.floor(this.backendDB().version / 10) > TABLES_VERSION) {
        this.close({ disableAutoOpen: true });
        this.onOutdated();
        throw new Error('the stored shops belong to a newer version of the program');
      }
      if ((await opened.table('shops').count()) === 0) return;
      await opened.transaction('rw', opened.tables, () => moveApart(opened));
    });
  }

  /** All tables a shop may have rows in. */
  get shopTables(): Table[] {
    return this.tables.filter(({ name }) => !(name in OLD_TABLES));
  }
}

/**
 * Brings shops of earlier versions to the present one, their logs to records of a journal. Changes
 * remembered for undo speak of the old shape and are let go; a document that cannot be read stays as it
 * lies, to be reported when opened. What estimates were renewed is kept beside the shop until it is seen.
 */
async function moveApart(db: Pick<Transaction, 'table'>): Promise<void> {
  const summaries = db.table<SummaryRow, string>('summaries');
  const rows = await db.table<OldShopRow, string>('shops').toArray();
  for (const { id: before, document, revision, changed, deleted, renewed } of rows) {
    const id = (await summaries.get(before)) ? nanoid(12) : before;
    const read = readShop(document);
    const shop = read.ok ? { ...read.shop, id } : document;
    const journal: Journal | null = read.ok ? read.journal : null;
    await db.table<DesignRow, string>('designs').put({ id, document: shop });
    if (journal) await addRecords(id, journal);
    await summaries.put({
      ...newSummary(id, shop, journal?.readings.length ?? 0),
      revision: revision + 1,
      changed,
      deleted,
      renewed: [...(renewed ?? []), ...(read.ok ? read.renewed : [])],
    });
  }
  await db.table('shops').clear();
  await db.table('changes').clear();
}

/**
 * Brings what tables of version `from` hold on: designs to the present version, records one version further,
 * and so the records in remembered changes. Undo stays where a design only took new names and gained what
 * defaults fill in: remembered changes follow the names. Where it took another shape, they speak of the old
 * one and are let go. What cannot be read stays as it lies.
 */
async function bringForward(
  db: Pick<Transaction, 'table'>,
  from: number,
  read: typeof readShop,
): Promise<void> {
  const designs = db.table<DesignRow, string>('designs');
  const summaries = db.table<SummaryRow, string>('summaries');
  const history = db.table<ChangeRow>('history');
  const stepped = RECORD_KINDS.filter((kind) => RECORD_TYPES[kind].migrations[from]);
  for (const { id, document } of await designs.toArray()) {
    if (document.version !== from) continue;
    const now = read(document);
    const summary = await summaries.get(id);
    if (!now.ok || !summary) continue;
    await designs.put({ id, document: now.shop });
    const { version: _, ...before } = document;
    const keepsUndo = isExtended(renamedSince(from, before), now.shop);
    const remembered = history
      .where('[shop+position]')
      .between([id, Dexie.minKey], [id, Dexie.maxKey]);
    if (keepsUndo) {
      await remembered.filter(isWhole).modify((row) => {
        row.design = row.design.map((change) => changeRenamedSince(from, change));
        row.inverse = row.inverse.map((change) => changeRenamedSince(from, change));
      });
    } else {
      await remembered.delete();
    }
    await summaries.put({
      ...summary,
      ...(keepsUndo ? {} : { cursor: 0, changes: 0 }),
      revision: summary.revision + 1,
      designRevision: summary.designRevision + 1,
      lastDiff: null,
      renewed: [...summary.renewed, ...now.renewed],
    });
  }
  for (const kind of stepped) {
    await db
      .table<{ record: Record<string, unknown> }>(kind)
      .toCollection()
      .modify((row) => {
        row.record = migrateRecord(kind, row.record, from, from + 1);
      });
  }
  if (stepped.length === 0) return;
  await history.filter(isWhole).modify((row) => {
    row.journal = migrateDiff(row.journal, from, from + 1);
  });
}

/** Whether a remembered change has all its parts: one that lies damaged must not keep the shops from opening. */
const isWhole = ({ design, inverse, journal }: Partial<ChangeRow>): boolean =>
  [design, inverse, journal?.added, journal?.updated, journal?.removed].every(Array.isArray);

let inUse = new Database();

/** The tables everything is stored in: the browser's own, or, where those cannot be opened, in memory. */
export const database = (): Database => inUse;

/** Stores everything in other tables from now on. */
export function replaceDatabase(other: Database): void {
  inUse = other;
}
