/**
 * npm run bench: our solve against EPANET's (as WebAssembly) on the same 60-drop tree, in one run,
 * both from a cold start; and our own figures for warm solves and larger trees. Prints ratios.
 */

import { openInEpanet } from '../core/reference/epanet-engine';
import { generatedShop } from '../core/reference/sample-shops';
import { networksByGates } from '../core/src/network/assemble/networks-by-gates';
import { shopToNetwork } from '../core/src/network/assemble/shop-to-network';
import { compileNetwork } from '../core/src/network/compiled-network';
import { solveNetwork } from '../core/src/network/solve-network';
import { arrangeDucts } from '../core/src/shop/topology';
import { judgeDrops } from '../core/src/verdict/judge-drops';

function networkOfDrops(drops: number) {
  const shop = generatedShop(drops);
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  const open = shop.ducts.runs.filter((run, i) => run.gate && i % 2 === 0).map(({ id }) => id);
  const openGates = new Set(open);
  const network = shopToNetwork(shop, arranged.tree, { view: 'found', openGates });
  const segments = network.segments.map((segment) =>
    segment.upstream === 'capped' ? segment : { ...segment, seam: 0 },
  );
  return { shop, tree: arranged.tree, network: { ...network, segments } };
}

/** Median time of one call in µs, over batches. */
function median(action: () => void, batches = 60, calls = 20): number {
  for (let i = 0; i < 200; i++) action();
  const times: number[] = [];
  for (let batch = 0; batch < batches; batch++) {
    const start = performance.now();
    for (let i = 0; i < calls; i++) action();
    times.push(((performance.now() - start) * 1000) / calls);
  }
  times.sort((a, b) => a - b);
  return times[times.length >> 1] ?? Number.NaN;
}

const line = (name: string, value: string) => console.log(`${name.padEnd(58)}${value}`);
const micro = (time: number) => `${time.toFixed(1)} µs`;

const { network, shop, tree } = networkOfDrops(60);
for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
const compiled = compileNetwork(network);
const cold = solveNetwork(compiled);
if (cold.kind !== 'converged') throw new Error(cold.reason.kind);
const reference = await openInEpanet(network);
const theirs = reference.solve();
const worst = Math.max(
  ...network.segments.map((_, s) => Math.abs((cold.state.qDown[s] ?? 0) - (theirs.down[s] ?? 0))),
);

console.log(`60 drops, ${tree.upstreamFirst.length} runs, ${network.segments.length} segments\n`);
line(
  'worst difference of any flow, of the blower’s',
  `${((100 * worst) / cold.state.flow).toFixed(3)} %`,
);
const ours = median(() => void solveNetwork(compiled));
const compiling = median(() => void solveNetwork(compileNetwork(network)));
const other = median(() => void reference.solve(), 30, 5);
reference.close();
line(`ours, cold, ${cold.iterations} iterations to 1e-10`, micro(ours));
line('ours, cold, laid out anew each time', micro(compiling));
line('reference engine, cold, accuracy 1e-8', micro(other));
line('reference / ours, cold', `${(other / ours).toFixed(1)} ×`);
line('reference / ours, cold, laid out anew', `${(other / compiling).toFixed(1)} ×`);

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
const warm = median(() => void solveNetwork(editedCompiled, cold.state));
line('ours, warm after one edited run', micro(warm));
line('reference, cold / ours, warm', `${(other / warm).toFixed(1)} ×`);

const large = compileNetwork(networkOfDrops(200).network);
line('ours, cold, 200 drops', micro(median(() => void solveNetwork(large), 30, 5)));
const all = median(() => void judgeDrops(shop, tree, 'found', 'one'), 10, 1);
line('every drop of 60 with its own gate open, from the document', `${(all / 1000).toFixed(1)} ms`);

const twelve = generatedShop(12);
for (const run of twelve.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
const arranged = arrangeDucts(twelve);
if (!arranged.ok) throw new Error('no tree');
const networkOf = networksByGates(twelve, arranged.tree, { view: 'found' });
const gates = twelve.ducts.runs.filter((run) => run.gate).map(({ id }) => id);
const start = performance.now();
let solves = 0;
for (let set = 0; set < 1 << gates.length; set++) {
  const openGates = new Set(gates.filter((_, bit) => set & (1 << bit)));
  if (solveNetwork(compileNetwork(networkOf(openGates))).kind === 'converged') solves++;
}
line(
  `all ${1 << gates.length} gate sets of 12 drops, ${solves} solved`,
  `${(performance.now() - start).toFixed(0)} ms`,
);
