import { type NewId, removeDucts, splitRun } from '../design/edit-ducts';
import { nameDucts } from '../design/name-ducts';
import type { BendStyle, Shop } from '../design/schema';
import { bendsAt, USUAL_BEND } from './bend-geometry';
import { deriveAlong } from './derive-runs';
import { ductLines } from './duct-lines';
import { USUAL_SLACK } from './route-duct';
import { directionOf, nearestOn, ONE_SPOT, type Point3, plus, times, turnBetween } from './space';
import { splitAt } from './split-at';

const runOf = (shop: Shop, id: string) => shop.ducts.runs.find((run) => run.id === id);

/** Puts a joint, or a bend of a run, somewhere else; what is attached to it follows. */
export function movePoint(shop: Shop, id: string, at: Point3): void {
  const node = shop.ducts.nodes.find((each) => each.id === id && each.kind.kind === 'joint');
  if (node) node.at = { ...at };
  for (const { route } of shop.ducts.runs) {
    const bend = route?.bends.find((each) => each.id === id);
    if (bend) bend.at = { ...at };
  }
}

/** How the turn at a bend, or at a node, is made. */
export function setBendStyle(shop: Shop, id: string, style: BendStyle): void {
  const node = shop.ducts.nodes.find((each) => each.id === id);
  if (node) node.style.bend = { ...style };
  for (const { route } of shop.ducts.runs) {
    const bend = route?.bends.find((each) => each.id === id);
    if (bend) bend.style = { ...style };
  }
}

/** Puts a bend into a drawn run where it passes nearest to `at`. Returns its id, or null. */
export function addBend(shop: Shop, runId: string, at: Point3, newId: NewId): string | null {
  const run = runOf(shop, runId);
  const line = ductLines(shop).lines.get(runId);
  const near = line && nearestOn(line.points, at);
  if (!run?.route || !line || !near) return null;
  let passed = 0;
  let index = 0;
  for (let i = 1; i < line.points.length; i++) {
    const [from, to] = [line.points[i - 1], line.points[i]];
    if (!from || !to) break;
    passed += Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
    index = i - 1;
    if (passed >= near.along - 1e-9) break;
  }
  const id = newId();
  run.route.bends.splice(index, 0, { id, at: { ...at }, style: { ...USUAL_BEND } });
  return id;
}

/** Takes a bend out; its neighbours meet. */
export function removeBend(shop: Shop, runId: string, id: string): void {
  const route = runOf(shop, runId)?.route;
  if (route) route.bends = route.bends.filter((bend) => bend.id !== id);
}

/** Hangs every joint and bend at one height at another, m. */
export function raiseDucts(shop: Shop, from: number, to: number): void {
  const isThere = ({ z }: Point3) => Math.abs(z - from) < ONE_SPOT;
  for (const node of shop.ducts.nodes) if (node.at && isThere(node.at)) node.at.z = to;
  for (const { route } of shop.ducts.runs) {
    for (const { at } of route?.bends ?? []) if (isThere(at)) at.z = to;
  }
}

/**
 * Lets typed figures hold for a drawn run from now on, wherever it lies; they begin as what the
 * drawing has them. It stays on the plan.
 */
export function holdTyped(shop: Shop, runId: string): void {
  const derived = deriveAlong(shop, ductLines(shop));
  const own = derived.find(({ id }) => id === runId);
  const run = runOf(shop, runId);
  if (!run?.route?.isFollowed || !own) return;
  const { length, fittings, hose } = own;
  Object.assign(run, { length, fittings, hose });
  run.route.isFollowed = false;
  // Where something meets it the angles are no longer the drawing's: what they were is kept.
  for (const { id, to, joins } of derived) {
    const other = runOf(shop, id);
    if (other && (to === run.to || to === run.from)) other.joins = joins;
  }
}

/** Lets the drawing say a run's length, bends, angle and hose again. */
export function followDrawing(shop: Shop, runId: string): void {
  const route = runOf(shop, runId)?.route;
  if (route) route.isFollowed = true;
}

/** Draws a run straight between its ends; where its upstream end has no place, it ends at `free`. */
export function drawRun(
  shop: Shop,
  runId: string,
  between: readonly Point3[],
  free: Point3 | null,
  newId: NewId,
): void {
  const run = runOf(shop, runId);
  if (!run) return;
  const node = shop.ducts.nodes.find(({ id }) => id === run.from);
  if (node?.kind.kind === 'joint' && free) node.at = { ...free };
  run.route = {
    bends: bendsAt(between, newId),
    slack: run.route?.slack ?? (run.hose ? USUAL_SLACK : 0),
    isFollowed: true,
  };
}

/** Cuts a run in half, drawn or not, so that something can join in its middle. */
export function splitInHalf(shop: Shop, runId: string, newId: NewId): string | null {
  const line = ductLines(shop).lines.get(runId);
  if (!line) {
    const run = runOf(shop, runId);
    // Drawn to a place that is gone: what was typed holds.
    if (run) run.route = null;
    return splitRun(shop, runId, newId);
  }
  const whole = line.legs.reduce((sum, { length }) => sum + length, 0);
  let left = whole / 2;
  for (const { from, direction, length } of line.legs) {
    if (left <= length) return splitAt(shop, runId, plus(from, times(direction, left)), newId);
    left -= length;
  }
  return null;
}

/**
 * Removes a run with everything that leads into it; machines stay where they stand. What the joint
 * it met is no longer needed for grows together.
 */
export function removeBranch(shop: Shop, runId: string): void {
  const node = runOf(shop, runId)?.to;
  removeDucts(shop, runId);
  if (node) growTogether(shop, node);
  nameDucts(shop);
}

/** Makes one run of two alike that meet at a joint nothing else leads to. */
function growTogether(shop: Shop, nodeId: string): void {
  const { ducts, condition } = shop;
  const node = ducts.nodes.find(({ id, kind }) => id === nodeId && kind.kind === 'joint');
  const into = ducts.runs.filter(({ to }) => to === nodeId);
  const [up] = into;
  const down = ducts.runs.find(({ from }) => from === nodeId);
  if (!node?.at || !up?.route || !down?.route || into.length !== 1) return;
  const isAlike = up.pipe === down.pipe && Math.abs(up.diameter - down.diameter) < 1e-6;
  const isPlain = !up.gate?.end.includes('down') && !down.gate && !down.hose;
  const isBelieved = [...condition.sealing.runs, ...condition.joints.runs, ...condition.holes].some(
    ({ run }) => run === down.id,
  );
  const isFollowed = up.route.isFollowed && down.route.isFollowed;
  if (!isAlike || !isPlain || isBelieved || !isFollowed) return;
  const before = up.route.bends.at(-1)?.at;
  const after = down.route.bends[0]?.at;
  const directions = [before && directionOf(before, node.at), after && directionOf(node.at, after)];
  const turn = directions[0] && directions[1] ? turnBetween(directions[0], directions[1]) : null;
  const corner = { id: nodeId, at: node.at, style: node.style.bend ?? { ...USUAL_BEND } };
  // Where a neighbour is a node, the corner stays: it does no harm on a straight line.
  const middle = turn !== null && turn < 1e-6 ? [] : [corner];
  up.route.bends.push(...middle, ...down.route.bends);
  up.fittings.push(...down.fittings);
  up.to = down.to;
  up.joins = down.joins;
  ducts.runs = ducts.runs.filter(({ id }) => id !== down.id);
  ducts.nodes = ducts.nodes.filter(({ id }) => id !== nodeId);
}
