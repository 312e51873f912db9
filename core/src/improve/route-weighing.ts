import type { Shop } from '../design/schema';
import type { Spot } from '../room/plane';
import { extentOf } from '../room/room-outline';
import { fromWalls, JOG, OFF_WALL, type Weighing } from './overhead-grid';

/** What a proposal is guided by: least duct, walls, or one straight main. */
export type RouteStyle = 'shortest' | 'walls' | 'main';

/** What a leg in the open weighs against one along a wall, and one on the straight main. */
const OPEN_WEIGHTS = [1.8, 3];
/** Nearer than this to a wall a leg is along it, m. */
const ALONG_WALL = 0.5;
const MAIN_WEIGHT = 0.35;
/** And one beside the main, in its direction. */
const BESIDE_WEIGHT = 4;

/** What legs weigh, from the mildest to the most pronounced of a way. */
export function weighings(shop: Shop, style: RouteStyle, places: readonly Spot[]): Weighing[] {
  const length = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y);
  switch (style) {
    case 'shortest':
      return [length];
    case 'walls':
      return [
        ...mainsOn(places, wallLines(shop, places)).map(onMain),
        ...OPEN_WEIGHTS.map(
          (open): Weighing =>
            (a, b) => {
              const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
              return length(a, b) * (fromWalls(shop, middle) < ALONG_WALL ? 1 : open);
            },
        ),
      ];
    case 'main':
      return mainsOn(places, placeLines(places)).map(onMain);
  }
}

/** A line along the room or across it. */
interface RoomLine {
  readonly key: 'x' | 'y';
  readonly value: number;
}

/** A leg weighs its length: less on a main's line, more beside it, so that branches lead straight to it. */
const onMain =
  ({ key, value }: RoomLine): Weighing =>
  (a, b) => {
    const isOn = [a, b].every((at) => Math.abs(at[key] - value) < 0.03);
    const isBeside = !isOn && Math.abs(a[key] - b[key]) < 1e-6;
    const length = Math.hypot(a.x - b.x, a.y - b.y);
    return length * (isOn ? MAIN_WEIGHT : isBeside ? BESIDE_WEIGHT : 1);
  };

/** Lines along the four sides of the room, as far from them as ducts hang, or through what is near. */
function wallLines({ room, shop }: Shop, places: readonly Spot[]): RoomLine[] {
  const extent = extentOf(room);
  if (!extent) return [];
  const { x0, y0, width, depth } = extent;
  const off = OFF_WALL[shop.units];
  const line = (key: 'x' | 'y', value: number): RoomLine => {
    // The grid keeps the first of lines that are near each other, and so does this.
    const near = places.map((at) => at[key]).find((each) => Math.abs(each - value) < JOG);
    return { key, value: near ?? value };
  };
  return [
    line('x', x0 + off),
    line('x', x0 + width - off),
    line('y', y0 + off),
    line('y', y0 + depth - off),
  ];
}

/** Lines through what is to be joined, of those near each other the first. */
function placeLines(places: readonly Spot[]): RoomLine[] {
  const lines: RoomLine[] = [];
  for (const key of ['x', 'y'] as const) {
    for (const at of places) {
      const isKnown = lines.some(
        (line) => line.key === key && Math.abs(line.value - at[key]) < JOG,
      );
      if (!isKnown) lines.push({ key, value: at[key] });
    }
  }
  return lines;
}

/** Lines a straight main may take, the one that asks least duct first. */
function mainsOn(places: readonly Spot[], lines: readonly RoomLine[]): RoomLine[] {
  const takes = ({ key, value }: RoomLine) => {
    const other = key === 'x' ? 'y' : 'x';
    const along = places.map((at) => at[other]);
    const branches = places.reduce((sum, at) => sum + Math.abs(at[key] - value), 0);
    return branches + Math.max(...along) - Math.min(...along);
  };
  return lines.toSorted((a, b) => takes(a) - takes(b));
}
