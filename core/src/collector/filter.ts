import { toSI } from '../quantity/units';

/** Pressure at which a filter's permeability is stated, Pa (ASTM D737: half an inch of water). */
export const PERMEABILITY_PRESSURE = 125;

export interface Filter {
  /** Cloth or media area, m². */
  readonly area: number;
  /** Flow per area at 125 Pa when clean, m/s. */
  readonly permeability: number;
  /** Loading the media has as soon as it has run, and keeps through every cleaning: 1 for none. */
  readonly seasoned: number;
}

/**
 * The loading a filter works with: what it is believed to be loaded to, and never less than the
 * dust that stays in its media for good.
 * @param loading 1 clean, 2–3 seasoned, 5–10 due
 * @example workingLoading({ seasoned: 3 }, 1) // 3: a cloth bag that has run
 */
export const workingLoading = ({ seasoned }: Pick<Filter, 'seasoned'>, loading: number): number =>
  Math.max(seasoned, loading);

/**
 * Resistance of a filter in Pa per m³/s: its loss is linear in flow, since flow through media is
 * laminar. ΔP = 125 Pa × face velocity / permeability × loading (ASTM D737).
 * @param loading of the media as it works, from `workingLoading`
 * @example // 10 m² at 0.1 m/s permeability, clean: 1 m³/s makes 125 Pa
 * filterResistance({ area: 10, permeability: 0.1 }, 1) // 125
 */
export const filterResistance = (
  filter: Pick<Filter, 'area' | 'permeability'>,
  loading: number,
): number => (PERMEABILITY_PRESSURE * loading) / (filter.area * filter.permeability);

/** Speed of the air arriving at the media, m/s. */
export const faceVelocity = (flow: number, filter: Pick<Filter, 'area'>): number =>
  flow / filter.area;

const perm = (cfmPerSquareFoot: number) => toSI(cfmPerSquareFoot, 'perm_fpm');

const media = (
  name: string,
  permeability: number,
  comfortable: number,
  seasoned: number,
  area: number,
) => ({
  name,
  permeability: perm(permeability),
  comfortable: perm(comfortable),
  seasoned,
  usualArea: area,
});

/**
 * Media area in m² such filters usually have: the upper bag that small machines are sold with, 20 × 33
 * in., a felt one half as long again, and a cartridge of 110 ft². Common practice, no source.
 */
const STOCK_BAG = bagArea(toSI(20, 'in'), toSI(33, 'in'));
const LONG_BAG = bagArea(toSI(20, 'in'), toSI(50, 'in'));
const CARTRIDGE = toSI(110, 'ft2');

/**
 * Media in the trade with starting permeabilities, CFM/ft² at half an inch of water, in use and in
 * their pleats rather than flat and new: estimates, until a manometer replaces them. The second
 * number is the face velocity in ft/min above which each is called small: common practice, no source.
 * Cartridges clog early above 8; cloth runs at up to 30 and leaks fines. The last is the loading a
 * media is seasoned to as soon as it has run: cloth keeps what fills its weave.
 */
export const MEDIA = {
  cloth: media('Cloth bag, 5 µm', 30, 30, 3, STOCK_BAG),
  felt: media('Felt bag, 1 µm', 20, 15, 1, LONG_BAG),
  spunBond: media('Spun-bond cartridge', 10, 8, 1, CARTRIDGE),
  nanofibre: media('Fine nanofiber cartridge', 9, 8, 1, CARTRIDGE),
  cellulose: media('Cellulose cartridge', 8, 8, 1, CARTRIDGE),
} as const;

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
export function bagArea(diameter: number, length: number): number {
  return Math.PI * diameter * length;
}
