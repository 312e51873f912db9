// node scripts/run-bundled.mjs <script> …: bundles a script and all it imports into one file, as a browser's worker gets
// it, and runs that. What takes a bench's time is then the program, not what loads it.
import { spawnSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';

const [script, ...words] = process.argv.slice(2);
if (!script) throw new Error('which script?');
const folder = await mkdtemp(join(tmpdir(), 'frank-gauge-bench-'));
try {
  const bundle = join(folder, 'bench.mjs');
  await build({
    entryPoints: [script],
    outfile: bundle,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
    logLevel: 'warning',
  });
  const { status } = spawnSync(process.execPath, [bundle, ...words], { stdio: 'inherit' });
  process.exitCode = status ?? 1;
} finally {
  await rm(folder, { recursive: true, force: true });
}
