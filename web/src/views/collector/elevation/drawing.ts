import type { Elevation } from '@frank-gauge/core/assembly';

/** Metres in the elevation to pixels of the drawing, one scale both ways. */
export interface Drawing {
  readonly x: (metres: number) => number;
  readonly z: (metres: number) => number;
  readonly length: (metres: number) => number;
  readonly scale: number;
  /** Metres at the edges. */
  readonly left: number;
  readonly right: number;
  readonly top: number;
}

/** Pixels kept for dimensions and what is written around. */
const MARGIN = { left: 74, right: 78, top: 26, bottom: 46 } as const;
/** Of the outdoors as much is in sight, m. */
const OUTSIDE = 0.35;
/** Air beside and above what is drawn, m. */
const AIR = { left: 0.34, right: 0.12, top: 0.12 } as const;

/** Fits an elevation into a drawing of so many pixels, floor at the bottom, the ceiling in sight. */
export function drawingOf(
  { placed, joints, ceiling, outsideX }: Elevation,
  width: number,
  height: number,
): Drawing {
  const xs = [
    ...placed.flatMap(({ x0, x1 }) => [x0, x1]),
    ...joints.flatMap(({ points }) => points.map(({ x }) => x)),
    ...(outsideX === null ? [] : [outsideX + OUTSIDE]),
  ];
  const zs = [
    ...placed.map(({ z1 }) => z1),
    ...joints.flatMap(({ points, diameter }) => points.map(({ z }) => z + diameter / 2)),
    ceiling ?? 0,
  ];
  const left = Math.min(...xs) - AIR.left;
  const right = Math.max(...xs) + AIR.right;
  const top = Math.max(...zs) + AIR.top;
  const scale = Math.max(
    1,
    Math.min(
      (width - MARGIN.left - MARGIN.right) / (right - left),
      (height - MARGIN.top - MARGIN.bottom) / top,
    ),
  );
  // What is narrower than the room it has stands in its middle.
  const spare = width - MARGIN.left - MARGIN.right - scale * (right - left);
  const x0 = MARGIN.left + Math.max(0, spare) / 2;
  return {
    x: (metres) => x0 + scale * (metres - left),
    z: (metres) => height - MARGIN.bottom - scale * metres,
    length: (metres) => scale * metres,
    scale,
    left,
    right,
    top,
  };
}
