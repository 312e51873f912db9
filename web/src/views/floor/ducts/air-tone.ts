import { LIMITS } from '@frank-gauge/core';

/** How air moves in a duct, for the eye: tone, and a mark that says the same without colour. */
export interface AirTone {
  readonly state: 'still' | 'settling' | 'between' | 'carrying' | 'fast';
  /** Of the air's one hue, 0 to 1. */
  readonly opacity: number;
}

/** Air slower than this is no more than a leak, m/s. */
const STILL = 0.3;

/** The tone of so fast an air, m/s, in a shop with such settling and carrying velocities. */
export function airTone(
  velocity: number,
  { settlingVelocity, carryingVelocity }: { settlingVelocity: number; carryingVelocity: number },
): AirTone {
  const speed = Math.abs(velocity);
  if (speed < STILL) return { state: 'still', opacity: 0 };
  if (speed < settlingVelocity) {
    return { state: 'settling', opacity: 0.12 + (0.2 * speed) / settlingVelocity };
  }
  if (speed < carryingVelocity) return { state: 'between', opacity: 0.55 };
  return speed > LIMITS.fastDuct.value
    ? { state: 'fast', opacity: 0.95 }
    : { state: 'carrying', opacity: 0.85 };
}
