import type { Spot } from '../../room/plane';
import type { CheckRuler } from '../../routing/sheets/check-ruler';
import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import type { ElbowGores } from './elbow-gores';
import type { Hole, LidHoles } from './separator-lid';
import type { WrapTemplates } from './wrap-templates';

/** Letters of a template, m. */
export const LETTERS = 0.008;
/** How far below a template the check ruler lies, m. */
const BELOW = 0.025;
const TICK = 0.005;
/** Arms of the cross that marks a center, m. */
const CENTER = 0.01;

/** What is written on templates. */
export interface TemplateTexts {
  readonly pipe: string;
  readonly hole: string;
  readonly ruler: CheckRuler;
}

export interface TemplateSheets {
  readonly pipe: readonly SheetItem[];
  readonly hole: readonly SheetItem[];
}

/** Both templates as sheets to cut out, 1:1: quarters of the way around marked, a check ruler below each. */
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

/** The pieces of a mitered elbow as sheets to cut out, 1:1: the line opposite the seam marked. */
export function goreSheets(
  { end, middle, around }: ElbowGores,
  texts: { readonly end: string; readonly middle: string; readonly ruler: CheckRuler },
): { readonly end: readonly SheetItem[]; readonly middle: readonly SheetItem[] | null } {
  const sheet = (points: readonly Spot[], text: string): SheetItem[] => {
    const ys = points.map(({ y }) => y);
    const [low, high] = [Math.min(...ys), Math.max(...ys)];
    return [
      lineOf('cuts', points, true),
      lineOf('marks', [
        { x: around / 2, y: low },
        { x: around / 2, y: high },
      ]),
      textOf('names', { x: around / 4, y: (low + high) / 2 - LETTERS / 2 }, text, LETTERS),
      ...rulerAt({ x: 0, y: low - BELOW }, texts.ruler),
    ];
  };
  return { end: sheet(end, texts.end), middle: middle && sheet(middle, texts.middle) };
}

/** A lid with its holes as a sheet to cut out, 1:1: their centers marked, and the way the inlet blows. */
export function lidSheet(
  { inlet, outlet }: LidHoles,
  lid: number,
  texts: { readonly inlet: string; readonly outlet: string; readonly ruler: CheckRuler },
): readonly SheetItem[] {
  const hole = ({ at, radius }: Hole, text: string): SheetItem[] => [
    { kind: 'circle', layer: 'cuts', at, radius },
    lineOf('marks', [
      { x: at.x - CENTER, y: at.y },
      { x: at.x + CENTER, y: at.y },
    ]),
    lineOf('marks', [
      { x: at.x, y: at.y - CENTER },
      { x: at.x, y: at.y + CENTER },
    ]),
    textOf('names', { x: at.x, y: at.y + CENTER + 0.004 }, text, LETTERS),
  ];
  const [x, y] = [inlet.at.x, inlet.radius + BELOW];
  return [
    { kind: 'circle', layer: 'cuts', at: { x: 0, y: 0 }, radius: lid / 2 },
    ...hole(inlet, texts.inlet),
    ...hole(outlet, texts.outlet),
    // An arrow along the wall.
    lineOf('marks', [
      { x, y: inlet.radius },
      { x, y },
    ]),
    lineOf('marks', [
      { x: x - TICK, y: y - 2 * TICK },
      { x, y },
      { x: x + TICK, y: y - 2 * TICK },
    ]),
    ...rulerAt({ x: -texts.ruler.length / 2, y: -lid / 2 - BELOW }, texts.ruler),
  ];
}

/** A ruler to check a print by, and its length beside it. */
export const rulerAt = ({ x, y }: Spot, { length, text }: CheckRuler): SheetItem[] => [
  lineOf('marks', [
    { x, y },
    { x: x + length, y },
  ]),
  ...[0, length].map((at) =>
    lineOf('marks', [
      { x: x + at, y: y - TICK },
      { x: x + at, y: y + TICK },
    ]),
  ),
  textOf('names', { x: x + length / 2, y: y + TICK }, text, LETTERS),
];
