import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShop } from '../../reference/any-shop';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { differentiate, type NetworkQuantity } from '../network/adjoint';
import { NO_CHANGE } from '../network/assemble/setting';
import { shopToNetwork } from '../network/assemble/shop-to-network';
import { type CompiledNetwork, compileNetwork } from '../network/compiled-network';
import type { Network, Segment } from '../network/network';
import { solveOperatingPoint } from '../network/operating-point';
import type { NetworkState } from '../network/solve-network';
import { arrangeDucts } from '../routing/arrange-ducts';
import { type EstimateKind, sensitivities } from './flow-sensitivities';

/** Share by which a parameter is moved either way, to difference the solution. */
const STEP = 2e-4;
const KINDS = Object.keys(NO_CHANGE) as EstimateKind[];

interface Solved {
  readonly shop: Shop;
  readonly tree: DuctTree;
  readonly network: Network;
  readonly compiled: CompiledNetwork;
  readonly state: NetworkState;
}

/** A random shop's network as found, solved away from rest and from its curve's ends; null else. */
function solvedNetwork(shop: Shop): Solved | null {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) return null;
  const network = shopToNetwork(shop, arranged.tree, { view: 'found' });
  const compiled = compileNetwork(network);
  const solved = solveOperatingPoint(compiled);
  if (solved.kind !== 'converged' || solved.operatingPoints.length > 1) return null;
  const { flow } = solved.state;
  if (flow < 0.02 * compiled.lastFlow || flow > 0.98 * compiled.lastFlow) return null;
  return { shop, tree: arranged.tree, network, compiled, state: solved.state };
}

const flowAt = (network: Network, segment: number, from: NetworkState): number => {
  const solved = solveOperatingPoint(compileNetwork(network), from);
  if (solved.kind !== 'converged') throw new Error('not solved');
  return solved.state.qUp[segment] ?? 0;
};

const withSegment = (network: Network, at: number, change: (own: Segment) => Segment): Network => ({
  ...network,
  segments: network.segments.map((own, s) => (s === at ? change(own) : own)),
});

const difference = (of: (factor: number) => number): number =>
  (of(1 + STEP) - of(1 - STEP)) / (2 * STEP);

/** Nearer than this share of the flow asked about, two derivatives by a factor are one. */
const SAME = 1e-5;

const isSame = (derivative: number, differenced: number, flow: number) =>
  Math.abs(derivative - differenced) <=
  SAME * (Math.abs(flow) + Math.abs(derivative) + Math.abs(differenced));

/** One of the segments that really has air in it. */
const liveSegment = ({ state }: Solved, pick: number): number | null => {
  const live = [...state.qUp.keys()].filter((s) => (state.qUp[s] ?? 0) > 0.05 * state.flow);
  return live.length === 0 ? null : (live[pick % live.length] ?? null);
};

/** A shop solved, and one of its segments to ask about; a shop that has none is not counted. */
function solvedOrSkip(shop: Shop, pick: number): Solved & { readonly segment: number } {
  const solved = solvedNetwork(shop);
  fc.pre(solved !== null);
  const segment = liveSegment(solved, pick);
  fc.pre(segment !== null);
  return { ...solved, segment };
}

const shops = fc.constantFrom<Parameters<typeof anyShop>[0]>(
  { junctions: 'momentum' },
  { junctions: 'handbook', friction: 'powerFit' },
);

describe('derivatives by the adjoint', () => {
  it('by every kind of estimate are what central differences of the solved shop give', () => {
    let tried = 0;
    fc.assert(
      fc.property(shops.chain(anyShop), fc.nat(), (shop, pick) => {
        const { tree, compiled, state, segment } = solvedOrSkip(shop, pick);
        const quantity: NetworkQuantity = { kind: 'flow', segment };
        const { byEstimate } = sensitivities({ shop, view: 'found', compiled, state }, quantity);
        for (const kind of KINDS) {
          const differenced = difference((factor) => {
            const factors = { ...NO_CHANGE, [kind]: factor };
            return flowAt(shopToNetwork(shop, tree, { view: 'found', factors }), segment, state);
          });
          if (!isSame(byEstimate[kind], differenced, state.qUp[segment] ?? 0)) {
            throw new Error(`${kind}: ${byEstimate[kind]} by adjoint, ${differenced} differenced`);
          }
        }
        tried++;
      }),
      { numRuns: 150 },
    );
    expect(tried).toBeGreaterThan(50);
  });

  it('by any part’s loss and any opening are what central differences give', () => {
    fc.assert(
      fc.property(shops.chain(anyShop), fc.nat(), fc.nat(), fc.nat(), (shop, pick, one, other) => {
        const { network, compiled, state, segment } = solvedOrSkip(shop, pick);
        const { byPart, byOpening } = sensitivities(
          { shop, view: 'found', compiled, state },
          { kind: 'flow', segment },
        );
        const flow = state.qUp[segment] ?? 0;
        const s = one % network.segments.length;
        const own = network.segments[s];
        fc.pre(own !== undefined && own.parts.length > 0);
        const index = other % own.parts.length;
        const byFactor = difference((factor) =>
          flowAt(
            withSegment(network, s, ({ parts, ...rest }) => ({
              ...rest,
              parts: parts.map((part, i) =>
                i !== index
                  ? part
                  : {
                      ...part,
                      coefficient: part.coefficient * factor,
                      friction: part.friction && {
                        ...part.friction,
                        multiplier: part.friction.multiplier * factor,
                      },
                    },
              ),
            })),
            segment,
            state,
          ),
        );
        expect(isSame(byPart(s, index), byFactor, flow)).toBe(true);
        // An opening as large as what the segment has, or a small one where it has none.
        const hole = Math.max(own.hole, 1e-5);
        const holed = withSegment(network, s, (each) => ({ ...each, hole }));
        const at = solveOperatingPoint(compileNetwork(holed));
        fc.pre(at.kind === 'converged');
        const derived = sensitivities(
          { shop, view: 'found', compiled: compileNetwork(holed), state: at.state },
          { kind: 'flow', segment },
        ).byOpening(s, hole);
        const differenced = difference((factor) =>
          flowAt(
            withSegment(network, s, (each) => ({ ...each, hole: hole * factor })),
            segment,
            at.state,
          ),
        );
        expect(isSame(derived, differenced, flow)).toBe(true);
        expect(Number.isFinite(byOpening(s, hole))).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it('of pressures too: a weight for each residual, whatever is asked', () => {
    fc.assert(
      fc.property(anyShop({ junctions: 'momentum' }), fc.nat(), (shop, pick) => {
        const { network, compiled, state, segment } = solvedOrSkip(shop, pick);
        const { density } = network.air;
        const area = Math.PI * ((network.segments[segment]?.diameter ?? 1) / 2) ** 2;
        const quantities = [
          [
            { kind: 'static pressure', segment },
            ({ pUp, qUp }: NetworkState) =>
              (pUp[segment] ?? 0) - (density / 2) * ((qUp[segment] ?? 0) / area) ** 2,
          ],
          [
            { kind: 'total pressure', segment, at: 'mid' },
            ({ pMid }: NetworkState) => pMid[segment] ?? 0,
          ],
          [{ kind: 'blower flow' }, ({ flow }: NetworkState) => flow],
          [{ kind: 'flow out', segment }, ({ qDown }: NetworkState) => qDown[segment] ?? 0],
        ] as const;
        const last = network.segments.length - 1;
        for (const [quantity, read] of quantities) {
          const { onDown } = differentiate(compiled, state).adjointOf(quantity);
          // A loss more at the end of the last segment, as so many heads of it.
          const solvedWith = (lossCoefficient: number) => {
            const changed = withSegment(network, last, ({ parts, ...rest }) => ({
              ...rest,
              parts: [
                ...parts,
                {
                  kind: 'other',
                  name: '',
                  half: 'down',
                  coefficient: lossCoefficient,
                  friction: null,
                },
              ],
            }));
            const at = solveOperatingPoint(compileNetwork(changed), state);
            if (at.kind !== 'converged') throw new Error('not solved');
            return read(at.state);
          };
          const differenced = (solvedWith(STEP) - solvedWith(-STEP)) / (2 * STEP);
          const down = state.qDown[last] ?? 0;
          const perHead = (compiled.perFlowSquared[last] ?? 0) * Math.abs(down) * down;
          const derived = -(onDown[last] ?? 0) * perHead;
          const scale = quantity.kind.includes('flow') ? state.flow : compiled.shutOff;
          expect(isSame(derived, differenced, scale)).toBe(true);
        }
      }),
      { numRuns: 100 },
    );
  });
});
