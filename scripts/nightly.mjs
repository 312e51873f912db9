// npm run nightly: the laws over 10,000 random shops a method, where npm test takes 300.
import { ENVIRONMENT, installPackages, run, tool } from './machine.mjs';

if (!installPackages()) process.exit(1);
ENVIRONMENT.FRANK_GAUGE_RUNS ??= '10000';
const { ok } = run(tool('vitest'), ['run', 'core/src/network', '--testTimeout=3600000']);
process.exit(ok ? 0 : 1);
