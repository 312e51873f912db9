import { standAssembly } from '@frank-gauge/core/assembly';
import { withCandidate } from '@frank-gauge/core/design';
import { readShop } from '@frank-gauge/core/journal';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import demo from '../../../../../demo/heron-slip.json';
import { drawingOf } from './drawing';
import { heightOf } from './use-drag-height';

const read = readShop(demo);
if (!read.ok) throw new Error(read.faults[0].message);
const { shop } = read;

describe('an elevation as it is drawn', () => {
  const elevations = [shop, ...shop.candidates.map((each) => withCandidate(shop, each))].map(
    ({ collector, room }) => standAssembly(collector, room.ceilingHeight),
  );

  it('fits its picture, floor and ceiling in sight, at any size', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...elevations),
        fc.integer({ min: 330, max: 1600 }),
        fc.integer({ min: 300, max: 1200 }),
        (elevation, width, height) => {
          const drawing = drawingOf(elevation, width, height);
          for (const { x0, x1, z0, z1 } of elevation.placed) {
            expect(drawing.x(x0)).toBeGreaterThanOrEqual(0);
            expect(drawing.x(x1)).toBeLessThanOrEqual(width);
            expect(drawing.z(z1)).toBeGreaterThanOrEqual(0);
            expect(drawing.z(z0)).toBeLessThanOrEqual(height);
          }
          expect(drawing.z(shop.room.ceilingHeight ?? 0)).toBeGreaterThan(0);
          expect(drawing.z(0)).toBeLessThan(height);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('has one scale both ways', () => {
    const [elevation] = elevations;
    if (!elevation) throw new Error('no collector');
    const drawing = drawingOf(elevation, 700, 600);
    expect(drawing.x(1) - drawing.x(0)).toBeCloseTo(drawing.scale, 9);
    expect(drawing.z(0) - drawing.z(1)).toBeCloseTo(drawing.scale, 9);
    expect(drawing.length(2)).toBeCloseTo(2 * drawing.scale, 9);
  });

  it('lets be dragged what hangs, and nothing that stands', () => {
    const { assembly } = shop.collector;
    expect(heightOf(assembly, 'blower')).toBeCloseTo(2.2352, 9);
    expect(heightOf(assembly, 'separator')).toBe(assembly.separator.hungAt);
    expect(heightOf(assembly, 'filter')).toBe(assembly.filter.hungAt);
    const standing = { ...assembly, mount: { kind: 'cart', height: 0.1 } } as const;
    expect(heightOf(standing, 'blower')).toBeNull();
  });
});
