// npm run lock: some registries hold only the binaries of their own platform. npm then writes a lock
// file without the optional packages of other platforms, and `npm ci` refuses it. This adds them by
// name and version, without a checksum; where they are wanted, npm fetches them from its registry.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './machine.mjs';

const SYSTEMS = [
  'android',
  'darwin',
  'freebsd',
  'linux',
  'linuxmusl',
  'openharmony',
  'openbsd',
  'netbsd',
  'sunos',
  'aix',
  'win32',
  'wasi',
];
const PROCESSORS = [
  'arm64',
  'arm',
  'x64',
  'ia32',
  'ppc64',
  'riscv64',
  's390x',
  'loong64',
  'mips64el',
  'wasm32',
  'wasm',
  'universal',
];

/** The platform a binary package is for, read from its name. */
function platformOf(name) {
  const words = name.split(/[/-]/);
  const system = SYSTEMS.find((candidate) => words.includes(candidate));
  const processor = PROCESSORS.find((candidate) => words.includes(candidate));
  const os = system === 'linuxmusl' ? 'linux' : system === 'wasi' ? undefined : system;
  const isMusl = words.some((word) => word.includes('musl'));
  return {
    ...(os ? { os: [os] } : {}),
    ...(processor ? { cpu: [processor === 'wasm' ? 'wasm32' : processor] } : {}),
    ...(isMusl ? { libc: ['musl'] } : {}),
  };
}

const path = join(ROOT, 'package-lock.json');
const lock = JSON.parse(readFileSync(path, 'utf8'));
let added = 0;
for (const entry of Object.values(lock.packages)) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const place = `node_modules/${name}`;
    if (lock.packages[place]) continue;
    const platform = platformOf(name);
    if (!platform.os && !platform.cpu) continue;
    lock.packages[place] = {
      version,
      ...(entry.dev ? { dev: true } : {}),
      optional: true,
      ...platform,
    };
    added++;
  }
}
lock.packages = Object.fromEntries(
  Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)),
);
writeFileSync(path, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} optional packages of other platforms added to the lock file`);
