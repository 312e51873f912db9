// Our solve against EPANET's (as WebAssembly) on the same 60-drop tree, in one run, both from a cold start;
// and our own figures for warm solves and larger trees.

import { openInEpanet } from '../../core/reference/epanet-engine';
import { generatedShop } from '../../core/reference/sample-shops';
import { everyGateSet } from '../../core/src/analysis/every-gate-set';
import { judgeDrops } from '../../core/src/analysis/judge-drops';
import { shopToNetwork } from '../../core/src/network/assemble/shop-to-network';
import { compileNetwork } from '../../core/src/network/compiled-network';
import { solveNetwork } from '../../core/src/network/solve-network';
import { arrangeDucts } from '../../core/src/routing/arrange-ducts';
import type { Bench } from './bench';

function networkOfDrops(drops: number) {
  const shop = generatedShop(drops, { risers: drops === 60 });
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  const open = shop.ducts.runs.filter((run, i) => run.gate && i % 2 === 0).map(({ id }) => id);
  const openGates = new Set(open);
  const network = shopToNetwork(shop, arranged.tree, { view: 'found', openGates });
  const segments = network.segments.map((segment) =>
    segment.upstream === 'capped' ? segment : { ...segment, seam: 0 },
  );
  return { shop, tree: arranged.tree, network: { ...network, segments }, leaking: network };
}

interface Contestant {
  readonly action: () => void;
  /** Calls a batch, so that a batch is long against the clock. */
  readonly calls: number;
}

/**
 * Median time of one call of each in µs, a batch of each in turn, so that a machine that slows down
 * slows all of them down.
 */
function inTurn(contestants: readonly Contestant[], batches = 40): number[] {
  for (const { action, calls } of contestants) for (let i = 0; i < 15 * calls; i++) action();
  const times = contestants.map(() => [] as number[]);
  for (let batch = 0; batch < batches; batch++) {
    contestants.forEach(({ action, calls }, i) => {
      const start = performance.now();
      for (let call = 0; call < calls; call++) action();
      times[i]?.push(((performance.now() - start) * 1000) / calls);
    });
  }
  return times.map((own) => own.sort((x, y) => x - y)[own.length >> 1] ?? Number.NaN);
}

const median = (action: () => void, batches: number, calls: number): number =>
  inTurn([{ action, calls }], batches)[0] ?? Number.NaN;

const micro = (time: number) => `${time.toFixed(1)} µs`;

export async function benchSolver(): Promise<Bench> {
  const lines: string[] = [];
  const line = (name: string, value: string) => lines.push(`${name.padEnd(58)}${value}`);

  const { network, leaking, shop, tree } = networkOfDrops(60);
  for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
  const compiled = compileNetwork(network);
  const cold = solveNetwork(compiled);
  if (cold.kind !== 'converged') throw new Error(cold.reason.kind);
  const reference = await openInEpanet(network);
  const theirs = reference.solve();
  const worst = Math.max(
    ...network.segments.map((_, s) => Math.abs((cold.state.qDown[s] ?? 0) - (theirs.down[s] ?? 0))),
  );

  lines.push(`60 drops, ${tree.upstreamFirst.length} runs, ${network.segments.length} segments\n`);
  line(
    'worst difference of any flow, of the blower’s',
    `${((100 * worst) / cold.state.flow).toFixed(3)} %`,
  );
  const edited = {
    ...network,
    segments: network.segments.map((segment, i) =>
      i === 5
        ? {
            ...segment,
            parts: segment.parts.map((part) => ({ ...part, coefficient: part.coefficient * 1.1 })),
          }
        : segment,
    ),
  };
  const editedCompiled = compileNetwork(edited);
  const leakingCompiled = compileNetwork(leaking);
  const [ours = 0, compiling = 0, warm = 0, everywhere = 0, other = 0] = inTurn([
    { action: () => void solveNetwork(compiled), calls: 10 },
    { action: () => void solveNetwork(compileNetwork(network)), calls: 10 },
    { action: () => void solveNetwork(editedCompiled, cold.state), calls: 20 },
    { action: () => void solveNetwork(leakingCompiled), calls: 10 },
    { action: () => void reference.solve(), calls: 5 },
  ]);
  reference.close();
  const ratio = (time: number) => `${micro(time)}, ${(other / time).toFixed(1)} × faster`;
  line('reference engine, cold, accuracy 1e-8', micro(other));
  line(`ours, cold, ${cold.iterations} iterations to 1e-10`, ratio(ours));
  line('ours, cold, network laid out anew each time', ratio(compiling));
  line('ours, warm after one edited run', ratio(warm));
  line('ours, cold, every seam leaking (not the reference’s network)', micro(everywhere));

  const large = compileNetwork(networkOfDrops(200).network);
  line('ours, cold, 200 drops', micro(median(() => void solveNetwork(large), 30, 5)));
  const all = median(() => void judgeDrops(shop, tree, 'found', 'one'), 10, 1);
  line(
    'every drop of 60 with its own gate open, from the document',
    `${(all / 1000).toFixed(1)} ms`,
  );

  const twelve = generatedShop(12);
  for (const run of twelve.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
  const arranged = arrangeDucts(twelve);
  if (!arranged.ok) throw new Error('no tree');
  const start = performance.now();
  const over = everyGateSet(twelve, arranged.tree, 'found', { kind: 'atMost', count: 12 });
  line(
    `every set of gates of 12 drops, ${over.sets}, the worst kept`,
    `${(performance.now() - start).toFixed(0)} ms`,
  );
  return {
    lines,
    figures: { solver: { coldRatio: other / ours, warmRatio: other / warm } },
  };
}
