import type { Shop } from '../design/schema';
import type { Evaluation } from './evaluate';
import type { Improvement, WorkKind } from './improvement';

/** What an improvement breaks. */
export type Broken =
  | 'new circuit'
  | 'new blower'
  | 'too high'
  | 'off its casters'
  | 'over its circuit'
  | 'over its motor';

/** What ties a collector to its place: a hole in the wall, or a box around it. */
const FIXED = new Set<WorkKind>(['outdoors', 'enclosure']);

/** Height something may stand too high by without anyone minding, m. */
const SAME = 1e-3;

/** The house's rules, its circuit and its motor, that an improvement breaks and the shop does not break already. */
export function brokenRules(
  { work, buys }: Improvement,
  before: Evaluation,
  after: Evaluation,
  { rules }: Pick<Shop['advice'], 'rules'>,
): Broken[] {
  const isNewBlower = work.kind === 'blower' || work.kind === 'candidate';
  const { highest } = rules;
  const isTooHigh =
    highest !== null && after.height > highest + SAME && after.height > before.height + SAME;
  return [
    ...(rules.noNewCircuit && buys.some(({ item }) => item === 'circuit')
      ? ['new circuit' as const]
      : []),
    ...(rules.noNewBlower && isNewBlower ? ['new blower' as const] : []),
    ...(isTooHigh ? ['too high' as const] : []),
    ...(rules.onCasters && FIXED.has(work.kind) ? ['off its casters' as const] : []),
    ...(after.isOverloaded && !before.isOverloaded ? ['over its motor' as const] : []),
    ...(after.isOverCircuit && !before.isOverCircuit ? ['over its circuit' as const] : []),
  ];
}
