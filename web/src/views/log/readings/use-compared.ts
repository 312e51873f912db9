'use client';

import type { Shop } from '@frank-gauge/core/design';
import type { Instrument, Reading, Round, TestPoint } from '@frank-gauge/core/journal';
import type { ReadingOutcome } from '@frank-gauge/core/reading';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';
import { useJournal } from '@/storage/session';

/** What readings are held against. */
interface Against {
  readonly part: Shop;
  readonly instruments: readonly Instrument[];
  readonly testPoints: readonly TestPoint[];
  readonly rounds: readonly Round[];
}

interface Known {
  readonly against: Against | null;
  /** Readings compared with just that. */
  readonly fresh: ReadonlySet<Reading>;
  /** What each reading said last; of one that is not fresh, against an earlier state of the shop. */
  readonly results: ReadonlyMap<Reading, ReadingOutcome>;
}

const NOTHING: Known = { against: null, fresh: new Set(), results: new Map() };

/** An edit's results are asked for when it has rested so long, ms. */
const AFTER_EDIT = 60;

const isSameAs = (a: Against | null, b: Against) =>
  a?.part === b.part &&
  a.instruments === b.instruments &&
  a.testPoints === b.testPoints &&
  a.rounds === b.rounds;

/**
 * Readings held against the model by the engine, only those that are asked for. Behind an edit the answers
 * come a moment later; until then each says what it said last.
 */
export function useCompared(readings: readonly Reading[]): ReadonlyMap<Reading, ReadingOutcome> {
  const shop = useDesign();
  const part = airPart(shop);
  const instruments = useJournal((journal) => journal.instruments);
  const testPoints = useJournal((journal) => journal.testPoints);
  const rounds = useJournal((journal) => journal.rounds);
  const [known, setKnown] = useState(NOTHING);
  useEffect(() => {
    const against = { part, instruments, testPoints, rounds };
    const fresh = isSameAs(known.against, against) ? known.fresh : NOTHING.fresh;
    const missing = readings.filter((reading) => !fresh.has(reading));
    if (missing.length === 0) return;
    const meters = { instruments, testPoints, rounds };
    let cancel = () => {};
    const ask = () => {
      const asked = engine.ask('compare', (remote) => remote.compare(part, meters, missing), {
        isShort: true,
      });
      cancel = asked.cancel;
      void asked.outcome.then((outcome) => {
        if (outcome.kind !== 'answered' || !outcome.answer) return;
        const { answer } = outcome;
        setKnown(({ results }) => {
          const next = new Map(results);
          for (const reading of missing) {
            const result = answer.get(reading.id);
            if (result) next.set(reading, result);
          }
          return { against, fresh: new Set([...fresh, ...missing]), results: next };
        });
      });
    };
    // What has a result already can wait until edits rest; what has none is asked for at once.
    const isEdit = missing.every((reading) => known.results.has(reading));
    const timer = setTimeout(ask, isEdit ? AFTER_EDIT : 0);
    return () => {
      clearTimeout(timer);
      cancel();
    };
  }, [part, instruments, testPoints, rounds, readings, known]);
  return known.results;
}
