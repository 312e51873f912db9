/// <reference path="./dxf.d.ts" />
import { type Drawing, type Entity, parseString } from 'dxf';
import type { Polygon, Spot } from './plane';
import { floorArea, isCounterClockwise, ROOM_SIZES } from './room-outline';

export type OutlineFromDxf =
  | {
      readonly ok: true;
      /** Counter-clockwise, its least x and y at the origin, m. */
      readonly outline: Polygon;
      /** What was taken for granted, in a sentence; '' where the file says everything. */
      readonly note: string;
    }
  | { readonly ok: false; readonly reason: string };

/** Lengths of the format's units, m ($INSUNITS). */
const UNITS: Readonly<Record<number, number>> = {
  1: 0.0254,
  2: 0.3048,
  4: 0.001,
  5: 0.01,
  6: 1,
  10: 0.9144,
  14: 0.1,
};
const UNSTATED = 0.001;
/** Ends of lines nearer than this meet, m. */
const MEET = 0.005;
const MOST_CORNERS = 200;
const MOST_ON_A_SPOT = 50;

/**
 * A room's outline from a DXF drawing: its largest closed polyline, else the largest ring its lines
 * make. Fails, with a sentence, where the text is no DXF, nothing in it closes, or the room is smaller
 * or larger than any shop.
 */
export function outlineFromDxf(text: string): OutlineFromDxf {
  const refuse = (reason: string): OutlineFromDxf => ({ ok: false, reason });
  let drawing: Drawing | null = null;
  try {
    drawing = parseString(text);
  } catch {
    // A drawing that is damaged.
  }
  if (!drawing || drawing.entities.length === 0) {
    return refuse('This is not a DXF drawing, or there is nothing in it.');
  }
  const unit = Number(drawing.header.insUnits ?? 0);
  const size = UNITS[unit] ?? UNSTATED;
  const rings = [...closedPolylines(drawing.entities), ...ringsOfLines(drawing.entities, size)];
  const [largest] = rings
    .map((ring) => withoutRepeats(ring.map(({ x, y }) => ({ x: x * size, y: y * size }))))
    .filter((ring) => ring.length >= 3 && ring.every(({ x, y }) => Number.isFinite(x + y)))
    .sort((a, b) => floorArea(b) - floorArea(a));
  if (!largest) {
    return refuse(
      'Nothing in this drawing closes: a room is a closed polyline, or lines that meet.',
    );
  }
  if (largest.length > MOST_CORNERS) {
    return refuse(`Its outline has ${largest.length} corners; ${MOST_CORNERS} are the most.`);
  }
  const [xs, ys] = [largest.map(({ x }) => x), largest.map(({ y }) => y)];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const across = Math.max(Math.max(...xs) - x0, Math.max(...ys) - y0);
  if (across < ROOM_SIZES.least || across > ROOM_SIZES.most) {
    return refuse(
      `The room would be ${across.toPrecision(3)} m across: look at the drawing’s units.`,
    );
  }
  const placed = largest.map(({ x, y }) => ({ x: x - x0, y: y - y0 }));
  const outline = isCounterClockwise(placed) ? placed : placed.reverse();
  const note = UNITS[unit] === undefined ? 'It states no unit: taken for millimetres.' : '';
  return { ok: true, outline, note };
}

const closedPolylines = (entities: readonly Entity[]): Spot[][] =>
  entities.flatMap((entity) => {
    if (entity.type !== 'LWPOLYLINE' && entity.type !== 'POLYLINE') return [];
    const { vertices = [], closed } = entity;
    const first = vertices[0];
    const last = vertices.at(-1);
    const isClosed =
      closed || (first && last && Math.hypot(first.x - last.x, first.y - last.y) === 0);
    return isClosed ? [vertices.map(({ x, y }) => ({ x, y }))] : [];
  });

/**
 * Rings that single lines make, walked from end to end: in time that grows with their number, since ends
 * that meet are looked for among those nearby only.
 */
function ringsOfLines(entities: readonly Entity[], size: number): Spot[][] {
  const meets = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y) * size < MEET;
  const lines = entities.flatMap((entity) => {
    const { type, start: from, end: to } = entity;
    if (type !== 'LINE' || !from || !to) return [];
    // What a damaged drawing leaves out of a line is no number.
    return Number.isFinite(from.x + from.y + to.x + to.y) ? [{ from, to }] : [];
  });
  const ends = new EndsByPlace(MEET / size);
  for (const [index, { from, to }] of lines.entries()) {
    ends.add(from, index);
    ends.add(to, index);
  }
  const isTaken = new Set<number>();
  /** The first line not taken yet that has an end here. */
  const nextAt = (here: Spot) => {
    const near = ends.near(here).filter((index) => {
      const line = lines[index];
      return line && !isTaken.has(index) && (meets(line.from, here) || meets(line.to, here));
    });
    return near.length === 0 ? -1 : Math.min(...near);
  };
  const rings: Spot[][] = [];
  for (const [index, first] of lines.entries()) {
    if (isTaken.has(index)) continue;
    isTaken.add(index);
    const ring: Spot[] = [first.from];
    let end = first.to;
    while (!meets(end, first.from)) {
      const here = end;
      const at = nextAt(here);
      const next = lines[at];
      if (!next) break;
      isTaken.add(at);
      ring.push(here);
      end = meets(next.from, here) ? next.to : next.from;
    }
    if (meets(end, first.from) && ring.length >= 3) rings.push(ring);
  }
  return rings;
}

/** Ends of lines in squares of one width, so that those near a spot are found without asking all. */
class EndsByPlace {
  private readonly squares = new Map<string, number[]>();

  constructor(private readonly width: number) {}

  add(end: Spot, line: number): void {
    const key = this.key(end, 0, 0);
    const square = this.squares.get(key);
    if (!square) this.squares.set(key, [line]);
    // Of very many that end on one spot a ring uses two; the rest need not be looked at each time.
    else if (square.length < MOST_ON_A_SPOT) square.push(line);
  }

  /** Lines with an end no farther than a square's width from a spot, and some that are farther. */
  near(spot: Spot): readonly number[] {
    const around = [-1, 0, 1];
    return around.flatMap((dx) =>
      around.flatMap((dy) => this.squares.get(this.key(spot, dx, dy)) ?? []),
    );
  }

  private key({ x, y }: Spot, dx: number, dy: number): string {
    return `${Math.floor(x / this.width) + dx},${Math.floor(y / this.width) + dy}`;
  }
}

/** Corners on one spot are one. */
const withoutRepeats = (ring: readonly Spot[]): Spot[] =>
  ring.filter(({ x, y }, i) => {
    const before = ring[(i + ring.length - 1) % ring.length];
    return !before || Math.hypot(x - before.x, y - before.y) >= MEET;
  });
