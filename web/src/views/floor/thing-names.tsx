import type { Room } from '@frank-gauge/core/design';
import { wallsOf } from '@frank-gauge/core/room';
import type { DuctLine } from '@frank-gauge/core/routing';
import {
  type Box,
  boxOfText,
  overlap,
  type PlacedLabel,
  placeLabels,
  type Stroke,
} from '@/ui/place-labels';
import type { PlanDrawing } from './plan-drawing';
import type { Thing } from './use-standing';

/** Size of a name, px. */
export const NAME_SIZE = 13;

/** Half of a wall's stroke, px. */
const HALF_WALL = 3;

/** From farther away than this only what is wrong is named, px per m. */
const NAMED_FROM = 18;

/**
 * What is named from so far away, what is open or wrong first: each name within its thing or beside it, where
 * it covers no duct and no other name. One for which there is no such place is left out, unless it is needed.
 */
export function namedThings(
  things: readonly Thing[],
  drawing: PlanDrawing,
  strokes: readonly Stroke[],
  wrong: ReadonlySet<string>,
  open: string | undefined,
): readonly PlacedLabel<Thing>[] {
  const isFirst = ({ id }: Thing) => id === open || wrong.has(id);
  const isFar = drawing.scale < NAMED_FROM;
  const first = things.filter(isFirst);
  const others = isFar ? [] : things.filter((thing) => !isFirst(thing));
  const boxes = things.map((thing) => ({ thing, box: boxOfThing(thing, drawing) }));
  const labels = [...first, ...others].map((thing) => {
    const text = `${wrong.has(thing.id) ? '▼ ' : ''}${thing.name}`;
    // Over another thing it would seem to be that one's name.
    const isOwn = (at: { x: number; y: number }) => {
      const written = boxOfText(text, at, NAME_SIZE);
      return boxes.every((other) => other.thing === thing || !overlap(written, other.box));
    };
    const all = placesOf(thing, text, drawing);
    const own = all.filter(isOwn);
    return { of: thing, text, places: own.length > 0 ? own : all, isNeeded: isFirst(thing) };
  });
  return placeLabels(labels, NAME_SIZE, strokes);
}

/** Where the names stand, for what is written later. */
export const boxesOf = (names: readonly PlacedLabel<Thing>[]): readonly Box[] =>
  names.map(({ text, at }) => boxOfText(text, at, NAME_SIZE));

function boxOfThing({ corners }: Thing, drawing: PlanDrawing): Box {
  const spots = corners.map(drawing.spot);
  const [xs, ys] = [spots.map(({ x }) => x), spots.map(({ y }) => y)];
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
}

/** Within its footprint, then around it. */
function placesOf(thing: Thing, text: string, drawing: PlanDrawing) {
  const { x0: left, x1: right, y0: top, y1: bottom } = boxOfThing(thing, drawing);
  const middle = drawing.spot(thing.block.at);
  const { x1: half } = boxOfText(text, { x: 0, y: 0 }, NAME_SIZE);
  const within = 2 * half < right - left ? [{ x: middle.x, y: middle.y }] : [];
  const [over, under] = [top - 11, bottom + 11];
  return [
    ...within,
    { x: middle.x, y: under },
    { x: middle.x, y: over },
    { x: middle.x, y: under + 9 },
    { x: middle.x, y: over - 9 },
    { x: right + half + 6, y: middle.y },
    { x: left - half - 6, y: middle.y },
    { x: middle.x, y: under + 18 },
    { x: middle.x, y: over - 18 },
    { x: right + half, y: under },
    { x: left - half, y: under },
    { x: right + half, y: over },
    { x: left - half, y: over },
    { x: middle.x, y: under + 34 },
  ];
}

/** Every drawn duct as strokes that no label may cover. */
export const ductStrokes = (lines: readonly DuctLine[], drawing: PlanDrawing): Stroke[] =>
  lines.flatMap(({ run, points }) => {
    const spots = points.map(drawing.spot);
    return spots.slice(1).flatMap((to, i): Stroke[] => {
      const from = spots[i];
      return from ? [{ from, to, half: Math.max(2, (run.diameter * drawing.scale) / 2) }] : [];
    });
  });

/** Walls and posts as strokes that no label may cover. */
export const wallStrokes = (room: Room, drawing: PlanDrawing): Stroke[] => [
  ...wallsOf(room).map(({ from, to }) => ({
    from: drawing.spot(from),
    to: drawing.spot(to),
    half: HALF_WALL,
  })),
  ...room.posts.map(({ at, width }) => {
    const spot = drawing.spot(at);
    return { from: spot, to: spot, half: (width * drawing.scale) / 2 };
  }),
];
