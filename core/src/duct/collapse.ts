import type { PipeId } from '../catalogue/ids';
import { lookUp, type Table } from '../quantity/look-up';
import { toSI } from '../quantity/units';
import { pipeOutside } from './pipes';

/** What a wall is made of: Young's modulus in Pa, Poisson's ratio, and the bending stress it bears, Pa. */
export interface WallMaterial {
  readonly name: string;
  readonly modulus: number;
  readonly poisson: number;
  readonly strength: number;
}

/**
 * Materials of pipes and drums. Plastic pipe: PVC of 400,000 psi (ASTM D1784 cell class, from memory);
 * steel and aluminium as in any handbook (from memory); the rest and every strength are estimates.
 */
export const WALL_MATERIALS = {
  plasticPipe: { name: 'PVC', modulus: 2.758e9, poisson: 0.38, strength: 40e6 },
  steel: { name: 'Sheet steel', modulus: 200e9, poisson: 0.3, strength: 200e6 },
  aluminium: { name: 'Aluminum', modulus: 69e9, poisson: 0.33, strength: 100e6 },
  softPlastic: { name: 'Polyethylene', modulus: 0.8e9, poisson: 0.42, strength: 15e6 },
  fibre: { name: 'Fiber drum board', modulus: 2e9, poisson: 0.3, strength: 15e6 },
  plywood: { name: 'Plywood', modulus: 7e9, poisson: 0.3, strength: 20e6 },
} as const satisfies Record<string, WallMaterial>;

/** Which material each pipe of the catalogue is of. */
const PIPE_MATERIALS: Readonly<Record<PipeId, WallMaterial>> = {
  galvanised: WALL_MATERIALS.steel,
  snapLock: WALL_MATERIALS.steel,
  spiralMetric: WALL_MATERIALS.steel,
  drain: WALL_MATERIALS.plasticPipe,
  sewer: WALL_MATERIALS.plasticPipe,
  schedule40: WALL_MATERIALS.plasticPipe,
  ventilation: WALL_MATERIALS.plasticPipe,
  aluminium: WALL_MATERIALS.aluminium,
  average: WALL_MATERIALS.steel,
};

/**
 * Pressure difference at which a long thin pipe collapses, Pa: 2E/(1 − ν²)·(t/D)³ (Bresse; standard
 * texts, from memory). It holds for a true round; a dent makes it less.
 * @param outside m
 * @param wall m
 * @example tubeCollapse(WALL_MATERIALS.plasticPipe, 0.10706, 0.001905) // 36.3 kPa, 146 in. w.g.
 */
export const tubeCollapse = (
  { modulus, poisson }: WallMaterial,
  outside: number,
  wall: number,
): number => ((2 * modulus) / (1 - poisson ** 2)) * (wall / outside) ** 3;

/**
 * Pressure difference at which a catalogue's pipe of true `inside` m collapses, Pa. Metal duct is taken
 * with the sheet its sizes are listed with, an estimate.
 */
export function pipeCollapse(pipe: PipeId, inside: number): number {
  const outside = pipeOutside(pipe, inside);
  return tubeCollapse(PIPE_MATERIALS[pipe], outside, (outside - inside) / 2);
}

/**
 * Pressure difference at which a round drum with stiff ends buckles inward, Pa:
 * 2.42·E/(1 − ν²)^0.75·(t/D)^2.5/(L/D − 0.45·√(t/D)) (Windenburg and Trilling 1934, from memory).
 * @param diameter m
 * @param height between its ends, m
 * @param wall m
 */
export function drumCollapse(
  { modulus, poisson }: WallMaterial,
  diameter: number,
  height: number,
  wall: number,
): number {
  const thin = wall / diameter;
  const slender = Math.max(height / diameter - 0.45 * Math.sqrt(thin), 1e-3);
  const short = ((2.42 * modulus) / (1 - poisson ** 2) ** 0.75) * (thin ** 2.5 / slender);
  return Math.max(short, tubeCollapse({ name: '', modulus, poisson, strength: 0 }, diameter, wall));
}

/** Bending of a flat panel held at its edges, by its long side over its short one (Roark, from memory). */
const PANEL_BENDING: Table = [
  [1, 0.2874],
  [1.2, 0.3762],
  [1.4, 0.453],
  [1.6, 0.5172],
  [1.8, 0.5688],
  [2, 0.6102],
  [3, 0.7134],
  [5, 0.75],
];

/**
 * Pressure difference a flat side stands before it is bent for good, Pa: its strength × t²/(β·b²), held
 * simply at four edges. A thin side bows long before that.
 * @param long m
 * @param short m
 * @param wall m
 */
export function panelPressure(
  { strength }: WallMaterial,
  long: number,
  short: number,
  wall: number,
): number {
  const [a, b] = long >= short ? [long, short] : [short, long];
  return (strength * wall ** 2) / (lookUp(PANEL_BENDING, a / b) * b ** 2);
}

/** Walls bins are met with, by shape. Common practice, no source. */
const BIN_WALLS = {
  round: [
    { name: 'steel drum, 0.9 mm', material: WALL_MATERIALS.steel, wall: 0.9e-3 },
    { name: 'fiber drum, 4 mm', material: WALL_MATERIALS.fibre, wall: 4e-3 },
    { name: 'plastic bin, 3 mm', material: WALL_MATERIALS.softPlastic, wall: 3e-3 },
  ],
  square: [
    { name: 'plywood box, ¾ in.', material: WALL_MATERIALS.plywood, wall: toSI(0.75, 'in') },
    { name: 'plastic tote, 3 mm', material: WALL_MATERIALS.softPlastic, wall: 3e-3 },
    { name: 'sheet steel, 0.6 mm', material: WALL_MATERIALS.steel, wall: 0.6e-3 },
  ],
} as const;

/** A bin of a kind of wall with the pressure difference it stands, Pa. */
export interface BinStrength {
  readonly name: string;
  readonly pressure: number;
}

/**
 * What bins of this shape and size stand by what they are made of, the strongest first: a round one by
 * its buckling, a square one by the bending of its larger side. Estimates.
 * @param diameter or width, m
 * @param height m
 */
export function binStrengths(
  shape: 'round' | 'square',
  diameter: number,
  height: number,
): BinStrength[] {
  return BIN_WALLS[shape]
    .map(({ name, material, wall }) => ({
      name,
      pressure:
        shape === 'round'
          ? drumCollapse(material, diameter, height, wall)
          : panelPressure(material, height, diameter, wall),
    }))
    .sort((a, b) => b.pressure - a.pressure);
}
