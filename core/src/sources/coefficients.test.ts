import { describe, expect, it } from 'vitest';
import { ELBOW_STYLES } from '../fittings/elbow';
import { coefficientGroups } from './coefficients';

describe('the list of sources', () => {
  const groups = coefficientGroups();

  it('gives every number a source and a mark, and leaves none without a value', () => {
    expect(new Set(groups.map(({ title }) => title)).size).toBe(groups.length);
    for (const { title, source, coefficients } of groups) {
      expect(new Set(coefficients.map(({ name }) => name)).size, title).toBe(coefficients.length);
      expect(source, title).not.toBe('');
      expect(coefficients.length, title).toBeGreaterThan(0);
      for (const { name, value, origin } of coefficients) {
        expect(Number.isFinite(value), `${title}: ${name}`).toBe(true);
        // Only a momentum junction may give: fast air in the main draws a branch along.
        if (title === 'Ranges') {
          expect(value, `${title}: ${name}`).toBeGreaterThanOrEqual(0);
        } else if (!title.startsWith('Wye by momentum')) {
          expect(value, `${title}: ${name}`).toBeGreaterThan(0);
        }
        expect(['standard', 'practice', 'estimate']).toContain(origin);
      }
    }
  });

  it('says from memory where a published source was not open', () => {
    for (const { title, source, coefficients } of groups) {
      if (!coefficients.some(({ origin }) => origin === 'standard')) continue;
      expect(source, title).toMatch(/from memory/);
    }
  });

  it('lists what is used: every tabled elbow', () => {
    const elbows = groups.find(({ title }) => title.startsWith('Elbows'));
    const tabled = Object.values(ELBOW_STYLES).reduce((sum, { at }) => sum + at.length, 0);
    expect(elbows?.coefficients).toHaveLength(tabled);
  });
});
