import type { FrictionMethod } from '../catalogue/ids';
import type { LossMethod } from '../fittings/loss-method';
import { darcyColebrook } from './darcy-colebrook';
import { equivalentFeet } from './equivalent-feet';
import { powerFits } from './power-fits';

const LOSS_METHODS: Readonly<Record<FrictionMethod, LossMethod>> = {
  darcy: darcyColebrook,
  powerFit: powerFits,
  equivalentFeet,
};

/** The way of computing losses that a shop's setting names. */
export const lossMethod = (method: FrictionMethod): LossMethod => LOSS_METHODS[method];
