import type { ChainOrder } from '../design/chain-order';
import type { AssemblySizes } from './usual-sizes';

export type AssemblyPart =
  | 'bin'
  | 'lid'
  | 'separator'
  | 'coupling'
  | 'blower'
  | 'motor'
  | 'transition'
  | 'filter'
  | 'filterBin'
  | 'cart'
  | 'box';

/** A part in the elevation: seen from the front, x to the right and z up from the floor, m. */
export interface Placed {
  readonly part: AssemblyPart;
  readonly x0: number;
  readonly x1: number;
  readonly z0: number;
  readonly z1: number;
  /** It stands in another room, or over the ceiling. */
  readonly isElsewhere: boolean;
}

export interface Point {
  readonly x: number;
  readonly z: number;
}

/** A pipe or hose of the chain, along its centre. */
export interface Joint {
  readonly part: 'coupling' | 'transition';
  readonly kind: 'rigid' | 'hose';
  readonly points: readonly Point[];
  readonly diameter: number;
  /** Along its centre as drawn, m, and what it is said to have. */
  readonly needed: number;
  readonly length: number;
}

/** A collector as it stands: where every part is, and what it needs. */
export interface Elevation {
  readonly order: ChainOrder;
  readonly sizes: AssemblySizes;
  readonly placed: readonly Placed[];
  readonly joints: readonly Joint[];
  /** Of everything in this room, m over the floor. */
  readonly height: number;
  /** Room it takes on the floor, m; `x0`: where that begins. */
  readonly floor: { readonly x0: number; readonly width: number; readonly depth: number };
  /** Where the separator column and the filter column stand, m; null: there is none. */
  readonly separatorX: number | null;
  readonly filterX: number | null;
  /** Height of the blower's shaft where it lies, of its underside where it stands on end. */
  readonly blowerZ: number;
  readonly shaft: 'upright' | 'lying';
  /** Underside of the lid, m; 0 without a separator. */
  readonly lidZ: number;
  readonly ceiling: number | null;
  /** Where a wall stands between this room and the next, m; null: none does. */
  readonly partitionX: number | null;
  /** Where the air leaves the building, m; null: it stays in it. */
  readonly outsideX: number | null;
}
