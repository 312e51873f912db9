import type { ShopEvent } from '../journal/event';
import type { EventWorth } from './event-worth';

/** What the model promised of a change, and what the readings around it showed: after over before. */
export interface KeptPromise {
  readonly event: ShopEvent;
  readonly promised: number;
  readonly measured: NonNullable<EventWorth['overall']>;
  /** Whether the promise lies within the interval of what was measured. */
  readonly isKept: boolean;
}

/** The record of promises. */
export interface PromiseRecord {
  /** Those that were read again, the latest first. */
  readonly held: readonly KeptPromise[];
  /** Changes with a promise whose drops were not read again since. */
  readonly waiting: readonly ShopEvent[];
  /** Changes that others came between, so that the readings measured them together. */
  readonly mixed: readonly ShopEvent[];
}

/** Every promise the model made of a change, held against the readings after it. */
export function promisesKept(worths: readonly EventWorth[]): PromiseRecord {
  const promising = worths.filter(({ event }) => event.promised.length > 0).toReversed();
  const held = promising.flatMap(({ event, overall, promised, along }): KeptPromise[] => {
    if (!overall || promised === null || along.length > 0) return [];
    const isKept = promised >= overall.low && promised <= overall.high;
    return [{ event, promised, measured: overall, isKept }];
  });
  const isHeld = new Set(held.map(({ event }) => event.id));
  const left = promising.filter(({ event }) => !isHeld.has(event.id));
  return {
    held,
    waiting: left.filter(({ overall }) => !overall).map(({ event }) => event),
    mixed: left.filter(({ overall }) => overall).map(({ event }) => event),
  };
}
