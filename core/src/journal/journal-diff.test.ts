import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJournal, type Journal, recordWith } from './journal';
import {
  diffBetween,
  invertDiff,
  isEmptyDiff,
  joinDiffs,
  updateOnto,
  withDiff,
} from './journal-diff';

const sound = (id: string, level: number) => ({
  id,
  at: '2026-10-01T10:00:00Z',
  place: 'Bench',
  level,
  distance: null,
  expected: null,
  hours: null,
  isSimulated: false,
  note: '',
});

/** Journals of a few sounds and meters. */
const anyJournal: fc.Arbitrary<Journal> = fc
  .record({
    sounds: fc.uniqueArray(
      fc.record({
        id: fc.constantFrom('a', 'b', 'c', 'd'),
        level: fc.integer({ min: 70, max: 72 }),
      }),
      { selector: ({ id }) => id },
    ),
    meters: fc.uniqueArray(fc.constantFrom('m', 'n')),
  })
  .map(({ sounds, meters }) => ({
    ...emptyJournal(),
    sounds: sounds.map(({ id, level }) => sound(id, level)),
    instruments: meters.map((id) =>
      recordWith('instruments', { id, name: id, kind: 'vane', accuracy: 0.03 }),
    ),
  }));

/** Records by id: their order in a list means nothing. */
const sorted = (journal: Journal) => ({
  ...journal,
  sounds: journal.sounds.toSorted((a, b) => a.id.localeCompare(b.id)),
  instruments: journal.instruments.toSorted((a, b) => a.id.localeCompare(b.id)),
});

describe('a diff of journals', () => {
  it('leads from one to the other, and inverted back', () => {
    fc.assert(
      fc.property(anyJournal, anyJournal, (before, after) => {
        const diff = diffBetween(before, after);
        expect(sorted(withDiff(before, diff))).toEqual(sorted(after));
        expect(sorted(withDiff(after, invertDiff(diff)))).toEqual(sorted(before));
      }),
    );
  });

  it('joined with the next is the diff of both', () => {
    fc.assert(
      fc.property(anyJournal, anyJournal, anyJournal, (a, b, c) => {
        const joined = joinDiffs(diffBetween(a, b), diffBetween(b, c));
        const whole = diffBetween(a, c);
        const ids = (diff: typeof whole) => ({
          added: diff.added.map(({ record }) => record.id).sort(),
          updated: diff.updated.map(({ after }) => after.id).sort(),
          removed: diff.removed.map(({ record }) => record.id).sort(),
        });
        expect(ids(joined)).toEqual(ids(whole));
        expect(sorted(withDiff(a, joined))).toEqual(sorted(c));
        expect(sorted(withDiff(c, invertDiff(joined)))).toEqual(sorted(a));
      }),
    );
  });

  it('is empty between the same, by value', () => {
    const journal = { ...emptyJournal(), sounds: [sound('a', 80)] };
    expect(isEmptyDiff(diffBetween(journal, structuredClone(journal)))).toBe(true);
  });

  it('leaves lists in the order of their times, and kinds that are not there alone', () => {
    const at = (id: string, minute: number) => ({
      ...sound(id, 80),
      at: `2026-10-01T10:0${minute}:00Z`,
    });
    const added = [{ kind: 'sounds', record: at('new', 2) }] as const;
    const diff = { added, updated: [], removed: [] };
    const made = withDiff({ sounds: [at('a', 1), at('b', 3)] }, diff);
    expect(made.sounds.map(({ id }) => id)).toEqual(['a', 'new', 'b']);
    expect(withDiff({ sounds: [at('b', 3)] }, diff).sounds.map(({ id }) => id)).toEqual([
      'new',
      'b',
    ]);
    expect(withDiff({ sounds: [at('a', 1)] }, diff).sounds.map(({ id }) => id)).toEqual([
      'a',
      'new',
    ]);
    // Of one time, by their ids.
    const same = withDiff({ sounds: [at('m', 2), at('z', 2)] }, diff);
    expect(same.sounds.map(({ id }) => id)).toEqual(['m', 'new', 'z']);
    expect(withDiff({ instruments: [] }, diff)).toEqual({ instruments: [] });
  });

  it('that only removes, or only updates, is not empty', () => {
    const entry = { kind: 'sounds', record: sound('a', 80) } as const;
    const update = { kind: 'sounds', before: sound('a', 80), after: sound('a', 90) } as const;
    expect(isEmptyDiff({ added: [entry], updated: [update], removed: [] })).toBe(false);
    expect(isEmptyDiff({ added: [], updated: [update], removed: [entry] })).toBe(false);
    expect(isEmptyDiff({ added: [entry], updated: [], removed: [entry] })).toBe(false);
  });

  it('adds nothing where the id is taken', () => {
    const journal = { sounds: [sound('a', 80)] };
    const added = { kind: 'sounds', record: sound('a', 99) } as const;
    expect(withDiff(journal, { added: [added], updated: [], removed: [] })).toEqual(journal);
  });

  it('updates the fields it changed, and leaves what changed elsewhere', () => {
    const [before, louder] = [sound('a', 80), sound('a', 90)];
    const elsewhere = { ...before, note: 'Ear muffs on.' };
    const made = updateOnto(elsewhere, { kind: 'sounds', before, after: louder });
    expect(made).toEqual({ ...louder, note: 'Ear muffs on.' });
  });
});
