// Adapters read back by three.js's STL loader, a general-purpose reader from the registry, and checked
// as bodies: watertight, facing outwards, of the right volume and diameters.
import fc from 'fast-check';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import { describe, expect, it } from 'vitest';
import { type Adapter, adapterSection, checkRing } from '../src/build/adapter';
import { FACETS, revolvedStl } from '../src/build/stl';
import { PIPES } from '../src/duct/pipes';

type Corner = [number, number, number];

/** Triangles as the other reader gives them, mm. */
function read(bytes: Uint8Array): [Corner, Corner, Corner][] {
  const buffer = new Uint8Array(bytes).buffer;
  const { position } = new STLLoader().parse(buffer).attributes;
  if (!position) throw new Error('no corners');
  const corner = (i: number): Corner => [position.getX(i), position.getY(i), position.getZ(i)];
  return Array.from({ length: position.count / 3 }, (_, i) => [
    corner(3 * i),
    corner(3 * i + 1),
    corner(3 * i + 2),
  ]);
}

const key = (corner: Corner) => corner.map((c) => c.toFixed(3).replace('-0.000', '0.000')).join();

/** Every directed edge once, and its opposite once: closed, and all facing one way. */
function isWatertight(triangles: readonly [Corner, Corner, Corner][]): boolean {
  const edges = new Map<string, number>();
  for (const [a, b, c] of triangles) {
    for (const [from, to] of [
      [a, b],
      [b, c],
      [c, a],
    ] as const) {
      const name = `${key(from)} ${key(to)}`;
      edges.set(name, (edges.get(name) ?? 0) + 1);
    }
  }
  return [...edges].every(([name, count]) => {
    const [from, to] = name.split(' ');
    return count === 1 && edges.get(`${to} ${from}`) === 1;
  });
}

/** By the divergence theorem; positive where triangles face outwards. mm³ */
const volume = (triangles: readonly [Corner, Corner, Corner][]) =>
  triangles.reduce(
    (sum, [a, b, c]) =>
      sum +
      (a[0] * (b[1] * c[2] - b[2] * c[1]) -
        a[1] * (b[0] * c[2] - b[2] * c[0]) +
        a[2] * (b[0] * c[1] - b[1] * c[0])) /
        6,
    0,
  );

/** Least and greatest distance from the axis at a height, across, mm. */
function diametersAt(triangles: readonly [Corner, Corner, Corner][], z: number) {
  const radii = triangles
    .flat()
    .filter((corner) => Math.abs(corner[2] - z) < 1e-3)
    .map(([x, y]) => Math.hypot(x, y));
  return { inside: 2 * Math.min(...radii), outside: 2 * Math.max(...radii) };
}

const adapter: Adapter = {
  ends: [
    { diameter: 0.10706, goes: 'over', length: 0.04 },
    { diameter: 0.1016, goes: 'inside', length: 0.035 },
  ],
  wall: 0.0024,
  clearance: 0.0004,
  taper: Math.PI / 12,
};

function stlOf(own: Adapter) {
  const section = adapterSection(own);
  if (!section.ok) throw new Error(section.reason);
  return { section, triangles: read(revolvedStl(section.outline, 'adapter')) };
}

describe('an adapter as STL, read by another program', () => {
  const { section, triangles } = stlOf(adapter);

  it('is watertight', () => {
    expect(triangles.length).toBe(2 * FACETS * section.outline.length);
    expect(isWatertight(triangles)).toBe(true);
    expect(isWatertight(triangles.slice(1))).toBe(false);
  });

  it('has the diameters asked for: over 107.06 mm with 0.4 of air, into 101.6 mm', () => {
    const first = diametersAt(triangles, 0);
    expect(first.inside).toBeCloseTo(107.46, 3);
    expect(first.outside).toBeCloseTo(107.46 + 4.8, 3);
    const last = diametersAt(triangles, section.length * 1000);
    expect(last.outside).toBeCloseTo(101.2, 3);
    expect(last.inside).toBeCloseTo(101.2 - 4.8, 3);
  });

  it('has the volume of its section turned about the axis (Pappus)', () => {
    // ∮ r²/2 dz · 2π around the outline, straight lines between its points; facets are a little less.
    const { outline } = section;
    const exact = outline.reduce((sum, { r, z }, i) => {
      const next = outline[(i + 1) % outline.length] ?? { r, z };
      return sum + (Math.PI * (next.z - z) * (r * r + r * next.r + next.r * next.r)) / 3;
    }, 0);
    expect(volume(triangles) / (exact * 1e9)).toBeGreaterThan(0.9995);
    expect(volume(triangles) / (exact * 1e9)).toBeLessThan(1);
  });

  it('every adapter between two sizes of the catalogue is watertight, inside facing in', () => {
    const sizes = Object.values(PIPES).flatMap((pipe) => [...pipe.sizes]);
    const end = fc.record({
      size: fc.constantFrom(...sizes),
      goes: fc.constantFrom('over' as const, 'inside' as const),
    });
    fc.assert(
      fc.property(end, end, (a, b) => {
        const endOf = ({ size, goes }: typeof a) => ({
          diameter: goes === 'over' ? size.outside : size.inside,
          goes,
          length: 0.03,
        });
        const own = stlOf({ ...adapter, ends: [endOf(a), endOf(b)] });
        expect(isWatertight(own.triangles)).toBe(true);
        expect(volume(own.triangles)).toBeGreaterThan(0);
        const [first, second] = own.section.diameters;
        const bore = diametersAt(own.triangles, 0).inside / 1000;
        expect(
          a.goes === 'over' ? bore - a.size.outside : a.size.inside - first.outside,
        ).toBeCloseTo(0.0004, 6);
        expect(second.outside - second.inside).toBeCloseTo(0.0048, 9);
      }),
      { numRuns: 25 },
    );
  });

  it('comes with a ring to try each end with', () => {
    for (const end of [0, 1] as const) {
      const ring = checkRing(adapter, end);
      if (!ring.ok) throw new Error(ring.reason);
      const body = read(revolvedStl(ring.outline, 'ring'));
      expect(isWatertight(body)).toBe(true);
      expect(diametersAt(body, 0).inside / 1000).toBeCloseTo(
        section.diameters[end]?.inside ?? 0,
        6,
      );
      expect(ring.length).toBeLessThan(0.01);
    }
  });

  it.each([
    ['a wall of paper', { wall: 0.0003 }, /0\.8 mm/],
    ['no clearance that could be', { clearance: -0.001 }, /clearance/],
    ['a taper that is none', { taper: 0 }, /taper/],
    [
      'an end without overlap',
      { ends: [adapter.ends[0], { ...adapter.ends[1], length: 0 }] },
      /overlap/,
    ],
    [
      'a wall that fills it',
      { ends: [adapter.ends[0], { diameter: 0.02, goes: 'inside', length: 0.03 }], wall: 0.01 },
      /no way through/,
    ],
  ] as [string, Partial<Adapter>, RegExp][])('%s is refused in a sentence', (_, change, reason) => {
    const section = adapterSection({ ...adapter, ...change });
    expect(section.ok ? '' : section.reason).toMatch(reason);
  });
});
