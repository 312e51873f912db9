import { z } from 'zod';
import { diameter, id, name, note, point3 } from '../document/atoms';
import { recordType } from './record-type';

/** Places at the collector that are measured at: pressures on either side of its parts. */
export const COLLECTOR_TAPS = [
  'separator inlet',
  'blower inlet',
  'blower outlet',
  'filter',
] as const;

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
      /** At the collector; of the filter, across it. */
      z.strictObject({ kind: z.literal('collector'), tap: z.enum(COLLECTOR_TAPS) }),
      /** Anywhere on the plan. */
      z.strictObject({ kind: z.literal('place'), point: point3 }),
    ]),
    /** True inside diameter there, m; null: not measured. */
    insideDiameter: diameter.nullable().default(null),
    /** Straight duct ahead of the meter, m; null: not measured. */
    straightAhead: z.number().min(0).max(100).nullable().default(null),
    /** From the mouth or the tap to the meter, m; null: not noted. */
    standoff: z.number().min(0).max(5).nullable().default(null),
    /** How the meter is held there: by a jig, against a stop. */
    holding: note.default(''),
    note: note.default(''),
  }),
);

export type CollectorTap = (typeof COLLECTOR_TAPS)[number];
export type TestPoint = z.infer<typeof testPointType.schema>;
