import { z } from 'zod';
import { shopSchema } from '../design/schema';
import { journalSchema } from '../journal/journal';

/** A shop's file: its design, and its journal beside it, which may be left out. */
export const fileSchema = z.strictObject({
  ...shopSchema.shape,
  journal: journalSchema.prefault({}),
});
