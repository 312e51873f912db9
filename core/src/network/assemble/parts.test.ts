import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../../reference/sample-shops';
import { circleArea } from '../../air/velocity-pressure';
import { FRICTION_METHODS, JUNCTION_METHODS } from '../../catalogue/ids';
import { roundInletCoefficient } from '../../collector/separator';
import { jointCount } from '../../design/length';
import type { Run, Shop } from '../../design/schema';
import { elbowLoss } from '../../fittings/elbow';
import { fixedJoinLoss } from '../../fittings/joins/joins';
import { changeOfDiameterLoss } from '../../fittings/reducer';
import { arrangeDucts } from '../../routing/arrange-ducts';
import type { Network, Part } from '../network';
import { solveShop } from '../solve-shop';
import { SEPARATOR_RUN } from './separator-segment';
import { type Factors, NO_CHANGE } from './setting';
import { shopToNetwork } from './shop-to-network';

function networkOf(shop: Shop, view: 'designed' | 'found' = 'found'): Network {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  const openGates = new Set(['saw', 'planer', 'sander']);
  return shopToNetwork(shop, arranged.tree, { view, openGates });
}

function sawOf(shop: Shop): Run {
  const run = shop.ducts.runs.find(({ id }) => id === 'saw');
  if (!run) throw new Error('no saw');
  return run;
}

function partsOf(shop: Shop, run: string, kind: Part['kind']): Part[] {
  return networkOf(shop).segments.flatMap((segment) =>
    segment.run === run ? segment.parts.filter((part) => part.kind === kind) : [],
  );
}

const flowOf = (shop: Shop) => {
  const openGates = new Set(['saw']);
  const solved = solveShop(shop, { view: 'found', openGates });
  if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
  return solved.blower;
};

describe('bends', () => {
  const elbow = (after: number | null) => ({
    kind: 'elbow' as const,
    id: `e${after}`,
    style: 'fivePiece' as const,
    angle: Math.PI / 2,
    radiusRatio: 1.5,
    count: 1,
    after,
  });

  it('the second of two close elbows loses a quarter more, fading to nothing at five diameters', () => {
    const second = (after: number | null) => {
      const shop = threeBranchShop();
      sawOf(shop).fittings = [elbow(after), { ...elbow(null), id: 'second' }];
      return partsOf(shop, 'saw', 'elbow')[1]?.coefficient ?? 0;
    };
    const { diameter } = sawOf(threeBranchShop());
    const plain = elbowLoss('fivePiece', Math.PI / 2, 1.5);
    expect(second(null)).toBeCloseTo(plain, 12);
    expect(second(0)).toBeCloseTo(1.25 * plain, 12);
    expect(second(2.5 * diameter)).toBeCloseTo(1.125 * plain, 12);
    expect(second(5 * diameter)).toBeCloseTo(plain, 12);
  });

  it('an elbow at the end of a run disturbs the first of the run it leads into', () => {
    const shop = threeBranchShop();
    const saw = sawOf(shop);
    const node = 'half';
    shop.ducts.nodes.push({ id: node, kind: { kind: 'joint' }, at: null, style: {} });
    shop.ducts.runs.push({
      ...copyOf(shop).ducts.runs[0],
      ...saw,
      id: 'rest',
      from: node,
      hose: null,
      gate: null,
      fittings: [{ ...elbow(null), id: 'first' }],
    });
    saw.to = node;
    saw.joins = { kind: 'straight' };
    saw.fittings = [elbow(0)];
    const [first] = partsOf(shop, 'rest', 'elbow');
    expect(first?.coefficient).toBeCloseTo(1.25 * elbowLoss('fivePiece', Math.PI / 2, 1.5), 12);
  });

  it('two tight 45s with a spacer beat the tight 90 they stand for', () => {
    const shop = threeBranchShop();
    const pair = { kind: 'pair', id: 'p', style: 'drain', radiusRatio: 0.7, spacer: 0.1, count: 1 };
    sawOf(shop).fittings = [pair as Run['fittings'][number]];
    const [both] = partsOf(shop, 'saw', 'pair');
    expect(both?.coefficient).toBeLessThan(0.6 * elbowLoss('drain', Math.PI / 2, 0.7));
  });
});

describe('the methods of friction', () => {
  it('equivalent feet: a 90° elbow at 4 in. is 5½ ft of pipe, hose three times its length', () => {
    const shop = threeBranchShop();
    shop.shop.rules.friction = 'equivalentFeet';
    const saw = sawOf(shop);
    saw.diameter = 0.1016;
    const [elbow] = partsOf(shop, 'saw', 'elbow');
    const [hose] = partsOf(shop, 'saw', 'hose');
    expect(elbow?.coefficient).toBe(0);
    expect((elbow?.friction?.length ?? 0) / 0.3048).toBeCloseTo(5.5, 9);
    expect(hose?.friction?.length).toBeCloseTo(3 * (saw.hose?.length ?? 0), 12);
    // Not a wye by momentum either: a branch counts as an elbow of its angle.
    expect(networkOf(shop).segments.every(({ junction }) => junction === null)).toBe(true);
    const [branch] = partsOf(shop, 'planer', 'branch');
    expect(branch?.friction?.length).toBeGreaterThan(0);
  });

  it('power fits: every duct and hose by its own fit', () => {
    const shop = threeBranchShop();
    shop.shop.rules.friction = 'powerFit';
    const laws = networkOf(shop).segments.flatMap(({ parts }) =>
      parts.flatMap(({ kind, friction }) =>
        friction?.law === 'power' ? [`${kind} ${friction.fit.name}`] : [],
      ),
    );
    expect(new Set(laws)).toEqual(new Set(['pipe Galvanized', 'hose Flexible hose']));
  });
});

describe('leaks', () => {
  it('a gap around every joint is so much opening', () => {
    const shop = threeBranchShop();
    shop.condition.joints.usual = 0.5e-3;
    const saw = sawOf(shop);
    saw.joints = 4;
    const pipe = networkOf(shop).segments.find(
      (segment) => segment.run === 'saw' && segment.parts.some(({ kind }) => kind === 'pipe'),
    );
    const area = 4 * 0.5e-3 * Math.PI * saw.diameter;
    const { density } = networkOf(shop).air;
    expect(pipe?.hole).toBeCloseTo(0.61 * area * Math.sqrt(2 / density), 12);
    expect(networkOf(shop, 'designed').segments.every(({ hole }) => hole === 0)).toBe(true);
  });

  it('counts joints by pieces, fittings and wyes where nobody has', () => {
    const shop = threeBranchShop();
    const saw = sawOf(shop);
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) throw new Error('no tree');
    Object.assign(saw, { length: 7, joints: null });
    // Three pieces of ten feet, an elbow, a gate, a hose.
    expect(jointCount(saw, arranged.tree)).toBe(3 + 2 + 2 + 1);
    saw.joints = 5;
    expect(jointCount(saw, arranged.tree)).toBe(5);
  });

  it('behind the blower blow out: the filter sees the rest, and the blower moves more', () => {
    const shop = threeBranchShop();
    const filter = { name: '', area: 3, permeability: 0.08, seasoned: 1, grade: null };
    shop.collector.exhaust = { kind: 'filter', filter };
    const tight = flowOf(shop);
    shop.condition.pressureSide.area = 2e-3;
    const leaking = flowOf(shop);
    expect(tight.outletLeak).toBe(0);
    expect(leaking.outletLeak).toBeGreaterThan(0);
    expect(leaking.flow).toBeGreaterThan(tight.flow);
    // Orifice out, permeability through: both at the pressure behind the blower.
    const { outletStatic, outletLeak, flow } = leaking;
    const density = networkOf(shop).air.density;
    expect(outletLeak).toBeCloseTo(0.61 * 2e-3 * Math.sqrt((2 * outletStatic) / density), 9);
    expect(outletStatic).toBeCloseTo((125 * (flow - outletLeak)) / (3 * 0.08), 6);
  });
});

describe('ways out of the blower', () => {
  const outlet = (exhaust: Shop['collector']['exhaust']) => {
    const shop = threeBranchShop();
    shop.collector.exhaust = exhaust;
    return { ...flowOf(shop), density: networkOf(shop).air.density };
  };
  const filter = { name: '', area: 8, permeability: 0.1, seasoned: 1, grade: null };

  it('outdoors: friction of the duct, its fittings, and the cap beyond an open end', () => {
    const duct = {
      kind: 'outdoors',
      diameter: 0.15,
      pipe: 'galvanised',
      lossCoefficient: 0.5,
      heating: null,
      makeUp: null,
    } as const;
    const short = outlet({ ...duct, length: 0, end: 'cap' });
    const vp = (short.density * (short.flow / circleArea(0.15)) ** 2) / 2;
    // Its fittings, its cap, and the velocity pressure that leaves with the air.
    expect(short.outletStatic).toBeCloseTo((0.5 + 0.18 + 1) * vp, 6);
    const long = outlet({ ...duct, length: 12, end: 'cap' });
    expect(long.flow).toBeLessThan(short.flow);
    expect(long.outletStatic).toBeGreaterThan(short.outletStatic);
  });

  it('another room: its filter and the way back, which is an orifice', () => {
    const { flow, outletStatic, density } = outlet({ kind: 'room', filter, opening: 0.05 });
    const back = (density / 2) * (flow / (0.61 * 0.05)) ** 2;
    expect(outletStatic).toBeCloseTo((125 * flow) / 0.8 + back, 6);
  });

  it('an enclosure adds its return filter, in proportion to its face velocity', () => {
    const returnFilter = { area: 0.3, velocity: 1.5, pressure: 60 };
    const { flow, outletStatic } = outlet({ kind: 'enclosure', filter, returnFilter, box: null });
    expect(outletStatic).toBeCloseTo((125 * flow) / 0.8 + (60 * flow) / 0.3 / 1.5, 6);
  });
});

describe('the blower’s inlet', () => {
  const inletPart = (shop: Shop) => partsOf(shop, SEPARATOR_RUN, 'inlet')[0]?.coefficient ?? 0;

  it('an elbow at it costs its system effect, less the farther off', () => {
    const at = (straight: number) => {
      const shop = threeBranchShop();
      shop.collector.blower.inletElbow = { radiusRatio: 1.5, straight };
      return inletPart(shop);
    };
    const { inletDiameter } = threeBranchShop().collector.separator;
    expect(at(0)).toBeCloseTo(1.2, 12);
    expect(at(2 * inletDiameter)).toBeCloseTo(0.6, 12);
    expect(at(9 * inletDiameter)).toBe(0);
  });

  it('without a separator the last elbow of the main stands there, if it says how near', () => {
    const shop = threeBranchShop();
    const main = shop.ducts.runs[0];
    if (!main) throw new Error('no main');
    main.fittings = [
      {
        kind: 'elbow',
        id: 'last',
        style: 'mitred',
        angle: Math.PI / 2,
        radiusRatio: 0.5,
        count: 1,
        after: 0,
      },
    ];
    expect(inletPart(shop)).toBe(0);
    shop.collector.separator.kind = 'none';
    expect(inletPart(shop)).toBeCloseTo(3.2, 12);
    // Stated at the blower, that goes first.
    shop.collector.blower.inletElbow = { radiusRatio: 2, straight: 0 };
    expect(inletPart(shop)).toBeCloseTo(1.2, 12);
  });
});

describe('what estimates are multiplied by', () => {
  const openGates = new Set(['saw', 'planer', 'sander']);
  /** A shop with something of everything: holes, an opening behind the blower, a filter behind a pushed separator. */
  function everything(): Shop {
    const shop = threeBranchShop();
    shop.condition.holes.push({ run: 'saw', area: 2e-4, origin: { kind: 'assumed' } });
    shop.condition.pressureSide.area = 1e-3;
    return shop;
  }
  function doubled(shop: Shop, name: keyof Factors | null): Network {
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) throw new Error('no tree');
    const factors = name ? { ...NO_CHANGE, [name]: 2 } : NO_CHANGE;
    return shopToNetwork(shop, arranged.tree, { view: 'found', openGates, factors });
  }
  const size = ({ friction, coefficient }: Part) => friction?.multiplier ?? coefficient;
  const KINDS: Readonly<Partial<Record<keyof Factors, readonly Part['kind'][]>>> = {
    entries: ['entry'],
    fittings: ['elbow', 'branch', 'reducer'],
    friction: ['hose', 'pipe'],
    separator: ['separator'],
  };

  for (const friction of FRICTION_METHODS) {
    for (const junctions of JUNCTION_METHODS) {
      it(`doubled, double their own parts and no others, by ${friction} and ${junctions}`, () => {
        const shop = everything();
        Object.assign(shop.shop.rules, { friction, junctions });
        const before = doubled(shop, null);
        const kinds = new Set<string>();
        for (const [name, own] of Object.entries(KINDS)) {
          const after = doubled(shop, name as keyof Factors);
          for (const [i, { parts }] of before.segments.entries()) {
            for (const [j, part] of parts.entries()) {
              kinds.add(part.kind);
              const other = after.segments[i]?.parts[j];
              if (!other) throw new Error('another network');
              const times = own.includes(part.kind) ? 2 : 1;
              expect(size(other)).toBeCloseTo(times * size(part), 12);
              expect(other.half).toBe(part.half);
            }
          }
        }
        for (const kind of Object.values(KINDS).flat()) expect(kinds).toContain(kind);
      });
    }
  }

  it('doubled, double leaks everywhere, the filter, and a separator behind the blower', () => {
    const shop = everything();
    const plain = doubled(shop, null);
    const leaky = doubled(shop, 'leaks');
    for (const [i, { seam, hole }] of plain.segments.entries()) {
      expect(leaky.segments[i]?.seam).toBeCloseTo(2 * seam, 15);
      expect(leaky.segments[i]?.hole).toBeCloseTo(2 * hole, 15);
    }
    expect(plain.exhaust.hole).toBeGreaterThan(0);
    expect(leaky.exhaust.hole).toBeCloseTo(2 * plain.exhaust.hole, 15);
    const filter = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };
    shop.collector.exhaust = { kind: 'filter', filter };
    expect(doubled(shop, null).exhaust.linear).toBeGreaterThan(0);
    expect(doubled(shop, 'filter').exhaust.linear).toBeCloseTo(
      2 * doubled(shop, null).exhaust.linear,
      9,
    );
    shop.collector.assembly.order = 'pushed';
    const pushed = doubled(shop, null).exhaust;
    expect(pushed.separator).toBeGreaterThan(0);
    expect(doubled(shop, 'separator').exhaust.separator).toBeCloseTo(2 * pushed.separator, 12);
    expect(doubled(shop, 'separator').exhaust.quadratic).toBeCloseTo(2 * pushed.quadratic, 12);
  });
});

describe('a gate', () => {
  it('stands at either end of its run: ahead of its pipe, or behind it', () => {
    const places = (end: 'upstream' | 'downstream') => {
      const shop = threeBranchShop();
      const { gate } = sawOf(shop);
      if (!gate) throw new Error('no gate');
      gate.end = end;
      const { parts } = networkOf(shop).segments.findLast(({ run }) => run === 'saw') ?? {};
      const at = (kind: Part['kind']) => parts?.findIndex((part) => part.kind === kind) ?? -1;
      return { isAhead: at('gate') < at('pipe'), half: parts?.[at('gate')]?.half };
    };
    expect(places('upstream')).toEqual({ isAhead: true, half: 'up' });
    expect(places('downstream')).toEqual({ isAhead: false, half: 'down' });
  });
});

describe('a change of diameter', () => {
  /** From the port onto the run. */
  const widened = (shop: Shop) =>
    partsOf(shop, 'saw', 'reducer')
      .filter(({ half }) => half === 'up')
      .map(({ coefficient }) => coefficient);

  it('costs what its narrow end’s velocity pressure does, brought to the run’s own', () => {
    const shop = threeBranchShop();
    const saw = sawOf(shop);
    const [port] = shop.machines.flatMap(({ ports }) => ports);
    if (!port) throw new Error('no port');
    saw.hose = null;
    port.diameter = 0.1;
    saw.diameter = 0.15;
    // Widening, on the port's 0.1 m: (0.15/0.1)⁴ times as much of the run's.
    const [wider] = widened(shop);
    expect(wider).toBeCloseTo(changeOfDiameterLoss(0.1, 0.15, Math.PI / 6) * 1.5 ** 4, 9);
    saw.diameter = 0.08;
    const [narrower] = widened(shop);
    expect(narrower).toBeCloseTo(changeOfDiameterLoss(0.1, 0.08, Math.PI / 6), 9);
    saw.diameter = 0.1;
    expect(widened(shop)).toEqual([]);
  });
});

describe('a separator', () => {
  const taken = (change: Partial<Shop['collector']['separator']>) => {
    const shop = threeBranchShop();
    Object.assign(shop.collector.separator, { lossCoefficient: 5, inletDiameter: 0.15, ...change });
    const [part] = partsOf(shop, SEPARATOR_RUN, 'separator');
    return [part?.name, part?.coefficient];
  };
  const proportions = {
    bodyDiameter: 0.4,
    inletHeight: 0.2,
    inletWidth: 0.1,
    outletDiameter: 0.2,
    bodyLength: 0.8,
    coneLength: 0.8,
  };

  it('takes its heads; a cyclone what its proportions say; none, nothing', () => {
    expect(taken({ kind: 'none' })).toEqual(['none', 0]);
    expect(taken({ kind: 'baffle' })).toEqual(['baffle', 5]);
    expect(taken({ kind: 'baffle', proportions })).toEqual(['baffle', 5]);
    expect(taken({ kind: 'cyclone' })).toEqual(['cyclone', 5]);
    const [, lossCoefficient] = taken({ kind: 'cyclone', proportions });
    expect(lossCoefficient).toBeCloseTo(roundInletCoefficient(proportions, 0.15), 12);
    expect(lossCoefficient).not.toBeCloseTo(5, 1);
  });
});

describe('a branch by the handbook’s table', () => {
  it('loses its angle’s coefficient, whatever flows; what goes straight through loses nothing', () => {
    const shop = threeBranchShop();
    shop.shop.rules.junctions = 'handbook';
    sawOf(shop).joins = { kind: 'branch', angle: Math.PI / 4 };
    expect(partsOf(shop, 'saw', 'branch')).toEqual([
      {
        kind: 'branch',
        name: 'branch',
        half: 'down',
        coefficient: fixedJoinLoss({ kind: 'branch', angle: Math.PI / 4 }),
        friction: null,
      },
    ]);
    sawOf(shop).joins = { kind: 'straight' };
    expect(partsOf(shop, 'saw', 'branch')).toEqual([]);
  });
});

describe('an elbow behind a junction', () => {
  it('is not disturbed by those of the runs that join there', () => {
    const shop = threeBranchShop();
    const elbow = {
      kind: 'elbow' as const,
      style: 'fivePiece' as const,
      angle: Math.PI / 2,
      radiusRatio: 1.5,
      count: 1,
      after: 0,
    };
    for (const [i, run] of shop.ducts.runs.entries()) run.fittings = [{ ...elbow, id: `e${i}` }];
    const main = shop.ducts.runs.find(({ to }) => to === 'inlet');
    const [first] = partsOf(shop, main?.id ?? '', 'elbow');
    expect(first?.coefficient).toBeCloseTo(elbowLoss('fivePiece', Math.PI / 2, 1.5), 12);
  });
});
