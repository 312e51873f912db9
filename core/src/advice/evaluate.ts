import {
  type AtBlower,
  type CollectorLoad,
  collectorLoad,
  currentDrawn,
} from '../analysis/collector-load';
import { estimatedLevel } from '../analysis/collector-noise';
import { dropSensitivities, TO_SIGMA, type UncertaintyKind } from '../analysis/flow-uncertainty';
import { countGateSets, gateSets, gatesWith } from '../analysis/gate-sets';
import { type DropAir, judgeDrop, neededFlow } from '../analysis/judge-drops';
import { standAssembly } from '../assembly/stand-assembly';
import { heatLost, SAFE_DEPRESSION } from '../collector/air-outdoors';
import type { Collector, Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import { normalCdf } from '../inference/evidence';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { solveCompiled } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import { unguardedSaws } from './kinds/guard-improvements';

/** What a drop gets in the combination that is worst for it. SI. */
export interface DropOutcome {
  readonly drop: string;
  readonly name: string;
  readonly flow: number;
  readonly need: number;
  /** How far the flow may be off, 95 times in 100. */
  readonly uncertainty: number;
  /** How likely it gets what it needs. */
  readonly met: number;
  /** By how much, with its sign, when each kind of estimate is off by its uncertainty. */
  readonly changes: Readonly<Record<UncertaintyKind, number>>;
  /** Chips would settle in its duct, or in a main behind it. */
  readonly isSlow: boolean;
}

/** How a shop does with every combination of gates that can occur. */
export interface Evaluation {
  readonly drops: readonly DropOutcome[];
  /** Flow over need at the drop that is furthest short; 1: it just gets it. */
  readonly worst: number;
  /** The mean over all drops of how likely each gets what it needs. */
  readonly met: number;
  /** Drops whose chips would settle somewhere. */
  readonly slow: number;
  /** At the drop that asks most of the motor, A; and whether circuit and plug let it draw that for hours. */
  readonly current: number;
  readonly isOverCircuit: boolean;
  /** dB(A) at 3 m, an estimate, while the worst drop draws. */
  readonly noise: number;
  /** Share of the dust by mass that never gets to the filter. */
  readonly caught: number;
  /** Of the collector, m; and what has to be lifted of it in one piece, blower and motor, kg. */
  readonly height: number;
  readonly weight: number;
  /** The motor is asked for more than its rated power at some drop. */
  readonly isOverloaded: boolean;
  /** Running time until the filter is due for cleaning, s; null: it has none, no dust reaches it. */
  readonly filterLife: number | null;
  /** Share of the finest dust the filter lets by at most, 0.3 to 1 µm; null: its grade is not known. */
  readonly letBy: number | null;
  /** Share of the finest dust that comes back into the room; an estimate where the filter's grade is not known. */
  readonly fines: number;
  /** Table saws whose blades throw dust that no guard catches. */
  readonly unguarded: number;
  /** Floor that the collector takes, with those beside machines, m². */
  readonly floor: number;
  /** Heat that leaves the building with the air in a season, J. */
  readonly heat: number;
  /** Its air goes elsewhere, and draws the shop down further than heaters bear, or as far as nobody knows. */
  readonly isDrawnDown: boolean;
}

/** Combinations that are tried: of more only each drop by itself. */
const MOST_SETS = 300;

/**
 * A shop as found, solved in every combination of gates its rules let occur; null where its ducts are no tree or no
 * drop has an answer. Each drop is judged in the combination that is worst for it.
 */
export function evaluate(shop: Shop): Evaluation | null {
  const arranged = arrangeDucts(shop);
  return arranged.ok ? evaluateTree(shop, arranged.tree) : null;
}

/** As `evaluate`, where the tree is known. */
export function evaluateTree(shop: Shop, tree: DuctTree): Evaluation | null {
  const worst = worstAirOf(shop, tree);
  if (worst.length === 0) return null;
  return evaluationOf(
    shop,
    worst.map((air) => ({ ...outcomeOf(shop, air), solution: air.solution })),
  );
}

/** What each drop gets, with what the collector sees of it, in the combination that is worst for it. */
export interface SolvedOutcome extends DropOutcome {
  readonly solution: AtBlower;
}

/** How a shop does, by what each of its drops gets; at least one of them. */
export function evaluationOf(shop: Shop, solved: readonly SolvedOutcome[]): Evaluation | null {
  const first = solved.toSorted((a, b) => a.flow / a.need - b.flow / b.need)[0];
  if (!first) return null;
  const { collector } = shop;
  const load = collectorLoad(shop, first.solution, 'found');
  const current = Math.max(...solved.map(({ solution }) => currentDrawn(shop, solution)));
  const drops = solved.map(({ solution: _, ...outcome }) => outcome);
  const { height, sizes, floor } = standAssembly(collector, shop.room.ceilingHeight);
  const { flow, rise } = first.solution.blower;
  return {
    drops,
    worst: first.flow / first.need,
    met: drops.reduce((sum, { met }) => sum + met, 0) / drops.length,
    slow: drops.filter(({ isSlow }) => isSlow).length,
    current,
    isOverCircuit: isOverCircuit(collector, load, current),
    isOverloaded: current > load.fullLoadCurrent * (1 + SAME),
    noise: estimatedLevel(collector, { flow, pressure: rise, bestFlow: load.bestFlow }),
    caught: collector.separator.kind === 'none' ? 0 : collector.separator.caught,
    height,
    weight: sizes.blower.weight,
    filterLife: load.filter?.timeToDue ?? null,
    letBy: load.filter?.letBy?.[0] ?? null,
    fines: load.filter ? (load.filter.letBy?.[0] ?? UNKNOWN_FINES) : 0,
    unguarded: unguardedSaws(shop).length,
    floor: floor.width * floor.depth + BESIDE * ownCollectors(shop),
    heat: heatOutdoors(shop, first.solution),
    isDrawnDown: load.room
      ? load.room.depression > SAFE_DEPRESSION * (1 + SAME)
      : collector.exhaust.kind === 'outdoors',
  };
}

/** Its conductors, its breaker or its plug carry less than the motor draws. */
function isOverCircuit(
  { blower: { breaker } }: Collector,
  { circuit, plugCarries, isPlugWrong, fullLoadCurrent }: CollectorLoad,
  current: number,
): boolean {
  const isPlugSmall = plugCarries !== null && fullLoadCurrent > plugCarries * (1 + SAME);
  return circuit.isSmall || current > breaker || isPlugWrong || isPlugSmall;
}

/** What a filter whose grade nobody knows lets by of the finest dust, an estimate. */
const UNKNOWN_FINES = 0.5;
/** Floor that a small collector beside a machine takes, m²: an estimate. */
const BESIDE = 0.35;

const ownCollectors = ({ machines }: Shop) =>
  machines.flatMap(({ ports }) => ports).filter(({ servedBy }) => servedBy === 'own collector')
    .length;

/** A current above full load by less than this share overloads no motor. */
const SAME = 1e-3;

/** Where nobody said how cold it is outdoors, and how long it runs while that matters: estimates, K and h in a season. */
const USUAL_HEATING = { outdoors: 277, hours: 60 };

function heatOutdoors({ collector: { exhaust }, shop }: Shop, { blower, network }: AtBlower) {
  if (exhaust.kind !== 'outdoors') return 0;
  const { outdoors, hours } = exhaust.heating ?? USUAL_HEATING;
  const { temperature } = shop.site;
  return heatLost(network.air.density, blower.flow, temperature, outdoors) * hours * 3600;
}

/** Every drop in the combination in which it gets least of its need; drops without an answer are left out. */
function worstAirOf(shop: Shop, tree: DuctTree): DropAir[] {
  const { rules } = shop.shop;
  const isFew = countGateSets(tree, rules.gates) <= MOST_SETS;
  const sets = isFew ? gateSets(tree, rules.gates) : gateSets(tree, { kind: 'one' });
  const networkOf = networksByGates(shop, tree, { view: 'found' });
  const worst = new Map<string, DropAir>();
  for (const drawing of sets) {
    const solved = solveCompiled(tree, networkOf(gatesWith(drawing, tree, rules)));
    if (solved.kind !== 'solved') continue;
    for (const drop of drawing) keepWorst(worst, drop, judgeDrop(drop, solved, rules, drawing));
  }
  return tree.drops.flatMap(({ id }) => worst.get(id) ?? []);
}

function keepWorst(worst: Map<string, DropAir>, { id }: Drop, air: DropAir): void {
  const before = worst.get(id);
  if (!before || air.flow < before.flow) worst.set(id, air);
}

/** What a drop gets, with what its airflow is unsure by. */
export const outcomeOf = (shop: Shop, air: DropAir): DropOutcome =>
  outcomeWith(air, dropSensitivities(shop, 'found', air.solution, air.drop)?.changes ?? NO_CHANGES);

/** What a drop gets, by its air and by how far that may be off. */
export function outcomeWith(
  air: Pick<DropAir, 'drop' | 'flow' | 'velocity' | 'transport' | 'main'>,
  changes: DropOutcome['changes'],
): DropOutcome {
  const { drop, flow } = air;
  const need = neededFlow(drop.port);
  const uncertainty = Math.hypot(...Object.values(changes));
  const isSlow =
    (air.transport !== null && air.velocity < air.transport) ||
    (air.main?.transport != null && air.main.velocity < air.main.transport);
  return {
    ...{ drop: drop.id, name: drop.name, flow, need, uncertainty, changes, isSlow },
    met: normalCdf((flow - need) / Math.max(1e-9, TO_SIGMA * uncertainty)),
  };
}

const NO_CHANGES: DropOutcome['changes'] = {
  entries: 0,
  fittings: 0,
  friction: 0,
  separator: 0,
  filter: 0,
  leaks: 0,
  blower: 0,
};
