import { type Reading, type Round, timeOf } from '@frank-gauge/core/journal';

/** All readings of one day, or of one round. */
export interface Visit {
  /** Names it among the others: its day, or the id of its round. */
  readonly key: string;
  /** `2026-11-07`, in the reader's own calendar: when it began. */
  readonly day: string;
  /** The round it is; null: all that was read that day. */
  readonly round: Round | null;
  /** Earliest first. */
  readonly readings: readonly Reading[];
}

/**
 * The days readings were taken on, the latest first, and before each day the rounds of it where there was more than
 * one.
 * @param days readings that count, the latest first
 */
export function visitsOf(
  days: ReadonlyMap<string, readonly Reading[]>,
  rounds: readonly Round[],
): Visit[] {
  const byId = new Map(rounds.map((round) => [round.id, round]));
  return [...days]
    .map(([day, list]): Visit => ({ key: day, day, round: null, readings: list.toReversed() }))
    .sort((a, b) => (a.day < b.day ? 1 : -1))
    .flatMap((visit) => [visit, ...roundsOf(visit, byId)]);
}

/** The rounds of a day that had more than one, the latest first. */
function roundsOf({ day, readings }: Visit, byId: ReadonlyMap<string, Round>): Visit[] {
  const lists = new Map<Round, Reading[]>();
  for (const reading of readings) {
    const round = reading.round === null ? undefined : byId.get(reading.round);
    if (round) lists.set(round, [...(lists.get(round) ?? []), reading]);
  }
  if (lists.size < 2) return [];
  return [...lists]
    .map(([round, list]): Visit => ({ key: round.id, day, round, readings: list }))
    .sort((a, b) => timeOf(b.readings[0] ?? {}) - timeOf(a.readings[0] ?? {}));
}

/** Readings of a visit by their test point. */
export function byPoint({ readings }: Visit): ReadonlyMap<string, readonly Reading[]> {
  const points = new Map<string, Reading[]>();
  for (const reading of readings) {
    const list = points.get(reading.testPoint);
    if (list) list.push(reading);
    else points.set(reading.testPoint, [reading]);
  }
  return points;
}
