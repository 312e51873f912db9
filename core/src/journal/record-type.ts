import type { z } from 'zod';
import type { Json } from '../document/json-walk';

/**
 * One kind of record of the journal: its schema with defaults, and how a record of an earlier version
 * becomes one of the present, together in one file. To add a kind, copy such a file and name it in
 * `journal.ts`. A field with a default needs no step from the version before, anything else does.
 */
export interface RecordType<S extends z.ZodType = z.ZodType> {
  /** The most records of this kind a shop may have; more are refused. */
  readonly most: number;
  readonly schema: S;
  /**
   * By the version of the file it comes from: what a record of that version becomes in the next. Pure,
   * and never changed once published. A version without an entry changed nothing.
   */
  readonly migrations: Readonly<Record<number, (record: Json) => Json>>;
}

export const recordType = <S extends z.ZodType>(
  most: number,
  schema: S,
  migrations: RecordType['migrations'] = {},
): RecordType<S> => ({ most, schema, migrations });
