import type { ChainOrder } from '../design/chain-order';
import type { CollectorParts } from '../design/edit-candidates';
import type { Columns } from './columns';
import type { Placed, Point } from './elevation';
import type { AssemblySizes } from './usual-sizes';

/** A ceiling's thickness, for what stands on top of it, m. */
const JOISTS = 0.2;
/** Where no ceiling is known, an attic is drawn over one of 8 ft. */
const USUAL_CEILING = 2.44;

/** A housing can be turned: its outlet up or down; on end it leaves level. */
export interface Outlets {
  readonly up: Point;
  readonly down: Point;
}

/** A blower in the elevation, and where pipes meet it. */
export interface StandingBlower {
  readonly placed: readonly Placed[];
  readonly inlet: Point;
  readonly outlets: Outlets;
  readonly z: number;
  readonly shaft: 'upright' | 'lying';
}

/** Where a blower stands by what carries it. */
export function placeBlower(
  { assembly, separator }: CollectorParts,
  sizes: AssemblySizes,
  order: ChainOrder,
  columns: Columns,
  separatorTop: number,
  ceiling: number | null,
): StandingBlower {
  const { housing, width, motorLength } = sizes.blower;
  const { mount, coupling } = assembly;
  const canStand = order === 'pulled' && separator.kind !== 'none';
  if (mount.kind === 'attic' || (mount.kind === 'onSeparator' && canStand)) {
    const isElsewhere = mount.kind === 'attic';
    const x = separator.kind === 'none' ? columns.blowerX + housing / 2 : columns.separatorX;
    const z = isElsewhere ? (ceiling ?? USUAL_CEILING) + JOISTS : separatorTop + coupling.length;
    const half = housing / 2;
    const level = { x: x + half, z: z + width / 2 };
    return {
      placed: [
        { part: 'blower', x0: x - half, x1: x + half, z0: z, z1: z + width, isElsewhere },
        {
          part: 'motor',
          x0: x - 0.35 * half,
          x1: x + 0.35 * half,
          z0: z + width,
          z1: z + width + motorLength,
          isElsewhere,
        },
      ],
      inlet: { x, z },
      outlets: { up: level, down: level },
      z,
      shaft: 'upright',
    };
  }
  const isElsewhere = mount.kind === 'nextRoom';
  const shaft = shaftHeight(assembly.mount, housing, separatorTop);
  // Its inlet faces what comes before it, and its motor is behind.
  const x = columns.blowerX;
  return {
    placed: [
      {
        part: 'blower',
        x0: x,
        x1: x + width,
        z0: shaft - housing / 2,
        z1: shaft + housing / 2,
        isElsewhere,
      },
      {
        part: 'motor',
        x0: x + width,
        x1: x + width + motorLength,
        z0: shaft - 0.18 * housing,
        z1: shaft + 0.18 * housing,
        isElsewhere,
      },
    ],
    inlet: { x, z: shaft },
    outlets: {
      up: { x: x + width / 2, z: shaft + housing / 2 },
      down: { x: x + width / 2, z: shaft - housing / 2 },
    },
    z: shaft,
    shaft: 'lying',
  };
}

function shaftHeight(
  mount: CollectorParts['assembly']['mount'],
  housing: number,
  separatorTop: number,
): number {
  switch (mount.kind) {
    case 'wall':
    case 'nextRoom':
      return mount.height;
    case 'cart':
      return mount.height + housing / 2;
    // It can't stand there; it is drawn where it would hang.
    case 'onSeparator':
    case 'attic':
      return separatorTop + housing / 2;
  }
}
