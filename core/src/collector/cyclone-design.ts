import {
  type CycloneFamilyId,
  type CycloneProportions,
  cutSize,
  cycloneOf,
  type DustSizes,
  inletArea,
  inletCoefficient,
  shareCaught,
} from './cyclone';
import { roundInletCoefficient } from './separator';

/** Inlet speeds a cyclone works well at, m/s: below it drops dust, above it stirs it up again. */
export const INLET_SPEEDS = { least: 12, best: 18, most: 25 } as const;

/** A cyclone at work. */
export interface CycloneAtWork {
  readonly proportions: CycloneProportions;
  /** m/s in its rectangular inlet. */
  readonly inletSpeed: number;
  /** Velocity heads of that inlet, and of the round duct that feeds it. */
  readonly lossCoefficient: number;
  readonly roundCoefficient: number;
  /** Pa */
  readonly pressure: number;
  /** Half of this size is caught, m. */
  readonly cutSize: number;
  /** Share of the dust by mass. */
  readonly caught: number;
}

/**
 * What a cyclone of these proportions does at a flow, by Shepherd and Lapple, and Lapple.
 * @param flow m³/s, above zero
 * @param air density in kg/m³, viscosity in Pa·s
 */
export function cycloneAtWork(
  proportions: CycloneProportions,
  flow: number,
  air: { readonly density: number; readonly viscosity: number },
  dust: DustSizes,
  inletDiameter: number,
): CycloneAtWork {
  const inletSpeed = flow / inletArea(proportions);
  const coefficient = inletCoefficient(proportions);
  const cut = cutSize(proportions, flow, air);
  return {
    proportions,
    inletSpeed,
    lossCoefficient: coefficient,
    roundCoefficient: roundInletCoefficient(proportions, inletDiameter),
    pressure: (coefficient * air.density * inletSpeed ** 2) / 2,
    cutSize: cut,
    caught: shareCaught(dust, cut),
  };
}

/**
 * Body diameter in m at which a family's inlet runs at `speed` m/s with this flow.
 * @example // 0.27 m³/s at 18 m/s through a high-efficiency inlet (0.1·D²): 0.387 m
 * bodyForSpeed('highEfficiency', 0.27, 18)
 */
export const bodyForSpeed = (family: CycloneFamilyId, flow: number, speed: number): number =>
  Math.sqrt(flow / speed / inletArea(cycloneOf(family, 1)));
