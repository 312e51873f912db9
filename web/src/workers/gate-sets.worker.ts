import { arrangeDucts, everyGateSet, type OverSets, type Shop, type View } from '@frank-gauge/core';
import { expose } from 'comlink';

/** A shell around `everyGateSet`: null for ducts that are no tree. Stopped by ending the worker. */
const gateSets = {
  solve(shop: Shop, view: View, onProgress: (done: number) => void): OverSets | null {
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) return null;
    return everyGateSet(shop, arranged.tree, view, shop.shop.rules.gates, onProgress);
  },
};

export type GateSets = typeof gateSets;

expose(gateSets);
