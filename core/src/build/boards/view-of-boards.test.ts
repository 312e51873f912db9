import { describe, expect, it } from 'vitest';
import { isometric } from '../../routing/sheets/isometric-sheet';
import type { SheetItem } from '../../routing/sheets/sheet';
import { type Board, circle, lying, rectangle } from './board';
import { viewOfBoards } from './view-of-boards';

const plate = (own: Partial<Board> = {}): Board => ({
  ...{ name: 'a', material: 'sheet', outline: rectangle(1, 1), holes: [], thickness: 0.1 },
  ...own,
});

const lengthOf = (items: readonly SheetItem[]) =>
  items.reduce((sum, item) => {
    if (item.kind !== 'line') return sum;
    return item.points.slice(1).reduce((own, to, i) => {
      const from = item.points[i] ?? to;
      return own + Math.hypot(to.x - from.x, to.y - from.y);
    }, sum);
  }, 0);

describe('parts seen from the front left, from above', () => {
  it('show nine of a block’s twelve edges at their true lengths', () => {
    const items = viewOfBoards([{ letter: 'A', placed: lying(plate(), { x: 0, y: 0, z: 0 }) }], 60);
    // Four edges of the top, two of the foot, three that stand: isometric drawing has them true.
    expect(lengthOf(items)).toBeCloseTo(4 + 2 + 3 * 0.1, 1);
  });

  it('do not show what lies behind another', () => {
    const small = plate({ outline: rectangle(0.2, 0.2) });
    const behind = viewOfBoards(
      [
        { letter: 'A', placed: lying(plate({ thickness: 1 }), { x: 0, y: 0, z: 0 }) },
        { letter: 'B', placed: lying(small, { x: 1.2, y: 1.2, z: 0 }) },
      ],
      60,
    );
    const alone = viewOfBoards(
      [{ letter: 'A', placed: lying(plate({ thickness: 1 }), { x: 0, y: 0, z: 0 }) }],
      60,
    );
    expect(lengthOf(behind)).toBeCloseTo(lengthOf(alone), 6);
    expect(behind.filter(({ kind }) => kind === 'text')).toHaveLength(1);
  });

  it('show through a hole what lies under it', () => {
    const under = plate({ outline: circle(0.05, { x: 0.5, y: 0.5 }), thickness: 0.01 });
    const parts = (holes: Board['holes']) => [
      { letter: 'A', placed: lying(plate({ holes }), { x: 0, y: 0, z: 0 }) },
      { letter: 'B', placed: lying(under, { x: 0, y: 0, z: -0.05 }) },
    ];
    const letters = (items: readonly SheetItem[]) =>
      items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));
    expect(letters(viewOfBoards(parts([]), 60))).toEqual(['A']);
    const hole = circle(0.4, { x: 0.5, y: 0.5 });
    expect(letters(viewOfBoards(parts([hole]), 60))).toEqual(['A', 'B']);
  });

  it('are drawn where they lie, off by what draws them apart', () => {
    const apart = { x: 0, y: 0, z: 0.3 };
    const items = viewOfBoards(
      [{ letter: 'A', placed: lying(plate(), { x: 2, y: 1, z: 0 }, apart) }],
      60,
    );
    const highest = Math.max(
      ...items.flatMap((item) => (item.kind === 'line' ? item.points.map(({ y }) => y) : [])),
    );
    expect(highest).toBeCloseTo(isometric({ x: 3, y: 2, z: 0.4 }).y, 9);
  });
});
