'use client';

import {
  arrangeDucts,
  type DropVerdict,
  type DuctLines,
  type DuctTree,
  ductLines,
  type GateAir,
  type GateRule,
  gateAir,
  type Shop,
  type ShopSolved,
  type UnitSystem,
  worstDrop,
} from '@frank-gauge/core';
import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';
import { airPart } from '@/model/shop-parts';
import { WarmSolution } from '@/model/warm-solution';
import { useChoices } from '@/storage/choices';
import { useVerdicts } from './use-verdicts';

/** What a shop view shows follows from the document and the choices, anew in each frame. */
export interface SolvedShop {
  readonly shop: Shop;
  readonly system: UnitSystem;
  /** Where its ducts lie. */
  readonly lines: DuctLines;
  readonly tree: DuctTree;
  /** With the gates open that the document has open. */
  readonly now: ShopSolved;
}

/** Drop by drop. Apart from the rest: of many drops some are judged a moment after an edit. */
export interface JudgedDrops {
  /** Every drop, by the rule chosen. */
  readonly verdicts: readonly DropVerdict[];
  /** The one that is explained. */
  readonly selected: DropVerdict | null;
}

const SolvedContext = createContext<SolvedShop | null>(null);
const JudgedContext = createContext<JudgedDrops | null>(null);

export function useSolvedShop(): SolvedShop {
  const solved = useContext(SolvedContext);
  if (!solved) throw new Error('outside a shop');
  return solved;
}

export function useJudgedDrops(): JudgedDrops {
  const judged = useContext(JudgedContext);
  if (!judged) throw new Error('outside a shop');
  return judged;
}

interface Props {
  readonly shop: Shop;
  readonly children: ReactNode;
}

export function SolvedShopProvider({ shop, children }: Props) {
  const view = useChoices((choices) => choices.view);
  const rule = useChoices((choices) => choices.rule);
  const chosen = useChoices((choices) => choices.drops[shop.id]);
  // Only what the air depends on: a reading logged or a note written solves nothing anew.
  const part = airPart(shop);
  const air = useMemo(() => {
    const lines = ductLines(part);
    const arranged = arrangeDucts(part, lines);
    return arranged.ok ? { lines, gates: gateAir(part, arranged.tree, view) } : null;
  }, [part, view]);
  if (!air) return <BrokenDucts />;
  return (
    <Solved shop={shop} lines={air.lines} air={air.gates}>
      <Judged air={air.gates} rule={rule} chosen={chosen}>
        {children}
      </Judged>
    </Solved>
  );
}

interface SolvedProps extends Props {
  readonly lines: DuctLines;
  /** A new one for every change of what the air depends on. */
  readonly air: GateAir;
}

function Solved({ shop, lines, air, children }: SolvedProps) {
  const { tree } = air;
  const [warm] = useState(() => new WarmSolution());
  const now = warm.of(air);
  const value = useMemo<SolvedShop>(
    () => ({ shop, system: shop.shop.units, lines, tree, now }),
    [shop, lines, tree, now],
  );
  return <SolvedContext value={value}>{children}</SolvedContext>;
}

interface JudgedProps extends Pick<SolvedProps, 'air' | 'children'> {
  readonly rule: GateRule;
  readonly chosen: string | undefined;
}

function Judged({ air, rule, chosen, children }: JudgedProps) {
  const verdicts = useVerdicts(air, rule, chosen);
  const selected =
    verdicts.find(({ drop }) => drop.id === chosen) ?? worstDrop(verdicts) ?? verdicts[0] ?? null;
  const value = useMemo<JudgedDrops>(() => ({ verdicts, selected }), [verdicts, selected]);
  return <JudgedContext value={value}>{children}</JudgedContext>;
}

function BrokenDucts() {
  return (
    <p role="alert" className="m-8 max-w-prose">
      The ducts of this shop no longer lead to the blower. Press Ctrl+Z to undo the last change.
    </p>
  );
}
