import { z } from 'zod';
import { id, when } from '../document/atoms';
import { recordType } from './record-type';

/**
 * That a record was changed or taken out after it was made, and when: of two copies of a journal, it says which
 * has the later edit. A record that stands as it was first written has none.
 */
export const revisionType = recordType(
  300_000,
  z.strictObject({
    /** The list of the record and its id, `readings/…`: one revision for each record, the last. */
    id: z.string().min(3).max(100),
    /** When; not `at`, by which records lie in the order of their times: this one is found by its id. */
    revised: when,
    of: z.strictObject({ kind: z.string().min(1).max(30), id }),
    isRemoved: z.boolean(),
  }),
);

export type Revision = z.infer<typeof revisionType.schema>;
