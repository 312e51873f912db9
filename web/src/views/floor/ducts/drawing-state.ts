'use client';

import type { DuctEnd, Point3 } from '@frank-gauge/core/routing';
import { create } from 'zustand';

/** Where a duct that is being drawn began. */
export interface Begun {
  readonly end: DuctEnd;
  readonly at: Point3;
  /** Where the line goes on from: beside a port, where its pipe will rise. */
  readonly from: Point3;
  readonly name: string;
  /** The run, typed so far, that is being drawn. */
  readonly redraws?: string;
}

/** What a press on the plan does: open or move a thing, draw a duct, select things together. */
export type Tool = 'move' | 'draw' | 'select';

/** The duct that is being drawn, if any: no part of the document until it meets something. */
interface Drawing {
  readonly tool: Tool;
  readonly begun: Begun | null;
  readonly points: readonly Point3[];
  /** Height new points get, m; null: as ducts of this shop hang. */
  readonly height: number | null;
  /** Why the last try to end it did not. */
  readonly refusal: string | null;
}

const AT_REST: Drawing = { tool: 'move', begun: null, points: [], height: null, refusal: null };

export const useDrawing = create<Drawing>(() => AT_REST);

export function chooseTool(tool: Tool): void {
  useDrawing.setState({ tool, begun: null, points: [], refusal: null });
}

export function begin(begun: Begun | null): void {
  useDrawing.setState({ begun, points: [], refusal: null });
}

export function addPoint(point: Point3): void {
  useDrawing.setState(({ points }) => ({ points: [...points, point], refusal: null }));
}

/** Takes the last point back; with none left, the beginning. */
export function removeLast(): void {
  useDrawing.setState(({ points }) =>
    points.length > 0
      ? { points: points.slice(0, -1), refusal: null }
      : { begun: null, refusal: null },
  );
}

export function drawAt(height: number): void {
  useDrawing.setState({ height });
}

export function refuse(refusal: string): void {
  useDrawing.setState({ refusal });
}
