import { z } from 'zod';
import { id, note, when } from '../document/atoms';
import { recordType } from './record-type';

/** A change made to the shop: something was cleaned, emptied, sealed or changed. */
export const eventType = recordType(
  50_000,
  z.strictObject({
    id,
    at: when,
    kind: z.enum(['cleaned', 'emptied', 'sealed', 'changed']),
    note,
    /** In the shop's own money; null: not known. */
    cost: z.number().min(0).nullable(),
  }),
);

export type ShopEvent = z.infer<typeof eventType.schema>;
