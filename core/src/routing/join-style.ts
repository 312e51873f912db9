import type { NewId } from '../design/edit-ducts';
import type { Shop } from '../design/schema';
import { bendsAt } from './bend-geometry';
import { ductLines, firstDirection } from './duct-lines';
import { LEAST_LEG } from './layout-limits';
import { directionOf, distance, dot, minus, type Point3, plus, times, turnBetween } from './space';
import { wyeReach } from './wye-reach';

/** Square to the main within so much, rad. */
const SQUARE = 0.09;

/** Why a branch could not be made to join otherwise. */
export type NotJoined =
  /** It does not come squarely at a level main, or more than the two meet there. */
  | 'not a plain branch'
  /** Its own last leg, or its main, is too short for it. */
  | 'no room';

/**
 * Makes a drawn branch that comes squarely at its main join by another angle: a tee at 90°, else a wye
 * turned with the flow, for which its last leg leans and the joint stands farther down the main.
 *
 * @param angle rad, over 0 up to π/2
 * @returns null where it was done, else why it was not; then nothing has changed
 */
export function joinBy(shop: Shop, runId: string, angle: number, newId: NewId): NotJoined | null {
  const { lines } = ductLines(shop);
  const run = shop.ducts.runs.find(({ id }) => id === runId);
  const line = lines.get(runId);
  const node = shop.ducts.nodes.find(({ id }) => id === run?.to);
  const others = shop.ducts.runs.filter(({ id, to }) => to === run?.to && id !== runId);
  const out = shop.ducts.runs.find(({ from }) => from === run?.to);
  const before = others.length === 1 ? lines.get(others[0]?.id ?? '') : undefined;
  const after = lines.get(out?.id ?? '');
  const flow = after && firstDirection(after);
  if (!run?.route || !line || !node?.at || !before || !after || !flow) return 'not a plain branch';

  const { points } = line;
  const [end, last, earlier] = [node.at, points.at(-2), points.at(-3)];
  const approach = squareApproach(end, last, earlier, flow);
  if (!approach || (approach.isLeaning && run.route.bends.length === 0)) {
    return 'not a plain branch';
  }
  const { base, foot, isLeaning } = approach;
  const direction = directionOf(base, foot);
  const isTee = angle > Math.PI / 2 - 1e-6;
  const usual = isTee ? 0 : wyeReach(before.run.diameter, run.diameter, angle);
  const reach = Math.min(usual, 0.8 * distance(base, foot));
  if (!direction || (!isTee && reach < run.diameter / 2)) return 'no room';
  const to = isTee ? foot : plus(foot, times(flow, reach / Math.tan(angle)));
  const [next, previous] = [after.points[1], before.points.at(-2)];
  const isRoomy =
    (!next || dot(minus(next, to), flow) >= LEAST_LEG) &&
    (!previous || dot(minus(to, previous), flow) >= LEAST_LEG);
  if (!isRoomy) return 'no room';

  node.at = { ...to };
  const corner = plus(foot, times(direction, -reach));
  const bends = isLeaning ? run.route.bends.slice(0, -1) : [...run.route.bends];
  const kept = isLeaning ? run.route.bends.at(-1) : undefined;
  if (!isTee) bends.push(...(kept ? [{ ...kept, at: { ...corner } }] : bendsAt([corner], newId)));
  run.route.bends = bends;
  return null;
}

/** Where a branch comes from and would meet its main squarely; null: it comes otherwise. */
function squareApproach(
  end: Point3,
  last: Point3 | undefined,
  earlier: Point3 | undefined,
  flow: Point3,
): { readonly base: Point3; readonly foot: Point3; readonly isLeaning: boolean } | null {
  const isSquare = (from: Point3 | undefined, to: Point3 | undefined) => {
    const direction = from && to && directionOf(from, to);
    return direction ? Math.abs(turnBetween(direction, flow) - Math.PI / 2) < SQUARE : false;
  };
  if (last && isSquare(last, end)) return { base: last, foot: end, isLeaning: false };
  if (!last || !earlier || !isSquare(earlier, last)) return null;
  const foot = plus(end, times(flow, -dot(minus(end, last), flow)));
  return { base: earlier, foot, isLeaning: true };
}
