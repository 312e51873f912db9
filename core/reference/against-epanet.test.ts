// Reference: EPANET 2.2, general-purpose pipe-network engine, run as WebAssembly by epanet-js.

import { describe, expect, it } from 'vitest';
import type { Shop } from '../src/design/schema';
import { shopToNetwork } from '../src/network/assemble/shop-to-network';
import { compileNetwork } from '../src/network/compiled-network';
import type { Network } from '../src/network/network';
import { solveNetwork } from '../src/network/solve-network';
import { arrangeDucts } from '../src/routing/arrange-ducts';
import { openInEpanet } from './epanet-engine';
import { generatedShop, threeBranchShop } from './sample-shops';

/** Worst difference of any flow, relative to the blower's. */
async function worstDifference(network: Network): Promise<number> {
  const ours = solveNetwork(compileNetwork(network));
  if (ours.kind !== 'converged') throw new Error(ours.reason.kind);
  const reference = await openInEpanet(network);
  const theirs = reference.solve();
  reference.close();
  const { state } = ours;
  const differences = network.segments.flatMap((_, s) => [
    (state.qUp[s] ?? 0) - (theirs.up[s] ?? 0),
    (state.qDown[s] ?? 0) - (theirs.down[s] ?? 0),
  ]);
  return Math.max(...differences.map(Math.abs), Math.abs(state.flow - theirs.blower)) / state.flow;
}

function wholeNetworkOf(shop: Shop, openGates: readonly string[]): Network {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  return shopToNetwork(shop, arranged.tree, { view: 'found', openGates: new Set(openGates) });
}

function networkOf(shop: Shop, openGates: readonly string[]): Network {
  const network = wholeNetworkOf(shop, openGates);
  // EPANET's leaks see no velocity pressure: leave only those where the air stands still.
  const segments = network.segments.map((segment) =>
    segment.upstream === 'capped' ? segment : { ...segment, seam: 0 },
  );
  return { ...network, segments };
}

describe('flows agree with EPANET', () => {
  it('three branches, one shut and leaking, within 1 % everywhere', async () => {
    const network = networkOf(threeBranchShop(), ['saw', 'planer']);
    expect(network.segments.some(({ seam, upstream }) => upstream === 'capped' && seam > 0)).toBe(
      true,
    );
    expect(await worstDifference(network)).toBeLessThan(0.01);
  });

  it('seams leaking everywhere, in ducts so wide that their velocity pressure is nothing', async () => {
    const shop = generatedShop(12, { risers: true });
    shop.condition.sealing.usual = 48;
    shop.collector.separator.inletDiameter = 1.6;
    for (const run of shop.ducts.runs)
      Object.assign(run, { diameter: run.diameter * 4, hose: null });
    const gated = shop.ducts.runs.filter((run) => run.gate);
    const open = gated.filter((_, i) => i % 3 === 0).map(({ id }) => id);
    const network = wholeNetworkOf(shop, open);
    const ours = solveNetwork(compileNetwork(network));
    if (ours.kind !== 'converged') throw new Error(ours.reason.kind);
    const drawn = network.segments.reduce(
      (sum, { upstream }, s) => (upstream === 'open' ? sum + (ours.state.qUp[s] ?? 0) : sum),
      0,
    );
    // It is leaks that are compared: they are more than a tenth of what the blower moves.
    expect(drawn).toBeLessThan(0.9 * ours.state.flow);
    expect(await worstDifference(network)).toBeLessThan(0.005);
  });

  // Thirty trees of 3 to 120 runs, in three kinds of pipe, with every second to fourth gate open,
  // every second tree with a riser for each drop.
  const trees = Array.from({ length: 30 }, (_, i) => ({
    drops: i % 2 === 0 ? 2 + 2 * i : 2 + Math.round(1.31 * i),
    risers: i % 2 === 1,
    pipe: (['galvanised', 'drain', 'average'] as const)[i % 3] ?? 'average',
    every: 2 + (i % 3),
  }));

  it.each(trees)('$drops drops in $pipe pipe, one gate in $every open', async (tree) => {
    const shop = generatedShop(tree.drops, tree);
    expect(shop.ducts.runs.length).toBeGreaterThanOrEqual(3);
    for (const run of shop.ducts.runs) run.pipe = tree.pipe;
    const gated = shop.ducts.runs.filter((run) => run.gate);
    const open = gated.filter((_, i) => i % tree.every === 0).map(({ id }) => id);
    expect(await worstDifference(networkOf(shop, open))).toBeLessThan(0.005);
  });
});
