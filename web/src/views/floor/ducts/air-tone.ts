import { carriageOf, LIMITS, minimumTransport } from '@frank-gauge/core/analysis';
import type { Rules } from '@frank-gauge/core/design';

/** How air moves in a duct, for the eye: tone, and a mark that says the same without colour. */
export interface AirTone {
  readonly state: 'still' | 'settling' | 'between' | 'carrying' | 'fast';
  /** Of the air's one hue, 0 to 1. */
  readonly opacity: number;
}

/** No air at all. */
export const STILL_AIR: AirTone = { state: 'still', opacity: 0 };

/** Air slower than this is no more than a leak, m/s. */
const STILL = 0.3;

/**
 * The tone of so fast an air, m/s, by the shop's rules.
 * @param isFineOnly nothing but fine dust passes, which settles at no speed
 */
export function airTone(
  velocity: number,
  rules: Pick<Rules, 'carryingVelocity' | 'settlingVelocity'>,
  { isFineOnly = false }: { readonly isFineOnly?: boolean } = {},
): AirTone {
  const speed = Math.abs(velocity);
  if (speed < STILL) return STILL_AIR;
  const carriage = carriageOf(velocity, rules);
  if (carriage === 'settling') {
    const opacity = 0.12 + (0.2 * speed) / minimumTransport(rules, 'main');
    return { state: isFineOnly ? 'between' : 'settling', opacity };
  }
  if (carriage === 'moving') return { state: 'between', opacity: 0.55 };
  return speed > LIMITS.fastDuct.value
    ? { state: 'fast', opacity: 0.95 }
    : { state: 'carrying', opacity: 0.85 };
}
