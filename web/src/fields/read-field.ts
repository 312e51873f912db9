import {
  formatShort,
  parseQuantity,
  type QuantityKind,
  STYLES,
  type UnitSystem,
} from '@frank-gauge/core/quantity';
import { oneStop } from '@/words/one-stop';
import { roundLimit } from './round-limit';

/** What a field takes. */
export interface FieldLimits {
  readonly kind: QuantityKind;
  readonly system: UnitSystem;
  /** SI limits; a value outside is refused with a sentence. */
  readonly min?: number;
  readonly max?: number;
  /** `min` itself is refused too. */
  readonly isMinExcluded?: boolean;
  /** Only whole numbers make sense. */
  readonly isWhole?: boolean;
}

type Read =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly reason: string };

/** Reads what was typed and holds it against the field's limits. */
export function readField(
  text: string,
  { kind, system, min, max, isMinExcluded, isWhole }: FieldLimits,
): Read {
  const parsed = parseQuantity(text, STYLES[system][kind]);
  if (!parsed.ok) return parsed;
  const { value } = parsed;
  const write = (limit: number) => formatShort(limit, kind, system);
  if (min !== undefined && (isMinExcluded ? value <= min : value < min)) {
    const reason = isMinExcluded
      ? oneStop(`${write(value)} is too little: it has to be more than ${write(min)}.`)
      : `${write(value)} is too little: ${write(roundLimit(min, 'least', kind, system))} is the least.`;
    return { ok: false, reason };
  }
  if (max !== undefined && value > max) {
    const most = write(roundLimit(max, 'most', kind, system));
    return { ok: false, reason: `${write(value)} is too much: ${most} is the most.` };
  }
  if (isWhole && !Number.isInteger(value)) {
    return { ok: false, reason: 'Write a whole number.' };
  }
  return { ok: true, value };
}
