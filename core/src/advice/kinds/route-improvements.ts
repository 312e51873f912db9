import type { Run, Shop } from '../../design/schema';
import { piecesOf } from '../../fittings/kinds/fitting-kinds';
import { weightedWay } from '../../improve/place-machines';
import { type RouteProposal, routeDucts } from '../../improve/route-ducts';
import { floorConflicts } from '../../room/floor-conflicts';
import { onWall, wallsOf } from '../../room/room-outline';
import { collectorBlock } from '../../room/standing';
import { arrangeDucts } from '../../routing/arrange-ducts';
import { type Improvement, newIdsIn, type Purchase, type Work } from '../improvement';

type Rerouting = Extract<Work, { readonly kind: 'routed anew' | 'move the collector' }>;

/** Where a collector stands, and how it is turned. */
type Spotted = NonNullable<Rerouting['to']>;

/** Work to take pipe down and hang it elsewhere, h for each m, for each fitting; and to move a collector: estimates. */
const HOURS = { perMetre: 0.2, perPiece: 0.3, collector: 3 };
/** Places along each wall where the collector is tried. */
const PLACES = 5;
/** Of the best places, as many are led to until a way is found. */
const PLACES_ROUTED = 3;
/** What stands at a wall stands so far off it, m. */
const OFF_WALL = 0.05;
/** A place is worth moving to that shortens the way of the air needed by this share. */
const WORTH_MOVING = 0.15;

/**
 * Ways to reroute all ducts, from where the collector stands and from where it would stand better. Takes seconds.
 * Only a shop whose machines and collector stand on the floor has any.
 */
export function reroutings(shop: Shop): Rerouting[] {
  const here = proposalsOf(shop).map((proposal) => reroutingOf(shop, proposal, null));
  for (const to of betterPlaces(shop)) {
    const [there] = proposalsOf(placed(structuredClone(shop), to));
    if (there) return [...here, reroutingOf(shop, there, to)];
  }
  return here;
}

/** Led so that nothing is worse to build than it is now, the best air first. */
function proposalsOf(shop: Shop): readonly RouteProposal[] {
  const routed = routeDucts(shop, 'found', newIdsIn(shop, 'route'));
  if (!routed.ok) return [];
  const most = routed.present?.toMend ?? 0;
  return routed.proposals
    .filter(({ score }) => score.toMend <= most)
    .sort((a, b) => b.score.worstMargin - a.score.worstMargin);
}

const reroutingOf = (
  shop: Shop,
  { style, ducts }: RouteProposal,
  to: Rerouting['to'],
): Rerouting => ({
  kind: to ? 'move the collector' : 'routed anew',
  ...{ style, ducts, to },
  length: { before: lengthOf(runsOf(shop)), after: lengthOf(runsOf(withRoute(shop, ducts, to))) },
});

/** Runs as they lie, with what follows from how they are drawn. */
function runsOf(shop: Shop): readonly Run[] {
  const arranged = arrangeDucts(shop);
  return arranged.ok ? arranged.tree.upstreamFirst : [];
}

/** A copy of a shop with its ducts rerouted. */
function withRoute(shop: Shop, ducts: Shop['ducts'], to: Rerouting['to']): Shop {
  const copy = structuredClone(shop);
  routeAnew(copy, ducts, to);
  return copy;
}

function routeAnew(shop: Shop, ducts: Shop['ducts'], to: Rerouting['to']): void {
  if (to) placed(shop, to);
  const { measuredEnds, stock } = shop.ducts;
  shop.ducts = { ...structuredClone(ducts), measuredEnds, stock };
  forgetRuns(shop);
}

const lengthOf = (runs: readonly Run[]) =>
  runs.reduce((sum, { length, hose }) => sum + (length ?? 0) + (hose?.length ?? 0), 0);

/** A rerouting as an improvement; null where the shop's drops are no longer those it leads to. */
export function rerouted(shop: Shop, work: Rerouting): Improvement | null {
  if (portsOf(shop.ducts) !== portsOf(work.ducts)) return null;
  const { ducts, to } = work;
  const [before, after] = [runsOf(shop), runsOf(withRoute(shop, ducts, to))];
  return {
    id: `${work.kind} ${work.style}`,
    work,
    change: (changed) => routeAnew(changed, ducts, to),
    buys: newParts(before, after),
    price: null,
    hours:
      HOURS.perMetre * lengthOf(after) +
      HOURS.perPiece * after.reduce((sum, run) => sum + piecesIn(run), 0) +
      (to ? HOURS.collector : 0),
    changes: [
      ...(to ? ['place'] : []),
      ...[...new Set([...before, ...after].map(({ id }) => id))].flatMap((id) =>
        ['size', 'hose', 'elbows', 'joins'].map((what) => `${what} ${id}`),
      ),
    ],
  };
}

const portsOf = ({ nodes }: Shop['ducts']): string =>
  nodes
    .flatMap(({ kind }) => (kind.kind === 'port' ? [`${kind.machine}/${kind.port}`] : []))
    .sort()
    .join(' ');

/** What is believed of a run that has gone is believed of nothing. */
function forgetRuns({ condition, ducts }: Shop): void {
  const there = new Set(ducts.runs.map(({ id }) => id));
  const isThere = ({ run }: { readonly run: string }) => there.has(run);
  condition.sealing.runs = condition.sealing.runs.filter(isThere);
  condition.joints.runs = condition.joints.runs.filter(isThere);
  condition.holes = condition.holes.filter(isThere);
}

const piecesIn = (run: Run) =>
  run.fittings.reduce((sum, fitting) => sum + piecesOf(fitting), 0) +
  (run.joins.kind === 'straight' ? 0 : 1);

/** What the new ducts have more of than there is: pipe and fittings are used again, size by size. */
function newParts(before: readonly Run[], after: readonly Run[]): Purchase[] {
  const sizes = [...new Set(after.map(({ diameter }) => diameter))];
  return sizes.flatMap((diameter): Purchase[] => {
    const more = (of: (run: Run) => number) => {
      const sum = (runs: readonly Run[]) =>
        runs.reduce((all, run) => all + (isSame(run.diameter, diameter) ? of(run) : 0), 0);
      return Math.max(0, sum(after) - sum(before));
    };
    const buy = (item: Purchase['item'], quantity: number): Purchase[] =>
      quantity > 0 ? [{ item, quantity, diameter }] : [];
    return [
      ...buy(
        'pipe',
        more(({ length }) => length ?? 0),
      ),
      ...buy(
        'elbow',
        more(({ fittings }) => fittings.reduce((sum, each) => sum + piecesOf(each), 0)),
      ),
      ...buy(
        'wye',
        more(({ joins }) => (joins.kind === 'straight' ? 0 : 1)),
      ),
      ...buy(
        'ribbedHose',
        more(({ hose }) => hose?.length ?? 0),
      ),
    ];
  });
}

const isSame = (a: number, b: number) => Math.abs(a - b) < 1e-4;

function placed(shop: Shop, { place, turn }: Spotted): Shop {
  shop.collector.place = { ...place, z: shop.collector.place?.z ?? 0 };
  shop.collector.turn = turn;
  return shop;
}

/**
 * Where along the walls the collector would have the air needed a shorter way, the best first; only where nothing stands
 * in the way that is not in the way now.
 */
function betterPlaces(shop: Shop): readonly Spotted[] {
  const now = weightedWay(shop);
  const block = collectorBlock(shop);
  if (now === null || !block) return [];
  const inTheWay = floorConflicts(shop).length;
  return placesAlong(shop, block)
    .map((to) => ({ to, there: placed(structuredClone(shop), to) }))
    .map((each) => ({ ...each, way: weightedWay(each.there) ?? Number.POSITIVE_INFINITY }))
    .filter(
      ({ way, there }) =>
        way < now * (1 - WORTH_MOVING) && floorConflicts(there).length <= inTheWay,
    )
    .sort((a, b) => a.way - b.way)
    .slice(0, PLACES_ROUTED)
    .map(({ to }) => to);
}

/** Places with its back to a wall, and its front to the room. */
const placesAlong = (shop: Shop, { depth }: { readonly depth: number }): Spotted[] =>
  wallsOf(shop.room).flatMap((wall) => {
    const { inward, length } = wall;
    const off = depth / 2 + OFF_WALL;
    return Array.from({ length: PLACES }, (_, i) => {
      const { x, y } = onWall(wall, (length * (i + 1)) / (PLACES + 1));
      const place = { x: x + off * inward.x, y: y + off * inward.y };
      return { place, turn: Math.atan2(inward.x, -inward.y) };
    });
  });
