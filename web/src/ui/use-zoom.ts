'use client';

import { select } from 'd3-selection';
import {
  type D3ZoomEvent,
  type ZoomBehavior,
  type ZoomTransform,
  zoom,
  zoomIdentity,
} from 'd3-zoom';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

/** Nearer than the whole, and how near at most. */
const NEAREST = 16;

export interface Zoom {
  /** For the drawing's own element. */
  readonly ref: (element: SVGSVGElement | null) => void;
  readonly transform: ZoomTransform;
  readonly nearer: () => void;
  readonly farther: () => void;
  readonly fit: () => void;
}

/**
 * Lets a drawing be looked at from nearer: by wheel, by two fingers, by dragging its ground. What is
 * dragged for another reason says so by `data-held`.
 */
export function useZoom(): Zoom {
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const [element, setElement] = useState<SVGSVGElement | null>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  useEffect(() => {
    if (!element) return;
    const own = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, NEAREST])
      .filter((event: Event) => isForZoom(event))
      .on('zoom', (event: D3ZoomEvent<SVGSVGElement, unknown>) => setTransform(event.transform));
    behaviour.current = own;
    const selection = select(element);
    selection.call(own).on('dblclick.zoom', null);
    return () => {
      selection.on('.zoom', null);
    };
  }, [element]);
  const by = useCallback(
    (factor: number) => {
      if (element && behaviour.current) select(element).call(behaviour.current.scaleBy, factor);
    },
    [element],
  );
  return useMemo(
    () => ({
      ref: setElement,
      transform,
      nearer: () => by(1.5),
      farther: () => by(1 / 1.5),
      fit: () => {
        if (element && behaviour.current) {
          select(element).call(behaviour.current.transform, zoomIdentity);
        }
      },
    }),
    [transform, by, element],
  );
}

/** The wheel, two fingers, and a drag that begins on the ground, without Shift. */
function isForZoom(event: Event): boolean {
  if (event.type === 'wheel') return true;
  const touches = 'touches' in event ? (event as TouchEvent).touches.length : 0;
  if (touches > 1) return true;
  const { target } = event;
  if ('shiftKey' in event && (event as MouseEvent).shiftKey) return false;
  const isHeld =
    target instanceof Element && target.closest('[role="button"], [data-held]') !== null;
  return !isHeld && !('button' in event && (event as MouseEvent).button !== 0);
}
