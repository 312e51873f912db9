import { z } from 'zod';
import { journalSchema } from '../journal/journal';
import { shopSchema } from '../shop/schema';

/** A shop's file: its design, and its journal beside it, which may be left out. */
export const fileSchema = z.strictObject({
  ...shopSchema.shape,
  journal: journalSchema.prefault({}),
});
