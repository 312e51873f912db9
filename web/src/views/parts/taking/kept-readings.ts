import type { Reading } from '@frank-gauge/core/journal';
import { ReadingIndex } from '@frank-gauge/core/reading';
import { createStore } from 'zustand/vanilla';
import { database } from '@/storage/database';
import { type ListedReadings, ReadingList } from '@/storage/reading-list';
import { shopSession } from '@/storage/session';
import { localDay } from '@/words/local-day';

export interface KeptReadings extends ListedReadings {
  /** Those that count, by test point and by day: of all of them, or empty until all are read. */
  readonly index: ReadingIndex;
}

const emptyIndex = () => new ReadingIndex(localDay);
export const NOTHING_READ: KeptReadings = { readings: [], isWhole: false, index: emptyIndex() };

/** How long readings are kept after the last one who looked at them has gone, ms: benches of the log are near. */
const KEPT_FOR = 60_000;

/** The readings of one shop, read once for all that look at them, and indexed piece by piece as they are read. */
class Keeper {
  readonly state = createStore<KeptReadings>(() => NOTHING_READ);
  private readonly list: ReadingList;
  private readonly stop: () => void;
  private index = emptyIndex();
  private indexed: readonly Reading[] = [];
  private users = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(readonly shop: string) {
    this.list = new ReadingList(database(), shop, shopSession);
    this.stop = this.list.state.subscribe((listed) => this.take(listed));
  }

  use(): void {
    this.users++;
    clearTimeout(this.timer);
  }

  leave(): void {
    this.users--;
    if (this.users === 0) this.timer = setTimeout(() => this.close(), KEPT_FOR);
  }

  close(): void {
    clearTimeout(this.timer);
    this.stop();
    this.list.close();
    if (keeper === this) keeper = null;
  }

  private take({ readings, isWhole }: ListedReadings): void {
    if (!isBeginningOf(this.indexed, readings)) {
      this.index = emptyIndex();
      this.indexed = [];
    }
    this.index.add(readings.slice(this.indexed.length));
    this.indexed = readings;
    this.state.setState({ readings, isWhole, index: isWhole ? this.index : NOTHING_READ.index });
  }
}

/** Whether a list goes on where another ended: pieces come from storage one after another. */
const isBeginningOf = (short: readonly Reading[], long: readonly Reading[]): boolean =>
  short.length <= long.length &&
  short[0] === long[0] &&
  short.at(-1) === long[Math.max(0, short.length - 1)];

let keeper: Keeper | null = null;

/** The readings of the open shop for somebody who looks at them; to be left when they have gone. */
export function keptReadings(shop: string): Pick<Keeper, 'state' | 'leave'> {
  if (keeper?.shop !== shop) {
    keeper?.close();
    keeper = new Keeper(shop);
  }
  keeper.use();
  return keeper;
}
