import type { ComparedDesign } from '@frank-gauge/core/advice';
import type { Shop } from '@frank-gauge/core/design';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { listTrays, readDesign, type Tray } from '@/storage/trays';

/** A shop as it is stored, with its trays. */
export interface ShopWithTrays {
  readonly shop: Shop;
  readonly trays: readonly Tray[];
}

/** Null: the shop cannot be read; undefined: not yet. */
export const useTrays = (shopId: string): ShopWithTrays | null | undefined =>
  useLiveQuery(async () => {
    const shop = await readDesign(shopId);
    return shop && { shop, trays: await listTrays(shopId) };
  }, [shopId]);

/** The shop and its trays side by side; null: not worked out yet. */
export function useComparedDesigns(
  stored: ShopWithTrays,
  drop: string | null,
): readonly ComparedDesign[] | null {
  const [compared, setCompared] = useState<readonly ComparedDesign[] | null>(null);
  useEffect(() => {
    const designs = [stored.shop, ...stored.trays.map(({ design }) => design)];
    const asked = engine.ask('trays', (remote) => remote.compareDesigns(designs, drop));
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'answered') setCompared(outcome.answer);
    });
    return asked.cancel;
  }, [stored, drop]);
  return compared;
}
