import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { treeOf } from '../../../reference/plain-readings';
import type { Shop } from '../../design/schema';
import { pipeOutside } from '../../duct/pipes';
import { readShop } from '../../file/shop-file';
import { formatShort } from '../../quantity/format-quantity';
import { writeInchesOnTape } from '../../quantity/tape';
import { rectangularRoom, wallsOf } from '../../room/room-outline';
import { ductLines } from '../../routing/duct-lines';
import { isFaced } from '../../routing/sheets/elevation-sheet';
import { distance } from '../../routing/space';
import { cutPieces } from '../cuts/cut-pieces';
import { partsList } from '../parts-list';
import { lengthAlong, pointAlong } from './along-line';
import { buildSheet } from './build-sheet';
import { spread } from './dimensions';
import { byWall, HOLE_ROOM, hangersOf, holesOf, pointsToMark } from './marks';

function demo(): Shop {
  const read = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
  if (!read.ok) throw new Error('no demo');
  return structuredClone(read.shop);
}

describe('drawings to build from', () => {
  it('have every piece of the cut list once, by its number, on its own run', () => {
    const shop = demo();
    const tree = treeOf(shop);
    const { pieces } = cutPieces(shop, tree);
    for (const sheet of ['isometric', 'plan', 'front', 'back', 'left', 'right'] as const) {
      const items = buildSheet(shop, tree, sheet, pieces);
      const numbers = items.flatMap((item) =>
        item.kind === 'text' && item.layer === 'pieces' ? [Number(item.text)] : [],
      );
      expect(numbers.toSorted((a, b) => a - b)).toEqual(pieces.map(({ number }) => number));
      const runs = items.flatMap((item) =>
        item.kind === 'circle' && item.layer === 'pieces' ? [item.run] : [],
      );
      expect(runs).toEqual(pieces.map(({ run }) => run));
    }
  });

  it('number the walls as the tables do: all of them, or the one that is faced', () => {
    const shop = demo();
    shop.room.outline = [...rectangularRoom(6, 4)];
    const tree = treeOf(shop);
    const numbers = (sheet: Parameters<typeof buildSheet>[2]) =>
      buildSheet(shop, tree, sheet, []).flatMap((item) =>
        item.kind === 'text' && item.text.startsWith('wall ') ? [item.text] : [],
      );
    expect(numbers('plan')).toEqual(['wall 1', 'wall 2', 'wall 3', 'wall 4']);
    expect(numbers('isometric')).toHaveLength(4);
    // The outline begins along the front, counter-clockwise: from the front one faces the third.
    expect(numbers('front')).toEqual(['wall 3']);
    expect(numbers('left')).toEqual(['wall 2']);
    expect(numbers('back')).toEqual(['wall 1']);
    expect(numbers('right')).toEqual(['wall 4']);
  });

  it('say on an elevation how high and how far from the left everything by the faced wall is', () => {
    const shop = demo();
    const tree = treeOf(shop);
    const walls = wallsOf(shop.room);
    let told = 0;
    for (const side of ['front', 'back', 'left', 'right'] as const) {
      const items = buildSheet(shop, tree, side, []);
      const figures = items.flatMap((item) =>
        item.kind === 'text' && item.layer === 'sizes' ? [item] : [],
      );
      const texts = new Set(figures.map(({ text }) => text));
      const places = [...pointsToMark(shop, tree), ...hangersOf(shop, tree)].filter((each) => {
        const wall = walls[each.wall];
        return wall && isFaced(side, wall);
      });
      for (const { fromLeft, height } of places) {
        for (const length of [fromLeft, height]) {
          // Within the sixteenth that two places may share a figure by.
          const near = [-0.0015, 0, 0.0015].map((by) => `${writeInchesOnTape(length + by)} in.`);
          expect(near.some((text) => texts.has(text))).toBe(true);
          told++;
        }
      }
      // No figure covers another.
      figures.forEach((a, i) => {
        for (const b of figures.slice(i + 1)) {
          const isApart =
            Math.abs(a.at.y - b.at.y) > 0.07 ||
            Math.abs(a.at.x - b.at.x) > 0.02 * (a.text.length + b.text.length);
          expect(isApart, `${side}: ${a.text} and ${b.text}`).toBe(true);
        }
      });
    }
    expect(told).toBeGreaterThan(60);
  });

  it('have the length of every level leg on the plan', () => {
    const shop = demo();
    const figures = buildSheet(shop, treeOf(shop), 'plan', []).flatMap((item) =>
      item.kind === 'text' && item.layer === 'sizes' ? [item.text] : [],
    );
    const level = [...ductLines(shop).lines.values()].flatMap(({ legs }) =>
      legs.filter(({ direction, length }) => Math.abs(direction.z) < 0.01 && length > 0.26),
    );
    expect(level.length).toBeGreaterThan(8);
    for (const { length } of level) {
      expect(figures).toContain(formatShort(length, 'length', 'us'));
    }
  });

  it('show a hole through a wall one faces as wide as it is cut, with its size; and none on the plan', () => {
    const shop = demo();
    const back = ductLines(shop).lines.get(
      shop.ducts.runs.find(({ name }) => name === 'Back main')?.id ?? '',
    );
    const leg = back?.legs[0];
    if (!leg) throw new Error('no back main');
    shop.room.outline = [...rectangularRoom((leg.from.x + leg.to.x) / 2, 7)];
    const tree = treeOf(shop);
    const all = holesOf(shop, tree);
    const wall = all.filter(({ through }) => through === 'wall');
    expect(wall.length).toBeGreaterThan(0);
    const circles = (sheet: Parameters<typeof buildSheet>[2]) =>
      buildSheet(shop, tree, sheet, []).flatMap((item) =>
        item.kind === 'circle' && item.layer === 'cuts' ? [item] : [],
      );
    // The wall that ends the room at the right is faced by whoever looks to the right.
    const drawn = circles('left');
    expect(drawn).toHaveLength(wall.length);
    drawn.forEach(({ at, radius }, i) => {
      expect(at.y).toBeCloseTo(wall[i]?.at.height ?? Number.NaN, 9);
      expect(radius).toBeCloseTo((wall[i]?.diameter ?? 0) / 2, 9);
    });
    expect(circles('plan')).toHaveLength(all.length - wall.length);
  });

  it('hang as much as the parts list counts, each hanger on its duct', () => {
    const shop = demo();
    const tree = treeOf(shop);
    const hangers = hangersOf(shop, tree);
    const counted = partsList(shop, tree)
      .filter(({ part }) => part.kind === 'hanger' || part.kind === 'strap')
      .reduce((sum, { quantity }) => sum + quantity, 0);
    expect(hangers).toHaveLength(counted);
    const { lines } = ductLines(shop);
    for (const { run, at } of hangers) {
      const line = lines.get(run);
      const off = Array.from({ length: 401 }, (_, i) =>
        line ? pointAlong(line, (i / 400) * lengthAlong(line)) : null,
      ).map((point) => (point ? distance(point, at) : Number.POSITIVE_INFINITY));
      expect(Math.min(...off)).toBeLessThan(0.02);
    }
  });
});

describe('a point by its wall', () => {
  const room = { ...demo().room, outline: [...rectangularRoom(8, 5)] };

  it('is measured from the left of whoever faces the wall, worked by hand', () => {
    // The first wall goes along x from the origin: whoever faces it from within has x = 8 on the left.
    expect(byWall({ room }, { x: 6, y: 0.3, z: 2 })).toEqual({
      ...{ wall: 0, fromLeft: 2, height: 2 },
      off: expect.closeTo(0.3, 12),
    });
    // The wall across the room goes back from x = 8: on its left is x = 0.
    expect(byWall({ room }, { x: 1.5, y: 4.8, z: 0 })?.fromLeft).toBeCloseTo(1.5, 12);
  });

  it('is the same whichever way around the outline was drawn', () => {
    const other = { ...room, outline: room.outline.toReversed() };
    for (const point of [
      { x: 6, y: 0.3, z: 2 },
      { x: 0.2, y: 3, z: 1 },
      { x: 7.9, y: 1, z: 1 },
    ]) {
      const [one, two] = [byWall({ room }, point), byWall({ room: other }, point)];
      expect(one?.fromLeft).toBeCloseTo(two?.fromLeft ?? Number.NaN, 9);
      expect(one?.off).toBeCloseTo(two?.off ?? Number.NaN, 9);
    }
  });

  it('is none without a room', () => {
    expect(byWall({ room: { ...room, outline: [] } }, { x: 1, y: 1, z: 1 })).toBeNull();
    const shop = demo();
    shop.room.outline = [];
    expect(pointsToMark(shop, treeOf(shop))).toEqual([]);
    expect(holesOf(shop, treeOf(shop))).toEqual([]);
  });
});

describe('points and holes', () => {
  it('name the beginning, every corner and the end of every pipe, at the height it is drawn at', () => {
    const shop = demo();
    const tree = treeOf(shop);
    const points = pointsToMark(shop, tree);
    for (const { run, legs } of ductLines(shop).lines.values()) {
      const own = points.filter((each) => each.run === run.id);
      expect(own).toHaveLength(legs.length + 1);
      expect(own.map(({ what }) => what.kind)).toEqual([
        'begins',
        ...legs.slice(1).map(() => 'corner'),
        'ends',
      ]);
      expect(own[0]?.height).toBeCloseTo(legs[0]?.from.z ?? Number.NaN, 9);
    }
  });

  it('are asked for where a pipe leaves the room, and only there', () => {
    const shop = demo();
    const tree = treeOf(shop);
    expect(holesOf(shop, tree)).toEqual([]);
    // A wall between: the room ends in the middle of the way of the back main, which goes along x.
    const back = ductLines(shop).lines.get(
      shop.ducts.runs.find(({ name }) => name === 'Back main')?.id ?? '',
    );
    const leg = back?.legs[0];
    if (!back || !leg) throw new Error('no back main');
    const x = (leg.from.x + leg.to.x) / 2;
    shop.room.outline = [...rectangularRoom(x, 7)];
    const hole = holesOf(shop, tree).find(({ run }) => run === back.run.id);
    expect(hole?.through).toBe('wall');
    expect(hole?.at.height).toBeCloseTo(leg.from.z, 9);
    expect(hole?.diameter).toBeCloseTo(
      pipeOutside(back.run.pipe, back.run.diameter) + 2 * HOLE_ROOM,
      12,
    );
    // And through a ceiling that is lower than the main.
    shop.room.outline = [...rectangularRoom(20, 20)];
    shop.room.ceilingHeight = 2;
    const up = holesOf(shop, tree);
    expect(up.length).toBeGreaterThan(3);
    expect(new Set(up.map(({ through }) => through))).toEqual(new Set(['ceiling']));
  });
});

describe('figures along a line', () => {
  it('stand at what they are of where there is room, and centered over it where there is not', () => {
    expect(spread([], 1)).toEqual([]);
    expect(spread([0, 5, 9], 1)).toEqual([0, 5, 9]);
    expect(spread([2, 2.2], 1)).toEqual([expect.closeTo(1.6, 12), expect.closeTo(2.6, 12)]);
    // The third is pushed by the pair, and takes its part in where they stand.
    expect(spread([2, 2.2, 2.7], 1)).toEqual([
      expect.closeTo(1.3, 12),
      expect.closeTo(2.3, 12),
      expect.closeTo(3.3, 12),
    ]);
  });

  it('keep their order and their distance, and are as near as that allows', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 10, noNaN: true }), { maxLength: 30 }),
        (at) => {
          const places = at.toSorted((a, b) => a - b);
          const stand = spread(places, 0.4);
          stand.slice(1).forEach((next, i) => {
            expect(next - (stand[i] ?? 0)).toBeGreaterThanOrEqual(0.4 - 1e-9);
          });
          // Pushed aside as far one way as the other: the middle of all stays where it was.
          const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0);
          expect(sum(stand)).toBeCloseTo(sum(places), 6);
        },
      ),
    );
  });
});
