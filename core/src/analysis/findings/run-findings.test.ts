// Every finding is stated whole: how serious, where, with which numbers and which remedy. Each is also held
// to its limit: just on the other side of it nothing is said.
import { describe, expect, it } from 'vitest';
import { lossOf, planerShop, said } from '../../../reference/planer-shop';
import { circleArea } from '../../air/velocity-pressure';
import type { Run, Shop } from '../../design/schema';
import { toSI } from '../../quantity/units';
import { narrowestWithin } from './carrying-size';

describe('a finding about a run', () => {
  const where = { kind: 'run', run: 'planer' } as const;

  it('that is too fast: a note, with the size that would be slow enough', () => {
    const shop = planerShop(({ planer, shop }) => {
      planer.diameter = toSI(4, 'in');
      planer.hose = null;
      shop.collector.blower.curve = [
        { flow: 0, pressure: 9000 },
        { flow: 1.5, pressure: 0 },
      ];
    });
    const { found, air } = said('fast duct', shop);
    const limit = toSI(6000, 'fpm');
    const last = air.solution.airIn.get('planer')?.at(-1);
    const diameter = narrowestWithin('galvanised', last?.flowOut ?? 0, limit);
    const fast = found.find(({ where }) => where.kind === 'run' && where.run === 'planer');
    expect(fast).toEqual({
      kind: 'fast duct',
      severity: 'note',
      where,
      numbers: { velocity: last?.velocity, limit },
      remedy: { kind: 'wider', run: 'planer', diameter },
    });
    expect((last?.flowOut ?? 0) / circleArea(diameter ?? 1)).toBeLessThanOrEqual(limit);
  });

  it('that leaks: how much, of what the blower moves', () => {
    const withHole = (area: number) =>
      planerShop(({ shop }) => {
        shop.condition.holes.push({ run: 'planer', area, origin: { kind: 'assumed' } });
      });
    const { found, air } = said('leak-prone', withHole(3e-3));
    const leak = air.solution.airIn.get('planer')?.reduce((sum, each) => sum + each.leak, 0) ?? 0;
    expect(found).toEqual([
      {
        kind: 'leak-prone',
        severity: 'caution',
        where,
        numbers: { leak, share: leak / air.solution.blower.flow },
        remedy: { kind: 'seal' },
      },
    ]);
    expect(said('leak-prone', withHole(3e-4)).found).toEqual([]);
  });

  it('that meets another head-on, with what the junction takes', () => {
    const shop = planerShop(({ planer, shop }) => {
      shop.shop.rules.junctions = 'momentum';
      planer.joins = { kind: 'symmetric', angle: Math.PI / 2 };
    });
    const { found, air } = said('head-on tee', shop);
    expect(found).toEqual([
      {
        kind: 'head-on tee',
        severity: 'caution',
        where,
        numbers: { angle: Math.PI / 2, loss: lossOf(air, 'planer', 'branch') },
        remedy: { kind: 'sweep both legs' },
      },
    ]);
    const branch = planerShop(({ planer }) => {
      planer.joins = { kind: 'branch', angle: Math.PI / 2 };
    });
    expect(said('head-on tee', branch).found).toEqual([]);
  });

  it('that joins against the flow, from just over a right angle', () => {
    const joining = (degrees: number) =>
      planerShop(({ planer }) => {
        planer.joins = { kind: 'branch', angle: (degrees * Math.PI) / 180 };
      });
    const angle = (100 * Math.PI) / 180;
    expect(said('against the flow', joining(100)).found).toEqual([
      {
        kind: 'against the flow',
        severity: 'caution',
        where,
        numbers: { angle, taken: Math.PI / 2 },
        remedy: { kind: 'turn with the flow' },
      },
    ]);
    expect(said('against the flow', joining(90)).found).toEqual([]);
    expect(said('against the flow', joining(45)).found).toEqual([]);
  });

  const elbow = (after: number | null, id = 'e') =>
    ({
      kind: 'elbow',
      id,
      style: 'fivePiece',
      angle: Math.PI / 2,
      radiusRatio: 1.5,
      count: 1,
      after,
    }) as const;

  it('whose elbows stand close together: a note, but not at five diameters or before another fitting', () => {
    const withElbows = (...fittings: Run['fittings']) =>
      planerShop(({ planer }) => {
        planer.fittings = fittings;
      });
    const wanted = 5 * toSI(5, 'in');
    const close = said('close elbows', withElbows(elbow(0.2), elbow(null, 'f')));
    expect(close.found).toEqual([
      {
        kind: 'close elbows',
        severity: 'note',
        where,
        numbers: { straight: 0.2, wanted },
        remedy: null,
      },
    ]);
    const apart = withElbows(elbow(wanted), elbow(null, 'f'));
    expect(said('close elbows', apart).found).toEqual([]);
    expect(said('close elbows', withElbows(elbow(null), elbow(null, 'f'))).found).toEqual([]);
    expect(said('close elbows', withElbows(elbow(0.2))).found).toEqual([]);
    const other = { kind: 'other', id: 'o', name: '', lossCoefficient: 0.1, count: 1 } as const;
    expect(said('close elbows', withElbows(elbow(0.2), other)).found).toEqual([]);
  });

  it('that others join: nothing about its last elbow and the next run’s first', () => {
    const shop = planerShop(({ planer, main }) => {
      planer.fittings = [elbow(0.1)];
      main.fittings = [elbow(null, 'm')];
    });
    expect(said('close elbows', shop).found).toEqual([]);
  });

  it('computed by a fit outside its range of velocities: what was given, and what was used instead', () => {
    const fitted = (friction: Shop['shop']['rules']['friction'], diameter: number) =>
      planerShop(({ planer, shop }) => {
        shop.shop.rules.friction = friction;
        planer.diameter = diameter;
      });
    const { found, air } = said('outside its range', fitted('powerFit', toSI(8, 'in')));
    const velocity = air.solution.airIn.get('planer')?.at(-1)?.velocity ?? 0;
    const used = toSI(2000, 'fpm');
    expect(velocity).toBeLessThan(used);
    expect(found).toContainEqual({
      kind: 'outside its range',
      severity: 'note',
      where,
      numbers: { given: velocity, used },
      clamped: { what: 'velocity for the power fit', kind: 'velocity', given: velocity, used },
      remedy: null,
    });
    expect(said('outside its range', fitted('darcy', toSI(8, 'in'))).found).toEqual([]);
    expect(said('outside its range', fitted('powerFit', toSI(5, 'in'))).found).toEqual([]);
  });
});
