import type { SectionPoint } from './adapter';

/** Corners of a circle: 180 keep a 6-in. bore within 0.012 mm of round. */
export const FACETS = 180;

export const MILLIMETRES = 1000;
const HEADER = 80;
const COUNT = 4;
const TRIANGLE = 50;

export type Corner = readonly [number, number, number];

/**
 * A body of revolution as binary STL in mm: each edge of the closed `outline` turned about the axis.
 * Its triangles share all their corners, so that the body is watertight, and face outwards.
 *
 * @param outline once around the section, counter-clockwise in (r, z) seen with z to the left: the
 *   outside upwards, then the inside downwards; m, every r above zero
 * @param name at most 80 characters, written in the header
 */
export function revolvedStl(outline: readonly SectionPoint[], name: string): Uint8Array {
  const triangles: [Corner, Corner, Corner][] = [];
  const corner = ({ r, z }: SectionPoint, facet: number): Corner => {
    const angle = (2 * Math.PI * (facet % FACETS)) / FACETS;
    return [r * Math.cos(angle) * MILLIMETRES, r * Math.sin(angle) * MILLIMETRES, z * MILLIMETRES];
  };
  outline.forEach((from, i) => {
    const to = outline[(i + 1) % outline.length];
    if (!to) return;
    for (let facet = 0; facet < FACETS; facet++) {
      const [a, b] = [corner(from, facet), corner(from, facet + 1)];
      const [c, d] = [corner(to, facet), corner(to, facet + 1)];
      triangles.push([a, b, d], [a, d, c]);
    }
  });
  return encodeStl(triangles, name);
}

/** Triangles as binary STL; corners in mm. */
export function encodeStl(
  triangles: readonly [Corner, Corner, Corner][],
  name: string,
): Uint8Array {
  const bytes = new Uint8Array(HEADER + COUNT + TRIANGLE * triangles.length);
  const view = new DataView(bytes.buffer);
  // A header that began with "solid" would be taken for the text form.
  bytes.set(new TextEncoder().encode(`mm ${name}`).slice(0, HEADER));
  view.setUint32(HEADER, triangles.length, true);
  triangles.forEach((triangle, i) => {
    let at = HEADER + COUNT + TRIANGLE * i;
    for (const number of [...normal(triangle), ...triangle.flat()]) {
      view.setFloat32(at, number, true);
      at += 4;
    }
  });
  return bytes;
}

function normal([a, b, c]: readonly [Corner, Corner, Corner]): Corner {
  const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
  const n: Corner = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
  const length = Math.hypot(...n);
  return length === 0 ? [0, 0, 0] : [n[0] / length, n[1] / length, n[2] / length];
}
