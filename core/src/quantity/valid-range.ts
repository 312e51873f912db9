import type { QuantityKind } from './unit-system';

/** What a formula or table was made for. Outside it the value at its nearer end is used. */
export interface ValidRange {
  /** In the trade's words: 'radius over diameter'. */
  readonly what: string;
  readonly kind: QuantityKind;
  readonly least: number;
  readonly most: number;
}

/** A value that lay outside a range, and what was used instead. */
export interface ClampedValue {
  readonly what: string;
  readonly kind: QuantityKind;
  readonly given: number;
  readonly used: number;
}

const SLACK = 1e-9;

/**
 * The value, clamped to the range.
 * @example heldTo({ what: 'angle', kind: 'angle', least: 0, most: 1 }, 1.5) // 1
 */
export const clampTo = ({ least, most }: ValidRange, value: number): number =>
  Math.min(Math.max(value, least), most);

/** What has to be said about a value outside its range; null within it. */
export function clampedValue(range: ValidRange, given: number): ClampedValue | null {
  const used = clampTo(range, given);
  const { what, kind } = range;
  return Math.abs(used - given) <= SLACK * Math.abs(given) ? null : { what, kind, given, used };
}
