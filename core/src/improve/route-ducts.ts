import { judgeDrops } from '../analysis/judge-drops';
import { byMargin, marginShare } from '../analysis/worst-drop';
import type { NewId } from '../design/edit-ducts';
import type { Run, Shop } from '../design/schema';
import { isStraight } from '../fittings/joins/joins';
import type { View } from '../network/assemble/setting';
import { isInside, type Spot } from '../room/plane';
import { arrangeDucts } from '../routing/arrange-ducts';
import { type DuctConflict, ductConflicts } from '../routing/duct-conflicts';
import { ductLines } from '../routing/duct-lines';
import { inletMouth, portMouth } from '../routing/places';
import { aheadOf, ductHeight, riseFrom } from '../routing/usual-route';
import { drawTree, type Terminal } from './draw-tree';
import { type OverheadGrid, overheadGrid } from './overhead-grid';
import { type RouteStyle, weighings } from './route-weighing';
import { steinerTree } from './steiner-tree';

/** What a layout comes to. SI. */
export interface RouteScore {
  /** Least of what drops get over what they need, as a share, each with its own gate. */
  readonly worstMargin: number;
  readonly worstDrop: string;
  /** Pipe and hose, m. */
  readonly length: number;
  /** Elbows, wyes and tees. */
  readonly fittings: number;
  /** Wall of all pipe, m²: what stands for cost. */
  readonly wall: number;
  /** Slowest main over its settling velocity, with one drop drawing; under 1 it settles. */
  readonly slowestMain: number;
  /** What cannot be built as it is proposed, or works against the air. */
  readonly toMend: number;
}

export interface RouteProposal {
  readonly style: RouteStyle;
  readonly ducts: Shop['ducts'];
  readonly score: RouteScore;
}

export type WhyNotRouted =
  /** No machine, or no collector, stands on the floor yet. */
  | 'nothing to join'
  /** There is no room for duct ahead of the collector's inlet: a wall stands there. */
  | 'inlet at a wall'
  /** Walls or posts shut something off. */
  | 'no way through'
  | 'unsolved';

export type Routed =
  | {
      readonly ok: true;
      readonly proposals: readonly RouteProposal[];
      /** Of the ducts there are, scored the same way; null: there are none, or they do not solve. */
      readonly present: RouteScore | null;
    }
  | { readonly ok: false; readonly why: WhyNotRouted };

const STYLES: readonly RouteStyle[] = ['shortest', 'walls', 'main'];

/** Variants of a way that are tried. */
const MOST_VARIANTS = 6;

const TO_MEND: ReadonlySet<DuctConflict['kind']> = new Set([
  'no length',
  'one spot',
  'no room to bend',
  'against the flow',
  'elbow at the collector',
  'through a post',
  'through the collector',
  'above the ceiling',
]);

/**
 * Proposes ducts for the machines that stand and the collector: mains and branches square to each
 * other under the ceiling, around posts, with wyes turned with the flow, risers and hoses; in three
 * ways, each a least tree of its kind, sized by the shop's carrying velocity and scored. Drops keep
 * the make, gate and identity of those that are there.
 */
export function routeDucts(
  shop: Shop,
  view: View,
  newId: NewId,
  onProgress: (done: number, of: number) => void = () => {},
): Routed {
  const mouth = inletMouth(shop);
  const height = ductHeight(shop);
  const terminals = shop.machines.flatMap((machine): Terminal[] =>
    machine.ports.flatMap((port): Terminal[] => {
      if (port.servedBy !== 'ducts') return [];
      const own = portMouth(machine, port);
      const [foot] = own ? riseFrom(own, height, shop.shop.units) : [];
      return foot ? [{ machine, port, foot }] : [];
    }),
  );
  if (!mouth || terminals.length === 0) return { ok: false, why: 'nothing to join' };
  const root = aheadOf(shop, mouth);
  const { outline } = shop.room;
  const isIn = (at: Spot) => outline.length < 3 || isInside(outline, at);
  // A collector that stands outside is reached through the wall.
  if (isIn(mouth.at) && !isIn(root)) return { ok: false, why: 'inlet at a wall' };
  const places = [root, ...terminals.map(({ foot }) => foot)];
  const proposals: RouteProposal[] = [];
  const known = new Set<string>();
  let why: WhyNotRouted = 'no way through';
  const drawOn = (grid: OverheadGrid): Shop | null => {
    const tree = steinerTree(grid.graph, places.map(grid.at));
    return tree && drawTree(shop, terminals, root, height, grid, tree.edges, newId);
  };
  for (const [i, style] of STYLES.entries()) {
    // Of a kind, the one with the least to mend, then the least wall, that is none of those before.
    let best: RouteProposal | null = null;
    for (const weigh of weighings(shop, style, places).slice(0, MOST_VARIANTS)) {
      const drawn =
        drawOn(overheadGrid(shop, places, height, weigh)) ??
        drawOn(overheadGrid(shop, places, height, weigh, true));
      const score = drawn && scoreOf(drawn, view);
      if (drawn && !score) why = 'unsolved';
      if (!drawn || !score || known.has(drawnAs(drawn))) continue;
      if (!best || isBetter(score, best.score)) best = { style, ducts: drawn.ducts, score };
    }
    if (best) {
      known.add(drawnAs({ ...shop, ducts: best.ducts }));
      proposals.push(best);
    }
    onProgress(i + 1, STYLES.length);
  }
  return proposals.length > 0
    ? { ok: true, proposals, present: scoreOf(shop, view) }
    : { ok: false, why };
}

const isBetter = (a: RouteScore, b: RouteScore) =>
  a.toMend !== b.toMend ? a.toMend < b.toMend : a.wall < b.wall;

/** Where the ducts of a layout lie, to a centimetre: layouts that agree in it are one. */
const drawnAs = (shop: Shop): string =>
  [...ductLines(shop).lines.values()]
    .flatMap(({ points }) =>
      points.map(({ x, y, z }) => [x, y, z].map((m) => m.toFixed(2)).join(',')),
    )
    .sort()
    .join(' ');

/** What a layout comes to; null where it does not solve. */
function scoreOf(shop: Shop, view: View): RouteScore | null {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok || arranged.tree.drops.length === 0) return null;
  const { tree } = arranged;
  const results = judgeDrops(shop, tree, view, 'one');
  const judged = byMargin(results);
  if (judged.length < results.length) return null;
  const [worst] = judged;
  const slowestMain = judged.reduce(
    (slowest, { main }) =>
      main && main.transport !== null ? Math.min(slowest, main.velocity / main.transport) : slowest,
    Infinity,
  );
  const sum = (of: (run: Run) => number) =>
    tree.upstreamFirst.reduce((all, run) => all + of(run), 0);
  return {
    worstMargin: worst ? marginShare(worst) : 0,
    worstDrop: worst?.drop.name ?? '',
    length: sum(({ length, hose }) => (length ?? 0) + (hose?.length ?? 0)),
    fittings: sum(({ fittings, joins }) => fittings.length + (isStraight(joins) ? 0 : 1)),
    wall: sum(({ length, diameter }) => Math.PI * diameter * (length ?? 0)),
    slowestMain,
    toMend: ductConflicts(shop).filter(({ kind }) => TO_MEND.has(kind)).length,
  };
}
