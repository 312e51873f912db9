// Bundles what /api/solve runs in threads of its own into one file, which Node loads without the app.
import { join } from 'node:path';
import { build } from 'esbuild';
import { WEB } from './machine.mjs';

await build({
  entryPoints: [join(WEB, 'src/server/solver.ts')],
  outfile: join(WEB, '.solver/solver.mjs'),
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  // Packages of the older kind call for their parts by `require`.
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
  logLevel: 'warning',
});
