// npm run demo: installs and builds what is missing, starts the app, and prints its address.
import { build, freePort, installPackages, isBuilt, startApp } from './machine.mjs';

if (!installPackages()) process.exit(1);
if (!isBuilt() && !build()) process.exit(1);
const { child, address } = await startApp(await freePort(4780));
console.log(`\nFrank Gauge is at ${address}/demo  (Ctrl+C stops it)\n`);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
