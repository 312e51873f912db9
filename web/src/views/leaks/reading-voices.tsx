'use client';

import type { LeakReport } from '@frank-gauge/core/inference';
import { type Reading, timeOf } from '@frank-gauge/core/journal';
import { format } from 'date-fns';
import { placeName, SET_ASIDE_WORDS } from '@/words/fault-words';
import type { Leaks } from '../parts/leaks/use-leaks';
import { usePlaceNames } from '../parts/leaks/use-place-names';
import { usePointName } from './use-point-name';

/** A reading speaks clearly where it is so much likelier one way than the other, nats. */
const CLEARLY = 1;

/** What each reading says of the first suspect, and which are not used, with the reason. */
export function ReadingVoices({
  leaks: { readings },
  report,
}: {
  readonly leaks: Leaks;
  readonly report: LeakReport;
}) {
  const names = usePlaceNames();
  const pointName = usePointName();
  const { verdict, voices, setAside } = report;
  const [first] = verdict.among;
  const byId = new Map(readings.map((reading) => [reading.id, reading]));
  const rows = voices
    .flatMap((voice) => {
      const reading = byId.get(voice.reading);
      return reading ? [{ ...voice, reading }] : [];
    })
    .sort((a, b) => timeOf(b.reading) - timeOf(a.reading));
  const aside = setAside.flatMap(({ reading: id, why }) => {
    const reading = byId.get(id);
    return reading ? [{ reading, why }] : [];
  });
  const when = (reading: Reading) => format(timeOf(reading), 'd MMM yyyy');
  return (
    <section aria-label="Readings" className="pt-4">
      {verdict.isWrong && first && rows.length > 0 && (
        <>
          <h2 className="text-[18px]">What each reading says</h2>
          <p className="text-[14px] text-quiet">
            Beside all the others: whether it fits {placeName(first.place, names)} being at fault
            better than nothing being wrong.
          </p>
          <table className="w-full max-w-2xl border-collapse">
            <thead>
              <tr className="border-ink border-b text-left text-[13px] text-quiet [&>th]:py-1 [&>th]:font-normal">
                <th>test point</th>
                <th className="max-sm:hidden">gates open</th>
                <th>day</th>
                <th className="text-right">says</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ reading, weight }) => (
                <tr key={reading.id} className="border-rule border-b [&>td]:py-0.5">
                  <td>{pointName(reading.testPoint)}</td>
                  <td className="text-quiet max-sm:hidden">
                    {reading.openGates.length === 0
                      ? 'none'
                      : reading.openGates.map(names.run).join(', ')}
                  </td>
                  <td className="text-quiet">{when(reading)}</td>
                  <td className="text-right">
                    {report.began !== null && timeOf(reading) < Date.parse(report.began)
                      ? 'before it began'
                      : voiceOf(weight)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {aside.length > 0 && (
        <>
          <h2 className="pt-4 text-[18px]">Not used</h2>
          <ul>
            {aside.map(({ reading, why }) => (
              <li key={reading.id}>
                {pointName(reading.testPoint)}, {when(reading)}: {SET_ASIDE_WORDS[why]}.
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function voiceOf(weight: number | null): string {
  if (weight === null) return 'beyond the meter’s range';
  if (weight > CLEARLY) return '▲ explained by it';
  if (weight < -CLEARLY) return '▼ speaks against it';
  return '● either way';
}
