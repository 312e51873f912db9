'use client';

import {
  believeFault,
  canBeBelieved,
  keyOfFault,
  keyOfPlace,
  type LeakReport,
  type ReportedSuspect,
  type Suspect,
  type SuspectedPlace,
} from '@frank-gauge/core/inference';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { toast } from 'sonner';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { faultAmount, faultName, howToConfirm, percentOf, placeName } from '@/words/fault-words';
import { undoAction } from '../frame/undo-aloud';
import { usePlaceNames } from '../parts/leaks/use-place-names';

/** Drops whose losses are listed with a suspect. */
const DROPS_SHOWN = 4;

/** The places that what is wrong is at nine times in ten, with what would confirm each. */
export function SuspectList({
  report,
  oldest,
}: {
  readonly report: LeakReport;
  /** When the oldest reading that counts was taken. */
  readonly oldest: string;
}) {
  const { among, two } = report.verdict;
  const areTwo = two?.isLikely === true;
  return (
    <section aria-label="Suspects" className="pt-5">
      <h2 className="text-[18px]">Suspects</h2>
      <p className="text-[14px] text-quiet">
        {areTwo
          ? 'Two of these, each with how likely it is one of the two.'
          : among.length === 1
            ? 'Nine times in ten it is here.'
            : `Nine times in ten it is one of these ${among.length}.`}
      </p>
      <ol className="border-rule border-t">
        {among.map((place, i) => (
          <Suspected
            key={keyOfPlace(place.place)}
            place={place}
            suspects={report.suspects}
            began={report.began ?? oldest}
            isFirst={i === 0}
          />
        ))}
      </ol>
    </section>
  );
}

interface Props {
  readonly place: SuspectedPlace;
  readonly suspects: readonly ReportedSuspect[];
  readonly isFirst: boolean;
  /** When it began, at the latest. */
  readonly began: string;
}

function Suspected({ place, suspects, isFirst, began }: Props) {
  const names = usePlaceNames();
  const system = useUnits();
  const shop = useDesign();
  const name = placeName(place.place, names);
  const [likeliest, ...others] = place.suspects;
  const key = keyOfFault(likeliest.fault);
  const own = suspects.find(({ fault }) => keyOfFault(fault) === key);
  return (
    <li className="border-rule border-b">
      <details open={isFirst} className="group py-1.5">
        <summary className="flex min-h-11 cursor-pointer items-baseline gap-2 md:min-h-7">
          <span className="font-semibold">{name}</span>
          <span className="ml-auto font-figure text-[17px] tabular-nums">
            {percentOf(place.probability)}
          </span>
        </summary>
        <p>
          Most likely {faultName(likeliest.fault)}, {faultAmount(likeliest, system)}
          {own?.air &&
            `, drawing in ${formatQuantity(own.air.low, 'flow', system)} to ${formatQuantity(own.air.high, 'flow', system)}`}
          .
          {others.length > 0 &&
            ` It might also be ${others.map(({ fault }) => faultName(fault)).join(', or ')}.`}
        </p>
        {own && own.losses.length > 0 && <Losses losses={own.losses} />}
        <p className="pt-1 text-quiet">{howToConfirm(likeliest.fault)}</p>
        {canBeBelieved(likeliest.fault, shop) && (
          <Button look="quiet" className="mt-1" onClick={() => believe(likeliest, name, began)}>
            Believe it, and predict with it
          </Button>
        )}
      </details>
    </li>
  );
}

/** Puts a suspect into the shop as found, from when it began on. */
function believe(suspect: Suspect, name: string, on: string): void {
  const { fault } = suspect;
  edit(`believe ${faultName(fault)}, ${name}`, (shop) => believeFault(shop, suspect, on));
  toast(`Believed: ${faultName(fault)}, ${name}`, {
    action: undoAction(),
  });
}

/** What the drops would get without it. */
function Losses({ losses }: Pick<ReportedSuspect, 'losses'>) {
  const { drops } = useDuctTree();
  const system = useUnits();
  return (
    <ul className="pt-1 text-[14px]">
      {losses.slice(0, DROPS_SHOWN).map((loss) => (
        <li key={loss.drop} className="flex gap-2">
          <span>{drops.find(({ id }) => id === loss.drop)?.name ?? loss.drop}</span>
          <span className="ml-auto font-figure tabular-nums">
            −{formatQuantity(loss.without - loss.with, 'flow', system)} of{' '}
            {formatQuantity(loss.without, 'flow', system)}
          </span>
        </li>
      ))}
    </ul>
  );
}
