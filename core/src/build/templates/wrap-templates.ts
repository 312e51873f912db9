import type { Spot } from '../../room/plane';
import { NO_SIZE, refusing, type TemplateRefused } from './template-fault';

/** A pipe that goes into a round drum, or into another pipe; m, rad. */
export interface PipeIntoDrum {
  /** Outside diameter of the pipe. */
  readonly pipe: number;
  /** Outside diameter of the drum, or of the pipe it goes into, and its wall. */
  readonly drum: number;
  readonly wall: number;
  /** Between their axes: 0 radially, drum radius − pipe radius tangentially. */
  readonly offset: number;
  /** Between their axes, a right angle or less: what points along the drum lies on the far side of the pipe. */
  readonly angle: number;
  /** Where the pipe ends: on the drum's outside, or flush with its inside. */
  readonly ends: 'outside' | 'inside';
}

export interface WrapTemplates {
  /** Around the pipe: from its straight end to its cut, x around it, y along it, m. */
  readonly pipe: readonly Spot[];
  /** The hole, on the drum's outside: x around it from where the pipe's axis points, y along it, m. */
  readonly hole: readonly Spot[];
  /** Way around the pipe and around the drum, m. */
  readonly around: { readonly pipe: number; readonly drum: number };
}

export type MadeTemplates =
  | { readonly ok: true; readonly templates: WrapTemplates }
  | TemplateRefused<keyof PipeIntoDrum>;

/** Points of each curve. */
const POINTS = 360;
/** Straight pipe a template has at least between its end and its cut, m. */
const SPARE = 0.03;
/** Flatter than this a pipe does not go in but along, rad: 20°. */
const FLATTEST = Math.PI / 9;

/** Tangential: the pipe's wall runs along the drum's. */
export const tangentialOffset = ({ drum, pipe }: Pick<PipeIntoDrum, 'drum' | 'pipe'>): number =>
  (drum - pipe) / 2;

/**
 * Templates to wrap around a pipe and around a drum, 1:1, to cut both so that one goes into the other. Fails, naming the
 * field, where the pipe is larger than its drum, passes beside it, or lies along it.
 * @example wrapTemplates({ pipe: 0.15, drum: 0.58, wall: 0.001, offset: 0.215, angle: Math.PI / 2, ends: 'outside' })
 */
export function wrapTemplates(of: PipeIntoDrum): MadeTemplates {
  const { pipe, drum, wall, offset, angle } = of;
  const refuse = refusing<keyof PipeIntoDrum>();
  if (!(pipe > 0)) return refuse('pipe', NO_SIZE);
  if (!(drum > 0)) return refuse('drum', NO_SIZE);
  if (!(wall >= 0 && wall < drum / 2)) {
    return refuse('wall', { kind: 'wall thicker than the drum', most: drum / 2 });
  }
  if (pipe > drum) return refuse('pipe', { kind: 'larger than its drum', most: drum });
  const surface = of.ends === 'inside' ? drum / 2 - wall : drum / 2;
  const most = surface - pipe / 2;
  if (Math.abs(offset) > most + 1e-9) {
    return most < 0
      ? refuse('pipe', { kind: 'larger than its drum', most: 2 * surface })
      : refuse('offset', { kind: 'beside the wall', most });
  }
  if (!(angle >= FLATTEST && angle <= Math.PI / 2 + 1e-9)) {
    return refuse('angle', { kind: 'angle out of range' });
  }
  const around = Array.from({ length: POINTS + 1 }, (_, i) => (i / POINTS) * 2 * Math.PI);
  const cut = around.map((phi) => cutAt(of, surface, phi));
  // The template lies on the far side of the cut: from its straight end up to where the wall is met.
  const end = Math.max(...cut) + SPARE;
  const onPipe = around.map((phi, i) => ({ x: (phi * pipe) / 2, y: end - (cut[i] ?? 0) }));
  return {
    ok: true,
    templates: {
      pipe: [{ x: 0, y: 0 }, ...onPipe, { x: Math.PI * pipe, y: 0 }],
      hole: around.slice(0, -1).map((phi) => onDrum(of, phi)),
      around: { pipe: Math.PI * pipe, drum: Math.PI * drum },
    },
  };
}

/**
 * How far along its own axis, out from where both axes are nearest, the pipe's outside meets a drum's surface of some
 * radius, m.
 */
function cutAt({ pipe, offset, angle }: PipeIntoDrum, radius: number, phi: number): number {
  const y = offset + (pipe / 2) * Math.cos(phi);
  const x = Math.sqrt(Math.max(0, radius ** 2 - y ** 2));
  return (x + (pipe / 2) * Math.sin(phi) * Math.cos(angle)) / Math.sin(angle);
}

/** Where the pipe's outside meets the drum's, on the drum unrolled. */
function onDrum(of: PipeIntoDrum, phi: number): Spot {
  const radius = of.drum / 2;
  const y = of.offset + (of.pipe / 2) * Math.cos(phi);
  const x = Math.sqrt(Math.max(0, radius ** 2 - y ** 2));
  const along = cutAt(of, radius, phi) * Math.cos(of.angle);
  return {
    x: radius * Math.atan2(y, x),
    y: along + (of.pipe / 2) * Math.sin(phi) * Math.sin(of.angle),
  };
}
