import { lookUp, type Table } from '../quantity/look-up';
import type { ValidRange } from '../quantity/valid-range';

/**
 * Branch angle in degrees, loss on the branch's velocity pressure. Source: ACGIH Industrial
 * Ventilation, branch entry losses (from memory), 15° to 90°. The row at 180° is ours, an estimate:
 * it goes on at the last slope, so that a branch turned against the flow never looks as good as a tee.
 */
export const BRANCH_ENTRY: Table = [
  [0, 0],
  [15, 0.09],
  [30, 0.18],
  [45, 0.28],
  [60, 0.44],
  [90, 1],
  [180, 2.68],
];

/** Angles the branch formulas, table and momentum alike, were made for. */
export const BRANCH_ANGLES: ValidRange = {
  what: 'angle of the branch',
  kind: 'angle',
  least: Math.PI / 12,
  most: Math.PI / 2,
};

/**
 * Loss coefficient of a branch entering a main, by the handbook's table, on the branch's own
 * velocity pressure; the straight leg loses nothing.
 * @param angle between branch and main, rad, 0 to π
 * @example branchEntryLoss(Math.PI / 4) // 0.28
 */
export const branchEntryLoss = (angle: number): number =>
  lookUp(BRANCH_ENTRY, (Math.abs(angle) * 180) / Math.PI);
