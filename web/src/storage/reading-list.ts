import { type JournalDiff, type Reading, timeOf } from '@frank-gauge/core/journal';
import { countAfter } from '@frank-gauge/core/reading';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Database } from './database';
import { readingsNewestFirst } from './journal-tables';
import type { JournalNews } from './session-state';
import type { ShopSession } from './shop-session';

export interface ListedReadings {
  /** Newest first. */
  readonly readings: readonly Reading[];
  /** All of them; before that the newest ones. */
  readonly isWhole: boolean;
}

/** How many are read at a time: the first are what a screen shows. */
const SIZES = { first: 40, next: 2000 } as const;

/**
 * The readings of the shop that is open, newest first. The newest are there at once and the rest follow
 * piece by piece; what is logged or taken out meanwhile, here or in another tab, is in it as soon as it
 * shows.
 */
export class ReadingList {
  readonly state: StoreApi<ListedReadings> = createStore<ListedReadings>(() => ({
    readings: [],
    isWhole: false,
  }));
  private readonly stop: () => void;
  /** Counts readings from storage: a later one makes an earlier void. */
  private round = 0;
  private isReading = false;
  /** What changed while readings are read, which may or may not be in what is read. */
  private meanwhile: JournalDiff[] = [];

  constructor(
    private readonly db: Database,
    private readonly shop: string,
    private readonly session: Pick<ShopSession, 'onJournal' | 'unstoredJournal'>,
  ) {
    this.stop = session.onJournal((news) => this.hear(news));
    void this.read();
  }

  close(): void {
    this.stop();
    this.round++;
  }

  private hear(news: JournalNews): void {
    if (news === 'anew') {
      void this.read();
      return;
    }
    const { readings, isWhole } = this.state.getState();
    if (this.isReading) this.meanwhile.push(news);
    this.state.setState({ readings: withNews(readings, news), isWhole });
  }

  private async read(): Promise<void> {
    const round = ++this.round;
    this.isReading = true;
    // What is shown already may not be in storage yet, or not for long.
    this.meanwhile = [...this.session.unstoredJournal()];
    const pieces: Reading[] = [];
    for await (const piece of readingsNewestFirst(this.db, this.shop, SIZES)) {
      if (round !== this.round) return;
      pieces.push(...piece);
      // Piece by piece; but a list that is read anew stays as it is until all of it is there.
      if (!this.state.getState().isWhole) this.present(pieces, false);
    }
    if (round !== this.round) return;
    this.present(pieces, true);
    this.isReading = false;
    this.meanwhile = [];
  }

  private present(pieces: readonly Reading[], isWhole: boolean): void {
    const readings = this.meanwhile.reduce(withNews, [...pieces]);
    this.state.setState({ readings, isWhole });
  }
}

function withNews(readings: readonly Reading[], { added, updated, removed }: JournalDiff) {
  const gone = new Set<string>();
  const come: Reading[] = [];
  for (const { kind, record } of removed) if (kind === 'readings') gone.add(record.id);
  for (const { kind, before, after } of updated) {
    if (kind !== 'readings') continue;
    gone.add(before.id);
    come.push(after as Reading);
  }
  for (const { kind, record } of added) {
    if (kind !== 'readings') continue;
    gone.add(record.id);
    come.push(record as Reading);
  }
  if (gone.size === 0) return readings;
  const list = readings.filter(({ id }) => !gone.has(id));
  for (const reading of come) list.splice(countAfter(list, timeOf(reading)), 0, reading);
  return list;
}
