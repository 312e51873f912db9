import { toSI } from '../quantity/units';

/** Pressure at which a filter's permeability is stated, Pa (ASTM D737: half an inch of water). */
export const PERMEABILITY_PRESSURE = 125;

export interface Filter {
  /** Cloth or media area, m². */
  readonly area: number;
  /** Flow per area at 125 Pa when clean, m/s. */
  readonly permeability: number;
}

/**
 * Resistance of a filter in Pa per m³/s: its loss is linear in flow, since flow through media is
 * laminar. ΔP = 125 Pa × face velocity / permeability × loading (ASTM D737).
 * @param loading 1 clean, 2–3 seasoned, 5–10 due for cleaning
 * @example // 10 m² at 0.1 m/s permeability, clean: 1 m³/s makes 125 Pa
 * filterResistance({ area: 10, permeability: 0.1 }, 1) // 125
 */
export const filterResistance = (filter: Filter, loading: number): number =>
  (PERMEABILITY_PRESSURE * loading) / (filter.area * filter.permeability);

/** Speed of the air arriving at the media, m/s. */
export const faceVelocity = (flow: number, filter: Pick<Filter, 'area'>): number =>
  flow / filter.area;

const perm = (cfmPerSquareFoot: number) => toSI(cfmPerSquareFoot, 'perm_fpm');

/**
 * Media in the trade with starting permeabilities: estimates, until a manometer replaces them.
 * `comfortable` is the face velocity in m/s above which each is called small: common practice, no
 * source. Cartridges clog early above 8 ft/min; cloth runs at up to 30 and leaks fines.
 */
export const MEDIA = {
  cloth: { name: 'Cloth bag, 5 µm', permeability: perm(60), comfortable: perm(30) },
  felt: { name: 'Felt bag, 1 µm', permeability: perm(30), comfortable: perm(15) },
  spunBond: { name: 'Spun-bond cartridge', permeability: perm(20), comfortable: perm(8) },
  nanofibre: { name: 'Fine nanofibre cartridge', permeability: perm(18), comfortable: perm(8) },
  cellulose: { name: 'Cellulose cartridge', permeability: perm(15), comfortable: perm(8) },
} as const satisfies Record<string, { name: string; permeability: number; comfortable: number }>;

/** Face velocity above which media of this permeability is small for its flow, m/s. */
export function comfortableFaceVelocity(permeability: number): number {
  const known = Object.values(MEDIA).reduce((nearest, media) =>
    Math.abs(media.permeability - permeability) < Math.abs(nearest.permeability - permeability)
      ? media
      : nearest,
  );
  return known.comfortable;
}

/**
 * Media area of a pleated filter, m²: 2 × depth × height × pleats.
 * @example pleatedArea(0.04, 0.6, 200) // 9.6 m²
 */
export const pleatedArea = (depth: number, height: number, pleats: number): number =>
  2 * depth * height * pleats;

/** Cloth area of a round bag, m²: π·D·L. */
export const bagArea = (diameter: number, length: number): number => Math.PI * diameter * length;
