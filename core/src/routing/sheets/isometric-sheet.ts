import type { Shop } from '../../design/schema';
import { formatShort } from '../../quantity/format-quantity';
import type { Spot } from '../../room/plane';
import { machineBlock } from '../../room/standing';
import { deriveAlong } from '../derive-runs';
import { ductLines, pipePoints } from '../duct-lines';
import type { Leg, Point3 } from '../space';
import { lineOf, type SheetItem, textOf } from './sheet';
import { collectorPipes, solidsOf } from './solids';

const [COS, SIN] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)];

/**
 * A point in isometric: x goes up to the right at 30°, y up to the left at 30°, z up. Lengths along
 * the three axes are true, as isometric drawings of pipework have them.
 * @example isometric({ x: 2, y: 0, z: 0 }) // { x: 1.732, y: 1 }
 */
export const isometric = ({ x, y, z }: Point3): Spot => ({
  x: (x - y) * COS,
  y: (x + y) * SIN + z,
});

/** Letters of lengths and sizes, m. */
const SMALL = 0.1;
/** Where else along a leg its label may stand. */
const ELSEWHERE = [0.35, 0.65, 0.2, 0.8] as const;
/** A leg shorter than this is not labelled, m. */
const WORTH_SHOWING = 0.25;

/**
 * The ducts as an isometric line drawing: every run by its centreline with the length of each leg,
 * its size once, a mark at each bend and gate, hoses on a layer of their own; and the floor, with
 * what stands on it, for place.
 */
export function isometricSheet(shop: Shop): SheetItem[] {
  const items: SheetItem[] = [];
  const labels: { readonly length: number; readonly label: SheetItem }[] = [];
  const { units } = shop.shop;
  if (shop.room.outline.length >= 3) {
    const floor = shop.room.outline.map(({ x, y }) => isometric({ x, y, z: 0 }));
    items.push(lineOf('outline', floor, true));
  }
  for (const { layer, corners } of solidsOf(shop)) {
    for (const face of facesOf(corners.map(isometric))) items.push(lineOf(layer, face, true));
  }
  for (const { points } of collectorPipes(shop)) {
    items.push(lineOf('collector', points.map(isometric), false));
  }
  for (const machine of shop.machines) {
    const block = machineBlock(machine);
    if (!block) continue;
    items.push(textOf('names', isometric({ ...block.at, z: -0.05 }), machine.name, SMALL));
  }
  const lines = ductLines(shop);
  const derived = new Map(deriveAlong(shop, lines).map((run) => [run.id, run]));
  for (const { run, hose, legs } of lines.lines.values()) {
    const first = legs[0];
    if (hose) {
      items.push(lineOf('hoses', [isometric(hose.from), isometric(hose.to)], false, run.id));
      const length = derived.get(run.id)?.hose?.length ?? hose.length;
      const label = labelOf(hose, `hose ${formatShort(length, 'length', units)}`);
      labels.push({ length, label });
    }
    if (!first) continue;
    const points = pipePoints({ legs });
    items.push(lineOf('centrelines', points.map(isometric), false, run.id));
    for (const bend of points.slice(1, -1)) {
      items.push({
        kind: 'circle',
        layer: 'ducts',
        at: isometric(bend),
        radius: 0.04,
        run: run.id,
      });
    }
    const [longest] = legs.toSorted((a, b) => b.length - a.length);
    for (const leg of legs) {
      if (leg.length < WORTH_SHOWING) continue;
      const length = formatShort(leg.length, 'length', units);
      const size = formatShort(run.diameter, 'diameter', units);
      const label = labelOf(leg, leg === longest ? `${size}, ${length}` : length);
      labels.push({ length: leg.length, label });
    }
    if (run.gate) {
      const leg = run.gate.end === 'downstream' ? legs.at(-1) : first;
      const at = run.gate.end === 'downstream' ? leg?.to : leg?.from;
      if (at) items.push(gateMark(at, run.id));
    }
  }
  // The longest first: where there is no room for all, whoever draws them leaves out the last.
  const byLength = labels.toSorted((a, b) => b.length - a.length);
  return [...items, ...byLength.map(({ label }) => label)];
}

/** What is seen of a box by its eight corners: the two faces that meet at its nearest edge, and its top. */
function facesOf(corners: readonly Spot[]): Spot[][] {
  const [foot, top] = [corners.slice(0, 4), corners.slice(4)];
  const nearest = foot.map(({ y }) => y).indexOf(Math.min(...foot.map(({ y }) => y)));
  const round = (list: readonly Spot[]) => [...list.slice(nearest), ...list.slice(0, nearest)];
  const [low, high] = [round(foot), round(top)];
  const face = (i: number) => [
    ...low.slice(0, 1),
    ...low.slice(i, i + 1),
    ...high.slice(i, i + 1),
    ...high.slice(0, 1),
  ];
  return [face(1), face(3), high];
}

/** A label beside the middle of a leg; or, where there is no room, beside another spot of it. */
function labelOf({ from, to }: Leg, text: string): SheetItem {
  const [a, b] = [isometric(from), isometric(to)];
  const beside = (share: number) => ({
    x: a.x + (b.x - a.x) * share + 0.06,
    y: a.y + (b.y - a.y) * share + 0.05,
  });
  return textOf('sizes', beside(0.5), text, SMALL, ELSEWHERE.map(beside));
}

const gateMark = (at: Point3, run: string): SheetItem => {
  const { x, y } = isometric(at);
  return lineOf(
    'gates',
    [
      { x: x - 0.09, y },
      { x: x + 0.09, y },
    ],
    false,
    run,
  );
};
