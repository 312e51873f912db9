'use client';

import type { ComparedDesign, Evaluation } from '@frank-gauge/core/advice';
import {
  formatQuantity,
  STYLES,
  type UnitSystem,
  unitSymbol,
  writeNumber,
} from '@frank-gauge/core/quantity';
import Link from 'next/link';
import { useUnits } from '@/model/use-design';
import { differenceWords } from '@/words/design-words';
import { filterLifeText, heatText } from '@/words/improvement-words';
import { percent } from '@/words/percent';
import { TrayMenu } from './tray-menu';
import type { ShopWithTrays } from './use-trays';

/** Differences that are listed. */
const LISTED = 6;

interface Line {
  readonly name: string;
  readonly of: (evaluation: Evaluation, system: UnitSystem) => string;
}

const LINES: readonly Line[] = [
  { name: 'worst drop gets, of what it needs', of: ({ worst }) => percent(worst) },
  { name: 'chance that a drop has enough', of: ({ met }) => percent(met) },
  { name: 'drops where chips settle', of: ({ slow }) => String(slow) },
  {
    name: 'current at most',
    of: ({ current, isOverCircuit }) =>
      `${current.toFixed(1)} A${isOverCircuit ? ', ▼ over its circuit' : ''}`,
  },
  { name: 'noise at 3 m, an estimate', of: ({ noise }) => `${Math.round(noise)} dB(A)` },
  { name: 'dust caught before the filter', of: ({ caught }) => percent(caught) },
  {
    name: 'filter due after running',
    of: ({ filterLife }) => (filterLife === null ? '–' : filterLifeText(filterLife)),
  },
  {
    name: 'finest dust let by, 0.3–1 µm',
    of: ({ letBy }) => (letBy === null ? 'not known' : `up to ${percent(letBy)}`),
  },
  {
    name: 'heat blown out in a season',
    of: ({ heat }) => (heat === 0 ? 'none' : heatText(heat)),
  },
  {
    name: 'height of the collector',
    of: ({ height }, system) => formatQuantity(height, 'length', system),
  },
  {
    name: 'floor that collectors take',
    of: ({ floor }, system) => formatQuantity(floor, 'area', system),
  },
];

interface Props {
  readonly stored: ShopWithTrays;
  readonly compared: readonly ComparedDesign[];
  /** Id of what is open. */
  readonly opened: string;
}

/** The shop and its trays in columns: what differs, how each does, and what every drop gets. */
export function TrayTable({ stored: { shop, trays }, compared, opened }: Props) {
  const system = useUnits();
  const designs = [
    { id: shop.id, name: 'The shop', tray: null },
    ...trays.map((tray) => ({ id: tray.id, name: `Tray ${tray.name}`, tray })),
  ];
  const [first] = compared;
  const drops = dropsOf(compared);
  return (
    <section aria-label="Side by side" className="relative overflow-x-auto pt-3">
      <table className="border-collapse [&_td]:px-3 [&_td]:align-top [&_th]:px-3">
        <thead>
          <tr className="border-ink border-b text-left align-bottom">
            <th className="min-w-40">
              <span className="sr-only">what is compared</span>
            </th>
            {designs.map(({ id, name, tray }) => (
              <th key={id} scope="col" className="min-w-32 pb-1 font-normal md:min-w-44">
                <span className="flex items-center gap-1">
                  <span className="text-[17px]">
                    <span className="font-semibold">{name}</span>
                    {id === opened && <span className="text-quiet">, open</span>}
                  </span>
                  {tray && <TrayMenu tray={tray} isOpen={id === opened} shop={shop.id} />}
                </span>
                {id !== opened && (
                  <Link href={`/shop/${id}/floor`} className="underline">
                    Open {name === 'The shop' ? 'the shop' : name.toLowerCase()}
                  </Link>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr className="border-rule border-b">
            <th scope="row" className="py-1 text-left align-top font-normal text-quiet">
              what differs
            </th>
            {designs.map(({ id, tray }) => (
              <td key={id} className="max-w-64 py-1 text-[14px]">
                {tray && (
                  <Differences
                    lines={tray.differences.map((each) => differenceWords(each, 'tray'))}
                  />
                )}
              </td>
            ))}
          </tr>
          {LINES.map(({ name, of }) => (
            <tr key={name} className="border-rule border-b">
              <th scope="row" className="text-left font-normal text-quiet">
                {name}
              </th>
              {designs.map(({ id }, i) => {
                const evaluation = compared[i]?.evaluation;
                const [text, before] = [evaluation, first?.evaluation].map((each) =>
                  each ? of(each, system) : '–',
                );
                return (
                  <td
                    key={id}
                    className={`font-figure tabular-nums ${text === before ? '' : 'font-semibold'}`}
                  >
                    {text}
                  </td>
                );
              })}
            </tr>
          ))}
          <tr className="border-ink border-b">
            <th scope="row" className="pt-3 text-left font-normal text-[13px] text-quiet">
              drop, needs
            </th>
            <td colSpan={designs.length} className="pt-3 text-[13px] text-quiet">
              airflow in its worst combination of gates, {unitSymbol('flow', system)}, and what it
              gains
            </td>
          </tr>
          {drops.map(({ id, name, need }) => (
            <tr key={id} className="border-rule border-b">
              <th scope="row" className="text-left font-normal">
                {name},{' '}
                <span className="font-figure">{writeNumber(need, STYLES[system].flow)}</span>
              </th>
              {designs.map((design, i) => (
                <td key={design.id} className="whitespace-nowrap font-figure tabular-nums">
                  <DropCell compared={compared[i]} drop={id} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {compared.some(({ evaluation }) => !evaluation) && (
        <p className="pt-1 text-quiet">
          – : the ducts of this design do not lead to the blower, or no drop has an answer.
        </p>
      )}
    </section>
  );
}

/** Every drop that any of the designs has, in the order of the first that has it. */
function dropsOf(compared: readonly ComparedDesign[]) {
  const drops = new Map<string, { id: string; name: string; need: number }>();
  for (const { evaluation } of compared) {
    for (const { drop, name, need } of evaluation?.drops ?? []) {
      if (!drops.has(drop)) drops.set(drop, { id: drop, name, need });
    }
  }
  return [...drops.values()];
}

function DropCell({
  compared,
  drop,
}: {
  readonly compared: ComparedDesign | undefined;
  readonly drop: string;
}) {
  const system = useUnits();
  const style = STYLES[system].flow;
  const own = compared?.evaluation?.drops.find((each) => each.drop === drop);
  if (!own) return <span className="text-quiet">not there</span>;
  const gain = compared?.gains.find((each) => each.drop === drop);
  const change = gain ? gain.after - gain.before : 0;
  return (
    <>
      <span className={own.flow < own.need ? 'text-starved-text' : ''}>
        {own.flow < own.need ? '▼' : ''}
        {writeNumber(own.flow, style)}
      </span>
      {gain && (
        <span className="pl-2 text-[14px] text-quiet">
          {change < 0 ? '−' : '+'}
          {writeNumber(Math.abs(change), style)} ±&nbsp;{writeNumber(gain.uncertainty, style)}
        </span>
      )}
    </>
  );
}

function Differences({ lines }: { readonly lines: readonly string[] }) {
  if (lines.length === 0) return <span className="text-quiet">nothing yet</span>;
  return (
    <ul>
      {lines.slice(0, LISTED).map((line, i) => (
        // Two lines may read the same.
        <li key={i}>{line}</li>
      ))}
      {lines.length > LISTED && <li className="text-quiet">and {lines.length - LISTED} more</li>}
    </ul>
  );
}
