import { describe, expect, it } from 'vitest';
import { loneDuct } from '../../reference/lone-duct';
import type { Machine, Shop } from '../design/schema';
import { cornersOf, overlapDepth } from '../room/plane';
import { machineBlock } from '../room/standing';
import { addMachine, copyMachine, copyMachines, removeMachine, routeUsual } from './edit-machines';
import { runFromPort } from './route-duct';

/** A main, and band saws at these places; the first has a drop to the main. */
function shopWith(...places: readonly { x: number; y: number }[]) {
  const set = loneDuct([[-6, 0]]);
  const { shop, run, newId } = set;
  const ids = places.map((place) => {
    const id = addMachine(shop, 'bandSaw', newId);
    machineOf(shop, id).place = place;
    return id;
  });
  const [first = ''] = ids;
  const routed = routeUsual(shop, first, portOf(shop, first), { kind: 'run', run }, newId);
  if (!routed.ok) throw new Error(routed.why);
  return { ...set, ids, first, drop: routed.run };
}

function machineOf(shop: Shop, id: string): Machine {
  const machine = shop.machines.find((each) => each.id === id);
  if (!machine) throw new Error(`no ${id}`);
  return machine;
}
const portOf = (shop: Shop, id: string) => machineOf(shop, id).ports[0]?.id ?? '';
const runOf = (shop: Shop, id: string) => shop.ducts.runs.find((run) => run.id === id);

describe('a machine’s drop', () => {
  it('is routed anew where there is one, and keeps all it is made of', () => {
    const { shop, first, drop, newId } = shopWith({ x: 6, y: 2 });
    const own = runOf(shop, drop);
    if (own) Object.assign(own, { pipe: 'drain', diameter: 0.11 });
    const again = routeUsual(shop, first, portOf(shop, first), { kind: 'inlet' }, newId);
    expect(again).toEqual({ ok: true, run: drop });
    expect(runOf(shop, drop)).toMatchObject({ to: 'inlet', pipe: 'drain', diameter: 0.11 });
    expect(runFromPort(shop, first, portOf(shop, first))?.id).toBe(drop);
  });

  it('is refused for a machine or a port that is not there', () => {
    const { shop, first, newId } = shopWith({ x: 6, y: 2 });
    const before = structuredClone(shop);
    const goal = { kind: 'inlet' } as const;
    const no = { ok: false, why: 'not placed' };
    expect(routeUsual(shop, 'gone', 'gone', goal, newId)).toEqual(no);
    expect(routeUsual(shop, first, 'gone', goal, newId)).toEqual(no);
    machineOf(shop, first).place = null;
    expect(routeUsual(shop, first, portOf(shop, first), goal, newId)).toEqual(no);
    machineOf(shop, first).place = { x: 6, y: 2 };
    expect(shop).toEqual(before);
  });

  it('is removed with its machine and its ports, and others stay', () => {
    const { shop, first, ids, run } = shopWith({ x: 6, y: 2 }, { x: 3, y: 2 });
    removeMachine(shop, first);
    expect(shop.machines.map(({ id }) => id)).toEqual(ids.slice(1));
    expect(shop.ducts.runs.map(({ id }) => id)).toEqual([run]);
    const ports = shop.ducts.nodes.flatMap(({ kind }) =>
      kind.kind === 'port' ? [kind.machine] : [],
    );
    expect(ports).not.toContain(first);
    const before = structuredClone(shop);
    removeMachine(shop, 'gone');
    expect(shop).toEqual(before);
  });

  it('is removed with its own machine only, though another has one to the same main', () => {
    const { shop, first, ids, run, newId } = shopWith({ x: 6, y: 2 }, { x: 3, y: 2 });
    const [, other = ''] = ids;
    routeUsual(shop, other, portOf(shop, other), { kind: 'run', run }, newId);
    const ends = () =>
      shop.ducts.nodes.flatMap(({ kind }) => (kind.kind === 'port' ? [kind.machine] : []));
    expect(ends()).toEqual(ids);
    removeMachine(shop, first);
    expect(ends()).toEqual([other]);
    expect(runFromPort(shop, other, portOf(shop, other))).toBeDefined();
  });

  it('is gone with its machine even where a port has no duct any more', () => {
    const { shop, first, ids } = shopWith({ x: 6, y: 2 }, { x: 3, y: 2 });
    const [, other = ''] = ids;
    shop.ducts.nodes.push({
      id: 'left over',
      kind: { kind: 'port', machine: other, port: portOf(shop, other) },
      at: null,
      style: {},
    });
    const before = shop.ducts.nodes.length;
    removeMachine(shop, 'gone');
    expect(shop.ducts.nodes).toHaveLength(before);
    removeMachine(shop, other);
    expect(shop.ducts.nodes.map(({ id }) => id)).not.toContain('left over');
    expect(shop.ducts.nodes).toHaveLength(before - 1);
    expect(runFromPort(shop, first, portOf(shop, first))).toBeDefined();
  });
});

describe('a machine once more', () => {
  it('is like its pattern in all but ids, name and place, and so is its drop, with the gate shut', () => {
    const { shop, first, drop, newId } = shopWith({ x: 6, y: 2 });
    const pattern = machineOf(shop, first);
    pattern.size = { width: 0.8, depth: 0.6 };
    pattern.feed = { ahead: 1, behind: 2 };
    const [port] = pattern.ports;
    if (port) port.at = { x: 0.1, y: -0.3, z: 0.7 };
    const own = runOf(shop, drop);
    if (!own?.hose || !own.gate || !own.route) throw new Error('no hose');
    Object.assign(own, { pipe: 'drain', diameter: 0.11 });
    Object.assign(own.hose, { kind: 'smooth', compression: 0.2 });
    Object.assign(own.gate, { open: true, opening: 0.7 });
    own.route.slack = 0.25;
    const id = copyMachine(shop, first, newId, { x: 3, y: 2 });
    const copy = machineOf(shop, id ?? '');
    expect(copy).toEqual({
      ...pattern,
      id,
      name: 'Band saw 2',
      place: { x: 3, y: 2 },
      ports: pattern.ports.map((port) => ({ ...port, id: expect.any(String) })),
    });
    expect(copy.ports.map((port) => port.id)).not.toEqual(pattern.ports.map((port) => port.id));
    expect(copy.size).not.toBe(pattern.size);
    const made = runFromPort(shop, copy.id, portOf(shop, copy.id));
    expect(made).toMatchObject({
      pipe: 'drain',
      diameter: 0.11,
      hose: { kind: 'smooth', compression: 0.2 },
      gate: { open: false, opening: 0.7 },
      route: { slack: 0.25 },
    });
    // A third takes the next free name, whichever it is copied from.
    const third = copyMachine(shop, copy.id, newId, { x: 4.5, y: 6 });
    expect(machineOf(shop, third ?? '').name).toBe('Band saw 3');
    expect(copyMachine(shop, 'gone', newId)).toBeNull();
  });

  it('is numbered by its pattern’s name without its number, however long that is', () => {
    const { shop, first, newId } = shopWith({ x: 6, y: 2 });
    const named = (name: string) => {
      machineOf(shop, first).name = name;
      return machineOf(shop, copyMachine(shop, first, newId) ?? '').name;
    };
    expect(named('Lathe 12')).toBe('Lathe');
    expect(named('Lathe 12')).toBe('Lathe 2');
    expect(named('Lathe 2 of 3')).toBe('Lathe 2 of');
    expect(named('No. 5 plane')).toBe('No. 5 plane 2');
  });

  it('has no hose and no gate where its pattern has none', () => {
    const { shop, first, drop, newId } = shopWith({ x: 6, y: 2 });
    const own = runOf(shop, drop);
    if (!own) throw new Error('no drop');
    Object.assign(own, { gate: null, hose: null });
    const id = copyMachine(shop, first, newId, { x: 3, y: 2 }) ?? '';
    expect(runFromPort(shop, id, portOf(shop, id))).toMatchObject({ gate: null, hose: null });
  });

  it('leads to the collector where its pattern does, and nowhere where that has no duct', () => {
    const { shop, first, ids, newId } = shopWith({ x: 6, y: 2 }, { x: 3, y: 6 });
    routeUsual(shop, first, portOf(shop, first), { kind: 'inlet' }, newId);
    const id = copyMachine(shop, first, newId, { x: 4, y: 2 }) ?? '';
    expect(runFromPort(shop, id, portOf(shop, id))?.to).toBe('inlet');
    const bare = copyMachine(shop, ids[1] ?? '', newId, { x: 8, y: 6 }) ?? '';
    expect(runFromPort(shop, bare, portOf(shop, bare))).toBeUndefined();
  });
});

describe('several machines once more', () => {
  const overlaps = (shop: Shop) => {
    const blocks = shop.machines.flatMap((machine) => machineBlock(machine) ?? []).map(cornersOf);
    return blocks.some((one, i) =>
      blocks.slice(i + 1).some((other) => overlapDepth(one, other) > 1e-9),
    );
  };

  it('stand to each other as their patterns, beside them where there is room', () => {
    const { shop, ids, newId } = shopWith({ x: 2, y: 2 }, { x: 3.5, y: 2.4 });
    const copies = copyMachines(shop, ids, newId);
    expect(copies).toHaveLength(2);
    const placeOf = (id = '') => machineOf(shop, id).place ?? { x: 0, y: 0 };
    const by = { x: placeOf(copies[0]).x - 2, y: placeOf(copies[0]).y - 2 };
    expect(placeOf(copies[1]).x - 3.5).toBeCloseTo(by.x, 9);
    expect(placeOf(copies[1]).y - 2.4).toBeCloseTo(by.y, 9);
    // The first choice is to the right: as far as they reach, and 0.3 m more.
    expect(by.y).toBe(0);
    expect(by.x).toBeGreaterThan(1.5 + 0.3);
    expect(overlaps(shop)).toBe(false);
  });

  it('go to whichever side is free', () => {
    const shifted = (places: readonly { x: number; y: number }[]) => {
      const set = shopWith(...places);
      const [first = ''] = set.ids;
      const [copy = ''] = copyMachines(set.shop, [first], set.newId);
      const [from, to] = [machineOf(set.shop, first).place, machineOf(set.shop, copy).place];
      expect(overlaps(set.shop)).toBe(false);
      return {
        x: Math.sign((to?.x ?? 0) - (from?.x ?? 0)),
        y: Math.sign((to?.y ?? 0) - (from?.y ?? 0)),
      };
    };
    // One saw with room all round; then one with a saw to its right; then one with a saw on either side.
    expect(shifted([{ x: 3, y: 2 }])).toEqual({ x: 1, y: 0 });
    expect(
      shifted([
        { x: 3, y: 2 },
        { x: 4, y: 2 },
      ]),
    ).toEqual({ x: -1, y: 0 });
    expect(
      shifted([
        { x: 3, y: 2 },
        { x: 4, y: 2 },
        { x: 2, y: 2 },
      ]),
    ).toEqual({ x: 0, y: 1 });
    // And with one behind it as well.
    expect(
      shifted([
        { x: 3, y: 4 },
        { x: 4, y: 4 },
        { x: 2, y: 4 },
        { x: 3, y: 5.2 },
      ]),
    ).toEqual({ x: 0, y: -1 });
    // Close to a wall there is no room on that side.
    expect(shifted([{ x: 11.5, y: 1 }])).toEqual({ x: -1, y: 0 });
    // Between two others and the front wall, to the back; between two others and the back wall, to the front.
    const between = (y: number) =>
      shifted([
        { x: 6, y },
        { x: 7, y },
        { x: 5, y },
      ]);
    expect(between(0.6)).toEqual({ x: 0, y: 1 });
    expect(between(7.4)).toEqual({ x: 0, y: -1 });
    // In the left corner, with one to the right and one behind: nowhere beside it, so anywhere there is room.
    const corner = shopWith({ x: 0.6, y: 0.6 }, { x: 1.6, y: 0.6 }, { x: 0.6, y: 1.8 });
    const [copy = ''] = copyMachines(corner.shop, [corner.first], corner.newId);
    expect(overlaps(corner.shop)).toBe(false);
    const place = machineOf(corner.shop, copy).place ?? { x: -1, y: -1 };
    expect(Math.min(place.x, place.y)).toBeGreaterThan(0);
  });

  it('are copied to where there is room if they have no place', () => {
    const { shop, ids, newId } = shopWith({ x: 2, y: 2 });
    machineOf(shop, ids[0] ?? '').place = null;
    const [copy = ''] = copyMachines(shop, ids, newId);
    expect(machineOf(shop, copy).place).not.toBeNull();
    expect(copyMachines(shop, ['gone'], newId)).toEqual([]);
  });
});
