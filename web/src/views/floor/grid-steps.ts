import { toSI } from '@frank-gauge/core/quantity';
import type { Point3 } from '@frank-gauge/core/routing';

/** Things and points of ducts snap to so much of a grid: three inches, or five centimetres. */
export const GRID = { us: toSI(3, 'in'), metric: 0.05 } as const;

export const snapTo = (grid: number, value: number): number => Math.round(value / grid) * grid;

/** The ways the keys move what has the focus. */
export const KEY_STEPS: Readonly<Record<string, Point3>> = {
  ArrowLeft: { x: -1, y: 0, z: 0 },
  ArrowRight: { x: 1, y: 0, z: 0 },
  ArrowUp: { x: 0, y: 1, z: 0 },
  ArrowDown: { x: 0, y: -1, z: 0 },
  PageUp: { x: 0, y: 0, z: 1 },
  PageDown: { x: 0, y: 0, z: -1 },
};
