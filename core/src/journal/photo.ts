import { z } from 'zod';
import { id, name, note, when } from '../document/atoms';
import { recordType } from './record-type';

/** A picture of something; its bytes lie beside the journal, under its id. */
export const photoType = recordType(
  5000,
  z.strictObject({
    id,
    at: when,
    /** What it shows; null: the shop as a whole. */
    of: z
      .strictObject({
        kind: z.enum([
          'reading',
          'event',
          'run',
          'machine',
          'joint',
          'round',
          'test point',
          'weighing',
        ]),
        /** A record's or a part's id; of a joint, as `jointsOf` names it. */
        id: z.string().min(1).max(200),
      })
      .nullable()
      .default(null),
    /** Name of its file, without a path. */
    file: name.min(1).regex(/^[^/\\]+$/, 'a file name has no path in it'),
    type: z.enum(['image/jpeg', 'image/png', 'image/webp']),
    note: note.default(''),
  }),
);

export type Photo = z.infer<typeof photoType.schema>;
