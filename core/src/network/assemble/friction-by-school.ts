import type { FrictionMethod, PipeId } from '../../catalogue/ids';
import type { FrictionLaw } from '../../duct/friction-law';
import { HOSES, hoseMultiplier } from '../../duct/hose';
import { PIPES } from '../../duct/pipes';
import { POWER_FITS } from '../../duct/power-fit';
import { equivalentLength, HOSE_LENGTHS } from '../../fitting/equivalent-feet';
import type { Hose } from '../../shop/schema';

/**
 * How duct, hose and fittings take pressure by the school a shop follows: Darcy–Weisbach with
 * Colebrook's factor; the handbook's power fits; or equivalent feet, where every hose and fitting
 * counts as so much straight pipe.
 */
export type School = FrictionMethod;

/** A straight length of pipe in m. `multiplier` is what the friction is multiplied by. */
export function pipeLaw(
  pipe: PipeId,
  length: number,
  school: School,
  multiplier: number,
): FrictionLaw {
  const { roughness, fit } = PIPES[pipe];
  return school === 'powerFit'
    ? { law: 'power', length, fit: POWER_FITS[fit], multiplier }
    : { law: 'darcy', length, roughness, multiplier };
}

/** A hose on a run of `pipe`. Equivalent feet know one kind of hose, stretched. */
export function hoseLaw(
  { kind, length, diameter, compression }: Hose,
  pipe: PipeId,
  school: School,
  factor: number,
): FrictionLaw {
  if (school === 'equivalentFeet') {
    return pipeLaw(pipe, HOSE_LENGTHS * length, school, factor);
  }
  const multiplier = hoseMultiplier(compression, diameter) * factor;
  return school === 'powerFit'
    ? { law: 'power', length, fit: POWER_FITS.flexible, multiplier }
    : { law: 'darcy', length, roughness: HOSES[kind].roughness, multiplier };
}

/** A turn through `angle` (rad), as the straight pipe it counts as. */
export const turnLaw = (
  pipe: PipeId,
  angle: number,
  diameter: number,
  factor: number,
): FrictionLaw => pipeLaw(pipe, equivalentLength(angle, diameter), 'equivalentFeet', factor);
