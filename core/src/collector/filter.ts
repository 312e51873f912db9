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
export const faceVelocity = (flow: number, filter: Filter): number => flow / filter.area;

const perm = (cfmPerSquareFoot: number) => toSI(cfmPerSquareFoot, 'perm_fpm');

/** Media in the trade with starting permeabilities: estimates, until a manometer replaces them. */
export const MEDIA = {
  cloth: { name: 'Cloth bag, 5 µm', permeability: perm(60) },
  felt: { name: 'Felt bag, 1 µm', permeability: perm(30) },
  spunBond: { name: 'Spun-bond cartridge', permeability: perm(20) },
  nanofibre: { name: 'Fine nanofibre cartridge', permeability: perm(18) },
  cellulose: { name: 'Cellulose cartridge', permeability: perm(15) },
} as const satisfies Record<string, { name: string; permeability: number }>;
