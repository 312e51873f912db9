import type { Shop } from '../../design/schema';
import type { Spot } from '../../room/plane';
import { ductLines, pipePoints } from '../duct-lines';
import type { Leg, Point3 } from '../space';
import { lineOf, type SheetItem } from './sheet';

/** How a point of the shop lies on a sheet. */
export type Projection = (at: Point3) => Spot;

/** Seen from its end when a leg is drawn shorter than this, m. */
const END_ON = 0.02;

/** The ducts as a projection shows them: each leg by its two sides, its centreline, hoses, gates. */
export function ductItems(shop: Shop, project: Projection): SheetItem[] {
  const items: SheetItem[] = [];
  for (const line of ductLines(shop).lines.values()) {
    const { run, hose, legs } = line;
    const radius = run.diameter / 2;
    if (hose)
      items.push(
        ...legItems(hose, (run.hose?.diameter ?? run.diameter) / 2, project, run.id, 'hoses'),
      );
    for (const leg of legs) items.push(...legItems(leg, radius, project, run.id, 'ducts'));
    const first = legs[0];
    if (first) {
      const centre = pipePoints(line).map(project);
      items.push(lineOf('centrelines', centre, false, run.id));
    }
    const at = run.gate?.end === 'downstream' ? legs.at(-1)?.to : first?.from;
    const along = run.gate?.end === 'downstream' ? legs.at(-1) : first;
    if (run.gate && at && along) items.push(gateItem(at, along, radius, project, run.id));
  }
  return items;
}

/** A leg's outline, as wide as the duct; from its end, the duct's own circle. */
function legItems(
  { from, to }: Leg,
  radius: number,
  project: Projection,
  run: string,
  layer: 'ducts' | 'hoses',
): SheetItem[] {
  const end = project(to);
  const shapes = outlineAlong([project(from), end], radius);
  if (shapes.length === 0) return [{ kind: 'circle', layer, at: end, radius, run }];
  return shapes.map((shape) => lineOf(layer, shape, true, run));
}

/** The two sides of a round pipe along its projected centre, a closed shape for each leg not seen from its end. */
export function outlineAlong(centre: readonly Spot[], radius: number): Spot[][] {
  return centre.slice(1).flatMap((b, i) => {
    const a = centre[i];
    const across = a && acrossOf(a, b, radius);
    if (!a || !across) return [];
    const off = ({ x, y }: Spot, sign: number): Spot => ({
      x: x + sign * across.x,
      y: y + sign * across.y,
    });
    return [[off(a, 1), off(b, 1), off(b, -1), off(a, -1)]];
  });
}

/** Half a duct's width across the way it is drawn; null where it is seen from its end. */
function acrossOf(a: Spot, b: Spot, radius: number): Spot | null {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < END_ON) return null;
  return { x: (-(b.y - a.y) / length) * radius, y: ((b.x - a.x) / length) * radius };
}

function gateItem(
  at: Point3,
  { from, to }: Leg,
  radius: number,
  project: Projection,
  run: string,
): SheetItem {
  const spot = project(at);
  const across = acrossOf(project(from), project(to), radius * 1.6) ?? { x: radius * 1.6, y: 0 };
  return lineOf(
    'gates',
    [
      { x: spot.x + across.x, y: spot.y + across.y },
      { x: spot.x - across.x, y: spot.y - across.y },
    ],
    false,
    run,
  );
}
