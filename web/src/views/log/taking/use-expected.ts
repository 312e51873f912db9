'use client';

import type { Shop } from '@frank-gauge/core/design';
import type { CollectorTap } from '@frank-gauge/core/journal';
import type { ExpectedReading } from '@frank-gauge/core/reading';
import type { Remote } from 'comlink';
import { useEffect, useEffectEvent, useId, useState } from 'react';
import { engine } from '@/model/engine';
import type { EngineApi } from '@/workers/engine.worker';

/** It is asked for when the form has rested so long, ms. */
const AFTER_CHANGE = 80;

/**
 * What a model of a shop expects with certain gates open, worked out by the engine; null until it is, and where
 * the model says nothing.
 * @param of names what is asked for; null: nothing is
 */
function useAsked<T>(
  of: string | null,
  shop: Shop,
  openGates: readonly string[],
  ask: (remote: Remote<EngineApi>, gates: readonly string[]) => Promise<T | null>,
): T | null {
  const gates = [...openGates].sort().join(' ');
  const key = `${of} ${gates}`;
  const asking = useEffectEvent(ask);
  // Two models may be asked of one place: neither question puts an end to the other.
  const asker = useId();
  const [known, setKnown] = useState<{
    readonly key: string;
    readonly shop: Shop;
    readonly answer: T | null;
  } | null>(null);
  useEffect(() => {
    if (of === null) return;
    let cancel = () => {};
    const timer = setTimeout(() => {
      const open = gates === '' ? [] : gates.split(' ');
      const asked = engine.ask(`expect ${asker}`, (remote) => asking(remote, open), {
        isShort: true,
      });
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

/** The flow at a drop; null of another place. */
export const useExpected = (
  shop: Shop,
  drop: string | null,
  openGates: readonly string[],
): ExpectedReading | null =>
  useAsked(drop, shop, openGates, (remote, gates) => remote.expect(shop, drop ?? '', gates));

/** The pressure a manometer shows at a tap of the collector, Pa; null of another place. */
export const useExpectedPressure = (
  shop: Shop,
  tap: CollectorTap | null,
  openGates: readonly string[],
): number | null =>
  useAsked(tap && `tap ${tap}`, shop, openGates, (remote, gates) =>
    tap ? remote.expectPressure(shop, tap, gates) : Promise.resolve(null),
  );
