import type { Quantity } from '../journal/reading';
import type { TestPoint } from '../journal/test-point';

/** What a meter measures at a test point, after every correction. */
export interface Measurand {
  readonly at: TestPoint['at'];
  /** Flow in m³/s, static pressure in Pa without its sign, the motor's current in A. */
  readonly shows: 'flow' | 'pressure' | 'current';
}

/** What a meter measures of each quantity it shows; null: nothing the model knows. */
export function measuredBy(quantity: Quantity): Measurand['shows'] | null {
  switch (quantity) {
    case 'velocity':
    case 'flow':
    case 'velocity pressure':
      return 'flow';
    case 'pressure':
    case 'current':
      return quantity;
    default:
      return null;
  }
}
