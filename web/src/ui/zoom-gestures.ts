import { select } from 'd3-selection';
import { type D3ZoomEvent, zoom, zoomIdentity } from 'd3-zoom';

/** Nearer than the whole, and how near at most. */
const NEAREST = 16;

/** A drawing is shown `k` times as large as the whole, and moved by so many px. */
export interface ZoomTransform {
  readonly k: number;
  readonly x: number;
  readonly y: number;
}

export interface ZoomGestures {
  readonly scaleBy: (factor: number) => void;
  readonly fit: () => void;
  readonly detach: () => void;
}

/** Has a drawing looked at from nearer by wheel, by two fingers and by dragging its ground. */
export function zoomGestures(
  element: SVGSVGElement,
  onTransform: (transform: ZoomTransform) => void,
): ZoomGestures {
  const behaviour = zoom<SVGSVGElement, unknown>()
    .scaleExtent([1, NEAREST])
    .filter((event: Event) => isForZoom(event))
    .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => onTransform(transform));
  const selection = select(element);
  selection.call(behaviour).on('dblclick.zoom', null);
  return {
    scaleBy: (factor) => selection.call(behaviour.scaleBy, factor),
    fit: () => selection.call(behaviour.transform, zoomIdentity),
    detach: () => selection.on('.zoom', null),
  };
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
