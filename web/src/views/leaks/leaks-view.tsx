'use client';

import { useDuctTree } from '@/model/use-design';
import { LeakSentence } from '../parts/leaks/leak-sentence';
import { useLeaks } from '../parts/leaks/use-leaks';
import { AllShutFinding } from './all-shut-finding';
import { LeakPicture } from './leak-picture';
import { MeasureNext } from './measure-next';
import { PressureSide } from './pressure-side';
import { ReadingVoices } from './reading-voices';
import { SuspectList } from './suspect-list';

/** Where the air goes: what all readings since the latest change say is wrong, how sure, and what to measure next. */
export function LeaksView() {
  const leaks = useLeaks();
  const tree = useDuctTree();
  const { report } = leaks;
  return (
    <div className="grid md:h-full md:grid-cols-[minmax(0,1fr)_380px] md:overflow-hidden">
      <section aria-label="Finding" className="min-w-0 px-4 pt-3 pb-6 md:overflow-y-auto">
        <h1 className="sr-only">Leaks</h1>
        {tree.drops.length === 0 ? (
          <p className="max-w-prose text-[17px]">
            First connect a machine under Air: leaks are found by readings at drops.
          </p>
        ) : (
          <LeakSentence {...leaks} />
        )}
        {report && report.places > 0 && (
          <>
            <LeakPicture report={report} />
            <ReadingVoices leaks={leaks} report={report} />
          </>
        )}
      </section>
      <section
        aria-label="What to do"
        className="border-rule px-4 pt-3 pb-6 md:overflow-y-auto md:border-l"
      >
        {report && report.places > 0 && (
          <>
            <MeasureNext leaks={leaks} />
            {report.verdict.isWrong && <SuspectList report={report} />}
          </>
        )}
        <AllShutFinding found={report?.allShut ?? null} />
        <PressureSide />
      </section>
    </div>
  );
}
