import type { Spot } from '../../room/plane';
import { isometric } from '../../routing/sheets/isometric-sheet';
import { lineOf, type SheetItem, sheetExtent, textOf } from '../../routing/sheets/sheet';
import { minus, type Point3, plus, times } from '../../routing/space';
import { cornersOf, inWhole, type Outline, type PlacedBoard, wayOnBoard } from './board';

/** Corners of a circle in the picture: one for so much of its way around, m, and how many at least and at most. */
const FACET = { length: 0.012, least: 12, most: 60 } as const;
/** From the drawing toward whoever looks at it: what the isometric view has on one spot. */
const TO_VIEWER: Point3 = { x: -1, y: -1, z: 1 };
/** An edge is looked at in pieces no longer than this, m. */
const STEP = 0.008;
/** Behind less of a part than this along the view, an edge still shows: it lies on that part's face, m. */
const SKIN = 0.0015;
/** Faces that meet at more than this have an edge between them: the cosine of 37°. */
const SMOOTH = 0.8;

/** A part as the view sees it: its loops of corners, and the way to the viewer by its own axes. */
interface Seen {
  readonly placed: PlacedBoard;
  readonly loops: readonly Loop[];
  readonly toViewer: Point3;
  readonly origin: Point3;
  /** Where it is in the picture. */
  readonly box: Box;
}

interface Loop {
  readonly corners: readonly Spot[];
  readonly box: Box;
}

interface Box {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

/** A part, and the letter it has on the drawing and in the lists. */
export interface Lettered {
  readonly letter: string;
  readonly placed: PlacedBoard;
}

/**
 * Parts drawn apart, in isometric: only edges that nothing hides, each part with its letter. Edges are looked at every
 * 8 mm, so that an end may be drawn that much too long or too short.
 * @param letters the drawing is so many letters wide and high together
 */
export function viewOfBoards(parts: readonly Lettered[], letters: number): SheetItem[] {
  const all = parts.map(({ placed }) => seenOf(placed));
  const shown = parts.map(({ letter }, i) => {
    const own = all[i];
    return { letter, lines: own ? visibleLines(own, all) : [] };
  });
  const lines = shown.flatMap((part) => part.lines.map((points) => lineOf('cuts', points)));
  const { width, height } = sheetExtent(lines) ?? { width: 0, height: 0 };
  const size = (width + height) / letters;
  const taken: Spot[] = [];
  const balloons = shown.flatMap(({ letter, lines: own }): SheetItem[] => {
    const at = freeSpot(own, taken);
    if (!at) return [];
    taken.push(at);
    return [
      { kind: 'circle', layer: 'pieces', at, radius: 0.8 * size },
      textOf('pieces', { x: at.x, y: at.y - size / 2.6 }, letter, size),
    ];
  });
  return [...lines, ...balloons];
}

function seenOf(placed: PlacedBoard): Seen {
  const { outline, holes, thickness } = placed.board;
  // Holes go the other way around: what is solid lies to the left of every loop.
  const loops = [facetsOf(outline), ...holes.map((hole) => facetsOf(hole).toReversed())].map(
    (corners) => ({ corners, box: boxOf(corners) }),
  );
  const rim = loops[0]?.corners ?? [];
  return {
    placed,
    loops,
    toViewer: wayOnBoard(placed, TO_VIEWER),
    origin: plus(placed.at, placed.apart),
    box: boxOf(
      rim.flatMap((spot) =>
        [0, thickness].map((depth) => isometric(inWhole(placed, spot, depth, true))),
      ),
    ),
  };
}

function facetsOf(outline: Outline): readonly Spot[] {
  const around = outline.kind === 'circle' ? 2 * Math.PI * outline.radius : 0;
  const facets = Math.round(around / FACET.length);
  return cornersOf(outline, Math.min(FACET.most, Math.max(FACET.least, facets)));
}

function boxOf(spots: readonly Spot[]): Box {
  const xs = spots.map(({ x }) => x);
  const ys = spots.map(({ y }) => y);
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
}

/** The middle of a line that is farthest from the letters that stand already. */
function freeSpot(lines: readonly (readonly Spot[])[], taken: readonly Spot[]): Spot | null {
  let best: { at: Spot; free: number } | null = null;
  for (const points of lines) {
    const at = points[Math.floor(points.length / 2)];
    if (!at) continue;
    const free = Math.min(1e9, ...taken.map(({ x, y }) => Math.hypot(x - at.x, y - at.y)));
    if (!best || free > best.free) best = { at, free };
  }
  return best?.at ?? null;
}

function visibleLines(own: Seen, all: readonly Seen[]): Spot[][] {
  const { thickness } = own.placed.board;
  const lines: Spot[][] = [];
  for (const { corners: loop } of own.loops) {
    for (const depth of [0, thickness]) {
      const rim = [...loop, ...loop.slice(0, 1)].map((spot) =>
        inWhole(own.placed, spot, depth, true),
      );
      lines.push(...shownOf(rim, all));
    }
    for (const corner of standingEdges(loop, own.toViewer)) {
      const ends = [0, thickness].map((depth) => inWhole(own.placed, corner, depth, true));
      lines.push(...shownOf(ends, all));
    }
  }
  return lines;
}

/** Corners of a loop where an edge runs through the thickness: sharp ones, and where a curve turns from the viewer. */
function standingEdges(loop: readonly Spot[], toViewer: Point3): Spot[] {
  const normals = loop.map((from, i) => {
    const to = loop[(i + 1) % loop.length] ?? from;
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    return { x: (to.y - from.y) / length, y: (from.x - to.x) / length };
  });
  const faces = normals.map(({ x, y }) => x * toViewer.x + y * toViewer.y > 0);
  return loop.filter((_, i) => {
    const before = (i + loop.length - 1) % loop.length;
    const [a, b] = [normals[before], normals[i]];
    if (!a || !b) return false;
    return a.x * b.x + a.y * b.y < SMOOTH || faces[before] !== faces[i];
  });
}

/** What is seen of a line through points, as lines on the sheet. */
function shownOf(points: readonly Point3[], all: readonly Seen[]): Spot[][] {
  const lines: Spot[][] = [];
  let line: Spot[] = [];
  const end = () => {
    if (line.length > 1) lines.push(line);
    line = [];
  };
  points.slice(1).forEach((to, i) => {
    const from = points[i] ?? to;
    const way = minus(to, from);
    const pieces = Math.max(1, Math.ceil(Math.hypot(way.x, way.y, way.z) / STEP));
    for (let n = 0; n < pieces; n++) {
      const middle = plus(from, times(way, (n + 0.5) / pieces));
      const { x, y } = isometric(middle);
      const isHidden = all.some(
        (other) =>
          x > other.box.x0 &&
          x < other.box.x1 &&
          y > other.box.y0 &&
          y < other.box.y1 &&
          hides(other, middle),
      );
      if (isHidden) {
        end();
        continue;
      }
      if (line.length === 0) line.push(isometric(plus(from, times(way, n / pieces))));
      // On a straight edge only its end moves on.
      else if (n > 0) line.pop();
      line.push(isometric(plus(from, times(way, (n + 1) / pieces))));
    }
  });
  end();
  return lines;
}

/** Whether a part lies between a point and the viewer. */
function hides({ placed, loops, toViewer, origin }: Seen, point: Point3): boolean {
  const from = wayOnBoard(placed, minus(point, origin));
  // Stretch of the ray within the thickness.
  let [start, stop] = [0, Number.POSITIVE_INFINITY];
  const { thickness } = placed.board;
  if (Math.abs(toViewer.z) < 1e-9) {
    if (from.z <= 0 || from.z >= thickness) return false;
  } else {
    const [a, b] = [-from.z / toViewer.z, (thickness - from.z) / toViewer.z];
    start = Math.max(start, Math.min(a, b));
    stop = Math.min(stop, Math.max(a, b));
  }
  if (stop - start <= SKIN) return false;
  const crossings: number[] = [];
  for (const { corners, box } of loops) {
    if (isBeside(box, from, toViewer)) continue;
    for (let i = 0; i < corners.length; i++) {
      const [a, b] = [corners[i], corners[i + 1] ?? corners[0]];
      const at = a && b ? crossing(from, toViewer, a, b) : null;
      if (at !== null) crossings.push(at);
    }
  }
  crossings.sort((a, b) => a - b);
  let within = 0;
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    const [into = 0, out = 0] = [crossings[i], crossings[i + 1]];
    within += Math.max(0, Math.min(out, stop) - Math.max(into, start));
  }
  return within > SKIN;
}

/** Whether a line passes a box by: all four corners on one side of it. */
function isBeside({ x0, x1, y0, y1 }: Box, from: Spot, way: Spot): boolean {
  const sideOf = (x: number, y: number) => (x - from.x) * way.y - (y - from.y) * way.x;
  const [a, b, c, d] = [sideOf(x0, y0), sideOf(x1, y0), sideOf(x0, y1), sideOf(x1, y1)];
  return (a > 0 && b > 0 && c > 0 && d > 0) || (a < 0 && b < 0 && c < 0 && d < 0);
}

/** Where along a line, given by a point and a way, it crosses the edge from `a` to `b`; null: nowhere. */
function crossing(from: Spot, way: Spot, a: Spot, b: Spot): number | null {
  const p = (a.x - from.x) * way.y - (a.y - from.y) * way.x;
  const q = (b.x - from.x) * way.y - (b.y - from.y) * way.x;
  if (p > 0 === q > 0) return null;
  const share = p / (p - q);
  const [x, y] = [a.x + share * (b.x - a.x), a.y + share * (b.y - a.y)];
  const square = way.x * way.x + way.y * way.y;
  return ((x - from.x) * way.x + (y - from.y) * way.y) / square;
}
