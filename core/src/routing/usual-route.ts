import type { Machine, Port, Shop } from '../design/schema';
import type { UnitSystem } from '../quantity/unit-system';
import { toSI } from '../quantity/units';
import { turnsOf } from './derive-runs';
import { type DuctLine, type DuctLines, ductLines, pipePoints } from './duct-lines';
import { INLET_STRAIGHT } from './layout-limits';
import { inletMouth, type Mouth, portMouth } from './places';
import type { DuctEnd } from './route-duct';
import {
  directionOf,
  distance,
  dot,
  minus,
  nearestFromAbove,
  ONE_SPOT,
  type Point3,
  plus,
  tidy,
  times,
  turnBetween,
} from './space';
import { wyeReach } from './wye-reach';

/**
 * Room a hose needs to turn upward at a port, and the height of a gate a hand reaches, m, round in the shop's
 * units: common practice, no source.
 */
export const HOSE_REACH = { us: toSI(12, 'in'), metric: 0.3 } as const;
export const GATE_HEIGHT = { us: toSI(43, 'in'), metric: 1.1 } as const;
/** Under the ceiling, and where none is known, m: common practice, no source. */
export const UNDER_CEILING = 0.3;
const USUAL_HEIGHT = { us: toSI(90, 'in'), metric: 2.3 } as const;
/** Ducts hang at whole inches, or centimeters. */
const HEIGHT_STEP = { us: toSI(1, 'in'), metric: 0.01 } as const;
/** An elbow's radius, in diameters. */
const ELBOW_REACH = 1.5;
/** A way that meets a main at more than 60° and less than 120° gets a wye turned with the flow. */
const SQUARE = Math.PI / 6;

/** How high ducts usually hang in a shop, m: where its first joint hangs, else under the ceiling. */
export function ductHeight(shop: Shop): number {
  const hung = shop.ducts.nodes.find(({ kind, at }) => kind.kind === 'joint' && at);
  if (hung?.at) return hung.at.z;
  const { ceilingHeight } = shop.room;
  const { units } = shop.shop;
  if (ceilingHeight === null) return USUAL_HEIGHT[units];
  const step = HEIGHT_STEP[units];
  return Math.max(0.5, Math.floor((ceilingHeight - UNDER_CEILING) / step + 1e-9) * step);
}

/** From a port to where its pipe begins, and up it to `height`: hose, gate, riser. */
export function riseFrom({ at, out }: Mouth, height: number, units: UnitSystem): Point3[] {
  const reach = HOSE_REACH[units];
  const low = Math.min(Math.max(at.z + reach, GATE_HEIGHT[units]), Math.max(height - 0.2, 0.1));
  const foot = { ...plus(at, times(out, reach)), z: low };
  return Math.abs(height - low) < ONE_SPOT ? [foot] : [foot, { ...foot, z: height }];
}

/** A main where a way meets it. */
export interface OntoMain {
  readonly flow: Point3;
  /** m */
  readonly diameter: number;
  /** What is straight of it downstream of the spot, m. */
  readonly room: number;
}

interface SpotOnMain {
  /** Along the main's legs, m. */
  readonly along: number;
  /** The way its air flows there. */
  readonly direction: Point3;
}

/** A main at a spot of it; `room` is under 0 in an elbow. */
export function ontoMain(line: DuctLine, { along, direction }: SpotOnMain): OntoMain {
  const whole = line.legs.reduce((sum, { length }) => sum + length, 0);
  const elbow = turnsOf(line).find(({ at }) => at > along - ONE_SPOT);
  const end = elbow ? elbow.at - elbow.reach : whole;
  return { flow: direction, diameter: line.run.diameter, room: end - along };
}

/**
 * The last of a way onto a main, turned with its flow: where it would meet the main squarely, it
 * turns some diameters before and joins by 45°. Answers the points of the way with the new end last.
 */
export function turnedWithFlow(
  route: readonly Point3[],
  { flow, diameter: main, room }: OntoMain,
  diameter: number,
): Point3[] {
  const [end, before] = [route.at(-1), route.at(-2)];
  const last = before && end && directionOf(before, end);
  if (!before || !end || !last) return [...route];
  const turn = turnBetween(last, flow);
  if (Math.abs(turn - Math.PI / 2) > SQUARE) return [...route];
  const reach = Math.min(
    wyeReach(main, diameter),
    distance(before, end) * 0.8,
    room - diameter / 2,
  );
  if (reach < diameter / 2) return [...route];
  const corner = plus(end, times(last, -reach));
  return [...route.slice(0, -1), corner, plus(end, times(flow, reach))];
}

/** A way for a drop, and what it leads to. */
export interface UsualRoute {
  readonly between: readonly Point3[];
  readonly to: DuctEnd;
}

/** Where a drop may end. */
export type Goal =
  | Extract<DuctEnd, { kind: 'inlet' | 'node' }>
  | { readonly kind: 'run'; readonly run: string };

/**
 * The usual way of a drop: up from its port and level to where it ends, along the room's axes,
 * into a main by a wye turned with the flow and into the collector straight. Null where one of them
 * has no place.
 */
export function usualRoute(
  shop: Shop,
  machine: Machine,
  port: Port,
  goal: Goal,
  lines: DuctLines = ductLines(shop),
): UsualRoute | null {
  const mouth = portMouth(machine, port);
  if (!mouth) return null;
  switch (goal.kind) {
    case 'inlet': {
      const inlet = inletMouth(shop);
      return inlet && { between: toInlet(mouth, inlet, shop), to: goal };
    }
    case 'node':
      return toNode(shop, mouth, port, goal, lines);
    case 'run':
      return toRun(mouth, port, goal.run, lines, shop.shop.units);
  }
}

/** To a joint that is there: its last leg leans with the flow of what leaves it. */
function toNode(
  shop: Shop,
  mouth: Mouth,
  port: Port,
  to: Extract<Goal, { kind: 'node' }>,
  lines: DuctLines,
): UsualRoute | null {
  const at = lines.places.get(to.node);
  if (!at) return null;
  const next = lines.lines.get(shop.ducts.runs.find(({ from }) => from === to.node)?.id ?? '');
  const flow = next?.legs[0]?.direction;
  const reach = wyeReach(next?.run.diameter ?? port.diameter, port.diameter);
  const aim = flow ? plus(at, times(flow, -reach)) : at;
  /** Up to the height of a spot and level to it, the spot last. */
  const levelTo = (spot: Point3): Point3[] => {
    const up = riseFrom(mouth, spot.z, shop.shop.units);
    const top = up.at(-1) ?? mouth.at;
    return tidy([...up.slice(0, -1), ...abreast(top, spot, flow ?? null), spot]);
  };
  const route = levelTo(aim);
  const before = route.at(-2);
  const last = before && directionOf(before, aim);
  const isSquare = flow && last && Math.abs(turnBetween(last, flow) - Math.PI / 2) <= SQUARE;
  if (isSquare && distance(before, aim) > 1.2 * reach) {
    return { between: [...route.slice(0, -1), plus(aim, times(last, -reach))], to };
  }
  // With the joint itself, so that no bend stands on it; it is the way's end, and is left out.
  return { between: levelTo(at).slice(0, -1), to };
}

function toRun(
  mouth: Mouth,
  port: Port,
  run: string,
  lines: DuctLines,
  units: UnitSystem,
): UsualRoute | null {
  const line = lines.lines.get(run);
  if (!line?.legs[0]) return null;
  const pipe = pipePoints(line);
  const foot = plus(mouth.at, times(mouth.out, HOSE_REACH[units]));
  const near = nearestFromAbove(pipe, foot);
  if (!near) return null;
  const up = riseFrom(mouth, near.point.z, units);
  const top = up.at(-1) ?? foot;
  const route = tidy([...up.slice(0, -1), ...abreast(top, near.point, near.direction), near.point]);
  const turned = turnedWithFlow(route, ontoMain(line, near), port.diameter);
  const end = turned.at(-1) ?? near.point;
  return { between: turned.slice(0, -1), to: { kind: 'run', run, at: end } };
}

/**
 * Points on the way to a spot of a main: along it until abreast of the spot, so that the way meets it
 * squarely; without a main, along the room's axes, the longer leg first. `to` is left out.
 */
function abreast(from: Point3, to: Point3, flow: Point3 | null): Point3[] {
  const gap = minus(to, from);
  if (flow && Math.abs(flow.z) < 0.5) return [from, plus(from, times(flow, dot(gap, flow)))];
  if (Math.abs(gap.x) < ONE_SPOT || Math.abs(gap.y) < ONE_SPOT) return [from];
  return [from, Math.abs(gap.x) > Math.abs(gap.y) ? { ...from, x: to.x } : { ...from, y: to.y }];
}

/** Straight duct wanted ahead of the inlet, with the radius of the elbow that leads into it, m. */
const aheadLength = (shop: Shop) =>
  (INLET_STRAIGHT + ELBOW_REACH) * shop.collector.separator.inletDiameter;

/** Where a duct best turns onto the line the inlet faces along. */
export const aheadOf = (shop: Shop, { at, out }: Mouth): Point3 =>
  plus(at, times(out, aheadLength(shop)));

/** Up, level onto the line the inlet faces along, and along it into the collector. */
function toInlet(mouth: Mouth, inlet: Mouth, shop: Shop): Point3[] {
  const up = riseFrom(mouth, inlet.at.z, shop.shop.units);
  const top = up.at(-1) ?? mouth.at;
  const straight = aheadLength(shop);
  const along = dot(minus(top, inlet.at), inlet.out);
  const ahead = Math.max(straight, along);
  // First along the axis, then onto it: so it never has to turn straight back.
  const beside = plus(top, times(inlet.out, ahead - along));
  return tidy([...up, beside, plus(inlet.at, times(inlet.out, ahead))]);
}
