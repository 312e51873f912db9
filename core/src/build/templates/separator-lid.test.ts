import { describe, expect, it } from 'vitest';
import { checkRuler } from '../../routing/sheets/check-ruler';
import { sheetExtent } from '../../routing/sheets/sheet';
import { sheetSvg } from '../../routing/sheets/sheet-svg';
import { chanceOf } from '../../simulate/chance';
import { LEAST_LAND, type SeparatorLid, separatorLid, WALL_GAP } from './separator-lid';
import { lidSheet } from './template-sheets';

const LID: SeparatorLid = { lid: 0.6, drum: 0.57, inlet: 0.11, outlet: 0.11 };

describe('the lid of a separator', () => {
  it('has holes within the drum that do not meet, whatever the sizes', () => {
    const chance = chanceOf(3);
    let possible = 0;
    for (let n = 0; n < 500; n++) {
      const drum = 0.2 + 0.5 * chance.uniform();
      const [inlet, outlet] = [0.05 + 0.15 * chance.uniform(), 0.05 + 0.15 * chance.uniform()];
      const made = separatorLid({ lid: drum + 0.03, drum, inlet, outlet });
      if (!made.ok) continue;
      possible++;
      const { inlet: into, outlet: out } = made.holes;
      expect(into.at.x + into.radius).toBeLessThanOrEqual(drum / 2 - WALL_GAP + 1e-12);
      const apart = Math.hypot(into.at.x - out.at.x, into.at.y - out.at.y);
      expect(apart - into.radius - out.radius).toBeGreaterThanOrEqual(LEAST_LAND - 1e-12);
    }
    expect(possible).toBeGreaterThan(100);
  });

  it('is drawn at true size', () => {
    const made = separatorLid(LID);
    if (!made.ok) throw new Error(made.fault.kind);
    const items = lidSheet(made.holes, LID.lid, {
      inlet: 'in',
      outlet: 'out',
      ruler: checkRuler('metric'),
    });
    expect(sheetExtent(items)?.width).toBeCloseTo(0.6, 9);
    const radii = [...sheetSvg(items).matchAll(/ r="([\d.]+)"/g)].map(([, r]) => Number(r));
    expect(radii).toEqual([300, 55, 55]);
  });

  it.each<[keyof SeparatorLid, Partial<SeparatorLid>]>([
    ['drum', { drum: 0 }],
    ['lid', { lid: 0.5 }],
    ['inlet', { inlet: 0 }],
    ['outlet', { outlet: Number.NaN }],
    ['inlet', { inlet: 0.3 }],
    ['outlet', { outlet: 0.4 }],
  ])('refuses a wrong %s by name', (field, wrong) => {
    const made = separatorLid({ ...LID, ...wrong });
    expect(made.ok).toBe(false);
    if (!made.ok) expect(made.field).toBe(field);
  });
});
