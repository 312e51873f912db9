import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyJournal, type Journal, recordWith } from './journal';
import { diffBetween, isEmptyDiff, withDiff } from './journal-diff';
import { mergeJournals } from './merge-journals';
import { revisionsOf } from './revisions';

const DAY = (day: number) => `2026-10-${String(day).padStart(2, '0')}T10:00:00.000Z`;

const event = (id: string, note: string) =>
  recordWith('events', { id, at: DAY(1), kind: 'changed', note, cost: null });

const reading = (id: string, testPoint: string) =>
  recordWith('readings', {
    ...{ id, at: DAY(2), testPoint, instrument: 'v', quantity: 'velocity', spot: 'point' },
    ...{ diameter: 0.1, taken: [{ kind: 'value', value: 20 }], unit: 'fpm', openGates: [] },
    note: '',
  });

const journalOf = (lists: Partial<Journal>): Journal => ({ ...emptyJournal(), ...lists });

/** The journal after an edit, with the revisions it leaves, as storage notes them. */
function edited(journal: Journal, at: string, lists: Partial<Journal>): Journal {
  const after = { ...journal, ...lists };
  const made = revisionsOf(diffBetween(journal, after), at);
  const ids = new Set(made.map(({ id }) => id));
  const revisions = [...journal.revisions.filter(({ id }) => !ids.has(id)), ...made];
  return { ...after, revisions };
}

const merged = (here: Journal, there: Journal) => withDiff(here, mergeJournals(here, there).diff);
const notesOf = ({ events }: Journal) => events.map(({ id, note }) => `${id}: ${note}`).sort();

const first = journalOf({ events: [event('a', 'first'), event('b', 'first')] });

describe('merging two copies of a journal', () => {
  it('has what either has, once', () => {
    const here = { ...first, events: [...first.events, event('c', 'here')] };
    const there = { ...first, events: [...first.events, event('d', 'there')] };
    const merge = mergeJournals(here, there);
    expect(merge.added).toEqual([{ kind: 'events', record: event('d', 'there') }]);
    expect(notesOf(merged(here, there))).toEqual(['a: first', 'b: first', 'c: here', 'd: there']);
    expect(isEmptyDiff(mergeJournals(merged(here, there), there).diff)).toBe(true);
  });

  it('of a record edited on both sides keeps the later edit, and names it', () => {
    const here = edited(first, DAY(5), { events: [event('a', 'here'), event('b', 'first')] });
    const there = edited(first, DAY(6), { events: [event('a', 'there'), event('b', 'first')] });
    expect(mergeJournals(here, there)).toMatchObject({
      adopted: [{ kind: 'events', here: { note: 'here' }, there: { note: 'there' } }],
      kept: [],
    });
    expect(mergeJournals(there, here)).toMatchObject({ adopted: [], kept: [{ kind: 'events' }] });
    for (const both of [merged(here, there), merged(there, here)]) {
      expect(notesOf(both)).toEqual(['a: there', 'b: first']);
    }
    // The edit keeps its own time: what is edited there after the file was made still wins next time.
    const again = edited(there, DAY(7), { events: [event('a', 'later'), event('b', 'first')] });
    expect(notesOf(merged(merged(here, there), again))).toEqual(['a: later', 'b: first']);
  });

  it('keeps what it has of a record nobody knows when it was edited, and names it', () => {
    const there = journalOf({ events: [event('a', 'other'), event('b', 'first')] });
    const merge = mergeJournals(first, there);
    expect(merge.kept).toHaveLength(1);
    expect(isEmptyDiff(merge.diff)).toBe(true);
  });

  it('leaves out what was taken out on either side, unless it was edited later', () => {
    const without = edited(first, DAY(5), { events: [event('b', 'first')] });
    expect(mergeJournals(without, first).leftOut).toHaveLength(1);
    expect(notesOf(merged(without, first))).toEqual(['b: first']);
    expect(mergeJournals(first, without).removed).toHaveLength(1);
    expect(notesOf(merged(first, without))).toEqual(['b: first']);
    const later = edited(first, DAY(6), { events: [event('a', 'later'), event('b', 'first')] });
    for (const both of [merged(without, later), merged(later, without)]) {
      expect(notesOf(both)).toEqual(['a: later', 'b: first']);
    }
  });

  it('takes test points made on both sides for one port or tap as one, with their readings', () => {
    const point = (id: string, at: object) =>
      recordWith('testPoints', { id, name: 'Saw', at: at as never });
    const port = { kind: 'port', node: 'n1' };
    const tap = { kind: 'collector', tap: 'filter' };
    const place = { kind: 'place', point: { x: 1, y: 1, z: 1 } };
    const here = journalOf({
      testPoints: [point('p1', port), point('f1', tap), point('s1', place)],
      readings: [reading('r1', 'p1')],
    });
    const there = journalOf({
      testPoints: [point('p2', port), point('f2', tap), point('s2', place)],
      readings: [reading('r2', 'p2'), reading('r3', 'f2'), reading('r4', 's2')],
      photos: [
        recordWith('photos', {
          ...{ id: 'ph', at: DAY(2), of: { kind: 'test point', id: 'p2' } },
          ...{ file: 'a.jpg', type: 'image/jpeg' },
        }),
      ],
    });
    const both = merged(here, there);
    expect(both.testPoints.map(({ id }) => id)).toEqual(['p1', 'f1', 's1', 's2']);
    expect(both.readings.map(({ id, testPoint }) => [id, testPoint])).toEqual([
      ['r1', 'p1'],
      ['r2', 'p1'],
      ['r3', 'f1'],
      ['r4', 's2'],
    ]);
    expect(both.photos[0]?.of).toEqual({ kind: 'test point', id: 'p1' });
    expect(isEmptyDiff(mergeJournals(both, there).diff)).toBe(true);
  });

  it('comes to the same whichever copy is merged into which, and a second time to nothing', () => {
    // Edits of two copies after they parted, no two at one time.
    const anyEdits = fc.array(
      fc.record({
        isHere: fc.boolean(),
        id: fc.constantFrom('a', 'b', 'c', 'd'),
        note: fc.option(fc.constantFrom('x', 'y', 'z')),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(anyEdits, (edits) => {
        let [here, there] = [first, first];
        edits.forEach(({ isHere, id, note }, i) => {
          const journal = isHere ? here : there;
          const others = journal.events.filter((other) => other.id !== id);
          // Two copies never make two records of one id.
          const isNew = others.length === journal.events.length;
          const own = isNew ? `${id}${isHere ? 1 : 2}` : id;
          const events = note === null ? others : [...others, event(own, note)];
          const after = edited(journal, DAY(3 + i), { events: dedupe(events) });
          if (isHere) here = after;
          else there = after;
        });
        const both = merged(here, there);
        expect(notesOf(merged(there, here))).toEqual(notesOf(both));
        expect(isEmptyDiff(mergeJournals(both, there).diff)).toBe(true);
        expect(isEmptyDiff(mergeJournals(both, here).diff)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

const dedupe = (events: readonly ReturnType<typeof event>[]) => [
  ...new Map(events.map((one) => [one.id, one])).values(),
];
