/**
 * Every unit the program reads or writes, with its exact size in SI.
 *
 * Inside the core all quantities are SI numbers; this table is the only place a conversion
 * factor is written down.
 *
 * Source: international yard and pound (exact); inch of water at 4 °C, 249.08891 Pa, and
 * horsepower 745.69987 W from NIST SP 811, appendix B, from memory. Checked against mathjs in
 * `core/reference/unit-constants.test.ts`.
 */

export type Dimension =
  | 'length'
  | 'area'
  | 'volume'
  | 'flow'
  | 'velocity'
  | 'pressure'
  | 'temperature'
  | 'density'
  | 'power'
  | 'current'
  | 'voltage'
  | 'rotation'
  | 'permeability'
  | 'ratio'
  | 'angle'
  | 'mass'
  | 'mass flow'
  | 'surface mass'
  | 'sound level'
  | 'duration'
  | 'number';

export interface Unit {
  readonly dimension: Dimension;
  /** How the program writes it. */
  readonly symbol: string;
  /** SI value of one of it. */
  readonly size: number;
  /** SI value of its zero; only temperatures have one. */
  readonly zero?: number;
  /** What people write for it, lower case, spaces and dots removed; the symbol always counts. */
  readonly spellings: readonly string[];
}

const INCH = 0.0254;
const FOOT = 12 * INCH;
const MINUTE = 60;

const unit = (
  dimension: Dimension,
  symbol: string,
  size: number,
  spellings: readonly string[] = [],
): Unit => ({ dimension, symbol, size, spellings });

export const UNITS = {
  m: unit('length', 'm', 1, ['meter', 'meters', 'metre', 'metres']),
  cm: unit('length', 'cm', 0.01),
  mm: unit('length', 'mm', 0.001),
  um: unit('length', 'µm', 1e-6, ['um', 'micron', 'microns', 'μm']),
  in: unit('length', 'in.', INCH, ['in', '"', '″', '”', "''", 'inch', 'inches']),
  ft: unit('length', 'ft', FOOT, ["'", '′', '’', 'feet', 'foot']),

  m2: unit('area', 'm²', 1, ['m2', 'm^2', 'sqm']),
  ft2: unit('area', 'ft²', FOOT ** 2, ['ft2', 'ft^2', 'sqft', 'squarefeet']),
  in2: unit('area', 'in²', INCH ** 2, ['in2', 'in^2', 'sqin']),
  cm2: unit('area', 'cm²', 1e-4, ['cm2', 'cm^2']),

  m3: unit('volume', 'm³', 1, ['m3', 'm^3']),
  l: unit('volume', 'L', 1e-3, ['l', 'liter', 'litre', 'liters', 'litres']),
  ft3: unit('volume', 'ft³', FOOT ** 3, ['ft3', 'ft^3', 'cuft']),
  gal: unit('volume', 'gal', 231 * INCH ** 3, ['gallon', 'gallons']),

  m3s: unit('flow', 'm³/s', 1, ['m3/s', 'm^3/s']),
  m3h: unit('flow', 'm³/h', 1 / 3600, ['m3/h', 'm^3/h', 'm3h', 'cmh', 'm3/hr']),
  ls: unit('flow', 'L/s', 1e-3, ['l/s']),
  cfm: unit('flow', 'CFM', FOOT ** 3 / MINUTE, ['ft3/min', 'ft³/min', 'cuft/min']),

  ms: unit('velocity', 'm/s', 1, ['mps']),
  fpm: unit('velocity', 'fpm', FOOT / MINUTE, ['ft/min', 'fpm']),
  mph: unit('velocity', 'mph', 0.44704, ['mi/h']),
  kmh: unit('velocity', 'km/h', 1 / 3.6, ['kmh', 'kph']),
  kn: unit('velocity', 'kn', 1852 / 3600, ['kt', 'kts', 'knot', 'knots']),

  pa: unit('pressure', 'Pa', 1),
  hpa: unit('pressure', 'hPa', 100, ['mbar']),
  kpa: unit('pressure', 'kPa', 1000),
  inwg: unit('pressure', 'in. w.g.', 249.08891, [
    'inwg',
    '"wg',
    '″wg',
    '”wg',
    '"wc',
    '”wc',
    '"h2o',
    'inwc',
    'inh2o',
    'in',
    '"',
  ]),
  mmwg: unit('pressure', 'mm w.g.', 9.80665, ['mmwg', 'mmwc', 'mmh2o', 'mm']),

  c: { ...unit('temperature', '°C', 1, ['c', 'degc']), zero: 273.15 },
  f: { ...unit('temperature', '°F', 5 / 9, ['f', 'degf']), zero: 273.15 - (32 * 5) / 9 },
  k: unit('temperature', 'K', 1, ['k', 'kelvin']),

  kgm3: unit('density', 'kg/m³', 1, ['kg/m3', 'kg/m^3']),
  lbft3: unit('density', 'lb/ft³', 0.45359237 / FOOT ** 3, ['lb/ft3', 'lb/ft^3']),

  w: unit('power', 'W', 1, ['watt', 'watts']),
  kw: unit('power', 'kW', 1000),
  /** International table: 1055.05585 J in an hour. */
  btuh: unit('power', 'Btu/h', 1055.05585 / 3600, ['btu/hr']),
  hp: unit('power', 'hp', 745.69987),

  a: unit('current', 'A', 1, ['amp', 'amps', 'ampere', 'amperes']),
  v: unit('voltage', 'V', 1, ['volt', 'volts']),
  rpm: unit('rotation', 'rpm', 1 / MINUTE, ['1/min', 'rev/min']),

  /** Filter permeability: flow per area at 125 Pa (ASTM D737), so a velocity. */
  perm_ms: unit('permeability', 'm/s', 1, ['m/s', 'm3/m2s']),
  perm_mmin: unit('permeability', 'm³/m²·min', 1 / MINUTE, ['m3/m2min', 'm/min', 'm³/m²min']),
  perm_fpm: unit('permeability', 'CFM/ft²', FOOT / MINUTE, ['cfm/ft2', 'fpm', 'ft/min']),

  degree: unit('angle', '°', Math.PI / 180, ['deg', 'degree', 'degrees']),

  kg: unit('mass', 'kg', 1, ['kgs', 'kilo', 'kilos']),
  lb: unit('mass', 'lb', 0.45359237, ['lbs', 'pound', 'pounds']),
  kgm2: unit('surface mass', 'kg/m²', 1, ['kg/m2', 'kg/m^2']),
  lbft2: unit('surface mass', 'lb/ft²', 0.45359237 / FOOT ** 2, ['lb/ft2', 'lb/ft^2', 'psf']),

  /** A-weighted; a logarithm already, so never scaled. */
  dba: unit('sound level', 'dB(A)', 1, ['dba', 'db']),

  kgh: unit('mass flow', 'kg/h', 1 / 3600, ['kg/hr']),
  lbh: unit('mass flow', 'lb/h', 0.45359237 / 3600, ['lb/hr', 'lbs/h']),

  h: unit('duration', 'h', 3600, ['hr', 'hrs', 'hour', 'hours']),
  min: unit('duration', 'min', 60, ['minute', 'minutes']),

  percent: unit('ratio', '%', 0.01, ['percent', 'pct']),
  one: unit('number', '', 1),
} as const satisfies Record<string, Unit>;

export type UnitId = keyof typeof UNITS;

/** What a bare number means and how a value is written: unit and digits, one per kind of field. */
export interface Style {
  readonly unit: UnitId;
  /** Decimal places kept when writing. */
  readonly places: number;
}

/**
 * The SI value of `value` in `unit`.
 * @example toSI(4005, 'fpm') // 20.3454 m/s
 */
export function toSI(value: number, id: UnitId): number {
  const { size, zero = 0 }: Unit = UNITS[id];
  return value * size + zero;
}

/**
 * The SI `value` in `unit`.
 * @example fromSI(0.0254, 'in') // 1
 */
export function fromSI(value: number, id: UnitId): number {
  const { size, zero = 0 }: Unit = UNITS[id];
  return (value - zero) / size;
}
