import type { Assembly } from '@frank-gauge/core/design';

/** What carries a blower. */
export const MOUNTS: Record<Assembly['mount']['kind'], string> = {
  onSeparator: 'stands on the separator',
  wall: 'hangs on the wall',
  cart: 'on the floor or a cart',
  attic: 'in the attic, over the ceiling',
  nextRoom: 'in the next room',
};
