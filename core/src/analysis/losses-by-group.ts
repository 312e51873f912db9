import { isFittingKind } from '../fittings/kinds/fitting-kinds';
import type { ProfileStep } from './pressure-profile';

/** What takes pressure on a drop's way, in the order the air meets it. */
export const PART_GROUPS = [
  'hood',
  'hose',
  'gate',
  'pipe',
  'fittings',
  'junctions',
  'separator',
  'exhaust',
] as const;
export type PartGroup = (typeof PART_GROUPS)[number];

/** Total pressure each group takes on a drop's way, Pa: together it is what the blower gives. */
export function lossesByGroup(steps: readonly ProfileStep[]): Readonly<Record<PartGroup, number>> {
  const losses: Record<PartGroup, number> = {
    ...{ hood: 0, hose: 0, gate: 0, pipe: 0 },
    ...{ fittings: 0, junctions: 0, separator: 0, exhaust: 0 },
  };
  for (const { kind, loss } of steps) {
    const group = groupOf(kind);
    if (group) losses[group] += loss;
  }
  return losses;
}

function groupOf(kind: ProfileStep['kind']): PartGroup | null {
  if (isFittingKind(kind)) return 'fittings';
  switch (kind) {
    case 'blower':
      return null;
    case 'entry':
      return 'hood';
    case 'reducer':
    case 'inlet':
      return 'fittings';
    case 'branch':
    case 'straight':
      return 'junctions';
    default:
      return kind;
  }
}
