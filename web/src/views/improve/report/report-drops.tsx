'use client';

import { type DropResult, flowUncertainty, type Standing } from '@frank-gauge/core/analysis';
import { STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { airPart } from '@/model/shop-parts';
import { useDesign, useUnits } from '@/model/use-design';
import { failureSentence } from '@/words/failure-words';
import { OwnCollectors } from '../../parts/own-collectors';
import { useOwnGates } from '../../parts/own-gate';

const WORDS: Readonly<Record<Standing, string>> = {
  shut: '○ shut',
  enough: '● enough',
  'little short': '◐ a little short',
  starved: '▼ starved',
};

/** Every drop: what it needs, what it gets, and whether that is enough. */
export function ReportDrops({ results }: { readonly results: readonly DropResult[] }) {
  const part = useDesign(airPart);
  const system = useUnits();
  const ownGates = useOwnGates();
  const flow = (value: number) => writeNumber(value, STYLES[system].flow);
  const speed = (value: number) => writeNumber(value, STYLES[system].velocity);
  return (
    <section aria-label="Drops" className="pt-3">
      <h2 className="text-[16px]">Every drop, {ownGates.all}</h2>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-ink border-b text-right text-[12px] text-quiet [&>th]:font-normal">
            <th className="text-left">drop</th>
            <th>required</th>
            <th>airflow, {unitSymbol('flow', system)}</th>
            <th>velocity, {unitSymbol('velocity', system)}</th>
            <th className="pl-3 text-left">status</th>
          </tr>
        </thead>
        <tbody>
          {results.map((result) => (
            <tr
              key={result.drop.id}
              className="border-rule border-b text-right [&>td]:whitespace-nowrap"
            >
              <td className="text-left">{result.drop.name}</td>
              {result.kind === 'judged' ? (
                <>
                  <td className="font-figure tabular-nums">{flow(result.need)}</td>
                  <td className="font-figure tabular-nums">
                    {flow(result.flow)} ±&nbsp;{flow(flowUncertainty(part, 'found', result))}
                  </td>
                  <td className="font-figure tabular-nums">{speed(result.velocity)}</td>
                  <td className="pl-3 text-left">{WORDS[result.standing]}</td>
                </>
              ) : (
                <td colSpan={4} className="text-left">
                  {failureSentence(result.reason, system)}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      <OwnCollectors className="pt-1" />
    </section>
  );
}
