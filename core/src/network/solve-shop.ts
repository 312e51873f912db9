import { circleArea, velocityPressure } from '../air/velocity-pressure';
import type { Shop } from '../design/schema';
import type { DuctTree, Problem } from '../design/topology';
import { frictionLoss } from '../duct/friction-law';
import { type LegLoss, legLossInto, momentumOf } from '../fittings/converging-junction';
import { arrangeDucts } from '../routing/arrange-ducts';
import { type NetworkOptions, shopToNetwork } from './assemble/shop-to-network';
import { type CompiledNetwork, compileNetwork } from './compiled-network';
import type { Network, Part, PartKind, Segment } from './network';
import { type OperatingPoint, solveOperatingPoint } from './operating-point';
import type { NetworkState, SolveFailure } from './solve-network';

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
  readonly velocityPressureIn: number;
  readonly velocityPressureOut: number;
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
  /** What blows out of openings between it and its filter, m³/s. */
  readonly outletLeak: number;
  /** Every flow its curve and this system meet at; more than one only where the curve rises. */
  readonly operatingPoints: readonly OperatingPoint[];
}

/**
 * A run's segments from upstream to downstream; the separator's under its own name. Undefined for
 * a run without air, behind an airtight gate. Worked out when asked for: most is never looked at.
 */
export interface AirByRun {
  readonly get: (run: string) => readonly SegmentAir[] | undefined;
  /** Speed where its pipe begins, m/s; 0 without air. */
  readonly velocityInto: (run: string) => number;
}

export interface ShopSolution {
  readonly kind: 'solved';
  readonly tree: DuctTree;
  /** The network it is the solution of, compiled as it was solved. */
  readonly compiled: CompiledNetwork;
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
  return solveCompiled(tree, compileNetwork(shopToNetwork(shop, tree, options)), from);
}

/** As `solveTree`, of a network built and compiled already. */
export function solveCompiled(
  tree: DuctTree,
  compiled: CompiledNetwork,
  from?: NetworkState,
): ShopSolved {
  const solved = solveOperatingPoint(compiled, from);
  if (solved.kind === 'failed') return { kind: 'unsolved', reason: solved.reason };
  const { network } = compiled;
  const { state, iterations, residual, operatingPoints } = solved;
  const { flow, rise, inletPressure, outletLeak } = state;
  const behind = rise + inletPressure;
  const ahead = network.exhaust.isAhead ? behind : 0;
  const inletTotal = inletPressure - ahead;
  const outletStatic = behind - ahead;
  return {
    kind: 'solved',
    tree,
    compiled,
    network,
    state,
    iterations,
    residual,
    blower: { flow, rise, inletTotal, outletStatic, outletLeak, operatingPoints: operatingPoints },
    airIn: airByRun(compiled, state),
  };
}

function airByRun({ network, ofRun: places }: CompiledNetwork, state: NetworkState): AirByRun {
  const known = new Map<string, SegmentAir[]>();
  return {
    get: (run) => {
      const before = known.get(run);
      const own = places.get(run);
      if (before || !own) return before;
      const air = own.flatMap((index) => {
        const segment = network.segments[index];
        return segment ? [segmentAir(network, state, segment, index)] : [];
      });
      known.set(run, air);
      return air;
    },
    velocityInto: (run) => {
      const last = places.get(run)?.at(-1) ?? -1;
      const diameter = network.segments[last]?.diameter;
      return diameter === undefined ? 0 : read(state.qUp, last) / circleArea(diameter);
    },
  };
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
  const { density } = network.air;
  const flowIn = read(state.qUp, index);
  const flowOut = read(state.qDown, index);
  const totalIn = read(state.pUp, index);
  const { downstream, diameter } = segment;
  const totalOut = downstream < 0 ? state.inletPressure : read(state.pUp, downstream);
  const area = circleArea(diameter);
  const velocity = flowIn / area;
  // The room itself is still: static and total are one there.
  const velocityPressureIn = segment.upstream === 'open' ? 0 : velocityPressure(velocity, density);
  const velocityPressureOut = velocityPressure(flowOut / area, density);
  return {
    run: segment.run,
    flowIn,
    leak: flowOut - flowIn,
    flowOut,
    diameter,
    velocity,
    totalIn,
    totalOut,
    staticIn: totalIn - velocityPressureIn,
    staticOut: totalOut - velocityPressureOut,
    velocityPressureIn,
    velocityPressureOut,
    parts: segment.parts.map((part) => {
      const { kind, name } = part;
      const own = partLoss(network, segment, part, flowIn, flowOut);
      const isLeg = kind === 'branch' || kind === 'straight';
      return { kind, name, loss: isLeg ? own + legLoss(network, state, index) : own };
    }),
  };
}

/** What a part takes by its coefficient and its friction. */
function partLoss(
  { air }: Network,
  { diameter }: Segment,
  part: Part,
  flowIn: number,
  flowOut: number,
): number {
  const area = circleArea(diameter);
  const flow = part.half === 'up' ? flowIn : flowOut;
  // Signed: a momentum junction can push a little air back through an idle leg.
  const loss = part.coefficient * Math.sign(flow) * velocityPressure(flow / area, air.density);
  const { friction } = part;
  if (!friction) return loss;
  const half = { ...friction, length: friction.length / 2 };
  const lost = (each: number) => frictionLoss(half, each, diameter, air);
  return loss + lost(flowIn) + lost(flowOut);
}

/** What a segment loses by momentum at the junction it flows into. */
function legLoss({ segments, air }: Network, state: NetworkState, index: number): number {
  const segment = segments[index];
  const leg = segment?.junction;
  if (!segment || !leg) return 0;
  let momentum = 0;
  segments.forEach((other, s) => {
    if (other.downstream === segment.downstream && other.junction) {
      momentum += momentumOf(other.junction, read(state.qDown, s));
    }
  });
  const out: LegLoss = { loss: 0, byOwn: 0, byCombined: 0, byMomentum: 0 };
  const combined = segment.downstream < 0 ? state.flow : read(state.qUp, segment.downstream);
  const own = read(state.qDown, index);
  const { kind, area, combinedArea, tee } = leg;
  legLossInto(out, kind, area, combinedArea, tee, own, combined, momentum, air.density);
  return out.loss;
}
