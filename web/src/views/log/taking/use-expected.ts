'use client';

import type { ExpectedReading } from '@frank-gauge/core/reading';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';

/** It is asked for when the form has rested so long, ms. */
const AFTER_CHANGE = 80;

/**
 * What the model expects of a drop with certain gates open, worked out by the engine; null until it is, and
 * where the model says nothing.
 * @param drop id of the drop; null: a place the model says nothing of
 */
export function useExpected(
  drop: string | null,
  openGates: readonly string[],
): ExpectedReading | null {
  const part = airPart(useDesign());
  const gates = [...openGates].sort().join(' ');
  const key = `${drop} ${gates}`;
  const [known, setKnown] = useState<{
    readonly key: string;
    readonly expected: ExpectedReading | null;
  } | null>(null);
  useEffect(() => {
    if (drop === null) return;
    let cancel = () => {};
    const timer = setTimeout(() => {
      const open = gates === '' ? [] : gates.split(' ');
      const asked = engine.ask('expect', (remote) => remote.expect(part, drop, open), {
        isShort: true,
      });
      cancel = asked.cancel;
      void asked.outcome.then((outcome) => {
        if (outcome.kind === 'answered') setKnown({ key, expected: outcome.answer });
      });
    }, AFTER_CHANGE);
    return () => {
      clearTimeout(timer);
      cancel();
    };
  }, [part, drop, gates, key]);
  return known?.key === key ? known.expected : null;
}
