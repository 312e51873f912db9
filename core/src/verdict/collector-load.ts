import { faceVelocity } from '../collector/filter';
import { CONDUCTOR_MARGIN, fullLoadCurrent, motorCurrent, shaftPower } from '../collector/motor';
import type { ShopSolution } from '../network/solve-shop';
import type { Shop } from '../shop/schema';

/** How the collector stands at its operating point. SI. */
export interface CollectorLoad {
  readonly shaftPower: number;
  /** A, an estimate. */
  readonly current: number;
  readonly fullLoadCurrent: number;
  readonly breaker: number;
  /** The breaker is smaller than the code's 125 % of full-load current. */
  readonly isCircuitSmall: boolean;
  /** The shaft is asked for more than the motor's rated power. */
  readonly isOverloaded: boolean;
  /** m/s through the filter's media; null without a filter. */
  readonly faceVelocity: number | null;
}

export function collectorLoad(shop: Shop, { blower: air }: ShopSolution): CollectorLoad {
  const { blower, exhaust } = shop.collector;
  const power = shaftPower(air.flow, air.rise, blower.efficiency);
  const full = fullLoadCurrent(blower.motor).current;
  return {
    shaftPower: power,
    current: motorCurrent(blower.motor, power),
    fullLoadCurrent: full,
    breaker: blower.breaker,
    isCircuitSmall: full * CONDUCTOR_MARGIN > blower.breaker * 1.001,
    isOverloaded: power > blower.motor.power * 1.001,
    faceVelocity: exhaust.kind === 'filter' ? faceVelocity(air.flow, exhaust) : null,
  };
}
