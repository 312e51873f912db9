import type { Reading } from '@frank-gauge/core/journal';
import type { UnitSystem } from '@frank-gauge/core/quantity';
import { LOG_LINEAR } from '@frank-gauge/core/reading';
import { rulerLength } from '@/words/tape-length';

/** Where a point of a traverse lies, as one marks it on the probe: from the wall it comes in by. */
export function pointName(
  index: number,
  { points, diameters }: NonNullable<Reading['traverse']>,
  diameter: number,
  system: UnitSystem,
): string {
  const share = LOG_LINEAR[points][index % points] ?? 0;
  const across = diameters === 2 ? `Diameter ${Math.floor(index / points) + 1}, ` : '';
  return `${across}${rulerLength(share * diameter, system)} in`;
}
