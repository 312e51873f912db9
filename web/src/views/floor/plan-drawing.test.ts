import { newShop, type Room } from '@frank-gauge/core/design';
import { setRoomSize } from '@frank-gauge/core/room';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pathOf, planDrawing } from './plan-drawing';

function roomOf(width: number, depth: number): Room {
  const shop = newShop('r', 'Room', 'metric', [
    { flow: 0, pressure: 1000 },
    { flow: 0.3, pressure: 0 },
  ]);
  if (width > 0) setRoomSize(shop, width, depth);
  return shop.room;
}

const measure = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('a plan as it is drawn', () => {
  it('has the room and what stands beside it in sight, at any size', () => {
    const spot = fc.record({ x: measure(-5, 40), y: measure(-5, 40) });
    fc.assert(
      fc.property(
        measure(2, 30),
        measure(2, 30),
        fc.array(spot, { maxLength: 6 }),
        fc.integer({ min: 330, max: 1600 }),
        fc.integer({ min: 300, max: 1200 }),
        (width, depth, standing, across, high) => {
          const room = roomOf(width, depth);
          const drawing = planDrawing(room, standing, across, high);
          for (const each of [...room.outline, ...standing]) {
            const { x, y } = drawing.spot(each);
            expect(x).toBeGreaterThanOrEqual(0);
            expect(x).toBeLessThanOrEqual(across);
            expect(y).toBeGreaterThanOrEqual(0);
            expect(y).toBeLessThanOrEqual(high);
          }
        },
      ),
      { numRuns: 100 },
    );
  });

  it('has the front of the shop at the bottom, and one scale both ways', () => {
    const drawing = planDrawing(roomOf(8, 6), [], 900, 600);
    const [front, back] = [drawing.spot({ x: 0, y: 0 }), drawing.spot({ x: 0, y: 6 })];
    expect(front.y).toBeGreaterThan(back.y);
    expect(front.y - back.y).toBeCloseTo(6 * drawing.scale, 9);
    const right = drawing.spot({ x: 8, y: 0 });
    expect(right.x - front.x).toBeCloseTo(8 * drawing.scale, 9);
  });

  it('of no room yet shows some floor', () => {
    const drawing = planDrawing(roomOf(0, 0), [], 900, 600);
    expect(drawing.scale).toBeGreaterThan(10);
  });

  it('closes its paths', () => {
    const drawing = planDrawing(roomOf(8, 6), [], 900, 600);
    const path = pathOf(roomOf(8, 6).outline, drawing);
    expect(path).toMatch(/^M[\d.]+ [\d.]+( L[\d.]+ [\d.]+){3} Z$/);
  });
});
