import type { Air } from '../air/air-at-site';
import { circleArea, velocityPressure } from '../air/velocity-pressure';
import { frictionFactor } from './colebrook';

const STILL = 1e-9;

/**
 * Pressure in Pa that friction takes from `flow` (m³/s, ≥ 0) in a straight round pipe: the
 * Darcy–Weisbach equation, f·(L/D)·VP.
 * @param length m
 * @param diameter true inside diameter, m
 * @param roughness m
 * @example // 1000 CFM in 12-in. galvanised pipe, 100 ft: about 0.19 in. w.g.
 * pipeFriction(0.4719, 30.48, 0.3048, 0.09e-3, { density: 1.2014, viscosity: 1.82e-5 }) // 48 Pa
 */
export function pipeFriction(
  flow: number,
  length: number,
  diameter: number,
  roughness: number,
  air: Air,
): number {
  if (flow <= 0) return 0;
  const velocity = flow / circleArea(diameter);
  const reynolds = (air.density * velocity * diameter) / air.viscosity;
  // So near rest 64/Re overflows, while the loss itself is nothing a number could hold.
  if (reynolds < STILL) return 0;
  const factor = frictionFactor(reynolds, roughness / diameter);
  return ((factor * length) / diameter) * velocityPressure(velocity, air.density);
}
