'use client';

import { gatesOpenNow, isDrawing, runsWithChips } from '@frank-gauge/core/analysis';
import { isStraight } from '@frank-gauge/core/catalogue';
import type { Run } from '@frank-gauge/core/design';
import {
  type DuctConflict,
  type DuctLine,
  type DuctLines,
  ductConflicts,
} from '@frank-gauge/core/routing';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctLines, useDuctTree, useSolution } from '@/model/use-design';
import { useRested } from '@/ui/use-rested';
import { FEW_MACHINES } from '../../frame/floor-conflicts';
import { type AirTone, airTone } from './air-tone';

export interface Ducts {
  readonly lines: DuctLines;
  /** Lowest first, so that what hangs higher is drawn over it. */
  readonly drawn: readonly DuctLine[];
  readonly conflicts: readonly DuctConflict[];
  /** As it lies: with the length, bends and angle the drawing gives it. */
  readonly derived: (run: string) => Run | undefined;
  /** Diameter of what a run goes straight on into, m; null: it branches into something. */
  readonly follows: (run: string) => number | null;
  readonly speed: (run: string) => number;
  /** How its air is drawn, with the gates open now. */
  readonly tone: (run: string) => AirTone;
}

function useComputed(): Ducts {
  const part = useDesign(airPart);
  const lines = useDuctLines();
  const tree = useDuctTree();
  const now = useSolution();
  const inlet = part.collector.separator.inletDiameter;
  const { rules } = part.shop;
  const still = useMemo(() => {
    const top = ({ points }: DuctLine) => Math.max(...points.map(({ z }) => z));
    const drawn = [...lines.lines.values()].sort((a, b) => top(a) - top(b));
    const byId = new Map(tree.upstreamFirst.map((run) => [run.id, run]));
    return {
      lines,
      drawn,
      derived: (run: string) => byId.get(run),
      follows: (run: string) => {
        const own = byId.get(run);
        if (!own || !isStraight(own.joins)) return null;
        return tree.outOf.get(own.to)?.diameter ?? inlet;
      },
    };
  }, [lines, tree, inlet]);
  const rested = useRested(part, part.machines.length <= FEW_MACHINES);
  const conflicts = useMemo(() => ductConflicts(rested), [rested]);
  return useMemo(() => {
    const speed = (run: string) => (now.kind === 'solved' ? now.airIn.velocityInto(run) : 0);
    const open = gatesOpenNow(tree);
    const drawing = tree.drops.filter((drop) => isDrawing(drop, open));
    const passed = new Set(drawing.flatMap(({ path }) => path.map(({ id }) => id)));
    const withChips = runsWithChips(drawing);
    const tone = (run: string) =>
      airTone(speed(run), rules, { isFineOnly: passed.has(run) && !withChips.has(run) });
    return { ...still, conflicts, speed, tone };
  }, [still, conflicts, now, tree, rules]);
}

const Context = createContext<Ducts | null>(null);

/** Computes once, for everything that shows the floor, where the ducts lie and what is wrong with them. */
export function DuctsProvider({ children }: { readonly children: ReactNode }) {
  return <Context value={useComputed()}>{children}</Context>;
}

/** The shop's ducts where they lie, and what is wrong with it. */
export function useDucts(): Ducts {
  const ducts = useContext(Context);
  if (!ducts) throw new Error('not on the floor');
  return ducts;
}
