import type { Shop } from '../design/schema';
import type { Evaluation } from './evaluate';
import type { Improvement, WorkKind } from './improvement';

/** Who or what some work takes beside time and money. */
export type Need = 'electrician' | 'second person' | 'maker’s word' | 'sheet metal';

/** Works that lift the blower with its motor. */
const LIFTS = new Set<WorkKind>([
  'blower',
  'candidate',
  'other room',
  'move the collector',
  'separator',
]);
/** Works that stand or fall with what a maker allows. */
const BY_MAKER = new Set<WorkKind>(['impeller', 'smaller impeller', 'faster']);
/** What one person lifts alone, kg: common practice, no source. */
const LIFTED_ALONE = 23;

/** What an improvement takes that not everybody has at hand. */
export function needsOf(
  { work, buys }: Pick<Improvement, 'work' | 'buys'>,
  { weight }: Pick<Evaluation, 'weight'>,
): Need[] {
  const bought = (item: keyof Shop['advice']['prices']) => buys.some((each) => each.item === item);
  return [
    ...(bought('circuit') || bought('receptacle') ? ['electrician' as const] : []),
    ...(LIFTS.has(work.kind) && weight > LIFTED_ALONE ? ['second person' as const] : []),
    ...(BY_MAKER.has(work.kind) ? ['maker’s word' as const] : []),
    ...(bought('hood') ? ['sheet metal' as const] : []),
  ];
}
