import {
  arrangeDucts,
  judgePlaces,
  type PlaceScore,
  type Routed,
  routeDucts,
  type Shop,
  type SizedDucts,
  sizeDucts,
  type View,
} from '@frank-gauge/core';
import { expose } from 'comlink';
import { nanoid } from 'nanoid';

/** A shell around the helpers that search long. Stopped by ending the worker. */
const advise = {
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

export type Advise = typeof advise;

expose(advise);
