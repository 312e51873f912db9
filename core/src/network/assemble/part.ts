import type { FrictionLaw } from '../../duct/friction-law';
import type { Loss } from '../../methods/loss-method';
import type { Part, PartKind } from '../network';

/** A part that takes so many velocity pressures of its segment, ahead of its leak or behind it. */
export const lossy = (
  kind: PartKind,
  half: 'up' | 'down',
  coefficient: number,
  name = '',
): Part => ({ kind, name, half, coefficient, friction: null });

/** A part that takes by friction, half of it on either side of its segment's leak. */
export const rubbing = (kind: PartKind, friction: FrictionLaw, name = ''): Part => ({
  kind,
  name,
  half: 'both',
  coefficient: 0,
  friction,
});

/** A part that takes what a method says of it. */
export const partOf = (kind: PartKind, half: 'up' | 'down', loss: Loss): Part =>
  loss.kind === 'coefficient' ? lossy(kind, half, loss.coefficient) : rubbing(kind, loss.friction);
