'use client';

import type { Drop } from '@frank-gauge/core/design';
import { useDesign, useDuctTree } from '@/model/use-design';
import { useChoices } from '@/storage/choices';

/** What stands open while each drop is judged with its own gate, by the shop's rules. */
export function useOwnGates(): {
  /** Of all drops, in a few words. */
  readonly all: string;
  /** Drops whose gates are left open with one. */
  readonly besides: (drop: string) => readonly string[];
  /** The drop as it stands open by the rule that is chosen, with what is left open beside it: “Table saw and Planer”. */
  readonly opened: (drop: Pick<Drop, 'id' | 'name'>) => string;
} {
  const bleeds = useDesign(({ shop }) => shop.rules.bleeds);
  const { drops } = useDuctTree();
  const rule = useChoices((choices) => choices.rule);
  const besides = (id: string) =>
    bleeds.flatMap((bleed) =>
      bleed.drop === id
        ? drops.filter((drop) => drop.id === bleed.open).map(({ name }) => name)
        : [],
    );
  const all =
    bleeds.length === 0
      ? 'each with its own gate open and all others shut'
      : 'each with its own gate open, and any left open with it';
  const opened = ({ id, name }: Pick<Drop, 'id' | 'name'>) =>
    [name, ...(rule === 'one' ? besides(id) : [])].join(' and ');
  return { all, besides, opened };
}
