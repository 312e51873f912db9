import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { fromSI, toSI } from '../quantity/units';
import { correctReading } from './corrections';
import { shownFor } from './shown-for';

const reading = (fields: Partial<Reading>) =>
  recordWith('readings', {
    id: 'r',
    at: '2026-06-01T10:00:00Z',
    testPoint: 'p',
    instrument: 'm',
    quantity: 'velocity',
    spot: 'average',
    diameter: toSI(4.75, 'in'),
    taken: [{ kind: 'value', value: 1 }],
    unit: 'fpm',
    openGates: [],
    note: '',
    ...fields,
  });

const by = {
  instrument: recordWith('instruments', {
    id: 'm',
    name: 'Meter',
    kind: 'vane',
    accuracy: 0.03,
    headDiameter: toSI(1.1, 'in'),
    calibrations: [
      {
        id: 'c',
        from: '2026-01-01T00:00:00Z',
        factor: 1.02,
        table: [
          { shown: 5, truth: 4.8 },
          { shown: 25, truth: 25.5 },
        ],
      },
    ],
  }),
  point: undefined,
  air: { density: 1.2014, viscosity: 1.82e-5 },
  roughness: 9e-5,
};
const bare = { ...by, instrument: undefined };

describe('what a meter would show', () => {
  it('of 441 CFM averaged across 4.75 in. is 3583 fpm (common practice, no source)', () => {
    const shown = shownFor(toSI(441, 'cfm'), reading({}), bare);
    expect(fromSI(shown ?? 0, 'fpm')).toBeCloseTo(3583, -1);
  });

  it('corrected is the flow it was asked for, whatever the meter and the way it is held', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Partial<Reading>>(
          {},
          { spot: 'centre' },
          { spot: 'traverse', traverse: { points: 6, diameters: 2 } },
          { quantity: 'velocity pressure', spot: 'centre' },
          { quantity: 'flow', presetDiameter: 0.1 },
          { hold: 'maximum' },
        ),
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        fc.constantFrom(by, bare),
        (fields, flow, circumstances) => {
          const own = reading({ ...fields, spot: 'average', traverse: null });
          const asked = {
            ...own,
            spot: fields.spot ?? own.spot,
            traverse: fields.traverse ?? null,
          };
          const shown = shownFor(flow, asked, circumstances) ?? 0;
          const points = asked.traverse ? 12 : 1;
          const taken = Array.from({ length: points }, () => ({
            kind: 'value' as const,
            value: shown,
          }));
          const { mean } = correctReading({ ...asked, taken }, circumstances);
          expect(mean.kind === 'value' && mean.mean / flow).toBeCloseTo(1, 3);
        },
      ),
    );
  });

  it('is not known of a pressure, nor of no air', () => {
    expect(shownFor(0.2, reading({ quantity: 'pressure' }), bare)).toBeNull();
    expect(shownFor(0, reading({}), bare)).toBeNull();
  });
});
