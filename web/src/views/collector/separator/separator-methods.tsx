'use client';

import { separatorMethods } from '@frank-gauge/core/analysis';
import { SEPARATORS } from '@frank-gauge/core/collector';
import { withCandidate } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { dueIn } from '@/words/due-words';
import { useCollector } from '../../parts/edited-collector';

/** What each kind of separator costs this shop in air, and saves in filter. */
export function SeparatorMethods() {
  const shop = useDesign();
  const tree = useDuctTree();
  const system = useUnits();
  const { parts } = useCollector();
  const view = useChoices((choices) => choices.view);
  const methods = useMemo(() => {
    const own = withCandidate(shop, { id: '', name: '', cost: null, ...parts });
    return separatorMethods(own, tree, view);
  }, [shop, tree, view, parts]);
  if (tree.drops.length === 0) return null;
  return (
    <div className="pt-2">
      <p className="font-semibold">What each separator would cost in airflow</p>
      <table className="w-full border-collapse">
        <thead className="text-[13px] text-quiet">
          <tr className="[&>th]:pr-1 [&>th]:text-left [&>th]:font-normal">
            <th>kind</th>
            <th className="!text-right">airflow</th>
            <th className="!text-right">separation efficiency</th>
            <th className="!text-right">filter due</th>
          </tr>
        </thead>
        <tbody>
          {methods.map(({ kind, isOwn, flow, share, caught, timeToDue }) => (
            <tr
              key={kind}
              className={`border-rule border-b align-baseline ${isOwn ? 'font-semibold' : 'font-normal'}`}
            >
              <th scope="row" className={`text-left ${isOwn ? 'font-semibold' : 'font-normal'}`}>
                {(SEPARATORS[kind].name.split(/ in | with |,/)[0] ?? '').toLowerCase()}
              </th>
              <td className="text-right">
                {flow === null ? '–' : formatShort(flow, 'flow', system)}
                {share !== null && share < 1 && (
                  <span className="block text-[13px] text-quiet">
                    −{Math.round(100 * (1 - share))} %
                  </span>
                )}
              </td>
              <td className="text-right">{Math.round(100 * caught)} %</td>
              <td className="text-right">
                {timeToDue === null ? '–' : timeToDue === 0 ? 'now' : dueIn(timeToDue, system)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[13px] text-quiet">
        At the worst drop. The other kinds use typical values, which are estimates.
      </p>
    </div>
  );
}
