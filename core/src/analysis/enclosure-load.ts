import { boxQuieting, boxWarmth } from '../collector/enclosure';
import { shaftPower } from '../collector/shaft-power';
import type { CollectorParts } from '../design/edit-candidates';
import type { ShopSolution } from '../network/solve-shop';
import { LIMITS } from './findings/limits';

/** What an enclosure costs in air, and does to noise and warmth. SI. */
export interface EnclosureLoad {
  /** m/s through the return filter, and what that takes, Pa, clean. */
  readonly returnVelocity: number;
  readonly pressure: number;
  /** Area at which the return runs at its usual most, m². */
  readonly areaWanted: number;
  readonly isReturnFast: boolean;
  /** Null until a box is described. */
  readonly box: {
    /** dB, rough. */
    readonly quieting: number;
    /** K over the room, as it runs, and with every gate shut. */
    readonly warmth: number;
    readonly warmthChoked: number;
  } | null;
}

/** How an enclosure does at a solution's flow; null where the collector has none. */
export function enclosureLoad(
  { exhaust, blower }: Pick<CollectorParts, 'exhaust' | 'blower'>,
  { blower: air, network }: ShopSolution,
): EnclosureLoad | null {
  if (exhaust.kind !== 'enclosure') return null;
  const { area, velocity, pressure } = exhaust.returnFilter;
  const returnVelocity = air.flow / area;
  const limit = LIMITS.fastReturn.value;
  const { density } = network.air;
  const { box } = exhaust;
  const warmthAt = (flow: number) =>
    box ? boxWarmth(box, shaftPower(flow, network.blower, blower.efficiency), flow, density) : 0;
  return {
    returnVelocity,
    pressure: (pressure * returnVelocity) / velocity,
    areaWanted: air.flow / limit,
    isReturnFast: returnVelocity > limit,
    box: box && {
      quieting: boxQuieting(box, area),
      warmth: warmthAt(air.flow),
      warmthChoked: warmthAt(0),
    },
  };
}
