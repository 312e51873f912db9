import { edit } from '@/storage/session';
import type { Recipe } from '@/storage/session-state';

/** Edits one field of the collector, site or rules; quick edits of it are one step to undo. */
export const editCollector = (field: string, recipe: Recipe) =>
  edit(field, recipe, { merge: field });
