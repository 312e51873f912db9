import type { FrictionLaw } from '../../duct/friction-law';
import type { Loss } from '../../fittings/loss-method';
import type { Part, PartKind } from '../network';

/** A part that takes so many velocity pressures of its segment, ahead of its leak or behind it. */
export const lossy = (
  kind: PartKind,
  half: 'up' | 'down',
  coefficient: number,
  name = '',
): Part => ({ kind, name, half, coefficient, friction: null });

/** A part that takes by friction, half of it on either side of its segment's leak. */
export const frictional = (kind: PartKind, friction: FrictionLaw, name = ''): Part => ({
  kind,
  name,
  half: 'both',
  coefficient: 0,
  friction,
});

/** A part that takes what a method says of it. */
export const partOf = (kind: PartKind, half: 'up' | 'down', loss: Loss, name = ''): Part =>
  loss.kind === 'coefficient'
    ? lossy(kind, half, loss.coefficient, name)
    : frictional(kind, loss.friction, name);

/** So many times a loss: 1, unless someone asks how much an estimate matters. */
export const timesFactor = (loss: Loss, factor: number): Loss =>
  loss.kind === 'coefficient'
    ? { ...loss, coefficient: loss.coefficient * factor }
    : { ...loss, friction: { ...loss.friction, multiplier: loss.friction.multiplier * factor } };
