import { toSI } from '../quantity/units';

/**
 * The small-shop rule: a fitting counts as a length of straight duct, a hose as three times its
 * own. Common practice, no source: a 90° elbow 5–6 ft at 4 in., a 45° half of it; a wye counts as
 * the elbow of its angle. Taken here as 5.5 ft at 4 in., in proportion to angle and diameter.
 */
export const ELBOW_DIAMETERS = toSI(5.5, 'ft') / toSI(4, 'in');

/** Length of straight duct a length of flexible hose counts as, per metre. */
export const HOSE_LENGTHS = 3;

/**
 * Length of straight duct in m that a turn through `angle` (rad) in duct of `diameter` m counts as.
 * @example equivalentLength(Math.PI / 2, 0.1016) // 1.676 m, 5.5 ft
 */
export const equivalentLength = (angle: number, diameter: number): number =>
  (ELBOW_DIAMETERS * diameter * Math.abs(angle)) / (Math.PI / 2);
