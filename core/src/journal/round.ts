import { z } from 'zod';
import { id, name, note, share, when } from '../document/atoms';
import { SPOTS, traverseSchema } from './reading';
import { recordType } from './record-type';

/** A visit with the meter: readings taken one after another, the shop as it was then. */
export const roundType = recordType(
  20_000,
  z.strictObject({
    id,
    at: when,
    by: name.default(''),
    /** `guided`: from test point to test point, as the program proposes. */
    kind: z.enum(['free', 'guided']).default('free'),
    /** How its readings are meant: all of one round alike. */
    method: z.enum(['absolute', 'relative']).default('absolute'),
    /** Where in the pipe the meter is held at the drops of a guided round. */
    spot: z.enum(SPOTS).default('average'),
    /** The traverse that is made there, where it is one. */
    traverse: traverseSchema.default({ points: 6, diameters: 1 }),
    /** When it was ended; null: it goes on. */
    ended: when.nullable().default(null),
    /** Steps that were passed over, by their keys. */
    skipped: z.array(z.string().max(200)).max(1000).default([]),
    /** What the filter was like, in a few words. */
    filter: name.default(''),
    /** How full the bin was, as a share; null: nobody looked. */
    binLevel: share.nullable().default(null),
    /** Of the air in the shop: K, share, Pa; null: not measured. */
    temperature: z.number().min(220).max(340).nullable().default(null),
    humidity: share.nullable().default(null),
    pressure: z.number().min(50_000).max(110_000).nullable().default(null),
    note: note.default(''),
  }),
);

export type Round = z.infer<typeof roundType.schema>;
