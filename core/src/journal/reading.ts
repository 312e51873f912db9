import { z } from 'zod';
import { diameter, id, note, positive, when } from '../document/atoms';
import { HOLD_MODES } from './instrument';
import { recordType } from './record-type';

/** The most any meter shows, in SI: pascals beyond the strongest blower. */
const MOST_SHOWN = 1e6;

/** One value as it was read: a number, or that the meter stopped at an end of its range. SI. */
const taken = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('value'), value: z.number().min(0).max(MOST_SHOWN) }),
  z.strictObject({ kind: z.literal('over'), limit: positive(MOST_SHOWN) }),
  z.strictObject({ kind: z.literal('under'), limit: positive(MOST_SHOWN) }),
]);

/**
 * What a meter shows: `velocity` m/s, `flow` m³/s, `velocity pressure` and static `pressure` Pa,
 * `current` A, `rotation` rev/s; `number`: a figure in a unit nobody knows, fit for percentages.
 */
export const QUANTITIES = [
  'velocity',
  'flow',
  'velocity pressure',
  'pressure',
  'current',
  'rotation',
  'number',
] as const;

/** Whether what a meter shows says how much air flows through the duct it is in. */
export const isOfFlow = (quantity: (typeof QUANTITIES)[number]): boolean =>
  quantity === 'velocity' || quantity === 'flow' || quantity === 'velocity pressure';

/** Numbers of points on one diameter of a traverse. */
export const TRAVERSE_POINTS = [6, 8, 10] as const;

/** Where in the pipe a meter is held: at one point, the center, moved across for an average, or on a traverse. */
export const SPOTS = ['point', 'centre', 'average', 'traverse'] as const;

/** How many points a traverse has on each diameter, and how many diameters. */
export const traverseSchema = z.strictObject({
  points: z.union(TRAVERSE_POINTS.map((n) => z.literal(n))),
  diameters: z.union([z.literal(1), z.literal(2)]),
});

/** One try at measuring: a few repeats at a test point. */
export const readingType = recordType(
  200_000,
  z
    .strictObject({
      id,
      at: when,
      testPoint: id,
      instrument: id,
      /** The round it belongs to; null: taken by itself. */
      round: id.nullable().default(null),
      /**
       * `relative`: only percentages of other readings at the same place, taken the same way, mean anything.
       * `absolute`: it says how much air flows.
       */
      method: z.enum(['absolute', 'relative']).default('absolute'),
      quantity: z.enum(QUANTITIES),
      spot: z.enum(SPOTS),
      /** Null: it is no traverse. */
      traverse: traverseSchema.nullable().default(null),
      /** True inside diameter at the meter, m. */
      diameter,
      /** Repeats, in SI; of a traverse its points one after another, then those of the next repeat. */
      taken: z.array(taken).min(1).max(400),
      /** The unit it was read in, to show it as it was. */
      unit: z.string().max(16),
      /** How the meter held the value; null: as its record says. */
      hold: z.enum(HOLD_MODES).nullable().default(null),
      /** Of a meter that shows flow: the pipe it was told it is in, m; null: it shows the flow of this one. */
      presetDiameter: diameter.nullable().default(null),
      /** Runs whose gates stood open. */
      openGates: z.array(id),
      /** Why it does not count any more, and since when; null: it counts. */
      struckOut: z
        .strictObject({ at: when, reason: z.string().min(1).max(1000) })
        .nullable()
        .default(null),
      /** Shown by a stand-in of the program. */
      isSimulated: z.boolean().default(false),
      note,
    })
    .refine(({ spot, traverse }) => (spot === 'traverse') === (traverse !== null), {
      path: ['traverse'],
      message: 'a traverse says of how many points it is, and nothing else does',
    })
    .refine(
      ({ traverse, taken }) =>
        traverse === null || taken.length % (traverse.points * traverse.diameters) === 0,
      { path: ['taken'], message: 'a traverse has a value for each of its points' },
    ),
  {
    // A reading named its port's node, which is the id of the test point made for it.
    4: ({ node, place: _, ...rest }) => ({ ...rest, testPoint: node }),
  },
);

export type Taken = z.infer<typeof taken>;
export type Reading = z.infer<typeof readingType.schema>;
export type Quantity = (typeof QUANTITIES)[number];
