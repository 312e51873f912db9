'use client';

import {
  arrangeDucts,
  type DropVerdict,
  type DuctTree,
  type GateRule,
  type NetworkState,
  type Shop,
  type ShopSolved,
  solveTree,
  type UnitSystem,
  type View,
} from '@frank-gauge/core';
import { createContext, type ReactNode, useContext, useMemo, useRef } from 'react';
import { useChoices } from '@/store/choices';
import { useVerdicts } from './use-verdicts';

/** Everything a shop view shows follows from the document and the choices, anew in each frame. */
export interface SolvedShop {
  readonly shop: Shop;
  readonly system: UnitSystem;
  readonly tree: DuctTree;
  /** With the gates open that the document has open. */
  readonly now: ShopSolved;
  /** Every drop, by the rule chosen. */
  readonly verdicts: readonly DropVerdict[];
  /** The one that is explained. */
  readonly selected: DropVerdict | null;
}

const Context = createContext<SolvedShop | null>(null);

export function useSolvedShop(): SolvedShop {
  const solved = useContext(Context);
  if (!solved) throw new Error('outside a shop');
  return solved;
}

/** A drop that falls furthest short as a share of its need, if any is judged. */
export const worstOf = (verdicts: readonly DropVerdict[]) =>
  verdicts
    .flatMap((verdict) =>
      verdict.kind === 'judged' && verdict.standing !== 'shut' ? [verdict] : [],
    )
    .reduce<Extract<DropVerdict, { kind: 'judged' }> | null>(
      (worst, next) =>
        worst && worst.margin / worst.need <= next.margin / next.need ? worst : next,
      null,
    );

interface Props {
  readonly shop: Shop;
  readonly children: ReactNode;
}

export function SolvedShopProvider({ shop, children }: Props) {
  const view = useChoices((choices) => choices.view);
  const rule = useChoices((choices) => choices.rule);
  const chosen = useChoices((choices) => choices.drops[shop.id]);
  // Only what the air depends on: a reading logged or a note written solves nothing anew.
  const { room, machines, collector, ducts, condition } = shop;
  const { site, rules } = shop.shop;
  const air = useMemo(() => {
    const arranged = arrangeDucts({ ...shop, room, machines, collector, ducts, condition });
    return arranged.ok ? { tree: arranged.tree } : null;
  }, [room, machines, collector, ducts, condition, site, rules]);
  if (!air) return <BrokenDucts />;
  return (
    <Judged shop={shop} air={air} view={view} rule={rule} chosen={chosen}>
      {children}
    </Judged>
  );
}

interface JudgedProps extends Props {
  /** A new one for every change of what the air depends on. */
  readonly air: { readonly tree: DuctTree };
  readonly view: View;
  readonly rule: GateRule;
  readonly chosen: string | undefined;
}

function Judged({ shop, air, view, rule, chosen, children }: JudgedProps) {
  const { tree } = air;
  const last = useRef<NetworkState | undefined>(undefined);
  const now = useMemo(() => {
    const solved = solveTree(shop, tree, { view }, last.current);
    last.current = solved.kind === 'solved' ? solved.state : undefined;
    return solved;
  }, [air, view]);
  const verdicts = useVerdicts(shop, tree, view, rule, chosen, air);
  const selected =
    verdicts.find(({ drop }) => drop.id === chosen) ?? worstOf(verdicts) ?? verdicts[0] ?? null;
  const value = useMemo<SolvedShop>(
    () => ({ shop, system: shop.shop.units, tree, now, verdicts, selected }),
    [shop, tree, now, verdicts, selected],
  );
  return <Context value={value}>{children}</Context>;
}

function BrokenDucts() {
  return (
    <p role="alert" className="m-8 max-w-prose">
      The ducts of this shop no longer lead to the blower. Press Ctrl+Z to undo the last change.
    </p>
  );
}
