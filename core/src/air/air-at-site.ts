/** Where a shop stands and what its air is like. */
export interface Site {
  /** m above sea level, −500 to 5000. */
  readonly elevation: number;
  /** K, 233 to 323. */
  readonly temperature: number;
  /** Relative humidity, 0 to 1. */
  readonly humidity: number;
}

/** Air as the solver needs it. */
export interface Air {
  /** kg/m³ */
  readonly density: number;
  /** Dynamic viscosity, Pa·s */
  readonly viscosity: number;
}

/** Density of standard air, kg/m³: 21.1 °C, 101.325 kPa, dry (ACGIH, ASHRAE; from memory). */
export const STANDARD_DENSITY = 1.2014;

const GAS_CONSTANT_DRY_AIR = 287.042;
const GAS_CONSTANT_VAPOUR = 461.524;

/**
 * Pressure of the atmosphere in Pa at `elevation` in m (ISO 2533, from memory). Good to 11 km.
 * @example atmosphericPressure(0) // 101325
 */
export const atmosphericPressure = (elevation: number): number =>
  101325 * (1 - 2.25577e-5 * elevation) ** 5.2559;

/**
 * Saturation pressure of water vapour in Pa over water or, below 0 °C, over ice, at `temperature`
 * in K (ASHRAE Fundamentals, psychrometrics, equations 5 and 6, after Hyland and Wexler; from
 * memory, held against psychrolib in `core/reference`). Range 173 to 473 K.
 */
function saturationPressure(temperature: number): number {
  const t = temperature;
  const logarithm =
    t < 273.16
      ? -5.6745359e3 / t +
        6.3925247 -
        9.677843e-3 * t +
        6.2215701e-7 * t ** 2 +
        2.0747825e-9 * t ** 3 -
        9.484024e-13 * t ** 4 +
        4.1635019 * Math.log(t)
      : -5.8002206e3 / t +
        1.3914993 -
        4.8640239e-2 * t +
        4.1764768e-5 * t ** 2 -
        1.4452093e-8 * t ** 3 +
        6.5459673 * Math.log(t);
  return Math.exp(logarithm);
}

/**
 * Density of moist air in kg/m³ from pressure (Pa), temperature (K) and relative humidity (0–1):
 * the partial densities of dry air and vapour added (ASHRAE Fundamentals, psychrometrics).
 * @example moistAirDensity(101325, 294.25, 0) // 1.1996
 */
export function moistAirDensity(pressure: number, temperature: number, humidity: number): number {
  const vapour = humidity * saturationPressure(temperature);
  return (
    (pressure - vapour) / (GAS_CONSTANT_DRY_AIR * temperature) +
    vapour / (GAS_CONSTANT_VAPOUR * temperature)
  );
}

/**
 * Dynamic viscosity of air in Pa·s at `temperature` in K (Sutherland's law, constants as in the
 * handbook, from memory). Humidity changes it by less than 1 % in any shop and is left out.
 * @example airViscosity(293.15) // 1.813e-5
 */
export const airViscosity = (temperature: number): number =>
  (1.716e-5 * (temperature / 273.15) ** 1.5 * (273.15 + 110.4)) / (temperature + 110.4);

/**
 * The air of a site: density and viscosity.
 * @example airAtSite({ elevation: 0, temperature: 294.25, humidity: 0 }).density // 1.1996
 */
export function airAtSite(site: Site): Air {
  return {
    density: moistAirDensity(atmosphericPressure(site.elevation), site.temperature, site.humidity),
    viscosity: airViscosity(site.temperature),
  };
}
