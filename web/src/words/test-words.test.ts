import { TEST_KINDS } from '@frank-gauge/core/journal';
import { describe, expect, it } from 'vitest';
import { foundWords, TEST_HOW } from './test-words';

describe('a test, in words', () => {
  it('says where, and what was seen', () => {
    expect(foundWords({ kind: 'smoke test', place: 'main, first wye', found: true })).toBe(
      'Main, first wye: a leak.',
    );
    expect(foundWords({ kind: 'hand test', place: '', found: false })).toBe('No leak.');
    expect(foundWords({ kind: 'light test', place: 'filter', found: true })).toBe(
      'Filter: dust comes through.',
    );
    expect(foundWords({ kind: 'light test', place: '', found: null })).toBe(
      'What was seen is not said.',
    );
  });

  it('is said how to make, with what it can hurt', () => {
    expect(Object.keys(TEST_HOW)).toEqual([...TEST_KINDS]);
    // Smoke is made with a flame nearby: that has no place beside dust.
    expect(TEST_HOW['smoke test']).toContain('No flame near dust');
    expect(TEST_HOW['hand test']).toContain('fingers');
  });
});
