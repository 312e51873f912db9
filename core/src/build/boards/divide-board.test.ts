import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankOf, facingFront, inWhole, rectangle } from './board';
import { dividedBoard, seamsOf } from './divide-board';

/** Lengths of the pieces that seams leave. */
const piecesOf = (length: number, seams: readonly number[]) =>
  [0, ...seams].map((from, i) => (seams[i] ?? length) - from);

describe('seams', () => {
  it('take the stock as it is first, then what is left', () => {
    expect(seamsOf(1, 1)).toEqual([]);
    expect(seamsOf(2.5, 1.22)).toEqual([1.22, 2.35]);
    expect(seamsOf(3, 1.22)).toEqual([1.22, 2.44]);
    expect(seamsOf(0, 1)).toEqual([]);
  });

  it('go beside what is kept whole', () => {
    const seams = seamsOf(2, 1.2, [{ from: 0.9, to: 1.4 }]);
    expect(seams).toEqual([0.9]);
    expect(seamsOf(2, 0.4, [{ from: 0.9, to: 1.4 }])).toBeNull();
  });

  it('leave no piece too long and go through nothing that is kept whole, of whatever lengths', () => {
    const cases = fc.record({
      length: fc.double({ min: 0.3, max: 6, noNaN: true }),
      most: fc.double({ min: 0.65, max: 3, noNaN: true }),
      kept: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
      gap: fc.double({ min: 0.03, max: 0.5, noNaN: true }),
    });
    fc.assert(
      fc.property(cases, ({ length, most, kept, gap }) => {
        const whole = Array.from({ length: Math.floor((length - gap) / (kept + gap)) }, (_, i) => ({
          from: gap + i * (kept + gap),
          to: (i + 1) * (kept + gap),
        }));
        const seams = seamsOf(length, most, whole);
        if (seams === null) throw new Error('none');
        for (const piece of piecesOf(length, seams)) {
          expect(piece).toBeGreaterThan(0);
          expect(piece).toBeLessThanOrEqual(most + 1e-8);
        }
        for (const at of seams) {
          expect(whole.some(({ from, to }) => at > from + 1e-8 && at < to - 1e-8)).toBe(false);
        }
      }),
    );
  });
});

describe('a divided board', () => {
  const placed = facingFront(
    {
      ...{ name: 'back', material: 'sheet', outline: rectangle(2, 1), thickness: 0.012 },
      holes: [rectangle(0.2, 0.2, { x: 1.5, y: 0.6 })],
    },
    { x: 3, y: -1, z: 0.5 },
  );

  it('is itself where there is no seam', () => {
    expect(dividedBoard(placed, { x: [], y: [] })).toEqual([placed]);
  });

  it('is pieces that lie where it lay, its hole in the one it is in', () => {
    const pieces = dividedBoard(placed, { x: [0.8], y: [0.5] });
    expect(pieces.map(({ board }) => board.name)).toEqual(
      Array.from({ length: 4 }, () => 'back, in 4 pieces'),
    );
    const corners = pieces.map((piece) => {
      const { width, height } = blankOf(piece.board);
      return [inWhole(piece, { x: 0, y: 0 }, 0), inWhole(piece, { x: width, y: height }, 0)];
    });
    expect(corners).toEqual([
      [
        { x: 3, y: -1, z: 0.5 },
        { x: 3.8, y: -1, z: 1 },
      ],
      [
        { x: 3.8, y: -1, z: 0.5 },
        { x: 5, y: -1, z: 1 },
      ],
      [
        { x: 3, y: -1, z: 1 },
        { x: 3.8, y: -1, z: 1.5 },
      ],
      [
        { x: 3.8, y: -1, z: 1 },
        { x: 5, y: -1, z: 1.5 },
      ],
    ]);
    const [, , , last] = pieces;
    expect(pieces.filter(({ board }) => board.holes.length > 0)).toEqual([last]);
    const [hole] = last?.board.holes ?? [];
    expect(hole && blankOf({ outline: hole })).toMatchObject({
      x: expect.closeTo(0.7, 9),
      y: expect.closeTo(0.1, 9),
    });
  });
});
