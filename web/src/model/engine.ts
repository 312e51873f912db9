import { type Remote, wrap } from 'comlink';
import { isInMemory } from '@/storage/storage-place';
import type { EngineApi } from '@/workers/engine.worker';
import type { StorageWork } from '@/workers/storage-work';

/** How asking ended. */
export type Outcome<T> =
  | { readonly kind: 'answered'; readonly answer: T }
  /** Something newer was asked of the same topic, or it was cancelled. */
  | { readonly kind: 'superseded' }
  /** The worker could not be started, broke off, or took longer than it was given. */
  | { readonly kind: 'broken'; readonly isOvertime: boolean };

/** A worker at work: what it can be asked, and how to end it. */
export interface EngineWorker<Api> {
  readonly remote: Api;
  readonly end: () => void;
}

interface Job {
  readonly topic: string;
  /** Run to its end though something newer waits: for what is short. */
  readonly isShort: boolean;
  /** Starts it; answers once it is done or has thrown. */
  readonly start: () => Promise<void>;
  readonly settle: (outcome: Exclude<Outcome<never>, { kind: 'answered' }>) => void;
  isSettled: boolean;
}

export interface AskOptions {
  /**
   * True for what takes a moment: it runs to its end, whose answer nobody wants any more, and the worker
   * lives on. Else something newer of the same topic ends the worker, and a new one is made.
   */
  readonly isShort?: boolean;
  /** The longest it may run, ms: then its worker is ended. For what reads files from outside. */
  readonly budget?: number;
}

export interface Asked<T> {
  readonly outcome: Promise<Outcome<T>>;
  readonly cancel: () => void;
}

/**
 * Asks one worker for answers, one job at a time.
 *
 * A job *waits* until those before it are over; *runs*; and *settles* as answered, superseded or broken,
 * once. Of each topic only the latest matters: asking anew supersedes what waits or runs of it. The worker
 * is made when the first job runs, and anew after it was ended or broke; it remembers nothing, so that
 * ending it loses nothing but the job it ran.
 */
export class Engine<Api> {
  private readonly make: (onBroken: () => void) => EngineWorker<Api>;
  private worker: EngineWorker<Api> | null = null;
  private running: Job | null = null;
  private waiting: Job[] = [];

  constructor(make: (onBroken: () => void) => EngineWorker<Api>) {
    this.make = make;
  }

  ask<T>(
    topic: string,
    run: (remote: Api) => Promise<T>,
    { isShort = false, budget = Number.POSITIVE_INFINITY }: AskOptions = {},
  ): Asked<T> {
    const before = [this.running, ...this.waiting].filter((job) => job?.topic === topic);
    for (const job of before) if (job) this.drop(job);
    let answer: (outcome: Outcome<T>) => void = () => {};
    const outcome = new Promise<Outcome<T>>((resolve) => {
      answer = resolve;
    });
    const job: Job = {
      topic,
      isShort,
      isSettled: false,
      start: async () => {
        const late = Number.isFinite(budget)
          ? setTimeout(() => this.breakOff(job, true), budget)
          : undefined;
        const made = await run(this.remote()).finally(() => clearTimeout(late));
        if (job.isSettled) return;
        job.isSettled = true;
        answer({ kind: 'answered', answer: made });
      },
      settle: (ending) => {
        if (job.isSettled) return;
        job.isSettled = true;
        answer(ending);
      },
    };
    this.waiting.push(job);
    this.next();
    return { outcome, cancel: () => this.drop(job) };
  }

  private remote(): Api {
    this.worker ??= this.make(() => this.breakOff(this.running, false));
    return this.worker.remote;
  }

  /** Starts the job that waited longest, where none runs. */
  private next(): void {
    if (this.running) return;
    const job = this.waiting.shift();
    if (!job) return;
    this.running = job;
    const over = () => {
      if (this.running !== job) return;
      this.running = null;
      this.next();
    };
    job.start().then(over, () => {
      job.settle({ kind: 'broken', isOvertime: false });
      if (this.running === job) this.end();
      over();
    });
  }

  private drop(job: Job): void {
    job.settle({ kind: 'superseded' });
    this.waiting = this.waiting.filter((other) => other !== job);
    if (this.running !== job || job.isShort) return;
    this.end();
    this.running = null;
    this.next();
  }

  private breakOff(job: Job | null, isOvertime: boolean): void {
    if (this.running !== job) return;
    job?.settle({ kind: 'broken', isOvertime });
    this.end();
    this.running = null;
    this.next();
  }

  private end(): void {
    this.worker?.end();
    this.worker = null;
  }
}

/** What the worker can be asked; what it does with what is stored, the page does where that is in its memory. */
function withMemory(remote: Remote<EngineApi>): Remote<EngineApi> {
  const here: ProxyHandler<Remote<EngineApi>> = {
    get: (asked, name) =>
      isInMemory() && isOfStorage(name) ? onThisPage(name) : Reflect.get(asked, name),
  };
  return new Proxy(remote, here);
}

const OF_STORAGE: Readonly<Record<keyof StorageWork, true>> = {
  importShop: true,
  exportShop: true,
  readTableRows: true,
  storeStanding: true,
};

const isOfStorage = (name: string | symbol): name is keyof StorageWork =>
  Object.hasOwn(OF_STORAGE, name);

/** Loaded only where a page has to do it by itself. */
const onThisPage =
  (name: keyof StorageWork) =>
  async (...given: unknown[]): Promise<unknown> => {
    const { storageWork } = await import('@/workers/storage-work');
    return Reflect.apply(storageWork[name], storageWork, given);
  };

function startWorker(onBroken: () => void): EngineWorker<Remote<EngineApi>> {
  const worker = new Worker(new URL('../workers/engine.worker.ts', import.meta.url));
  worker.onerror = onBroken;
  return { remote: withMemory(wrap<EngineApi>(worker)), end: () => worker.terminate() };
}

/** The worker of this page. */
export const engine = new Engine<Remote<EngineApi>>(startWorker);

/** Another one for what may take seconds and nobody waits for: rows that are scrolled into sight do not wait behind it. */
export const patientEngine = new Engine<Remote<EngineApi>>(startWorker);
