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
  /** How boards pass it: along its depth, across it, from its front alone, or not at all. */
  readonly feed: Feed;
}

export type Feed = 'along' | 'across' | 'front' | 'none';

const kind = (
  name: string,
  flow: number,
  inches: number,
  chips: Machine['chips'],
  entryLoss: number,
  [width, depth]: readonly [number, number],
  feed: Feed,
): MachineKind => ({
  name,
  flow: toSI(flow, 'cfm'),
  diameter: toSI(inches, 'in'),
  chips,
  entryLoss,
  width: toSI(width, 'in'),
  depth: toSI(depth, 'in'),
  feed,
});

/**
 * Machines a small shop has, with values to start from: name, CFM, port in inches, chips, entry loss,
 * size in inches across and along the way boards go, and how they go.
 * All common practice, no source; every one is edited to what stands in the shop.
 */
export const MACHINE_KINDS = {
  tableSaw: kind('Table saw', 375, 4, 'chips', 2, [62, 30], 'along'),
  sawGuard: kind('Overarm saw guard', 125, 3, 'fine', 1, [12, 12], 'none'),
  jointer: kind('Jointer', 425, 4, 'long', 1.5, [24, 72], 'along'),
  planer: kind('Thickness planer, 12–15 in.', 550, 5, 'long', 2, [24, 24], 'along'),
  widePlaner: kind('Thickness planer, 20 in.', 800, 6, 'long', 2, [36, 40], 'along'),
  bandSaw: kind('Band saw', 400, 4, 'chips', 2, [24, 28], 'along'),
  drumSander: kind('Drum sander', 500, 4, 'fine', 1.5, [38, 24], 'along'),
  discSander: kind('Disc or edge sander', 425, 4, 'fine', 1.5, [26, 24], 'front'),
  spindleSander: kind('Spindle sander', 350, 4, 'fine', 1.5, [20, 20], 'front'),
  routerTable: kind('Router table', 350, 4, 'chips', 2, [30, 24], 'across'),
  shaper: kind('Shaper', 500, 5, 'chips', 1.5, [28, 30], 'across'),
  lathe: kind('Lathe hood', 500, 5, 'chips', 0.5, [60, 22], 'front'),
  mitreSaw: kind('Mitre saw hood', 500, 5, 'chips', 0.5, [28, 30], 'across'),
  drillPress: kind('Drill press', 300, 4, 'chips', 0.93, [20, 26], 'front'),
  cnc: kind('CNC shoe', 425, 4, 'chips', 1.5, [54, 54], 'front'),
  floorSweep: kind('Floor sweep, 4 in.', 350, 4, 'chips', 0.49, [12, 6], 'none'),
  wideFloorSweep: kind('Floor sweep, 6 in.', 785, 6, 'chips', 0.49, [14, 8], 'none'),
} as const satisfies Record<string, MachineKind>;

export type MachineKindId = keyof typeof MACHINE_KINDS;
export const MACHINE_KIND_IDS = Object.keys(MACHINE_KINDS) as [MachineKindId, ...MachineKindId[]];
