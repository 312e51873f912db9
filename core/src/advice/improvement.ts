import type { PlugId, SeparatorKind } from '../catalogue/ids';
import type { PriceId } from '../catalogue/price-ids';
import type { BlowerClassId } from '../collector/blower-classes';
import type { Port, Shop } from '../design/schema';
import type { RouteStyle } from '../improve/route-weighing';
import type { Spot } from '../room/plane';
import { PRICED_DIAMETER, PRICES, priceOf } from './price-book';

/** What is done, and where; lengths and diameters in m. */
export type Work =
  | { readonly kind: 'clean the filter' }
  | { readonly kind: 'cartridge'; readonly area: number }
  | { readonly kind: 'seal all joints'; readonly joints: number }
  | { readonly kind: 'seal a run'; readonly run: string; readonly joints: number }
  | { readonly kind: 'seal the opening'; readonly run: string }
  | { readonly kind: 'seal behind the blower' }
  | { readonly kind: 'stretch the hose'; readonly run: string }
  | {
      readonly kind: 'pipe for hose' | 'wider hose';
      readonly run: string;
      readonly from: number;
      readonly to: number;
    }
  | { readonly kind: 'smooth hose'; readonly run: string }
  | {
      readonly kind: 'long-radius elbows' | 'pairs of 45s';
      readonly run: string;
      readonly count: number;
    }
  | { readonly kind: 'wye'; readonly run: string; readonly angle: number }
  /** Both legs of a tee that is entered from both ends. */
  | { readonly kind: 'sweep the legs'; readonly run: string; readonly angle: number }
  /** Straight duct between the last elbow and the blower's inlet. */
  | { readonly kind: 'straight at the inlet'; readonly from: number; readonly to: number }
  | {
      readonly kind: 'wider run';
      readonly run: string;
      readonly from: number;
      readonly to: number;
    }
  | {
      readonly kind: 'narrower run';
      readonly run: string;
      readonly from: number;
      readonly to: number;
    }
  /** The whole way of a drop, its port included. */
  | { readonly kind: 'wider way'; readonly drop: string; readonly to: number }
  /** And a hose as wide: the ducts are. */
  | { readonly kind: 'larger port'; readonly drop: string; readonly to: number }
  | { readonly kind: 'wider mains'; readonly to: number }
  /** Everything, ports included. */
  | { readonly kind: 'wider ducts'; readonly to: number }
  /** Runs at the sizes that a search chose for all of them together. */
  | {
      readonly kind: 'suggested sizes';
      readonly runs: readonly { readonly run: string; readonly to: number }[];
    }
  /** Ducts rerouted in one of the ways a search proposes; with it, the collector may stand elsewhere. */
  | {
      readonly kind: 'routed anew' | 'move the collector';
      readonly style: RouteStyle;
      readonly ducts: Shop['ducts'];
      readonly to: { readonly place: Spot; readonly turn: number } | null;
      /** Pipe and hose before and after, m. */
      readonly length: { readonly before: number; readonly after: number };
    }
  /** A second gate left open while a drop draws. */
  | { readonly kind: 'bleed'; readonly drop: string; readonly open: string }
  /** A second gate that is left open with a drop stays shut again. */
  | { readonly kind: 'no bleed'; readonly drop: string; readonly open: string }
  | { readonly kind: 'flange'; readonly drop: string }
  | { readonly kind: 'saw guard'; readonly machine: string; readonly diameter: number }
  /** With what it draws there, m³/s. */
  | {
      readonly kind: 'own collector';
      readonly drop: string;
      readonly blower: BlowerClassId;
      readonly flow: number;
    }
  | { readonly kind: 'mend the gate' | 'tight gate' | 'add a gate'; readonly run: string }
  | { readonly kind: 'separator'; readonly to: SeparatorKind }
  /** With an opening that lets the air back in, m². */
  | { readonly kind: 'outdoors'; readonly diameter: number; readonly opening: number }
  /** What lets air back in: from outdoors, or from the room it goes to, m². */
  | {
      readonly kind: 'makeup air' | 'way back';
      readonly from: number | null;
      readonly to: number;
    }
  /** An enclosure's, m². */
  | { readonly kind: 'return filter'; readonly from: number; readonly to: number }
  | { readonly kind: 'enclosure' }
  | { readonly kind: 'swap'; readonly one: string; readonly other: string }
  | { readonly kind: 'other room' }
  | { readonly kind: 'impeller' | 'smaller impeller'; readonly from: number; readonly to: number }
  /** rev/s */
  | { readonly kind: 'faster'; readonly from: number; readonly to: number }
  /** A */
  | { readonly kind: 'circuit'; readonly rating: number }
  | { readonly kind: 'plug'; readonly to: PlugId }
  | { readonly kind: 'blower'; readonly to: BlowerClassId }
  | { readonly kind: 'candidate'; readonly candidate: string };

export type WorkKind = Work['kind'];

/** Something bought for it. */
export interface Purchase {
  readonly item: PriceId;
  /** Pieces, m, or W. */
  readonly quantity: number;
  /** Of what is priced by size, m; null: it is not. */
  readonly diameter: number | null;
}

/** One thing that can be done to a shop, by itself. */
export interface Improvement {
  /** The same for the same work in the same shop. */
  readonly id: string;
  readonly work: Work;
  /** Does it. Changes the shop it is given. */
  readonly change: (shop: Shop) => void;
  readonly buys: readonly Purchase[];
  /** What it costs where that is known as a whole; null: by what it buys. */
  readonly price: number | null;
  /** Work, h: an estimate. */
  readonly hours: number;
  /** Names what it changes: of improvements that share one, only one can be done. */
  readonly changes: readonly string[];
  /** Drops it takes off the ducts, since something else serves them; absent: none. */
  readonly relieves?: number;
}

/** What an improvement costs by a shop's prices, in its money, its own work included. */
export function costOf(
  { buys, price, hours }: Pick<Improvement, 'buys' | 'price' | 'hours'>,
  advice: Pick<Shop['advice'], 'prices'>,
): number {
  const bought = buys.reduce((sum, { item, quantity, diameter }) => {
    const size = diameter === null ? 1 : diameter / PRICED_DIAMETER;
    return sum + quantity * size * priceOf(item, advice);
  }, 0);
  return (price ?? bought) + hours * priceOf('hour', advice);
}

/** Whether some of what it costs is an estimate. */
export const isCostEstimated = (
  { buys, price }: Pick<Improvement, 'buys' | 'price'>,
  { prices }: Pick<Shop['advice'], 'prices'>,
): boolean =>
  price === null &&
  buys.some(({ item }) => prices[item] === undefined && PRICES[item].estimate > 0);

/** A run of a document by its id; undefined: it has gone. */
export const runIn = (shop: Shop, id: string): Shop['ducts']['runs'][number] | undefined =>
  shop.ducts.runs.find((run) => run.id === id);

/** A port of a document; undefined: it has gone. */
export const portIn = (shop: Shop, machine: string, port: string): Port | undefined =>
  shop.machines.find(({ id }) => id === machine)?.ports.find(({ id }) => id === port);

/** Ids that nothing in a document has, the same each time for the same document. */
export function newIdsIn({ ducts, machines }: Shop, prefix: string): () => string {
  const taken = new Set(
    [...ducts.runs, ...ducts.nodes, ...machines, ...machines.flatMap(({ ports }) => ports)].map(
      ({ id }) => id,
    ),
  );
  let made = 0;
  return () => {
    while (taken.has(`${prefix}-${made}`)) made++;
    return `${prefix}-${made++}`;
  };
}

/** What readings say of a part they say of the one that was read. */
export function dropEstimatesOf({ condition }: Shop, part: 'separator' | 'blower'): void {
  condition.estimates = condition.estimates.filter(({ of }) => of.kind !== part);
}
