// Every finding is stated whole: how serious, where, with which numbers and which remedy. Each is also held
// to its limit: just on the other side of it nothing is said.
import { describe, expect, it } from 'vitest';
import { judgedDrop } from '../../../reference/judged-drop';
import { lossOf, planerShop, said } from '../../../reference/planer-shop';
import type { Shop } from '../../design/schema';
import { toSI } from '../../quantity/units';
import { pressureProfile } from '../pressure-profile';
import { widestCarrying } from './carrying-size';
import { findings } from './findings';

const judged = (shop: Shop, name = 'planer') => judgedDrop(shop, name);

const needing = (flow: number) =>
  planerShop(({ shop }) => {
    const port = shop.machines[1]?.ports[0];
    if (port) port.need = { kind: 'flow', flow };
  });

describe('a finding about a drop', () => {
  it('that is in order: nothing', () => {
    const shop = planerShop();
    expect(findings(shop, judged(shop), 'found', 'one')).toEqual([]);
  });

  it('that is starved: how short, and what takes most on its way', () => {
    const { flow } = judged(planerShop());
    const { found, air } = said('starved', needing(1.5 * flow));
    const steps = pressureProfile(air.solution, air.drop).filter(({ kind }) => kind !== 'blower');
    const largest = steps.toSorted((a, b) => b.loss - a.loss)[0] ?? null;
    expect(found).toEqual([
      {
        kind: 'starved',
        severity: 'serious',
        where: { kind: 'drop', drop: air.drop.id },
        numbers: {
          short: expect.closeTo(0.5 * flow, 6),
          flow: air.flow,
          need: 1.5 * flow,
          share: (largest?.loss ?? 0) / air.solution.blower.rise,
        },
        largest,
        remedy: {
          kind: 'shorter hose',
          run: 'planer',
          length: toSI(2, 'ft'),
          gain: expect.any(Number),
        },
      },
    ]);
    expect(said('starved', needing(1.02 * flow)).found).toHaveLength(1);
    expect(said('starved', needing(0.999 * flow)).found).toEqual([]);
  });

  it('that is starved: no shorter hose where it is hardly longer than it must be, or where there is none', () => {
    for (const length of [toSI(2.39, 'ft'), toSI(1, 'ft'), null]) {
      const shop = needing(1);
      const planer = shop.ducts.runs.find(({ id }) => id === 'planer');
      if (planer?.hose && length !== null) planer.hose.length = length;
      else if (planer) planer.hose = null;
      expect(said('starved', shop).found).toMatchObject([{ remedy: null }]);
    }
    const longer = needing(1);
    const planer = longer.ducts.runs.find(({ id }) => id === 'planer');
    if (planer?.hose) planer.hose.length = toSI(2.41, 'ft');
    expect(said('starved', longer).found).toMatchObject([{ remedy: { kind: 'shorter hose' } }]);
  });

  it('that is too slow for its chips: the size that would carry them', () => {
    const wide = planerShop(({ planer }) => {
      planer.diameter = toSI(7, 'in');
    });
    const { found, air } = said('slow drop', wide);
    const wanted = wide.shop.rules.carryingVelocity;
    const diameter = widestCarrying('galvanised', air.flow, wanted);
    expect(air.velocity).toBeLessThan(wanted);
    expect(found).toEqual([
      {
        kind: 'slow drop',
        severity: 'caution',
        where: { kind: 'drop', drop: air.drop.id },
        numbers: { velocity: air.velocity, wanted },
        remedy: { kind: 'narrower', run: 'planer', diameter },
      },
    ]);
    // The narrowest size that is sold is still too slow, so there is no remedy.
    const weak = planerShop(({ planer, shop }) => {
      planer.diameter = toSI(3, 'in');
      shop.collector.blower.curve = [
        { flow: 0, pressure: 250 },
        { flow: 0.06, pressure: 0 },
      ];
    });
    expect(said('slow drop', weak).found).toMatchObject([{ remedy: null }]);
  });

  it('that carries only fine dust: nothing about its velocity', () => {
    const wide = planerShop(({ shop }) => {
      const sander = shop.ducts.runs.find(({ id }) => id === 'sander');
      if (sander) sander.diameter = toSI(7, 'in');
    });
    expect(judged(wide, 'sander').velocity).toBeLessThan(wide.shop.rules.carryingVelocity);
    expect(said('slow drop', wide, 'sander').found).toEqual([]);
    expect(said('settling main', wide, 'sander').found).toEqual([]);
  });

  it('whose chips settle in a main: the slowest main, and to open another gate', () => {
    const shop = planerShop();
    const { found, air } = said('settling main', shop, 'saw');
    const { settlingVelocity: wanted } = shop.shop.rules;
    const velocity = air.solution.airIn.velocityInto('id1');
    expect(velocity).toBeLessThan(wanted);
    expect(found).toEqual([
      {
        kind: 'settling main',
        severity: 'caution',
        where: { kind: 'run', run: 'id1' },
        numbers: { velocity, wanted },
        remedy: { kind: 'open another gate' },
      },
    ]);
    expect(said('settling main', shop).found).toEqual([]);
  });

  it('with a long hose: what it takes, and what cutting it wins', () => {
    const withHose = (length: number) =>
      planerShop(({ planer, shop }) => {
        if (planer.hose) planer.hose.length = length;
        const port = shop.machines[1]?.ports[0];
        if (port) port.need = { kind: 'flow', flow: 0.1 };
      });
    const shop = withHose(3);
    const { found, air } = said('long hose', shop);
    const gain = judged(withHose(toSI(2, 'ft'))).flow - air.flow;
    expect(gain).toBeGreaterThan(0);
    expect(found).toEqual([
      {
        kind: 'long hose',
        severity: 'caution',
        where: { kind: 'drop', drop: air.drop.id },
        numbers: { length: 3, limit: toSI(6, 'ft'), loss: lossOf(air, 'planer', 'hose') },
        remedy: {
          kind: 'shorter hose',
          run: 'planer',
          length: toSI(2, 'ft'),
          gain: expect.closeTo(gain, 9),
        },
      },
    ]);
    expect(said('long hose', withHose(toSI(6, 'ft'))).found).toEqual([]);
  });
});
