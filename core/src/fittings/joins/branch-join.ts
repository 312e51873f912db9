import { z } from 'zod';
import { positive } from '../../document/atoms';
import { clampedValue } from '../../quantity/valid-range';
import { BRANCH_ANGLES, branchEntryLoss } from '../branch-entry';
import { branchLeg } from '../converging-junction';
import { joinKind } from './join-kind';

/** From the side into a main: a wye, or a tee at a right angle. */
export const branchJoin = joinKind(
  z.strictObject({
    kind: z.literal('branch'),
    /** rad */
    angle: positive(Math.PI),
  }),
  {
    name: 'Wye, branch',
    angle: ({ angle }) => angle,
    leg: ({ angle }, { area, bodyArea }) => branchLeg(area, bodyArea, angle),
    fixedLoss: ({ angle }) => branchEntryLoss(angle),
    clamped: ({ angle }) => {
      // Above the range it joins against the flow, which is a finding of its own.
      const clamped = angle < BRANCH_ANGLES.least ? clampedValue(BRANCH_ANGLES, angle) : null;
      return clamped ? [clamped] : [];
    },
    sources: null,
  },
);
