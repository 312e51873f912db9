// npm run demo: installs and builds what is missing, starts the app, and prints its address. It listens on
// this machine only; `npm run demo -- --host 0.0.0.0` lets others on the network in.
import { parseArgs } from 'node:util';
import { build, freePort, installPackages, isBuilt, startApp } from './machine.mjs';

const { values } = parseArgs({ options: { host: { type: 'string', default: '127.0.0.1' } } });
if (!installPackages()) process.exit(1);
if (!isBuilt() && !build()) process.exit(1);
const { child, address } = await startApp(await freePort(4780), values.host);
console.log(`\nFrank Gauge is at ${address}/demo  (Ctrl+C stops it)\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
