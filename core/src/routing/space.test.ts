import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  directionOf,
  distance,
  legsOf,
  nearestFromAbove,
  nearestOn,
  type Point3,
  tidy,
  turnBetween,
} from './space';

const at = (x: number, y: number, z = 0): Point3 => ({ x, y, z });
/** 3 m along, 4 m back, 2 m up: corners at 3 and 7 m, its end at 9 m. */
const LINE = [at(0, 0), at(3, 0), at(3, 4), at(3, 4, 2)];

describe('the legs of a line', () => {
  it('begin where the one before ended, and know their direction and length', () => {
    expect(
      legsOf(LINE).map(({ start, length, direction }) => ({ start, length, direction })),
    ).toEqual([
      { start: 0, length: 3, direction: at(1, 0) },
      { start: 3, length: 4, direction: at(0, 1) },
      { start: 7, length: 2, direction: at(0, 0, 1) },
    ]);
    expect(legsOf([at(1, 1)])).toEqual([]);
    expect(legsOf([])).toEqual([]);
  });

  it('are left out where they have no length', () => {
    const doubled = LINE.flatMap((point) => [point, { ...point, x: point.x + 5e-4 }, point]);
    expect(legsOf(doubled).map(({ length }) => length)).toEqual(
      legsOf(LINE).map(({ length }) => length),
    );
    expect(tidy(doubled)).toEqual(LINE);
    expect(directionOf(at(1, 1), at(1, 1 + 5e-4))).toBeNull();
    expect(directionOf(at(1, 1), at(1, 1 + 2e-3))).toEqual(at(0, 1));
  });
});

describe('a turn', () => {
  it('is none straight on, a right angle to the side, and half a turn straight back', () => {
    expect(turnBetween(at(1, 0), at(1, 0))).toBe(0);
    expect(turnBetween(at(1, 0), at(0, 1))).toBeCloseTo(Math.PI / 2, 12);
    expect(turnBetween(at(1, 0), at(0, 0, -1))).toBeCloseTo(Math.PI / 2, 12);
    expect(turnBetween(at(1, 0), at(-1, 0))).toBeCloseTo(Math.PI, 12);
    expect(turnBetween(at(1, 0), at(Math.SQRT1_2, Math.SQRT1_2))).toBeCloseTo(Math.PI / 4, 12);
    // Rounding errors in the length do no harm.
    expect(turnBetween(at(1, 0), at(1 + 1e-12, 0))).toBe(0);
    expect(turnBetween(at(1, 0), at(-1 - 1e-12, 0))).toBe(Math.PI);
  });
});

describe('the nearest spot of a line', () => {
  it('comes with how far along and how far off it is, and the line’s direction there', () => {
    expect(nearestOn(LINE, at(1, -2))).toEqual({
      point: at(1, 0),
      along: 1,
      off: 2,
      direction: at(1, 0),
    });
    expect(nearestOn(LINE, at(4, 3))).toEqual({
      point: at(3, 3),
      along: 6,
      off: 1,
      direction: at(0, 1),
    });
    expect(nearestOn(LINE, at(3, 6, 1))).toEqual({
      point: at(3, 4, 1),
      along: 8,
      off: 2,
      direction: at(0, 0, 1),
    });
    expect(nearestOn(LINE, at(-5, 0))).toMatchObject({ along: 0, off: 5 });
    expect(nearestOn(LINE, at(3, 4, 9))).toMatchObject({ along: 9, off: 7 });
    expect(nearestOn([], at(0, 0))).toBeNull();
  });

  it('is the spot itself where it lies on the line', () => {
    const anyPoint = fc.record({
      x: fc.double({ min: 0, max: 10, noNaN: true }),
      y: fc.double({ min: 0, max: 10, noNaN: true }),
      z: fc.double({ min: 0, max: 3, noNaN: true }),
    });
    const anyShare = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.array(anyPoint, { minLength: 2, maxLength: 6 }), anyShare, (points, share) => {
        const legs = legsOf(points);
        const last = legs.at(-1);
        fc.pre(last !== undefined);
        const along = share * ((last?.start ?? 0) + (last?.length ?? 0));
        const leg = legs.findLast(({ start }) => start <= along);
        if (!leg) throw new Error('no leg');
        const rest = along - leg.start;
        const spot = at(
          leg.from.x + leg.direction.x * rest,
          leg.from.y + leg.direction.y * rest,
          leg.from.z + leg.direction.z * rest,
        );
        const near = nearestOn(points, spot);
        expect(near?.off).toBeLessThan(1e-9);
        expect(distance(near?.point ?? at(99, 99), spot)).toBeLessThan(1e-9);
        // Unless the line passes there twice, it is also as far along.
        const others = legs.filter((other) => other !== leg);
        const isOnce = others.every(
          ({ from, to }) => (nearestOn([from, to], spot)?.off ?? 1) > 1e-6,
        );
        if (isOnce) expect(near?.along).toBeCloseTo(along, 6);
        // From above it is no further off than in space.
        expect(nearestFromAbove(points, spot)?.off).toBeLessThan(1e-9);
      }),
    );
  });

  it('ignores heights when seen from above: a slope counts by its shadow, a riser by its foot', () => {
    const slope = [at(0, 0, 0), at(3, 0, 4)];
    const near = nearestFromAbove(slope, { x: 1.5, y: 2 });
    expect(near?.along).toBeCloseTo(2.5, 9);
    expect(near?.off).toBeCloseTo(2, 9);
    expect(distance(near?.point ?? at(9, 9), at(1.5, 0, 2))).toBeLessThan(1e-9);
    expect(nearestFromAbove([at(1, 1, 0), at(1, 1, 2)], { x: 1, y: 4 })).toEqual({
      point: at(1, 1, 0),
      along: 0,
      off: 3,
      direction: at(0, 0, 1),
    });
    // At the corner below a riser the level leg counts.
    expect(nearestFromAbove(LINE, { x: 3, y: 5 })).toMatchObject({ along: 7, off: 1 });
    expect(nearestFromAbove(LINE, { x: 2, y: -1 })).toMatchObject({ along: 2, off: 1 });
    expect(nearestFromAbove(LINE, { x: -2, y: 0 })).toMatchObject({ along: 0, off: 2 });
    expect(nearestFromAbove([], { x: 0, y: 0 })).toBeNull();
  });
});
