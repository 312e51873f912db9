import { z } from 'zod';
import { diameter, id, note, positive, when } from '../document/atoms';
import { recordType } from './record-type';

/** One value as it was read: a number, or that the meter stopped at the end of its range. SI. */
const taken = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('value'), value: z.number().min(0).max(1000) }),
  z.strictObject({ kind: z.literal('over'), limit: positive(1000) }),
]);

/** One try at measuring: a few repeats at a test point. */
export const readingType = recordType(
  200_000,
  z.strictObject({
    id,
    at: when,
    testPoint: id,
    instrument: id,
    /** The round it belongs to; null: taken by itself. */
    round: id.nullable().default(null),
    quantity: z.enum(['velocity', 'flow']),
    /** Where in the pipe: at the centre, or an average across it. */
    spot: z.enum(['centre', 'average']),
    /** True inside diameter at the meter, m. */
    diameter,
    /** Repeats, m/s or m³/s. */
    taken: z.array(taken).min(1).max(100),
    /** The unit it was read in, to show it as it was. */
    unit: z.string().max(16),
    /** Runs whose gates stood open. */
    openGates: z.array(id),
    note,
  }),
  {
    // A reading named its port's node, which is the id of the test point made for it.
    4: ({ node, place: _, ...rest }) => ({ ...rest, testPoint: node }),
  },
);

export type Taken = z.infer<typeof taken>;
export type Reading = z.infer<typeof readingType.schema>;
