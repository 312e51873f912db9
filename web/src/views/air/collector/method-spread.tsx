'use client';

import { compareMethods, gatesWith, type Method } from '@frank-gauge/core/analysis';
import { formatShort } from '@frank-gauge/core/quantity';
import { useDeferredValue, useMemo } from 'react';
import { useDesign, useDuctTree, useSelectedDrop, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';

const FRICTION: Record<Method['friction'], string> = {
  darcy: 'Darcy',
  powerFit: 'power fits',
  equivalentFeet: 'equivalent feet',
};

const nameOf = ({ friction, junctions }: Method): string =>
  friction === 'equivalentFeet'
    ? FRICTION[friction]
    : `${FRICTION[friction]}, ${junctions === 'momentum' ? 'momentum' : 'fixed coefficients'}`;

/** What the selected drop gets by every method: how much the choice of one matters here. */
export function MethodSpread() {
  const system = useUnits();
  const selected = useSelectedDrop();
  const view = useChoices((choices) => choices.view);
  const rule = useChoices((choices) => choices.rule);
  const shop = useDeferredValue(useDesign());
  const tree = useDeferredValue(useDuctTree());
  const id = selected?.drop.id;
  const compared = useMemo(() => {
    const drop = tree.drops.find((candidate) => candidate.id === id);
    if (!drop) return null;
    const openGates = rule === 'one' ? gatesWith([drop], tree, shop.shop.rules) : undefined;
    return compareMethods(shop, tree, drop, { view, openGates });
  }, [shop, tree, id, view, rule]);
  if (!compared || !selected) return null;
  return (
    <div className="my-1 border-rule border-y py-1 text-[14px]">
      <p className="text-quiet">
        {selected.drop.name} by every school, {Math.round(100 * compared.spread)} % apart
      </p>
      <ul>
        {compared.flows.map(({ method, flow }) => (
          <li key={nameOf(method)} className="flex justify-between">
            <span>{nameOf(method)}</span>
            <span className="font-semibold">
              {flow === null ? 'no answer' : formatShort(flow, 'flow', system)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
