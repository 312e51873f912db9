// npm run mutants: puts small faults into the code one by one and looks whether a test falls over each.
// Which files: those named; or with --all every file of the rooms that hold rules, and of storage; else
// those of them that were changed since the branch left main, or, on main, since the last commit.
// A room is judged by the tests of its own neighbourhood: a rule should be tested close to where it stands,
// and with all tests a room takes hours.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ENVIRONMENT, ROOT, tool } from './machine.mjs';

const core = (...rooms) => rooms.map((room) => `core/src/${room}`);
const REFERENCE = 'core/reference';

/** Rooms that hold rules of the trade; and storage, where what people keep lies. With their tests. */
const ROOMS = [
  { of: core('air', 'duct', 'methods'), by: core('collector', 'fittings', 'network') },
  { of: core('fittings'), by: core('methods', 'network', 'routing') },
  { of: core('collector'), by: core('assembly', 'build', 'catalogue', 'network') },
  { of: core('network'), by: core('analysis') },
  { of: core('analysis'), by: core('network') },
  { of: core('reading', 'inference'), by: [] },
  { of: core('routing'), by: core('design') },
  // Not by the storage's tests: the app takes the core from its package, which is not the mutated copy.
  { of: core('document', 'journal', 'file'), by: [] },
  { of: ['web/src/storage'], by: [] },
];
const LEAST_KILLED = 85;

const isIn = (folders) => (file) => folders.some((folder) => file.startsWith(`${folder}/`));
const isSource = (file) =>
  file.endsWith('.ts') &&
  !file.endsWith('.test.ts') &&
  // What is published is kept by its hash, not by its tests.
  !/from-version-\d+\.ts$/.test(file);

function changedFiles() {
  const git = (...args) => spawnSync('git', args, { cwd: ROOT, encoding: 'utf8' }).stdout.trim();
  const base = git('merge-base', 'HEAD', 'main');
  const since = base === git('rev-parse', 'HEAD') ? 'HEAD~1' : base;
  return git('diff', '--name-only', '--diff-filter=d', since).split('\n');
}

const filesIn = (folder) =>
  readdirSync(join(ROOT, folder), { recursive: true }).map((file) => `${folder}/${file}`);

const named = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const isAll = process.argv.includes('--all');
const asked = isAll
  ? ROOMS.flatMap(({ of }) => of.flatMap(filesIn))
  : named.length > 0
    ? named
    : changedFiles();

const folder = join(ROOT, '.mutants');
const config = join(folder, 'config.json');
const report = join(folder, 'report.json');

/** Mutates files of one room; answers how many mutants its tests killed, and how many not; null: it broke off. */
function mutate({ of, by }, files) {
  writeFileSync(
    config,
    JSON.stringify({
      mutate: files,
      testRunner: 'vitest',
      plugins: ['@stryker-mutator/vitest-runner'],
      coverageAnalysis: 'perTest',
      ignoreStatic: true,
      concurrency: 2,
      timeoutMS: 20_000,
      tempDirName: '.mutants/copies',
      reporters: ['clear-text', 'json', 'progress-append-only'],
      clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
      jsonReporter: { fileName: report },
      allowConsoleColors: false,
      ignorePatterns: ['.next', 'web/.next', 'docs/screenshots', 'test-results'],
    }),
  );
  // A mutated file is another file: what keeps published ones by their hash has to stand aside.
  const tests = [...of, ...by, REFERENCE].map((place) => `${place}/**/*.test.ts`);
  tests.push('!**/published.test.ts');
  const { status } = spawnSync(tool('stryker'), ['run', config], {
    cwd: ROOT,
    env: { ...ENVIRONMENT, FRANK_GAUGE_TESTS: tests.join(',') },
    stdio: 'inherit',
  });
  if (status !== 0) return null;
  const mutants = Object.values(JSON.parse(readFileSync(report, 'utf8')).files).flatMap(
    ({ mutants }) => mutants,
  );
  const count = (...kinds) => mutants.filter(({ status }) => kinds.includes(status)).length;
  return { killed: count('Killed', 'Timeout'), alive: count('Survived', 'NoCoverage') };
}

mkdirSync(folder, { recursive: true });
const lines = [];
let isGood = true;
for (const room of ROOMS) {
  const files = asked.filter(isSource).filter(isIn(room.of));
  if (files.length === 0) continue;
  const name = room.of.map((place) => place.split('/').at(-1)).join(', ');
  const counted = mutate(room, files);
  if (counted === null) {
    lines.push(`${name.padEnd(26)} broke off`);
    isGood = false;
    continue;
  }
  const { killed, alive } = counted;
  const share = killed + alive === 0 ? 100 : (100 * killed) / (killed + alive);
  lines.push(
    `${name.padEnd(26)} ${share.toFixed(1).padStart(5)} %  ${killed} of ${killed + alive}`,
  );
  // What survives is looked through one by one; fewer than this killed is a fault by itself.
  if (share < LEAST_KILLED) isGood = false;
}
if (lines.length === 0) {
  console.log('No file of rules or storage was changed. Name some, or take all of them: --all.');
} else {
  console.log(`\nKilled, at least ${LEAST_KILLED} % asked of each room:\n${lines.join('\n')}`);
}
process.exit(isGood ? 0 : 1);
