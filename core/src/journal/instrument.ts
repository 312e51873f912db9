import { z } from 'zod';
import { id, name } from '../document/atoms';
import { recordType } from './record-type';

/** A meter that readings were taken with. */
export const instrumentType = recordType(
  200,
  z.strictObject({
    id,
    name: name.min(1),
    kind: z.enum(['vane', 'pitot', 'manometer', 'other']),
    /** Share of the reading it may be off by, 95 % of the time. */
    accuracy: z.number().min(0).max(1),
  }),
);

export type Instrument = z.infer<typeof instrumentType.schema>;
