import type { Spot } from '../../room/plane';
import { NO_SIZE, refusing, type TemplateRefused } from './template-fault';

/** An elbow made of straight pieces of pipe; m, rad. */
export interface MiteredElbow {
  /** Outside diameter of its pipe. */
  readonly pipe: number;
  /** How far it turns. */
  readonly angle: number;
  /** Radius of its centreline. */
  readonly radius: number;
  /** Pieces it is made of, both ends included. */
  readonly pieces: number;
}

export interface ElbowGores {
  /** Of each end: its straight edge below, its cut above; x around the pipe from the seam at the throat, y along it, m. */
  readonly end: readonly Spot[];
  /** Of each piece between, cut on both sides; null where both ends meet. */
  readonly middle: readonly Spot[] | null;
  /** How many there are of the middle ones. */
  readonly middles: number;
  /** Way around the pipe, m. */
  readonly around: number;
  /** Each cut stands this far from square, rad. */
  readonly miter: number;
}

export type MadeGores =
  | { readonly ok: true; readonly gores: ElbowGores }
  | TemplateRefused<keyof MiteredElbow>;

/** Points of each curve. */
const POINTS = 360;
/** More than this nobody solders together. */
export const MOST_PIECES = 12;

/**
 * Templates for the pieces of a mitered elbow, 1:1, each to be wrapped around the pipe with its seam at the throat. All
 * cuts stand at the same angle; the two ends are half of what lies between, so that the elbow begins and ends square.
 * Fails, naming the field, where the throat has no length, or the number of pieces makes no elbow.
 * @example elbowGores({ pipe: 0.1524, angle: Math.PI / 2, radius: 0.2286, pieces: 5 }) // cuts at 11.25°
 */
export function elbowGores({ pipe, angle, radius, pieces }: MiteredElbow): MadeGores {
  const refuse = refusing<keyof MiteredElbow>();
  if (!(pipe > 0)) return refuse('pipe', NO_SIZE);
  if (!(angle > 0 && angle <= Math.PI)) {
    return refuse('angle', { kind: 'turn out of range' });
  }
  if (!Number.isInteger(pieces) || pieces < 2 || pieces > MOST_PIECES) {
    return refuse('pieces', { kind: 'pieces out of range', most: MOST_PIECES });
  }
  const miter = angle / (2 * (pieces - 1));
  if (miter >= Math.PI / 4 + 1e-9) {
    const least = Math.ceil((2 * angle) / Math.PI - 1e-9) + 1;
    return refuse('pieces', { kind: 'cuts too flat', least });
  }
  if (!(radius > pipe / 2)) {
    return refuse('radius', { kind: 'throat without length', over: pipe / 2 });
  }
  const around = Math.PI * pipe;
  const spots = Array.from({ length: POINTS + 1 }, (_, i) => {
    const share = i / POINTS;
    const fromThroat = radius - (pipe / 2) * Math.cos(2 * Math.PI * share);
    return { x: share * around, y: Math.tan(miter) * fromThroat };
  });
  const end = [{ x: 0, y: 0 }, ...spots, { x: around, y: 0 }];
  const below = spots.toReversed().map(({ x, y }) => ({ x, y: -y }));
  return {
    ok: true,
    gores: {
      ...{ end, around, miter, middles: pieces - 2 },
      middle: pieces > 2 ? [...spots, ...below] : null,
    },
  };
}
