import type { CheckRuler } from '../../routing/sheets/check-ruler';
import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import { around } from '../boards/board';
import { NO_SIZE, refusing, type TemplateRefused } from './template-fault';
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
  | TemplateRefused<keyof HoleCircle>;

/** Left between two holes at least, m: an estimate. */
export const LEAST_BRIDGE = 0.004;
const BELOW = 0.025;
const CENTER = 0.01;

/** More small holes than this nobody drills. */
const MOST_HOLES = 60;

/** Where the small holes go, the first to the right. None, where their number is 0. Fails where holes would meet. */
export function holeCircle({ hole, circle, count, small }: HoleCircle): MadeHoleCircle {
  const refuse = refusing<keyof HoleCircle>();
  if (!(hole > 0)) return refuse('hole', NO_SIZE);
  if (!Number.isInteger(count) || count < 0 || count > MOST_HOLES) {
    return refuse('count', { kind: 'count out of range', most: MOST_HOLES });
  }
  if (count === 0) return { ok: true, centers: [] };
  if (!(small > 0)) return refuse('small', NO_SIZE);
  const least = hole + small + 2 * LEAST_BRIDGE;
  if (circle < least) {
    return refuse('circle', { kind: 'meet the large hole', least });
  }
  const apart = count === 1 ? Number.POSITIVE_INFINITY : circle * Math.sin(Math.PI / count);
  if (apart < small + LEAST_BRIDGE) {
    const most = Math.floor(Math.PI / Math.asin(Math.min(1, (small + LEAST_BRIDGE) / circle)));
    return refuse('count', { kind: 'meet each other', most });
  }
  return { ok: true, centers: around(count, circle / 2) };
}

/** A hole with those around it, 1:1: the cuts, every center as a cross, the circle they lie on. */
export function holeCircleSheet(
  sizes: HoleCircle,
  centers: ReturnType<typeof around>,
  texts: { readonly name: string; readonly ruler: CheckRuler },
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
