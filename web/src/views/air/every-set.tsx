'use client';

import {
  countGateSets,
  type DropOverSets,
  type OverSets,
  type RunOverSets,
} from '@frank-gauge/core/analysis';
import { type QuantityKind, STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { GateMatrix } from './gate-matrix';
import { useGateSets } from './use-gate-sets';

/**
 * Where several gates may stand open at once: what each drop gets at worst, and how slowly the mains
 * move, over every set of gates the house rule allows.
 */
export function EverySet() {
  const rules = useDesign(({ shop }) => shop.rules);
  return rules.gates.kind === 'one' ? null : <Sets />;
}

function Sets() {
  const shop = useDesign();
  const tree = useDuctTree();
  const system = useUnits();
  const view = useChoices((choices) => choices.view);
  const { over, done, isBroken } = useGateSets(shop, view);
  const [isOpen, setOpen] = useState(false);
  const count = countGateSets(tree, shop.shop.rules.gates);
  return (
    <section className="mt-5" aria-busy={done !== null}>
      <div className="flex items-baseline gap-3">
        <h2 className="text-[17px]">Gate combinations</h2>
        <span role="status" className="text-quiet">
          {done === null
            ? `${count.toLocaleString('en')} combinations, the worst for each drop`
            : `${done.toLocaleString('en')} of ${count.toLocaleString('en')} combinations solved`}
        </span>
      </div>
      {isBroken && (
        <p role="alert" className="pt-1 text-starved-text">
          The combinations could not be solved: the browser stopped the calculation. Reload the page
          to try again.
        </p>
      )}
      {over?.kind === 'too many sets' && (
        <p role="alert" className="pt-1 text-starved-text">
          There are {over.sets.toLocaleString('en')} combinations; at most{' '}
          {over.most.toLocaleString('en')} can be solved here. Allow fewer gates at once, under Air
          and methods.
        </p>
      )}
      {over?.kind === 'evaluated' && <Worst over={over} />}
      {over?.kind === 'evaluated' && (
        <details className="pt-2" onToggle={(event) => setOpen(event.currentTarget.open)}>
          <summary className="flex min-h-11 cursor-pointer items-center text-quiet md:min-h-7">
            Drops by combinations
          </summary>
          {isOpen && <GateMatrix />}
        </details>
      )}
      <p className="sr-only">Flows in {unitSymbol('flow', system)}.</p>
    </section>
  );
}

function Worst({ over }: { readonly over: Extract<OverSets, { kind: 'evaluated' }> }) {
  const tree = useDuctTree();
  const system = useUnits();
  const isMain = new Set(
    tree.upstreamFirst
      .filter(({ from }) => (tree.into.get(from) ?? []).length > 0)
      .map(({ id }) => id),
  );
  const mains = over.runs.filter(({ run }) => isMain.has(run));
  const headings = (...names: string[]) => (
    <thead>
      <tr className="border-ink border-b text-[13px] text-quiet [&>th]:px-1 [&>th]:py-1 [&>th]:font-normal">
        {names.map((name, i) => (
          <th key={name} className={i === 0 || i === names.length - 1 ? 'text-left' : 'text-right'}>
            {name}
          </th>
        ))}
      </tr>
    </thead>
  );
  const unit = (kind: QuantityKind) => unitSymbol(kind, system);
  return (
    <>
      {over.unsolved.length > 0 && (
        <p className="pt-1 text-[14px]">
          {over.unsolved.length} of them have no solution: the blower would run past the last point
          of its curve.
        </p>
      )}
      <table className="mt-1 w-full border-collapse">
        {headings('drop', `at worst, ${unit('flow')}`, 'over its need', 'while these draw')}
        <tbody>
          {over.drops.map((drop) => (
            <DropLine key={drop.drop} drop={drop} />
          ))}
        </tbody>
      </table>
      {mains.length > 0 && (
        <table className="mt-3 w-full border-collapse">
          {headings('main', `slowest, ${unit('velocity')}`, 'fastest', 'slowest while these draw')}
          <tbody>
            {mains.map((main) => (
              <MainLine key={main.run} main={main} isSlow={main.settles !== null} />
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

const LOOK =
  'border-rule border-b align-top [&>td]:px-1 [&>td]:py-1 [&>td]:whitespace-nowrap [&>td:last-child]:whitespace-normal';

function DropLine({ drop }: { readonly drop: DropOverSets }) {
  const tree = useDuctTree();
  const system = useUnits();
  const style = STYLES[system].flow;
  const name = (id: string) => tree.drops.find((candidate) => candidate.id === id)?.name ?? id;
  const isShort = drop.margin < 0;
  return (
    <tr className={LOOK}>
      <td>{name(drop.drop)}</td>
      <td className="text-right font-semibold">{writeNumber(drop.least.value, style)}</td>
      <td className={`text-right ${isShort ? 'text-starved-text' : 'text-enough-text'}`}>
        <span aria-hidden>{isShort ? '▼ ' : '● '}</span>
        {writeNumber(drop.margin, style)}
      </td>
      <td className="text-[14px] text-quiet">{drop.least.drawing.map(name).join(', ')}</td>
    </tr>
  );
}

function MainLine({ main, isSlow }: { readonly main: RunOverSets; readonly isSlow: boolean }) {
  const tree = useDuctTree();
  const ducts = useDesign((shop) => shop.ducts);
  const system = useUnits();
  const name = (id: string) => tree.drops.find((candidate) => candidate.id === id)?.name ?? id;
  const run = ducts.runs.find(({ id }) => id === main.run);
  return (
    <tr className={LOOK}>
      <td>{run?.name}</td>
      <td className={`text-right font-semibold ${isSlow ? 'text-starved-text' : ''}`}>
        {writeNumber(main.slowest.value, STYLES[system].velocity)}
        {isSlow && <span title="chips settle">{'\u00a0↓'}</span>}
      </td>
      <td className="text-right">{writeNumber(main.fastest.value, STYLES[system].velocity)}</td>
      <td className="text-[14px] text-quiet">{main.slowest.drawing.map(name).join(', ')}</td>
    </tr>
  );
}
