import { describe, expect, it } from 'vitest';
import { copyOf, counter } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { newShop } from '../design/new-shop';
import type { Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { setRoomSize } from '../room/edit-floor';
import { arrangeDucts } from '../routing/arrange-ducts';
import { addMachine, routeUsual } from '../routing/edit-machines';
import { inletMouth } from '../routing/places';
import { judgePlaces, swapMachines } from './place-machines';

/** A long room; the planer far from the collector, the small drill press near it. */
function backwards(): { shop: Shop; planer: string; press: string } {
  const shop = newShop('s', 'S', 'metric', estimatedCurve(0.35, 57, 0.55, 1.2));
  setRoomSize(shop, 14, 8);
  shop.room.boardLength = 1;
  shop.collector.place = { x: 13, y: 7, z: 0 };
  const newId = counter();
  const put = (kind: 'planer' | 'drillPress', x: number) => {
    const id = addMachine(shop, kind, newId);
    const machine = shop.machines.find((each) => each.id === id);
    if (machine) machine.place = { x, y: 4 };
    return id;
  };
  return { shop, planer: put('planer', 2), press: put('drillPress', 10) };
}

describe('where machines stand', () => {
  it('the greediest far away had better change with a small one near by', () => {
    const { shop, planer, press } = backwards();
    const score = judgePlaces(shop);
    const inlet = inletMouth(shop)?.at;
    expect(score?.machines.map(({ machine }) => machine)).toEqual([planer, press]);
    // By hand: the planer's port is at its back, 0.3 m from its middle.
    const [machine] = score?.machines ?? [];
    expect(machine?.routeLength).toBeCloseTo(
      (inlet?.x ?? 0) - 2 + Math.abs((inlet?.y ?? 0) - 4.3048),
      3,
    );
    expect(score?.swaps).toHaveLength(1);
    expect(score?.swaps[0]).toMatchObject({ one: planer, other: press });
    expect(score?.swaps[0]?.weighted).toBeLessThan(score?.weighted ?? 0);
    // Swapped, there is nothing more to gain, and it comes to what was said.
    swapMachines(shop, planer, press, counter());
    const after = judgePlaces(shop);
    expect(after?.swaps).toEqual([]);
    expect(after?.weighted).toBeCloseTo(score?.swaps[0]?.weighted ?? 0, 9);
  });

  it('swapped with their ducts, both still draw', () => {
    const { shop, planer, press } = backwards();
    const newId = counter();
    const ids = () => `new-${newId()}`;
    for (const id of [planer, press]) {
      const port = shop.machines.find((each) => each.id === id)?.ports[0]?.id ?? '';
      const main = shop.ducts.runs[0]?.id;
      routeUsual(shop, id, port, main ? { kind: 'run', run: main } : { kind: 'inlet' }, ids);
    }
    swapMachines(shop, planer, press, ids);
    const read = readShop(copyOf(shop));
    expect(read.ok ? [] : read.faults).toEqual([]);
    const arranged = arrangeDucts(shop);
    expect(arranged.ok && arranged.tree.drops).toHaveLength(2);
  });

  it('with nothing placed there is nothing to judge; a swap that blocks a feed is not proposed', () => {
    const { shop } = backwards();
    const bare = copyOf(shop);
    for (const machine of bare.machines) machine.place = null;
    expect(judgePlaces(bare)).toBeNull();
    // Behind the drill press stands a post, which is nothing to it but in the way of a planer's boards.
    const narrow = copyOf(shop);
    narrow.room.posts = [{ id: 'post', at: { x: 10, y: 4.9 }, width: 0.15 }];
    expect(judgePlaces(shop)?.swaps).toHaveLength(1);
    expect(judgePlaces(narrow)?.swaps).toEqual([]);
  });
});
