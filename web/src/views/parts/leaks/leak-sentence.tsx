'use client';

import {
  keyOfFault,
  type LeakReport,
  placeOfFault,
  type TwoAtOnce,
} from '@frank-gauge/core/inference';
import { timeOf } from '@frank-gauge/core/journal';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { format } from 'date-fns';
import { useUnits } from '@/model/use-design';
import { EVENT_NAMES } from '@/words/change-words';
import { anyOf, faultAmount, faultName, percentOf, placeName } from '@/words/fault-words';
import type { Leaks } from './use-leaks';
import { usePlaceNames } from './use-place-names';

/** Places that are named in a sentence besides the first. */
const MOST_NAMED = 4;

/** What all readings since the latest change say together, in a sentence. */
export function LeakSentence({ report, since, from, readings, isBroken, isAnswered }: Leaks) {
  if (isBroken) {
    return (
      <p role="alert" className="max-w-prose text-[17px]">
        The readings could not be compared: the browser stopped the calculation. Reload the page.
      </p>
    );
  }
  if (!report) {
    return isAnswered ? (
      <p className="max-w-prose text-[17px]">
        The readings cannot be compared: the ducts do not lead to the collector in one tree. See
        Air.
      </p>
    ) : (
      <p role="status" className="max-w-prose text-[17px] text-quiet">
        Comparing the readings…
      </p>
    );
  }
  if (report.places === 0) {
    return (
      <p className="max-w-prose text-[17px]">
        {from !== null && (!since || timeOf(since) < from)
          ? `No readings since ${format(from, 'd MMMM yyyy')}, when the shop was last found to be otherwise.`
          : since
            ? `No readings since the latest change (${EVENT_NAMES[since.kind]}, ${format(timeOf(since), 'd MMMM yyyy')}).`
            : 'No readings to compare yet.'}{' '}
        Read each drop three times with only its gate open.
      </p>
    );
  }
  if (report.places === 1 && !report.verdict.isWrong) {
    return (
      <p className="max-w-prose text-[17px]">
        One drop is not enough. Read another one to compare shortfalls.
      </p>
    );
  }
  return report.verdict.isWrong ? (
    <Wrong report={report} readings={readings} />
  ) : (
    <p className="max-w-prose text-[17px]">
      <strong className="font-semibold text-enough-text">● No significant difference.</strong> The
      readings at {report.places} {report.places === 1 ? 'place' : 'places'} agree with the model
      within their uncertainty.
      {report.couldShow !== null &&
        ` A shortfall common to all of about ${percentOf(report.couldShow)} would have been visible.`}
    </p>
  );
}

function Wrong({
  report: { verdict, began, suspects },
  readings,
}: {
  readonly report: LeakReport;
  readonly readings: Leaks['readings'];
}) {
  const system = useUnits();
  const names = usePlaceNames();
  const [first, ...others] = verdict.among;
  if (!first) return null;
  if (verdict.two?.isLikely) return <Two two={verdict.two} />;
  const [likeliest] = first.suspects;
  const key = keyOfFault(likeliest.fault);
  const air = suspects.find(({ fault }) => keyOfFault(fault) === key)?.air;
  const before =
    began === null
      ? undefined
      : readings
          .filter((reading) => timeOf(reading) < Date.parse(began))
          .sort((a, b) => timeOf(b) - timeOf(a))[0];
  const rest = others
    .slice(0, MOST_NAMED)
    .map(({ place, probability }) => `${placeName(place, names)} (${percentOf(probability)})`);
  const left = others.length - rest.length;
  return (
    <div className="max-w-prose text-[17px]">
      <p>
        <strong className="font-semibold text-starved-text">
          ▼ The readings point to {placeName(first.place, names)}.
        </strong>{' '}
        Most likely it is {faultName(likeliest.fault)}, {faultAmount(likeliest, system)}
        {air && `, which draws in about ${formatQuantity(air.median, 'flow', system)}`}.
        {before &&
          began !== null &&
          ` It began between ${format(timeOf(before), 'd MMMM')} and ${format(Date.parse(began), 'd MMMM yyyy')}.`}
      </p>
      {rest.length > 0 && (
        <p className="mt-1 text-[15px] text-quiet">
          These readings cannot tell it apart ({percentOf(first.probability)}) from {anyOf(rest)}
          {left > 0 && `, or ${left} more`}.
        </p>
      )}
    </div>
  );
}

/** Two faults at once, the likeliest pair. */
function Two({ two }: { readonly two: TwoAtOnce }) {
  const system = useUnits();
  const names = usePlaceNames();
  const [first] = two.pairs;
  if (!first) return null;
  const described = first.faults.map(
    (suspect) =>
      `${faultName(suspect.fault)} (${placeName(placeOfFault(suspect.fault), names)}, ${faultAmount(suspect, system)})`,
  );
  return (
    <div className="max-w-prose text-[17px]">
      <p>
        <strong className="font-semibold text-starved-text">
          ▼ Two things seem to be wrong at once.
        </strong>{' '}
        No single fault explains these readings. The likeliest pair ({percentOf(first.probability)})
        is {described.join(' and ')}.
      </p>
    </div>
  );
}
