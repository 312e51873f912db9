import { z } from 'zod';
import { straightLeg } from '../converging-junction';
import { joinKind } from './join-kind';

/** Straight through the junction, as the main does. */
export const straightJoin = joinKind(z.strictObject({ kind: z.literal('straight') }), {
  name: 'Past a wye',
  angle: () => null,
  leg: (_, { bodyArea, tee }) => straightLeg(bodyArea, tee),
  fixedLoss: () => 0,
  clamped: () => [],
  sources: null,
});
