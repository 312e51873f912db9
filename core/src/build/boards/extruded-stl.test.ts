import { describe, expect, it } from 'vitest';
import { newShop } from '../../design/new-shop';
import { chanceOf } from '../../simulate/chance';
import { makerPlace } from '../makers/maker-place';
import { MAKERS, type MakerId, makerOf } from '../makers/makers';
import { revolvedStl } from '../stl';
import { around, type Board, circle, polygon, rectangle } from './board';
import { extrudedStl } from './extruded-stl';

const CURVE = [
  { flow: 0, pressure: 2900 },
  { flow: 0.55, pressure: 0 },
];
const PLACE = makerPlace(newShop('a', 'A', 'us', CURVE));

type Corner = [number, number, number];

/** Triangles of a binary STL, read by the format's own layout: 80 bytes, a count, 50 bytes each. */
function trianglesOf(bytes: Uint8Array): Corner[][] {
  const view = new DataView(bytes.buffer);
  const count = view.getUint32(80, true);
  expect(bytes.length).toBe(84 + 50 * count);
  return Array.from({ length: count }, (_, i) =>
    [0, 1, 2].map((corner): Corner => {
      const at = 84 + 50 * i + 12 + 12 * corner;
      return [0, 4, 8].map((by) => view.getFloat32(at + by, true)) as Corner;
    }),
  );
}

/** Every edge is gone along once each way: no hole, no face turned around. */
function isWatertight(triangles: readonly Corner[][]): boolean {
  const edges = new Map<string, number>();
  for (const corners of triangles) {
    corners.forEach((from, i) => {
      const to = corners[(i + 1) % 3];
      if (!to) return;
      const [a, b] = [from.join(), to.join()];
      edges.set(`${a}|${b}`, (edges.get(`${a}|${b}`) ?? 0) + 1);
    });
  }
  return [...edges].every(([key, times]) => {
    const [a, b] = key.split('|');
    return times === 1 && edges.get(`${b}|${a}`) === 1;
  });
}

/** Six times the volume is the sum of the corners' determinants, mm³. */
const volumeOf = (triangles: readonly Corner[][]) =>
  triangles.reduce((sum, [a = [0, 0, 0], b = [0, 0, 0], c = [0, 0, 0]]) => {
    const [x, y, z] = [
      b[1] * c[2] - b[2] * c[1],
      b[2] * c[0] - b[0] * c[2],
      b[0] * c[1] - b[1] * c[0],
    ];
    return sum + (a[0] * x + a[1] * y + a[2] * z) / 6;
  }, 0);

const boardOf = (own: Partial<Board>): Board => ({
  ...{ name: 'a', material: 'sheet', outline: rectangle(0.2, 0.1), holes: [], thickness: 0.018 },
  ...own,
});

describe('a board as a body to print', () => {
  it('is watertight and as large as its outline less its holes, whatever they are', () => {
    const chance = chanceOf(2);
    for (let n = 0; n < 60; n++) {
      const count = Math.floor(6 * chance.uniform());
      const radius = 0.002 + 0.01 * chance.uniform();
      const board = boardOf({
        outline: circle(0.1),
        holes: around(count, 0.06).map((at) => circle(radius, at)),
        thickness: 0.003 + 0.02 * chance.uniform(),
      });
      const triangles = trianglesOf(extrudedStl(board));
      expect(isWatertight(triangles)).toBe(true);
      const area = Math.PI * (0.1 ** 2 - count * radius ** 2);
      expect(volumeOf(triangles) / 1e9 / (area * board.thickness)).toBeCloseTo(1, 2);
    }
  });

  it('may have its outline either way around, and corners that go in', () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 0.2, y: 0 },
      { x: 0.2, y: 0.2 },
      { x: 0.1, y: 0.05 },
      { x: 0, y: 0.2 },
    ];
    for (const points of [corners, corners.toReversed()]) {
      const triangles = trianglesOf(extrudedStl(boardOf({ outline: polygon(points) })));
      expect(isWatertight(triangles)).toBe(true);
      // By hand: a square of 0.04 m² less a triangle of 0.2 by 0.15 m.
      expect(volumeOf(triangles)).toBeCloseTo(0.025 * 0.018 * 1e9, 0);
    }
  });

  it.each(Object.keys(MAKERS) as MakerId[])('is so for every part of %s, and its prints', (id) => {
    const made = makerOf(id).make(makerOf(id).usual(PLACE), PLACE);
    if (!made.ok) throw new Error(made.reason.id);
    for (const { board } of made.thing.parts) {
      const triangles = trianglesOf(extrudedStl(board));
      expect(isWatertight(triangles), board.name).toBe(true);
      expect(volumeOf(triangles), board.name).toBeGreaterThan(0);
    }
    for (const { name, outline } of made.thing.prints ?? []) {
      const triangles = trianglesOf(revolvedStl(outline, name));
      expect(isWatertight(triangles), name).toBe(true);
      expect(volumeOf(triangles), name).toBeGreaterThan(0);
    }
  });
});
