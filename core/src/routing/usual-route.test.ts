import { describe, expect, it } from 'vitest';
import { LONE_DUCT, loneDuct } from '../../reference/lone-duct';
import type { Shop } from '../design/schema';
import { toSI } from '../quantity/units';
import { bendsAt } from './bend-geometry';
import { ductLines } from './duct-lines';
import { addMachine } from './edit-machines';
import { portMouth } from './places';
import { distance, type Point3, plus, times } from './space';
import { splitAt } from './split-at';
import {
  aheadOf,
  ductHeight,
  type Goal,
  ontoMain,
  riseFrom,
  turnedWithFlow,
  type UsualRoute,
  usualRoute,
} from './usual-route';

const at = (x: number, y: number, z = 0): Point3 => ({ x, y, z });

/** Point by point the same, within a micrometre. */
function expectPoints(points: readonly Point3[] | undefined, wanted: readonly Point3[]): void {
  expect(points).toHaveLength(wanted.length);
  for (const [i, point] of (points ?? []).entries()) {
    const far = distance(point, wanted[i] ?? at(1e9, 0));
    expect(far, `point ${i}: ${JSON.stringify(point)}`).toBeLessThan(1e-6);
  }
}

describe('the height ducts hang at', () => {
  it('is that of the first joint, else a little under the ceiling, else the usual one', () => {
    const { shop } = loneDuct([[-6, 0, -0.2]]);
    expect(ductHeight(shop)).toBeCloseTo(2.1, 9);
    const bare: Shop = { ...shop, ducts: { ...shop.ducts, nodes: [] } };
    const under = (ceilingHeight: number | null) =>
      ductHeight({ ...bare, room: { ...bare.room, ceilingHeight } });
    expect(under(2.7)).toBeCloseTo(2.4, 9);
    expect(under(2.704)).toBeCloseTo(2.4, 9);
    // In a shop of feet and inches, whole inches: 9′ 6¼″ less 11.8 in.
    const inFeet = { ...bare, shop: { ...bare.shop, units: 'us' as const } };
    const high = ductHeight({
      ...inFeet,
      room: { ...inFeet.room, ceilingHeight: toSI(114.25, 'in') },
    });
    expect(high).toBeCloseTo(toSI(102, 'in'), 9);
    expect(under(0.6)).toBe(0.5);
    expect(under(null)).toBe(2.3);
    // Ports and the inlet are nodes too, but their height does not count.
    const ends = shop.ducts.nodes.filter(({ kind }) => kind.kind !== 'joint');
    expect(ends.length).toBeGreaterThan(0);
    expect(ductHeight({ ...shop, ducts: { ...shop.ducts, nodes: ends } })).toBeCloseTo(2.4, 9);
  });
});

describe('the rise from a port', () => {
  const rise = (z: number, height: number) =>
    riseFrom({ at: at(1, 2, z), out: at(-1, 0) }, height, 'metric');

  it('begins 0.3 m out and where a hand reaches the gate, or 0.3 m above a high port', () => {
    expectPoints(rise(0.5, 2.3), [at(0.7, 2, 1.1), at(0.7, 2, 2.3)]);
    expectPoints(rise(1.2, 2.3), [at(0.7, 2, 1.5), at(0.7, 2, 2.3)]);
  });

  it('begins a foot out and at whole inches in a shop of feet and inches', () => {
    const port = { at: at(1, 2, 0.5), out: at(-1, 0) };
    expectPoints(riseFrom(port, 2.3, 'us'), [
      at(1 - toSI(12, 'in'), 2, toSI(43, 'in')),
      at(1 - toSI(12, 'in'), 2, 2.3),
    ]);
  });

  it('begins lower under low ducts, and needs no riser where they lie on the floor', () => {
    expectPoints(rise(0.5, 1.2), [at(0.7, 2, 1), at(0.7, 2, 1.2)]);
    expectPoints(rise(0.5, 0.25), [at(0.7, 2, 0.1), at(0.7, 2, 0.25)]);
    expectPoints(rise(0.5, 0.1), [at(0.7, 2, 0.1)]);
  });
});

describe('a way onto a main', () => {
  const toward = (degrees: number) => {
    const angle = (degrees * Math.PI) / 180;
    return at(Math.cos(angle), Math.sin(angle));
  };
  const turned = (degrees: number, room = 5, length = 3) =>
    turnedWithFlow(
      [at(0, 0, 2), at(length, 0, 2)],
      { flow: toward(degrees), diameter: 0.15, room },
      0.15,
    );

  it('turns with the flow two and a half diameters ahead where it would meet the main squarely', () => {
    expectPoints(turned(90), [at(0, 0, 2), at(2.625, 0, 2), at(3, 0.375, 2)]);
    for (const degrees of [61, 119]) {
      const flow = toward(degrees);
      const end = at(3 + 0.375 * flow.x, 0.375 * flow.y, 2);
      expectPoints(turned(degrees), [at(0, 0, 2), at(2.625, 0, 2), end]);
    }
  });

  it('stays as it is where it leans either way already', () => {
    for (const degrees of [0, 45, 59, 121, 180]) {
      expectPoints(turned(degrees), [at(0, 0, 2), at(3, 0, 2)]);
    }
  });

  it('turns later where its last leg is short or little of the main is left, and not at all where there is no room', () => {
    expectPoints(turned(90, 5, 0.2), [at(0, 0, 2), at(0.04, 0, 2), at(0.2, 0.16, 2)]);
    expectPoints(turned(90, 0.2), [at(0, 0, 2), at(2.875, 0, 2), at(3, 0.125, 2)]);
    expectPoints(turned(90, 0.1), [at(0, 0, 2), at(3, 0, 2)]);
    const main = { flow: toward(90), diameter: 0.15, room: 5 };
    expectPoints(turnedWithFlow([at(1, 1)], main, 0.15), [at(1, 1)]);
  });
});

it('a main is straight up to where its next elbow begins, or to its end', () => {
  // Along 3.5 m, across 1 m, and 2.5 m into the collector; elbows of 1½ diameters begin 0.225 m from their corners.
  const { shop, run } = loneDuct([
    [-6, 1],
    [-2.5, 1],
    [-2.5, 0],
  ]);
  const line = ductLines(shop).lines.get(run);
  if (!line) throw new Error('no line');
  const room = (along: number) => ontoMain(line, { along, direction: at(1, 0) }).room;
  expect(room(3)).toBeCloseTo(0.5 - 1.5 * LONE_DUCT, 9);
  expect(room(4)).toBeCloseTo(0.5 - 1.5 * LONE_DUCT, 9);
  expect(room(5)).toBeCloseTo(2, 9);
  // In the elbow itself there is none.
  expect(room(3.4)).toBeLessThan(0);
  expect(room(3.5)).toBeLessThan(0);
  expect(ontoMain(line, { along: 1, direction: at(1, 0) })).toMatchObject({
    ...{ flow: at(1, 0), diameter: LONE_DUCT },
  });
});

describe('the usual way of a drop', () => {
  /** A main 6 m long with a machine beside it; the machine's way, and where its riser stands. */
  function routeOf(place: { x: number; y: number }, goal: (main: string) => Goal, height = 0) {
    const set = loneDuct([[-6, 0, height]], (shop) => {
      shop.collector.inlet.height = 2.3 + height;
    });
    const { shop, newId, run } = set;
    const id = addMachine(shop, 'bandSaw', newId);
    const machine = shop.machines.find((each) => each.id === id);
    const port = machine?.ports[0];
    if (!machine || !port) throw new Error('no machine');
    machine.place = place;
    const mouth = portMouth(machine, port);
    if (!mouth) throw new Error('no mouth');
    const foot = plus(mouth.at, times(mouth.out, 0.3));
    const route: UsualRoute | null = usualRoute(shop, machine, port, goal(run));
    return { ...set, machine, port, foot, way: route, reach: 3 * port.diameter };
  }

  it('to a main: up, square to it, and into it by a wye three diameters long, 100 mm into 150', () => {
    const {
      way: route,
      foot,
      inlet,
      run,
      reach,
    } = routeOf({ x: 6, y: 2 }, (main) => ({
      kind: 'run',
      run: main,
    }));
    expectPoints(route?.between, [
      at(foot.x, foot.y, 1.1),
      at(foot.x, foot.y, inlet.z),
      at(foot.x, inlet.y - reach, inlet.z),
    ]);
    expect(route?.to).toMatchObject({ kind: 'run', run });
    expectPoints(route?.to.kind === 'run' ? [route.to.at] : [], [
      at(foot.x + reach, inlet.y, inlet.z),
    ]);
  });

  it('to a main that begins further on: along it until abreast of its beginning', () => {
    const {
      way: route,
      foot,
      inlet,
      reach,
    } = routeOf({ x: 1, y: 2 }, (main) => ({
      kind: 'run',
      run: main,
    }));
    const begins = inlet.x - 6;
    expect(foot.x).toBeLessThan(begins - 0.5);
    expectPoints(route?.between, [
      at(foot.x, foot.y, 1.1),
      at(foot.x, foot.y, inlet.z),
      at(begins, foot.y, inlet.z),
      at(begins, inlet.y - reach, inlet.z),
    ]);
    expectPoints(route?.to.kind === 'run' ? [route.to.at] : [], [
      at(begins + reach, inlet.y, inlet.z),
    ]);
  });

  it('to the collector: onto the line its inlet faces along, three diameters and an elbow ahead', () => {
    const ahead = 4.5 * LONE_DUCT;
    // A machine well ahead leads straight onto the line; one beside the inlet first goes out to where that
    // piece begins.
    const far = routeOf({ x: 5, y: 1 }, () => ({ kind: 'inlet' }));
    const { inlet } = far;
    expectPoints(far.way?.between, [
      at(far.foot.x, far.foot.y, 1.1),
      at(far.foot.x, far.foot.y, inlet.z),
      at(far.foot.x, inlet.y, inlet.z),
    ]);
    const beside = routeOf({ x: inlet.x, y: 1 }, () => ({ kind: 'inlet' }));
    expect(inlet.x - beside.foot.x).toBeLessThan(ahead);
    expectPoints(beside.way?.between, [
      at(beside.foot.x, beside.foot.y, 1.1),
      at(beside.foot.x, beside.foot.y, inlet.z),
      at(inlet.x - ahead, beside.foot.y, inlet.z),
      at(inlet.x - ahead, inlet.y, inlet.z),
    ]);
    expect(beside.way?.to).toEqual({ kind: 'inlet' });
    const mouth = { at: inlet, out: at(-1, 0) };
    expectPoints([aheadOf(beside.shop, mouth)], [at(inlet.x - ahead, inlet.y, inlet.z)]);
  });

  it('to a joint: leaning with the flow of what leaves it', () => {
    const set = routeOf({ x: 6, y: 1 }, () => ({ kind: 'inlet' }));
    const { shop, machine, port, foot, inlet, reach, run, newId, off } = set;
    const node = splitAt(shop, run, off(-3, 0), newId) ?? '';
    const route = usualRoute(shop, machine, port, { kind: 'node', node });
    const joint = at(inlet.x - 3, inlet.y, inlet.z);
    // It turns three diameters ahead of the joint and three beside the main, then joins at 45°.
    expectPoints(route?.between, [
      at(foot.x, foot.y, 1.1),
      at(foot.x, foot.y, inlet.z),
      at(joint.x - reach, foot.y, inlet.z),
      at(joint.x - reach, inlet.y - reach, inlet.z),
    ]);
    expect(route?.to).toEqual({ kind: 'node', node });
  });

  it('to a joint it stands in line with: straight along, with no bend on the joint itself', () => {
    const set = routeOf({ x: 3, y: 4 }, () => ({ kind: 'inlet' }));
    const { shop, machine, port, inlet, run, newId, off } = set;
    const node = splitAt(shop, run, off(-1, 0), newId) ?? '';
    const mouth = portMouth(machine, port);
    if (!mouth) throw new Error('no mouth');
    // Moved so that its riser stands on the main's own line.
    machine.place = { x: 3, y: 4 + inlet.y - (mouth.at.y + 0.3 * mouth.out.y) };
    const foot = plus(portMouth(machine, port)?.at ?? mouth.at, times(mouth.out, 0.3));
    expect(foot.y).toBeCloseTo(inlet.y, 9);
    const route = usualRoute(shop, machine, port, { kind: 'node', node });
    expectPoints(route?.between, [at(foot.x, foot.y, 1.1), at(foot.x, foot.y, inlet.z)]);
  });

  it('to a joint nothing drawn leaves: along the room’s axes, the longer leg first', () => {
    const set = routeOf({ x: 6, y: 1 }, () => ({ kind: 'inlet' }));
    const { shop, machine, port, foot, inlet, run, newId, off } = set;
    const node = splitAt(shop, run, off(-3, 0), newId) ?? '';
    for (const each of shop.ducts.runs) if (each.from === node) each.route = null;
    const joint = shop.ducts.nodes.find(({ id }) => id === node);
    const to = (x: number, y: number) => {
      if (joint) joint.at = at(x, y, inlet.z);
      return usualRoute(shop, machine, port, { kind: 'node', node })?.between;
    };
    const rise = [at(foot.x, foot.y, 1.1), at(foot.x, foot.y, inlet.z)];
    expectPoints(to(foot.x + 3, foot.y + 2), [...rise, at(foot.x + 3, foot.y, inlet.z)]);
    expectPoints(to(foot.x + 2, foot.y + 3), [...rise, at(foot.x, foot.y + 3, inlet.z)]);
    expectPoints(to(foot.x - 3, foot.y - 2), [...rise, at(foot.x - 3, foot.y, inlet.z)]);
    // Straight ahead or straight beside, it needs no corner.
    expectPoints(to(foot.x, foot.y + 3), rise);
    expectPoints(to(foot.x + 3, foot.y), rise);
  });

  it('to a joint whose duct rises: along the room’s axes too, since it has no side to come abreast on', () => {
    const set = routeOf({ x: 6, y: 1 }, () => ({ kind: 'inlet' }));
    const { shop, machine, port, foot, inlet, run, newId, off } = set;
    const node = splitAt(shop, run, off(-3, 0), newId) ?? '';
    const joint = shop.ducts.nodes.find(({ id }) => id === node);
    const lower = shop.ducts.runs.find(({ from }) => from === node);
    if (!joint || !lower?.route) throw new Error('no joint');
    joint.at = at(inlet.x - 3, inlet.y, 1.5);
    lower.route.bends = bendsAt([at(inlet.x - 3, inlet.y, inlet.z)], newId);
    const route = usualRoute(shop, machine, port, { kind: 'node', node });
    const [reach, x, z] = [3 * port.diameter, inlet.x - 3, 1.5 - 3 * port.diameter];
    expect(Math.abs(x - foot.x)).toBeLessThan(Math.abs(inlet.y - foot.y));
    // Level three diameters under the joint, and up into it by 45° from three diameters beside it.
    expectPoints(route?.between, [
      at(foot.x, foot.y, z - 0.2),
      at(foot.x, foot.y, z),
      at(foot.x, inlet.y, z),
      at(foot.x + (x > foot.x ? 1 : -1) * (Math.abs(x - foot.x) - reach), inlet.y, z),
    ]);
  });

  it('has none without a machine’s place, a collector’s, a main’s or a joint’s', () => {
    const set = routeOf({ x: 6, y: 2 }, (main) => ({ kind: 'run', run: main }));
    const { shop, machine, port } = set;
    const ask = (goal: Goal) => usualRoute(shop, machine, port, goal, ductLines(shop));
    expect(ask({ kind: 'node', node: 'nowhere' })).toBeNull();
    expect(ask({ kind: 'run', run: 'nowhere' })).toBeNull();
    shop.collector.place = null;
    expect(ask({ kind: 'inlet' })).toBeNull();
    machine.place = null;
    expect(ask({ kind: 'inlet' })).toBeNull();
  });
});
