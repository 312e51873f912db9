import type { Taken } from '@frank-gauge/core/journal';
import { parseQuantity, STYLES } from '@frank-gauge/core/quantity';

export interface Repeat {
  readonly text: string;
  readonly isOver: boolean;
}

/** The most a hand-held meter could say: a slip beyond it is refused. SI. */
const MOST = { velocity: 100, flow: 20 } as const;

type ReadRepeat =
  | { readonly ok: true; readonly taken: Taken | null }
  | { readonly ok: false; readonly reason: string };

/** Reads one repeat; a blank one is no repeat. */
export function readRepeat(
  repeat: Repeat,
  quantity: 'velocity' | 'flow',
  system: 'us' | 'metric',
): ReadRepeat {
  if (repeat.text.trim() === '') {
    return repeat.isOver
      ? { ok: false, reason: 'Enter the end of the meter’s range.' }
      : { ok: true, taken: null };
  }
  const parsed = parseQuantity(repeat.text, STYLES[system][quantity]);
  if (!parsed.ok) return parsed;
  if (parsed.value < 0) return { ok: false, reason: 'A reading is not below zero.' };
  if (parsed.value > MOST[quantity])
    return { ok: false, reason: 'No meter reads that high; check the unit.' };
  if (repeat.isOver && parsed.value === 0) {
    return { ok: false, reason: 'A meter’s range does not end at zero.' };
  }
  return repeat.isOver
    ? { ok: true, taken: { kind: 'over', limit: parsed.value } }
    : { ok: true, taken: { kind: 'value', value: parsed.value } };
}
