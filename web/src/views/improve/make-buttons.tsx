'use client';

import { Button } from '@/ui/button';
import { usePointIds } from '../parts/taking/use-point-ids';
import { makeAndLog, type ToMake, tryOut } from './make-improvements';

interface Props {
  readonly toMake: ToMake;
  /** What the two buttons say. */
  readonly tryIt?: string;
  readonly didIt?: string;
  /** Tells them from others of the same words, to those who hear them. */
  readonly of?: string;
}

/** Puts improvements into the design, or logs that they were made in the shop. */
export function MakeButtons({
  toMake,
  tryIt = 'Put it into the design',
  didIt = 'I did it, log it',
  of,
}: Props) {
  const pointOf = usePointIds();
  const named = (label: string) => (of === undefined ? {} : { 'aria-label': `${label}: ${of}` });
  return (
    <div className="flex flex-wrap gap-2 pt-1">
      <Button onClick={() => void tryOut(toMake)} {...named(tryIt)}>
        {tryIt}
      </Button>
      <Button look="quiet" onClick={() => void makeAndLog(toMake, pointOf)} {...named(didIt)}>
        {didIt}
      </Button>
    </div>
  );
}
