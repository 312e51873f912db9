import { describe, expect, it } from 'vitest';
import { LONE_DUCT, loneDuct } from '../../reference/lone-duct';
import { ductLines } from './duct-lines';
import { addMachine } from './edit-machines';
import { portMouth } from './places';
import { routeDrawn } from './route-drawn';
import type { DuctEnd, RoutedDuct } from './route-duct';
import { distance, type Point3, plus, times } from './space';

/** A main 6 m long, 2.3 m up, and a band saw at (6, 2). */
function withSaw() {
  const set = loneDuct([[-6, 0]]);
  const { shop, newId, run } = set;
  const id = addMachine(shop, 'bandSaw', newId);
  const machine = shop.machines.find((each) => each.id === id);
  const port = machine?.ports[0];
  if (!machine || !port) throw new Error('no port');
  machine.place = { x: 6, y: 2 };
  const mouth = portMouth(machine, port);
  if (!mouth) throw new Error('no mouth');
  const foot = plus(mouth.at, times(mouth.out, 0.3));
  const saw: DuctEnd = { kind: 'port', machine: id, port: port.id };
  const main = (at: Point3): DuctEnd => ({ kind: 'run', run, at });
  return { ...set, machine, mouth, foot, saw, main, reach: 3 * port.diameter };
}

/** The points a routed duct goes through, its ends among them. */
function pointsOf(shop: Parameters<typeof ductLines>[0], routed: RoutedDuct): readonly Point3[] {
  if (!routed.ok) throw new Error(routed.why);
  return ductLines(shop).lines.get(routed.run)?.points ?? [];
}

function expectPoints(points: readonly Point3[], wanted: readonly Point3[]): void {
  expect(points).toHaveLength(wanted.length);
  for (const [i, point] of points.entries()) {
    const far = distance(point, wanted[i] ?? { x: 1e9, y: 0, z: 0 });
    expect(far, `point ${i}: ${JSON.stringify(point)}`).toBeLessThan(1e-6);
  }
}

describe('a duct drawn from a port', () => {
  it('gets its hose, its riser to the height clicked, and a wye where it meets the main squarely', () => {
    const { shop, saw, main, mouth, foot, off, inlet, reach, newId } = withSaw();
    const corner = { x: off(-2, 0).x, y: foot.y, z: inlet.z };
    const routed = routeDrawn(shop, saw, main(off(-2, 0)), [corner], newId);
    expectPoints(pointsOf(shop, routed), [
      mouth.at,
      { ...foot, z: 1.1 },
      { ...foot, z: inlet.z },
      corner,
      off(-2, -reach),
      off(-2 + reach, 0),
    ]);
    const run = shop.ducts.runs.find(({ id }) => routed.ok && id === routed.run);
    expect(run?.hose).not.toBeNull();
    expect(run?.route?.slack).toBeCloseTo(0.1, 9);
  });

  it('drawn the other way is the same', () => {
    const lines = [true, false].map((isForward) => {
      const { shop, saw, main, foot, off, inlet, newId } = withSaw();
      const corners = [
        { x: off(-2, 0).x, y: foot.y, z: inlet.z },
        { x: off(-2, 0).x, y: foot.y + 0.5, z: inlet.z },
      ];
      const ends: [DuctEnd, DuctEnd] = [saw, main(off(-2, 0))];
      const [from, to] = isForward ? ends : ends.toReversed();
      const clicked = isForward ? corners : corners.toReversed();
      if (!from || !to) throw new Error('no ends');
      return pointsOf(shop, routeDrawn(shop, from, to, clicked, newId));
    });
    expectPoints(lines[0] ?? [], lines[1] ?? []);
  });

  it('has its riser where asked', () => {
    const { shop, saw, main, mouth, off, inlet, reach, newId } = withSaw();
    const spot = { x: off(-4, 0).x, y: 2.6 };
    const routed = routeDrawn(shop, saw, main(off(-4, 0)), [], newId, spot);
    expectPoints(pointsOf(shop, routed), [
      mouth.at,
      { ...spot, z: 1.1 },
      { ...spot, z: inlet.z },
      off(-4, -reach),
      off(-4 + reach, 0),
    ]);
  });

  it('clicked at another height rises or comes down to the main before it joins', () => {
    const { shop, saw, main, mouth, foot, off, inlet, newId } = withSaw();
    const low = { x: off(-2, 0).x, y: inlet.y - 1, z: 1.8 };
    const routed = routeDrawn(shop, saw, main(off(-2, 0)), [low], newId);
    const points = pointsOf(shop, routed);
    expectPoints(points.slice(0, 5), [
      mouth.at,
      { ...foot, z: 1.1 },
      { ...foot, z: 1.8 },
      low,
      { ...low, z: inlet.z },
    ]);
  });

  it('is routed anew where the port has one, and keeps what that is made of', () => {
    const { shop, saw, main, off, newId } = withSaw();
    const first = routeDrawn(shop, saw, main(off(-2, 0)), [], newId);
    const run = shop.ducts.runs.find(({ id }) => first.ok && id === first.run);
    if (run) run.pipe = 'drain';
    const again = routeDrawn(shop, saw, { kind: 'inlet' }, [], newId);
    expect(again).toEqual(first);
    expect(shop.ducts.runs.find(({ id }) => id === run?.id)).toMatchObject({
      pipe: 'drain',
      to: 'inlet',
    });
  });

  it('takes over from a small collector of its own', () => {
    const { shop, saw, main, machine, off, newId } = withSaw();
    for (const port of machine.ports) port.servedBy = 'own collector';
    routeDrawn(shop, saw, main(off(-2, 0)), [], newId);
    expect(machine.ports.map(({ servedBy }) => servedBy)).toEqual(['ducts']);
  });
});

describe('a duct drawn from a free end', () => {
  it('goes straight to the inlet at its height, and comes down ahead of it from another', () => {
    const { shop, off, newId } = withSaw();
    const free = (at: Point3): DuctEnd => ({ kind: 'free', at });
    const level = routeDrawn(shop, free(off(-4, 1)), { kind: 'inlet' }, [off(-2, 1)], newId);
    expectPoints(pointsOf(shop, level), [off(-4, 1), off(-2, 1), off(0, 0)]);
    // Three diameters and an elbow's radius ahead of the inlet.
    const ahead = 4.5 * LONE_DUCT;
    const high = routeDrawn(shop, free(off(-4, 1, 0.3)), { kind: 'inlet' }, [], newId);
    expectPoints(pointsOf(shop, high), [
      off(-4, 1, 0.3),
      off(-ahead, 0, 0.3),
      off(-ahead, 0),
      off(0, 0),
    ]);
    for (const routed of [level, high]) {
      const run = shop.ducts.runs.find(({ id }) => routed.ok && id === routed.run);
      expect(run?.hose).toBeNull();
    }
  });

  it('goes to a joint at the joint’s height, without a wye’s turn', () => {
    const { shop, run, off, newId } = withSaw();
    const node = shop.ducts.runs.find(({ id }) => id === run)?.from ?? '';
    const free: DuctEnd = { kind: 'free', at: off(-6, -2, -0.5) };
    const routed = routeDrawn(shop, free, { kind: 'node', node }, [], newId);
    expectPoints(pointsOf(shop, routed), [off(-6, -2, -0.5), off(-6, -2), off(-6, 0)]);
  });

  it('joins a main with a wye two and a half of its diameters long', () => {
    const { shop, main, off, newId } = withSaw();
    const free: DuctEnd = { kind: 'free', at: off(-3, 2) };
    const routed = routeDrawn(shop, free, main(off(-3, 0)), [], newId);
    const reach = 2.5 * LONE_DUCT;
    expectPoints(pointsOf(shop, routed), [off(-3, 2), off(-3, reach), off(-3 + reach, 0)]);
  });
});

describe('what cannot be drawn', () => {
  it('says why, and changes nothing', () => {
    const { shop, saw, main, machine, off, newId } = withSaw();
    const free: DuctEnd = { kind: 'free', at: off(-3, 2) };
    const before = structuredClone(shop);
    const why = (from: DuctEnd, to: DuctEnd) => {
      const routed = routeDrawn(shop, from, to, [], newId);
      return routed.ok ? 'routed' : routed.why;
    };
    expect(why(saw, free)).toBe('no way to the blower');
    expect(why(free, saw)).toBe('no way to the blower');
    expect(why({ kind: 'inlet' }, main(off(-3, 0)))).toBe('no way to the blower');
    expect(why(free, { kind: 'node', node: 'gone' })).toBe('not placed');
    expect(why(free, { kind: 'run', run: 'gone', at: off(0, 0) })).toBe('not placed');
    expect(why({ kind: 'port', machine: machine.id, port: 'gone' }, { kind: 'inlet' })).toBe(
      'not placed',
    );
    expect(why({ kind: 'port', machine: 'gone', port: 'gone' }, { kind: 'inlet' })).toBe(
      'not placed',
    );
    expect(shop).toEqual(before);
    shop.collector.place = null;
    expect(why(saw, { kind: 'inlet' })).toBe('not placed');
  });
});
