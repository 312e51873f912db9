import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { coefficientsDocument } from '../core/src/sources/coefficients-document';

it('docs/coefficients.md is what npm run docs:coefficients writes', () => {
  const kept = readFileSync(new URL('../docs/coefficients.md', import.meta.url), 'utf8');
  expect(kept).toBe(coefficientsDocument());
});
