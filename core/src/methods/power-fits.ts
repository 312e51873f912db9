import { hoseMultiplier } from '../duct/hose';
import { PIPES } from '../duct/pipes';
import { POWER_FITS } from '../duct/power-fit';
import type { LossMethod } from '../fittings/loss-method';
import { elbowsByCoefficient } from './elbows-by-coefficient';

/** The handbook's power fits (ACGIH, after Loeffler 1980); fittings by their coefficients. */
export const powerFits: LossMethod = {
  ...elbowsByCoefficient,
  pipe: (pipe, length, multiplier) => ({
    law: 'power',
    length,
    fit: POWER_FITS[PIPES[pipe].fit],
    multiplier,
  }),
  hose: ({ length, diameter, compression }, factor) => ({
    law: 'power',
    length,
    fit: POWER_FITS.flexible,
    multiplier: hoseMultiplier(compression, diameter) * factor,
  }),
};
