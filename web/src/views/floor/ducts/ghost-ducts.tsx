'use client';

import { worstDrop } from '@frank-gauge/core/analysis';
import type { RouteProposal, RouteStyle } from '@frank-gauge/core/improve';
import { formatShort } from '@frank-gauge/core/quantity';
import { type DuctLine, ductLines } from '@frank-gauge/core/routing';
import { useMemo } from 'react';
import { useDesign, useDropResults, useDuctTree, useUnits } from '@/model/use-design';
import { useGhost } from '../helpers/ghost';
import type { PlanDrawing } from '../plan-drawing';
import { pathThrough } from './duct-shapes';

/** A route as a list of suggestions calls it. */
export const ROUTE_NAMES: Readonly<Record<RouteStyle, string>> = {
  shortest: 'Least duct',
  walls: 'Along the walls',
  main: 'One straight main',
};

/** A thin duct is still to be seen, px. */
const LEAST_WIDTH = 3;

/** The suggested ducts, as they would lie, over those there are: dashed edges, nothing within. */
export function GhostDucts({ drawing }: { readonly drawing: PlanDrawing }) {
  const shop = useDesign();
  const route = useGhost((ghost) => ghost.route);
  const lines = useMemo(
    () => (route ? [...ductLines({ ...shop, ducts: route.ducts }).lines.values()] : []),
    [shop, route],
  );
  if (!route) return null;
  return (
    <g aria-hidden className="pointer-events-none" data-ghost={route.style} fill="none">
      {lines.map((line) => (
        <GhostDuct key={line.run.id} line={line} drawing={drawing} />
      ))}
    </g>
  );
}

interface GhostProps {
  readonly line: DuctLine;
  readonly drawing: PlanDrawing;
}

function GhostDuct({ line, drawing }: GhostProps) {
  const width = Math.max(LEAST_WIDTH, line.run.diameter * drawing.scale);
  const way = pathThrough(line.points, drawing);
  return (
    <>
      <path d={way} stroke="var(--paper)" strokeWidth={width} strokeOpacity={0.55} />
      <path d={way} stroke="var(--air)" strokeWidth={width} strokeOpacity={0.3} />
      <path d={way} stroke="var(--ink)" strokeWidth={1.75} strokeDasharray="7 4" />
    </>
  );
}

/** Over the plan: what the ghost would bring, against what there is. */
export function GhostCaption() {
  const system = useUnits();
  const tree = useDuctTree();
  const worst = worstDrop(useDropResults());
  const route = useGhost((ghost) => ghost.route);
  if (!route) return null;
  const length = tree.upstreamFirst.reduce(
    (sum, run) => sum + (run.length ?? 0) + (run.hose?.length ?? 0),
    0,
  );
  const now = worst && {
    drop: worst.drop.name,
    margin: worst.margin / worst.need,
  };
  return (
    <p
      role="status"
      className="pointer-events-none absolute top-0 left-0 max-w-full border border-ink bg-paper px-2 py-1 text-[14px]"
    >
      <strong className="font-semibold">Suggested: {ROUTE_NAMES[route.style]}</strong> (dashed, not
      in place yet). Worst drop {marginText(route.score)}
      {now && `, now ${percentText(now.drop, now.margin)}`};{' '}
      {formatShort(route.score.length, 'length', system)} of duct
      {length > 0 && `, now ${formatShort(length, 'length', system)}`}.
    </p>
  );
}

function percentText(drop: string, margin: number): string {
  const percent = Math.round(100 * margin);
  const sign = percent > 0 ? '+' : percent < 0 ? '−' : '';
  return `${drop} ${sign}${Math.abs(percent)} %`;
}

/** A route's worst drop, with its airflow above or below what it needs. */
export const marginText = ({ worstDrop: drop, worstMargin }: RouteProposal['score']): string =>
  percentText(drop, worstMargin);
