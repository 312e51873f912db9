'use client';

import {
  ALL_SHUT,
  blowerOf,
  type SwitchedGates,
  USUAL_STOP_DELAY,
  withGate,
} from '@frank-gauge/core/simulate';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { useDesign } from '@/model/use-design';

/** Simulated switches at the gates of a shop. */
export interface Switches {
  readonly gates: SwitchedGates;
  /** How long the blower runs on, s. */
  readonly stopDelay: number;
}

const FITTED: Switches = { gates: ALL_SHUT, stopDelay: USUAL_STOP_DELAY };

/** By shop, kept on this device; null or absent: its gates have none. */
const useByShop = create<{ readonly shops: Readonly<Record<string, Switches | null>> }>()(
  persist((): { shops: Readonly<Record<string, Switches | null>> } => ({ shops: {} }), {
    name: 'frank-gauge-gate-switches',
  }),
);

/** The simulated switches of the open shop; null: its gates have none. */
export function useSwitches(): Switches | null {
  const shop = useDesign(({ id }) => id);
  return useByShop(({ shops }) => shops[shop] ?? null);
}

function put(shop: string, switches: Switches | null): void {
  useByShop.setState(({ shops }) => ({ shops: { ...shops, [shop]: switches } }));
}

/** Changes a shop’s switches, which are fitted by it if they were not. */
const change = (shop: string, make: (own: Switches) => Switches) =>
  put(shop, make(useByShop.getState().shops[shop] ?? FITTED));

export const fitSwitches = (shop: string, isFitted: boolean): void =>
  put(shop, isFitted ? FITTED : null);

export const setStopDelay = (shop: string, stopDelay: number): void =>
  change(shop, (own) => ({ ...own, stopDelay }));

export const turnGate = (shop: string, run: string, isOpen: boolean): void =>
  change(shop, (own) => ({ ...own, gates: withGate(own.gates, run, isOpen, Date.now()) }));

export const switchByHand = (shop: string, isOnByHand: boolean): void =>
  change(shop, (own) => ({ ...own, gates: { ...own.gates, isOnByHand } }));

/** What the blower does at this moment. */
export const blowerNow = ({ gates, stopDelay }: Switches) => blowerOf(gates, stopDelay, Date.now());
