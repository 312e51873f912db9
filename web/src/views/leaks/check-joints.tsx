'use client';

import { type JointKind, jointsToCheck, type LeakReport } from '@frank-gauge/core/inference';
import { formatShort } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useDuctLines, useDuctTree, useUnits } from '@/model/use-design';
import { usePlaceNames } from '../parts/leaks/use-place-names';

/** So many are named: those after them are hardly worth a ladder. */
const MOST_NAMED = 6;

/** What the joints of a kind are called: one, and several. */
const JOINT_WORDS: Readonly<Record<JointKind, readonly [string, string]>> = {
  hose: ['where the hose is clamped on', 'where the hose is clamped on'],
  gate: ['both sides of the gate', 'both sides of the gate'],
  wye: ['the joint behind its wye', 'the joint behind its wye'],
  fittings: ['the ends of its elbows and fittings', 'the ends of its elbows and fittings'],
  pipe: ['the pipe’s seam', 'the joints and the seam of its pipe'],
};

/** Joints where an opening may be, in the order worth going over them with smoke, a hand or soap. */
export function CheckJoints({ report: { verdict } }: { readonly report: LeakReport }) {
  const tree = useDuctTree();
  const lines = useDuctLines();
  const system = useUnits();
  const names = usePlaceNames();
  const joints = useMemo(() => {
    const openings = verdict.among.flatMap(({ suspects }) => suspects);
    return jointsToCheck(tree, openings, (run) => {
      const points = lines.lines.get(run)?.points;
      const [from, to] = [points?.[0], points?.at(-1)];
      return from && to ? { from: from.z, to: to.z } : null;
    }).slice(0, MOST_NAMED);
  }, [tree, lines, verdict]);
  if (joints.length === 0) return null;
  return (
    <section aria-label="Check these joints" className="pt-5">
      <h2 className="text-[18px]">Check these joints, in this order</h2>
      <p className="text-[14px] text-quiet">
        With the gates shut and the blower on, by smoke, a damp hand or soap. Never a flame near
        dust; hands away from the impeller; on a ladder keep one hand for yourself.
      </p>
      <ol className="border-rule border-t">
        {joints.map(({ run, kind, count, height }, i) => (
          <li key={`${run} ${kind}`} className="flex gap-2 border-rule border-b py-1">
            <span className="w-5 shrink-0 text-right font-figure text-quiet">{i + 1}</span>
            <span>
              <span className="font-semibold">{names.run(run)}</span>:{' '}
              {JOINT_WORDS[kind][count === 1 ? 0 : 1]}
              {height !== null && (
                <span className="text-quiet">, {formatShort(height, 'length', system)} up</span>
              )}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
