import type { ChainOrder } from '../design/chain-order';
import type { CollectorParts } from '../design/edit-candidates';
import type { Joint, Point } from './elevation';
import type { Outlets } from './place-blower';

/** Where the chain's pipes may begin and end. */
export interface Ends {
  readonly order: ChainOrder;
  readonly hasSeparator: boolean;
  readonly hasFilter: boolean;
  /** The separator's outlet, at its top, and its inlet, at its side. */
  readonly separator: Point;
  readonly side: Point;
  readonly filter: Point;
  /** A wall to the outdoors; null: there is none on the way. */
  readonly outsideX: number | null;
  /** Of the duct that leads there. */
  readonly outDiameter: number;
  readonly inlet: Point;
  readonly outlets: Outlets;
  readonly diameter: number;
}

/** A hose goes as the crow flies, with so much for its bends. */
const HOSE_SLACK = 1.1;

/** The two pipes of the chain: from the first to the second part, and on to the third. */
export function jointsBetween({ assembly }: CollectorParts, ends: Ends): Joint[] {
  const { order, hasSeparator, hasFilter, separator, side, filter, inlet, diameter } = ends;
  const { up, down } = ends.outlets;
  const outletTo = ({ z }: Point) => (z >= (up.z + down.z) / 2 ? up : down);
  const joint = (part: Joint['part'], ...points: Point[]): Joint => {
    const { kind, length } = assembly[part];
    const [first, last] = [points[0], points.at(-1)];
    const needed =
      kind === 'hose' && first && last
        ? HOSE_SLACK * Math.hypot(last.x - first.x, last.z - first.z)
        : along(points);
    return { part, kind, points: points.filter(isNew), diameter, needed, length };
  };
  const isNew = (point: Point, i: number, points: readonly Point[]) => {
    const before = points[i - 1];
    return !before || Math.hypot(point.x - before.x, point.z - before.z) > 1e-9;
  };
  /** Level over the higher of two tops, and down again. */
  const over = (from: Point, to: Point): Point[] => {
    const z = Math.max(from.z, to.z) + diameter;
    return [from, { x: from.x, z }, { x: to.x, z }, to];
  };

  /** Up to clear what stands there, and level out through the wall. */
  const outdoors = (from: Point): Joint[] => {
    const { outsideX, outDiameter } = ends;
    if (outsideX === null) return [];
    const z = up === down ? from.z : from.z + outDiameter;
    const end = { x: outsideX + outDiameter, z };
    const leading = joint('transition', from, { x: from.x, z }, end);
    return [{ ...leading, diameter: outDiameter }];
  };

  switch (order) {
    case 'pulled':
      return [
        ...(hasSeparator
          ? [joint('coupling', separator, { x: separator.x, z: inlet.z }, inlet)]
          : []),
        ...outdoors(up),
        ...(hasFilter
          ? [joint('transition', ...outwards(outletTo(filter), filter, diameter, up === down))]
          : []),
      ];
    case 'pushed':
      return [
        joint('coupling', outletTo(side), { x: up.x, z: side.z }, side),
        ...outdoors(separator),
        ...(hasFilter ? [joint('transition', ...over(separator, filter))] : []),
      ];
    case 'cleanSide':
      return [
        ...(hasSeparator ? [joint('coupling', ...over(separator, filter))] : []),
        joint('transition', filter, { x: filter.x, z: inlet.z }, inlet),
      ];
  }
}

const along = (points: readonly Point[]): number =>
  points.reduce((sum, point, i) => {
    const before = points[i - 1];
    return before ? sum + Math.hypot(point.x - before.x, point.z - before.z) : sum;
  }, 0);

/** From a blower's outlet up, down or level to where it is over the filter, and into it. */
function outwards(from: Point, to: Point, diameter: number, isLevel: boolean): Point[] {
  const over = to.z + diameter / 2;
  const z = from.z < over ? over : isLevel ? from.z : Math.max(over, from.z - diameter);
  return [from, { x: from.x, z }, { x: to.x, z }, to];
}
