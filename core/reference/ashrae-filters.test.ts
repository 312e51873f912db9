// ASHRAE 52.2-2017 minimum efficiencies; ASTM D737 permeability at 125 Pa; heat of exhausted air by
// the trade's 1.08·CFM·°F Btu/h; all from memory.
import { describe, expect, it } from 'vitest';
import { STANDARD_DENSITY } from '../src/air/air-at-site';
import { GRADE_IDS } from '../src/catalogue/ids';
import { heatLost, makeUpOpening, openingResistance } from '../src/collector/air-outdoors';
import { CAKE_RESISTANCE, dustToLoading, loadingAfter, timeToDue } from '../src/collector/cake';
import {
  bagArea,
  comfortableFaceVelocity,
  faceVelocity,
  filterResistance,
  MEDIA,
  pleatedArea,
  workingLoading,
} from '../src/collector/filter';
import { finesLetBy, GRADES } from '../src/collector/filter-grade';
import { weatherCapLoss } from '../src/fittings/weather-cap';
import { fromSI, toSI } from '../src/quantity/units';

describe('filters', () => {
  it.each([
    [8, null, 0.2, 0.7],
    [11, 0.2, 0.65, 0.85],
    [13, 0.5, 0.85, 0.9],
    [14, 0.75, 0.9, 0.95],
    [15, 0.85, 0.9, 0.95],
    [16, 0.95, 0.95, 0.95],
  ] as const)('MERV %i catches at least %f, %f, %f', (grade, fine, middle, coarse) => {
    expect(GRADES[grade]).toEqual([fine, middle, coarse]);
    expect(finesLetBy(grade)[0]).toBeCloseTo(1 - (fine ?? 0), 12);
  });

  it('a higher grade never lets more by', () => {
    const letBy = GRADE_IDS.map(finesLetBy);
    letBy.slice(1).forEach((bands, i) => {
      bands.forEach((share, band) => {
        expect(share).toBeLessThanOrEqual((letBy[i]?.[band] ?? 1) + 1e-12);
      });
    });
  });

  it('at its permeability loses half an inch of water', () => {
    for (const { permeability } of Object.values(MEDIA)) {
      const flow = permeability * 8;
      const loss = filterResistance({ area: 8, permeability }, 1) * flow;
      expect(loss).toBeCloseTo(125, 9);
      expect(fromSI(loss, 'inwg')).toBeCloseTo(0.5, 2);
      expect(faceVelocity(flow, { area: 8 })).toBeCloseTo(permeability, 12);
    }
  });

  it('a cloth bag is seasoned as soon as it has run, whatever is believed of it; a cartridge is not', () => {
    const loadings = ({ seasoned }: { readonly seasoned: number }) =>
      [1, 2, 5].map((loading) => workingLoading({ seasoned }, loading));
    expect(loadings(MEDIA.cloth)).toEqual([3, 3, 5]);
    expect(loadings(MEDIA.spunBond)).toEqual([1, 2, 5]);
  });

  it('a pleated cartridge and a bag measure what geometry says', () => {
    // 200 pleats 40 mm deep and 0.6 m high: 2·0.04·0.6·200.
    expect(pleatedArea(0.04, 0.6, 200)).toBeCloseTo(9.6, 12);
    // 20 in. × 33 in.: π·20·33/144 = 14.4 ft².
    expect(fromSI(bagArea(toSI(20, 'in'), toSI(33, 'in')), 'ft2')).toBeCloseTo(14.4, 1);
  });

  it('cartridges are called small above 8 ft/min, cloth above 30 (common practice, no source)', () => {
    const { spunBond, cloth } = MEDIA;
    expect(fromSI(comfortableFaceVelocity(spunBond.permeability), 'fpm')).toBeCloseTo(8, 9);
    expect(fromSI(comfortableFaceVelocity(cloth.permeability), 'fpm')).toBeCloseTo(30, 9);
  });
});

describe('cake', () => {
  const filter = { area: 10, permeability: 0.1 };

  it('adds in proportion to the dust that arrives, and what takes it there is that dust', () => {
    expect(loadingAfter(filter, 0)).toBe(1);
    const once = loadingAfter(filter, 1) - 1;
    expect(loadingAfter(filter, 3) - 1).toBeCloseTo(3 * once, 12);
    expect(loadingAfter(filter, dustToLoading(filter, 1, 5))).toBeCloseTo(5, 9);
    expect(CAKE_RESISTANCE).toBeGreaterThan(1e4);
  });

  it('comes the later the more a separator catches; never, if it caught all', () => {
    const rate = 5e-4;
    const toEight = [1, 8] as const;
    const more = timeToDue(filter, toEight, rate, 0.9);
    expect(more / timeToDue(filter, toEight, rate, 0)).toBeCloseTo(10, 9);
    expect(timeToDue(filter, toEight, rate, 1)).toBe(Number.POSITIVE_INFINITY);
    expect(timeToDue(filter, [9, 8], rate, 0.9)).toBe(0);
    // It is due now, even where no more dust comes.
    expect(timeToDue(filter, [9, 8], rate, 1)).toBe(0);
    expect(timeToDue(filter, [9, 8], 0, 0.9)).toBe(0);
  });
});

describe('air sent outdoors', () => {
  it('takes 1.08 Btu/h with every CFM and °F', () => {
    const heat = heatLost(STANDARD_DENSITY, toSI(800, 'cfm'), toSI(70, 'f'), toSI(20, 'f'));
    expect(fromSI(heat, 'btuh') / (800 * 50)).toBeCloseTo(1.08, 1);
    expect(Math.abs(fromSI(heat, 'btuh') / (1.08 * 800 * 50) - 1)).toBeLessThan(0.01);
    expect(heatLost(1.2, 0.4, 293, 300)).toBe(0);
  });

  it('comes back by an opening that takes just the depression it was made for', () => {
    const area = makeUpOpening(0.4, 1.2, 5);
    expect(openingResistance(area, 1.2) * 0.4 ** 2).toBeCloseTo(5, 9);
  });

  it.each([
    [1, 0.1],
    [0.75, 0.18],
    [0.5, 0.73],
    [0.3, 1],
  ])(
    'a weather cap %f diameters clear loses %f heads; lower, the lowest tabled',
    (height, loss) => {
      expect(weatherCapLoss(height)).toBeCloseTo(loss, 12);
    },
  );
});
