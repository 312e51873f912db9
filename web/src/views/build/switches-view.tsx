'use client';

import { collectorLoad, switchPlan, worstDrop } from '@frank-gauge/core/analysis';
import { formatShort } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useDesign, useDropResults, useDuctTree, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { fitSwitches, setStopDelay, useSwitches } from '../parts/stand-ins/use-switches';
import { SwitchPanel } from '../parts/taking/switch-panel';
import { NothingToBuild } from './nothing-to-build';

/** Switches at the gates that start the blower: where they go, how long it runs on, and a list for the electrician. */
export function SwitchesView() {
  const shop = useDesign();
  const tree = useDuctTree();
  const results = useDropResults();
  const system = useUnits();
  const plan = useMemo(() => switchPlan(tree, results), [tree, results]);
  const worst = worstDrop(results);
  const load = worst && collectorLoad(shop, worst.solution, 'found');
  if (shop.ducts.runs.length === 0) return <NothingToBuild />;
  const nameOf = (id: string) => shop.ducts.runs.find((run) => run.id === id)?.name ?? id;
  const dropName = (id: string) => tree.drops.find((drop) => drop.id === id)?.name ?? id;
  const named = (ids: readonly string[], of: (id: string) => string) => ids.map(of).join(', ');
  const { motor } = shop.collector.blower;
  const motorWords = `${formatShort(motor.power, 'power', system)}, ${formatShort(motor.voltage, 'voltage', system)}`;
  const lines = [
    plan.switched.length === 0
      ? 'No gate stands nearest to a machine: give each drop a gate under Air first.'
      : `A switch at each of ${plan.switched.length === 1 ? 'this gate' : `these ${plan.switched.length} gates`}, closed while the gate is open: ${named(plan.switched, nameOf)}.`,
    ...(plan.left.length > 0
      ? [
          `None at ${named(plan.left, nameOf)}: more than one machine lies behind it, or none, so that it stands open while others draw.`,
        ]
      : []),
    ...(plan.ungated.length > 0
      ? [
          `No gate shuts ${named(plan.ungated, dropName)}: let the machine’s own switch start the blower, or a hand.`,
        ]
      : []),
    'All switches in parallel, on low voltage of their own, to the coil of a relay or contactor; no switch at a gate carries the motor’s current.',
    `The contactor rated for the blower’s motor: ${motorWords}${load ? `, ${formatShort(load.fullLoadCurrent, 'current', system)} at full load and about ${formatShort(load.startCurrent, 'current', system)} while it starts` : ''}, with overload protection.`,
    `A timer that holds the contactor for ${plan.delay} s after the last switch opens.`,
    'A switch by hand that starts the blower with all gates shut, for a round with the meter; and one within reach that stops it whatever the gates say.',
    'After a power failure the blower stays off until a hand starts it.',
  ];
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-[18px]">Gate switches</h1>
        <Button look="quiet" className="ml-auto print:hidden" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <p className="max-w-prose text-[15px]">
        A list for a licensed electrician, who decides how it is wired; local code comes first.
      </p>
      <ol
        aria-label="For the electrician"
        className="max-w-prose list-decimal space-y-1 pt-2 pl-6 text-[15px]"
      >
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
      {plan.slowest && (
        <p className="max-w-prose pt-2 text-[15px] text-quiet">
          Chips from {dropName(plan.slowest.drop)} are on their way longest, about{' '}
          {Math.ceil(plan.slowest.seconds)} s, taken as half as fast as the air.
        </p>
      )}
      <TryOut delay={plan.delay} />
    </div>
  );
}

/** The same switches, simulated: what opening and shutting gates does to the blower. */
function TryOut({ delay }: { readonly delay: number }) {
  const shop = useDesign(({ id }) => id);
  const switches = useSwitches();
  return (
    <section aria-label="Try it" className="max-w-prose pt-5 print:hidden">
      <h2 className="text-[17px]">Try it</h2>
      {switches ? (
        <SwitchPanel wanted={null} />
      ) : (
        <p className="text-[15px]">
          Simulated switches show what the blower does as gates are opened and shut.
        </p>
      )}
      <div className="flex gap-2 pt-2">
        <Button
          onClick={() => {
            fitSwitches(shop, !switches);
            if (!switches) setStopDelay(shop, delay);
          }}
        >
          {switches ? 'Take the simulated switches off' : 'Fit simulated switches'}
        </Button>
        {switches && switches.stopDelay !== delay && (
          <Button look="quiet" onClick={() => setStopDelay(shop, delay)}>
            Run on for {delay} s
          </Button>
        )}
      </div>
    </section>
  );
}
