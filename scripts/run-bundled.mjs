// node scripts/run-bundled.mjs <script> …: bundles a script and all it imports into one file, as a browser's worker gets
// it, and runs that. What takes a bench's time is then the program, not what loads it.
import { spawnSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bundleForNode } from './bundle.mjs';

const [script, ...words] = process.argv.slice(2);
if (!script) throw new Error('which script?');
const folder = await mkdtemp(join(tmpdir(), 'frank-gauge-bench-'));
try {
  const bundle = join(folder, 'bench.mjs');
  await bundleForNode(script, bundle);
  const { status } = spawnSync(process.execPath, [bundle, ...words], { stdio: 'inherit' });
  process.exitCode = status ?? 1;
} finally {
  await rm(folder, { recursive: true, force: true });
}
