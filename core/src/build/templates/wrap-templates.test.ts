import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toSI } from '../../quantity/units';
import {
  type PipeIntoDrum,
  tangentialOffset,
  type WrapTemplates,
  wrapTemplates,
} from './wrap-templates';

const anyPair = fc
  .record({
    drum: fc.double({ min: 0.1, max: 1, noNaN: true }),
    share: fc.double({ min: 0.05, max: 0.98, noNaN: true }),
    off: fc.double({ min: -1, max: 1, noNaN: true }),
    angle: fc.double({ min: Math.PI / 8, max: Math.PI / 2, noNaN: true }),
    ends: fc.constantFrom('outside' as const, 'inside' as const),
  })
  .map(({ drum, share, off, angle, ends }): PipeIntoDrum => {
    const wall = ends === 'inside' ? 0.005 * drum : 0;
    const pipe = share * (drum - 2 * wall);
    return { drum, wall, pipe, angle, ends, offset: off * ((drum - pipe) / 2 - wall) };
  });

const made = (of: PipeIntoDrum): WrapTemplates => {
  const templates = wrapTemplates(of);
  if (!templates.ok) throw new Error(templates.fault.kind);
  return templates.templates;
};

/**
 * The pipe's template rolled up again around a pipe that lies in space: its axis passes the drum's, the z axis, at the
 * offset and at the angle. Written with a rotation matrix, apart from the formulas of the templates.
 */
function rolledUp(of: PipeIntoDrum): { x: number; y: number; z: number }[] {
  const { pipe } = made(of);
  const curve = pipe.slice(1, -1);
  // How far out the straight end lies: the highest point of the template stands as deep in the drum as the cut goes.
  const inward = Math.max(...curve.map(({ y }) => y));
  const lean = Math.PI / 2 - of.angle;
  return curve.map((spot) => {
    const phi = spot.x / (of.pipe / 2);
    // Lying along x: across is y, up is z.
    const [u, v, w] = [
      inward - spot.y,
      (of.pipe / 2) * Math.cos(phi),
      (of.pipe / 2) * Math.sin(phi),
    ];
    return {
      x: u * Math.cos(lean) - w * Math.sin(lean),
      y: v + of.offset,
      z: u * Math.sin(lean) + w * Math.cos(lean),
    };
  });
}

describe('templates of a pipe into a drum', () => {
  it('rolled up again in space, have every point of the cut on the drum, to 0.01 mm', () => {
    fc.assert(
      fc.property(anyPair, (of) => {
        const surface = of.ends === 'inside' ? of.drum / 2 - of.wall : of.drum / 2;
        const points = rolledUp(of);
        // Slid along its axis, the pipe meets the drum with all of its cut at once.
        const slide = slideOnto(points, of.angle, surface);
        for (const { x, y, z } of points) {
          const [px, py] = [x + slide * Math.sin(of.angle), y];
          expect(Math.abs(Math.hypot(px, py) - surface)).toBeLessThan(1e-5);
          expect(Number.isFinite(z)).toBe(true);
        }
      }),
    );
  });

  it('have every point of the hole on both cylinders, to 0.01 mm', () => {
    fc.assert(
      fc.property(anyPair, (of) => {
        const { hole } = made(of);
        const radius = of.drum / 2;
        for (const spot of hole) {
          const turn = spot.x / radius;
          const p = [radius * Math.cos(turn), radius * Math.sin(turn), spot.y] as const;
          // Distance from the pipe's axis, through (0, offset, 0) along (sin, 0, cos).
          const d = [Math.sin(of.angle), 0, Math.cos(of.angle)] as const;
          const q = [p[0], p[1] - of.offset, p[2]] as const;
          const along = q[0] * d[0] + q[2] * d[2];
          const away = Math.hypot(q[0] - along * d[0], q[1], q[2] - along * d[2]);
          expect(Math.abs(away - of.pipe / 2)).toBeLessThan(1e-5);
        }
      }),
    );
  });

  it('of a pipe square into a drum cut both ways alike, worked by hand', () => {
    // 6 in. into 22½ in., radially: the pipe reaches 11.25 − √(11.25² − 3²) = 0.407 in. less far at its sides.
    const of = { pipe: toSI(6, 'in'), drum: toSI(22.5, 'in'), wall: 0, offset: 0 } as const;
    const { pipe, hole, around } = made({ ...of, angle: Math.PI / 2, ends: 'outside' });
    const ys = pipe.slice(1, -1).map(({ y }) => y);
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(toSI(0.4074, 'in'), 5);
    expect(around.pipe).toBeCloseTo(toSI(18.85, 'in'), 4);
    // The hole is as high as the pipe is wide, and a little longer around the drum: 2·11.25·asin(3/11.25).
    const span = (of: readonly number[]) => Math.max(...of) - Math.min(...of);
    expect(span(hole.map(({ y }) => y))).toBeCloseTo(toSI(6, 'in'), 6);
    expect(span(hole.map(({ x }) => x))).toBeCloseTo(toSI(22.5 * Math.asin(3 / 11.25), 'in'), 5);
  });

  it('are as long around as the pipe, and begin with a straight end', () => {
    fc.assert(
      fc.property(anyPair, (of) => {
        const { pipe, around } = made(of);
        expect(pipe[0]).toEqual({ x: 0, y: 0 });
        expect(pipe.at(-1)).toEqual({ x: around.pipe, y: 0 });
        expect(Math.min(...pipe.slice(1, -1).map(({ y }) => y))).toBeGreaterThan(0.029);
      }),
    );
  });

  it('are refused with the field and the reason', () => {
    const of = {
      pipe: 0.15,
      drum: 0.58,
      wall: 0.001,
      offset: 0,
      angle: 1.5,
      ends: 'outside',
    } as const;
    const refused = (change: Partial<PipeIntoDrum>) => {
      const templates = wrapTemplates({ ...of, ...change });
      return templates.ok ? null : templates.field;
    };
    expect(refused({})).toBeNull();
    expect(refused({ pipe: 0.6 })).toBe('pipe');
    expect(refused({ offset: 0.3 })).toBe('offset');
    expect(refused({ angle: 0.1 })).toBe('angle');
    expect(refused({ angle: 2 })).toBe('angle');
    expect(refused({ wall: 0.4 })).toBe('wall');
    // Flush with the inside of a thick wall there is less room.
    expect(refused({ pipe: 0.5, wall: 0.05, ends: 'inside' })).toBe('pipe');
    expect(refused({ drum: Number.NaN })).toBe('drum');
    expect(refused({ offset: tangentialOffset(of) })).toBeNull();
  });
});

/** How far a pipe is slid along its axis so that the first point of its cut lies on the drum. */
function slideOnto(
  points: readonly { x: number; y: number }[],
  angle: number,
  radius: number,
): number {
  const [first = { x: 0, y: 0 }] = points;
  return (Math.sqrt(radius ** 2 - first.y ** 2) - first.x) / Math.sin(angle);
}
