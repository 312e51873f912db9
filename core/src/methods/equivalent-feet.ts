import type { PipeId } from '../catalogue/ids';
import { equivalentLength, HOSE_LENGTHS } from '../fittings/equivalent-feet';
import type { Loss, LossMethod } from '../fittings/loss-method';
import { darcyColebrook } from './darcy-colebrook';

const RIGHT_ANGLE = Math.PI / 2;

/** A turn through `angle`, rad, as the straight pipe it counts as. */
const asPipe = (pipe: PipeId, angle: number, diameter: number, factor: number): Loss => ({
  kind: 'friction',
  friction: darcyColebrook.pipe(pipe, equivalentLength(angle, diameter), factor),
});

/**
 * The small-shop rule: every hose and fitting counts as so much straight pipe, whose friction is by
 * Darcy–Weisbach. It knows one kind of hose, stretched, counts a pair of 45s as the 90 it stands for, and a
 * branch as an elbow of its angle.
 */
export const equivalentFeet: LossMethod = {
  pipe: darcyColebrook.pipe,
  hose: ({ pipe, length }, factor) => darcyColebrook.pipe(pipe, HOSE_LENGTHS * length, factor),
  turn: ({ pipe, angle, diameter, count }, factor) => asPipe(pipe, angle, diameter, count * factor),
  pair: ({ pipe, diameter, count }, factor) => asPipe(pipe, RIGHT_ANGLE, diameter, count * factor),
  branch: ({ pipe, angle, diameter }, factor) => asPipe(pipe, angle, diameter, factor),
};
