'use client';

import { type ProfileStep, pressureProfile } from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import { formatQuantity, STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { useDesign, useSelectedDrop, useUnits } from '@/model/use-design';
import { partWord } from '@/words/part-words';
import { useOwnGates } from '../parts/own-gate';
import { Issues } from './issues';

interface Entry {
  readonly name: string;
  readonly loss: number;
}

/** What every part on the selected drop's way takes, and what is wrong there, in sentences. */
export function Ledger() {
  const system = useUnits();
  const shop = useDesign();
  const { opened } = useOwnGates();
  const selected = useSelectedDrop();
  if (!selected) {
    return (
      <p className="text-quiet">
        Connect a machine and the pressure drops on its way to the blower are listed here.
      </p>
    );
  }
  if (selected.kind === 'unsolved') {
    return (
      <p className="text-quiet">
        No pressure drops to list: there is no solution for {selected.drop.name}.
      </p>
    );
  }
  const { rise, flow } = selected.solution.blower;
  const write = (value: number) => formatQuantity(value, 'pressure', system);
  const entries = pressureProfile(selected.solution, selected.drop)
    .filter(({ kind }) => kind !== 'blower')
    .map((step): Entry => ({ name: entryName(step, shop), loss: step.loss }));
  return (
    <>
      <h2 className="text-[18px]">Pressure drops</h2>
      <p className="mt-1">
        The blower delivers {write(rise)} at {formatQuantity(flow, 'flow', system)} with{' '}
        {opened(selected.drop)} open.
      </p>
      <LedgerTable entries={entries} rise={rise} />
      <Issues />
    </>
  );
}

function entryName(step: ProfileStep, shop: Shop): string {
  const run = shop.ducts.runs.find(({ id }) => id === step.run);
  const word = partWord(step.kind, step.name);
  return run ? `${word}, ${run.name}` : word;
}

/** Largest first; what is too small to matter stands in one line at the end. */
function LedgerTable({
  entries,
  rise,
}: {
  readonly entries: readonly Entry[];
  readonly rise: number;
}) {
  const system = useUnits();
  const style = STYLES[system].pressure;
  const sorted = [...entries].sort((a, b) => b.loss - a.loss);
  const large = sorted.filter(({ loss }) => loss >= 0.015 * rise);
  const small = sorted.filter((entry) => !large.includes(entry));
  const rest = small.reduce((sum, { loss }) => sum + loss, 0);
  const rows =
    small.length > 1 ? [...large, { name: `${small.length} small parts`, loss: rest }] : sorted;
  return (
    <table className="mt-2 w-full border-collapse">
      <thead>
        <tr className="border-ink border-b text-[13px] text-quiet [&>th]:py-1 [&>th]:font-normal">
          <th className="text-left">part</th>
          <th className="whitespace-nowrap text-right">{unitSymbol('pressure', system)}</th>
          <th className="text-right">share</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, loss }, index) => (
          <tr key={`${name} ${index}`} className="border-rule border-b align-top [&>td]:py-1">
            <td>{name}</td>
            <td className="text-right font-semibold">{writeNumber(loss, style)}</td>
            <td className="whitespace-nowrap pl-2 text-right">
              {rise > 0 ? `${Math.round((100 * loss) / rise)}\u00a0%` : '–'}
            </td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr className="border-ink border-t [&>td]:py-1">
          <td>total</td>
          <td className="text-right font-semibold">{writeNumber(rise, style)}</td>
          <td className="whitespace-nowrap pl-2 text-right">100 %</td>
        </tr>
      </tfoot>
    </table>
  );
}
