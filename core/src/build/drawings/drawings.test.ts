import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { treeOf } from '../../../reference/plain-readings';
import type { Shop } from '../../design/schema';
import { pipeOutside } from '../../duct/pipes';
import { readShop } from '../../file/shop-file';
import { rectangularRoom } from '../../room/room-outline';
import { ductLines } from '../../routing/duct-lines';
import { distance } from '../../routing/space';
import { cutPieces } from '../cuts/cut-pieces';
import { partsList } from '../parts-list';
import { lengthAlong, pointAlong } from './along-line';
import { buildSheet } from './build-sheet';
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
