// Every finding is stated whole: how serious, where, with which numbers and which remedy. Each is also held
// to its limit: just on the other side of it nothing is said.
import { describe, expect, it } from 'vitest';
import { judgedDrop } from '../../../reference/judged-drop';
import { lossOf, planerShop, said } from '../../../reference/planer-shop';
import { STALLING_CURVE } from '../../../reference/sample-shops';
import type { Shop } from '../../design/schema';
import { SEPARATOR_RUN } from '../../network/assemble/separator-segment';
import { toSI } from '../../quantity/units';
import { collectorLoad } from '../collector-load';
import { findings } from './findings';

const judged = (shop: Shop, name = 'planer') => judgedDrop(shop, name);

describe('a finding about the collector', () => {
  const at = (part: string) => ({ kind: 'collector', part });

  it('an elbow at its inlet, with what it takes', () => {
    const near = planerShop(({ shop }) => {
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
    planerShop(({ shop }) => change(shop.collector.blower));

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
      planerShop(({ shop }) => {
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
    const asked = said('overloaded motor', planerShop()).load.shaftPower;
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
    planerShop(({ shop }) => {
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
      makeUp: null,
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
    planerShop(({ shop }) => {
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
    for (const [free, wanted] of [
      [0.6, []],
      [2, ['choked blower']],
      [0.25, ['run-out blower']],
    ] as const) {
      const shop = withCurve([0, 2500], [free, 0]);
      const air = judged(shop);
      const { flow } = air.solution.blower;
      const share = flow / (free / 2);
      const kinds = findings(shop, air, 'found', 'one').map(({ kind }) => kind);
      expect(share < 0.5, String(free)).toBe(wanted.some((kind) => kind === 'choked blower'));
      expect(share > 1.4, String(free)).toBe(wanted.some((kind) => kind === 'run-out blower'));
      expect(kinds.filter((kind) => /blower$/.test(kind))).toEqual(wanted);
    }
  });

  it('a blower that may run at several flows: where it runs, and the other', () => {
    const shop = planerShop(({ shop }) => {
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
