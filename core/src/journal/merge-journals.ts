import { isSame } from '../document/changes';
import { type Journal, type JournalRecord, RECORD_KINDS, type RecordKind } from './journal';
import type { Entry, JournalDiff } from './journal-diff';
import type { Revision } from './revision';
import { revisionId } from './revisions';
import type { TestPoint } from './test-point';

/** A record of which the two copies differ, and what came of it. */
export interface Differing {
  readonly kind: RecordKind;
  readonly here: JournalRecord;
  readonly there: JournalRecord;
}

/** What merging another copy of a journal does to this one. */
export interface Merge {
  /** Makes this journal the merged one. */
  readonly diff: JournalDiff;
  /** Records only the other copy has. */
  readonly added: readonly Entry[];
  /** Edited later there: that edit is adopted. */
  readonly adopted: readonly Differing[];
  /** Edited later here, or nobody knows when: this one stays. */
  readonly kept: readonly Differing[];
  /** Taken out there after it was last edited here. */
  readonly removed: readonly Entry[];
  /** Taken out here after it was last edited there: it stays out. */
  readonly leftOut: readonly Entry[];
}

type RealKind = Exclude<RecordKind, 'revisions'>;
const REAL_KINDS = RECORD_KINDS.filter((kind): kind is RealKind => kind !== 'revisions');

/**
 * Merges another copy of a journal into this one, record by record: what only one has both have, of what
 * differs the later edit wins, and what was taken out stays out unless it was edited later. Two test points
 * at one port or one tap are one. Merging the same copy again changes nothing.
 */
export function mergeJournals(here: Journal, other: Journal): Merge {
  const there = withPointsOf(here, other);
  const revisedHere = byId(here.revisions);
  const revisedThere = byId(there.revisions);
  const added: Entry[] = [];
  const adopted: Differing[] = [];
  const kept: Differing[] = [];
  const removed: Entry[] = [];
  const leftOut: Entry[] = [];
  for (const kind of REAL_KINDS) {
    const [ours, theirs] = [byId<JournalRecord>(here[kind]), byId<JournalRecord>(there[kind])];
    for (const record of theirs.values()) {
      const own = ours.get(record.id);
      const isLater = isLaterThan(
        revisedThere.get(revisionId(kind, record.id)),
        revisedHere.get(revisionId(kind, record.id)),
      );
      if (own) {
        if (isSame(own, record)) continue;
        (isLater ? adopted : kept).push({ kind, here: own, there: record });
      } else {
        const isOut = revisedHere.get(revisionId(kind, record.id))?.isRemoved === true;
        (isOut && !isLater ? leftOut : added).push({ kind, record });
      }
    }
    for (const record of ours.values()) {
      const revision = revisedThere.get(revisionId(kind, record.id));
      if (theirs.has(record.id) || !revision?.isRemoved) continue;
      if (isLaterThan(revision, revisedHere.get(revision.id))) removed.push({ kind, record });
    }
  }
  const revisions = mergedRevisions(revisedHere, revisedThere);
  return {
    diff: {
      added: [...added, ...revisions.added],
      updated: [
        ...adopted.map(({ kind, here: before, there: after }) => ({ kind, before, after })),
        ...revisions.updated,
      ],
      removed,
    },
    added,
    adopted,
    kept,
    removed,
    leftOut,
  };
}

const byId = <R extends { readonly id: string }>(list: readonly R[]): ReadonlyMap<string, R> =>
  new Map(list.map((record) => [record.id, record]));

const timeOf = (revision: Revision | undefined) => (revision ? Date.parse(revision.revised) : 0);

const isLaterThan = (a: Revision | undefined, b: Revision | undefined) => timeOf(a) > timeOf(b);

function mergedRevisions(
  here: ReadonlyMap<string, Revision>,
  there: ReadonlyMap<string, Revision>,
): Pick<JournalDiff, 'added' | 'updated'> {
  const added: Entry[] = [];
  const updated: JournalDiff['updated'][number][] = [];
  for (const revision of there.values()) {
    const own = here.get(revision.id);
    if (!own) added.push({ kind: 'revisions', record: revision });
    else if (isLaterThan(revision, own)) {
      updated.push({ kind: 'revisions', before: own, after: revision });
    }
  }
  return { added, updated };
}

/** Where there can be but one test point: at a port, or at a tap of the collector. */
const placeOf = ({ at }: TestPoint): string | null => {
  if (at.kind === 'port') return `port ${at.node}`;
  return at.kind === 'collector' ? `collector ${at.tap}` : null;
};

/** The other copy with the test points it made for itself where this one has its own called by this one's ids. */
function withPointsOf(here: Journal, there: Journal): Journal {
  const ours = new Map(
    here.testPoints.flatMap((point) => {
      const place = placeOf(point);
      return place === null ? [] : [[place, point.id] as const];
    }),
  );
  const known = new Set(here.testPoints.map(({ id }) => id));
  const renamed = new Map(
    there.testPoints.flatMap((point) => {
      const id = ours.get(placeOf(point) ?? '');
      return id === undefined || known.has(point.id) ? [] : [[point.id, id] as const];
    }),
  );
  if (renamed.size === 0) return there;
  const called = <R extends { readonly testPoint: string }>(record: R): R => {
    const testPoint = renamed.get(record.testPoint);
    return testPoint === undefined ? record : { ...record, testPoint };
  };
  return {
    ...there,
    testPoints: there.testPoints.filter(({ id }) => !renamed.has(id)),
    readings: there.readings.map(called),
    events: there.events.map((event) => ({ ...event, promised: event.promised.map(called) })),
    photos: there.photos.map((photo) =>
      photo.of?.kind === 'test point'
        ? { ...photo, of: { ...photo.of, id: renamed.get(photo.of.id) ?? photo.of.id } }
        : photo,
    ),
  };
}
