'use client';

import type { Shop } from '@frank-gauge/core/design';
import {
  type LeakReport,
  type Means,
  MOST_WEIGHED,
  type NextReading,
} from '@frank-gauge/core/inference';
import { changesAir, type Reading, type ShopEvent, timeOf } from '@frank-gauge/core/journal';
import type { Meters } from '@frank-gauge/core/reading';
import type { Remote } from 'comlink';
import { useEffect, useId, useMemo, useState } from 'react';
import { patientEngine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';
import { database } from '@/storage/database';
import { measuredSince } from '@/storage/journal-tables';
import { useJournal, useSession } from '@/storage/session';
import type { EngineApi } from '@/workers/engine.worker';

/** It is weighed when edits have rested so long, ms. */
const AFTER_EDIT = 120;

/** What was weighed, and with which readings. */
interface Weighed {
  readonly report: LeakReport | null;
  readonly readings: readonly Reading[];
  readonly meters: Meters | null;
}

export interface Leaks extends Weighed {
  /** The latest change of the shop: readings before it are of another shop. Null: there was none. */
  readonly since: ShopEvent | null;
  /** From when on readings count, Unix time in ms: since that change, or since what is believed by readings. */
  readonly from: number | null;
  /** It could not be found out. */
  readonly isBroken: boolean;
  /** There is an answer: without a report, the ducts are no tree. */
  readonly isAnswered: boolean;
}

/** The latest change that makes earlier readings those of another shop. */
const lastChange = (events: readonly ShopEvent[]): ShopEvent | null =>
  events
    .filter(({ kind }) => changesAir(kind))
    .reduce<ShopEvent | null>(
      (last, event) => (last && timeOf(last) > timeOf(event) ? last : event),
      null,
    );

/** Readings from before something that is believed by readings are of the shop as it was without. */
function countsFrom(
  {
    condition: { holes, filterLoading, sealing },
    collector: { separator },
  }: Pick<Shop, 'condition' | 'collector'>,
  since: ShopEvent | null,
): number | null {
  // A separator's loss may also come of a pair of readings, which says nothing of when it began.
  const weighed = [separator.origin, sealing.origin].filter(
    (origin) => origin?.kind === 'fitted' && origin.uncertainty !== undefined,
  );
  const times = [...holes.map(({ origin }) => origin), filterLoading.origin, ...weighed].flatMap(
    (origin) => (origin?.kind === 'fitted' ? [Date.parse(origin.on)] : []),
  );
  if (since) times.push(timeOf(since));
  return times.length > 0 ? Math.max(...times) : null;
}

/** What the readings since the latest change say is wrong, weighed by the engine: its answer comes behind an edit. */
export function useLeaks(): Leaks {
  const part = airPart(useDesign());
  const events = useJournal((journal) => journal.events);
  const since = useMemo(() => lastChange(events), [events]);
  const from = countsFrom(part, since);
  const stored = useSession((state) => (state.status === 'open' ? state.journalRevision : 0));
  const [weighed, setWeighed] = useState<Omit<Leaks, 'since' | 'from'>>({
    ...{ report: null, readings: [], meters: null },
    ...{ isBroken: false, isAnswered: false },
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the readings are read from storage, which this number counts
  useEffect(() => {
    const weigh = async (remote: Remote<EngineApi>): Promise<Weighed> => {
      const { meters, readings } = await measuredSince(database(), part.id, from, MOST_WEIGHED);
      return { report: await remote.leaks(part, meters, readings), readings, meters };
    };
    let cancel = () => {};
    const ask = () => {
      const asked = patientEngine.ask('leaks', weigh, { isShort: true });
      cancel = asked.cancel;
      void asked.outcome.then((outcome) => {
        if (outcome.kind === 'superseded') return;
        setWeighed((before) =>
          outcome.kind === 'answered'
            ? { ...outcome.answer, isBroken: false, isAnswered: true }
            : { ...before, isBroken: true },
        );
      });
    };
    const timer = setTimeout(ask, AFTER_EDIT);
    return () => {
      clearTimeout(timer);
      cancel();
    };
  }, [part, stored, from]);
  return { ...weighed, since, from };
}

/** The readings worth taking next; null until they are found, or where none is. */
export function useNextReadings(
  { report, readings, meters }: Leaks,
  means: Means,
): readonly NextReading[] | null {
  const part = airPart(useDesign());
  const topic = `next reading ${useId()}`;
  const [next, setNext] = useState<readonly NextReading[] | null>(null);
  useEffect(() => {
    if (!report || !meters) return;
    const asked = patientEngine.ask(
      topic,
      (remote) => remote.nextReadings(part, meters, readings, means),
      { isShort: true },
    );
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'answered') setNext(outcome.answer);
    });
    return asked.cancel;
  }, [part, report, readings, meters, means, topic]);
  return report ? next : null;
}
