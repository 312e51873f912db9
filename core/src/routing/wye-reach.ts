import { wyeBody } from '../fittings/fitting-bodies';
import { bendReach, USUAL_BEND } from './bend-geometry';

/** A branch turns into its wye at least so many diameters beside the main: common practice, no source. */
export const WYE_REACH = 2;
/**
 * Pipe wanted between a wye and the elbow before it, m: collars of 2 in. from both ends and a little more; an estimate.
 * Sockets take 0.9 diameters of it, so it is never shorter than one.
 */
export const PIPE_AT_WYE = 0.11;

/**
 * How far beside its main a branch turns into the wye, m: as far as is usual, or as many half diameters more as the wye,
 * the elbow and a pipe that holds both of them need.
 * @param main inside diameter of what goes straight through the wye, m
 * @param branch of the branch, m
 * @param angle between them, rad, over 0 and under π/2
 */
export function wyeReach(main: number, branch: number, angle = Math.PI / 4): number {
  const pipe = Math.max(PIPE_AT_WYE, branch);
  const elbow = bendReach(Math.PI / 2 - angle, USUAL_BEND, branch).reach;
  const leg = wyeBody(main, branch, angle).branch + pipe + elbow;
  const halves = Math.ceil((leg * Math.sin(angle)) / (branch / 2) - 1e-9);
  return Math.max(WYE_REACH * branch, (halves * branch) / 2);
}
