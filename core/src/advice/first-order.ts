import { circleArea } from '../air/velocity-pressure';
import { gatesWith } from '../analysis/gate-sets';
import { type DropAir, gateAir, judgeDrop, type MainAir } from '../analysis/judge-drops';
import { blowerCurve } from '../collector/blower';
import { curveInto } from '../collector/monotone-curve';
import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import { type Adjoint, changeOf, differentiate } from '../network/adjoint';
import type { CompiledNetwork } from '../network/compiled-network';
import { type Imbalance, imbalanceOf } from '../network/solve-network';
import { type ShopSolution, solveCompiled } from '../network/solve-shop';
import { arrangeDucts } from '../routing/arrange-ducts';
import {
  type DropOutcome,
  type Evaluation,
  evaluationOf,
  outcomeOf,
  outcomeWith,
  type SolvedOutcome,
} from './evaluate';

/**
 * How a few drops of a changed shop do, to first order. Null where a straight line says nothing: its network has other
 * segments, or other gates stand open with a drop, and a shut one moved no air.
 */
export type Foreseen = (changed: Shop) => Evaluation | null;

/** A drop as it is now, with its gates alone open, and what its air moves with. */
interface Base {
  readonly air: DropAir;
  /** Runs whose gates stand open with it. */
  readonly open: ReadonlySet<string>;
  readonly outcome: DropOutcome;
  readonly flow: Adjoint;
  readonly blower: Adjoint;
  /** The pipe of each run on its way: where its air is, and what that moves with. */
  readonly pipes: readonly { readonly segment: number; readonly adjoint: Adjoint }[];
}

/**
 * Makes ready to foresee what changes of a shop do to some of its drops without solving it again, by the adjoint of
 * each drop's airflow: a changed network leaves the state that was solved out of balance, and each imbalance has its
 * weight. The adjoint is made once, whatever the number of changes.
 *
 * First order: good to a few per cent where a change is small; a large one is bent as a flow bends that goes with the
 * root of a resistance.
 */
export function foreseeing(shop: Shop, tree: DuctTree, drops: readonly Drop[]): Foreseen | null {
  const { networkOf, rules } = gateAir(shop, tree, 'found');
  const bases: Base[] = [];
  for (const drop of drops) {
    const open = gatesWith([drop], tree, rules);
    const solution = solveCompiled(tree, networkOf(open));
    if (solution.kind !== 'solved') return null;
    bases.push(baseOf(shop, open, judgeDrop(drop, solution, rules, [drop])));
  }
  return (changed) => {
    const arranged = arrangeDucts(changed);
    if (!arranged.ok) return null;
    const after = gateAir(changed, arranged.tree, 'found');
    const solved = bases.map((base) => {
      const drop = arranged.tree.drops.find(({ id }) => id === base.air.drop.id);
      if (!drop) return null;
      const open = gatesWith([drop], arranged.tree, after.rules);
      if (!areSame(open, base.open)) return null;
      const compiled = after.networkOf(open);
      const isAlike = haveSameSegments(compiled, base.air.solution.compiled);
      return isAlike ? foreseen(base, drop, compiled) : null;
    });
    const known = solved.filter((each) => each !== null);
    return known.length === bases.length ? evaluationOf(changed, known) : null;
  };
}

function baseOf(shop: Shop, open: Base['open'], air: DropAir): Base {
  const { solution, drop } = air;
  const { compiled, state } = solution;
  const { adjointOf } = differentiate(compiled, state);
  const flowInto = (segment: number) => adjointOf({ kind: 'flow', segment });
  const pipes = drop.path.flatMap(({ id }) => {
    const segment = compiled.ofRun.get(id)?.at(-1);
    return segment === undefined ? [] : [{ segment, adjoint: flowInto(segment) }];
  });
  return {
    ...{ air, open, pipes, outcome: outcomeOf(shop, air) },
    flow: flowInto(compiled.ofRun.get(drop.path[0]?.id ?? '')?.[0] ?? 0),
    blower: adjointOf({ kind: 'blower flow' }),
  };
}

function foreseen(base: Base, drop: Drop, compiled: CompiledNetwork): SolvedOutcome {
  const { air, outcome } = base;
  const { state, blower } = air.solution;
  const by = imbalanceOf(compiled, state);
  const flow = moved(air.flow, base.flow, by);
  const velocities = base.pipes.map(({ segment, adjoint }) => {
    const diameter = compiled.network.segments[segment]?.diameter ?? 1;
    return moved(state.qUp[segment] ?? 0, adjoint, by) / circleArea(diameter);
  });
  const scale = flow / air.flow;
  const changes = Object.fromEntries(
    Object.entries(outcome.changes).map(([kind, change]) => [kind, scale * change]),
  ) as DropOutcome['changes'];
  const velocity = velocities[0] ?? 0;
  const main = air.main && slowest(air.main, velocities.slice(1));
  return {
    ...outcomeWith({ drop, flow, velocity, main, transport: air.transport }, changes),
    solution: {
      network: compiled.network,
      blower: blowerAt(blower, moved(blower.flow, base.blower, by), compiled),
    },
  };
}

/** Least flow that a change is a share of, m³/s. */
const STILL = 1e-6;

/** Of what a flow meets, the share that is left at least: more is taken away on paper than in a duct. */
const LEAST_LEFT = 0.25;

/** A flow that the imbalance changes, bent as one that goes with the root of what it meets. */
function moved(flow: number, adjoint: Adjoint, by: Imbalance): number {
  const share = changeOf(adjoint, by) / Math.max(STILL, Math.abs(flow));
  return flow / Math.sqrt(Math.max(LEAST_LEFT, 1 - 2 * share));
}

const slowest = (main: MainAir, velocities: readonly number[]): MainAir => ({
  ...main,
  velocity: Math.min(...velocities),
});

/** A blower at another flow, on its own curve. */
function blowerAt(
  blower: ShopSolution['blower'],
  flow: number,
  { network, lastFlow }: CompiledNetwork,
): ShopSolution['blower'] {
  const within = Math.min(flow, lastFlow);
  const out = { value: 0, slope: 0 };
  curveInto(out, blowerCurve(network.blower), within);
  return { ...blower, flow: within, rise: out.value };
}

const areSame = (one: ReadonlySet<string>, other: ReadonlySet<string>): boolean =>
  one.size === other.size && [...one].every((each) => other.has(each));

function haveSameSegments(one: CompiledNetwork, other: CompiledNetwork): boolean {
  return (
    one.count === other.count &&
    one.network.segments.every((segment, s) => {
      const before = other.network.segments[s];
      return (
        before !== undefined &&
        segment.run === before.run &&
        segment.downstream === before.downstream &&
        segment.upstream === before.upstream
      );
    })
  );
}
