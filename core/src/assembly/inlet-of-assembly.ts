import { CHAINS, chainOrder } from '../design/chain-order';
import type { CollectorParts } from '../design/edit-candidates';
import { standAssembly } from './stand-assembly';

const WAYS = { left: [-1, 0], right: [1, 0], front: [0, -1], back: [0, 1] } as const;

/** A round inlet's middle stands so many of its diameters under the top of what it enters. */
const UNDER_TOP = 0.6;

/**
 * Where the ducts meet a collector: on that side of the first part their air comes to (separator,
 * blower or filter), m from the middle of its footprint, z over its floor. A separator is entered
 * just under its top, a blower or filter at half its height.
 */
export function inletOfAssembly(
  parts: CollectorParts,
  ceiling: number | null,
  side: keyof typeof WAYS,
): { readonly x: number; readonly y: number; readonly z: number } {
  const { placed, floor } = standAssembly(parts, ceiling);
  const middle = floor.x0 + floor.width / 2;
  const first = CHAINS[chainOrder(parts)]
    .map((part) => placed.find((each) => each.part === part))
    .find((part) => part !== undefined);
  const { inletDiameter } = parts.separator;
  if (!first) return { x: 0, y: 0, z: inletDiameter };
  const half = (first.x1 - first.x0) / 2;
  const [x, y] = WAYS[side];
  return {
    x:
      (first.x0 + first.x1) / 2 - (floor.width > 0 ? middle : (first.x0 + first.x1) / 2) + x * half,
    y: y * half,
    z:
      first.part === 'separator'
        ? Math.max(0, first.z1 - UNDER_TOP * inletDiameter)
        : (first.z0 + first.z1) / 2,
  };
}
