'use client';

import type { Shop } from '@frank-gauge/core/design';
import type { Instrument, Reading, TestPoint } from '@frank-gauge/core/journal';
import type { ReadingVerdict } from '@frank-gauge/core/reading';
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
}

interface Known {
  readonly against: Against | null;
  /** Readings compared with just that. */
  readonly fresh: ReadonlySet<Reading>;
  /** What each reading said last; of one that is not fresh, against an earlier state of the shop. */
  readonly verdicts: ReadonlyMap<Reading, ReadingVerdict>;
}

const NOTHING: Known = { against: null, fresh: new Set(), verdicts: new Map() };

/** An edit's verdicts are asked for when it has rested so long, ms. */
const AFTER_EDIT = 60;

const isSameAs = (a: Against | null, b: Against) =>
  a?.part === b.part && a.instruments === b.instruments && a.testPoints === b.testPoints;

/**
 * Readings held against the model by the engine, only those that are asked for. Behind an edit the answers
 * come a moment later; until then each says what it said last.
 */
export function useCompared(readings: readonly Reading[]): ReadonlyMap<Reading, ReadingVerdict> {
  const shop = useDesign();
  const part = airPart(shop);
  const instruments = useJournal((journal) => journal.instruments);
  const testPoints = useJournal((journal) => journal.testPoints);
  const [known, setKnown] = useState(NOTHING);
  useEffect(() => {
    const against = { part, instruments, testPoints };
    const fresh = isSameAs(known.against, against) ? known.fresh : NOTHING.fresh;
    const missing = readings.filter((reading) => !fresh.has(reading));
    if (missing.length === 0) return;
    const meters = { instruments, testPoints };
    let cancel = () => {};
    const ask = () => {
      const asked = engine.ask('compare', (remote) => remote.compare(part, meters, missing), {
        isShort: true,
      });
      cancel = asked.cancel;
      void asked.outcome.then((outcome) => {
        if (outcome.kind !== 'answered' || !outcome.answer) return;
        const { answer } = outcome;
        setKnown(({ verdicts }) => {
          const next = new Map(verdicts);
          for (const reading of missing) {
            const verdict = answer.get(reading.id);
            if (verdict) next.set(reading, verdict);
          }
          return { against, fresh: new Set([...fresh, ...missing]), verdicts: next };
        });
      });
    };
    // What has a verdict already can wait until edits rest; what has none is asked for at once.
    const isEdit = missing.every((reading) => known.verdicts.has(reading));
    const timer = setTimeout(ask, isEdit ? AFTER_EDIT : 0);
    return () => {
      clearTimeout(timer);
      cancel();
    };
  }, [part, instruments, testPoints, readings, known]);
  return known.verdicts;
}
