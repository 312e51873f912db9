// Bundles what /api/solve runs in threads of its own into one file, which Node loads without the app.
import { join } from 'node:path';
import { bundleForNode } from './bundle.mjs';
import { WEB } from './machine.mjs';

await bundleForNode(join(WEB, 'src/server/solver.ts'), join(WEB, '.solver/solver.mjs'));
