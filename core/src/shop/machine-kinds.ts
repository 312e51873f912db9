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
}

const kind = (
  name: string,
  flow: number,
  inches: number,
  chips: Machine['chips'],
  entryLoss: number,
): MachineKind => ({
  name,
  flow: toSI(flow, 'cfm'),
  diameter: toSI(inches, 'in'),
  chips,
  entryLoss,
});

/**
 * Machines a small shop has, with values to start from: name, CFM, port in inches, chips, entry loss.
 * All common practice, no source; every one is edited to what stands in the shop.
 */
export const MACHINE_KINDS = {
  tableSaw: kind('Table saw', 375, 4, 'chips', 2),
  sawGuard: kind('Overarm saw guard', 125, 3, 'fine', 1),
  jointer: kind('Jointer', 425, 4, 'long', 1.5),
  planer: kind('Thickness planer, 12–15 in.', 550, 5, 'long', 2),
  widePlaner: kind('Thickness planer, 20 in.', 800, 6, 'long', 2),
  bandSaw: kind('Band saw', 400, 4, 'chips', 2),
  drumSander: kind('Drum sander', 500, 4, 'fine', 1.5),
  discSander: kind('Disc or edge sander', 425, 4, 'fine', 1.5),
  spindleSander: kind('Spindle sander', 350, 4, 'fine', 1.5),
  routerTable: kind('Router table', 350, 4, 'chips', 2),
  shaper: kind('Shaper', 500, 5, 'chips', 1.5),
  lathe: kind('Lathe hood', 500, 5, 'chips', 0.5),
  mitreSaw: kind('Mitre saw hood', 500, 5, 'chips', 0.5),
  drillPress: kind('Drill press', 300, 4, 'chips', 0.93),
  cnc: kind('CNC shoe', 425, 4, 'chips', 1.5),
  floorSweep: kind('Floor sweep, 4 in.', 350, 4, 'chips', 0.49),
  wideFloorSweep: kind('Floor sweep, 6 in.', 785, 6, 'chips', 0.49),
} as const satisfies Record<string, MachineKind>;

export type MachineKindId = keyof typeof MACHINE_KINDS;
export const MACHINE_KIND_IDS = Object.keys(MACHINE_KINDS) as [MachineKindId, ...MachineKindId[]];
