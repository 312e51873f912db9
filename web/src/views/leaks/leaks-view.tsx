'use client';

import { type Reading, timeOf } from '@frank-gauge/core/journal';
import dynamic from 'next/dynamic';
import { useDesign, useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { PartLoading } from '@/ui/part-loading';
import { LeakSentence } from '../parts/leaks/leak-sentence';
import { useLeaks } from '../parts/leaks/use-leaks';
import { AllShutFinding } from './all-shut-finding';
import { FoundIt } from './found-it';
import { LastMended } from './last-mended';
import { LeakPicture } from './leak-picture';
import { MeasureNext } from './measure-next';
import { NearAndFar } from './near-and-far';
import { PressureSide } from './pressure-side';
import { ReadingVoices } from './reading-voices';
import { SuspectList } from './suspect-list';

const BelievedValues = dynamic(
  () => import('./believed-values').then((module) => module.BelievedValues),
  { loading: PartLoading },
);
const CheckJoints = dynamic(() => import('./check-joints').then((module) => module.CheckJoints), {
  loading: PartLoading,
});
const Estimates = dynamic(() => import('./estimates').then((module) => module.Estimates), {
  loading: PartLoading,
});
const HuntCases = dynamic(() => import('./hunt-cases').then((module) => module.HuntCases), {
  loading: PartLoading,
});

/** When the oldest and the latest of some readings were taken. */
function timesOf(readings: readonly Reading[]): { oldest: string; latest: string } {
  const inOrder = readings.toSorted((a, b) => timeOf(a) - timeOf(b));
  const never = new Date(0).toISOString();
  return { oldest: inOrder[0]?.at ?? never, latest: inOrder.at(-1)?.at ?? never };
}

/** Where the air goes: what all readings since the latest change say is wrong, how sure, and what to measure next. */
export function LeaksView() {
  const leaks = useLeaks();
  const tree = useDuctTree();
  const isBelieving = useDesign(
    ({ condition: { holes, filterLoading, sealing, estimates }, collector: { separator } }) =>
      holes.length > 0 ||
      estimates.length > 0 ||
      [filterLoading.origin, sealing.origin, separator.origin].some(
        (origin) => origin?.kind === 'fitted',
      ),
  );
  const hasCases = useJournal((journal) => journal.events.some(({ isHunt }) => isHunt));
  const { report } = leaks;
  const { oldest, latest } = timesOf(leaks.readings);
  return (
    // On a phone what to do comes before the readings it follows from.
    <div className="flex flex-col md:grid md:h-full md:grid-cols-[minmax(0,1fr)_380px] md:overflow-hidden">
      <div className="min-w-0 max-md:contents md:overflow-y-auto md:px-4 md:pt-3 md:pb-6">
        <section aria-label="Finding" className="max-md:px-4 max-md:pt-3">
          <h1 className="sr-only">Leaks</h1>
          {tree.drops.length === 0 ? (
            <p className="max-w-prose text-[17px]">
              First connect a machine under Air: leaks are found by readings at drops.
            </p>
          ) : (
            <LeakSentence {...leaks} />
          )}
          {leaks.since && leaks.since.promised.length > 0 && <LastMended event={leaks.since} />}
          {report && report.places > 0 && <LeakPicture report={report} />}
        </section>
        {report && report.places > 0 && (
          <div className="max-md:order-3 max-md:px-4 max-md:pb-6">
            <ReadingVoices leaks={leaks} report={report} />
          </div>
        )}
      </div>
      <section
        aria-label="What to do"
        className="border-rule px-4 pt-3 pb-6 max-md:order-2 md:overflow-y-auto md:border-l"
      >
        {report && report.places > 0 && (
          <>
            <MeasureNext leaks={leaks} />
            {report.verdict.isWrong && (
              <>
                <SuspectList report={report} oldest={oldest} />
                <CheckJoints report={report} />
                <FoundIt report={report} />
              </>
            )}
          </>
        )}
        {isBelieving && <BelievedValues />}
        {report && <Estimates report={report} latest={latest} />}
        {hasCases && <HuntCases />}
        <AllShutFinding found={report?.allShut ?? null} />
        <NearAndFar found={report?.nearFar ?? null} />
        <PressureSide />
      </section>
    </div>
  );
}
