// What the scripts share about the machine they run on. Node only, no shell.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
export const WEB = join(ROOT, 'web');
/** What solves requests in threads of its own; made by build-solver.mjs. */
const SOLVER = join(WEB, '.solver', 'solver.mjs');
/** What keeps the app on a device; made by build-offline.mjs. */
const OFFLINE = join(WEB, 'public', 'service-worker.js');
export const CHROMIUM = '/usr/bin/chromium';

const QUIET = { NEXT_TELEMETRY_DISABLED: '1', NO_COLOR: '1' };
export const ENVIRONMENT = { ...process.env, ...QUIET };

/** Runs a program to its end; answers whether it went well, and what it printed if asked to. */
export function run(command, args, { cwd = ROOT, keep = false, isQuiet = false } = {}) {
  const done = spawnSync(command, args, {
    cwd,
    env: ENVIRONMENT,
    encoding: 'utf8',
    stdio: keep ? ['ignore', 'pipe', 'inherit'] : ['ignore', isQuiet ? 2 : 'inherit', 'inherit'],
    maxBuffer: 1e9,
  });
  return { ok: done.status === 0, output: done.stdout ?? '' };
}

/** A package's program, by the name it has in node_modules/.bin. */
export const tool = (name) => join(ROOT, 'node_modules', '.bin', name);

/** Installs the packages of the lock file unless they are there already. */
export function installPackages() {
  const stamp = join(ROOT, 'node_modules', '.frank-gauge-lock');
  const lock = readFileSync(join(ROOT, 'package-lock.json'), 'utf8');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return true;
  console.log('Installing packages…');
  const { ok } = run('npm', ['ci', '--no-audit', '--no-fund']);
  if (ok) writeFileSync(stamp, lock);
  return ok;
}

const SOURCES = ['core/src', 'web/src', 'demo'];

function newestIn(folder) {
  let newest = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    newest = Math.max(newest, entry.isDirectory() ? newestIn(path) : statSync(path).mtimeMs);
  }
  return newest;
}

/** Whether the built app is at least as new as everything it is built from. */
export function isBuilt() {
  const id = join(WEB, '.next', 'BUILD_ID');
  if (!existsSync(id)) return false;
  if (!existsSync(SOLVER) || !existsSync(OFFLINE)) return false;
  const files = [
    'web/next.config.ts',
    'web/hardening.json',

    'package-lock.json',
  ].map((file) => join(ROOT, file));
  const newest = [
    ...SOURCES.map((folder) => newestIn(join(ROOT, folder))),
    ...files.map((file) => statSync(file).mtimeMs),
  ];
  return statSync(id).mtimeMs >= Math.max(...newest);
}

/** Builds the app; quietly, nothing of it goes to standard output. */
export function build({ isQuiet = false } = {}) {
  (isQuiet ? console.error : console.log)('Building the app…');
  const script = (name) => run(process.execPath, [join(ROOT, 'scripts', name)], { isQuiet }).ok;
  return (
    script('build-solver.mjs') &&
    run(tool('next'), ['build'], { cwd: WEB, isQuiet }).ok &&
    script('build-offline.mjs')
  );
}

/** The first free port from `first` on. */
export async function freePort(first) {
  for (let port = first; port < first + 100; port++) {
    const isFree = await new Promise((resolve) => {
      const server = createServer();
      server.once('error', () => resolve(false));
      server.listen(port, () => server.close(() => resolve(true)));
    });
    if (isFree) return port;
  }
  throw new Error(`no free port from ${first} on`);
}

/** Starts the built app; answers once it does. It listens on this machine only, unless told a host. */
export async function startApp(port, host = '127.0.0.1') {
  const args = [join(WEB, 'server.mjs'), '--port', String(port), '--host', host];
  const child = spawn(process.execPath, args, {
    cwd: WEB,
    env: ENVIRONMENT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const address = `http://localhost:${port}`;
  for (let tries = 0; tries < 120; tries++) {
    if (child.exitCode !== null) throw new Error('the app did not start');
    const answers = await fetch(address).then(
      (response) => response.ok,
      () => false,
    );
    if (answers) return { child, address };
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  child.kill();
  throw new Error('the app did not answer within 30 s');
}
