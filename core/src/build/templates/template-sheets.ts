import type { Spot } from '../../room/plane';
import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import type { WrapTemplates } from './wrap-templates';

/** Letters of a template, m. */
const LETTERS = 0.008;
/** A ruler to check a print by, m, and how far below the template it lies. */
const RULER = 0.1;
const BELOW = 0.025;
const TICK = 0.005;

/** What is written on templates. */
export interface TemplateTexts {
  readonly pipe: string;
  readonly hole: string;
  /** Of the ruler: its length. */
  readonly ruler: string;
}

export interface TemplateSheets {
  readonly pipe: readonly SheetItem[];
  readonly hole: readonly SheetItem[];
}

/** Both templates as sheets to cut out, 1:1: quarters of the way around marked, a ruler of 100 mm below each. */
export function templateSheets(
  { pipe, hole, around }: WrapTemplates,
  texts: TemplateTexts,
): TemplateSheets {
  const middle = { x: around.pipe / 2, y: 0.012 };
  const curve = pipe.slice(1, -1);
  const quarters = [0.25, 0.5, 0.75].map((share) => {
    const x = share * around.pipe;
    const at = curve[Math.round(share * (curve.length - 1))] ?? { x, y: 0 };
    return lineOf('marks', [
      { x, y: 0 },
      { x, y: at.y },
    ]);
  });
  const ys = hole.map(({ y }) => y);
  const xs = hole.map(({ x }) => x);
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  return {
    pipe: [
      lineOf('cuts', pipe, true),
      ...quarters,
      textOf('names', middle, texts.pipe, LETTERS),
      ...rulerAt({ x: 0, y: -BELOW }, texts.ruler),
    ],
    hole: [
      lineOf('cuts', hole, true),
      // Where the drum's middle line points along the pipe, and level with where both axes cross.
      lineOf('marks', [
        { x: 0, y: low - TICK },
        { x: 0, y: high + TICK },
      ]),
      lineOf('marks', [
        { x: left - TICK, y: 0 },
        { x: right + TICK, y: 0 },
      ]),
      textOf('names', { x: (left + right) / 2, y: high + 2 * TICK }, texts.hole, LETTERS),
      ...rulerAt({ x: left, y: low - BELOW }, texts.ruler),
    ],
  };
}

const rulerAt = ({ x, y }: Spot, text: string): SheetItem[] => [
  lineOf('marks', [
    { x, y },
    { x: x + RULER, y },
  ]),
  ...[0, RULER].map((at) =>
    lineOf('marks', [
      { x: x + at, y: y - TICK },
      { x: x + at, y: y + TICK },
    ]),
  ),
  textOf('names', { x: x + RULER / 2, y: y + TICK }, text, LETTERS),
];
