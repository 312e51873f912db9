'use client';

import { changesBetween, type Shop } from '@frank-gauge/core/design';
import {
  diffBetween,
  type Fault,
  faultOfDiff,
  faultOfEdit,
  isEmptyDiff,
  type Journal,
  type JournalDiff,
  joinDiffs,
  NO_DIFF,
  readShop,
  withDiff,
} from '@frank-gauge/core/journal';
import { liveQuery, type Subscription } from 'dexie';
import { produce } from 'immer';
import { nanoid } from 'nanoid';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Database } from './database';
import { type Change, stepChange, storeChange, type Written } from './history';
import { HELD_KINDS, type OpenJournal, readingsMore, readOpenJournal } from './journal-tables';
import { type KeptWrite, type Shelf, takeWrites } from './kept-writes';
import { Outbox, type Write } from './outbox';
import { type Repaired, repairShop, restoreSummary } from './repair';
import type { SummaryRow } from './rows';
import type {
  Draft,
  EditOptions,
  JournalNews,
  JournalRecipe,
  OpenSession,
  Recipe,
  Refusal,
  Session,
} from './session-state';

/** Quick edits of one thing, shown already, that will be stored as one: a drag writes once. */
interface Gathered {
  readonly shop: string;
  readonly label: string;
  readonly merge: string;
  readonly before: Shop;
  readonly since: number;
  after: Shop;
  journal: JournalDiff;
  timer: ReturnType<typeof setTimeout>;
}

/** Quick edits of one thing are gathered until they rest so long, or have gone on so long, ms. */
const GATHER_REST = 40;
const GATHER_MOST = 2000;
/** Storage that could not be read is read again after so long, ms. */
const LOOK_AGAIN = 1000;

/** What no memory holds: a recipe adds to readings, and leaves revisions alone. */
const NOT_HELD: Pick<Journal, 'readings' | 'revisions'> = { readings: [], revisions: [] };

/** What a tab knows to be stored of the shop it watches; −1: nothing yet. */
const UNKNOWN = { revision: -1, design: -1, journal: -1 } as const;
interface Known {
  readonly revision: number;
  readonly design: number;
  readonly journal: number;
}

const knownOf = ({ revision, designRevision, journalRevision }: SummaryRow): Known => ({
  revision,
  design: designRevision,
  journal: journalRevision,
});

/**
 * One open shop in one tab: edits it, stores the edits, steps back and forth through them, and follows what
 * other tabs do to it.
 *
 * `closed` until a shop is opened, then `loading`, then `open`, `missing` or `broken`. While `open`, an edit
 * shows in the same frame and joins the *outbox*, whose writes are stored one after another in order. A
 * write that storage refuses stays at the head and is tried again until it holds; nothing behind it is
 * stored before it, and `saved` says `failed` meanwhile. While the outbox has writes of this shop, news from
 * other tabs waits: once it is empty, the session catches up with what is stored.
 */
export class ShopSession {
  readonly state: StoreApi<Session> = createStore<Session>(() => ({ status: 'closed' }));
  /** Told of edits that could not be kept. */
  onRefused: (refusal: Refusal) => void = () => {};
  private readonly listeners = new Set<(news: JournalNews) => void>();
  private watching: { readonly id: string; readonly subscription: Subscription } | null = null;
  private known: Known = UNKNOWN;
  private readonly outbox = new Outbox(
    (write, written) => this.finish(write, written),
    () => {
      const session = this.state.getState();
      if (session.status === 'open') this.set({ ...session, saved: 'failed' });
    },
  );
  private gathered: Gathered | null = null;
  private catching: Promise<void> = Promise.resolve();

  constructor(
    /** The tables, asked for anew each time: others may be put in their place. */
    private readonly tables: () => Database,
    private readonly now: () => Date = () => new Date(),
    /** Where pages that were left put the edits that were still on their way; null: nowhere. */
    private readonly shelf: () => Shelf | null = () => null,
  ) {}

  private get db(): Database {
    return this.tables();
  }

  /** Opens a shop and follows its changes in other tabs until another is opened or it is closed. */
  open(id: string): void {
    this.close();
    this.set({ status: 'loading' });
    this.resume(id);
    const subscription = liveQuery(() => this.db.summaries.get(id)).subscribe({
      next: (summary) => this.hear(id, summary),
      error: (error: unknown) => {
        // What is open stays on screen: that nothing can be stored any more, its next edit says.
        if (this.state.getState().status === 'open') return;
        this.set({
          status: 'broken',
          id,
          faults: [{ path: '', message: error instanceof Error ? error.message : String(error) }],
          document: null,
        });
      },
    });
    this.watching = { id, subscription };
  }

  /** Stores what a page that was left still had on its way. */
  private resume(id: string): void {
    const shelf = this.shelf();
    for (const edit of shelf ? takeWrites(shelf, id) : []) {
      this.send(edit, false, (written) => {
        if (written.ok || written.reason === 'nothing') return;
        const reason = written.reason === 'invalid' ? written.message : null;
        this.onRefused({ label: edit.change.label, reason });
      });
    }
  }

  /** All edits that are not stored yet, of whatever shop: to be kept where the page is left. */
  unstored(): readonly KeptWrite[] {
    this.release();
    return this.outbox.edits();
  }

  close(): void {
    this.release();
    this.watching?.subscription.unsubscribe();
    this.watching = null;
    this.known = UNKNOWN;
    this.set({ status: 'closed' });
  }

  /** Tells of every change of the journal, this tab's and others', as soon as it shows. */
  onJournal(listener: (news: JournalNews) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /**
   * Changes the design: on screen in this very frame, in storage right behind. A recipe that changes
   * nothing leaves no trace; one whose outcome could not be read again is refused, and changes nothing.
   */
  readonly edit = (label: string, recipe: Recipe, options: EditOptions = {}): void => {
    const session = this.state.getState();
    if (session.status !== 'open') return;
    const shop = produce(session.shop, (draft) => {
      recipe(draft);
    });
    if (shop === session.shop) return;
    const fault = faultOfEdit(session.shop, shop);
    if (fault) this.onRefused({ label, reason: reasonOf(fault), fault });
    else this.show(session, label, shop, NO_DIFF, options);
  };

  /** Changes records of the journal by a recipe, in the same way. */
  readonly record = (label: string, recipe: JournalRecipe, options: EditOptions = {}): void => {
    const session = this.state.getState();
    if (session.status !== 'open') return;
    const before: Journal = { ...session.journal, ...NOT_HELD };
    const after = produce(before, (draft) => {
      recipe(draft as Draft<Journal>);
    });
    this.apply(label, diffBetween(before, after), options);
  };

  /** Changes records of the journal by a diff, in the same way. */
  readonly apply = (label: string, diff: JournalDiff, options: EditOptions = {}): void => {
    const session = this.state.getState();
    if (session.status !== 'open' || isEmptyDiff(diff)) return;
    if (session.tray) {
      this.onRefused({ label, reason: 'what is measured belongs to the shop, not to a tray' });
      return;
    }
    const fault = faultOfDiff(diff);
    if (fault) this.onRefused({ label, reason: reasonOf(fault), fault });
    else this.show(session, label, session.shop, diff, options);
  };

  /** Undoes the last change; answers its label, or null where there is none. */
  readonly undo = (): Promise<string | null> => this.step(-1);
  /** Does the last undone change again. */
  readonly redo = (): Promise<string | null> => this.step(1);

  /** Lets go of the notice of renewed estimates, here and in storage. */
  readonly acknowledgeRenewed = async (): Promise<void> => {
    const session = this.state.getState();
    if (session.status !== 'open') return;
    this.set({ ...session, renewed: [] });
    await this.db.summaries.update(session.id, { renewed: [] });
  };

  /** Stores at once what is gathered: for a page that is left. */
  readonly release = (): void => {
    const { gathered } = this;
    if (!gathered) return;
    clearTimeout(gathered.timer);
    this.gathered = null;
    const { shop, label, merge, before, after, journal } = gathered;
    this.store(shop, { label, merge, design: changesBetween(before, after), journal });
  };

  /** Tries again at once to store what could not be stored. */
  readonly retry = (): void => this.outbox.retry();

  /**
   * Waits until all that is edited is stored, or storage refuses it; then answers what of the journal is
   * not stored, null where everything is.
   */
  async settled(): Promise<JournalDiff | null> {
    this.release();
    const writes = await this.outbox.settled();
    return writes.length === 0
      ? null
      : writes.map(({ journal }) => journal).reduce(joinDiffs, NO_DIFF);
  }

  /** What is shown of the open shop's journal but not stored yet. */
  unstoredJournal(): readonly JournalDiff[] {
    const { watching, gathered } = this;
    const own = this.outbox.of(watching?.id);
    const last = gathered && gathered.shop === watching?.id ? [gathered.journal] : [];
    return [...own.map(({ journal }) => journal), ...last];
  }

  /** Something was edited that storage refuses to take. */
  get hasUnstored(): boolean {
    return this.outbox.isFailing;
  }

  /** Replaces the whole state: it is one of several kinds, never a mixture. */
  private set(session: Session): void {
    this.state.setState(session, true);
  }

  private notify(news: JournalNews): void {
    if (news !== 'anew' && isEmptyDiff(news)) return;
    for (const listener of this.listeners) listener(news);
  }

  private show(
    session: OpenSession,
    label: string,
    shop: Shop,
    journal: JournalDiff,
    { merge }: EditOptions,
  ): void {
    this.set({
      ...session,
      shop,
      journal: withDiff(session.journal, journal),
      readings: session.readings + readingsMore(journal),
      saved: this.outbox.isFailing ? 'failed' : 'saving',
    });
    this.notify(journal);
    if (merge !== undefined) this.gather(session, label, merge, shop, journal);
    else {
      this.release();
      const design = changesBetween(session.shop, shop);
      this.store(session.id, { label, merge: null, design, journal });
    }
  }

  private gather(
    { id, shop: before }: OpenSession,
    label: string,
    merge: string,
    after: Shop,
    journal: JournalDiff,
  ): void {
    const { gathered } = this;
    if (gathered?.shop === id && gathered.merge === merge) {
      gathered.after = after;
      gathered.journal = joinDiffs(gathered.journal, journal);
      clearTimeout(gathered.timer);
      if (performance.now() - gathered.since > GATHER_MOST) this.release();
      else gathered.timer = setTimeout(this.release, GATHER_REST);
      return;
    }
    this.release();
    const timer = setTimeout(this.release, GATHER_REST);
    const since = performance.now();
    this.gathered = { shop: id, label, merge, before, after, journal, since, timer };
  }

  private store(shop: string, change: Change): void {
    this.send({ id: nanoid(10), shop, change }, true, () => {});
  }

  private send(edit: KeptWrite, isShown: boolean, settle: Write['settle']): void {
    const { id, shop, change } = edit;
    const run = () => storeChange(this.db, shop, change, this.now(), id);
    const { label, journal } = change;
    this.outbox.add({ shop, label, journal, edit, isShown, run, settle });
  }

  private step(by: -1 | 1): Promise<string | null> {
    const session = this.state.getState();
    if (session.status !== 'open') return Promise.resolve(null);
    const { id } = session;
    this.release();
    return new Promise((resolve) => {
      this.outbox.add({
        shop: id,
        label: '',
        journal: NO_DIFF,
        edit: null,
        isShown: false,
        run: () => stepChange(this.db, id, by, this.now()),
        settle: (written) => resolve(written.ok ? written.label : null),
      });
    });
  }

  /** Edits of this shop are shown, or asked for, that are not stored yet. */
  private isBusy(id: string): boolean {
    return this.gathered?.shop === id || this.outbox.of(id).length > 0;
  }

  /** Edits of this shop are shown that are not stored yet. */
  private hasShown(id: string): boolean {
    const isWaiting = this.outbox.of(id).some(({ isShown }) => isShown);
    return isWaiting || this.gathered?.shop === id;
  }

  private finish({ shop: id, label, isShown }: Write, written: Written): void {
    const session = this.state.getState();
    if (session.status !== 'open' || session.id !== id) {
      if (session.status === 'open' && session.saved === 'failed') {
        // That storage fails was said of the shop that is open, too.
        this.set({ ...session, saved: this.isBusy(session.id) ? 'saving' : 'saved' });
      }
      // Another shop is being opened: what came of it while this write was on its way was passed over.
      if (this.watching) this.catchUp(this.watching.id);
      return;
    }
    const saved = this.isBusy(id) ? 'saving' : 'saved';
    if (!written.ok) {
      const isBehind = written.reason !== 'nothing' || isShown;
      if (isBehind) this.known = UNKNOWN;
      this.set({ ...session, saved: isBehind ? 'saving' : saved });
      if (isShown && written.reason !== 'nothing') {
        const reason = written.reason === 'invalid' ? written.message : null;
        this.onRefused({ label, reason });
      }
    } else {
      this.adopt(session, saved, isShown, written);
    }
    // News from another tab that came while this write was on its way was passed over: look again.
    this.catchUp(id);
  }

  /** Takes what a write of this tab came to: the screen shows it, or comes to show it. */
  private adopt(
    session: OpenSession,
    saved: OpenSession['saved'],
    isShown: boolean,
    { summary, design, journal }: Extract<Written, { ok: true }>,
  ): void {
    const { known } = this;
    const now = knownOf(summary);
    // Another tab's change came between: what is shown lacks it, until the session has caught up.
    const lacksDesign = now.design !== known.design + (design ? 1 : 0);
    const lacksJournal = now.journal !== known.journal + (isEmptyDiff(journal) ? 0 : 1);
    // An undo with edits right behind it, shown already, that are not stored yet.
    const isAhead = !isShown && this.hasShown(session.id);
    const takes = !isShown && !isAhead;
    this.known = {
      revision: lacksDesign || lacksJournal || isAhead ? -1 : now.revision,
      design: lacksDesign || (isAhead && design) ? -1 : now.design,
      journal: lacksJournal || isAhead ? -1 : now.journal,
    };
    this.set({
      ...session,
      ...(takes && design && !lacksDesign && { shop: design }),
      ...(takes && { journal: withDiff(session.journal, journal) }),
      readings: this.isBusy(session.id) ? session.readings : summary.readings,
      journalRevision: summary.journalRevision,
      cursor: summary.cursor,
      changes: summary.changes,
      // Not before the screen shows what is stored.
      saved: saved === 'saved' && this.known.revision < 0 ? 'saving' : saved,
    });
    if (takes) this.notify(journal);
  }

  private hear(id: string, summary: SummaryRow | undefined): void {
    if (this.watching?.id !== id || this.isBusy(id)) return;
    if (!summary) void this.find(id);
    else if (summary.deleted !== null) this.miss(id);
    else if (summary.revision !== this.known.revision) this.catchUp(id);
  }

  /** Its summary is gone: so is the shop, or only that. */
  private async find(id: string): Promise<void> {
    const isThere = await restoreSummary(this.db, id).catch(() => false);
    if (!isThere && this.watching?.id === id) this.miss(id);
  }

  /** Takes back what made the open shop unreadable, and opens it again where that helps. */
  readonly repair = async (): Promise<Repaired> => {
    const session = this.state.getState();
    if (session.status !== 'broken') return { kind: 'no way back' };
    const { id } = session;
    const repaired = await repairShop(this.db, id, this.now());
    if (repaired.kind === 'repaired') {
      this.close();
      this.open(id);
    }
    return repaired;
  };

  /** It is not there, or thrown away; brought back, it is read as if for the first time. */
  private miss(id: string): void {
    this.known = UNKNOWN;
    this.set({ status: 'missing', id });
  }

  /** Shows what is stored of the shop that is watched, one reading of storage after another. */
  private catchUp(id: string): void {
    this.catching = this.catching
      .then(() => this.readStored(id))
      .catch(() => void setTimeout(() => this.catchUp(id), LOOK_AGAIN));
  }

  private async readStored(id: string): Promise<void> {
    if (this.watching?.id !== id || this.isBusy(id)) return;
    const { known, db } = this;
    const tables = [db.summaries, db.designs, ...this.heldTables()];
    const stored = await db.transaction('r', tables, async () => {
      const summary = await db.summaries.get(id);
      if (!summary || summary.deleted !== null) return null;
      if (summary.revision === known.revision) return 'same';
      const isDesignNew = summary.designRevision !== known.design;
      const row = isDesignNew ? await db.designs.get(id) : undefined;
      if (isDesignNew && !row) return null;
      const news = newsOf(summary, known);
      const journal = news === 'anew' ? await readOpenJournal(db, id) : null;
      return { summary, document: row?.document, isDesignNew, journal, news };
    });
    // Meanwhile something was edited, or another shop opened: what was read is older than the screen.
    if (this.watching?.id !== id || this.isBusy(id) || this.known !== known) return;
    if (stored === 'same') return;
    if (!stored) {
      this.miss(id);
      return;
    }
    this.present(id, stored);
  }

  private heldTables() {
    return HELD_KINDS.map((kind) => this.db.table(kind));
  }

  private present(
    id: string,
    {
      summary,
      document,
      isDesignNew,
      journal,
      news,
    }: {
      readonly summary: SummaryRow;
      readonly document: Shop | undefined;
      readonly isDesignNew: boolean;
      readonly journal: OpenJournal | null;
      readonly news: JournalNews;
    },
  ): void {
    const session = this.state.getState();
    const open = session.status === 'open' && session.id === id ? session : null;
    let shop = open?.shop;
    let { renewed } = summary;
    if (isDesignNew || !shop) {
      // What another tab wrote was checked there; what lay in storage may be older than this program.
      const read = open
        ? ({ ok: true, shop: document as Shop, renewed: [] } as const)
        : readShop(document);
      if (!read.ok) {
        this.known = knownOf(summary);
        this.set({ status: 'broken', id, faults: read.faults, document });
        return;
      }
      shop = read.shop;
      renewed = [...renewed, ...read.renewed];
    }
    const before = open?.journal;
    const held = journal ?? (before && news !== 'anew' ? withDiff(before, news) : before);
    if (!held) return;
    this.known = knownOf(summary);
    this.set({
      status: 'open',
      id,
      shop,
      journal: held,
      readings: summary.readings,
      journalRevision: summary.journalRevision,
      saved: 'saved',
      cursor: summary.cursor,
      changes: summary.changes,
      renewed,
      tray: summary.tray ?? null,
    });
    this.notify(news);
  }
}

const reasonOf = ({ path, message }: Fault) => `${message} (${path})`;

/** What changed of the journal since a tab last looked. */
function newsOf({ journalRevision, lastDiff }: SummaryRow, { journal }: Known): JournalNews {
  if (journalRevision === journal) return NO_DIFF;
  return journal >= 0 && journalRevision === journal + 1 && lastDiff ? lastDiff : 'anew';
}
