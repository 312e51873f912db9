'use client';

import type { RouteProposal } from '@frank-gauge/core/improve';
import { formatShort } from '@frank-gauge/core/quantity';
import { type DuctLine, ductLines } from '@frank-gauge/core/routing';
import { useMemo } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { ROUTE_NAMES } from '@/words/route-words';
import { useGhost } from '../helpers/ghost';
import type { PlanDrawing } from '../plan-drawing';
import { pathThrough } from './duct-shapes';

/** A thin duct is still to be seen, px. */
const LEAST_WIDTH = 3;

/** The suggested ducts, as they would lie, over those there are: dashed edges, nothing within. */
export function GhostDucts({ drawing }: { readonly drawing: PlanDrawing }) {
  const shop = useDesign();
  const route = useGhost(({ ghost }) => ghost?.route);
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
  const path = pathThrough(line.points, drawing);
  return (
    <>
      <path d={path} stroke="var(--paper)" strokeWidth={width} strokeOpacity={0.55} />
      <path d={path} stroke="var(--air)" strokeWidth={width} strokeOpacity={0.3} />
      <path d={path} stroke="var(--ink)" strokeWidth={1.75} strokeDasharray="7 4" />
    </>
  );
}

/** Over the plan: what the ghost would bring, against what there is. */
export function GhostCaption() {
  const system = useUnits();
  const ghost = useGhost((state) => state.ghost);
  if (!ghost) return null;
  const { route, present } = ghost;
  const length = (score: RouteProposal['score']) => formatShort(score.length, 'length', system);
  return (
    <p
      role="status"
      className="pointer-events-none absolute top-0 left-0 max-w-full border border-ink bg-paper px-2 py-1 text-[14px]"
    >
      <strong className="font-semibold">Suggested: {ROUTE_NAMES[route.style]}</strong> (dashed, not
      in place yet). Worst drop {marginText(route.score)}
      {present && `, now ${marginText(present)}`}; {length(route.score)} of duct
      {present && `, now ${length(present)}`}.
    </p>
  );
}

/** A route's worst drop, with its airflow above or below what it needs. */
export function marginText({ worstDrop, worstMargin }: RouteProposal['score']): string {
  const percent = Math.round(100 * worstMargin);
  const sign = percent > 0 ? '+' : percent < 0 ? '−' : '';
  return `${worstDrop} ${sign}${Math.abs(percent)} %`;
}
