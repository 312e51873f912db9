import type { ShopFailure } from '@frank-gauge/core/network';
import { formatQuantity, type UnitSystem } from '@frank-gauge/core/quantity';

/** Why a shop has no answer, and what to do about it. */
export function failureSentence(reason: ShopFailure, system: UnitSystem): string {
  switch (reason.kind) {
    case 'beyond-curve':
      return `With these gates open the blower would move more than ${formatQuantity(reason.lastFlow, 'flow', system)}, the last point of its curve, and its behavior beyond that is unknown. Add a point farther out, or shut a gate.`;
    case 'no-convergence':
      return 'No steady airflow was found for this layout. Look for a length or diameter that is far off.';
    case 'not-a-tree':
      return `The ducts do not connect to the blower: ${reason.problems[0]?.message ?? 'look at the runs'}.`;
  }
}
