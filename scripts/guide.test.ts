import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { guideWithViews } from './guide-views';

it('docs/guide.md says of each view what the view says itself', () => {
  const kept = readFileSync(new URL('../docs/guide.md', import.meta.url), 'utf8');
  expect(kept).toContain('### Air\n');
  expect(guideWithViews(kept)).toBe(kept);
});
