import type { JournalDiff } from '@frank-gauge/core/journal';
import type { Written } from './history';
import type { KeptWrite } from './kept-writes';

/** Something to be stored of a shop. */
export interface Write {
  readonly shop: string;
  readonly label: string;
  readonly journal: JournalDiff;
  /** The edit it stores, to be kept where the page is left before it is; null: it steps through others. */
  readonly edit: KeptWrite | null;
  /** The screen has its effect already. */
  readonly isShown: boolean;
  readonly run: () => Promise<Written>;
  readonly settle: (written: Written) => void;
}

/** What could not be written is tried again after so long, and after twice that, and so on, ms. */
const RETRY_FIRST = 1000;
const RETRY_MOST = 30_000;

/**
 * Writes that are stored one after another, in order. One that storage refuses stays at the head and is
 * tried again until it holds; nothing behind it is stored before it.
 */
export class Outbox {
  private readonly writes: Write[] = [];
  private isPumping = false;
  private isAsked = false;
  private retryIn = RETRY_FIRST;
  private retryTimer: ReturnType<typeof setTimeout> | null = null;
  /** Storage refused the write at the head when it was last tried. */
  isFailing = false;

  constructor(
    private readonly onStored: (write: Write, written: Written) => void,
    private readonly onFailed: () => void,
  ) {}

  add(write: Write): void {
    this.writes.push(write);
    void this.pump();
  }

  /** What of a shop waits to be stored. */
  of(id: string | undefined): readonly Write[] {
    return this.writes.filter(({ shop }) => shop === id);
  }

  /** The edits that wait to be stored, of whatever shop. */
  edits(): readonly KeptWrite[] {
    return this.writes.flatMap(({ edit }) => edit ?? []);
  }

  /** Waits until everything is stored, or storage refuses; answers what is not stored. */
  async settled(): Promise<readonly Write[]> {
    while (this.isPumping) await new Promise((resolve) => setTimeout(resolve, 10));
    return this.writes;
  }

  /** Tries again at once what could not be stored. */
  readonly retry = (): void => {
    if (this.retryTimer !== null) clearTimeout(this.retryTimer);
    this.retryTimer = null;
    this.isAsked = true;
    void this.pump();
  };

  private async pump(): Promise<void> {
    if (this.isPumping) return;
    this.isPumping = true;
    this.isAsked = false;
    for (let write = this.writes[0]; write; write = this.writes[0]) {
      const written = await write.run().catch(() => null);
      if (written) {
        this.writes.shift();
        this.isFailing = false;
        this.retryIn = RETRY_FIRST;
        this.onStored(write, written);
        write.settle(written);
        continue;
      }
      this.fail();
      // Asked to try again while it was trying: once more at once.
      if (!this.isAsked) break;
      this.isAsked = false;
    }
    this.isPumping = false;
  }

  private fail(): void {
    this.isFailing = true;
    this.onFailed();
    if (this.retryTimer !== null) return;
    this.retryTimer = setTimeout(this.retry, this.retryIn);
    this.retryIn = Math.min(RETRY_MOST, 2 * this.retryIn);
  }
}
