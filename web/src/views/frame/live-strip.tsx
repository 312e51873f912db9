'use client';

import { collectorLoad, worstDrop } from '@frank-gauge/core/analysis';
import { setGate } from '@frank-gauge/core/design';
import { formatQuantity, STYLES, writeNumber } from '@frank-gauge/core/quantity';
import { ChevronUp } from 'lucide-react';
import { memo, type ReactNode, useState } from 'react';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDropResults, useDuctTree, useSolution, useUnits } from '@/model/use-design';
import { chooseDrop, useChoices } from '@/storage/choices';
import { edit } from '@/storage/session';
import { failureSentence } from '@/words/failure-words';

/** Along the bottom of every shop view: what the blower does now, and the gates, to be tapped. */
export function LiveStrip() {
  const [isOpen, setOpen] = useState(false);
  return (
    <footer className="sticky bottom-0 z-20 print:hidden border-ink border-t bg-strip md:static xl:flex xl:h-18 xl:items-stretch">
      <div className="flex items-stretch overflow-x-auto xl:contents">
        <Figures />
        <button
          type="button"
          aria-expanded={isOpen}
          aria-controls="gates"
          onClick={() => setOpen(!isOpen)}
          className="ml-auto flex min-h-12 items-center gap-1 border-rule border-l px-3 font-semibold xl:hidden"
        >
          gates
          <ChevronUp size={16} aria-hidden className={isOpen ? 'rotate-180' : ''} />
        </button>
      </div>
      <Gates isOpen={isOpen} />
    </footer>
  );
}

function Figure({
  label,
  children,
  isLate = false,
}: {
  label: string;
  children: ReactNode;
  isLate?: boolean;
}) {
  return (
    <div
      className={`shrink-0 border-rule border-r px-3 py-1.5 md:px-4 md:pt-2.5 ${isLate ? 'hidden md:block' : ''}`}
    >
      <div className="text-[13px] text-quiet leading-tight">{label}</div>
      <div className="whitespace-nowrap text-[15px] md:text-[16px]">{children}</div>
    </div>
  );
}

/** A big figure with its unit small behind it. */
function Big({ text }: { readonly text: string }) {
  const [number, ...unit] = text.split(' ');
  return (
    <>
      <strong className="font-semibold text-[19px] md:text-[21px]">{number}</strong>{' '}
      {unit.join(' ')}{' '}
    </>
  );
}

function Figures() {
  const now = useSolution();
  const part = useDesign(airPart);
  const system = useUnits();
  const results = useDropResults();
  const view = useChoices((choices) => choices.view);
  const worst = worstDrop(results);
  const { flow: flowStyle } = STYLES[system];
  if (now.kind === 'unsolved') {
    return (
      <p role="alert" className="max-w-160 px-4 py-2 text-[14px] text-starved-text">
        {failureSentence(now.reason, system)}
      </p>
    );
  }
  const load = collectorLoad(part, now, view);
  return (
    <>
      <Figure label="operating point">
        <Big text={formatQuantity(now.blower.flow, 'flow', system)} />
        <Big text={formatQuantity(now.blower.rise, 'pressure', system)} />
      </Figure>
      <Figure
        label={`motor, of ${writeNumber(load.circuit.breaker, { unit: 'a', places: 0 })} A, est.`}
        isLate
      >
        <Big text={formatQuantity(load.current, 'current', system)} />
      </Figure>
      {load.faceVelocity !== null && (
        <Figure label="filter face velocity" isLate>
          <Big text={formatQuantity(load.faceVelocity, 'faceVelocity', system)} />
        </Figure>
      )}
      {worst && (
        <Figure label="worst drop">
          <button
            type="button"
            onClick={() => chooseDrop(part.id, worst.drop.id)}
            className={`font-semibold text-[17px] md:text-[20px] ${worst.margin < 0 ? 'text-starved-text' : 'text-enough-text'}`}
          >
            {worst.drop.name} {worst.margin >= 0 ? '+' : ''}
            {writeNumber(worst.margin, flowStyle)}
          </button>
        </Figure>
      )}
    </>
  );
}

function Gates({ isOpen }: { readonly isOpen: boolean }) {
  const ducts = useDesign((shop) => shop.ducts);
  const tree = useDuctTree();
  const gated = [...tree.upstreamFirst].reverse().filter((run) => run.gate);
  if (gated.length === 0) return null;
  const nameOf = (runId: string, runName: string) =>
    tree.drops.find(({ path }) => path[0]?.id === runId)?.name ?? runName;
  return (
    <fieldset
      id="gates"
      className={`${isOpen ? 'flex' : 'hidden'} flex-wrap items-center gap-1.5 border-rule border-t p-3 xl:ml-auto xl:flex xl:flex-nowrap xl:overflow-x-auto xl:border-t-0 xl:px-4 xl:py-0`}
    >
      <legend className="sr-only">Gates</legend>
      <span aria-hidden className="hidden text-[14px] text-quiet xl:inline">
        gates
      </span>
      {gated.map((run) => {
        const open = run.gate?.open ?? false;
        const name = nameOf(run.id, run.name);
        return <GateButton key={run.id} run={run.id} name={name} isOpen={open} />;
      })}
      {ducts.runs.some((run) => run.gate?.open) && (
        <span className="sr-only">Tap a gate to open or shut it.</span>
      )}
    </fieldset>
  );
}

interface GateProps {
  readonly run: string;
  readonly name: string;
  readonly isOpen: boolean;
}

const GateButton = memo(function GateButton({ run, name, isOpen }: GateProps) {
  return (
    <button
      type="button"
      aria-pressed={isOpen}
      title={`${name}: ${isOpen ? 'open' : 'shut'}`}
      onClick={() =>
        edit(`${isOpen ? 'shut' : 'open'} ${name}`, (draft) => setGate(draft, run, !isOpen))
      }
      className="min-h-12 shrink-0 border border-ink px-2.5 aria-pressed:border-enough aria-pressed:bg-enough aria-pressed:text-on-signal xl:min-h-8.5"
    >
      <span aria-hidden className="mr-1 text-[12px]">
        {isOpen ? '●' : '○'}
      </span>
      {name}
    </button>
  );
});
