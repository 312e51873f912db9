'use client';

import {
  type MakerId,
  type MakerPlace,
  makerOf,
  makerPlace,
  type PartKind,
  partKinds,
  type SheetStock,
} from '@frank-gauge/core/makers';
import { toSI } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { chooseMaker, type MakerChoices, useChoices } from '@/storage/choices';

const NOTHING: MakerChoices = {};
const NO_LIST: readonly MakerId[] = [];
const NO_SIZES: Readonly<Record<string, number>> = {};

/** What is chosen under Shop-made parts for the open shop, and ways to change it: kept on this device. */
export function useMakerChoices() {
  const shop = useDesign(({ id }) => id);
  const choices = useChoices(({ makers }) => makers[shop] ?? NOTHING);
  return { choices, choose: (change: MakerChoices) => chooseMaker(shop, change) };
}

/** The part that is looked at: its sizes, typed or by the assembly, and what comes of them. */
export function useMaker() {
  const { choices, choose } = useMakerChoices();
  const shop = useDesign();
  const id: MakerId = choices.maker ?? 'drumLid';
  const typed = choices.sizes?.[id] ?? NO_SIZES;
  const place = useMemo(() => makerPlace(shop), [shop]);
  const { usual, made } = useMemo(() => ofSizes(id, typed, place), [id, typed, place]);
  const type = (sizes: Readonly<Record<string, number>>) =>
    choose({ sizes: { ...choices.sizes, [id]: sizes } });
  return {
    ...{ id, typed, usual, made, fields: makerOf(id).fields },
    setSize: (field: string, value: number) => type({ ...typed, [field]: value }),
    clearSize: (field: string) => {
      const { [field]: _, ...rest } = typed;
      type(rest);
    },
    clearAll: () => type({}),
  };
}

/** What comes of a part by what is typed for it. */
function ofSizes(id: MakerId, typed: Readonly<Record<string, number>>, place: MakerPlace) {
  const own = makerOf(id);
  const usual = own.usual(place);
  return { usual, made: own.make({ ...usual, ...typed }, place) };
}

/** What is to be made, and a way to put something on that list or take it off. */
export function useMakeList() {
  const { choices, choose } = useMakerChoices();
  const list = choices.list ?? NO_LIST;
  return {
    list,
    toggle: (id: MakerId) =>
      choose({ list: list.includes(id) ? list.filter((other) => other !== id) : [...list, id] }),
  };
}

/** Parts of everything on a list, their letters behind its number there; and what cannot be made of its sizes. */
export function useListedKinds(list: readonly MakerId[]): {
  readonly kinds: readonly PartKind[];
  readonly refused: readonly MakerId[];
} {
  const { choices } = useMakerChoices();
  const shop = useDesign();
  const { sizes } = choices;
  return useMemo(() => {
    const place = makerPlace(shop);
    const all = list.map((id) => ofSizes(id, sizes?.[id] ?? NO_SIZES, place).made);
    return {
      kinds: all.flatMap((made, i) =>
        made.ok
          ? partKinds(made.thing.parts).map((kind) => ({
              ...kind,
              letter: `${i + 1}${kind.letter}`,
            }))
          : [],
      ),
      refused: list.filter((_, i) => !all[i]?.ok),
    };
  }, [shop, list, sizes]);
}

/** Sheets as they are usually sold: 4 by 8 ft, or 1250 by 2500 mm. */
const USUAL_STOCK = {
  us: {
    width: toSI(48, 'in'),
    height: toSI(96, 'in'),
    kerf: toSI(0.125, 'in'),
    isGrainKept: true,
  },
  metric: { width: 1.25, height: 2.5, kerf: 0.003, isGrainKept: true },
} as const satisfies Record<string, SheetStock>;

/** The sheets that parts are cut from, and a way to choose others. */
export function useSheetStock() {
  const { choices, choose } = useMakerChoices();
  const system = useUnits();
  const stock: SheetStock = { ...USUAL_STOCK[system], ...choices.stock };
  return {
    stock,
    change: (change: Partial<SheetStock>) => choose({ stock: { ...choices.stock, ...change } }),
  };
}
