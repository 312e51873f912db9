import type { Style } from './units';

/** The two ways of writing quantities a shop chooses between. */
export type UnitSystem = 'us' | 'metric';

/**
 * What a field or column holds. Several kinds share a dimension but are written differently:
 * a duct is so many feet long and so many inches across.
 */
export type QuantityKind =
  | 'length'
  | 'diameter'
  | 'roughness'
  | 'area'
  | 'smallArea'
  | 'flow'
  | 'velocity'
  | 'faceVelocity'
  | 'pressure'
  | 'barometer'
  | 'temperature'
  | 'elevation'
  | 'density'
  | 'power'
  | 'current'
  | 'voltage'
  | 'rotation'
  | 'permeability'
  | 'ratio'
  | 'fineRatio'
  | 'angle'
  | 'dustSize'
  | 'mass'
  | 'massFlow'
  | 'surfaceMass'
  | 'volume'
  | 'sound'
  | 'thickness'
  | 'duration'
  | 'heat'
  | 'number'
  | 'coefficient';

export const STYLES: Readonly<Record<UnitSystem, Readonly<Record<QuantityKind, Style>>>> = {
  us: {
    length: { unit: 'ft', places: 2 },
    diameter: { unit: 'in', places: 3 },
    roughness: { unit: 'mm', places: 3 },
    area: { unit: 'ft2', places: 1 },
    smallArea: { unit: 'in2', places: 2 },
    flow: { unit: 'cfm', places: 0 },
    velocity: { unit: 'fpm', places: 0 },
    faceVelocity: { unit: 'fpm', places: 1 },
    pressure: { unit: 'inwg', places: 2 },
    barometer: { unit: 'hpa', places: 0 },
    temperature: { unit: 'f', places: 0 },
    elevation: { unit: 'ft', places: 0 },
    density: { unit: 'lbft3', places: 4 },
    power: { unit: 'hp', places: 2 },
    current: { unit: 'a', places: 1 },
    voltage: { unit: 'v', places: 0 },
    rotation: { unit: 'rpm', places: 0 },
    permeability: { unit: 'perm_fpm', places: 1 },
    ratio: { unit: 'percent', places: 0 },
    fineRatio: { unit: 'percent', places: 1 },
    angle: { unit: 'degree', places: 0 },
    dustSize: { unit: 'um', places: 1 },
    mass: { unit: 'lb', places: 0 },
    massFlow: { unit: 'lbh', places: 1 },
    surfaceMass: { unit: 'lbft2', places: 1 },
    volume: { unit: 'gal', places: 0 },
    sound: { unit: 'dba', places: 0 },
    thickness: { unit: 'mm', places: 2 },
    duration: { unit: 'h', places: 0 },
    heat: { unit: 'btuh', places: 0 },
    number: { unit: 'one', places: 2 },
    coefficient: { unit: 'one', places: 4 },
  },
  metric: {
    length: { unit: 'm', places: 2 },
    diameter: { unit: 'mm', places: 1 },
    roughness: { unit: 'mm', places: 3 },
    area: { unit: 'm2', places: 2 },
    smallArea: { unit: 'cm2', places: 1 },
    flow: { unit: 'm3h', places: 0 },
    velocity: { unit: 'ms', places: 1 },
    faceVelocity: { unit: 'ms', places: 3 },
    pressure: { unit: 'pa', places: 0 },
    barometer: { unit: 'hpa', places: 0 },
    temperature: { unit: 'c', places: 0 },
    elevation: { unit: 'm', places: 0 },
    density: { unit: 'kgm3', places: 3 },
    power: { unit: 'kw', places: 2 },
    current: { unit: 'a', places: 1 },
    voltage: { unit: 'v', places: 0 },
    rotation: { unit: 'rpm', places: 0 },
    permeability: { unit: 'perm_mmin', places: 2 },
    ratio: { unit: 'percent', places: 0 },
    fineRatio: { unit: 'percent', places: 1 },
    angle: { unit: 'degree', places: 0 },
    dustSize: { unit: 'um', places: 1 },
    mass: { unit: 'kg', places: 0 },
    massFlow: { unit: 'kgh', places: 2 },
    surfaceMass: { unit: 'kgm2', places: 1 },
    volume: { unit: 'l', places: 0 },
    sound: { unit: 'dba', places: 0 },
    thickness: { unit: 'mm', places: 2 },
    duration: { unit: 'h', places: 0 },
    heat: { unit: 'kw', places: 2 },
    number: { unit: 'one', places: 2 },
    coefficient: { unit: 'one', places: 4 },
  },
};
