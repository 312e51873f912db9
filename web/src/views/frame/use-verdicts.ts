'use client';

import {
  type Drop,
  type DropVerdict,
  dropJudge,
  type GateAir,
  type GateRule,
} from '@frank-gauge/core';
import { useEffect, useMemo, useReducer, useRef } from 'react';
import { whenIdle } from '@/ui/when-idle';

/** A shop of no more drops than this is judged whole in the frame of the edit. */
const AT_ONCE = 12;
/** How long drops are judged at a stretch at most, ms: an edit that comes meanwhile waits so long. */
const STRETCH = 5;

/** What was judged last, and by whom: a judge judges one air. */
interface Judged {
  readonly judge: object;
  readonly verdict: DropVerdict;
}

/**
 * Every drop's verdict. In a shop of many drops the one that is looked at is judged in the frame of
 * the edit, the others as soon as the browser has nothing else to do, those that waited longest
 * first, each from its last solution. Until then they say what they said before.
 *
 * @param air a new one for every change of what the air depends on
 * @param looked the drop that is looked at
 */
export function useVerdicts(
  air: GateAir,
  rule: GateRule,
  looked: string | undefined,
): readonly DropVerdict[] {
  // In the order they were judged in.
  const kept = useRef<Map<string, Judged>>(new Map());
  const [turn, say] = useReducer((count: number) => count + 1, 0);
  const judge = useMemo(() => dropJudge(air, rule), [air, rule]);
  const { drops } = air.tree;
  const again = (drop: Drop) => {
    const old = kept.current.get(drop.id)?.verdict;
    const isAlike = old?.kind === 'judged' && old.drop.path.length === drop.path.length;
    const verdict = judge(drop, isAlike ? old.solution.state : undefined);
    kept.current.delete(drop.id);
    kept.current.set(drop.id, { judge, verdict });
  };
  const isStale = (drop: Drop) => kept.current.get(drop.id)?.judge !== judge;

  // biome-ignore lint/correctness/useExhaustiveDependencies: what is kept is asked anew by its judge and its turn
  const verdicts = useMemo(() => {
    const isSmall = drops.length <= AT_ONCE;
    for (const drop of drops) {
      const isNew = !kept.current.has(drop.id);
      if (isNew || ((isSmall || drop.id === looked) && isStale(drop))) again(drop);
    }
    return drops.flatMap((drop) => kept.current.get(drop.id)?.verdict ?? []);
  }, [judge, drops, looked, turn]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: what waits is what this judge has not judged yet
  useEffect(() => {
    const ids = [...kept.current.keys()];
    const waiting = drops.filter(isStale).toSorted((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id));
    if (waiting.length === 0) return;
    let stop = () => {};
    const goOn = (hasTime: () => boolean) => {
      const until = performance.now() + STRETCH;
      do {
        const drop = waiting.shift();
        if (drop) again(drop);
      } while (waiting.length > 0 && hasTime() && performance.now() < until);
      if (waiting.length === 0) say();
      else stop = whenIdle(goOn);
    };
    stop = whenIdle(goOn);
    return () => stop();
  }, [judge, drops]);
  return verdicts;
}
