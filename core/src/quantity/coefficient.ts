import type { Origin } from './origin';
import type { QuantityKind } from './unit-system';

/** One number the program uses. */
export interface Coefficient {
  readonly name: string;
  /** SI, or a plain number. */
  readonly value: number;
  readonly kind: QuantityKind;
  readonly origin: Origin;
}

/** Numbers that belong together, with the source they share. */
export interface CoefficientGroup {
  readonly title: string;
  /** What the numbers are on, in a few words, and what happens outside their range. */
  readonly about: string;
  readonly source: string;
  readonly coefficients: readonly Coefficient[];
}

export const FROM_MEMORY = 'from memory';

export const plain = (name: string, value: number, origin: Origin): Coefficient => ({
  name,
  value,
  kind: 'coefficient',
  origin,
});
