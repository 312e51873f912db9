'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { ZoomGestures, ZoomTransform } from './zoom-gestures';

const WHOLE: ZoomTransform = { k: 1, x: 0, y: 0 };

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
 * dragged for another reason says so by `data-held`. What does it loads once the drawing is there.
 */
export function useZoom(): Zoom {
  const [transform, setTransform] = useState(WHOLE);
  const [element, setElement] = useState<SVGSVGElement | null>(null);
  const gestures = useRef<ZoomGestures | null>(null);
  useEffect(() => {
    if (!element) return;
    let isGone = false;
    void import('./zoom-gestures').then(({ zoomGestures }) => {
      if (!isGone) gestures.current = zoomGestures(element, setTransform);
    });
    return () => {
      isGone = true;
      gestures.current?.detach();
      gestures.current = null;
    };
  }, [element]);
  return useMemo(
    () => ({
      ref: setElement,
      transform,
      nearer: () => gestures.current?.scaleBy(1.5),
      farther: () => gestures.current?.scaleBy(1 / 1.5),
      fit: () => gestures.current?.fit(),
    }),
    [transform],
  );
}
