import { z } from 'zod';
import { PIPE_IDS } from '../catalogue/ids';

/** Pieces that the document's schemas share. Lengths in m, times as ISO 8601 with their offset. */

export const id = z.string().min(1).max(64);
/** The most letters a name has. */
export const LONGEST_NAME = 200;
export const name = z.string().max(LONGEST_NAME);
export const note = z.string().max(10_000);
export const positive = (most: number) => z.number().positive().max(most);
export const share = z.number().min(0).max(1);
export const diameter = z.number().min(0.01).max(2);
export const when = z.iso.datetime({ offset: true });

/** A length of something that can be seen on a plan, m: nothing thinner than a millimetre. */
export const size = (most: number) => z.number().min(0.001).max(most);
/** A place in the shop or about it, m: no shop is a kilometre off. */
export const coordinate = z.number().min(-1000).max(1000);
/** How far something is turned, rad. */
export const turn = z.number().min(-1000).max(1000);
export const point2 = z.strictObject({ x: coordinate, y: coordinate });
export const point3 = z.strictObject({ x: coordinate, y: coordinate, z: coordinate });

/** Where a believed value comes from. */
export const origin = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('assumed') }),
  z.strictObject({
    kind: z.literal('fitted'),
    on: when,
    /** How far it may be off, as a share, 95 times in 100; absent: as any value fitted so. */
    uncertainty: z.number().min(0).max(10).optional(),
    /** What was believed before, to go back to; absent: nothing was. */
    before: z.number().min(0).max(1e6).optional(),
  }),
]);

export const pipe = z.enum(PIPE_IDS);
