import type { ComparedDesigns } from '@frank-gauge/core/advice';
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

/** What was compared, with what came of it, in the same order: the shop first. */
export interface Compared {
  readonly stored: ShopWithTrays;
  readonly compared: ComparedDesigns;
}

/** The shop and its trays side by side, as they were when it was last worked out; null: not yet. */
export function useComparedDesigns(stored: ShopWithTrays, drop: string | null): Compared | null {
  const [made, setMade] = useState<Compared | null>(null);
  useEffect(() => {
    const designs = [stored.shop, ...stored.trays.map(({ design }) => design)];
    const asked = engine.ask('trays', (remote) => remote.compareDesigns(designs, drop));
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'answered') setMade({ stored, compared: outcome.answer });
    });
    return asked.cancel;
  }, [stored, drop]);
  return made;
}
