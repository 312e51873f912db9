import { describe, expect, it } from 'vitest';
import { type Board, circle, facingRight, lying, rectangle } from './board';
import { boardSheet, nestSheet } from './board-sheet';
import { lengthJobs, lettersOf, partKinds, sheetJobs } from './part-kinds';

const side: Board = {
  name: 'side',
  material: 'sheet',
  outline: rectangle(0.4, 0.3),
  holes: [circle(0.05, { x: 0.1, y: 0.2 })],
  thickness: 0.018,
};
const rod: Board = {
  name: 'rod',
  material: 'rod',
  outline: circle(0.005),
  holes: [],
  thickness: 0.6,
};
const wedge: Board = { ...side, name: 'wedge', material: 'lumber', holes: [], thickness: 0.04 };
const AT = { x: 0, y: 0, z: 0 };
// Alike, though made apart.
const PARTS = [
  lying(side, AT),
  lying(rod, AT),
  facingRight(structuredClone(side), AT),
  lying({ ...side, thickness: 0.006, name: 'back' }, AT),
  lying(wedge, AT),
];

describe('the parts of a whole', () => {
  it('are counted by what they are, each kind under its letter', () => {
    const kinds = partKinds(PARTS);
    expect(kinds.map(({ letter, board, count }) => [letter, board.name, count])).toEqual([
      ['A', 'side', 2],
      ['B', 'rod', 1],
      ['C', 'back', 1],
      ['D', 'wedge', 1],
    ]);
    expect(lettersOf(PARTS, kinds)).toEqual(['A', 'B', 'A', 'C', 'D']);
  });

  it('have letters beyond Z', () => {
    const many = Array.from({ length: 28 }, (_, i) => lying({ ...side, name: `${i}` }, AT));
    expect(
      partKinds(many)
        .map(({ letter }) => letter)
        .slice(25),
    ).toEqual(['Z', 'AA', 'AB']);
  });

  it('are sawn from sheets of their own thickness, or cut to length', () => {
    const kinds = partKinds(PARTS);
    expect(sheetJobs(kinds)).toEqual([
      {
        material: 'sheet',
        thickness: 0.018,
        blanks: [{ letter: 'A', width: 0.4, height: 0.3, count: 2 }],
      },
      {
        material: 'sheet',
        thickness: 0.006,
        blanks: [{ letter: 'C', width: 0.4, height: 0.3, count: 1 }],
      },
    ]);
    expect(
      lengthJobs(kinds).map(({ letter, length, section }) => [letter, length, section]),
    ).toEqual([
      ['B', 0.6, { width: 0.01, height: null }],
      ['D', 0.4, { width: 0.04, height: 0.3 }],
    ]);
  });
});

describe('the drawing of a part', () => {
  const textsOf = (items: ReturnType<typeof boardSheet>) =>
    items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));

  it('says its sizes, and where its holes are from its lower left corner', () => {
    expect(textsOf(boardSheet(side, 'A', 'a note', 'metric'))).toEqual([
      '100 mm across',
      '100 mm right, 200 mm up',
      'A: side, 400 mm wide, 300 mm high, 18 mm thick',
      '100 mm',
      'a note',
    ]);
    const us = textsOf(
      boardSheet({ ...side, outline: circle(0.3048 / 2), holes: [] }, 'A', '', 'us'),
    );
    expect(us[0]).toBe('A: side, 12 in. across, 11/16 in. thick');
  });

  it('lies on its sheet as it is sawn, turned where that is', () => {
    const stock = { width: 1.2, height: 2.4, kerf: 0.003, isGrainKept: false };
    const boards = new Map([['A', side]]);
    const laid = { letter: 'A', x: 0.1, y: 0.2, width: 0.4, height: 0.3, isTurned: false };
    const holeOf = (blank: typeof laid) =>
      nestSheet([blank], stock, boards).find(({ kind }) => kind === 'circle');
    expect(holeOf(laid)).toMatchObject({ at: { x: 0.2, y: 0.4 }, radius: 0.05 });
    const turned = { ...laid, width: 0.3, height: 0.4, isTurned: true };
    // A quarter turn to the left: what was up now points left.
    const hole = holeOf(turned);
    expect(hole?.kind === 'circle' && [hole.at.x, hole.at.y]).toEqual([
      expect.closeTo(0.2, 9),
      expect.closeTo(0.3, 9),
    ]);
  });
});
