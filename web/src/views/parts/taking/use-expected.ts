'use client';

import type { Shop } from '@frank-gauge/core/design';
import type { ExpectedReading, Measurand } from '@frank-gauge/core/reading';
import { useEffect, useId, useState } from 'react';
import { engine } from '@/model/engine';

/** It is asked for when the form has rested so long, ms. */
const AFTER_CHANGE = 80;

/**
 * What a model of a shop expects of a measurement with certain gates open, worked out by the engine; null until it
 * is, and where the model says nothing.
 * @param measurand null: nothing is asked for
 */
export function useExpected(
  shop: Shop,
  measurand: Measurand | null,
  openGates: readonly string[],
): ExpectedReading | null {
  const of = measurand && JSON.stringify(measurand);
  const gates = [...openGates].sort().join(' ');
  const key = `${of} ${gates}`;
  // Two models may be asked of one place: neither question puts an end to the other.
  const asker = useId();
  const [known, setKnown] = useState<{
    readonly key: string;
    readonly shop: Shop;
    readonly answer: ExpectedReading | null;
  } | null>(null);
  useEffect(() => {
    if (of === null) return;
    let cancel = () => {};
    const timer = setTimeout(() => {
      const open = gates === '' ? [] : gates.split(' ');
      const asked = engine.ask(
        `expect ${asker}`,
        (remote) => remote.expect(shop, JSON.parse(of), open),
        {
          isShort: true,
        },
      );
      cancel = asked.cancel;
      void asked.outcome.then((outcome) => {
        if (outcome.kind === 'answered') setKnown({ key, shop, answer: outcome.answer });
      });
    }, AFTER_CHANGE);
    return () => {
      clearTimeout(timer);
      cancel();
    };
  }, [shop, of, gates, key, asker]);
  return known?.key === key && known.shop === shop ? known.answer : null;
}
