import { estimateOf } from '../analysis/flow-sensitivities';
import type { BelievedShop } from '../inference/faults';
import type { Asked, Nuisances } from '../inference/predictor';
import { type Factors, NO_CHANGE } from '../network/assemble/setting';
import { shopToNetwork } from '../network/assemble/shop-to-network';
import { compileNetwork } from '../network/compiled-network';
import type { Network } from '../network/network';
import { type ShopSolution, solveCompiled } from '../network/solve-shop';
import { measuredIn } from '../reading/measured-in';

/** A shop as it really is: what is true of anything that can be measured in it, SI; null: nothing is. */
export type RealShop = (asked: Asked) => number | null;

/**
 * A shop with what is wrong with it, and with everything its model is unsure of as it was drawn.
 * @param drawn by the nuisances, the factor on each
 */
export function realShop(
  real: BelievedShop,
  nuisances: Nuisances,
  drawn: readonly number[],
): RealShop {
  const known = new Map<string, ShopSolution | null>();
  return ({ measurand, gates, gatesKey }) => {
    const solved = known.get(gatesKey);
    const solution = solved === undefined ? solveReal(real, gates, nuisances, drawn) : solved;
    known.set(gatesKey, solution);
    return solution && measuredIn(real.shop, solution, measurand);
  };
}

/** Such a shop solved with certain gates open; null: it has no answer. */
export function solveReal(
  { shop, tree, factors }: BelievedShop,
  openGates: ReadonlySet<string>,
  { indexOf }: Nuisances,
  drawn: readonly number[],
): ShopSolution | null {
  const factor = (name: string) => drawn[indexOf.get(name) ?? -1] ?? 1;
  const own: Factors = { ...NO_CHANGE };
  const moved = Object.fromEntries(
    (Object.keys(own) as (keyof Factors)[]).map((kind) => [kind, factors[kind] * factor(kind)]),
  ) as unknown as Factors;
  const network = shopToNetwork(shop, tree, { view: 'found', openGates, factors: moved });
  const solved = solveCompiled(tree, compileNetwork(drawnNetwork(network, factor)));
  return solved.kind === 'solved' ? solved : null;
}

const drawnNetwork = (network: Network, factor: (name: string) => number): Network => ({
  ...network,
  segments: network.segments.map((segment) => ({
    ...segment,
    parts: segment.parts.map((part) => {
      const by = factor(`${estimateOf(part.kind)} ${segment.run}`);
      return {
        ...part,
        coefficient: part.coefficient * by,
        friction: part.friction && {
          ...part.friction,
          multiplier: part.friction.multiplier * by,
        },
      };
    }),
  })),
});
