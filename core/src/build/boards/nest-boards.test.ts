import { describe, expect, it } from 'vitest';
import { type Chance, chanceOf } from '../../simulate/chance';
import { type Blank, type NestedBlank, nestBoards, type SheetStock } from './nest-boards';

const STOCK: SheetStock = { width: 1.22, height: 2.44, kerf: 0.003, isGrainKept: false };
/** Numbers are rounded to hundredths of a millimeter, m. */
const ROUNDED = 3e-5;

const someBlanks = (chance: Chance): Blank[] =>
  Array.from({ length: 1 + Math.floor(8 * chance.uniform()) }, (_, i) => ({
    letter: String.fromCharCode(65 + i),
    width: 0.05 + chance.uniform(),
    height: 0.05 + 1.2 * chance.uniform(),
    count: 1 + Math.floor(3 * chance.uniform()),
  }));

describe('sheet goods', () => {
  it('are sawn into exactly what is asked for, by cuts from edge to edge with their kerf', () => {
    const chance = chanceOf(5);
    for (let n = 0; n < 150; n++) {
      const blanks = someBlanks(chance);
      const stock = { ...STOCK, isGrainKept: n % 2 === 0, kerf: n % 3 === 0 ? 0 : 0.003 };
      const { sheets, tooLarge, bound } = nestBoards(blanks, stock);
      expect(tooLarge).toEqual([]);
      expect(sheets.length).toBeGreaterThanOrEqual(bound);
      const laid = sheets.flat();
      for (const { letter, width, height, count } of blanks) {
        const own = laid.filter((blank) => blank.letter === letter);
        expect(own).toHaveLength(count);
        for (const blank of own) {
          const [across, up] = blank.isTurned ? [height, width] : [width, height];
          expect(blank.width).toBeCloseTo(across, 4);
          expect(blank.height).toBeCloseTo(up, 4);
          if (stock.isGrainKept) expect(blank.isTurned).toBe(false);
        }
      }
      for (const sheet of sheets) {
        for (const { x, y, width, height } of sheet) {
          expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
          expect(x + width).toBeLessThanOrEqual(stock.width + ROUNDED);
          expect(y + height).toBeLessThanOrEqual(stock.height + ROUNDED);
        }
        expect(canBeSawn(sheet, stock.kerf)).toBe(true);
      }
    }
  });

  it('says what no sheet is large enough for, and lays the rest', () => {
    const blanks = [
      { letter: 'A', width: 2, height: 0.5, count: 2 },
      { letter: 'B', width: 0.4, height: 0.4, count: 1 },
    ];
    const kept = nestBoards(blanks, { ...STOCK, isGrainKept: true });
    expect(kept.tooLarge.map(({ letter }) => letter)).toEqual(['A']);
    expect(kept.sheets.flat().map(({ letter }) => letter)).toEqual(['B']);
    const turned = nestBoards(blanks, STOCK);
    expect(turned.tooLarge).toEqual([]);
    expect(turned.sheets).toHaveLength(1);
  });

  it('that nothing is sawn from are none', () => {
    expect(nestBoards([], STOCK)).toEqual({ sheets: [], tooLarge: [], bound: 0 });
  });

  it('fill up where blanks fill them: four quarters of a sheet come out of one', () => {
    const quarter = { letter: 'A', width: 0.61, height: 1.22, count: 4 };
    expect(nestBoards([quarter], { ...STOCK, kerf: 0 }).sheets).toHaveLength(1);
    // With a kerf between them they no longer do.
    expect(nestBoards([quarter], STOCK).sheets.length).toBeGreaterThan(1);
  });
});

/** Whether blanks can be parted by cuts that run from edge to edge, each as wide as its kerf. */
function canBeSawn(blanks: readonly NestedBlank[], kerf: number): boolean {
  if (blanks.length <= 1) return true;
  for (const [at, size] of [
    ['x', 'width'],
    ['y', 'height'],
  ] as const) {
    for (const { [at]: from, [size]: long } of blanks) {
      const cut = from + long;
      const before = blanks.filter((blank) => blank[at] + blank[size] <= cut + ROUNDED);
      const after = blanks.filter((blank) => blank[at] >= cut + kerf - ROUNDED);
      if (after.length === 0 || before.length + after.length < blanks.length) continue;
      return canBeSawn(before, kerf) && canBeSawn(after, kerf);
    }
  }
  return false;
}
