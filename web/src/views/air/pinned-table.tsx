'use client';

import {
  gatesOpenNow,
  isDrawing,
  lossesByGroup,
  PART_GROUPS,
  type PartGroup,
  type ProfileStep,
} from '@frank-gauge/core/analysis';
import type { DuctTree } from '@frank-gauge/core/design';
import { STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';

/** A drop's way as it was when it was pinned. */
export interface Pinned {
  readonly name: string;
  readonly steps: readonly ProfileStep[];
  /** m³/s */
  readonly flow: number;
}

const GROUPS: Readonly<Record<PartGroup, string>> = {
  hood: 'Hood',
  hose: 'Hose',
  gate: 'Gate',
  pipe: 'Pipe',
  fittings: 'Elbows and other fittings',
  junctions: 'Junctions',
  separator: 'Separator',
  exhaust: 'Filter or outlet',
};

/** The drops whose gates stand open now, by name. */
export function gatesText(tree: DuctTree): string {
  const gates = gatesOpenNow(tree);
  const open = tree.drops.filter((drop) => isDrawing(drop, gates));
  return open.length === 0
    ? 'all gates shut'
    : `with ${open.map(({ name }) => name).join(', ')} open`;
}

/** Two ways side by side: what each kind of part takes, and what the drops get. */
export function PinnedTable({ pinned, now }: { readonly pinned: Pinned; readonly now: Pinned }) {
  const system = useUnits();
  const ways = [pinned, now].map(({ steps }) => lossesByGroup(steps));
  const pressure = (value: number) => writeNumber(value, STYLES[system].pressure);
  const flow = (value: number) => writeNumber(value, STYLES[system].flow);
  const [one, other] = ways;
  if (!one || !other) return null;
  const groups = PART_GROUPS.filter((group) => one[group] !== 0 || other[group] !== 0);
  const sum = (way: typeof one) => PART_GROUPS.reduce((all, group) => all + way[group], 0);
  return (
    <section aria-label="Pinned and now" className="overflow-x-auto pt-1">
      <p className="text-[14px] text-quiet">Dashed: {pinned.name}, as it was when you pinned it.</p>
      <table className="border-collapse text-[14px] [&_td]:px-2 [&_th]:px-2">
        <thead>
          <tr className="border-ink border-b text-right text-[13px] text-quiet [&>th]:font-normal">
            <th className="text-left">{unitSymbol('pressure', system)}</th>
            <th>pinned</th>
            <th>{now.name} now</th>
            <th>difference</th>
          </tr>
        </thead>
        <tbody className="text-right font-figure tabular-nums">
          {groups.map((group) => (
            <tr key={group} className="border-rule border-b">
              <th className="text-left font-normal font-text">{GROUPS[group]}</th>
              <td>{pressure(one[group])}</td>
              <td>{pressure(other[group])}</td>
              <td>{signed(other[group] - one[group], pressure)}</td>
            </tr>
          ))}
          <tr className="border-ink border-b font-semibold">
            <th className="text-left font-text">Together</th>
            <td>{pressure(sum(one))}</td>
            <td>{pressure(sum(other))}</td>
            <td>{signed(sum(other) - sum(one), pressure)}</td>
          </tr>
          <tr>
            <th className="text-left font-normal font-text">
              Airflow, {unitSymbol('flow', system)}
            </th>
            <td>{flow(pinned.flow)}</td>
            <td>{flow(now.flow)}</td>
            <td>{signed(now.flow - pinned.flow, flow)}</td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}

const signed = (value: number, write: (value: number) => string): string =>
  `${value < 0 ? '−' : '+'}${write(Math.abs(value))}`;
