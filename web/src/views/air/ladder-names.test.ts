import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOfText, crosses, overlap } from '@/ui/place-labels';
import { NAME_SIZE, placeNames } from './ladder-names';

const FOOT = 190;
const FIRST = 213;

describe('the names below the ladder', () => {
  const word = fc.constantFrom(
    'Hood',
    'Separator',
    'Collector',
    '5 in.',
    'Elbow',
    'Blower',
    '13′ 10¼″',
  );
  const steps = fc.array(
    fc.record({
      lines: fc.array(word, { minLength: 1, maxLength: 2 }),
      weight: fc.double({ min: 0, max: 2000, noNaN: true }),
    }),
    { minLength: 1, maxLength: 30 },
  );

  it('never stand on each other, on the leader of another, or outside the picture', () => {
    fc.assert(
      fc.property(steps, fc.integer({ min: 320, max: 1000 }), (all, width) => {
        const pitch = width / all.length;
        const placed = placeNames(
          all.map((step, i) => ({ ...step, x: (i + 0.5) * pitch })),
          FOOT,
          FIRST,
          width,
        );
        const boxes = placed.map(({ lines }) =>
          lines.map(({ text, x, y }) => boxOfText(text, { x, y }, NAME_SIZE)),
        );
        placed.forEach(({ leader }, i) => {
          for (const box of boxes[i] ?? []) {
            expect(box.x0).toBeGreaterThanOrEqual(-1e-9);
            expect(box.x1).toBeLessThanOrEqual(width + 1e-9);
          }
          boxes.forEach((others, k) => {
            if (k === i) return;
            const isCovered = others.some(
              (other) =>
                boxes[i]?.some((box) => overlap(box, other)) ||
                (leader !== null && crosses(leader, other)),
            );
            expect(isCovered).toBe(false);
          });
        });
      }),
      { numRuns: 200 },
    );
  });

  it('are all there where there is room, and the weightiest where there is little', () => {
    const named = (pitch: number) =>
      placeNames(
        ['Hood', 'Blower', 'Separator'].map((text, i) => ({
          lines: [text],
          x: 100 + i * pitch,
          weight: i,
        })),
        FOOT,
        FIRST,
        600,
      ).map(({ lines, leader }) => [lines[0]?.text, leader !== null]);
    expect(named(120)).toEqual([
      ['Separator', false],
      ['Blower', false],
      ['Hood', false],
    ]);
    // Too close for one row: the second has a leader from its step.
    expect(named(30)).toContainEqual(['Blower', true]);
    expect(named(1)[0]).toEqual(['Separator', false]);
  });
});
