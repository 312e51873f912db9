'use client';

import { useEffect, useState } from 'react';
import { useDesign, useDuctTree } from '@/model/use-design';
import {
  blowerNow,
  type Switches,
  switchByHand,
  turnGate,
  useSwitches,
} from '../stand-ins/use-switches';

/** How often the blower’s state is looked at while it runs on, ms. */
const TICK = 250;

/** Simulated gate switches: which gates stand open, and what the blower does about it. Nothing without them. */
export function SwitchPanel({ wanted }: { readonly wanted: readonly string[] | null }) {
  const switches = useSwitches();
  return switches && <Panel switches={switches} wanted={wanted} />;
}

interface PanelProps {
  readonly switches: Switches;
  /** Runs whose gates should stand open; null: nobody says. */
  readonly wanted: readonly string[] | null;
}

function Panel({ switches, wanted }: PanelProps) {
  const shop = useDesign(({ id }) => id);
  const { upstreamFirst } = useDuctTree();
  const { open, isOnByHand } = switches.gates;
  const gated = upstreamFirst.filter(({ gate }) => gate !== null);
  const named = (isNamed: (run: string) => boolean) =>
    gated.flatMap(({ id, name }) => (isNamed(id) ? [name] : [])).join(', ');
  const alsoOpen = named((run) => wanted !== null && open.includes(run) && !wanted.includes(run));
  const stillShut = named((run) => wanted?.includes(run) === true && !open.includes(run));
  const button =
    'min-h-11 touch-manipulation border border-rule px-2 text-[14px] aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper md:min-h-8';
  return (
    <fieldset className="border border-rule px-2 pb-2">
      <legend className="px-1 text-[14px] text-quiet">Simulated gate switches</legend>
      <div className="flex flex-wrap gap-1">
        {gated.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={open.includes(id)}
            className={button}
            onClick={() => turnGate(shop, id, !open.includes(id))}
          >
            {name}
          </button>
        ))}
        <button
          type="button"
          aria-pressed={isOnByHand}
          className={button}
          onClick={() => switchByHand(shop, !isOnByHand)}
        >
          Blower on by hand
        </button>
      </div>
      <BlowerLine key={JSON.stringify(switches)} switches={switches} />
      {stillShut !== '' && (
        <p className="text-[14px] text-starved-text">◆ Still shut: {stillShut}.</p>
      )}
      {alsoOpen !== '' && <p className="text-[14px] text-starved-text">◆ Also open: {alsoOpen}.</p>}
    </fieldset>
  );
}

function BlowerLine({ switches }: { readonly switches: Switches }) {
  const [blower, setBlower] = useState(() => blowerNow(switches));
  const isRunningOn = blower.kind === 'running on';
  useEffect(() => {
    if (!isRunningOn) return;
    const timer = setInterval(() => setBlower(blowerNow(switches)), TICK);
    return () => clearInterval(timer);
  }, [switches, isRunningOn]);
  return (
    <p role="status" className="pt-1 text-[14px]">
      {blower.kind === 'running'
        ? 'The blower is running.'
        : blower.kind === 'running on'
          ? `The blower runs on until the ducts are clear, ${switches.stopDelay} s after the last gate was shut.`
          : 'The blower stands still. Open a gate, or switch it on by hand.'}
    </p>
  );
}
