import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import { around } from '../boards/board';
import { LETTERS, rulerAt } from './template-sheets';

/** A hole with others around it: a pipe through a board, a flange and its bolts; diameters, m. */
export interface HoleCircle {
  readonly hole: number;
  /** Of the circle the small holes' centers lie on. */
  readonly circle: number;
  readonly count: number;
  readonly small: number;
}

export type MadeHoleCircle =
  | { readonly ok: true; readonly centers: ReturnType<typeof around> }
  | { readonly ok: false; readonly field: keyof HoleCircle; readonly reason: string };

/** Left between two holes at least, m: an estimate. */
export const LEAST_BRIDGE = 0.004;
const BELOW = 0.025;
const CENTER = 0.01;

const mm = (length: number) => `${Math.ceil(length * 1000)} mm`;

/**
 * Where the small holes go, the first to the right. None, where their number is 0. Fails where holes would meet.
 * @param say how a length is written in a sentence
 */
export function holeCircle(
  { hole, circle, count, small }: HoleCircle,
  say: (length: number) => string = mm,
): MadeHoleCircle {
  const refuse = (field: keyof HoleCircle, reason: string): MadeHoleCircle => ({
    ...{ ok: false, field, reason },
  });
  if (!(hole > 0)) return refuse('hole', 'A hole has a diameter.');
  if (!Number.isInteger(count) || count < 0 || count > 60) {
    return refuse('count', 'There are 0 to 60 small holes.');
  }
  if (count === 0) return { ok: true, centers: [] };
  if (!(small > 0)) return refuse('small', 'A small hole has a diameter; 0 of them for none.');
  const least = hole + small + 2 * LEAST_BRIDGE;
  if (circle < least) {
    return refuse('circle', `The small holes would meet the large one: ${say(least)} or more.`);
  }
  const apart = count === 1 ? Number.POSITIVE_INFINITY : circle * Math.sin(Math.PI / count);
  if (apart < small + LEAST_BRIDGE) {
    const most = Math.floor(Math.PI / Math.asin(Math.min(1, (small + LEAST_BRIDGE) / circle)));
    return refuse('count', `The small holes would meet each other: at most ${most}.`);
  }
  return { ok: true, centers: around(count, circle / 2) };
}

/** A hole with those around it, 1:1: the cuts, every center as a cross, the circle they lie on. */
export function holeCircleSheet(
  sizes: HoleCircle,
  centers: ReturnType<typeof around>,
  texts: { readonly name: string; readonly ruler: string },
): readonly SheetItem[] {
  const at = { x: 0, y: 0 };
  const reach = Math.max(sizes.hole, centers.length > 0 ? sizes.circle + sizes.small : 0) / 2;
  return [
    { kind: 'circle', layer: 'cuts', at, radius: sizes.hole / 2 },
    ...centers.map(
      (own): SheetItem => ({ kind: 'circle', layer: 'cuts', at: own, radius: sizes.small / 2 }),
    ),
    ...(centers.length > 0
      ? [{ kind: 'circle', layer: 'marks', at, radius: sizes.circle / 2 } as const]
      : []),
    ...[{ at, arm: CENTER }, ...centers.map((own) => ({ at: own, arm: sizes.small }))].flatMap(
      ({ at: { x, y }, arm }) => [
        lineOf('marks', [
          { x: x - arm, y },
          { x: x + arm, y },
        ]),
        lineOf('marks', [
          { x, y: y - arm },
          { x, y: y + arm },
        ]),
      ],
    ),
    textOf('names', { x: 0, y: reach + LETTERS }, texts.name, LETTERS),
    ...rulerAt({ x: -reach, y: -reach - BELOW }, texts.ruler),
  ];
}
