'use client';

import type { Shop } from '@frank-gauge/core/design';
import type { SelectedTogether } from '@frank-gauge/core/routing';
import { create } from 'zustand';
import { useChoices } from '@/storage/choices';
import { shopSession } from '@/storage/session';
import { COLLECTOR } from './collector-id';

/** What is selected together on the floor, to be moved, copied or removed at once. */
interface Selection {
  /** Machines, runs, and the collector. */
  readonly ids: ReadonlySet<string>;
}

const NONE: Selection = { ids: new Set() };

export const useSelection = create<Selection>(() => NONE);

export const useSelected = (): ReadonlySet<string> => useSelection(({ ids }) => ids);

export function selectTogether(ids: Iterable<string>): void {
  useSelection.setState({ ids: new Set(ids) });
}

export const letGo = (): void => useSelection.setState(NONE);

/** Selects one more, or lets go of it. Where nothing was selected yet, what is open is one of them. */
export function selectAlso(id: string): void {
  const { ids } = useSelection.getState();
  const next = new Set(ids.size === 0 ? openThing() : ids);
  if (ids.has(id)) next.delete(id);
  else next.add(id);
  selectTogether(next);
}

function openThing(): string[] {
  const session = shopSession.state.getState();
  if (session.status !== 'open') return [];
  const open = useChoices.getState().parts[session.id];
  return open !== undefined && allOf(session.shop).includes(open) ? [open] : [];
}

/** A thing, or all that is selected if it is one of them. */
export function togetherWith(id: string): readonly string[] {
  const { ids } = useSelection.getState();
  return ids.has(id) ? [...ids] : [id];
}

/** Of these ids, what there is in the shop, by kind. */
export function selectedOf(shop: Shop, ids: Iterable<string>): SelectedTogether {
  const all = new Set(ids);
  const among = (things: readonly { readonly id: string }[]) =>
    new Set(things.flatMap(({ id }) => (all.has(id) ? [id] : [])));
  return {
    machines: among(shop.machines),
    isCollector: all.has(COLLECTOR) && shop.collector.place !== null,
    runs: among(shop.ducts.runs),
  };
}

/** Everything that has a place. */
export function allOf({ machines, collector, ducts }: Shop): string[] {
  return [
    ...machines.flatMap(({ id, place }) => (place ? [id] : [])),
    ...(collector.place ? [COLLECTOR] : []),
    ...ducts.runs.flatMap(({ id, route }) => (route ? [id] : [])),
  ];
}
