import { describe, expect, it } from 'vitest';
import { counter } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { setJoins } from '../design/edit-ducts';
import { runLength } from '../design/length';
import { newShop } from '../design/new-shop';
import type { Fitting, Run, Shop } from '../design/schema';
import { setRoomSize } from '../room/edit-floor';
import { arrangeDucts } from './arrange-ducts';
import { deriveRuns } from './derive-runs';
import { followDrawing, holdTyped, setBendStyle } from './edit-route';
import { inletMouth } from './places';
import { routeDuct } from './route-duct';
import { type Point3, plus } from './space';
import { splitAt } from './split-at';

const RIGHT = Math.PI / 2;

/** A room of 12 by 8 m; the collector's inlet looks toward −x, 2 m up, at a known spot. */
function shopWithInlet() {
  const shop = newShop('s', 'S', 'metric', estimatedCurve(0.3, 57, 0.5, 1.2));
  setRoomSize(shop, 12, 8);
  shop.collector.place = { x: 10, y: 4, z: 0 };
  shop.collector.inlet = { side: 'left', height: 2 };
  const mouth = inletMouth(shop);
  if (!mouth) throw new Error('no inlet');
  expect(mouth.out.x).toBeCloseTo(-1, 12);
  expect(mouth.at.z).toBe(2);
  const newId = counter();
  /** A point so far from the inlet. */
  const off = (x: number, y: number, z = 0): Point3 => plus(mouth.at, { x, y, z });
  return { shop, newId, off };
}

const elbows = ({ fittings }: Run) =>
  fittings.filter(
    (fitting): fitting is Extract<Fitting, { kind: 'elbow' }> => fitting.kind === 'elbow',
  );

function derived(shop: Shop, id: string): Run {
  const run = deriveRuns(shop).find((each) => each.id === id);
  if (!run) throw new Error(`no run ${id}`);
  return run;
}

type End = Parameters<typeof routeDuct>[1];

function route(
  { shop, newId }: Pick<ReturnType<typeof shopWithInlet>, 'shop' | 'newId'>,
  from: End,
  to: End,
  between: Point3[] = [],
): string {
  const routed = routeDuct(shop, from, to, { between, hasHose: false }, newId);
  if (!routed.ok) throw new Error(routed.why);
  return routed.run;
}

describe('a drawn run, worked by hand', () => {
  it('straight into the collector: its length, no elbow', () => {
    const set = shopWithInlet();
    const id = route(set, { kind: 'free', at: set.off(-5, 0) }, { kind: 'inlet' });
    const run = derived(set.shop, id);
    expect(run.length).toBeCloseTo(5, 12);
    expect(run.fittings).toEqual([]);
    expect(run.joins).toEqual({ kind: 'straight' });
  });

  it('3 m and 4 m about a corner: 7 m, one elbow of 90° with 4 m less its radius behind it', () => {
    const set = shopWithInlet();
    const at = set.off(-4, 3);
    const id = route(set, { kind: 'free', at }, { kind: 'inlet' }, [set.off(-4, 0)]);
    const run = derived(set.shop, id);
    expect(run.length).toBeCloseTo(7, 12);
    const [elbow, ...more] = elbows(run);
    expect(more).toEqual([]);
    expect(elbow?.angle).toBeCloseTo(RIGHT, 9);
    expect(elbow?.radiusRatio).toBe(1.5);
    expect(elbow?.after).toBeCloseTo(4 - 1.5 * run.diameter, 9);
  });

  it('square to the inlet’s way it ends in an elbow right at the inlet', () => {
    const set = shopWithInlet();
    const id = route(set, { kind: 'free', at: set.off(0, 3) }, { kind: 'inlet' });
    const [elbow] = elbows(derived(set.shop, id));
    expect(elbow?.angle).toBeCloseTo(RIGHT, 9);
    expect(elbow?.after).toBe(0);
  });

  it('a riser is a leg like another: down 1.5 m, over 2 m, and 90° between', () => {
    const set = shopWithInlet();
    const at = set.off(-2, 0, -1.5);
    const id = route(set, { kind: 'free', at }, { kind: 'inlet' }, [set.off(-2, 0)]);
    const run = derived(set.shop, id);
    expect(run.length).toBeCloseTo(3.5, 12);
    expect(elbows(run).map(({ angle }) => angle)).toEqual([expect.closeTo(RIGHT, 9)]);
  });

  it('two 45s with a 0.3 m spacer instead of an elbow cut the corner by 0.176 m', () => {
    const set = shopWithInlet();
    const corner = set.off(-4, 0);
    const id = route(set, { kind: 'free', at: set.off(-4, 3) }, { kind: 'inlet' }, [corner]);
    const stored = set.shop.ducts.runs.find((run) => run.id === id);
    if (!stored) throw new Error('no run');
    stored.diameter = 0.1;
    const bend = stored.route?.bends[0];
    setBendStyle(set.shop, bend?.id ?? '', { elbow: 'smooth', radiusRatio: 1.5, pair: 0.3 });
    const run = derived(set.shop, id);
    // t = 1.5·0.1·tan 22.5° = 0.0621; chord 0.3 + 2t = 0.4243; side 0.4243/√2 = 0.3; 0.6 − 0.4243.
    expect(run.length).toBeCloseTo(7 - 0.1757, 4);
    expect(elbows(run).map(({ angle, style }) => [angle, style])).toEqual([
      [expect.closeTo(RIGHT / 2, 9), 'smooth'],
      [expect.closeTo(RIGHT / 2, 9), 'smooth'],
    ]);
    expect(elbows(run)[0]?.after).toBe(0.3);
    expect(elbows(run)[1]?.after).toBeCloseTo(4 - 0.3 - 0.0621, 3);
  });

  it('a hose is a tenth longer than the straight line it hangs along', () => {
    const set = shopWithInlet();
    const { shop, newId, off } = set;
    shop.machines.push({
      id: 'saw',
      name: 'Saw',
      kind: 'tableSaw',
      place: { x: 3, y: 4 },
      turn: 0,
      size: { width: 1, depth: 1 },
      feed: null,
      chips: 'chips',
      ports: [
        {
          id: 'p',
          name: '',
          at: { x: 0.5, y: 0, z: 1 },
          diameter: 0.1,
          need: { kind: 'flow', flow: 0.2 },
          entryLoss: 1,
          openTime: null,
          servedBy: 'ducts',
        },
      ],
    });
    const from = { kind: 'port', machine: 'saw', port: 'p' } as const;
    const between = [
      { x: 4.5, y: 4, z: 1 },
      { x: 4.5, y: 4, z: 2 },
      { x: 4.5, y: off(0, 0).y, z: 2 },
    ];
    const routed = routeDuct(shop, from, { kind: 'inlet' }, { between, hasHose: true }, newId);
    if (!routed.ok) throw new Error(routed.why);
    const run = derived(shop, routed.run);
    expect(run.hose?.length).toBeCloseTo(1.1, 9);
    expect(run.length).toBeCloseTo(1 + (off(0, 0).x - 4.5) + Math.abs(off(0, 0).y - 4), 9);
    // The hose bends of itself where it meets the pipe.
    expect(elbows(run).every(({ angle }) => Math.abs(angle - RIGHT) < 1e-9)).toBe(true);
    expect(elbows(run).length).toBe(Math.abs(off(0, 0).y - 4) < 1e-6 ? 1 : 2);
  });
});

describe('where drawn runs meet', () => {
  /** A main along x with its joint 4 m ahead of the inlet, and a branch drawn from `at`. */
  function junction(branch: (off: ReturnType<typeof shopWithInlet>['off']) => Point3[]) {
    const set = shopWithInlet();
    const main = route(set, { kind: 'free', at: set.off(-7, 0) }, { kind: 'inlet' });
    const [at, ...between] = branch(set.off);
    if (!at) throw new Error('no start');
    const end = { kind: 'run', run: main, at: set.off(-4, 0) } as const;
    const own = route(set, { kind: 'free', at }, end, between);
    return { ...set, main, own };
  }

  it('the main is cut in 3 m and 4 m; the branch joins by the angle it is drawn at', () => {
    const { shop, main, own } = junction((off) => [off(-6, 2)]);
    const runs = deriveRuns(shop);
    const below = runs.find(({ from }) => from === derived(shop, main).to);
    expect(derived(shop, main).length).toBeCloseTo(3, 9);
    expect(below?.length).toBeCloseTo(4, 9);
    expect(derived(shop, main).joins).toEqual({ kind: 'straight' });
    expect(derived(shop, own).joins).toEqual({
      kind: 'branch',
      angle: expect.closeTo(RIGHT / 2, 9),
    });
    expect(derived(shop, own).fittings).toEqual([]);
  });

  it('squarely it is a tee; leaning back, a branch against the flow', () => {
    const tee = junction((off) => [off(-4, 2)]);
    const against = junction((off) => [off(-2, 2)]);
    const joins = ({ shop, own }: typeof tee) => derived(shop, own).joins;
    expect(joins(tee)).toEqual({ kind: 'branch', angle: expect.closeTo(RIGHT, 9) });
    expect(joins(against)).toEqual({ kind: 'branch', angle: expect.closeTo(1.5 * RIGHT, 9) });
  });

  it('a slight kink in the main is an elbow of it, not a branch', () => {
    const { shop, main } = junction((off) => [off(-6, 2)]);
    const joint = shop.ducts.nodes.find(({ id }) => id === derived(shop, main).from);
    if (joint?.at) joint.at.y += 3 * Math.tan((10 * Math.PI) / 180);
    const run = derived(shop, main);
    expect(run.joins).toEqual({ kind: 'straight' });
    expect(elbows(run).map(({ angle }) => (angle * 180) / Math.PI)).toEqual([
      expect.closeTo(10, 6),
    ]);
  });

  it('two legs that meet head on are both legs of a Y, 90° each side', () => {
    const set = shopWithInlet();
    const main = route(set, { kind: 'free', at: set.off(-4, 0) }, { kind: 'inlet' });
    const node = set.shop.ducts.runs.find(({ id }) => id === main)?.from ?? '';
    const legs = [3, -3].map((y) =>
      route(set, { kind: 'free', at: set.off(-4, y) }, { kind: 'node', node }),
    );
    for (const leg of legs) {
      expect(derived(set.shop, leg).joins).toEqual({
        kind: 'symmetric',
        angle: expect.closeTo(RIGHT, 9),
      });
    }
    const arranged = arrangeDucts(set.shop);
    expect(arranged.ok).toBe(true);
    expect(arranged.ok && runLength(derived(set.shop, main), arranged.tree)).toBeCloseTo(4, 9);
  });

  it.each([
    ['45° on either side: a Y', [-7, 3], [-7, -3], ['symmetric', 'symmetric'], [45, 45]],
    ['4° apart: a Y still', [-7, 3], [-6.8, -3], ['symmetric', 'symmetric'], [45, 46.97]],
    ['a third as steep: branches', [-7, 3], [-7, -1], ['branch', 'branch'], [45, 18.43]],
    ['both against the flow: branches', [-1, 3], [-1, -3], ['branch', 'branch'], [135, 135]],
  ] as const)('two legs drawn at %s', (_, first, second, kinds, degrees) => {
    const set = shopWithInlet();
    const main = route(set, { kind: 'free', at: set.off(-4, 0) }, { kind: 'inlet' });
    const node = set.shop.ducts.runs.find(({ id }) => id === main)?.from ?? '';
    const legs = [first, second].map(([x, y]) =>
      route(set, { kind: 'free', at: set.off(x, y) }, { kind: 'node', node }),
    );
    const found = legs.map((leg) => derived(set.shop, leg).joins);
    expect(found.map(({ kind }) => kind)).toEqual(kinds);
    const angles = found.map((each) => ('angle' in each ? (each.angle * 180) / Math.PI : null));
    expect(angles).toEqual(degrees.map((each) => expect.closeTo(each, 1)));
    // A third duct there leaves no Y.
    const third = route(set, { kind: 'free', at: set.off(-4, 0, 2) }, { kind: 'node', node });
    for (const leg of [...legs, third]) expect(derived(set.shop, leg).joins.kind).toBe('branch');
  });

  it('a Y that typed figures say of one leg is one, however the other is drawn', () => {
    const { shop, own } = junction((off) => [off(-4, 2)]);
    const node = derived(shop, own).to;
    const [branch, other] = [true, false].map((isOwn) =>
      shop.ducts.runs.find(({ id, to }) => to === node && (id === own) === isOwn),
    );
    if (!branch || !other) throw new Error('no junction');
    expect(derived(shop, other.id).joins).toEqual({ kind: 'straight' });
    holdTyped(shop, own);
    const y = { kind: 'symmetric', angle: Math.PI / 6 } as const;
    setJoins(shop, own, y);
    for (const { id } of [branch, other]) expect(derived(shop, id).joins).toEqual(y);
    followDrawing(shop, own);
    expect(derived(shop, other.id).joins).toEqual({ kind: 'straight' });
    expect(derived(shop, own).joins.kind).toBe('branch');
  });

  it('a joint in line that nothing joins is nothing: the straight goes on through it', () => {
    const set = shopWithInlet();
    const main = route(set, { kind: 'free', at: set.off(-3, 0) }, { kind: 'inlet' });
    const node = set.shop.ducts.runs.find(({ id }) => id === main)?.from ?? '';
    const on = route(set, { kind: 'free', at: set.off(-5, 2) }, { kind: 'node', node }, [
      set.off(-5, 0),
    ]);
    const run = derived(set.shop, on);
    expect(run.length).toBeCloseTo(4, 9);
    // From the elbow 2 m to the joint and 3 m on to the inlet, less the elbow's radius.
    expect(elbows(run)[0]?.after).toBeCloseTo(5 - 1.5 * run.diameter, 9);
  });

  it('behind such a joint the straight ends where the next run turns, less what that elbow takes', () => {
    const set = shopWithInlet();
    const main = route(set, { kind: 'free', at: set.off(-3, 0) }, { kind: 'inlet' });
    const corner = set.shop.ducts.runs.find(({ id }) => id === main)?.from ?? '';
    const down = route(set, { kind: 'free', at: set.off(-3, 2) }, { kind: 'node', node: corner });
    const node = set.shop.ducts.runs.find(({ id }) => id === down)?.from ?? '';
    const at = set.off(-5, 6);
    const on = route(set, { kind: 'free', at }, { kind: 'node', node }, [set.off(-3, 6)]);
    const run = derived(set.shop, on);
    // 4 m to the joint and 2 m on to the corner, less the radius of the elbow at either end.
    const radius = 1.5 * run.diameter;
    expect(elbows(run)[0]?.after).toBeCloseTo(6 - 2 * radius, 9);
    expect(elbows(derived(set.shop, down)).map(({ angle }) => angle)).toEqual([
      expect.closeTo(RIGHT, 9),
    ]);
  });

  /** A run that turns 2 m ahead of a joint in line, and from there what `lower` draws to the inlet. */
  function ontoJoint(lower: (off: ReturnType<typeof shopWithInlet>['off']) => Point3[]) {
    const set = shopWithInlet();
    const below = route(
      set,
      { kind: 'free', at: set.off(-6, 3) },
      { kind: 'inlet' },
      lower(set.off),
    );
    const node = set.shop.ducts.runs.find(({ id }) => id === below)?.from ?? '';
    const at = set.off(-8, 5);
    const upper = route(set, { kind: 'free', at }, { kind: 'node', node }, [set.off(-8, 3)]);
    const own = set.shop.ducts.runs.find(({ id }) => id === below);
    if (!own) throw new Error('no lower run');
    /** Straight duct behind the upper run's elbow. */
    const straight = () => elbows(derived(set.shop, upper))[0]?.after;
    return { ...set, below: own, upper, straight, radius: 1.5 * own.diameter };
  }

  it('behind a joint in line the straight ends at the next run’s first elbow, less its radius', () => {
    const { straight, radius } = ontoJoint((off) => [off(-3, 3), off(-3, 0)]);
    expect(straight()).toBeCloseTo(2 - radius + 3 - radius, 9);
    // Where that elbow begins before the joint, there is only the run's own.
    const tight = ontoJoint((off) => [off(-6 + radius / 2, 3), off(-6 + radius / 2, 0)]);
    expect(tight.straight()).toBeCloseTo(2 - radius, 9);
  });

  it('how much straight follows is not known behind a hose, typed figures, or nothing drawn', () => {
    const set = ontoJoint((off) => [off(-3, 3), off(-3, 0)]);
    const { below, straight } = set;
    const { route: drawn } = below;
    if (!drawn) throw new Error('not drawn');
    expect(straight()).not.toBeNull();
    below.hose = { kind: 'smooth', length: 1, diameter: below.diameter, compression: 0 };
    expect(straight()).toBeNull();
    below.hose = null;
    below.route = { ...drawn, isFollowed: false };
    expect(straight()).toBeNull();
    below.route = null;
    expect(straight()).toBeNull();
    below.route = drawn;
    // Back to where it comes from: it ends nowhere.
    below.to = below.from;
    drawn.bends = [];
    expect(straight() ?? null).toBeNull();
  });

  it('nor is it where the next run meets others at its end', () => {
    const set = ontoJoint((off) => [off(-3, 3), off(-3, 0)]);
    const { below, straight } = set;
    if (!below.route) throw new Error('not drawn');
    // Cut on its first leg, which then ends at a joint: in line, until a branch comes in there.
    const node = splitAt(set.shop, below.id, set.off(-4, 3), set.newId) ?? '';
    expect(straight()).toBeCloseTo(5 - 2 * set.radius, 9);
    route(set, { kind: 'free', at: set.off(-5, 4) }, { kind: 'node', node });
    expect(straight()).toBeNull();
  });

  it('between two elbows of one run lies what their radii leave of the leg', () => {
    const set = shopWithInlet();
    const at = set.off(-6, 3);
    const id = route(set, { kind: 'free', at }, { kind: 'inlet' }, [
      set.off(-4, 3),
      set.off(-4, 0),
    ]);
    const run = derived(set.shop, id);
    const radius = 1.5 * run.diameter;
    expect(elbows(run).map(({ after }) => after)).toEqual([
      expect.closeTo(3 - 2 * radius, 9),
      expect.closeTo(4 - radius, 9),
    ]);
    const [first] = set.shop.ducts.runs.find((each) => each.id === id)?.route?.bends ?? [];
    if (!first) throw new Error('no bend');
    // Closer than their radii: none, not less than none.
    first.at = set.off(-4, radius);
    const close = set.shop.ducts.nodes.find((node) => node.id === run.from);
    if (close) close.at = set.off(-6, radius);
    expect(elbows(derived(set.shop, id))[0]?.after).toBe(0);
  });

  it('an elbow made of two keeps what its run had on it, and what is not an elbow', () => {
    const set = shopWithInlet();
    const at = set.off(-4, 3);
    const id = route(set, { kind: 'free', at }, { kind: 'inlet' }, [set.off(-4, 0)]);
    const own = set.shop.ducts.runs.find((each) => each.id === id);
    const [bend] = own?.route?.bends ?? [];
    if (!own || !bend) throw new Error('no bend');
    bend.style = { ...bend.style, pair: 0.3 };
    const trap = { kind: 'other', id: 't', name: 'Trap', lossCoefficient: 1, count: 1 } as const;
    const typed = { ...elbows(derived(set.shop, id))[0], id: 'typed' } as Fitting;
    own.fittings = [typed, trap];
    // Elbows are the drawing's to say; anything else was put there by hand.
    expect(derived(set.shop, id).fittings).toMatchObject([
      { kind: 'elbow', id: `${bend.id}-a`, after: 0.3 },
      { kind: 'elbow', id: `${bend.id}-b` },
      trap,
    ]);
  });

  it('a leg of a Y leans back against the flow no more than squarely', () => {
    const { shop, main, own } = junction((off) => [off(-2, 2)]);
    const node = derived(shop, own).to;
    const joint = shop.ducts.nodes.find(({ id }) => id === derived(shop, main).from);
    if (joint?.at) joint.at = { ...joint.at, x: joint.at.x + 5, y: joint.at.y - 2 };
    const legs = deriveRuns(shop).filter(({ to }) => to === node);
    for (const { joins } of legs) expect(joins.kind).toBe('branch');
  });

  it('of two that lead nearly straight on, the straighter goes through, whichever was drawn first', () => {
    const degrees = (angle: number) => {
      const [x, y] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
      return (off: ReturnType<typeof shopWithInlet>['off']) => [off(-4 - 2 * x, 2 * y)];
    };
    for (const [kink, branch] of [
      [12, 6],
      [6, 12],
    ] as const) {
      const { shop, main, own } = junction(degrees(branch));
      const joint = shop.ducts.nodes.find(({ id }) => id === derived(shop, main).from);
      if (joint?.at) joint.at.y -= 3 * Math.tan((kink * Math.PI) / 180);
      const joins = [main, own].map((id) => derived(shop, id).joins);
      const straight = { kind: 'straight' };
      const wye = (angle: number) => ({
        kind: 'branch',
        angle: expect.closeTo((angle * Math.PI) / 180, 9),
      });
      expect(joins).toEqual(kink < branch ? [straight, wye(branch)] : [wye(kink), straight]);
    }
  });

  it('beside a run that is not drawn, what is typed of their angles holds', () => {
    const { shop, own } = junction((off) => [off(-4, 2)]);
    const node = derived(shop, own).to;
    const typed = shop.ducts.runs.filter(({ to }) => to === node);
    const other = typed.find(({ id }) => id !== own);
    if (other) other.route = null;
    expect(derived(shop, own).joins).toEqual(typed.find(({ id }) => id === own)?.joins);
  });
});
