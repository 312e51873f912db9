import { toSI } from '../quantity/units';
import type { Machine } from './schema';

export interface MachineKind {
  readonly name: string;
  /** m³/s, to start from. */
  readonly flow: number;
  /** True inside diameter of its port, m. */
  readonly diameter: number;
  readonly chips: Machine['chips'];
  /** Entry loss on the port's velocity pressure. */
  readonly entryLoss: number;
  /** Across and along the way boards go, m. */
  readonly width: number;
  readonly depth: number;
  /** To its top, m: only drawn, nothing is worked out from it. */
  readonly height: number;
  /** How boards pass it: along its depth, across it, from its front alone, or not at all. */
  readonly feed: Feed;
  /** The side its port is on, and its height over the floor, m. */
  readonly portSide: PortSide;
  readonly portHeight: number;
}

export type PortSide = 'left' | 'right' | 'back';

export type Feed = 'along' | 'across' | 'front' | 'none';

const kind = (
  name: string,
  flow: number,
  inches: number,
  chips: Machine['chips'],
  entryLoss: number,
  [width, depth, height]: readonly [number, number, number],
  feed: Feed,
  portSide: PortSide,
  portHeight: number,
): MachineKind => ({
  name,
  flow: toSI(flow, 'cfm'),
  diameter: toSI(inches, 'in'),
  chips,
  entryLoss,
  width: toSI(width, 'in'),
  depth: toSI(depth, 'in'),
  height: toSI(height, 'in'),
  feed,
  portSide,
  portHeight: toSI(portHeight, 'in'),
});

/**
 * Machines a small shop has, with values to start from: name, CFM, port in inches, chips, entry loss,
 * size in inches across and along the way boards go and to its top, how they go, the port's side and its height in
 * inches.
 * All common practice, no source; every one is edited to what stands in the shop.
 */
export const MACHINE_KINDS = {
  tableSaw: kind('Table saw', 375, 4, 'chips', 2, [62, 30, 35], 'along', 'left', 10),
  sawGuard: kind('Overarm saw guard', 125, 3, 'fine', 1, [12, 12, 88], 'none', 'back', 84),
  jointer: kind('Jointer', 425, 4, 'long', 1.5, [24, 72, 36], 'along', 'left', 12),
  planer: kind('Thickness planer, 12–15 in.', 550, 5, 'long', 2, [24, 24, 44], 'along', 'back', 38),
  widePlaner: kind(
    'Thickness planer, 20 in.',
    800,
    6,
    'long',
    2,
    [36, 40, 48],
    'along',
    'back',
    42,
  ),
  bandSaw: kind('Band saw', 400, 4, 'chips', 2, [24, 28, 72], 'along', 'left', 20),
  drumSander: kind('Drum sander', 500, 4, 'fine', 1.5, [38, 24, 52], 'along', 'back', 44),
  discSander: kind('Disc or edge sander', 425, 4, 'fine', 1.5, [26, 24, 48], 'front', 'left', 30),
  spindleSander: kind('Spindle sander', 350, 4, 'fine', 1.5, [20, 20, 40], 'front', 'back', 24),
  routerTable: kind('Router table', 350, 4, 'chips', 2, [30, 24, 37], 'across', 'back', 36),
  shaper: kind('Shaper', 500, 5, 'chips', 1.5, [28, 30, 40], 'across', 'back', 36),
  lathe: kind('Lathe hood', 500, 5, 'chips', 0.5, [60, 22, 46], 'front', 'back', 42),
  mitreSaw: kind('Miter saw hood', 500, 5, 'chips', 0.5, [28, 30, 50], 'across', 'back', 46),
  drillPress: kind('Drill press', 300, 4, 'chips', 0.93, [20, 26, 68], 'front', 'back', 40),
  cnc: kind('CNC shoe', 425, 4, 'chips', 1.5, [54, 54, 64], 'front', 'back', 60),
  floorSweep: kind('Floor sweep, 4 in.', 350, 4, 'chips', 0.49, [12, 6, 6], 'none', 'back', 4),
  wideFloorSweep: kind('Floor sweep, 6 in.', 785, 6, 'chips', 0.49, [14, 8, 8], 'none', 'back', 5),
} as const satisfies Record<string, MachineKind>;

export type MachineKindId = keyof typeof MACHINE_KINDS;
export const MACHINE_KIND_IDS = Object.keys(MACHINE_KINDS) as [MachineKindId, ...MachineKindId[]];
