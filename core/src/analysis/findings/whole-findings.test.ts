// Every finding is stated whole: how serious, where, with which numbers and which remedy. Each is also held
// to its limit: just on the other side of it nothing is said.
import { describe, expect, it } from 'vitest';
import { judgedDrop } from '../../../reference/judged-drop';
import { STALLING_CURVE, threeBranchShop } from '../../../reference/sample-shops';
import { circleArea } from '../../air/velocity-pressure';
import type { Run, Shop } from '../../design/schema';
import { SEPARATOR_RUN } from '../../network/assemble/separator-segment';
import { toSI } from '../../quantity/units';
import { collectorLoad } from '../collector-load';
import type { DropAir } from '../judge-drops';
import { pressureProfile } from '../pressure-profile';
import { narrowestWithin, widestCarrying } from './carrying-size';
import type { Finding, FindingKind } from './finding';
import { findings } from './findings';

type Parts = { readonly planer: Run; readonly main: Run; readonly shop: Shop };

/** The sample shop, about whose planer there is nothing to say, with something changed. */
function shopWith(change: (parts: Parts) => void = () => {}): Shop {
  const shop = threeBranchShop();
  const runOf = (id: string) => {
    const run = shop.ducts.runs.find((each) => each.id === id);
    if (!run) throw new Error(`no ${id}`);
    return run;
  };
  shop.collector.exhaust = {
    kind: 'filter',
    filter: { name: '', area: 20, permeability: 0.1, seasoned: 1, grade: null },
  };
  change({ planer: runOf('planer'), main: runOf('id1'), shop });
  return shop;
}

const judged = (shop: Shop, name = 'planer') => judgedDrop(shop, name);

/** What is said of a kind, with the air it is said of. */
function said(kind: FindingKind, shop: Shop, name = 'planer') {
  const air = judged(shop, name);
  const found: Finding[] = findings(shop, air, 'found', 'one').filter((each) => each.kind === kind);
  return { found, air, load: collectorLoad(shop, air.solution, 'found') };
}

const needing = (flow: number) =>
  shopWith(({ shop }) => {
    const port = shop.machines[1]?.ports[0];
    if (port) port.need = { kind: 'flow', flow };
  });
const partsOf = ({ solution }: DropAir, run: string) =>
  solution.airIn.get(run)?.flatMap(({ parts }) => parts) ?? [];
const lossOf = (air: DropAir, run: string, part: string) =>
  partsOf(air, run)
    .filter(({ kind }) => kind === part)
    .reduce((sum, { loss }) => sum + loss, 0);

describe('of a drop', () => {
  it('that is in order: nothing', () => {
    const shop = shopWith();
    expect(findings(shop, judged(shop), 'found', 'one')).toEqual([]);
  });

  it('that is starved: how short, and what takes most on its way', () => {
    const { flow } = judged(shopWith());
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
    const wide = shopWith(({ planer }) => {
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
    const weak = shopWith(({ planer, shop }) => {
      planer.diameter = toSI(3, 'in');
      shop.collector.blower.curve = [
        { flow: 0, pressure: 250 },
        { flow: 0.06, pressure: 0 },
      ];
    });
    expect(said('slow drop', weak).found).toMatchObject([{ remedy: null }]);
  });

  it('that carries only fine dust: nothing about its velocity', () => {
    const wide = shopWith(({ shop }) => {
      const sander = shop.ducts.runs.find(({ id }) => id === 'sander');
      if (sander) sander.diameter = toSI(7, 'in');
    });
    expect(judged(wide, 'sander').velocity).toBeLessThan(wide.shop.rules.carryingVelocity);
    expect(said('slow drop', wide, 'sander').found).toEqual([]);
    expect(said('settling main', wide, 'sander').found).toEqual([]);
  });

  it('whose chips settle in a main: the slowest main, and to open another gate', () => {
    const shop = shopWith();
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
      shopWith(({ planer, shop }) => {
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

describe('of a run', () => {
  const where = { kind: 'run', run: 'planer' } as const;

  it('that is too fast: a note, with the size that would be slow enough', () => {
    const shop = shopWith(({ planer, shop }) => {
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
      shopWith(({ shop }) => {
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
    const shop = shopWith(({ planer, shop }) => {
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
    const branch = shopWith(({ planer }) => {
      planer.joins = { kind: 'branch', angle: Math.PI / 2 };
    });
    expect(said('head-on tee', branch).found).toEqual([]);
  });

  it('that joins against the flow, from just over a right angle', () => {
    const joining = (degrees: number) =>
      shopWith(({ planer }) => {
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
      shopWith(({ planer }) => {
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
    const shop = shopWith(({ planer, main }) => {
      planer.fittings = [elbow(0.1)];
      main.fittings = [elbow(null, 'm')];
    });
    expect(said('close elbows', shop).found).toEqual([]);
  });

  it('computed by a fit outside its range of velocities: what was given, and what was used instead', () => {
    const fitted = (friction: Shop['shop']['rules']['friction'], diameter: number) =>
      shopWith(({ planer, shop }) => {
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

describe('of the collector', () => {
  const at = (part: string) => ({ kind: 'collector', part });

  it('an elbow at its inlet, with what it takes', () => {
    const near = shopWith(({ shop }) => {
      shop.collector.blower.inletElbow = { radiusRatio: 1.5, straight: 0.1 };
    });
    const { found, air } = said('elbow at the inlet', near);
    const wanted = 5 * near.collector.separator.inletDiameter;
    expect(found).toEqual([
      {
        kind: 'elbow at the inlet',
        severity: 'caution',
        where: at('inlet'),
        numbers: { straight: 0.1, wanted, loss: lossOf(air, SEPARATOR_RUN, 'inlet') },
        remedy: { kind: 'straight ahead of the inlet', length: wanted },
      },
    ]);
    expect(lossOf(air, SEPARATOR_RUN, 'inlet')).toBeGreaterThan(0);
  });

  const withMotor = (change: (blower: Shop['collector']['blower']) => void) =>
    shopWith(({ shop }) => change(shop.collector.blower));

  it('a circuit too small: 125 % of full load, by the American code', () => {
    const { found, load } = said(
      'small circuit',
      withMotor((blower) => {
        blower.breaker = 14;
      }),
    );
    // 2 hp at 230 V: 12 A at full load (NEC 430.248, from memory).
    expect(load.circuit.conductors).toBeCloseTo(15, 6);
    expect(found).toEqual([
      {
        kind: 'small circuit',
        severity: 'serious',
        where: at('motor'),
        numbers: {
          breaker: 14,
          wanted: load.circuit.conductors,
          fullLoad: load.fullLoadCurrent,
          largest: 30,
        },
        remedy: { kind: 'larger circuit', rating: load.circuit.conductors },
      },
    ]);
    const just = withMotor((blower) => {
      blower.breaker = 15;
    });
    expect(said('small circuit', just).found).toEqual([]);
  });

  it('a breaker larger than the American code lets it be; elsewhere nothing', () => {
    const withBreaker = (breaker: number, units: 'us' | 'metric' = 'us') =>
      shopWith(({ shop }) => {
        shop.shop.units = units;
        shop.collector.blower.breaker = breaker;
      });
    const { found, load } = said('large breaker', withBreaker(40));
    expect(found).toEqual([
      {
        kind: 'large breaker',
        severity: 'caution',
        where: at('motor'),
        numbers: { breaker: 40, largest: 30, fullLoad: load.fullLoadCurrent },
        remedy: null,
      },
    ]);
    expect(said('large breaker', withBreaker(30)).found).toEqual([]);
    const elsewhere = said('large breaker', withBreaker(40, 'metric'));
    expect(elsewhere.found).toEqual([]);
    expect(elsewhere.load.circuit).toMatchObject({ code: 'other', largestBreaker: null });
    expect(elsewhere.load.circuit.conductors).toBe(elsewhere.load.fullLoadCurrent);
  });

  it('a motor asked for more than its rating', () => {
    const asked = said('overloaded motor', shopWith()).load.shaftPower;
    const rated = (power: number) =>
      withMotor((blower) => {
        blower.motor.power = power;
      });
    const { found, load } = said('overloaded motor', rated(0.8 * asked));
    expect(found).toEqual([
      {
        kind: 'overloaded motor',
        severity: 'serious',
        where: at('motor'),
        numbers: {
          power: load.shaftPower,
          rated: 0.8 * asked,
          current: load.current,
          plate: load.fullLoadCurrent,
        },
        remedy: { kind: 'shut a gate' },
      },
    ]);
    expect(said('overloaded motor', rated(asked)).found).toEqual([]);
  });

  it('a plug of another voltage, or too small; a hard start', () => {
    const plugged = (plug: Shop['collector']['blower']['plug'], voltage: number) =>
      withMotor((blower) => {
        Object.assign(blower, { plug, breaker: 60 });
        blower.motor.voltage = voltage;
      });
    expect(said('plug of another voltage', plugged('us15', 230)).found).toEqual([
      {
        kind: 'plug of another voltage',
        severity: 'serious',
        where: at('motor'),
        numbers: { plug: 120, motor: 230 },
        remedy: null,
      },
    ]);
    const small = said('small plug', plugged('us15', 115));
    expect(small.found).toEqual([
      {
        kind: 'small plug',
        severity: 'serious',
        where: at('motor'),
        numbers: { carries: expect.closeTo(12, 9), fullLoad: small.load.fullLoadCurrent },
        remedy: null,
      },
    ]);
    const hard = said(
      'hard start',
      withMotor((blower) => {
        blower.breaker = 14;
      }),
    );
    expect(hard.found).toEqual([
      {
        kind: 'hard start',
        severity: 'caution',
        where: at('motor'),
        numbers: { start: hard.load.startCurrent, least: hard.load.startLimit },
        remedy: null,
      },
    ]);
  });

  type Exhaust = Shop['collector']['exhaust'];
  const withExhaust = (exhaust: Exhaust, change: (shop: Shop) => void = () => {}) =>
    shopWith(({ shop }) => {
      shop.collector.exhaust = exhaust;
      change(shop);
    });
  const filter = (area: number, grade: 8 | 13 | 14 | null = null) => ({
    name: '',
    area,
    permeability: 0.1,
    seasoned: 1,
    grade,
  });

  it('a filter that is too small for the air that passes it, without what is blown out ahead of it', () => {
    const leaky = withExhaust({ kind: 'filter', filter: filter(2) }, ({ condition }) => {
      condition.pressureSide.area = 2e-3;
    });
    const { found, air, load } = said('small filter', leaky);
    const { flow, outletLeak } = air.solution.blower;
    expect(outletLeak).toBeGreaterThan(0.001);
    expect(load.faceVelocity).toBeCloseTo((flow - outletLeak) / 2, 12);
    const comfortable = load.filter?.comfortable ?? 0;
    expect(found).toEqual([
      {
        kind: 'small filter',
        severity: 'caution',
        where: at('filter'),
        numbers: { faceVelocity: load.faceVelocity, comfortable },
        remedy: { kind: 'larger filter', area: (flow - outletLeak) / comfortable },
      },
    ]);
  });

  it('a filter that is due, by what it takes and what it would take cleaned', () => {
    const loaded = (loading: number) =>
      withExhaust({ kind: 'filter', filter: filter(20) }, ({ condition }) => {
        condition.filterLoading.value = loading;
      });
    const { found, load, air } = said('filter due', loaded(12));
    const { flow } = air.solution.blower;
    // 125 Pa at its permeability, by area and loading.
    expect(load.filter?.pressure).toBeCloseTo((125 / 0.1 / 20) * 12 * flow, 6);
    expect(load.filter?.cleanPressure).toBeCloseTo((125 / 0.1 / 20) * flow, 6);
    expect(found).toEqual([
      {
        kind: 'filter due',
        severity: 'caution',
        where: at('filter'),
        numbers: {
          loading: 12,
          due: load.filter?.dueLoading,
          pressure: load.filter?.pressure,
          clean: load.filter?.cleanPressure,
        },
        remedy: { kind: 'clean the filter' },
      },
    ]);
    expect(said('filter due', loaded(9.9)).found).toEqual([]);
    // In a shop as designed its filter is clean.
    const shop = loaded(12);
    expect(collectorLoad(shop, judged(shop).solution, 'designed').filter?.loading).toBe(1);
  });

  it('a filter that lets fine dust back into the room', () => {
    const graded = (grade: 8 | 13 | 14 | null) =>
      withExhaust({ kind: 'filter', filter: filter(20, grade) });
    expect(said('coarse filter', graded(8)).found).toEqual([
      {
        kind: 'coarse filter',
        severity: 'caution',
        where: at('filter'),
        numbers: { letBy: 1 },
        remedy: { kind: 'finer filter' },
      },
    ]);
    for (const grade of [13, 14, null] as const) {
      expect(said('coarse filter', graded(grade)).found).toEqual([]);
    }
    // Air that goes to another room is not breathed here.
    const away: Exhaust = { kind: 'room', filter: filter(20, 8), opening: 1 };
    expect(said('coarse filter', withExhaust(away)).found).toEqual([]);
  });

  it('an enclosure whose air comes back fast', () => {
    const box = (area: number): Exhaust => ({
      kind: 'enclosure',
      filter: null,
      returnFilter: { area, velocity: 1.5, pressure: 60 },
      box: null,
    });
    const { found, air, load } = said('fast return', withExhaust(box(0.1)));
    const { flow } = air.solution.blower;
    const limit = toSI(300, 'fpm');
    expect(load).toMatchObject({ filter: null, faceVelocity: null, outdoors: null, room: null });
    expect(found).toEqual([
      {
        kind: 'fast return',
        severity: 'caution',
        where: at('exhaust'),
        numbers: { faceVelocity: flow / 0.1, limit },
        remedy: { kind: 'larger filter', area: flow / limit },
      },
    ]);
  });

  it('a way back that is too small', () => {
    const { found, load } = said(
      'small way back',
      withExhaust({ kind: 'room', filter: null, opening: 0.03 }),
    );
    expect(found).toEqual([
      {
        kind: 'small way back',
        severity: 'caution',
        where: at('exhaust'),
        numbers: { depression: load.room?.depression, limit: 5 },
        remedy: { kind: 'larger way back', area: load.room?.opening },
      },
    ]);
  });

  it('air that leaves the building, with or without what heating it costs', () => {
    const out = (heating: { outdoors: number; hours: number } | null): Exhaust => ({
      kind: 'outdoors',
      diameter: 0.2,
      length: 2,
      pipe: 'galvanised',
      lossCoefficient: 0,
      end: 'cap',
      heating,
    });
    for (const heating of [null, { outdoors: 263, hours: 100 }]) {
      const { found, air, load } = said('air leaves the building', withExhaust(out(heating)));
      expect(load.filter).toBeNull();
      expect(load.outdoors?.heat === null).toBe(heating === null);
      expect(load.outdoors?.heatInSeason === null).toBe(heating === null);
      expect(found).toEqual([
        {
          kind: 'air leaves the building',
          severity: 'caution',
          where: at('exhaust'),
          numbers: {
            flow: air.solution.blower.flow,
            opening: load.outdoors?.opening,
            heat: load.outdoors?.heat,
          },
          remedy: { kind: 'let air in' },
        },
      ]);
    }
  });

  it('dust blown out between blower and filter', () => {
    const { found, air } = said(
      'pressure-side leak',
      withExhaust({ kind: 'filter', filter: filter(20) }, ({ condition }) => {
        condition.pressureSide.area = 1e-4;
      }),
    );
    expect(found).toEqual([
      {
        kind: 'pressure-side leak',
        severity: 'serious',
        where: at('exhaust'),
        numbers: { leak: air.solution.blower.outletLeak },
        remedy: { kind: 'seal' },
      },
    ]);
  });

  const withCurve = (...points: readonly (readonly [number, number])[]) =>
    shopWith(({ shop }) => {
      shop.collector.blower.curve = points.map(([flow, pressure]) => ({ flow, pressure }));
    });

  it('a blower choked or run out: where it stands, and where it is at its best', () => {
    const choked = said('choked blower', withCurve([0, 2500], [3, 0]));
    expect(choked.found).toEqual([
      {
        kind: 'choked blower',
        severity: 'note',
        where: at('blower'),
        numbers: { flow: choked.air.solution.blower.flow, best: choked.load.bestFlow },
        remedy: null,
      },
    ]);
    const runOut = said('run-out blower', withCurve([0, 20000], [0.03, 15000], [0.3, 0]));
    expect(runOut.found).toEqual([
      {
        kind: 'run-out blower',
        severity: 'note',
        where: at('blower'),
        numbers: { flow: runOut.air.solution.blower.flow, best: runOut.load.bestFlow },
        remedy: { kind: 'shut a gate' },
      },
    ]);
    // A straight line has its best flow in the middle: half of that is choked, 1.4 times it is run out.
    for (const [free, says] of [
      [0.6, []],
      [2, ['choked blower']],
      [0.25, ['run-out blower']],
    ] as const) {
      const shop = withCurve([0, 2500], [free, 0]);
      const air = judged(shop);
      const { flow } = air.solution.blower;
      const share = flow / (free / 2);
      const kinds = findings(shop, air, 'found', 'one').map(({ kind }) => kind);
      expect(share < 0.5, String(free)).toBe(says.some((kind) => kind === 'choked blower'));
      expect(share > 1.4, String(free)).toBe(says.some((kind) => kind === 'run-out blower'));
      expect(kinds.filter((kind) => /blower$/.test(kind))).toEqual(says);
    }
  });

  it('a blower that may run at several flows: where it runs, and the other', () => {
    const shop = shopWith(({ shop }) => {
      shop.collector.blower.curve = STALLING_CURVE;
      for (const { gate } of shop.ducts.runs) if (gate) gate.open = true;
    });
    const air = judgedDrop(shop, 'planer', 'now');
    const { flow, operatingPoints } = air.solution.blower;
    const [low, unstable, high] = operatingPoints;
    expect([low?.isStable, unstable?.isStable, high?.isStable]).toEqual([true, false, true]);
    expect(flow).toBe(high?.flow);
    const all = findings(shop, air, 'found', 'now');
    expect(all.filter(({ kind }) => kind === 'several operating points')).toEqual([
      {
        kind: 'several operating points',
        severity: 'caution',
        where: at('blower'),
        numbers: { flow, other: low?.flow },
        remedy: { kind: 'open another gate' },
      },
    ]);
  });
});
