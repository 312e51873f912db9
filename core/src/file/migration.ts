import type { Rename } from '../document/rename';
import type { Renewal } from './renewal';

/** One step from a version of the document to the next: pure, small, with a kept file to test it. */
export interface Migration {
  readonly from: number;
  /** What changed, for whoever reads this list. */
  readonly what: string;
  readonly migrate: (document: Record<string, unknown>) => Record<string, unknown>;
  /** The members it renames, where that is all it does: changes remembered for undo can then follow. */
  readonly renames?: readonly Rename[];
  /** The estimates this step renews in a document, to be shown to whoever opens it. */
  readonly renews?: (document: Record<string, unknown>) => readonly Renewal[];
}
