import { z } from 'zod';
import { diameter, id, name, note } from '../document/atoms';
import { recordType } from './record-type';

/** A place one always measures at: only readings of the same place compare. */
export const testPointType = recordType(
  5000,
  z.strictObject({
    id,
    /** Its name when it was made; a drop that still stands goes by its present name. */
    name: name.min(1),
    at: z.discriminatedUnion('kind', [
      /** At a machine's port, by its node. */
      z.strictObject({ kind: z.literal('port'), node: id }),
      /** In a run, this far down it, m. */
      z.strictObject({ kind: z.literal('run'), run: id, along: z.number().min(0).max(1000) }),
    ]),
    /** True inside diameter there, m; null: not measured. */
    insideDiameter: diameter.nullable().default(null),
    note: note.default(''),
  }),
);

export type TestPoint = z.infer<typeof testPointType.schema>;
