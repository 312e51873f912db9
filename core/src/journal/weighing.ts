import { z } from 'zod';
import { id, note, when } from '../document/atoms';
import { recordType } from './record-type';

/** What a bin held when it was emptied: how much the separator caught, or let by. */
export const weighingType = recordType(
  50_000,
  z.strictObject({
    id,
    at: when,
    /** Below the separator, or below the filter. */
    bin: z.enum(['separator', 'filter']),
    /** kg; null: not weighed. */
    mass: z.number().min(0).max(10_000).nullable(),
    /** m³; null: not measured. */
    volume: z.number().min(0).max(100).nullable(),
    /** Hours the machines ran since the bin was last emptied; null: not noted. */
    hours: z.number().min(0).max(100_000).nullable().default(null),
    /** The scale, a share it may be off by 95 % of the time; null: as scales usually are. */
    accuracy: z.number().min(0).max(1).nullable().default(null),
    /** Shown by a stand-in of the program. */
    isSimulated: z.boolean().default(false),
    note: note.default(''),
  }),
);

export type Weighing = z.infer<typeof weighingType.schema>;
