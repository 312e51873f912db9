import type { CollectorParts } from '../design/edit-candidates';
import { sizesOf } from './usual-sizes';

/** Chips as they lie in a bin, sawdust among them, kg/m³: an estimate; dry shavings half of it. */
export const CHIP_DENSITY = 130;

/**
 * What one person may lift, kg: the load constant of the revised NIOSH lifting equation (1991, from
 * memory), close to the body. Reaching overhead or from the floor, less.
 */
export const LIFT_BY_ONE = 23;

/**
 * Share of the sum of what each could lift alone that people lift together: they get in each other's
 * way, and cannot all be close. UK HSE guidance L23 on team lifting, two and three people (from memory);
 * more than three lift no larger share.
 */
export const TEAM_SHARES = [1, 2 / 3, 1 / 2] as const;

/**
 * What people lift together, kg.
 * @param people one or more
 * @example liftBy(2) // 30.7
 */
export const liftBy = (people: number): number =>
  LIFT_BY_ONE * people * (TEAM_SHARES[Math.min(people, TEAM_SHARES.length) - 1] ?? 0.5);

/** Masses someone has to move, kg. */
export interface AssemblyMasses {
  /** The blower with its motor, up to where it is mounted. */
  readonly blower: number;
  /** The bin when full. */
  readonly fullBin: number;
  /** What has to be lifted off the bin to free it; 0 where the bin is lowered. */
  readonly offBin: number;
  /** What the people at hand may lift. */
  readonly byPeople: number;
}

/** m³ inside a bin, computed by its outside. */
export function binVolume(parts: CollectorParts): number {
  const { diameter, height } = sizesOf(parts).bin;
  const isRound = parts.assembly.bin.shape === 'round';
  return (isRound ? Math.PI / 4 : 1) * diameter ** 2 * height;
}

export function assemblyMasses(parts: CollectorParts): AssemblyMasses {
  const { assembly } = parts;
  const sizes = sizesOf(parts);
  const stands = assembly.mount.kind === 'onSeparator' ? sizes.blower.weight : 0;
  const hasBin = parts.separator.kind !== 'none';
  return {
    blower: sizes.blower.weight,
    fullBin: hasBin ? sizes.bin.weight + CHIP_DENSITY * binVolume(parts) : 0,
    offBin: hasBin && assembly.emptying.kind === 'lift' ? sizes.separator.weight + stands : 0,
    byPeople: liftBy(assembly.people),
  };
}
