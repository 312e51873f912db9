import { recordWith } from '@frank-gauge/core/journal';
import type { Due } from '@frank-gauge/core/upkeep';
import { describe, expect, it } from 'vitest';
import {
  broughtWords,
  DUE_HOW,
  DUE_NAMES,
  dueWords,
  lastCostWords,
  leftWords,
} from './upkeep-words';

const now = new Date(2026, 10, 29, 12).getTime();
const on = (month: number, day: number) => new Date(2026, month - 1, day).getTime();

const due = (change: Partial<Due>): Due => ({
  ...{ kind: 'bin', last: on(11, 1), at: on(12, 6), by: 'model', share: 0.8, lasts: 3e6 },
  range: { from: on(11, 30), to: new Date(2027, 1, 3).getTime() },
  ...change,
});

describe('what is due, in words', () => {
  it('says the day, between what it lies, and by what that is known', () => {
    expect(dueWords(due({}), now)).toBe(
      'Last done on Nov 1, 2026. Due on Dec 6, 2026, between Nov 30, 2026 and Feb 3, 2027, 95 times in 100; an estimate, by what the machines make.',
    );
    expect(dueWords(due({ at: on(11, 20), by: 'history', range: null }), now)).toContain(
      'Due since Nov 20, 2026; by how often it was done before.',
    );
    expect(dueWords(due({ range: { from: on(12, 1), to: null }, by: 'pressure' }), now)).toContain(
      'Dec 1, 2026 at the earliest; by the pressure across it',
    );
  });

  it('names no day that is past, and none years ahead', () => {
    const [from, to] = [on(11, 10), new Date(2038, 1, 21).getTime()];
    const soon = new Date(2027, 1, 3).getTime();
    expect(dueWords(due({ range: { from, to: soon } }), now)).toContain(
      'Due on Dec 6, 2026, perhaps already, Feb 3, 2027 at the latest, 95 times in 100;',
    );
    expect(dueWords(due({ range: { from, to } }), now)).toContain(
      'Due on Dec 6, 2026, perhaps already, perhaps not for 11 years, 95 times in 100;',
    );
    expect(dueWords(due({ range: { from: on(11, 30), to } }), now)).toContain(
      'Nov 30, 2026 at the earliest, perhaps not for 11 years,',
    );
    expect(dueWords(due({ range: { from, to: null } }), now)).toContain('perhaps already;');
    // What is due says since when, whatever the range.
    expect(dueWords(due({ at: on(11, 20), range: { from, to: soon } }), now)).toContain(
      'Due since Nov 20, 2026, between Nov 10, 2026 and Feb 3, 2027',
    );
  });

  it('counts years where it is not due for years', () => {
    const far = new Date(2032, 5, 1).getTime();
    expect(dueWords(due({ kind: 'filter', at: far }), now)).toBe(
      'Last done on Nov 1, 2026. Not due for about 6 years, Nov 30, 2026 at the earliest; an estimate, by what the machines make.',
    );
  });

  it('says what to do where nothing is known', () => {
    const unknown = { at: null, range: null, share: null } as const;
    expect(dueWords(due({ ...unknown, last: null, lasts: null }), now)).toContain('Not known yet.');
    expect(dueWords(due({ ...unknown, lasts: null }), now)).toContain('then there is an interval');
    expect(dueWords(due({ ...unknown, last: null, lasts: 32 * 86_400 }), now)).toContain(
      'Lasts about 5 weeks',
    );
    expect(dueWords(due({ kind: 'checks', last: null, by: 'calendar' }), now)).toContain(
      'Nobody has logged',
    );
    expect(dueWords(due({ kind: 'reseal', at: on(10, 2) }), now)).toContain(
      'changed on Oct 2, 2026',
    );
  });

  it('has a name and a way for each', () => {
    expect(Object.keys(DUE_HOW)).toEqual(Object.keys(DUE_NAMES));
    // Wherever dust is let loose, the respirator is named.
    for (const kind of ['bin', 'filter bin', 'filter'] as const) {
      expect(DUE_HOW[kind]).toContain('respirator');
    }
  });
});

describe('what care brought', () => {
  const event = recordWith('events', {
    ...{ id: 'e', at: '2026-11-01T12:00:00.000Z', kind: 'emptied', note: '', cost: null },
  });
  const airflow = { ratio: 1.25, low: 1.2, high: 1.3, isSignificant: true };
  const worth = { event, airflow, pressure: null, along: 0 } as const;

  it('says what came back, and what the full bin had cost', () => {
    // By hand: a quarter more is what a fifth less had been.
    expect(broughtWords(worth)).toBe(
      'airflow +25 % (+20 % to +30 %). The full bin had cost 20 % of the airflow.',
    );
    expect(broughtWords({ ...worth, along: 2 })).toBe(
      'airflow +25 % (+20 % to +30 %). With it: 2 other changes between the same readings.',
    );
    const less = { ratio: 0.9, low: 0.88, high: 0.92, isSignificant: true };
    expect(broughtWords({ ...worth, airflow: less })).toContain('the filter loaded between');
    const cleaned = { ...event, kind: 'cleaned' as const };
    expect(broughtWords({ ...worth, event: cleaned, airflow: less })).toContain('look under Leaks');
    const none = { ratio: 0.99, low: 0.95, high: 1.03, isSignificant: false };
    expect(broughtWords({ ...worth, airflow: none })).toBe(
      'no difference in airflow shown (−5 % to +3 %).',
    );
    expect(broughtWords({ ...worth, airflow: null })).toContain('the gain is not known');
  });

  it('says what the same bin cost the last time it was full, or how to find out', () => {
    const lasted = (worths: Parameters<typeof lastCostWords>[1]) => lastCostWords('bin', worths);
    expect(lasted([worth])).toBe(
      'Before it was emptied on Nov 1, 2026 it had cost 20 % of the airflow.',
    );
    const unread = { ...worth, airflow: null };
    expect(lasted([unread, worth])).toContain('cost 20 %');
    for (const unknown of [[], [unread], [{ ...worth, along: 1 }]]) {
      expect(lasted(unknown)).toContain('read a drop just before and just after');
    }
    expect(lastCostWords('filter bin', [worth])).toContain('read a drop just before');
  });

  it('says when only a new filter helps, or what to read to know it', () => {
    expect(leftWords({ risen: 1.52, worn: null })).toContain('1.5 times');
    expect(leftWords({ risen: 1.52, worn: null })).toContain('three of them');
    const worn = { at: on(11, 20), from: on(10, 1), to: null };
    expect(leftWords({ risen: 2, worn })).toContain('Nov 20, 2026 (Oct 1, 2026 at the earliest');
  });
});
