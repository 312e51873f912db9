import { describe, expect, it } from 'vitest';
import { judgedDrop } from '../../../reference/judged-drop';
import { threeBranchShop } from '../../../reference/sample-shops';
import { circleArea } from '../../air/velocity-pressure';
import { boxAround } from '../../assembly/box-around';
import type { Run, Shop } from '../../design/schema';
import { fromSI, toSI } from '../../quantity/units';
import { collectorLoad } from '../collector-load';
import { enclosureLoad } from '../enclosure-load';
import { narrowestWithin, widestCarrying } from './carrying-size';
import { type Finding, type FindingKind, issueOf } from './finding';
import { findings } from './findings';

const judged = (shop: Shop, name = 'saw') => judgedDrop(shop, name);
const findingsOf = (shop: Shop, name = 'saw') => findings(shop, judged(shop, name), 'found', 'one');

function find<K extends FindingKind>(shop: Shop, kind: K): Extract<Finding, { kind: K }> | null {
  const found = findingsOf(shop).find((finding) => finding.kind === kind);
  return (found as Extract<Finding, { kind: K }> | undefined) ?? null;
}

/** The sample shop, its saw's run at hand; quiet about everything not asked for. */
function shopWith(change: (saw: Run, shop: Shop) => void): Shop {
  const shop = threeBranchShop();
  const saw = shop.ducts.runs.find(({ id }) => id === 'saw');
  if (!saw) throw new Error('no saw');
  shop.collector.exhaust = {
    kind: 'filter',
    filter: { name: '', area: 20, permeability: 0.1, seasoned: 1, grade: null },
  };
  change(saw, shop);
  return shop;
}

const usualElbow = {
  kind: 'elbow',
  id: 'e',
  style: 'fivePiece',
  angle: Math.PI / 2,
  radiusRatio: 1.5,
  count: 1,
  after: null,
} as const;

describe('findings about a run', () => {
  it('a duct too fast, with a size that would do', () => {
    const shop = shopWith((saw, { machines }) => {
      saw.hose = null;
      saw.diameter = toSI(4, 'in');
      const port = machines[0]?.ports[0];
      if (port) Object.assign(port, { entryLoss: 0.04 });
    });
    shop.collector.blower.curve = [
      { flow: 0, pressure: 9000 },
      { flow: 1, pressure: 0 },
    ];
    const fast = find(shop, 'fast duct');
    expect(fast?.numbers.velocity).toBeGreaterThan(toSI(6000, 'fpm'));
    const diameter = fast?.remedy?.kind === 'wider' ? fast.remedy.diameter : 0;
    const flow = judged(shop).flow;
    expect(flow / circleArea(diameter)).toBeLessThanOrEqual(toSI(6000, 'fpm'));
  });

  it('a hose over six feet, with what cutting it wins', () => {
    const long = shopWith((saw) => {
      if (saw.hose) saw.hose.length = toSI(9, 'ft');
    });
    const port = long.machines[0]?.ports[0];
    if (port) port.need = { kind: 'flow', flow: 0.05 };
    const finding = find(long, 'long hose');
    expect(finding?.numbers.loss).toBeGreaterThan(0);
    expect(finding?.remedy?.kind === 'shorter hose' && finding.remedy.gain).toBeGreaterThan(0);
    // A starved drop is advised to cut it there, once.
    if (port) port.need = { kind: 'flow', flow: 5 };
    expect(find(long, 'long hose')?.remedy).toBeNull();
    expect(find(long, 'starved')?.remedy?.kind).toBe('shorter hose');
    const short = shopWith((saw) => {
      if (saw.hose) saw.hose.length = toSI(5, 'ft');
    });
    expect(find(short, 'long hose')).toBeNull();
  });

  it('elbows closer than five diameters, and a branch against the flow', () => {
    const shop = shopWith((saw) => {
      saw.fittings = [
        { ...usualElbow, after: 0.1 },
        { ...usualElbow, id: 'f' },
      ];
      saw.joins = { kind: 'branch', angle: (120 * Math.PI) / 180 };
    });
    expect(find(shop, 'close elbows')?.numbers.straight).toBe(0.1);
    expect(find(shop, 'against the flow')?.numbers.taken).toBeCloseTo(Math.PI / 2, 12);
    const plain = shopWith((saw) => {
      saw.fittings = [
        { ...usualElbow, after: 2 },
        { ...usualElbow, id: 'f' },
      ];
    });
    expect(find(plain, 'close elbows')).toBeNull();
    expect(find(plain, 'against the flow')).toBeNull();
  });

  it('two ducts that meet head-on in a tee, with what it costs; not a Y with swept legs', () => {
    const meeting = (degrees: number) =>
      shopWith((saw, { shop, ducts }) => {
        shop.rules.junctions = 'momentum';
        saw.joins = { kind: 'symmetric', angle: (degrees * Math.PI) / 180 };
        for (const { gate } of ducts.runs) if (gate) gate.open = true;
      });
    const headOn = find(meeting(90), 'head-on tee');
    expect(headOn?.where).toEqual({ kind: 'run', run: 'saw' });
    expect(headOn?.numbers.loss).toBeGreaterThan(0);
    expect(headOn?.remedy).toEqual({ kind: 'sweep both legs' });
    expect(find(meeting(75), 'head-on tee')).not.toBeNull();
    expect(find(meeting(60), 'head-on tee')).toBeNull();
  });

  it('elbows close across the end of a run that leads straight into the next', () => {
    const shop = shopWith((saw, { ducts }) => {
      ducts.nodes.push({ id: 'half', kind: { kind: 'joint' }, at: null, style: {} });
      const fittings = [{ ...usualElbow, id: 'first' }];
      ducts.runs.push({ ...saw, id: 'rest', from: 'half', hose: null, gate: null, fittings });
      saw.to = 'half';
      saw.joins = { kind: 'straight' };
      saw.fittings = [{ ...usualElbow, after: 0.1 }];
    });
    expect(find(shop, 'close elbows')?.where).toEqual({ kind: 'run', run: 'saw' });
  });

  it('values outside their tables: what was given, and what is used instead', () => {
    const shop = shopWith((saw) => {
      saw.fittings = [{ ...usualElbow, radiusRatio: 4 }];
    });
    const outside = find(shop, 'outside its range');
    expect(outside?.clamped).toEqual({
      what: 'radius over diameter',
      kind: 'number',
      given: 4,
      used: 2.5,
    });
    const bunched = shopWith((saw) => {
      if (saw.hose) saw.hose.compression = 0.5;
    });
    expect(find(bunched, 'outside its range')?.numbers).toEqual({ given: 0.5, used: 0.3 });
  });

  it('a run that leaks more than a twentieth of what the blower moves', () => {
    const shop = shopWith((saw, { condition }) => {
      condition.holes.push({ run: saw.id, area: 3e-3, origin: { kind: 'assumed' } });
    });
    expect(find(shop, 'leak-prone')?.numbers.share).toBeGreaterThan(0.05);
    expect(
      find(
        shopWith(() => {}),
        'leak-prone',
      ),
    ).toBeNull();
  });
});

describe('findings about the collector', () => {
  it('a filter too small, with the area that would do', () => {
    const shop = shopWith((_, { collector }) => {
      if (collector.exhaust.kind === 'filter') collector.exhaust.filter.area = 2;
    });
    const small = find(shop, 'small filter');
    const area = small?.remedy?.kind === 'larger filter' ? small.remedy.area : 0;
    expect(area).toBeGreaterThan(2);
    if (shop.collector.exhaust.kind === 'filter') shop.collector.exhaust.filter.area = 1.3 * area;
    expect(find(shop, 'small filter')).toBeNull();
  });

  it('a filter due, a grade too coarse, dust blown out ahead of it', () => {
    const shop = shopWith((_, { collector, condition }) => {
      if (collector.exhaust.kind === 'filter') collector.exhaust.filter.grade = 11;
      condition.filterLoading.value = 11;
      condition.pressureSide.area = 1e-3;
    });
    expect(find(shop, 'filter due')?.numbers.loading).toBe(11);
    shop.condition.filterLoading.value = 2;
    expect(find(shop, 'filter due')).toBeNull();
    expect(find(shop, 'coarse filter')?.numbers.letBy).toBeCloseTo(0.8, 12);
    expect(find(shop, 'pressure-side leak')?.severity).toBe('serious');
    expect(find(shop, 'pressure-side leak')?.numbers.leak).toBeGreaterThan(0);
  });

  it('an enclosure’s return filter above 300 ft/min', () => {
    const withArea = (area: number) =>
      shopWith((_, { collector }) => {
        const returnFilter = { area, velocity: 1.5, pressure: 60 };
        collector.exhaust = { kind: 'enclosure', filter: null, returnFilter, box: null };
      });
    const { solution } = judged(withArea(0.05));
    const load = enclosureLoad(withArea(0.05).collector, solution);
    expect(load?.returnVelocity).toBeCloseTo(solution.blower.flow / 0.05, 9);
    expect(load?.pressure).toBeCloseTo((60 * (load?.returnVelocity ?? 0)) / 1.5, 9);
    expect(load).toMatchObject({ isReturnFast: true, box: null });
    const boxed = withArea(0.5);
    if (boxed.collector.exhaust.kind === 'enclosure') {
      boxed.collector.exhaust.box = boxAround(boxed.collector);
    }
    const box = enclosureLoad(boxed.collector, judged(boxed).solution)?.box;
    // With every gate shut no air carries the heat off.
    expect(box?.warmthChoked).toBeGreaterThan(box?.warmth ?? Infinity);
    expect(find(withArea(0.05), 'fast return')?.numbers.faceVelocity).toBeGreaterThan(1.5);
    expect(find(withArea(0.5), 'fast return')).toBeNull();
  });

  it('air sent outdoors, with the way in it wants and the heat it takes', () => {
    const shop = shopWith((_, { collector }) => {
      collector.exhaust = {
        kind: 'outdoors',
        diameter: 0.2,
        length: 2,
        pipe: 'galvanised',
        lossCoefficient: 0,
        end: 'cap',
        heating: { outdoors: toSI(20, 'f'), hours: 100 },
        makeUp: null,
      };
    });
    const { numbers } = find(shop, 'air leaves the building') ?? {};
    const air = judged(shop);
    const load = collectorLoad(shop, air.solution, 'found');
    expect(numbers?.opening).toBe(load.outdoors?.opening);
    // 1.08·CFM·°F: the shop stands at 70 °F.
    const cfm = fromSI(air.solution.blower.flow, 'cfm');
    expect(fromSI(numbers?.heat ?? 0, 'btuh') / (1.08 * cfm * 50)).toBeCloseTo(1, 1);
    expect(load.outdoors?.heatInSeason).toBeCloseTo((numbers?.heat ?? 0) * 360_000, 3);
  });

  it('a shop drawn below the room its air goes to, until the way back is wide enough', () => {
    const withOpening = (opening: number) =>
      shopWith((_, { collector }) => {
        collector.exhaust = { kind: 'room', filter: null, opening };
      });
    const small = find(withOpening(0.03), 'small way back');
    expect(small?.numbers.depression).toBeGreaterThan(5);
    const area = small?.remedy?.kind === 'larger way back' ? small.remedy.area : 0;
    expect(find(withOpening(1.05 * area), 'small way back')).toBeNull();
  });

  it('a plug too small for hours of full load, or for another voltage', () => {
    const plugged = (plug: Shop['collector']['blower']['plug'], voltage: number) =>
      shopWith((_, { collector }) => {
        Object.assign(collector.blower, { plug, breaker: 60 });
        Object.assign(collector.blower.motor, { voltage, power: toSI(2, 'hp') });
      });
    // 2 hp draws 24 A at 115 V, 12 at 230 (NEC 430.248); a 15 A cord and plug carries 12.
    expect(find(plugged('us15', 115), 'small plug')?.numbers).toMatchObject({ carries: 12 });
    expect(find(plugged('us15at240', 230), 'small plug')).toBeNull();
    expect(find(plugged('us15', 230), 'plug of another voltage')?.numbers.plug).toBe(120);
    expect(find(plugged('us15', 230), 'small plug')).toBeNull();
    expect(find(plugged('wired', 115), 'small plug')).toBeNull();
    expect(find(plugged(null, 115), 'small plug')).toBeNull();
  });

  it('a start the breaker may not let pass', () => {
    const with115 = (trip: 'unknown' | 'B' | 'D', breaker: number) =>
      shopWith((_, { collector }) => {
        Object.assign(collector.blower, { trip, breaker });
        Object.assign(collector.blower.motor, { voltage: 115, power: toSI(2, 'hp') });
      });
    // Six times 24 A against five times the rating, or ten where it is made for motors.
    expect(find(with115('unknown', 20), 'hard start')?.numbers).toEqual({ start: 144, least: 100 });
    expect(find(with115('unknown', 30), 'hard start')).toBeNull();
    expect(find(with115('D', 20), 'hard start')).toBeNull();
    expect(find(with115('B', 30), 'hard start')).not.toBeNull();
  });

  it('an elbow at the blower’s inlet, until there are five diameters between', () => {
    const near = shopWith((_, { collector }) => {
      collector.blower.inletElbow = { radiusRatio: 1.5, straight: 0 };
    });
    expect(find(near, 'elbow at the inlet')?.numbers.loss).toBeGreaterThan(0);
    const { inletDiameter } = near.collector.separator;
    near.collector.blower.inletElbow = { radiusRatio: 1.5, straight: 5 * inletDiameter };
    expect(find(near, 'elbow at the inlet')).toBeNull();
  });

  it('a blower choked by its ducts, or run out to the end of its curve', () => {
    const big = shopWith((_, { collector }) => {
      collector.blower.curve = [
        { flow: 0, pressure: 2500 },
        { flow: 3, pressure: 0 },
      ];
    });
    expect(find(big, 'choked blower')).not.toBeNull();
    const small = shopWith((_, { collector }) => {
      collector.blower.curve = [
        { flow: 0, pressure: 1000 },
        { flow: 0.02, pressure: 0 },
      ];
    });
    expect(find(small, 'run-out blower')).not.toBeNull();
  });

  it('serious things come first', () => {
    const shop = shopWith((saw, { collector, condition }) => {
      saw.fittings = [
        { ...usualElbow, after: 0 },
        { ...usualElbow, id: 'f' },
      ];
      collector.blower.breaker = 5;
      condition.filterLoading.value = 6;
    });
    const order = findingsOf(shop).map(({ severity }) => severity);
    const weights = { serious: 0, caution: 1, note: 2 };
    const weighed = order.map((severity) => weights[severity]);
    expect(weighed).toEqual([...weighed].sort());
    expect(new Set(order).size).toBe(3);
  });
});

describe('what an issue is known by', () => {
  it('stays the same while its numbers change, and is another one elsewhere', () => {
    const long = (metres: number) =>
      find(
        shopWith((saw) => {
          saw.hose = { kind: 'ribbed', length: metres, diameter: saw.diameter, compression: 0 };
        }),
        'long hose',
      );
    const [three, four] = [long(3), long(4)];
    if (!three || !four) throw new Error('no long hose');
    expect(three.numbers).not.toEqual(four.numbers);
    expect(issueOf(three)).toBe(issueOf(four));
    expect(issueOf(three)).toContain('long hose');
    expect(issueOf({ ...three, where: { kind: 'run', run: 'other' } })).not.toBe(issueOf(three));
    expect(issueOf({ ...three, where: { kind: 'collector', part: 'filter' } })).toBe(
      'long hose filter',
    );
  });
});

describe('sizes from the catalogue', () => {
  it('the widest that carries and the narrowest that is slow enough', () => {
    const flow = toSI(500, 'cfm');
    // 500 CFM moves at 3667 fpm in 5 in. and at 2546 in 6 in.
    expect(fromSI(widestCarrying('galvanised', flow, toSI(3500, 'fpm')) ?? 0, 'in')).toBeCloseTo(5);
    expect(fromSI(narrowestWithin('galvanised', flow, toSI(3500, 'fpm')) ?? 0, 'in')).toBeCloseTo(
      6,
    );
    expect(widestCarrying('galvanised', toSI(10, 'cfm'), toSI(3500, 'fpm'))).toBeNull();
    expect(narrowestWithin('aluminium', toSI(5000, 'cfm'), toSI(3500, 'fpm'))).toBeNull();
  });
});
