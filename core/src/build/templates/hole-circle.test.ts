import { describe, expect, it } from 'vitest';
import { checkRuler } from '../../routing/sheets/check-ruler';
import { sheetSvg } from '../../routing/sheets/sheet-svg';
import { chanceOf } from '../../simulate/chance';
import { type HoleCircle, holeCircle, holeCircleSheet, LEAST_BRIDGE } from './hole-circle';
import type { TemplateFault } from './template-fault';

const FLANGE: HoleCircle = { hole: 0.152, circle: 0.19, count: 6, small: 0.0065 };

describe('a hole with others around it', () => {
  it('has them evenly around, clear of it and of each other, whatever the sizes', () => {
    const chance = chanceOf(4);
    let possible = 0;
    for (let n = 0; n < 400; n++) {
      const hole = 0.02 + 0.2 * chance.uniform();
      const sizes = {
        hole,
        circle: hole * (0.9 + 0.5 * chance.uniform()),
        count: 1 + Math.floor(12 * chance.uniform()),
        small: 0.003 + 0.02 * chance.uniform(),
      };
      const made = holeCircle(sizes);
      if (!made.ok) continue;
      possible++;
      expect(made.centers).toHaveLength(sizes.count);
      for (const [i, a] of made.centers.entries()) {
        const free = Math.hypot(a.x, a.y) - sizes.hole / 2 - sizes.small / 2;
        expect(free).toBeGreaterThanOrEqual(LEAST_BRIDGE - 1e-12);
        for (const b of made.centers.slice(i + 1)) {
          const apart = Math.hypot(a.x - b.x, a.y - b.y) - sizes.small;
          expect(apart).toBeGreaterThanOrEqual(LEAST_BRIDGE - 1e-12);
        }
      }
    }
    expect(possible).toBeGreaterThan(50);
  });

  it('is drawn at true size', () => {
    const made = holeCircle(FLANGE);
    if (!made.ok) throw new Error(made.fault.kind);
    const items = holeCircleSheet(FLANGE, made.centers, { name: 'a', ruler: checkRuler('metric') });
    const radii = [...sheetSvg(items).matchAll(/ r="([\d.]+)"/g)].map(([, r]) => Number(r));
    expect(radii).toEqual([76, ...Array(6).fill(3.25), 95]);
  });

  it('may be alone', () => {
    expect(holeCircle({ ...FLANGE, count: 0, small: 0 })).toEqual({ ok: true, centers: [] });
  });

  it.each<[keyof HoleCircle, Partial<HoleCircle>, TemplateFault]>([
    ['hole', { hole: 0 }, { kind: 'no size' }],
    ['circle', { circle: 0.155 }, { kind: 'meet the large hole', least: 0.1665 }],
    ['count', { count: 2.5 }, { kind: 'count out of range', most: 60 }],
    ['count', { count: 60, small: 0.01 }, { kind: 'meet each other', most: 42 }],
    ['small', { small: 0 }, { kind: 'no size' }],
  ])('refuses a wrong %s by name', (field, wrong, says) => {
    const made = holeCircle({ ...FLANGE, ...wrong });
    expect(made.ok ? '' : made.field).toBe(field);
    expect(made.ok ? null : made.fault).toEqual(says);
  });
});
