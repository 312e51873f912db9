import { heatLost, makeUpOpening, openingResistance } from '../collector/air-outdoors';
import { timeToDue } from '../collector/cake';
import { cutSize, shareCaught } from '../collector/cyclone';
import {
  comfortableFaceVelocity,
  faceVelocity,
  filterResistance,
  workingLoading,
} from '../collector/filter';
import { finesLetBy } from '../collector/filter-grade';
import {
  CONDUCTOR_MARGIN,
  fullLoadCurrent,
  largestBreaker,
  motorCurrent,
  type WiringCode,
} from '../collector/motor';
import { plugCarries, plugSuits, startCurrent, TRIPS, wiringCode } from '../collector/plug';
import { greatestAirPower, shaftPower, staticEfficiency } from '../collector/shaft-power';
import type { Collector, Media, Shop } from '../design/schema';
import { factorsIn, type View } from '../network/assemble/setting';
import type { ShopSolution } from '../network/solve-shop';
import { dueLoading } from './due-loading';

/** What of a solution the collector sees. */
export type AtBlower = Pick<ShopSolution, 'blower' | 'network'>;

/** How the collector stands at its operating point. SI. */
export interface CollectorLoad {
  readonly shaftPower: number;
  /** Air power over shaft power, 0–1. */
  readonly efficiency: number;
  /** Flow at which this blower makes most air power. */
  readonly bestFlow: number;
  /** A, an estimate. */
  readonly current: number;
  readonly fullLoadCurrent: number;
  readonly circuit: CircuitLoad;
  /** While it starts, A, an estimate; and what its breaker lets pass for that moment, at the least. */
  readonly startCurrent: number;
  readonly startLimit: number;
  /** What its plug carries for hours, A; null where it is not known, or wired in. */
  readonly plugCarries: number | null;
  readonly isPlugWrong: boolean;
  /** The shaft is asked for more than the motor's rated power. */
  readonly isOverloaded: boolean;
  /** m/s through the filter's media; null without a filter. */
  readonly faceVelocity: number | null;
  readonly filter: FilterLoad | null;
  readonly separator: SeparatorLoad;
  readonly outdoors: OutdoorsLoad | null;
  readonly room: RoomLoad | null;
}

/** What a motor asks of its circuit, A. */
export interface CircuitLoad {
  /** Whose wiring rules it is held to. */
  readonly code: WiringCode;
  readonly breaker: number;
  /**
   * What its conductors have to carry: 125 % of full load by the American code, elsewhere full load.
   * An ordinary circuit's conductors carry what its breaker is rated for.
   */
  readonly conductors: number;
  /** The largest breaker the American code lets it have; null elsewhere. */
  readonly largestBreaker: number | null;
  /** The breaker is rated below what the conductors have to carry. */
  readonly isSmall: boolean;
  /** The breaker is rated above the largest one the code lets it have. */
  readonly isBreakerLarge: boolean;
}

export interface FilterLoad {
  readonly faceVelocity: number;
  /** Above which this media is called small for its flow. */
  readonly comfortable: number;
  /** Pa, at its present loading, and with the same flow when cleaned. */
  readonly pressure: number;
  readonly cleanPressure: number;
  readonly loading: number;
  /** Loading at which it takes a tenth of the air: then it is due for cleaning. */
  readonly dueLoading: number;
  /** Running time until it is due for cleaning, s; null where no dust reaches it. */
  readonly timeToDue: number | null;
  /** Most that gets by, as shares of each of `GRADE_BANDS`; null where its grade is not known. */
  readonly letBy: readonly [number, number, number] | null;
}

export interface SeparatorLoad {
  /** Separation efficiency: share of the dust by mass its bin catches. */
  readonly caught: number;
  /** Size half of which is caught, m; null where its proportions are not known, or without flow. */
  readonly cutSize: number | null;
}

/** How far the shop is drawn below where its air goes, Pa, and the way back that would do. */
export interface RoomLoad {
  readonly depression: number;
  /** Opening that keeps it within what heaters bear, m². */
  readonly opening: number;
}

/** What leaves the building with the air, while the blower runs. */
export interface OutdoorsLoad {
  /** Opening that lets it back in without drawing the building down, m². */
  readonly opening: number;
  /** W, and J in a season; null where outdoor temperature and hours are not known. */
  readonly heat: number | null;
  readonly heatInSeason: number | null;
}

/** The filter an exhaust has between blower and room; null for none. */
export const filterOf = ({ exhaust }: Pick<Collector, 'exhaust'>): Media | null =>
  exhaust.kind === 'outdoors' ? null : exhaust.filter;

export function collectorLoad(shop: Shop, solution: AtBlower, view: View): CollectorLoad {
  const { blower: air, network } = solution;
  const { blower } = shop.collector;
  const power = shaftPower(air.flow, network.blower, blower.efficiency);
  const code = wiringCode(blower.plug, blower.motor, shop.shop.units);
  const full = fullLoadCurrent(blower.motor, code).current;
  const separator = separatorLoad(shop, solution);
  const media = filterOf(shop.collector);
  const loading = view === 'found' ? shop.condition.filterLoading.value : 1;
  const factor = factorsIn(shop, view).filter;
  const filter = media && filterLoad(media, { loading, factor }, separator.caught, shop, solution);
  const point = { flow: air.flow, pressure: air.rise };
  return {
    shaftPower: power,
    efficiency: staticEfficiency(point, network.blower, blower.efficiency),
    bestFlow: greatestAirPower(network.blower).flow,
    current: currentDrawn(shop, solution),
    fullLoadCurrent: full,
    circuit: circuitLoad(code, full, blower.breaker),
    startCurrent: startCurrent(blower.motor, code),
    startLimit: TRIPS[blower.trip].least * blower.breaker,
    plugCarries: blower.plug && plugCarries(blower.plug),
    isPlugWrong: blower.plug !== null && !plugSuits(blower.plug, blower.motor),
    isOverloaded: power > blower.motor.power * 1.001,
    faceVelocity: filter?.faceVelocity ?? null,
    filter,
    separator,
    outdoors: outdoorsLoad(shop, solution),
    room: roomLoad(shop, solution),
  };
}

/** What the motor draws at the operating point, A, an estimate. */
export function currentDrawn(shop: Shop, { blower: air, network }: AtBlower): number {
  const { blower } = shop.collector;
  const power = shaftPower(air.flow, network.blower, blower.efficiency);
  return motorCurrent(blower.motor, wiringCode(blower.plug, blower.motor, shop.shop.units), power);
}

function circuitLoad(code: WiringCode, full: number, breaker: number): CircuitLoad {
  const isNec = code === 'nec';
  const conductors = isNec ? full * CONDUCTOR_MARGIN : full;
  const largest = isNec ? largestBreaker(full) : null;
  return {
    code,
    breaker,
    conductors,
    largestBreaker: largest,
    isSmall: conductors > breaker * 1.001,
    isBreakerLarge: largest !== null && breaker > largest * 1.001,
  };
}

function filterLoad(
  filter: Media,
  believed: { readonly loading: number; readonly factor: number },
  caught: number,
  { collector }: Shop,
  solution: AtBlower,
): FilterLoad {
  const flow = solution.blower.flow - solution.blower.outletLeak;
  const loading = workingLoading(filter, believed.loading);
  const dueAt = dueLoading(solution, filter, loading, believed.factor);
  const resistance = (at: number) => filterResistance(filter, at) * believed.factor;
  const due = timeToDue(filter, [loading, dueAt], collector.dust.rate, caught);
  return {
    faceVelocity: faceVelocity(flow, filter),
    comfortable: comfortableFaceVelocity(filter.permeability),
    pressure: resistance(loading) * flow,
    cleanPressure: resistance(workingLoading(filter, 1)) * flow,
    loading,
    dueLoading: dueAt,
    timeToDue: Number.isFinite(due) ? due : null,
    letBy: filter.grade === null ? null : finesLetBy(filter.grade),
  };
}

/** A cyclone of known proportions catches by its cut size at this flow; others as believed. */
function separatorLoad({ collector }: Shop, { blower, network }: AtBlower): SeparatorLoad {
  const { kind, proportions, caught } = collector.separator;
  if (kind === 'none') return { caught: 0, cutSize: null };
  if (kind !== 'cyclone' || !proportions || !(blower.flow > 0)) return { caught, cutSize: null };
  const cut = cutSize(proportions, blower.flow, network.air);
  return { caught: shareCaught(collector.dust, cut), cutSize: cut };
}

function outdoorsLoad(shop: Shop, { blower, network }: AtBlower): OutdoorsLoad | null {
  const { exhaust } = shop.collector;
  if (exhaust.kind !== 'outdoors') return null;
  const { density } = network.air;
  const { heating } = exhaust;
  const { temperature } = shop.shop.site;
  const heat = heating && heatLost(density, blower.flow, temperature, heating.outdoors);
  return {
    opening: makeUpOpening(blower.flow, density),
    heat,
    heatInSeason: heating && heat !== null ? heat * heating.hours * 3600 : null,
  };
}

/** The opening its air comes back by, m²; null: it stays in the room, or nobody knows. */
export const wayBackOf = ({ exhaust }: Pick<Collector, 'exhaust'>): number | null =>
  exhaust.kind === 'room' ? exhaust.opening : exhaust.kind === 'outdoors' ? exhaust.makeUp : null;

function roomLoad({ collector }: Shop, { blower, network }: AtBlower): RoomLoad | null {
  const opening = wayBackOf(collector);
  if (opening === null) return null;
  const { density } = network.air;
  return {
    depression: openingResistance(opening, density) * blower.flow ** 2,
    opening: makeUpOpening(blower.flow, density),
  };
}
