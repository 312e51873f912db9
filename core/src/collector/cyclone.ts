/**
 * Cyclones from their proportions: loss by Shepherd and Lapple, cut size and grade efficiency by
 * Lapple (both from memory; checked in `core/reference/cyclones.test.ts`).
 */

/** Lengths of a cyclone, m. */
export interface CycloneProportions {
  readonly bodyDiameter: number;
  /** Of the rectangular inlet. */
  readonly inletHeight: number;
  readonly inletWidth: number;
  /** Of the pipe the clean air leaves by. */
  readonly outletDiameter: number;
  readonly bodyLength: number;
  readonly coneLength: number;
}

/** Proportions in body diameters. Published families (from memory). */
export const CYCLONE_FAMILIES = {
  highEfficiency: {
    name: 'High efficiency',
    inletHeight: 0.5,
    inletWidth: 0.2,
    outletDiameter: 0.5,
    bodyLength: 1.5,
    coneLength: 2.5,
  },
  conventional: {
    name: 'Conventional',
    inletHeight: 0.5,
    inletWidth: 0.25,
    outletDiameter: 0.5,
    bodyLength: 2,
    coneLength: 2,
  },
} as const;

export type CycloneFamilyId = keyof typeof CYCLONE_FAMILIES;
export const CYCLONE_FAMILY_IDS = Object.keys(CYCLONE_FAMILIES) as CycloneFamilyId[];

/**
 * A family's cyclone at a body diameter in m.
 * @example cycloneOf('highEfficiency', 0.4).inletWidth // 0.08
 */
export function cycloneOf(family: CycloneFamilyId, bodyDiameter: number): CycloneProportions {
  const ratios = CYCLONE_FAMILIES[family];
  return {
    bodyDiameter,
    inletHeight: ratios.inletHeight * bodyDiameter,
    inletWidth: ratios.inletWidth * bodyDiameter,
    outletDiameter: ratios.outletDiameter * bodyDiameter,
    bodyLength: ratios.bodyLength * bodyDiameter,
    coneLength: ratios.coneLength * bodyDiameter,
  };
}

export const inletArea = ({ inletHeight, inletWidth }: CycloneProportions): number =>
  inletHeight * inletWidth;

const SHEPHERD_LAPPLE = 16;

/**
 * Loss in velocity heads of the rectangular inlet: N_H = 16·a·b/De².
 * @example inletHeads(cycloneOf('highEfficiency', 1)) // 6.4
 */
export const inletCoefficient = (cyclone: CycloneProportions): number =>
  (SHEPHERD_LAPPLE * inletArea(cyclone)) / cyclone.outletDiameter ** 2;

/**
 * Turns the air makes: (body length + half the cone's) / inlet height.
 * @example effectiveTurns(cycloneOf('conventional', 1)) // 6
 */
export const effectiveTurns = ({
  bodyLength,
  coneLength,
  inletHeight,
}: CycloneProportions): number => (bodyLength + coneLength / 2) / inletHeight;

/** Density of wood particles with their pores, kg/m³: an estimate, dry hardwood and softwood. */
export const WOOD_DENSITY = 650;

/**
 * Size in m of the particle half of which is caught: d50 = √(9μb / (2πN·V·(ρp − ρ))).
 * @param flow m³/s, above zero
 * @param air viscosity in Pa·s, density in kg/m³
 * @param particleDensity kg/m³
 */
export function cutSize(
  cyclone: CycloneProportions,
  flow: number,
  air: { readonly viscosity: number; readonly density: number },
  particleDensity: number = WOOD_DENSITY,
): number {
  const velocity = flow / inletArea(cyclone);
  const turning = 2 * Math.PI * effectiveTurns(cyclone) * velocity;
  return Math.sqrt(
    (9 * air.viscosity * cyclone.inletWidth) / (turning * (particleDensity - air.density)),
  );
}

/**
 * Share of particles of `size` m that is caught: 1/(1 + (d50/d)²).
 * @example gradeEfficiency(10e-6, 5e-6) // 0.8
 */
export const gradeEfficiency = (size: number, cut: number): number =>
  size <= 0 ? 0 : 1 / (1 + (cut / size) ** 2);

/** A dust by mass: log-normal about its median size, m, with its geometric spread (≥ 1). */
export interface DustSizes {
  readonly median: number;
  readonly spread: number;
}

/** Sizes of dust by how it is made: estimates, mass medians. */
export const DUSTS = {
  chips: { name: 'Chips and sawdust', median: 250e-6, spread: 3 },
  saw: { name: 'Fine sawdust', median: 80e-6, spread: 3 },
  sanding: { name: 'Sanding dust', median: 25e-6, spread: 2.5 },
} as const satisfies Record<string, DustSizes & { name: string }>;

/** Deviations each way, and steps between, of the sum over a dust's sizes. */
const REACH = 5.5;
const INTERVALS = 220;

/**
 * Share of a dust's mass that a cyclone with cut size `cut` (m) catches: the grade efficiency
 * weighted by the log-normal distribution, by the trapezoidal rule, which for what is smooth and fades to
 * both sides is good to more digits than the estimates have: 1e-7.
 */
export function shareCaught({ median, spread }: DustSizes, cut: number): number {
  const deviation = Math.log(Math.max(spread, 1));
  let sum = 0;
  let weights = 0;
  for (let i = 0; i <= INTERVALS; i++) {
    const z = -REACH + (2 * REACH * i) / INTERVALS;
    const weight = Math.exp((-z * z) / 2);
    sum += weight * gradeEfficiency(median * Math.exp(deviation * z), cut);
    weights += weight;
  }
  return sum / weights;
}
