'use client';

import { isWritten, minutesSoFar } from '@frank-gauge/core/practice';
import Link from 'next/link';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { useAddressId } from '@/ui/use-address-id';
import { minutesWords, nameOfPractice, WRITTEN_WORDS } from '@/words/practice-words';
import { ThemeButton } from '../frame/theme-button';
import { DebriefPanel } from './debrief-panel';
import { HuntGates } from './hunt-gates';
import { HuntMeter } from './hunt-meter';
import { HuntPlan } from './hunt-plan';
import { NameCause } from './name-cause';
import { Notebook } from './notebook';
import { type HuntActions, type OpenHunt, useHunt } from './use-hunt';

/** A practice shop: measure in it with simulated meters, name what is wrong, and be told. */
export function HuntView() {
  const id = useAddressId();
  const [state, actions] = useHunt(id);
  return (
    <main className="mx-auto max-w-320 px-4 pb-16">
      <header className="flex items-center gap-3 border-ink border-b py-3">
        <Link href="/practice" className="font-name font-semibold text-[18px]">
          Practice
        </Link>
        <h1 className="text-[21px]">{id === null ? '' : nameOfPractice(id)}</h1>
        <span className="ml-auto">
          <ThemeButton />
        </span>
      </header>
      {state.kind === 'opening' && (
        <p role="status" className="py-6 text-quiet">
          Building the practice shop…
        </p>
      )}
      {state.kind === 'missing' && (
        <p role="alert" className="py-6 text-[17px]">
          There is no practice shop of that name.{' '}
          <Link href="/practice" className="underline">
            See the ones there are
          </Link>
          .
        </p>
      )}
      {state.kind === 'broken' && (
        <p role="alert" className="py-6 text-[17px]">
          The practice shop could not be built: the browser stopped the calculation. Reload the
          page.
        </p>
      )}
      {state.kind === 'open' && <Opened open={state.open} actions={actions} />}
    </main>
  );
}

interface Props {
  readonly open: OpenHunt;
  readonly actions: HuntActions;
}

function Opened({ open, actions }: Props) {
  const [place, setPlace] = useState(0);
  const { id, hunt, named, tree } = open;
  const complaint = isWritten(id) ? WRITTEN_WORDS[id].complaint : null;
  const isOver = named !== null;
  return (
    // On a phone the meter comes before the notebook.
    <div className="flex flex-col gap-x-8 md:grid md:grid-cols-[minmax(0,1fr)_400px]">
      <div className="min-w-0 max-md:contents">
        <p className="max-w-prose pt-3 text-[17px]">
          {complaint ?? 'Is anything wrong here, and if so, what and where?'}
        </p>
        <p className="max-w-prose text-[14px] text-quiet">
          {tree.drops.length} drops. Every reading costs minutes; drilling a test hole costs more.
          The shop, its faults and its meters are invented.
        </p>
        <HuntPlan open={open} place={place} onPlace={setPlace} />
        <div className="max-md:order-3">
          <Notebook open={open} onChange={actions.change} isOver={isOver} />
        </div>
      </div>
      <div className="pt-3 max-md:order-2">
        <p className="font-figure text-[17px] tabular-nums">
          {minutesWords(minutesSoFar(hunt))}, {hunt.readings.length}{' '}
          {hunt.readings.length === 1 ? 'reading' : 'readings'}
        </p>
        {isOver ? (
          <DebriefPanel open={open} named={named} />
        ) : (
          <>
            <HuntGates open={open} place={place} onChange={actions.change} />
            <HuntMeter open={open} place={place} onPlace={setPlace} actions={actions} />
            <NameCause open={open} onName={actions.name} />
          </>
        )}
        {(isOver || hunt.readings.length > 0) && (
          <Button look={isOver ? 'plain' : 'quiet'} className="mt-4" onClick={actions.startOver}>
            {isOver ? 'Try this shop again' : 'Start over'}
          </Button>
        )}
      </div>
    </div>
  );
}
