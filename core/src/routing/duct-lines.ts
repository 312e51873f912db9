import type { Run, Shop } from '../design/schema';
import { inletMouth, nodePlaces } from './places';
import { type Leg, legsOf, type Point3, times } from './space';

/** A run as it lies in the shop. */
export interface DuctLine {
  readonly run: Run;
  /** From the machine's side to the blower's: the places of its nodes and the bends between. */
  readonly points: readonly Point3[];
  /** Its hose, the first leg of a run that has one; null: none. */
  readonly hose: Leg | null;
  /** Its pipe. */
  readonly legs: readonly Leg[];
}

/** All runs that are drawn and whose ends have places, by their ids; and where those ends are. */
export interface DuctLines {
  readonly places: ReadonlyMap<string, Point3>;
  readonly lines: ReadonlyMap<string, DuctLine>;
  /** The way air goes into the collector; null: it is not placed. */
  readonly intoCollector: Point3 | null;
}

/** Where the ducts of a shop lie. A run that is not drawn, or leads to no place, has no line. */
export function ductLines(shop: Shop): DuctLines {
  const places = nodePlaces(shop);
  const lines = new Map<string, DuctLine>();
  for (const run of shop.ducts.runs) {
    const from = places.get(run.from);
    const to = places.get(run.to);
    if (!run.route || !from || !to) continue;
    const points = [from, ...run.route.bends.map(({ at }) => at), to];
    const hose = run.hose ? (legsOf(points.slice(0, 2))[0] ?? null) : null;
    lines.set(run.id, { run, points, hose, legs: legsOf(run.hose ? points.slice(1) : points) });
  }
  const mouth = inletMouth(shop);
  return { places, lines, intoCollector: mouth && times(mouth.out, -1) };
}

/** The points of a line's pipe, where it has any: without its hose. */
export function pipePoints({ legs }: Pick<DuctLine, 'legs'>): Point3[] {
  const [first] = legs;
  return first ? [first.from, ...legs.map(({ to }) => to)] : [];
}

/** The way a line's air sets out, and the way it arrives; hose counts where there is no pipe. */
export const firstDirection = ({ hose, legs }: DuctLine): Point3 | null =>
  (hose ?? legs[0])?.direction ?? null;
export const lastDirection = ({ hose, legs }: DuctLine): Point3 | null =>
  (legs.at(-1) ?? hose)?.direction ?? null;
