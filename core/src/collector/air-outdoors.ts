/** Specific heat of air, J/(kg·K). */
export const SPECIFIC_HEAT = 1006;

/** Discharge coefficient of a sharp opening. */
const ORIFICE = 0.61;

/**
 * How far below the outdoors a building may be drawn before heaters draw flue gas back, Pa: common
 * practice, no source.
 */
export const SAFE_DEPRESSION = 5;

/**
 * Heat that leaves with exhausted air, W: ρ·c·Q·ΔT (in US units 1.08·CFM·°F Btu/h).
 * @param density kg/m³
 * @param flow m³/s
 * @param indoors K
 * @param outdoors K; warmer than indoors, nothing is lost
 * @example heatLost(1.2, 0.3, 293, 273) // 7243 W
 */
export const heatLost = (
  density: number,
  flow: number,
  indoors: number,
  outdoors: number,
): number => density * SPECIFIC_HEAT * Math.max(0, flow) * Math.max(0, indoors - outdoors);

/**
 * Opening in m² that lets exhausted air back in while the room is drawn down by no more than
 * `depression` Pa: the orifice, Q = 0.61·A·√(2ΔP/ρ).
 * @example makeUpOpening(0.3, 1.2) // 0.170 m²
 */
export const makeUpOpening = (
  flow: number,
  density: number,
  depression: number = SAFE_DEPRESSION,
): number => Math.max(0, flow) / (ORIFICE * Math.sqrt((2 * depression) / density));

/**
 * Resistance of an opening that air passes to get back, Pa per (m³/s)², by the same orifice.
 * @param area m²
 */
export const openingResistance = (area: number, density: number): number =>
  density / (2 * (ORIFICE * area) ** 2);
