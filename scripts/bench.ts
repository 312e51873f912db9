// npm run bench: what the program is held to, measured side by side in one run. Names after it choose among
// solver, drag, trace, journal and load; with --json it prints one line of JSON and nothing else.
import type { Bench } from './bench/bench';
import { inBrowser } from './bench/browsing';
import { benchDrag } from './bench/drag';
import { benchFirstLoad } from './bench/first-load';
import { benchJournal } from './bench/journal';
import { benchSolver } from './bench/solver';
import { benchTrace } from './bench/trace';

const BENCHES: Readonly<Record<string, () => Bench | Promise<Bench>>> = {
  solver: benchSolver,
  drag: () => inBrowser(benchDrag),
  trace: () => inBrowser(benchTrace),
  journal: () => inBrowser(benchJournal),
  load: benchFirstLoad,
};

const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const isJson = process.argv.includes('--json');
const unknown = asked.find((name) => !Object.hasOwn(BENCHES, name));
if (unknown !== undefined) {
  console.error(`No benchmark is called ${unknown}; there are ${Object.keys(BENCHES).join(', ')}.`);
  process.exit(1);
}

const figures: Record<string, unknown> = {};
for (const [name, bench] of Object.entries(BENCHES)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const found = await bench();
  Object.assign(figures, found.figures);
  if (!isJson) console.log(`${found.lines.join('\n')}\n`);
}
if (isJson) console.log(JSON.stringify(figures));
