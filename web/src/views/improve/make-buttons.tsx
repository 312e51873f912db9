'use client';

import { useRouter } from 'next/navigation';
import { openShopId } from '@/storage/session';
import { Button } from '@/ui/button';
import { cautionOf } from '@/words/improvement-words';
import { useTray } from '../frame/tray-bar';
import { usePointIds } from '../parts/taking/use-point-ids';
import { makeAndLog, makeTray, type ToMake, tryOut } from './make-improvements';

interface Props {
  readonly toMake: ToMake;
  /** What the two buttons say. */
  readonly tryIt?: string;
  readonly didIt?: string;
  /** Tells them from others of the same words, to those who hear them. */
  readonly of?: string;
}

/** Puts improvements into the design, or a tray, or logs that they were made in the shop; with what to mind. */
export function MakeButtons({
  toMake,
  tryIt = 'Put it into the design',
  didIt = 'I did it, log it',
  of,
}: Props) {
  const pointOf = usePointIds();
  const router = useRouter();
  const tray = useTray();
  const named = (label: string) => (of === undefined ? {} : { 'aria-label': `${label}: ${of}` });
  const cautions = new Set(toMake.works.map(({ work }) => cautionOf(work)).filter(Boolean));
  return (
    <>
      {[...cautions].map((caution) => (
        <p key={caution} className="max-w-prose pt-1 text-[14px] text-quiet">
          {caution}
        </p>
      ))}
      <div className="flex flex-wrap gap-2 pt-1">
        <Button onClick={() => void tryOut(toMake)} {...named(tryIt)}>
          {tryIt}
        </Button>
        {tray === null && (
          <>
            <Button
              look="quiet"
              onClick={() =>
                void makeTray(toMake, openShopId()).then((id) => {
                  if (id) router.push(`/shop/${id}/improve/trays`);
                })
              }
              {...named('Try it in a tray')}
            >
              Try it in a tray
            </Button>
            <Button look="quiet" onClick={() => void makeAndLog(toMake, pointOf)} {...named(didIt)}>
              {didIt}
            </Button>
          </>
        )}
      </div>
    </>
  );
}
