import type { Shop } from '../design/schema';
import { frictionLoss } from '../duct/friction-law';
import { type FittingKindId, isFittingKind } from '../fittings/kinds/fitting-kinds';
import { type Adjoint, differentiate, type NetworkQuantity, quantityIn } from '../network/adjoint';
import { exhaustOfShop } from '../network/assemble/exhaust-of-shop';
import { type Factors, factorsIn, NO_CHANGE, type View } from '../network/assemble/setting';
import type { CompiledNetwork } from '../network/compiled-network';
import { exhaustInto } from '../network/exhaust-law';
import { leakInto, openingInto } from '../network/leak-law';
import type { Part, PartKind, Segment } from '../network/network';
import type { NetworkState } from '../network/solve-network';

/** A kind of estimate; every number of the model belongs to one, or to none. */
export type EstimateKind = keyof Factors;

/** Which estimate the loss of a part that is no fitting is made of; a gate's is the user's own. */
const ESTIMATE_OF: Readonly<Record<Exclude<PartKind, FittingKindId>, EstimateKind | null>> = {
  entry: 'entries',
  hose: 'friction',
  gate: null,
  pipe: 'friction',
  reducer: 'fittings',
  branch: 'fittings',
  straight: null,
  separator: 'separator',
  inlet: 'fittings',
};

/** Which estimate a part's loss is made of; null: none. */
export const estimateOf = (kind: PartKind): EstimateKind | null =>
  isFittingKind(kind) ? 'fittings' : ESTIMATE_OF[kind];

/** How one quantity of a solved shop moves with what the model assumes. SI. */
export interface Sensitivities {
  /** The quantity itself. */
  readonly value: number;
  /** By each kind of estimate, for its factor from 1: the quantity's change for twice as much of it. */
  readonly byEstimate: Readonly<Record<EstimateKind, number>>;
  /** Of what each run has for itself, by run: the same for its parts alone. */
  readonly byRun: Readonly<Record<OwnEstimate, ReadonlyMap<string, number>>>;
  /** By the loss of one part, for a factor on it from 1. */
  readonly byPart: (segment: number, part: number) => number;
  /** By an opening in a segment, for each m²: its air drawn in where nothing was. */
  readonly byOpening: (segment: number, perArea: number) => number;
  /** By a loss at a segment's downstream end, for each velocity head of it. */
  readonly byLoss: (segment: number) => number;
}

/** Kinds of estimate that each run has for itself. */
export type OwnEstimate = 'entries' | 'fittings' | 'friction';

/** Share a factor is moved by, to difference what lies behind the blower. */
const STEP = 1e-4;

const leak = new Float64Array(2);

/** What a shop is differentiated in: its network as it is solved. */
export interface SolvedNetwork {
  readonly shop: Shop;
  readonly view: View;
  readonly compiled: CompiledNetwork;
  readonly state: NetworkState;
  /** What the network was assembled with; absent: nothing was multiplied. */
  readonly factors?: Factors;
}

/**
 * Derivatives of a quantity of a solved shop by everything it was estimated from, by one adjoint pass.
 * First order: what lies a long way from the estimate is only as good as a straight line to it.
 */
export function sensitivities(
  { shop, view, compiled, state, factors = NO_CHANGE }: SolvedNetwork,
  quantity: NetworkQuantity,
): Sensitivities {
  const adjoint = differentiate(compiled, state).adjointOf(quantity);
  const { segments } = compiled.network;
  const byPart = (s: number, index: number): number => {
    const segment = segments[s];
    const part = segment?.parts[index];
    return segment && part ? partDerivative(compiled, state, adjoint, s, segment, part) : 0;
  };
  const byEstimate: Record<EstimateKind, number> = {
    entries: 0,
    fittings: 0,
    friction: 0,
    separator: 0,
    filter: 0,
    leaks: 0,
    blower: adjoint.onBlower * state.rise,
  };
  const byRun = { entries: new Map(), fittings: new Map(), friction: new Map() } as const;
  segments.forEach((segment, s) => {
    segment.parts.forEach((part, index) => {
      const kind = estimateOf(part.kind);
      if (!kind) return;
      const change = byPart(s, index);
      byEstimate[kind] += change;
      if (kind === 'entries' || kind === 'fittings' || kind === 'friction') {
        const own: Map<string, number> = byRun[kind];
        own.set(segment.run, (own.get(segment.run) ?? 0) + change);
      }
    });
    byEstimate.leaks += (adjoint.onLeak[s] ?? 0) * drawnIn(compiled, state, s);
  });
  for (const kind of BEHIND_BLOWER) {
    byEstimate[kind] -=
      adjoint.onBlower * exhaustDerivative({ shop, view, compiled, state, factors }, kind);
  }
  return {
    value: quantityIn(compiled, state, quantity),
    byEstimate,
    byRun,
    byPart,
    byOpening: (s, perArea) => {
      openingInto(leak, perArea, suctionIn(compiled, state, s));
      return (adjoint.onLeak[s] ?? 0) * (leak[0] ?? 0);
    },
    byLoss: (s) => {
      const down = state.qDown[s] ?? 0;
      return -(adjoint.onDown[s] ?? 0) * (compiled.perFlowSquared[s] ?? 0) * Math.abs(down) * down;
    },
  };
}

/** Estimates that what lies behind the blower is made of. */
const BEHIND_BLOWER = ['fittings', 'friction', 'separator', 'filter', 'leaks'] as const;

/** By a factor on a part: its coefficient's share of (2) or (4), its friction's of both. */
function partDerivative(
  { network: { air }, perFlowSquared }: CompiledNetwork,
  { qUp, qDown }: NetworkState,
  { onUp, onDown }: Adjoint,
  s: number,
  { diameter }: Segment,
  { half, coefficient, friction }: Part,
): number {
  const up = qUp[s] ?? 0;
  const down = qDown[s] ?? 0;
  const [weightUp, weightDown] = [onUp[s] ?? 0, onDown[s] ?? 0];
  const perSquare = coefficient * (perFlowSquared[s] ?? 0);
  const byCoefficient =
    half === 'up'
      ? weightUp * perSquare * Math.abs(up) * up
      : weightDown * perSquare * Math.abs(down) * down;
  if (!friction) return -byCoefficient;
  const halfLaw = { ...friction, length: friction.length / 2 };
  return -(
    byCoefficient +
    weightUp * frictionLoss(halfLaw, up, diameter, air) +
    weightDown * frictionLoss(halfLaw, down, diameter, air)
  );
}

/** Suction in a segment's middle, Pa below the room. */
const suctionIn = (c: CompiledNetwork, { qUp, pMid }: NetworkState, s: number): number =>
  (c.perFlowSquared[s] ?? 0) * (qUp[s] ?? 0) ** 2 - (pMid[s] ?? 0);

/** What a segment's seams and openings draw in, m³/s. */
function drawnIn(c: CompiledNetwork, state: NetworkState, s: number): number {
  const [seam, hole] = [c.seam[s] ?? 0, c.hole[s] ?? 0];
  if (seam === 0 && hole === 0) return 0;
  leakInto(leak, seam, c.network.seamExponent, c.seamPowers, hole, suctionIn(c, state, s));
  return leak[0] ?? 0;
}

/** Pressure behind the blower by a factor on one kind of estimate, at the flow it has. */
function exhaustDerivative(
  { shop, view, compiled, state, factors }: Required<SolvedNetwork>,
  kind: (typeof BEHIND_BLOWER)[number],
): number {
  const { air } = compiled.network;
  const out = { pressure: 0, slope: 0, leak: 0 };
  const at = (factor: number) => {
    const moved = { ...factors, [kind]: factors[kind] * factor };
    const setting = { shop, view, factors: factorsIn(shop, view, moved) };
    const exhaust = exhaustOfShop(setting, air.density);
    exhaustInto(out, exhaust, state.flow, air);
    return out.pressure;
  };
  return (at(1 + STEP) - at(1 - STEP)) / (2 * STEP);
}
