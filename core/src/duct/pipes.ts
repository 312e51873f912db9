import type { PipeId } from '../catalogue/ids';
import type { Origin } from '../quantity/origin';
import type { PowerFitId } from './power-fit';

export interface Size {
  /** What the counter calls it. */
  readonly nominal: string;
  /** True inside diameter, m. */
  readonly inside: number;
  /** True outside diameter, m. */
  readonly outside: number;
}

export interface Pipe {
  readonly name: string;
  /** For narrow columns. */
  readonly short: string;
  /** Absolute roughness ε, m. */
  readonly roughness: number;
  readonly origin: Origin;
  readonly source: string;
  readonly sizes: readonly Size[];
  /** Which of the handbook's power fits it goes by. */
  readonly fit: PowerFitId;
}

const INCH = 0.0254;

/** A plastic pipe by its standard's outside diameter and wall, both in inches. */
const plastic = (nominal: string, outside: number, wall: number): Size => ({
  nominal,
  inside: (outside - 2 * wall) * INCH,
  outside: outside * INCH,
});

/** Sheet of round metal duct, m: 24 to 26 gauge, an estimate, to be measured. */
const SHEET = 0.6e-3;

/** Metal duct is named by its inside, in inches. */
const byInside = (...inches: number[]): Size[] =>
  inches.map((inch) => ({
    nominal: `${inch} in.`,
    inside: inch * INCH,
    outside: inch * INCH + 2 * SHEET,
  }));

const byMillimetres = (...sizes: number[]): Size[] =>
  sizes.map((size) => ({
    nominal: `${size} mm`,
    inside: size / 1000,
    outside: size / 1000 + 2 * SHEET,
  }));

/** Wall of ventilation plastic, mm: an estimate, to be measured. */
const VENTILATION_WALL = 1.5;

const ASHRAE = 'ASHRAE Fundamentals, duct design, roughness table (from memory)';

/**
 * The pipes a small shop builds from. Sizes of plastic pipe: ASTM D2729, D3034 SDR 35 and D1785
 * schedule 40, outside diameter × wall (from memory).
 */
export const PIPES = {
  galvanised: {
    name: 'Galvanized, spiral',
    short: 'Galv.',
    fit: 'galvanised',
    roughness: 0.09e-3,
    origin: 'standard',
    source: `${ASHRAE}: spiral seam`,
    sizes: byInside(3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16),
  },
  snapLock: {
    name: 'Galvanized, snap-lock',
    short: 'Snap',
    fit: 'galvanised',
    roughness: 0.09e-3,
    origin: 'standard',
    source: `${ASHRAE}: longitudinal seam`,
    sizes: byInside(3, 4, 5, 6, 7, 8, 10, 12),
  },
  spiralMetric: {
    name: 'Galvanized, spiral, metric',
    short: 'Spiral',
    fit: 'galvanised',
    roughness: 0.09e-3,
    origin: 'standard',
    source: `${ASHRAE}: spiral seam; sizes EN 1506 (from memory), named by their inside`,
    sizes: byMillimetres(80, 100, 125, 150, 160, 180, 200, 250, 315),
  },
  drain: {
    name: 'Drain plastic, thin',
    short: 'Drain',
    fit: 'smooth',
    roughness: 0.03e-3,
    origin: 'standard',
    source: `${ASHRAE}: smooth; sizes ASTM D2729 (from memory)`,
    sizes: [plastic('4 in.', 4.215, 0.075), plastic('6 in.', 6.275, 0.1)],
  },
  sewer: {
    name: 'Sewer plastic, SDR 35',
    short: 'Sewer',
    fit: 'smooth',
    roughness: 0.03e-3,
    origin: 'standard',
    source: `${ASHRAE}: smooth; sizes ASTM D3034 (from memory)`,
    sizes: [plastic('4 in.', 4.215, 0.12), plastic('6 in.', 6.275, 0.18)],
  },
  schedule40: {
    name: 'Schedule 40 plastic',
    short: 'Sch. 40',
    fit: 'smooth',
    roughness: 0.03e-3,
    origin: 'standard',
    source: `${ASHRAE}: smooth; sizes ASTM D1785 (from memory)`,
    sizes: [plastic('4 in.', 4.5, 0.237), plastic('6 in.', 6.625, 0.28)],
  },
  ventilation: {
    name: 'Ventilation plastic, metric',
    short: 'Vent.',
    fit: 'smooth',
    roughness: 0.03e-3,
    origin: 'standard',
    source: `${ASHRAE}: smooth; named by the outside of its spigots, walls of about 1.5 mm, an estimate`,
    sizes: [100, 125, 150].map((outside) => ({
      nominal: `${outside} mm`,
      inside: (outside - 2 * VENTILATION_WALL) / 1000,
      outside: outside / 1000,
    })),
  },
  aluminium: {
    name: 'Aluminum, drawn',
    short: 'Alum.',
    fit: 'smooth',
    roughness: 0.03e-3,
    origin: 'standard',
    source: `${ASHRAE}: smooth`,
    sizes: byInside(3, 4, 5, 6),
  },
  average: {
    name: 'Other, average',
    short: 'Other',
    fit: 'galvanised',
    roughness: 0.15e-3,
    origin: 'standard',
    source: `${ASHRAE}: average`,
    sizes: byInside(3, 4, 5, 6, 7, 8),
  },
} as const satisfies Record<PipeId, Pipe>;

/** Two true diameters nearer than this are one size, m. */
const SAME_SIZE = 0.5e-3;

/** The catalogue's size of this true inside diameter (m); null: it is sold in no such size. */
export const sizeOf = (pipe: PipeId, inside: number): Size | null =>
  PIPES[pipe].sizes.find((size) => Math.abs(size.inside - inside) <= SAME_SIZE) ?? null;

/**
 * True outside diameter of a pipe of `inside` m: its size's, or with the wall of the nearest size.
 * @example pipeOutside('drain', 0.10325) // 0.10706: 4.215 in.
 */
export function pipeOutside(pipe: PipeId, inside: number): number {
  const known = sizeOf(pipe, inside);
  if (known) return known.outside;
  const sizes: readonly Size[] = PIPES[pipe].sizes;
  const nearest = sizes.reduce<Size | null>(
    (best, size) =>
      best && Math.abs(best.inside - inside) <= Math.abs(size.inside - inside) ? best : size,
    null,
  );
  return inside + (nearest ? nearest.outside - nearest.inside : 2 * SHEET);
}
