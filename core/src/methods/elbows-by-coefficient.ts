import { closeElbowMultiplier } from '../fittings/close-elbows';
import { elbowLoss } from '../fittings/elbow';
import type { LossMethod } from '../fittings/loss-method';

/** Each elbow of a pair: half a right angle, rad. */
const PAIR_ANGLE = Math.PI / 4;

/**
 * Elbows by the handbook's coefficients, one close behind another losing more: what the methods by
 * velocity pressure have in common.
 */
export const elbowsByCoefficient: Pick<LossMethod, 'turn' | 'pair' | 'branch'> = {
  turn: ({ style, angle, radiusRatio, count, straight, diameter }, factor) => {
    const first = closeElbowMultiplier(straight, diameter);
    const one = elbowLoss(style, angle, radiusRatio);
    return { kind: 'coefficient', coefficient: one * (first + count - 1) * factor };
  },
  pair: ({ style, radiusRatio, count, straight, spacer, diameter }, factor) => {
    const first = closeElbowMultiplier(straight, diameter);
    const second = closeElbowMultiplier(spacer, diameter);
    const one = elbowLoss(style, PAIR_ANGLE, radiusRatio);
    const all = one * (first + second + (count - 1) * (1 + second));
    return { kind: 'coefficient', coefficient: all * factor };
  },
  branch: null,
};
