'use client';

import { jointsInPieces } from '@frank-gauge/core/build';
import { jointsToCheck, type LeakReport } from '@frank-gauge/core/inference';
import { formatShort } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useDesign, useDuctLines, useDuctTree, useUnits } from '@/model/use-design';
import { chooseTight, useChoices } from '@/storage/choices';
import { Button } from '@/ui/button';
import { jointWords } from '@/words/joint-words';
import { usePlaceNames } from '../parts/leaks/use-place-names';

/** So many are named: those after them are hardly worth a ladder. */
const MOST_NAMED = 6;
const NONE: readonly string[] = [];

/** Joints where an opening may be, in the order worth going over them with smoke, a hand or soap. */
export function CheckJoints({ report: { verdict } }: { readonly report: LeakReport }) {
  const tree = useDuctTree();
  const lines = useDuctLines();
  const system = useUnits();
  const names = usePlaceNames();
  const design = useDesign();
  const shop = design.id;
  const tight = useChoices((choices) => choices.tight[shop] ?? NONE);
  const pipeJoints = useMemo(() => jointsInPieces(design, tree), [design, tree]);
  const { left, found } = useMemo(() => {
    const openings = verdict.among.flatMap(({ suspects }) => suspects);
    const known = new Set(tight);
    const pointsOf = (run: string) => lines.lines.get(run)?.points ?? null;
    const pipeJointsOf = (run: string) => pipeJoints.get(run) ?? null;
    const joints = jointsToCheck(tree, openings, pointsOf, known, pipeJointsOf);
    return {
      left: joints.filter(({ id }) => !known.has(id)).slice(0, MOST_NAMED),
      found: joints.filter(({ id }) => known.has(id)),
    };
  }, [tree, lines, pipeJoints, verdict, tight]);
  if (left.length + found.length === 0) return null;
  return (
    <section aria-label="Check these joints" className="pt-5">
      <h2 className="text-[18px]">Check these joints, in this order</h2>
      <p className="text-[14px] text-quiet">
        With the gates shut and the blower on, by smoke, a damp hand or soap. Never a flame near
        dust; hands away from the impeller; on a ladder keep one hand for yourself.
      </p>
      {left.length === 0 && (
        <p className="pt-1">
          Every joint here was tight. Take another reading, or go over them once more: a hand misses
          an opening now and then.
        </p>
      )}
      <ol className="border-rule border-t">
        {left.map(({ id, run, at, height }, i) => (
          <li key={id} className="flex items-center gap-2 border-rule border-b py-1">
            <span className="w-5 shrink-0 text-right font-figure text-quiet">{i + 1}</span>
            <span>
              <span className="font-semibold">{names.run(run)}</span>: {jointWords(at, system)}
              {height !== null && (
                <span className="text-quiet">, {formatShort(height, 'length', system)} up</span>
              )}
            </span>
            <Button
              look="quiet"
              className="ml-auto shrink-0"
              aria-label={`Tight: ${names.run(run)}, ${jointWords(at, system)}`}
              onClick={() => chooseTight(shop, [...tight, id])}
            >
              Tight
            </Button>
          </li>
        ))}
      </ol>
      {found.length > 0 && (
        <p className="flex items-center gap-2 pt-1 text-[14px] text-quiet">
          {found.length === 1 ? 'One was tight.' : `${found.length} were tight.`}
          <Button look="quiet" onClick={() => chooseTight(shop, [])}>
            Check them again
          </Button>
        </p>
      )}
    </section>
  );
}
