import { edit, type Recipe } from '@/store/shop-session';

/** Edits one field of the collector, site or rules; quick edits of it are one step to undo. */
export const editCollector = (field: string, recipe: Recipe) =>
  edit(field, recipe, { merge: field });
