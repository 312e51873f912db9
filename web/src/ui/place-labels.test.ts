import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boxOfText,
  crosses,
  type Label,
  placeLabels,
  placesAround,
  type Stroke,
} from './place-labels';

const BOX = { x0: 0, y0: 0, x1: 10, y1: 10 };
const stroke = (x0: number, y0: number, x1: number, y1: number, half = 0): Stroke => ({
  from: { x: x0, y: y0 },
  to: { x: x1, y: y1 },
  half,
});

describe('a stroke and a box', () => {
  it.each<[string, Stroke, boolean]>([
    ['through it', stroke(-20, 5, 20, 5), true],
    ['within it', stroke(2, 2, 4, 4), true],
    ['across a corner', stroke(-5, 5, 5, -5), true],
    ['past a corner', stroke(-15, 5, 5, -15), false],
    ['above it', stroke(-20, -5, 20, -5), false],
    ['above it, but wide', stroke(-20, -5, 20, -5, 4), true],
    ['ending before it', stroke(-20, 5, -5, 5), false],
    ['a point within', stroke(5, 5, 5, 5), true],
    ['a point without', stroke(25, 5, 25, 5), false],
  ])('%s', (_, line, isCrossing) => expect(crosses(line, BOX)).toBe(isCrossing));
});

describe('labels in a drawing', () => {
  const label = (text: string, x: number, y: number): Label<string> => ({
    of: text,
    text,
    places: placesAround(text, { x, y }, 12),
  });

  it('stand beside what they name, and move over for each other', () => {
    const placed = placeLabels([label('Planer', 100, 100), label('Saw', 100, 100)], 12, []);
    expect(placed[0]?.at.x).toBeCloseTo(100 + 4 + (6 * 12 * 0.47) / 2, 9);
    expect(placed[0]?.at.y).toBe(100);
    expect(placed[1]?.at.x).toBeLessThan(100);
  });

  it('are left out where there is no room, unless they are needed', () => {
    const wide = [stroke(0, 100, 200, 100, 90)];
    expect(placeLabels([label('Planer', 100, 100)], 12, wide)).toEqual([]);
    const needed = { ...label('Planer', 100, 100), isNeeded: true };
    expect(placeLabels([needed], 12, wide)).toHaveLength(1);
  });

  it('take as much room turned as they do level', () => {
    const level = boxOfText('12′ 6″', { x: 0, y: 0 }, 12);
    const upright = boxOfText('12′ 6″', { x: 0, y: 0 }, 12, 90);
    expect(upright.y1).toBeCloseTo(level.x1, 9);
    expect(upright.x1).toBeCloseTo(level.y1, 9);
  });

  it('never overlap, and never cover a stroke, wherever things stand', () => {
    const at = fc.integer({ min: 0, max: 400 });
    const spots = fc.array(fc.tuple(at, at, fc.stringMatching(/^[a-z]{1,14}$/)), { maxLength: 30 });
    const strokes = fc.array(fc.tuple(at, at, at, at, fc.integer({ min: 0, max: 8 })), {
      maxLength: 12,
    });
    fc.assert(
      fc.property(spots, strokes, (names, lines) => {
        const drawn = lines.map((line) => stroke(...line));
        const placed = placeLabels(
          names.map(([x, y, text]) => label(text, x, y)),
          12,
          drawn,
        );
        const boxes = placed.map(({ text, at: spot }) => boxOfText(text, spot, 12));
        for (const [i, a] of boxes.entries()) {
          expect(drawn.some((line) => crosses(line, a))).toBe(false);
          for (const b of boxes.slice(i + 1)) {
            expect(a.x0 >= b.x1 || b.x0 >= a.x1 || a.y0 >= b.y1 || b.y0 >= a.y1).toBe(true);
          }
        }
      }),
    );
  });
});
