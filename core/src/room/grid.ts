import { toSI } from '../quantity/units';

/** Things and points of ducts snap to so much of a grid, m: three inches, or five centimeters. */
export const GRID = { us: toSI(3, 'in'), metric: 0.05 } as const;

/** The nearest line of a grid, m. */
export const snapTo = (grid: number, value: number): number => Math.round(value / grid) * grid;
