import { circleArea, velocityPressure } from '../air/velocity-pressure';
import { pipeFriction } from '../duct/pipe-friction';
import { branchLossInto, type JunctionLoss, straightLossInto } from '../fitting/momentum-wye';
import type { Shop } from '../shop/schema';
import { arrangeDucts, type DuctTree, type Problem } from '../shop/topology';
import { compileNetwork } from './compiled-network';
import type { Network, Part, PartKind, Segment } from './network';
import { type NetworkOptions, shopToNetwork } from './shop-to-network';
import { type NetworkState, type SolveFailure, solveNetwork } from './solve-network';

/** A part with what it takes at the present flow. */
export interface PartLoss {
  readonly kind: PartKind;
  readonly name: string;
  /** Total pressure lost, Pa; negative where a junction helps. */
  readonly loss: number;
}

/** The air in one segment. Pressures in Pa relative to the room. */
export interface SegmentAir {
  readonly run: string;
  /** Air arriving at its upstream end, leaking in on the way, and leaving, m³/s. */
  readonly flowIn: number;
  readonly leak: number;
  readonly flowOut: number;
  readonly diameter: number;
  /** At its upstream end, m/s. */
  readonly velocity: number;
  readonly totalIn: number;
  readonly totalOut: number;
  readonly staticIn: number;
  readonly staticOut: number;
  /** In the order the air meets them. */
  readonly parts: readonly PartLoss[];
}

export interface BlowerAir {
  /** m³/s at the site's density. */
  readonly flow: number;
  /** Static pressure rise, Pa. */
  readonly rise: number;
  /** Total pressure at its inlet, Pa. */
  readonly inletTotal: number;
  /** Static pressure at its outlet: what filter or exhaust takes, Pa. */
  readonly outletStatic: number;
}

/**
 * A run's segments from upstream to downstream; the separator's under its own name. Undefined for
 * a run without air, behind an airtight gate. Worked out when asked for: most is never looked at.
 */
export interface AirByRun {
  readonly get: (run: string) => readonly SegmentAir[] | undefined;
}

export interface ShopSolution {
  readonly kind: 'solved';
  readonly tree: DuctTree;
  readonly network: Network;
  /** To start a next solve from. */
  readonly state: NetworkState;
  readonly iterations: number;
  readonly residual: number;
  readonly blower: BlowerAir;
  readonly airIn: AirByRun;
}

export type ShopFailure =
  | { readonly kind: 'not-a-tree'; readonly problems: readonly Problem[] }
  | SolveFailure;

export type ShopSolved = ShopSolution | { readonly kind: 'unsolved'; readonly reason: ShopFailure };

/**
 * What air goes where in a shop: its ducts arranged, made a network, solved, and every part's loss
 * written out. `from`, an earlier solution's state, makes it faster where the segments are the same.
 */
export function solveShop(shop: Shop, options: NetworkOptions, from?: NetworkState): ShopSolved {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) {
    return { kind: 'unsolved', reason: { kind: 'not-a-tree', problems: arranged.problems } };
  }
  return solveTree(shop, arranged.tree, options, from);
}

/** As `solveShop`, for whoever has the tree at hand and solves it many times. */
export function solveTree(
  shop: Shop,
  tree: DuctTree,
  options: NetworkOptions,
  from?: NetworkState,
): ShopSolved {
  return solveBuilt(tree, shopToNetwork(shop, tree, options), from);
}

/** As `solveTree`, of a network built already. */
export function solveBuilt(tree: DuctTree, network: Network, from?: NetworkState): ShopSolved {
  const solved = solveNetwork(compileNetwork(network), from);
  if (solved.kind === 'failed') return { kind: 'unsolved', reason: solved.reason };
  const { state, iterations, residual } = solved;
  const { flow, rise, inletPressure } = state;
  return {
    kind: 'solved',
    tree,
    network,
    state,
    iterations,
    residual,
    blower: { flow, rise, inletTotal: inletPressure, outletStatic: rise + inletPressure },
    airIn: airByRun(network, state),
  };
}

function airByRun(network: Network, state: NetworkState): AirByRun {
  const known = new Map<string, SegmentAir[]>();
  const get = (run: string): readonly SegmentAir[] | undefined => {
    const before = known.get(run);
    if (before) return before;
    const air = network.segments.flatMap((segment, index) =>
      segment.run === run ? [segmentAir(network, state, segment, index)] : [],
    );
    if (air.length === 0) return undefined;
    known.set(run, air);
    return air;
  };
  return { get };
}

/** Every run that has air, with its segments, upstream before downstream. */
export function allAir({ network, airIn }: ShopSolution): [string, readonly SegmentAir[]][] {
  const runs = new Set(network.segments.map(({ run }) => run));
  return [...runs].map((run) => [run, airIn.get(run) ?? []]);
}

const read = (array: Float64Array, index: number) => array[index] ?? 0;

function segmentAir(
  network: Network,
  state: NetworkState,
  segment: Segment,
  index: number,
): SegmentAir {
  const flowIn = read(state.qUp, index);
  const flowOut = read(state.qDown, index);
  const totalIn = read(state.pUp, index);
  const { downstream, diameter } = segment;
  const totalOut = downstream < 0 ? state.inletPressure : read(state.pUp, downstream);
  const combined = downstream < 0 ? state.flow : read(state.qUp, downstream);
  const area = circleArea(diameter);
  const velocity = flowIn / area;
  const { density } = network.air;
  const isOpenEnd = segment.upstream === 'open';
  return {
    run: segment.run,
    flowIn,
    leak: flowOut - flowIn,
    flowOut,
    diameter,
    velocity,
    totalIn,
    totalOut,
    // The room itself is still: static and total are one there.
    staticIn: isOpenEnd ? 0 : totalIn - velocityPressure(velocity, density),
    staticOut: totalOut - velocityPressure(flowOut / area, density),
    parts: segment.parts.map((part) => partLoss(network, segment, part, flowIn, flowOut, combined)),
  };
}

function partLoss(
  network: Network,
  segment: Segment,
  part: Part,
  flowIn: number,
  flowOut: number,
  combined: number,
): PartLoss {
  const { air } = network;
  const area = circleArea(segment.diameter);
  // Signed: a momentum junction can push a little air back through an idle leg.
  const pressureAt = (flow: number) => Math.sign(flow) * velocityPressure(flow / area, air.density);
  const { junction } = segment;
  let loss = part.coefficient * pressureAt(part.half === 'up' ? flowIn : flowOut);
  if (part.friction) {
    const { length, roughness, multiplier } = part.friction;
    for (const flow of [flowIn, flowOut]) {
      const half = pipeFriction(Math.abs(flow), length / 2, segment.diameter, roughness, air);
      loss += Math.sign(flow) * half * multiplier;
    }
  }
  const out: JunctionLoss = { loss: 0, byOwn: 0, byCombined: 0 };
  if (part.kind === 'branch' && junction.kind === 'branch') {
    branchLossInto(out, junction.wye, flowOut, combined, air.density);
  } else if (part.kind === 'straight' && junction.kind === 'straight') {
    straightLossInto(out, junction.wye, flowOut, combined, air.density);
  }
  return { kind: part.kind, name: part.name, loss: loss + out.loss };
}
