import type { CollectorParts } from './edit-candidates';
import type { Assembly } from './schema';

export type ChainOrder = Assembly['order'];

export type ChainPart = 'separator' | 'blower' | 'filter';

/** What the air meets after what, in each order. */
export const CHAINS: Readonly<Record<ChainOrder, readonly ChainPart[]>> = {
  pulled: ['separator', 'blower', 'filter'],
  pushed: ['blower', 'separator', 'filter'],
  cleanSide: ['separator', 'filter', 'blower'],
};

/**
 * The order a collector's parts really stand in: pushed needs a separator to push through, and a
 * blower can only stand behind a filter that gives its air back to the room at once.
 */
export function chainOrder({
  assembly,
  separator,
  exhaust,
}: Pick<CollectorParts, 'assembly' | 'separator' | 'exhaust'>): ChainOrder {
  if (assembly.order === 'pushed') return separator.kind === 'none' ? 'pulled' : 'pushed';
  if (assembly.order === 'cleanSide') return exhaust.kind === 'filter' ? 'cleanSide' : 'pulled';
  return 'pulled';
}

/** The parts that are there, as the air meets them. */
export const chainOf = (
  parts: Pick<CollectorParts, 'assembly' | 'separator' | 'exhaust'>,
): ChainPart[] =>
  CHAINS[chainOrder(parts)].filter(
    (part) => part !== 'separator' || parts.separator.kind !== 'none',
  );

export type Reordered =
  | { readonly ok: true; readonly order: ChainOrder }
  | {
      readonly ok: false;
      /** Why the air cannot go so. */
      readonly why: 'filter ahead of the separator' | 'nothing behind the filter';
    };

/**
 * The order that puts the parts as `wanted` has them, or why there is none: a filter ahead of the
 * separator would get all the chips, and behind a way outdoors, another room or an enclosure there is
 * no shop to put a blower in.
 * @example reorderChain(parts, ['separator', 'filter', 'blower']) // { ok: true, order: 'cleanSide' }
 */
export function reorderChain(
  { separator, exhaust }: Pick<CollectorParts, 'separator' | 'exhaust'>,
  wanted: readonly ChainPart[],
): Reordered {
  const at = (part: ChainPart) => wanted.indexOf(part);
  if (separator.kind !== 'none' && at('filter') < at('separator')) {
    return { ok: false, why: 'filter ahead of the separator' };
  }
  if (at('filter') < at('blower')) {
    return exhaust.kind === 'filter'
      ? { ok: true, order: 'cleanSide' }
      : { ok: false, why: 'nothing behind the filter' };
  }
  const isPushed = separator.kind !== 'none' && at('blower') < at('separator');
  return { ok: true, order: isPushed ? 'pushed' : 'pulled' };
}
