import { describe, expect, it } from 'vitest';
import { loneDuct } from '../../reference/lone-duct';
import type { Machine, Shop } from '../design/schema';
import { addMachine } from './edit-machines';
import { inletMouth, inMachine, nodePlaces, portMouth } from './places';
import { distance, type Point3 } from './space';

/** A band saw of 0.8 by 0.6 m at (3, 2), turned as asked, its port where asked in its own axes. */
function machineWith(at: Point3 | null, turn = 0): Machine {
  const { shop, newId } = loneDuct([[-6, 0]]);
  const id = addMachine(shop, 'bandSaw', newId);
  const machine = shop.machines.find((each) => each.id === id);
  const port = machine?.ports[0];
  if (!machine || !port) throw new Error('no port');
  Object.assign(machine, { place: { x: 3, y: 2 }, turn, size: { width: 0.8, depth: 0.6 } });
  port.at = at;
  return machine;
}

const mouthOf = (machine: Machine, nth = 0) => {
  const port = machine.ports[nth];
  const mouth = port && portMouth(machine, port);
  if (!mouth) throw new Error('no mouth');
  return mouth;
};
const expectAt = (point: Point3 | null | undefined, x: number, y: number, z: number) =>
  expect(
    distance(point ?? { x: 99, y: 99, z: 99 }, { x, y, z }),
    JSON.stringify(point),
  ).toBeLessThan(1e-9);

describe('a port', () => {
  it('stands where it is on its machine, and faces out of the side it is nearest to', () => {
    for (const [x, y, outX, outY] of [
      [0.4, 0.1, 1, 0],
      [-0.4, 0.1, -1, 0],
      [0.1, 0.3, 0, 1],
      [0.1, -0.3, 0, -1],
      // By share of its width and depth, not by metres: 0.3 of 0.8 is nearer than 0.25 of 0.6.
      [0.3, 0.25, 0, 1],
    ] as const) {
      const { at, out } = mouthOf(machineWith({ x, y, z: 0.7 }));
      expectAt(at, 3 + x, 2 + y, 0.7);
      expectAt(out, outX, outY, 0);
    }
  });

  it('turns with its machine', () => {
    // After a quarter turn counterclockwise what was to its right is behind it.
    const { at, out } = mouthOf(machineWith({ x: 0.4, y: 0, z: 0.7 }, Math.PI / 2));
    expectAt(at, 3, 2.4, 0.7);
    expectAt(out, 0, 1, 0);
  });

  it('is where its kind usually has it if nobody has placed it, and a second one beside it', () => {
    const machine = machineWith(null);
    machine.ports.push({
      ...structuredClone(machine.ports[0] as Machine['ports'][number]),
      id: 'second',
    });
    const [first, second] = [mouthOf(machine), mouthOf(machine, 1)];
    expect(first.out).toEqual(second.out);
    expect(distance(first.at, second.at)).toBeCloseTo(0.25, 9);
    expect(first.at.z).toBe(second.at.z);
    // It is in the middle of its side of the machine.
    const away = { x: first.at.x - 3, y: first.at.y - 2 };
    expect(Math.abs(away.x * first.out.y - away.y * first.out.x)).toBeLessThan(1e-9);
    expect(away.x * first.out.x + away.y * first.out.y).toBeCloseTo(
      first.out.x === 0 ? 0.3 : 0.4,
      9,
    );
    // A machine of an unknown kind has it behind, 0.9 m up.
    const unknown = mouthOf({ ...machine, kind: 'contraption' });
    expectAt(unknown.at, 3, 2.3, 0.9);
    expectAt(unknown.out, 0, 1, 0);
  });

  it('has no place where its machine has none', () => {
    const machine = { ...machineWith(null), place: null };
    const [port] = machine.ports;
    expect(port && portMouth(machine, port)).toBeNull();
    expect(inMachine(machine, { x: 3, y: 2, z: 1 })).toBeNull();
  });

  it('can be given in its machine’s own axes', () => {
    expectAt(inMachine(machineWith(null, Math.PI / 2), { x: 3, y: 2.4, z: 1 }), 0.4, 0, 1);
  });
});

describe('the places of nodes', () => {
  it('follow from the machine or the collector for ports and the inlet, and are stored for joints', () => {
    const { shop, newId, inlet, off, run } = loneDuct([[-6, 0]]);
    const id = addMachine(shop, 'bandSaw', newId);
    const port = shop.machines[0]?.ports[0]?.id ?? '';
    const add = (name: string, kind: Shop['ducts']['nodes'][number]['kind'], at: Point3 | null) =>
      shop.ducts.nodes.push({ id: name, kind, at, style: {} });
    add('port', { kind: 'port', machine: id, port }, { x: 9, y: 9, z: 9 });
    add('no machine', { kind: 'port', machine: 'gone', port }, null);
    add('no port', { kind: 'port', machine: id, port: 'gone' }, null);
    add('loose', { kind: 'joint' }, null);
    const places = nodePlaces(shop);
    expectAt(places.get('inlet'), inlet.x, inlet.y, 2.3);
    const mouth =
      shop.machines[0]?.ports[0] && portMouth(shop.machines[0], shop.machines[0].ports[0]);
    expect(places.get('port')).toEqual(mouth?.at);
    const start = shop.ducts.runs.find((each) => each.id === run)?.from ?? '';
    expectAt(places.get(start), off(-6, 0).x, off(-6, 0).y, 2.3);
    for (const name of ['no machine', 'no port', 'loose']) expect(places.has(name)).toBe(false);
  });

  it('follow the collector: its height, what it stands on, the side its inlet faces', () => {
    const { shop, inlet } = loneDuct([[-6, 0]]);
    const { collector } = shop;
    if (!collector.place) throw new Error('no place');
    collector.place.z = 0.4;
    expectAt(inletMouth(shop)?.at, inlet.x, inlet.y, 2.7);
    expectAt(inletMouth(shop)?.out, -1, 0, 0);
    collector.inlet.side = 'front';
    expectAt(inletMouth(shop)?.out, 0, -1, 0);
    expect(inletMouth(shop)?.at.y).toBeLessThan(inlet.y);
    collector.place = null;
    expect(inletMouth(shop)).toBeNull();
    expect(nodePlaces(shop).has('inlet')).toBe(false);
  });
});
