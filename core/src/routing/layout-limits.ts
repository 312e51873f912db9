import { toSI } from '../quantity/units';

/** Hose longer than this is called long, m: common practice, no source. */
export const LONG_HOSE = toSI(6, 'ft');
/** A duct that hangs lower than this over free floor is run into, m: common practice, no source. */
export const HEAD_HEIGHT = toSI(78, 'in');
/** Up to so high a duct lies on the floor and is stepped over, not run into, m. */
export const FLOOR_DUCT = toSI(16, 'in');
/** What is left of a leg when something beside it moves, m: an estimate. */
export const LEAST_LEG = 0.05;
/** Nearer to a wall than this nobody walks, m: common practice, no source. */
export const BESIDE_WALL = 0.6;
/** Straight duct a collector's inlet wants, in diameters. Source: AMCA 201 asks for 3 to 5 (from memory). */
export const INLET_STRAIGHT = 3;
