import type { Air } from '../air/air-at-site';
import { circleArea } from '../air/velocity-pressure';
import { pipeFriction } from './pipe-friction';
import { type PowerFit, powerFitFriction } from './power-fit';

/**
 * How a length of duct takes pressure: by Darcy–Weisbach with Colebrook's factor, or by a handbook's
 * power fit. `multiplier` is what both are multiplied by.
 */
export type FrictionLaw =
  | {
      readonly law: 'darcy';
      /** m */
      readonly length: number;
      /** m */
      readonly roughness: number;
      readonly multiplier: number;
    }
  | {
      readonly law: 'power';
      readonly length: number;
      readonly fit: PowerFit;
      readonly multiplier: number;
    };

/** Darcy: the loss is this times the friction factor times flow squared. Pa per (m³/s)². */
export function darcyCoefficient(
  length: number,
  multiplier: number,
  diameter: number,
  density: number,
): number {
  const area = circleArea(diameter);
  return (multiplier * length * density) / (2 * diameter * area * area);
}

/** Reynolds number per m³/s. */
export const reynoldsPerFlow = (diameter: number, air: Air): number =>
  (air.density * diameter) / (air.viscosity * circleArea(diameter));

/**
 * Pressure in Pa that friction takes from `flow` (m³/s, of either sign, like the loss) in a round
 * duct of true inside `diameter` m.
 * @example // 1000 CFM in 12-in. galvanised pipe, 100 ft: about 0.19 in. w.g.
 * const law = { law: 'darcy', length: 30.48, roughness: 0.09e-3, multiplier: 1 } as const
 * frictionLoss(law, 0.4719, 0.3048, { density: 1.2014, viscosity: 1.82e-5 }) // 48 Pa
 */
export function frictionLoss(law: FrictionLaw, flow: number, diameter: number, air: Air): number {
  const size = Math.abs(flow);
  const loss =
    law.law === 'power'
      ? powerFitFriction(law.fit, size, law.length, diameter, air.density)
      : pipeFriction(size, law.length, diameter, law.roughness, air);
  return Math.sign(flow) * law.multiplier * loss;
}
