'use client';

import type { Shop } from '@frank-gauge/core/design';
import { type HiddenCondition, hiddenCondition, withHidden } from '@frank-gauge/core/simulate';
import { useMemo } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { airPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';

/**
 * What simulated meters read, by shop, kept on this device: the seed of a hidden condition; null or absent: the
 * shop as it is believed to be.
 */
const useSeeds = create<{ readonly seeds: Readonly<Record<string, number | null>> }>()(
  persist((): { seeds: Readonly<Record<string, number | null>> } => ({ seeds: {} }), {
    name: 'frank-gauge-hidden-conditions',
  }),
);

export function hide(shop: string, seed: number | null): void {
  useSeeds.setState(({ seeds }) => ({ seeds: { ...seeds, [shop]: seed } }));
}

/** The hidden condition that simulated meters read; null: there is none. */
export function useHidden(): HiddenCondition | null {
  const part = airPart(useDesign());
  const seed = useSeeds(({ seeds }) => seeds[part.id] ?? null);
  return useMemo(() => {
    const runs = part.ducts.runs.map(({ id }) => id);
    return seed === null ? null : hiddenCondition(runs, seed);
  }, [part, seed]);
}

/** The shop a meter reads: as it is believed to be, or, for a simulated one, in its hidden condition. */
export function useReadShop(isSimulated: boolean): Shop {
  const part = airPart(useDesign());
  const hidden = useHidden();
  return useMemo(
    () => (isSimulated && hidden ? withHidden(part, hidden) : part),
    [part, hidden, isSimulated],
  );
}
