'use client';

import { useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { StartRound } from './start-round';
import { UnderWay } from './under-way';

/** A round with the meter: from drop to drop, what to open, what is expected, and big keys for the thumb. */
export function RoundView() {
  const { drops } = useDuctTree();
  const round = useJournal(({ rounds }) =>
    rounds.findLast(({ kind, ended }) => kind === 'guided' && ended === null),
  );
  return (
    <div className="mx-auto max-w-md px-4 pt-3 pb-6 md:h-full md:overflow-y-auto">
      {drops.length === 0 ? (
        <>
          <h1 className="text-[18px]">Guided round</h1>
          <p className="pt-2">First connect a machine under Air: a round goes from drop to drop.</p>
        </>
      ) : round ? (
        <UnderWay key={round.id} round={round} />
      ) : (
        <StartRound />
      )}
    </div>
  );
}
