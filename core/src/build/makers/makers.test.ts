import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { newShop } from '../../design/new-shop';
import type { Shop } from '../../design/schema';
import { readShop } from '../../file/shop-file';
import type { Point3 } from '../../routing/space';
import { type Chance, chanceOf } from '../../simulate/chance';
import { cornersOf, inWhole, type PlacedBoard, wayOnBoard } from '../boards/board';
import { makerPlace } from './maker-place';
import { MAKERS, type MakerId, makerOf } from './makers';

const IDS = Object.keys(MAKERS) as MakerId[];
const CURVE = [
  { flow: 0, pressure: 2900 },
  { flow: 0.55, pressure: 0 },
];
const PLACES = {
  'an empty shop': makerPlace(newShop('a', 'A', 'us', CURVE)),
  'an empty metric shop': makerPlace(newShop('b', 'B', 'metric', CURVE)),
  'the demo': makerPlace(demo()),
} as const;
const PLACE = PLACES['an empty shop'];

function demo(): Shop {
  const read = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
  if (!read.ok) throw new Error('no demo');
  return read.shop;
}

/** Parts may meet face to face: what lies deeper than this in both is in both, m. */
const DEEP = 0.0003;

describe.each(IDS)('the maker of %s', (id) => {
  it.each(Object.entries(PLACES))('makes something of what is usual in %s', (_, place) => {
    const maker = makerOf(id);
    const made = maker.make(maker.usual(place), place);
    if (!made.ok) throw new Error(`${made.field}: ${made.reason.id}`);
    expect(made.thing.parts.length).toBeGreaterThan(0);
    // What is usual meets its own checks.
    expect(made.thing.checks.filter(({ isMet }) => !isMet)).toEqual([]);
    expect(made.thing.steps.length).toBeGreaterThan(2);
  });

  it('makes parts that fit each other, of whatever sizes', () => {
    const maker = makerOf(id);
    const chance = chanceOf(11);
    let tried = 0;
    for (let n = 0; n < 400 && tried < 40; n++) {
      const usual = maker.usual(PLACE);
      const sizes = Object.fromEntries(
        Object.entries(usual).map(([field, value]) => [field, varied(field, value, chance, maker)]),
      );
      const made = maker.make(sizes, PLACE);
      if (!made.ok) continue;
      tried++;
      expect(overlaps(made.thing.parts, chance), JSON.stringify(sizes)).toEqual([]);
    }
    expect(tried).toBeGreaterThanOrEqual(20);
  });
});

function varied(field: string, value: number, chance: Chance, maker: ReturnType<typeof makerOf>) {
  const own = maker.fields[field];
  if (!own) throw new Error(field);
  const changed = value * (0.6 + 0.9 * chance.uniform());
  const whole = own.kind === 'number' ? Math.round(changed) : changed;
  return Math.min(own.max, Math.max(own.min, whole));
}

/** Names of parts that share room, found by points thrown into the box both lie in. */
function overlaps(parts: readonly PlacedBoard[], chance: Chance): string[] {
  const boxes = parts.map(boxOf);
  const found: string[] = [];
  for (let i = 0; i < parts.length; i++) {
    for (let j = i + 1; j < parts.length; j++) {
      const [a, b, p, q] = [parts[i], parts[j], boxes[i], boxes[j]];
      if (!a || !b || !p || !q) continue;
      const low = at((axis) => Math.max(p.low[axis], q.low[axis]));
      const high = at((axis) => Math.min(p.high[axis], q.high[axis]));
      if (AXES.some((axis) => high[axis] - low[axis] < DEEP)) continue;
      for (let n = 0; n < 400; n++) {
        const point = at((axis) => low[axis] + chance.uniform() * (high[axis] - low[axis]));
        if (isWithin(a, point) && isWithin(b, point)) {
          found.push(`${a.board.name} and ${b.board.name}`);
          break;
        }
      }
    }
  }
  return found;
}

const AXES = ['x', 'y', 'z'] as const;
const at = (of: (axis: (typeof AXES)[number]) => number): Point3 => ({
  x: of('x'),
  y: of('y'),
  z: of('z'),
});

function boxOf(placed: PlacedBoard) {
  const points = cornersOf(placed.board.outline, 90).flatMap((spot) => [
    inWhole(placed, spot, 0),
    inWhole(placed, spot, placed.board.thickness),
  ]);
  return {
    low: at((axis) => Math.min(...points.map((point) => point[axis]))),
    high: at((axis) => Math.max(...points.map((point) => point[axis]))),
  };
}

/** Whether a point lies in a part, and not just on its skin. */
function isWithin(placed: PlacedBoard, point: Point3): boolean {
  const own = wayOnBoard(placed, {
    x: point.x - placed.at.x,
    y: point.y - placed.at.y,
    z: point.z - placed.at.z,
  });
  const { outline, holes, thickness } = placed.board;
  if (own.z < DEEP || own.z > thickness - DEEP) return false;
  return inside(outline, own, -DEEP) && !holes.some((hole) => inside(hole, own, DEEP));
}

function inside(
  outline: PlacedBoard['board']['outline'],
  { x, y }: Point3,
  grown: number,
): boolean {
  if (outline.kind === 'circle') {
    return Math.hypot(x - outline.at.x, y - outline.at.y) < outline.radius + grown;
  }
  const { points } = outline;
  let isIn = false;
  let nearest = Number.POSITIVE_INFINITY;
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length] ?? a;
    if (a.y > y !== b.y > y && x < a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y)) isIn = !isIn;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const share = Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / (dx * dx + dy * dy)));
    nearest = Math.min(nearest, Math.hypot(x - a.x - share * dx, y - a.y - share * dy));
  });
  return isIn ? nearest > -grown : nearest < grown;
}
