import { currentDrawn } from '../analysis/collector-load';
import { type BlowerAtWork, estimatedLevel } from '../analysis/collector-noise';
import { dropSensitivities, TO_SIGMA, type UncertaintyKind } from '../analysis/flow-uncertainty';
import { countGateSets, gateSets, gatesOfDrops } from '../analysis/gate-sets';
import { type DropAir, judgeDrop, neededFlow } from '../analysis/judge-drops';
import { worstDrop } from '../analysis/worst-drop';
import { standAssembly } from '../assembly/stand-assembly';
import { fullLoadCurrent } from '../collector/motor';
import { wiringCode } from '../collector/plug';
import { greatestAirPower } from '../collector/shaft-power';
import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import { normalCdf } from '../inference/evidence';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { type ShopSolution, solveCompiled } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';

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
  /** At the drop that asks most of the motor, A; and what its circuit lets it draw for hours. */
  readonly current: number;
  readonly isOverCircuit: boolean;
  /** dB(A) at 3 m, an estimate, while the worst drop draws. */
  readonly noise: number;
  /** Share of the dust by mass that never gets to the filter. */
  readonly caught: number;
  /** Of the collector, m. */
  readonly height: number;
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
  const drops = worst.map((air) => outcomeOf(shop, air));
  const first = worstDrop(worst);
  if (!first) return null;
  const { blower } = shop.collector;
  const current = Math.max(...worst.map(({ solution }) => currentDrawn(shop, solution)));
  const code = wiringCode(blower.plug, blower.motor, shop.shop.units);
  const full = fullLoadCurrent(blower.motor, code).current;
  return {
    drops,
    worst: first.flow / first.need,
    met: drops.reduce((sum, { met }) => sum + met, 0) / drops.length,
    slow: drops.filter(({ isSlow }) => isSlow).length,
    current,
    isOverCircuit: Math.max(current, full) > blower.breaker,
    noise: estimatedLevel(shop.collector, atWork(first.solution)),
    caught: shop.collector.separator.kind === 'none' ? 0 : shop.collector.separator.caught,
    height: standAssembly(shop.collector, shop.room.ceilingHeight).height,
  };
}

const atWork = ({ blower, network }: ShopSolution): BlowerAtWork => ({
  flow: blower.flow,
  pressure: blower.rise,
  bestFlow: greatestAirPower(network.blower).flow,
});

/** Every drop in the combination in which it gets least of its need; drops without an answer are left out. */
function worstAirOf(shop: Shop, tree: DuctTree): DropAir[] {
  const { rules } = shop.shop;
  const isFew = countGateSets(tree, rules.gates) <= MOST_SETS;
  const sets = isFew ? gateSets(tree, rules.gates) : gateSets(tree, { kind: 'one' });
  const networkOf = networksByGates(shop, tree, { view: 'found' });
  const worst = new Map<string, DropAir>();
  for (const drawing of sets) {
    const solved = solveCompiled(tree, networkOf(gatesOfDrops(drawing)));
    if (solved.kind !== 'solved') continue;
    for (const drop of drawing) keepWorst(worst, drop, judgeDrop(drop, solved, rules, drawing));
  }
  return tree.drops.flatMap(({ id }) => worst.get(id) ?? []);
}

function keepWorst(worst: Map<string, DropAir>, { id }: Drop, air: DropAir): void {
  const before = worst.get(id);
  if (!before || air.flow < before.flow) worst.set(id, air);
}

function outcomeOf(shop: Shop, air: DropAir): DropOutcome {
  const { drop, solution, flow } = air;
  const need = neededFlow(drop.port);
  const changes = dropSensitivities(shop, 'found', solution, drop)?.changes ?? NO_CHANGES;
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
