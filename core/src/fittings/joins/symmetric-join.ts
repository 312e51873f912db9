import { z } from 'zod';
import { positive } from '../../document/atoms';
import { FROM_MEMORY, plain } from '../../quantity/coefficient';
import { clampedValue } from '../../quantity/valid-range';
import { BRANCH_ANGLES, branchEntryLoss } from '../branch-entry';
import { symmetricLeg } from '../converging-junction';
import { joinKind } from './join-kind';

/**
 * One leg of a symmetric Y: two ducts that meet at equal angles and leave as one, with none going straight
 * through. At a right angle it is a tee that is entered from both ends.
 *
 * Each leg loses what the momentum balance says, A = 1. At a right angle Idelchik's symmetric tee
 * (F_1 = F_2, from memory), ζ = 1 + r² + 3r²(q² − q) with r = F_c/F_1 and q = Q_1/Q_c, agrees with it where
 * both legs carry alike and where one carries all. Elsewhere the balance gives the weaker leg less loss and
 * the stronger one more.
 */
export const symmetricJoin = joinKind(
  z.strictObject({
    kind: z.literal('symmetric'),
    /** Between this leg and the duct it flows into, half of what lies between the legs, rad. */
    angle: positive(Math.PI / 2),
  }),
  {
    name: 'Symmetric Y',
    angle: ({ angle }) => angle,
    leg: ({ angle }, { area, bodyArea }) => symmetricLeg(area, bodyArea, angle),
    fixedLoss: ({ angle }) => branchEntryLoss(angle),
    clamped: ({ angle }) => {
      const clamped = clampedValue(BRANCH_ANGLES, angle);
      return clamped ? [clamped] : [];
    },
    sources: {
      title: 'Symmetric Y',
      about: 'by the momentum balance of its body, on the combined leg’s velocity pressure',
      source: `momentum balance; at a right angle Idelchik’s symmetric tee agrees for equal flows (${FROM_MEMORY})`,
      coefficients: [plain('A, the factor on what the balance says', 1, 'standard')],
    },
  },
);
