import { circleArea } from '../air/velocity-pressure';
import type { SeparatorKind } from '../catalogue/ids';
import type { Origin } from '../quantity/origin';
import { type CycloneProportions, inletArea, inletCoefficient } from './cyclone';

/**
 * Kinds of separator: the velocity heads of their inlet they usually take, with the range they are
 * met in, and the share of dust by mass their bin catches while it is not overfull (common practice, no
 * source). The heads are estimates that agree with what shops measured before and after
 * (`core/reference/trade-facts.test.ts`), to be fitted to the user's own readings.
 *
 * A cyclone designed by its proportions takes what Shepherd and Lapple's formula says instead, 6.4
 * for high-efficiency ones: small cyclones as they are sold are wider in their inlet and outlet.
 */
export const SEPARATORS = {
  none: {
    name: 'None, one stage',
    lossCoefficient: 0,
    range: [0, 0],
    caught: 0,
    origin: 'standard',
  },
  cyclone: { name: 'Cyclone', lossCoefficient: 3, range: [2, 5], caught: 0.97, origin: 'estimate' },
  baffle: {
    name: 'Slotted baffle in a drum',
    lossCoefficient: 9,
    range: [7, 12],
    caught: 0.92,
    origin: 'estimate',
  },
  lid: {
    name: 'Lid with two elbows',
    lossCoefficient: 5,
    range: [4, 8],
    caught: 0.88,
    origin: 'estimate',
  },
} as const satisfies Record<
  SeparatorKind,
  {
    name: string;
    lossCoefficient: number;
    range: readonly [number, number];
    caught: number;
    origin: Origin;
  }
>;

/**
 * A cyclone's loss as heads of the round inlet of `inletDiameter` m that feeds its rectangular one:
 * Shepherd and Lapple's heads, times how much faster the air is in the rectangle, squared.
 * @example // a high-efficiency cyclone whose inlet is as large as the pipe: 6.4
 */
export const roundInletCoefficient = (cyclone: CycloneProportions, inletDiameter: number): number =>
  inletCoefficient(cyclone) * (circleArea(inletDiameter) / inletArea(cyclone)) ** 2;
