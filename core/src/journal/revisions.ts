import type { RecordKind } from './journal';
import type { JournalDiff } from './journal-diff';
import type { Revision } from './revision';

/** The id of the revision of a record. */
export const revisionId = (kind: RecordKind, id: string): string => `${kind}/${id}`;

/** The revisions a diff makes at a time: one for each record it changes or takes out. */
export const revisionsOf = (
  { updated, removed }: JournalDiff,
  revised: string,
): readonly Revision[] => [
  ...updated.flatMap(({ kind, after }) => revision(kind, after.id, revised, false)),
  ...removed.flatMap(({ kind, record }) => revision(kind, record.id, revised, true)),
];

const revision = (kind: RecordKind, id: string, revised: string, isRemoved: boolean): Revision[] =>
  kind === 'revisions' ? [] : [{ id: revisionId(kind, id), revised, of: { kind, id }, isRemoved }];
