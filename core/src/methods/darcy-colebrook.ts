import { HOSES, hoseMultiplier } from '../duct/hose';
import { PIPES } from '../duct/pipes';
import type { LossMethod } from '../fittings/loss-method';
import { elbowsByCoefficient } from './elbows-by-coefficient';

/** Darcy–Weisbach with Colebrook's factor; fittings by their coefficients. The default. */
export const darcyColebrook: LossMethod = {
  ...elbowsByCoefficient,
  pipe: (pipe, length, multiplier) => ({
    law: 'darcy',
    length,
    roughness: PIPES[pipe].roughness,
    multiplier,
  }),
  hose: ({ kind, length, diameter, compression }, factor) => ({
    law: 'darcy',
    length,
    roughness: HOSES[kind].roughness,
    multiplier: hoseMultiplier(compression, diameter) * factor,
  }),
};
