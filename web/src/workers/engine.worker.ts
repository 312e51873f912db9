import {
  arrangeDucts,
  everyGateSet,
  judgePlaces,
  type LogAnalysis,
  type OverSets,
  type PlaceScore,
  type Routed,
  readLog,
  routeDucts,
  type Shop,
  type SizedDucts,
  sizeDucts,
  type View,
} from '@frank-gauge/core';
import { expose } from 'comlink';
import { nanoid } from 'nanoid';

/**
 * Everything that is not needed in the frame of an edit: a shell around the core, without a memory of
 * its own, so that it may be ended at any time. Asked through `model/engine.ts`. Null: no answer, since
 * the ducts are no tree.
 */
const engine = {
  readLog(shop: Shop): LogAnalysis | null {
    const arranged = arrangeDucts(shop);
    return arranged.ok ? readLog(shop, arranged.tree) : null;
  },
  gateSets(shop: Shop, view: View, onProgress: (done: number) => void): OverSets | null {
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) return null;
    return everyGateSet(shop, arranged.tree, view, shop.shop.rules.gates, onProgress);
  },
  place(shop: Shop): PlaceScore | { readonly swaps: null } {
    return judgePlaces(shop) ?? { swaps: null };
  },
  size(
    shop: Shop,
    view: View,
    onProgress: (tried: number, best: SizedDucts) => void,
  ): SizedDucts | null {
    const arranged = arrangeDucts(shop);
    return arranged.ok ? sizeDucts(shop, arranged.tree, { view, onProgress }) : null;
  },
  route(shop: Shop, view: View, onProgress: (done: number, of: number) => void): Routed {
    return routeDucts(shop, view, () => nanoid(10), onProgress);
  },
};

export type EngineApi = typeof engine;

expose(engine);
