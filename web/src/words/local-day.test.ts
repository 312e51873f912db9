import { describe, expect, it } from 'vitest';
import { beginOfDay, localDay } from './local-day';

describe('a day in the reader’s own calendar', () => {
  it('begins on that day, wherever the reader is', () => {
    for (const day of ['2026-05-01', '2026-11-07', '2024-02-29', '2026-12-31']) {
      expect(localDay(beginOfDay(day))).toBe(day);
      expect(localDay(beginOfDay(day) - 1)).not.toBe(day);
    }
  });

  it('is none where nothing, or no day, was entered', () => {
    expect(beginOfDay('')).toBeNaN();
    expect(beginOfDay('2026-13-40')).toBeNaN();
  });
});
