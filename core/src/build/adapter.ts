/**
 * A round adapter between two pipes, as a body of revolution: two cylinders and the cone between, of
 * one wall. All in m.
 */
export interface AdapterEnd {
  /** True diameter of the pipe it meets: its outside to slide over it, its inside to go into it. */
  readonly diameter: number;
  readonly goes: 'over' | 'inside';
  /** How far they overlap. */
  readonly length: number;
}

export interface Adapter {
  readonly ends: readonly [AdapterEnd, AdapterEnd];
  readonly wall: number;
  /** What the printed part is larger or smaller than the pipe, across. */
  readonly clearance: number;
  /** Between the cone's side and the axis, rad. */
  readonly taper: number;
}

/** A point of the half section: r from the axis, z along it. */
export interface SectionPoint {
  readonly r: number;
  readonly z: number;
}

export type AdapterSection =
  | {
      readonly ok: true;
      /** Once around the wall, the air's side last. */
      readonly outline: readonly SectionPoint[];
      /** Inside and outside diameter at each end, and the length of all. */
      readonly diameters: readonly [EndDiameters, EndDiameters];
      readonly length: number;
    }
  | { readonly ok: false; readonly reason: string };

export interface EndDiameters {
  readonly inside: number;
  readonly outside: number;
}

/** Thinner walls cannot be printed, m. */
export const THINNEST_WALL = 0.8e-3;
/** Usual air between a printed part and a pipe, across, m: common practice, no source. */
export const USUAL_CLEARANCE = 0.4e-3;
/** Gentle enough that the air follows it: a total angle of 30°. */
export const USUAL_TAPER = Math.PI / 12;

const endDiameters = ({ diameter, goes }: AdapterEnd, wall: number, clearance: number) => {
  const inside = goes === 'over' ? diameter + clearance : diameter - clearance - 2 * wall;
  return { inside, outside: inside + 2 * wall };
};

/**
 * The half section of an adapter. Fails, with a sentence, where it cannot be made: a wall too thin to
 * print, an end with no way through, no overlap, or a taper that is none.
 * @example
 * // over a 4.215-in. drain pipe, into a hose of 4 in.
 * adapterSection({ ends: [{ diameter: 0.1071, goes: 'over', length: 0.04 }, …], … })
 */
export function adapterSection({ ends, wall, clearance, taper }: Adapter): AdapterSection {
  const refuse = (reason: string): AdapterSection => ({ ok: false, reason });
  if (!(wall >= THINNEST_WALL)) return refuse('A wall under 0.8 mm cannot be printed tight.');
  if (!(clearance >= 0 && clearance < 0.01)) {
    return refuse('The clearance has to lie between nothing and 10 mm.');
  }
  if (ends.some(({ length }) => !(length > 0.002))) {
    return refuse('Each end has to overlap its pipe by more than 2 mm.');
  }
  if (!(taper > 0.01 && taper < Math.PI / 2 - 0.01)) {
    return refuse('The taper has to lie between 1° and 89°.');
  }
  const [a, b] = ends;
  const first = endDiameters(a, wall, clearance);
  const second = endDiameters(b, wall, clearance);
  if (!(first.inside > 0.004 && second.inside > 0.004)) {
    return refuse('The wall leaves no way through: less than 4 mm are open.');
  }
  const step = Math.abs(second.inside - first.inside) / 2;
  const cone = step / Math.tan(taper);
  const z1 = a.length;
  const z2 = z1 + cone;
  const z3 = z2 + b.length;
  const along = (diameters: EndDiameters, side: keyof EndDiameters) => diameters[side] / 2;
  const sideOf = (side: keyof EndDiameters): SectionPoint[] => {
    const [r0, r1] = [along(first, side), along(second, side)];
    const points = [
      { r: r0, z: 0 },
      { r: r0, z: z1 },
      { r: r1, z: z2 },
      { r: r1, z: z3 },
    ];
    // Ends of one size have no cone between them.
    return step < 1e-9 ? [points[0], points[3]].flatMap((p) => (p ? [p] : [])) : points;
  };
  return {
    ok: true,
    outline: [...sideOf('outside'), ...sideOf('inside').reverse()],
    diameters: [first, second],
    length: z3,
  };
}

/** Height of a ring to try a fit with before the whole is printed, m. */
const RING_HEIGHT = 0.008;

/** The half section of a ring with one end's diameters: printed first, to try the fit. */
export function checkRing(adapter: Adapter, end: 0 | 1): AdapterSection {
  const section = adapterSection(adapter);
  if (!section.ok) return section;
  const own = section.diameters[end];
  const [inner, outer] = [own.inside / 2, own.outside / 2];
  return {
    ok: true,
    outline: [
      { r: outer, z: 0 },
      { r: outer, z: RING_HEIGHT },
      { r: inner, z: RING_HEIGHT },
      { r: inner, z: 0 },
    ],
    diameters: [own, own],
    length: RING_HEIGHT,
  };
}
