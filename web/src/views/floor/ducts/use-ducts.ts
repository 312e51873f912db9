'use client';

import {
  type DuctConflict,
  type DuctLine,
  type DuctLines,
  ductConflicts,
  ductLines,
  type Run,
} from '@frank-gauge/core';
import { useMemo } from 'react';
import { useSolvedShop } from '../../frame/solved-shop';

export interface Ducts {
  readonly lines: DuctLines;
  /** Lowest first, so that what hangs higher is drawn over it. */
  readonly drawn: readonly DuctLine[];
  readonly conflicts: readonly DuctConflict[];
  /** As it lies: with the length, bends and angle the drawing gives it. */
  readonly laid: (run: string) => Run | undefined;
  readonly speed: (run: string) => number;
}

/** The shop's ducts where they lie, and what is wrong with it. */
export function useDucts(): Ducts {
  const { shop, tree, now } = useSolvedShop();
  const { room, machines, collector, ducts } = shop;
  const still = useMemo(() => {
    const lines = ductLines(shop);
    const top = ({ points }: DuctLine) => Math.max(...points.map(({ z }) => z));
    const drawn = [...lines.lines.values()].sort((a, b) => top(a) - top(b));
    const byId = new Map(tree.upstreamFirst.map((run) => [run.id, run]));
    return {
      lines,
      drawn,
      conflicts: ductConflicts(shop, lines),
      laid: (run: string) => byId.get(run),
    };
  }, [room, machines, collector, ducts, tree]);
  const speed = (run: string) => (now.kind === 'solved' ? now.airIn.velocityInto(run) : 0);
  return { ...still, speed };
}
