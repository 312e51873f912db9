'use client';

import type { Spot } from '@frank-gauge/core/room';
import { type PointerEvent, type ReactNode, useState } from 'react';
import { useDrawing } from './ducts/drawing-state';
import type { Ducts } from './ducts/use-ducts';
import type { PlanDrawing } from './plan-drawing';
import { selectTogether, useSelection } from './selection';
import type { Thing } from './use-standing';

interface Frame {
  readonly from: Spot;
  readonly to: Spot;
}

interface TakingFrame {
  /** For the drawing's own element. */
  readonly handlers: {
    readonly onPointerDown: (event: PointerEvent<SVGSVGElement>) => void;
    readonly onPointerMove: (event: PointerEvent<SVGSVGElement>) => void;
    readonly onPointerUp: () => void;
    readonly onPointerCancel: () => void;
  };
  readonly picture: ReactNode;
}

/** A frame drawn over the ground, with Shift or the tool that takes: all that lies within is taken. */
export function useTakingFrame(
  drawing: PlanDrawing,
  things: readonly Thing[],
  { drawn }: Ducts,
): TakingFrame {
  const [frame, setFrame] = useState<Frame | null>(null);
  const spotOf = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - box.x, y: event.clientY - box.y };
  };
  const stop = () => setFrame(null);
  const handlers: TakingFrame['handlers'] = {
    onPointerDown: (event) => {
      const isMeant = event.shiftKey || useDrawing.getState().tool === 'select';
      const isOnGround =
        event.target instanceof Element && event.target.closest('[role="button"]') === null;
      if (!isMeant || !isOnGround || event.button !== 0) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      const at = spotOf(event);
      setFrame({ from: at, to: at });
    },
    onPointerMove: (event) => {
      if (frame) setFrame({ ...frame, to: spotOf(event) });
    },
    onPointerUp: () => {
      if (!frame) return;
      const isWithin = within(frame);
      const all = (points: readonly Spot[]) => points.every((at) => isWithin(drawing.spot(at)));
      selectTogether([
        ...useSelection.getState().ids,
        ...things.filter(({ corners }) => all(corners)).map(({ id }) => id),
        ...drawn.filter(({ points }) => all(points)).map(({ run }) => run.id),
      ]);
      stop();
    },
    onPointerCancel: stop,
  };
  const picture = frame && (
    <rect
      x={Math.min(frame.from.x, frame.to.x)}
      y={Math.min(frame.from.y, frame.to.y)}
      width={Math.abs(frame.to.x - frame.from.x)}
      height={Math.abs(frame.to.y - frame.from.y)}
      fill="var(--ink)"
      fillOpacity={0.06}
      stroke="var(--ink)"
      strokeDasharray="5 3"
      className="pointer-events-none"
    />
  );
  return { handlers, picture };
}

function within({ from, to }: Frame): (spot: Spot) => boolean {
  const isBetween = (a: number, b: number, value: number) =>
    value >= Math.min(a, b) && value <= Math.max(a, b);
  return ({ x, y }) => isBetween(from.x, to.x, x) && isBetween(from.y, to.y, y);
}
