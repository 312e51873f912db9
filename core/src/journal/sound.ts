import { z } from 'zod';
import { id, name, note, positive, when } from '../document/atoms';
import { recordType } from './record-type';

/** A sound meter's reading at a place, and how long a day somebody is there. */
export const soundType = recordType(
  10_000,
  z.strictObject({
    id,
    at: when,
    place: name.min(1),
    /** dB(A), slow. */
    level: z.number().min(20).max(150),
    /** From the collector, m; null: not measured. */
    distance: positive(100).nullable(),
    /** Level the model expected of the collector that stood there then; null: not known. */
    expected: z.number().nullable(),
    /** Hours a day at this level; null: not a place where anyone stays. */
    hours: z.number().min(0).max(24).nullable(),
    /** Shown by a stand-in of the program. */
    isSimulated: z.boolean().default(false),
    note,
  }),
  {
    7: ({ reckoned, ...rest }) => ({ ...rest, expected: reckoned }),
  },
);

export type SoundReading = z.infer<typeof soundType.schema>;
