import earcut from 'earcut';
import { type Corner, encodeStl, FACETS, MILLIMETRES } from '../stl';
import { type Board, cornersOf } from './board';

/**
 * A board as binary STL in mm, lying flat: its outline less its holes, as thick as it is. Both faces and all sides share
 * their corners, so that the body is watertight; its triangles face outward.
 */
export function extrudedStl({ outline, holes, thickness, name }: Board): Uint8Array {
  const loops = [
    cornersOf(outline, FACETS),
    ...holes.map((hole) => cornersOf(hole, FACETS).toReversed()),
  ];
  const flat = loops.flat();
  const starts = loops.slice(0, -1).map((_, i) => loops.slice(0, i + 1).flat().length);
  const corner = (index: number, z: number): Corner => {
    const { x, y } = flat[index] ?? { x: 0, y: 0 };
    return [x * MILLIMETRES, y * MILLIMETRES, z * MILLIMETRES];
  };
  const triangles: [Corner, Corner, Corner][] = [];
  const faces = earcut(
    flat.flatMap(({ x, y }) => [x, y]),
    starts,
  );
  for (let i = 0; i + 2 < faces.length; i += 3) {
    const [a = 0, b = 0, c = 0] = faces.slice(i, i + 3);
    const [p, q, r] = isLeftTurn(flat, a, b, c) ? [a, b, c] : [a, c, b];
    triangles.push([corner(p, thickness), corner(q, thickness), corner(r, thickness)]);
    triangles.push([corner(p, 0), corner(r, 0), corner(q, 0)]);
  }
  let start = 0;
  for (const loop of loops) {
    for (let i = 0; i < loop.length; i++) {
      const [from, to] = [start + i, start + ((i + 1) % loop.length)];
      triangles.push([corner(from, 0), corner(to, 0), corner(to, thickness)]);
      triangles.push([corner(from, 0), corner(to, thickness), corner(from, thickness)]);
    }
    start += loop.length;
  }
  return encodeStl(triangles, name);
}

function isLeftTurn(flat: readonly { x: number; y: number }[], a: number, b: number, c: number) {
  const [p, q, r] = [flat[a], flat[b], flat[c]];
  if (!p || !q || !r) return true;
  return (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x) > 0;
}
