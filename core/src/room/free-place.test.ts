import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, counter, threeBranchShop } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { newMachine } from '../design/edit-ducts';
import { MACHINE_KIND_IDS, type MachineKindId } from '../design/machine-kinds';
import { newShop } from '../design/new-shop';
import type { Shop } from '../design/schema';
import { toSI } from '../quantity/units';
import { setRoomSize } from './edit-floor';
import { floorConflicts } from './floor-conflicts';
import { freeMachinePlace, placeAll, placeCollector, placeMachine } from './free-place';
import { GRID, snapTo } from './grid';
import { cornersOf, isInside } from './plane';
import { collectorBlock, SIDE_DIRECTIONS } from './standing';

/** A two-car garage of 22 by 22 ft, its big door to the front, with these machines in it. */
function garage(kinds: readonly MachineKindId[]): Shop {
  const shop = newShop('s', 'S', 'us', estimatedCurve(0.35, 57, 0.5, 1.2));
  setRoomSize(shop, toSI(22, 'ft'), toSI(22, 'ft'));
  shop.room.ceilingHeight = toSI(8, 'ft');
  shop.room.doors = [{ id: 'd', wall: 0, along: toSI(3, 'ft'), width: toSI(16, 'ft') }];
  const newId = counter();
  for (const kind of kinds) shop.machines.push(newMachine(shop, kind, newId));
  return shop;
}

const kindsOf = (shop: Shop) => floorConflicts(shop).map(({ kind }) => kind);

describe('places that are free', () => {
  it.each(['us', 'metric'] as const)('are on the grid of the shop’s units: %s', (units) => {
    const shop = newShop('s', 'S', units, estimatedCurve(0.35, 57, 0.5, 1.2));
    setRoomSize(shop, toSI(20, 'ft'), toSI(22, 'ft'));
    const newId = counter();
    for (const kind of ['tableSaw', 'planer', 'bandSaw'] as const) {
      shop.machines.push(newMachine(shop, kind, newId));
    }
    placeAll(shop);
    for (const place of [shop.collector.place, ...shop.machines.map(({ place }) => place)]) {
      for (const at of [place?.x ?? 0, place?.y ?? 0]) {
        expect(at).toBeCloseTo(snapTo(GRID[units], at), 9);
      }
    }
  });

  it('five machines of a garage stand clear, and 8 ft boards go through all of them', () => {
    const shop = garage(['bandSaw', 'tableSaw', 'drillPress', 'planer', 'drumSander']);
    shop.room.boardLength = toSI(8, 'ft');
    placeAll(shop);
    expect(floorConflicts(shop)).toEqual([]);
    // Ducts get in: ahead of its inlet is the room, whichever side that is.
    for (const side of ['left', 'right', 'front', 'back'] as const) {
      const other = garage(['tableSaw']);
      other.collector.inlet.side = side;
      placeCollector(other);
      const mouth = collectorBlock(other);
      const direction = SIDE_DIRECTIONS[side];
      if (!mouth) throw new Error('not placed');
      const reach = (direction.x === 0 ? mouth.depth : mouth.width) / 2 + 1;
      const ahead = { x: mouth.at.x + direction.x * reach, y: mouth.at.y + direction.y * reach };
      expect(isInside(other.room.outline, ahead)).toBe(true);
    }
    const block = collectorBlock(shop);
    const back = block ? Math.max(...cornersOf(block).map(({ y }) => y)) : 0;
    // Off the wall by about 50 mm, with its middle on the grid.
    const off = toSI(22, 'ft') - back;
    expect(off).toBeGreaterThan(0.01);
    expect(off).toBeLessThan(0.09);
  });

  it('one by one, as they are added, each as well as the others leave it', () => {
    const shop = garage([]);
    shop.room.boardLength = toSI(8, 'ft');
    const newId = counter();
    placeCollector(shop);
    for (const kind of ['tableSaw', 'planer', 'bandSaw', 'drillPress', 'jointer'] as const) {
      const machine = newMachine(shop, kind, newId);
      machine.place = { ...freeMachinePlace(shop, machine) };
      shop.machines.push(machine);
    }
    expect(floorConflicts(shop)).toEqual([]);
  });

  it('what has a place keeps it', () => {
    const shop = garage(['tableSaw']);
    placeAll(shop);
    const before = copyOf(shop);
    placeCollector(shop);
    placeMachine(shop, shop.machines[0]?.id ?? '');
    expect(shop).toEqual(before);
  });

  it('without a room they stand in a row; in a full one in its middle', () => {
    const bare = copyOf(threeBranchShop());
    placeAll(bare);
    expect(kindsOf(bare).filter((kind) => kind === 'overlap')).toEqual([]);
    const full = garage(['floorSweep', 'bandSaw']);
    const [machine, other] = full.machines;
    if (!machine || !other) throw new Error('no machine');
    machine.size = { width: toSI(22, 'ft'), depth: toSI(22, 'ft') };
    machine.place = { x: toSI(11, 'ft'), y: toSI(11, 'ft') };
    expect(freeMachinePlace(full, other)).toEqual(machine.place);
  });

  it('whatever there is to place, none stands in another while there is room', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...MACHINE_KIND_IDS), { maxLength: 7 }), (kinds) => {
        const shop = garage(kinds);
        setRoomSize(shop, 10, 9);
        placeAll(shop);
        expect(kindsOf(shop)).not.toContain('overlap');
        expect(kindsOf(shop)).not.toContain('outside');
        expect(kindsOf(shop)).not.toContain('door blocked');
      }),
      { numRuns: 25 },
    );
  });
});
