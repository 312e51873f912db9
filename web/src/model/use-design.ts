'use client';

import type { DropResult } from '@frank-gauge/core/analysis';
import type { DuctTree, Shop } from '@frank-gauge/core/design';
import type { ShopSolved } from '@frank-gauge/core/network';
import type { UnitSystem } from '@frank-gauge/core/quantity';
import type { DuctLines } from '@frank-gauge/core/routing';
import { createContext, useContext, useSyncExternalStore } from 'react';
import type { DesignAir, OpenDesign } from './open-design';

/**
 * What views ask of the open shop. Each of these draws its component anew only when what it answers is
 * another: `useUnits` almost never, `useDesign((shop) => shop.room)` when the room is edited, `useSolution`
 * with every change of the air.
 */

export const OpenDesignContext = createContext<OpenDesign | null>(null);
/** Every drop with its own result. Of many drops some are judged a moment after an edit. */
export const DropResultsContext = createContext<readonly DropResult[] | null>(null);
/** The drop that is explained; undefined: outside a shop. */
export const SelectedDropContext = createContext<DropResult | null | undefined>(undefined);

function inShop<T>(value: T | null | undefined): T {
  if (value === null || value === undefined) throw new Error('outside a shop');
  return value;
}

function useOpen<T>(select: (open: OpenDesign) => T): T {
  const open = inShop(useContext(OpenDesignContext));
  const now = () => select(open);
  return useSyncExternalStore(open.subscribe, now, now);
}

const whole = (shop: Shop) => shop;

/**
 * Something of the design, or all of it.
 * @param select answers a part that is in the design, not one made anew at each call
 */
export function useDesign(): Shop;
export function useDesign<T>(select: (shop: Shop) => T): T;
export function useDesign(select: (shop: Shop) => unknown = whole): unknown {
  return useOpen(({ design }) => select(design));
}

/** The units the shop is shown in. */
export const useUnits = (): UnitSystem => useDesign(({ shop }) => shop.units);

/** Its ducts as they lie and their air; null where they no longer lead to the blower. */
export const useAir = (): DesignAir | null => useOpen(({ air }) => air);

/** Its ducts as a tree that ends at the collector. */
export const useDuctTree = (): DuctTree => inShop(useAir()).tree;

/** Where its ducts lie. */
export const useDuctLines = (): DuctLines => inShop(useAir()).lines;

/** The air with the gates open that the design has open. */
export const useSolution = (): ShopSolved => inShop(useOpen(({ solution }) => solution));

/** Every drop, by the rule chosen. */
export const useDropResults = (): readonly DropResult[] => inShop(useContext(DropResultsContext));

/** The drop that is explained: the one chosen, else the worst; null where there is none. */
export function useSelectedDrop(): DropResult | null {
  const selected = useContext(SelectedDropContext);
  if (selected === undefined) throw new Error('outside a shop');
  return selected;
}
