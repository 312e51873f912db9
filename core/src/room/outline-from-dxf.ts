import DxfParser, { type IDxf, type IEntity, type ILineEntity } from 'dxf-parser';
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

/**
 * A room's outline from a DXF drawing: its largest closed polyline, else the largest ring its lines
 * make. Fails, with a sentence, where the text is no DXF, nothing in it closes, or the room is smaller
 * or larger than any shop.
 */
export function outlineFromDxf(text: string): OutlineFromDxf {
  const refuse = (reason: string): OutlineFromDxf => ({ ok: false, reason });
  let drawing: IDxf | null = null;
  try {
    drawing = new DxfParser().parseSync(text);
  } catch {
    drawing = null;
  }
  if (!drawing?.entities) return refuse('This is not a DXF drawing.');
  const unit = Number(drawing.header?.$INSUNITS ?? 0);
  const size = UNITS[unit] ?? UNSTATED;
  const rings = [...closedPolylines(drawing.entities), ...ringsOfLines(drawing.entities, size)];
  const [largest] = rings
    .map((ring) => withoutRepeats(ring.map(({ x, y }) => ({ x: x * size, y: y * size }))))
    .filter((ring) => ring.length >= 3)
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

interface Polyline extends IEntity {
  readonly vertices: readonly Spot[];
  readonly shape: boolean;
}

const closedPolylines = (entities: readonly IEntity[]): Spot[][] =>
  entities.flatMap((entity) => {
    if (entity.type !== 'LWPOLYLINE' && entity.type !== 'POLYLINE') return [];
    const { vertices, shape } = entity as Polyline;
    const first = vertices[0];
    const last = vertices.at(-1);
    const isClosed =
      shape || (first && last && Math.hypot(first.x - last.x, first.y - last.y) === 0);
    return isClosed ? [vertices.map(({ x, y }) => ({ x, y }))] : [];
  });

/** Rings that single lines make, walked from end to end. */
function ringsOfLines(entities: readonly IEntity[], size: number): Spot[][] {
  const meets = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y) * size < MEET;
  const lines = entities.flatMap((entity) => {
    const [from, to] = entity.type === 'LINE' ? (entity as ILineEntity).vertices : [];
    return from && to ? [{ from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y } }] : [];
  });
  const rings: Spot[][] = [];
  const left = [...lines];
  for (let first = left.shift(); first; first = left.shift()) {
    const ring: Spot[] = [first.from];
    let end = first.to;
    while (!meets(end, first.from)) {
      const here = end;
      const index = left.findIndex(({ from, to }) => meets(from, here) || meets(to, here));
      const next = left[index];
      if (!next) break;
      left.splice(index, 1);
      ring.push(here);
      end = meets(next.from, here) ? next.to : next.from;
    }
    if (meets(end, first.from) && ring.length >= 3) rings.push(ring);
  }
  return rings;
}

/** Corners on one spot are one. */
const withoutRepeats = (ring: readonly Spot[]): Spot[] =>
  ring.filter(({ x, y }, i) => {
    const before = ring[(i + ring.length - 1) % ring.length];
    return !before || Math.hypot(x - before.x, y - before.y) >= MEET;
  });
