import type { NewId } from '../design/edit-ducts';
import { nameBelow, nameDucts } from '../design/name-ducts';
import type { Run, Shop } from '../design/schema';
import { type DuctLine, ductLines } from './duct-lines';
import { nearestOn, type Point3 } from './space';

/** Something that joins nearer to a run's end than this joins there, m. */
const AT_THE_END = 0.03;

/**
 * Cuts a drawn run where something is to join it; the upstream part keeps the run's identity with
 * its hose and its gate. Returns the node there: a new one, or that of an end close by. Null for a
 * run that is not drawn. A hose is never cut: its end is the nearest place.
 */
export function splitAt(shop: Shop, runId: string, at: Point3, newId: NewId): string | null {
  const line = ductLines(shop).lines.get(runId);
  if (!line) return null;
  const { run } = line;
  const hoseLength = line.hose?.length ?? 0;
  const whole = line.legs.reduce((sum, { length }) => sum + length, hoseLength);
  const near = nearestOn(line.points, at);
  if (!near) return run.to;
  const along = Math.max(near.along, hoseLength);
  const isPortEnd = shop.ducts.nodes.find(({ id }) => id === run.from)?.kind.kind === 'port';
  if (whole - along < AT_THE_END) return run.to;
  if (along < AT_THE_END && !isPortEnd) return run.from;
  return cut(shop, line, Math.max(along, hoseLength + AT_THE_END), newId);
}

function cut(
  shop: Shop,
  { run, points, hose, legs }: DuctLine,
  along: number,
  newId: NewId,
): string {
  const node = newId();
  const pipe = legs.reduce((sum, { length }) => sum + length, 0);
  const share = pipe === 0 ? 1 : (along - (hose?.length ?? 0)) / pipe;
  const bends = run.route?.bends ?? [];
  let passed = 0;
  let upstream = 0;
  let at = points[0];
  for (let i = 1; i < points.length; i++) {
    const [from, to] = [points[i - 1], points[i]];
    if (!from || !to) break;
    const length = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
    if (passed + length >= along - 1e-9) {
      const onLeg = length === 0 ? 0 : (along - passed) / length;
      at = {
        x: from.x + (to.x - from.x) * onLeg,
        y: from.y + (to.y - from.y) * onLeg,
        z: from.z + (to.z - from.z) * onLeg,
      };
      // A cut at a corner makes the corner the node.
      upstream = onLeg > 1 - 1e-9 && i < points.length - 1 ? i : i - 1;
      break;
    }
    passed += length;
  }
  const isCorner = upstream > 0 && bends[upstream - 1] && sameSpot(bends[upstream - 1]?.at, at);
  const corner = isCorner ? bends[upstream - 1] : undefined;
  const before = bends.slice(0, isCorner ? upstream - 1 : upstream);
  const after = bends.slice(upstream);
  const { slack, isFollowed } = run.route ?? { slack: 0, isFollowed: true };
  const isGateBelow = run.gate?.end === 'downstream';
  const below: Run = {
    ...run,
    id: newId(),
    name: nameBelow(shop, run),
    from: node,
    route: { bends: after, slack, isFollowed },
    length: run.length === null ? null : run.length * (1 - share),
    fittings: [],
    joints: null,
    hose: null,
    gate: isGateBelow ? run.gate : null,
  };
  shop.ducts.nodes.push({
    id: node,
    kind: { kind: 'joint' },
    at: at ? { ...at } : null,
    style: corner ? { bend: { ...corner.style } } : {},
  });
  shop.ducts.runs.push(below);
  if (isGateBelow) run.gate = null;
  run.to = node;
  if (run.length !== null) run.length *= share;
  run.route = { bends: before, slack, isFollowed };
  run.joints = null;
  run.joins = { kind: 'straight' };
  nameDucts(shop);
  return node;
}

const sameSpot = (a: Point3 | undefined, b: Point3 | undefined) =>
  a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) < 1e-6;
