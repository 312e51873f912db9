import { neededFlow } from '../analysis/judge-drops';
import type { NewId } from '../design/edit-ducts';
import type { Machine, Shop } from '../design/schema';
import { floorConflicts } from '../room/floor-conflicts';
import { arrangeDucts } from '../routing/arrange-ducts';
import { routeUsual } from '../routing/edit-machines';
import { inletMouth, portMouth } from '../routing/places';
import { runFromPort } from '../routing/route-duct';

/** A machine by how much air it needs and how far that has to go. */
export interface PlacedMachine {
  readonly machine: string;
  /** All its ports', m³/s. */
  readonly need: number;
  /** Level way from its ports to the collector, square to the walls, m: as short as its duct can be. */
  readonly routeLength: number;
}

/** Two machines that would stand better in each other's places. */
export interface Swap {
  readonly one: string;
  readonly other: string;
  /** Of the shop, as `PlaceScore.weighted`, m. */
  readonly weighted: number;
}

export interface PlaceScore {
  /** The greediest first. */
  readonly machines: readonly PlacedMachine[];
  /** Way to the collector of the air needed, on average, m: the rule is that the biggest stand nearest. */
  readonly weighted: number;
  /** Way of all machines together, m. */
  readonly total: number;
  /** Best first, at most three; each leaves no more in the way than there is. */
  readonly swaps: readonly Swap[];
}

const MOST_SWAPS = 3;
/** A swap that gains less of the average way than this is not worth the lifting, m. */
const WORTH_IT = 0.1;

/**
 * Judges where machines stand by the rule that the biggest chip makers stand nearest the blower
 * (common practice, no source), and finds the pairs that had better change places. Null where the
 * collector or every machine has no place.
 */
export function judgePlaces(shop: Shop): PlaceScore | null {
  const before = routeLengths(shop);
  if (!before || before.length === 0) return null;
  const weighted = weightedLength(before);
  const inTheWay = floorConflicts(shop).length;
  const placed = shop.machines.filter(({ place }) => place);
  const gains = placed.flatMap((one, i) =>
    placed.slice(i + 1).flatMap((other): Swap[] => {
      const after = routeLengths(withSwapped(shop, one, other));
      const gained = after ? weightedLength(after) : weighted;
      return gained > weighted - WORTH_IT
        ? []
        : [{ one: one.id, other: other.id, weighted: gained }];
    }),
  );
  // What stands in the way is asked of the best first, and no more than are shown.
  const swaps: Swap[] = [];
  for (const swap of gains.toSorted((a, b) => a.weighted - b.weighted)) {
    if (swaps.length === MOST_SWAPS) break;
    const [one, other] = [swap.one, swap.other].map((id) => placed.find((each) => each.id === id));
    if (!one || !other) continue;
    if (floorConflicts(withSwapped(shop, one, other)).length <= inTheWay) swaps.push(swap);
  }
  return {
    machines: before.toSorted((a, b) => b.need - a.need),
    weighted,
    total: before.reduce((sum, { routeLength }) => sum + routeLength, 0),
    swaps,
  };
}

/** Way to the collector of the air needed, on average, m, as `PlaceScore.weighted`; null: not all that it takes is placed. */
export function weightedWay(shop: Shop): number | null {
  const lengths = routeLengths(shop);
  return lengths && lengths.length > 0 ? weightedLength(lengths) : null;
}

function routeLengths(shop: Shop): PlacedMachine[] | null {
  const inlet = inletMouth(shop);
  if (!inlet) return null;
  return shop.machines.flatMap((machine): PlacedMachine[] => {
    const ports = machine.ports.filter(({ servedBy }) => servedBy === 'ducts');
    const lengths = ports.flatMap((port) => {
      const at = portMouth(machine, port)?.at;
      return at ? [Math.abs(at.x - inlet.at.x) + Math.abs(at.y - inlet.at.y)] : [];
    });
    if (lengths.length === 0) return [];
    const need = ports.reduce((sum, port) => sum + neededFlow(port), 0);
    return [{ machine: machine.id, need, routeLength: Math.max(...lengths) }];
  });
}

function weightedLength(machines: readonly PlacedMachine[]): number {
  const need = machines.reduce((sum, each) => sum + each.need, 0);
  return machines.reduce((sum, each) => sum + each.need * each.routeLength, 0) / need;
}

const withSwapped = (shop: Shop, one: Machine, other: Machine): Shop => ({
  ...shop,
  machines: shop.machines.map((machine) => {
    if (machine.id === one.id) return { ...machine, place: other.place, turn: other.turn };
    if (machine.id === other.id) return { ...machine, place: one.place, turn: one.turn };
    return machine;
  }),
});

/** Lets two machines change places; their drops are routed the usual way from there to where they led. */
export function swapMachines(shop: Shop, oneId: string, otherId: string, newId: NewId): void {
  const [one, other] = [oneId, otherId].map((id) => shop.machines.find((each) => each.id === id));
  if (!one?.place || !other?.place) return;
  const [place, turn] = [{ ...one.place }, one.turn];
  Object.assign(one, { place: { ...other.place }, turn: other.turn });
  Object.assign(other, { place, turn });
  for (const machine of [one, other]) {
    for (const port of machine.ports) {
      const own = runFromPort(shop, machine.id, port.id);
      if (!own?.route) continue;
      const arranged = arrangeDucts(shop);
      const main = arranged.ok ? arranged.tree.outOf.get(own.to)?.id : undefined;
      const goal = main ? ({ kind: 'run', run: main } as const) : ({ kind: 'inlet' } as const);
      routeUsual(shop, machine.id, port.id, goal, newId);
    }
  }
}
