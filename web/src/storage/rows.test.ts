import { describe, expect, it } from 'vitest';
import { mendedSummary, newSummary, type SummaryRow } from './rows';
import { sampleShop } from './sample-records';

const whole: SummaryRow = {
  ...newSummary('one', sampleShop(), 3),
  changed: '2026-10-01T10:00:00Z',
  revision: 4,
  designRevision: 3,
  journalRevision: 2,
  cursor: 2,
  changes: 5,
};
const judged = { kind: 'judged', of: 3, drops: 2, worst: { name: 'Saw', margin: -0.1 } } as const;
const diff = { added: [], updated: [], removed: [] };

describe('a summary as it is stored', () => {
  it.each<[string, Partial<SummaryRow>]>([
    ['new', {}],
    ['in metric', { units: 'metric' }],
    ['thrown away', { deleted: '2026-11-01T00:00:00Z' }],
    ['judged', { standing: judged }],
    ['judged without a drop that has an answer', { standing: { ...judged, worst: null } }],
    ['unreadable', { standing: { kind: 'unreadable', of: 0 } }],
    ['with news', { lastDiff: diff }],
    ['with edits remembered', { writes: ['a'] }],
    ['with nought of everything', { revision: 0, cursor: 0, changes: 0, readings: 0 }],
  ])('that is whole is left as it is: %s', (_, members) => {
    const row = { ...whole, ...members };
    expect(mendedSummary(row)).toBe(row);
  });

  it.each<[string, unknown, unknown]>([
    ['name', 5, 'A damaged shop'],
    ['name', undefined, 'A damaged shop'],
    ['note', null, ''],
    ['units', 'cubits', 'us'],
    ['changed', 'yesterday', '1970-01-01T00:00:00.000Z'],
    ['changed', 12, '1970-01-01T00:00:00.000Z'],
    ['deleted', 'once', null],
    ['deleted', undefined, null],
    ['revision', -1, 0],
    ['designRevision', 1.5, 0],
    ['journalRevision', '2', 0],
    ['cursor', Number.NaN, 0],
    ['changes', Number.POSITIVE_INFINITY, 0],
    ['readings', null, 0],
    ['renewed', {}, []],
    ['lastDiff', {}, null],
    ['lastDiff', { ...diff, removed: 'all' }, null],
    ['lastDiff', 'news', null],
    ['standing', 'good', null],
    ['standing', undefined, null],
    ['standing', { ...judged, of: -1 }, null],
    ['standing', { ...judged, kind: 'guessed' }, null],
    ['standing', { kind: 'unreadable' }, null],
    ['standing', { ...judged, drops: 'two' }, null],
    ['standing', { ...judged, worst: 'Saw' }, null],
    ['standing', { ...judged, worst: { name: 'Saw', margin: Number.NaN } }, null],
    ['standing', { ...judged, worst: { name: 1, margin: 1 } }, null],
    ['standing', { ...judged, worst: undefined }, null],
  ])('has its %s put right where it is %j, and nothing else', (member, value, right) => {
    const row = { ...whole, standing: judged, lastDiff: diff, [member]: value } as SummaryRow;
    expect(mendedSummary(row)).toEqual({ ...row, [member]: right });
  });

  it('of a document that is no shop has a name all the same', () => {
    for (const document of [
      null,
      undefined,
      5,
      {},
      { shop: 7 },
      { shop: { name: 7, note: [], units: 1 } },
    ]) {
      expect(newSummary('x', document as never, 0)).toMatchObject({
        name: 'A damaged shop',
        note: '',
        units: 'us',
      });
    }
    expect(
      newSummary('x', { shop: { name: 'Barn', note: 'n', units: 'metric' } } as never, 2),
    ).toMatchObject({
      name: 'Barn',
      note: 'n',
      units: 'metric',
      readings: 2,
    });
  });
});
