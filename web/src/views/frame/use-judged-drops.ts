'use client';

import {
  type DropResult,
  dropJudge,
  type GateAir,
  type GateRule,
} from '@frank-gauge/core/analysis';
import { useEffect, useMemo, useReducer, useState } from 'react';
import { DropJudgements } from '@/model/drop-judgements';
import { whenIdle } from '@/ui/when-idle';

/** A shop of no more drops than this is judged whole in the frame of the edit. */
const AT_ONCE = 12;
/** How long drops are judged at a stretch at most, ms: an edit that comes meanwhile waits so long. */
const STRETCH = 5;

/**
 * Every drop's result. In a shop of many drops the one that is looked at is judged in the frame of
 * the edit, the others as soon as the browser has nothing else to do, those that waited longest
 * first, each from its last solution. Until then they say what they said before.
 *
 * @param air a new one for every change of what the air depends on
 * @param looked the drop that is looked at
 */
export function useJudgedDrops(
  air: GateAir,
  rule: GateRule,
  looked: string | undefined,
): readonly DropResult[] {
  const [judgements] = useState(() => new DropJudgements());
  const [turn, say] = useReducer((count: number) => count + 1, 0);
  const judge = useMemo(() => dropJudge(air, rule), [air, rule]);
  const { drops } = air.tree;

  // biome-ignore lint/correctness/useExhaustiveDependencies: with each turn more drops have been judged
  const results = useMemo(() => {
    const isSmall = drops.length <= AT_ONCE;
    return drops.map((drop) => {
      const last = isSmall || drop.id === looked ? null : judgements.last(drop);
      return last ?? judgements.judged(judge, drop);
    });
  }, [judgements, judge, drops, looked, turn]);

  useEffect(() => {
    const waiting = judgements.waiting(judge, drops);
    if (waiting.length === 0) return;
    let stop = () => {};
    const goOn = (hasTime: () => boolean) => {
      const until = performance.now() + STRETCH;
      do {
        const drop = waiting.shift();
        if (drop) judgements.judged(judge, drop);
      } while (waiting.length > 0 && hasTime() && performance.now() < until);
      if (waiting.length === 0) say();
      else stop = whenIdle(goOn);
    };
    stop = whenIdle(goOn);
    return () => stop();
  }, [judgements, judge, drops]);
  return results;
}
