import papaparse from 'papaparse';
import { describe, expect, it } from 'vitest';
import { toSI } from '../quantity/units';
import { writeDrops } from './write-drops';

const planer = {
  name: 'Planer, the large one',
  need: toSI(550, 'cfm'),
  air: {
    flow: toSI(543.25, 'cfm'),
    uncertainty: toSI(29, 'cfm'),
    velocity: 20,
    mainVelocity: null,
    hoodSuction: toSI(3.5, 'inwg'),
    status: 'a little short',
  },
};

describe('drops as a table', () => {
  it('read back as what they were, in the units the header names', () => {
    const { data } = papaparse.parse<Record<string, string>>(writeDrops([planer], 'us'), {
      header: true,
      skipEmptyLines: true,
    });
    const [row] = data;
    expect(row?.Drop).toBe(planer.name);
    expect(Number(row?.['Required (CFM)'])).toBeCloseTo(550, 3);
    expect(Number(row?.['Airflow (CFM)'])).toBeCloseTo(543.25, 2);
    expect(Number(row?.['Hood static pressure (in. w.g.)'])).toBeCloseTo(3.5, 4);
    expect(row?.['Main velocity (fpm)']).toBe('');
    expect(row?.Status).toBe('a little short');
  });

  it('have no numbers where there is no answer, and no formula in a name', () => {
    const csv = writeDrops([{ name: '=1+1', need: 0.2, air: null }], 'metric');
    const [row] = papaparse.parse<string[]>(csv, { skipEmptyLines: true }).data.slice(1);
    expect(row?.[0]?.startsWith('=')).toBe(false);
    expect(row?.slice(2)).toEqual(['', '', '', '', '', 'no answer']);
  });
});
