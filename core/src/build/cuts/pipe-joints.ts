import type { PipeId } from '../../catalogue/ids';

/**
 * How a straight pipe meets a fitting: its crimped end goes into what follows; a fitting's collar goes into the pipe; or
 * the pipe goes into the fitting's sockets.
 */
export type PipeJoint = 'crimp' | 'collar' | 'socket';

/** By pipe: common practice, no source. */
export const PIPE_JOINTS: Readonly<Record<PipeId, PipeJoint>> = {
  galvanised: 'collar',
  spiralMetric: 'collar',
  snapLock: 'crimp',
  aluminium: 'crimp',
  average: 'crimp',
  drain: 'socket',
  sewer: 'socket',
  schedule40: 'socket',
  ventilation: 'socket',
};

/**
 * How two lengths of pipe are joined: a crimped end goes into the next, an end goes into the bell of the next, or a
 * coupling holds both, end to end.
 */
export type LengthJoint = 'crimp' | 'bell' | 'coupling';

/** By pipe, as it is sold: common practice, no source. */
export const LENGTH_JOINTS: Readonly<Record<PipeId, LengthJoint>> = {
  galvanised: 'coupling',
  spiralMetric: 'coupling',
  snapLock: 'crimp',
  aluminium: 'crimp',
  average: 'crimp',
  drain: 'bell',
  sewer: 'bell',
  schedule40: 'coupling',
  ventilation: 'coupling',
};

/** Pipes with a seam along them that wants tape; the lock seam around spiral pipe is tight: common practice, no source. */
export const SEAMED: ReadonlySet<PipeId> = new Set(['snapLock', 'aluminium', 'average']);

/** Length of a crimp, m: 1½ in., common practice, no source. */
export const CRIMP = 0.0381;
/** Depth of a socket as a share of the pipe's inside diameter: 1¾ in. of 4, 2¾ in. of 6; an estimate, to be measured. */
export const SOCKET_SHARE = 0.45;
/** Collars of sheet-metal fittings go into the pipe by so much, m: 2 in., an estimate. */
export const COLLAR = 0.05;

/** How far pipe and fitting go into each other, m. */
export function insertionDepth(pipe: PipeId, diameter: number): number {
  switch (PIPE_JOINTS[pipe]) {
    case 'crimp':
      return CRIMP;
    case 'collar':
      return COLLAR;
    case 'socket':
      return SOCKET_SHARE * diameter;
  }
}

/** How far one length of pipe goes into the next, m; 0 where a coupling holds them end to end. */
export const lengthOverlap = (pipe: PipeId, diameter: number): number =>
  LENGTH_JOINTS[pipe] === 'coupling' ? 0 : insertionDepth(pipe, diameter);

/**
 * What a straight pipe is longer than the gap between the fittings it joins, m. Into sockets it goes as far as where the
 * fitting's bend begins, and over collars too; a crimped end goes into what follows besides.
 */
export const beyondGap = (pipe: PipeId, diameter: number): number =>
  PIPE_JOINTS[pipe] === 'crimp' ? insertionDepth(pipe, diameter) : 0;
