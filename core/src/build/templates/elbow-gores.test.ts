import { describe, expect, it } from 'vitest';
import { chanceOf } from '../../simulate/chance';
import { elbowGores, type MiteredElbow, MOST_PIECES } from './elbow-gores';

const made = (of: MiteredElbow) => {
  const result = elbowGores(of);
  if (!result.ok) throw new Error(result.fault.kind);
  return result.gores;
};

describe('gores of a mitered elbow', () => {
  it('rolled up, each cut lies in one plane through the bend’s center, and on the pipe', () => {
    const chance = chanceOf(7);
    for (let n = 0; n < 200; n++) {
      const pipe = 0.05 + 0.3 * chance.uniform();
      const pieces = 3 + Math.floor(chance.uniform() * (MOST_PIECES - 3));
      const radius = pipe * (0.6 + 2 * chance.uniform());
      const angle = 0.3 + 1.2 * chance.uniform();
      const { end, around } = made({ pipe, angle, radius, pieces });
      const miter = angle / 2 / (pieces - 1);
      // The pipe stands upright beside the bend's center, which is the origin, its throat towards it; its cut's plane
      // holds the origin and rises by the miter.
      for (const { x, y: along } of end.slice(1, -1)) {
        const turned = (x / around) * 2 * Math.PI;
        const out = radius - (pipe / 2) * Math.cos(turned);
        const fromPlane = along * Math.cos(miter) - out * Math.sin(miter);
        expect(Math.abs(fromPlane)).toBeLessThan(1e-5);
      }
    }
  });

  it('put together, the pieces turn as far as the elbow does', () => {
    // Each of a five-piece right angle's cuts stands at 11¼°: sheet-metal layout, from memory.
    expect((made({ ...ELBOW, pieces: 5 }).miter * 180) / Math.PI).toBeCloseTo(11.25, 9);
    for (const pieces of [3, 4, 5, 6]) {
      const { miter, middles } = made({ ...ELBOW, pieces });
      expect(2 * miter * (middles + 1)).toBeCloseTo(Math.PI / 2, 12);
    }
  });

  it('piece fits piece: the middle one is the end and its mirror image', () => {
    const { end, middle } = made(ELBOW);
    const cut = end.slice(1, -1);
    expect(middle).toHaveLength(2 * cut.length);
    cut.forEach(({ x, y }, i) => {
      expect(middle?.[i]).toEqual({ x, y });
      expect(middle?.[2 * cut.length - 1 - i]).toEqual({ x, y: -y });
    });
    expect(made({ ...ELBOW, angle: Math.PI / 3, pieces: 2 }).middle).toBeNull();
  });

  it('measured at its centerline, all of it is as long as its chords', () => {
    const { end } = made(ELBOW);
    const quarter = end[1 + 90];
    // At a quarter of the way around, the pipe is as far out as its centerline.
    expect(quarter?.y).toBeCloseTo(0.2286 * Math.tan(Math.PI / 16), 9);
  });

  it.each<[keyof MiteredElbow, Partial<MiteredElbow>]>([
    ['pipe', { pipe: 0 }],
    ['angle', { angle: 0 }],
    ['angle', { angle: 4 }],
    ['pieces', { pieces: 1 }],
    ['pieces', { pieces: 3.5 }],
    ['pieces', { pieces: 40 }],
    ['pieces', { angle: 3, pieces: 2 }],
    ['radius', { radius: 0.07 }],
    ['radius', { radius: Number.NaN }],
  ])('refuses a wrong %s by name', (field, wrong) => {
    const result = elbowGores({ ...ELBOW, ...wrong });
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.field).toBe(field);
  });
});

const ELBOW: MiteredElbow = { pipe: 0.1524, angle: Math.PI / 2, radius: 0.2286, pieces: 5 };
