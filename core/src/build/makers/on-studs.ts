import { bracketLoad } from '../../assembly/bracket';
import { toSI } from '../../quantity/units';
import type { Spot } from '../../room/plane';
import { check, type MakerCheck } from './maker';
import type { MakerPlace } from './maker-place';
import { type MakerSaying, says } from './sayings';

/** A board on a wall: which wall, from 1 on, and how far its left end is from the corner on the left; m. */
export interface OnWall {
  readonly wall: number;
  readonly along: number;
  readonly length: number;
}

/** Lag screws keep so far from a board's ends and edges, m: about four diameters of a ⅜-in. screw. */
export const SCREW_EDGE = toSI(1.5, 'in');
/** Lengths that differ by less are one, m. */
const SAME = 1e-6;
/** Studs, m, where a wall's are not known. */
const USUAL_SPACING = { us: toSI(16, 'in'), metric: 0.6 } as const;

export type Studs =
  | {
      readonly ok: true;
      /** Middles of the studs behind the board, from its left end; as a stud finder has to confirm. */
      readonly at: readonly number[];
      readonly areKnown: boolean;
    }
  | { readonly ok: false; readonly reason: MakerSaying };

/**
 * Which studs a board meets. Fails, naming them, where a wall whose studs are known has fewer than two behind the
 * board. Where they are not known, two are taken as far apart as studs usually are.
 */
export function studsBehind({ wall, along, length }: OnWall, place: MakerPlace): Studs {
  const known = place.walls[wall - 1];
  if (place.walls.length > 0 && !known) {
    return { ok: false, reason: says('wall not there', { walls: place.walls.length }) };
  }
  if (!known || known.studs.length === 0) {
    const spacing = USUAL_SPACING[place.units];
    const first = Math.max(SCREW_EDGE, (length - spacing) / 2);
    return { ok: true, at: [first, first + spacing], areKnown: false };
  }
  const at = known.studs
    .map((stud) => stud - along)
    .filter((stud) => stud >= SCREW_EDGE - SAME && stud <= length - SCREW_EDGE + SAME);
  if (at.length >= 2) return { ok: true, at, areKnown: true };
  const [only] = at;
  const numbers = {
    ...{ from: along, to: along + length, wall },
    stud: only === undefined ? null : along + only,
    start: startFor(known.studs, along, length),
  };
  return { ok: false, reason: says('fewer than two studs', numbers) };
}

/** Where a board would have to start to meet two studs, as near as can be; null: it is too short for any two. */
function startFor(studs: readonly number[], along: number, length: number): number | null {
  const starts = studs.slice(1).flatMap((second, i) => {
    const first = studs[i] ?? second;
    const [low, high] = [second + SCREW_EDGE - length, first - SCREW_EDGE];
    return low > high ? [] : [Math.min(Math.max(along, low), high)];
  });
  const nearest = starts.toSorted((a, b) => Math.abs(a - along) - Math.abs(b - along))[0];
  return nearest === undefined ? null : Math.max(0, nearest);
}

/** Where lag screws go through a board: two at each stud, near its edges. */
export const screwsAt = (studs: readonly number[], height: number): Spot[] =>
  studs.flatMap((x) => [
    { x, y: SCREW_EDGE },
    { x, y: height - SCREW_EDGE },
  ]);

export interface Screws {
  readonly diameter: number;
  /** Thread in the stud, m. */
  readonly depth: number;
  readonly count: number;
  /** Between the upper and the lower row, m. */
  readonly rise: number;
}

/** Whether screws bear a mass that hangs so far out from the wall; shaking counted. */
export function bearingChecks(screws: Screws, mass: number, reach: number): MakerCheck[] {
  const cleat = {
    length: 1,
    studSpacing: 1,
    screws: screws.count,
    screwDiameter: screws.diameter,
    screwDepth: screws.depth,
    rise: screws.rise,
  };
  const { pull, pullBorne, weight, weightBorne } = bracketLoad(cleat, mass, reach);
  const share = (load: number, borne: number) => (borne > 0 ? load / borne : Infinity);
  return [
    check('carry', says('pull on the upper screws'), share(pull, pullBorne), 'at most', 1, 'ratio'),
    check('carry', says('weight on all screws'), share(weight, weightBorne), 'at most', 1, 'ratio'),
  ];
}

/** Where a board of this length goes on the wall nearest to the collector, its middle behind the collector's. */
export function usualOnWall(place: MakerPlace, length: number): { wall: number; along: number } {
  const { nearest } = place;
  if (!nearest) return { wall: 1, along: 0 };
  const known = place.walls[nearest.wall - 1];
  const along = Math.max(
    0,
    Math.min(nearest.along, (known?.length ?? length) - length / 2) - length / 2,
  );
  const start = known && startFor(known.studs, along, length);
  return { wall: nearest.wall, along: start ?? along };
}
