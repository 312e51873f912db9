import { z } from 'zod';
import { id } from '../../document/atoms';
import { FROM_MEMORY, plain } from '../../quantity/coefficient';
import { lookUp, type Table } from '../../quantity/look-up';
import { clampedValue, clampTo, type ValidRange } from '../../quantity/valid-range';
import { fittingKind } from './fitting-kind';

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * Loss coefficient of a plate in a round duct by its angle to the stream in degrees, on the duct's velocity
 * pressure: ASHRAE Handbook of Fundamentals, duct fitting CD9-1, round butterfly damper (from memory).
 */
const BUTTERFLY: Table = [
  [0, 0.19],
  [10, 0.67],
  [20, 1.76],
  [30, 4.38],
  [40, 11.2],
  [50, 32],
  [60, 113],
];

/** Angles the table covers. */
const FLAP_ANGLES: ValidRange = {
  what: 'angle the flap hangs at',
  kind: 'angle',
  least: 0,
  most: radians(60),
};

/** How far a flap usually hangs in the stream while air holds it open, rad: an estimate. */
const USUAL_ANGLE = radians(10);

/**
 * Loss coefficient of a flap that air holds open (a backdraft damper), on the duct's velocity pressure.
 *
 * It is taken as a plate at that angle to the stream, its loss read between the table's rows evenly in its
 * logarithm, in which the table is nearly straight. A flap with a weight or a spring is not quite such a
 * plate: an estimate.
 *
 * @param angle to the stream, rad: 0 lies in it, out of the way; clamped to 60° at most
 * @example flapLoss(Math.PI / 18) // 10°: 0.67
 */
export function flapLoss(angle: number): number {
  const degrees = (clampTo(FLAP_ANGLES, angle) * 180) / Math.PI;
  const logarithms = BUTTERFLY.map(([at, loss]) => [at, Math.log(loss)] as const);
  return Math.exp(lookUp(logarithms, degrees));
}

/** A flap that air holds open and that falls shut when none moves: a backdraft damper. */
export const flapDamper = fittingKind(
  z.strictObject({
    kind: z.literal('flapDamper'),
    id,
    /** To the stream while air moves, rad. */
    angle: z
      .number()
      .min(0)
      .max(Math.PI / 2),
    count: z.int().min(1).max(50),
  }),
  {
    name: 'Flap damper',
    usual: (own) => ({ kind: 'flapDamper', id: own, angle: USUAL_ANGLE, count: 1 }) as const,
    isBend: false,
    loss: ({ angle, count }) => ({ kind: 'coefficient', coefficient: count * flapLoss(angle) }),
    straightBehind: () => null,
    pieces: 1,
    clamped: ({ angle }) => {
      const clamped = clampedValue(FLAP_ANGLES, angle);
      return clamped ? [clamped] : [];
    },
    sources: {
      title: 'Flap (backdraft) damper',
      about: 'on the duct’s velocity pressure, by the angle it hangs at in the stream; held at 60°',
      source: `ASHRAE Handbook of Fundamentals, CD9-1, round butterfly damper (${FROM_MEMORY}); that a flap is like one is an estimate`,
      coefficients: [
        ...BUTTERFLY.map(([degrees, loss]) => plain(`At ${degrees}°`, loss, 'standard')),
        {
          name: 'Where it usually hangs',
          value: USUAL_ANGLE,
          kind: 'angle',
          origin: 'estimate',
        },
      ],
    },
  },
);
