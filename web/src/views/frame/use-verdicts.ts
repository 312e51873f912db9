'use client';

import {
  type Drop,
  type DropVerdict,
  type DuctTree,
  dropJudge,
  type GateRule,
  type Shop,
  type View,
} from '@frank-gauge/core';
import { useEffect, useMemo, useReducer, useRef } from 'react';

/** A shop of no more drops than this is judged whole in the frame of the edit. */
const AT_ONCE = 12;
/** Of a larger one, in the frame of an edit as many drops as fit in this, ms: a drag stays smooth. */
const BUDGET = 3;
/** The rest when no edit came for so long, ms, so many ms of them at a time. */
const PAUSE = 40;
const AFTER_PAUSE = 8;

/** What was judged last, and of which air. */
interface Judged {
  readonly air: object;
  readonly verdict: DropVerdict;
}

/**
 * Every drop's verdict. In a shop of many drops the one that is looked at is judged in the frame of
 * the edit and of the others a few, those that waited longest, each from its last solution; the rest
 * when the edits pause. Until then they say what they said before.
 *
 * @param air what the verdicts follow from: a new object for every change of it
 */
export function useVerdicts(
  shop: Shop,
  tree: DuctTree,
  view: View,
  rule: GateRule,
  looked: string | undefined,
  air: object,
): readonly DropVerdict[] {
  const kept = useRef<Map<string, Judged>>(new Map());
  const [turn, next] = useReducer((count: number) => count + 1, 0);
  const judge = useMemo(() => dropJudge(shop, tree, view, rule), [air, view, rule]);
  const lastTurn = useRef(0);
  const { verdicts, isDone } = useMemo(() => {
    const isTurn = turn !== lastTurn.current;
    lastTurn.current = turn;
    const before = kept.current;
    const after = new Map<string, Judged>();
    const isFresh = (drop: Drop) => before.get(drop.id)?.air === judge;
    const again = (drop: Drop): Judged => {
      const old = before.get(drop.id)?.verdict;
      const from =
        old?.kind === 'judged' && old.drop.path.length === drop.path.length
          ? old.solution.state
          : undefined;
      return { air: judge, verdict: judge(drop, from) };
    };
    const started = performance.now();
    const budget = isTurn ? AFTER_PAUSE : BUDGET;
    const isSmall = tree.drops.length <= AT_ONCE;
    // Those that waited longest come first: whoever was judged last stands last in the map.
    const order = [...before.keys()];
    const waiting = tree.drops.toSorted((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
    let isAll = true;
    const stale: [string, Judged][] = [];
    const fresh: [string, Judged][] = [];
    for (const drop of waiting) {
      const old = before.get(drop.id);
      if (old && isFresh(drop)) fresh.push([drop.id, old]);
      else if (!old || isSmall || drop.id === looked || performance.now() - started < budget) {
        fresh.push([drop.id, again(drop)]);
      } else {
        isAll = false;
        stale.push([drop.id, old]);
      }
    }
    for (const [id, judged] of [...stale, ...fresh]) after.set(id, judged);
    kept.current = after;
    const all = tree.drops.flatMap((drop) => after.get(drop.id)?.verdict ?? []);
    return { verdicts: all, isDone: isAll };
  }, [judge, tree, looked, turn]);
  useEffect(() => {
    if (isDone) return;
    const timer = setTimeout(next, PAUSE);
    return () => clearTimeout(timer);
  }, [isDone, verdicts]);
  return verdicts;
}
