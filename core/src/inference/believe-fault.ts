import type { Shop } from '../design/schema';
import type { Fault } from './faults';

/**
 * Faults that a shop can be believed to have: what wears and leaks in it, not its meters nor what its parts are. A gate
 * that stands open by more than a gap is none either: it is shut, or it is mended.
 */
export const CAN_BE_BELIEVED: ReadonlySet<Fault['kind']> = new Set<Fault['kind']>([
  'opening',
  'gate not open',
  'filter',
  'leakage',
]);

/** Most that a shop's document takes: filter loading, leakage class, gap around a joint in m, opening in m². */
const MOST = { loading: 100, leakageClass: 1000, gap: 0.02, area: 1 };

/**
 * Puts a fault into the shop as found: from then on everything is predicted with it. Changes the shop it is given.
 * @param amount in the fault's own measure
 * @param on when the first reading was taken that shows it, ISO 8601
 */
export function believeFault(shop: Shop, fault: Fault, amount: number, on: string): void {
  const { condition, ducts } = shop;
  const origin = { kind: 'fitted', on } as const;
  switch (fault.kind) {
    case 'opening':
      condition.holes.push({ run: fault.run, area: Math.min(MOST.area, amount), origin });
      return;
    case 'filter': {
      const value = Math.min(MOST.loading, Math.max(1, condition.filterLoading.value * amount));
      condition.filterLoading = { value, origin };
      return;
    }
    case 'leakage': {
      const { sealing, joints } = condition;
      const more = (leakageClass: number) => Math.min(MOST.leakageClass, leakageClass * amount);
      const wider = (gap: number) => Math.min(MOST.gap, gap * amount);
      sealing.usual = more(sealing.usual);
      for (const run of sealing.runs) run.leakageClass = more(run.leakageClass);
      joints.usual = wider(joints.usual);
      for (const run of joints.runs) run.gap = wider(run.gap);
      for (const hole of condition.holes) hole.area = Math.min(MOST.area, hole.area * amount);
      return;
    }
    case 'gate not open': {
      const gate = ducts.runs.find(({ id }) => id === fault.run)?.gate;
      if (gate) gate.opening = Math.min(gate.opening, amount);
      return;
    }
    default:
      return;
  }
}
