import type { Point3 } from '@frank-gauge/core/routing';

/** The ways the keys move what has the focus. */
export const KEY_STEPS: Readonly<Record<string, Point3>> = {
  ArrowLeft: { x: -1, y: 0, z: 0 },
  ArrowRight: { x: 1, y: 0, z: 0 },
  ArrowUp: { x: 0, y: 1, z: 0 },
  ArrowDown: { x: 0, y: -1, z: 0 },
  PageUp: { x: 0, y: 0, z: 1 },
  PageDown: { x: 0, y: 0, z: -1 },
};
