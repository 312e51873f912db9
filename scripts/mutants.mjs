// npm run mutants: puts small faults into the code one by one and looks whether a test falls over each.
// Which files: those named; or with --all every file of the rooms that hold rules, and of storage; else
// those of them that were changed since the branch left main, or, on main, since the last commit.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run, tool } from './machine.mjs';

/** Rooms that hold rules of the trade; and storage, where what people keep lies. */
const ROOMS = [
  'air',
  'duct',
  'fittings',
  'methods',
  'collector',
  'document',
  'journal',
  'file',
  'network',
  'analysis',
  'reading',
  'inference',
  'routing',
];
const FOLDERS = [...ROOMS.map((room) => `core/src/${room}`), 'web/src/storage'];

const isSource = (file) =>
  FOLDERS.some((folder) => file.startsWith(`${folder}/`)) &&
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

const named = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const isAll = process.argv.includes('--all');
const files = isAll
  ? FOLDERS.flatMap((folder) =>
      readdirSync(join(ROOT, folder), { recursive: true }).map((file) => `${folder}/${file}`),
    )
  : named.length > 0
    ? named
    : changedFiles();
const mutated = files.filter(isSource);
if (mutated.length === 0) {
  console.log('No file of rules or storage was changed. Name some, or take all of them: --all.');
  process.exit(0);
}

const folder = join(ROOT, '.mutants');
mkdirSync(folder, { recursive: true });
const config = join(folder, 'config.json');
writeFileSync(
  config,
  JSON.stringify({
    mutate: mutated,
    testRunner: 'vitest',
    plugins: ['@stryker-mutator/vitest-runner'],
    coverageAnalysis: 'perTest',
    ignoreStatic: true,
    concurrency: 2,
    timeoutMS: 20_000,
    tempDirName: '.mutants/copies',
    reporters: ['clear-text', 'json'],
    clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
    jsonReporter: { fileName: '.mutants/report.json' },
    // What survives is looked through one by one; fewer than this killed is a fault by itself.
    thresholds: { high: 95, low: 90, break: 85 },
    allowConsoleColors: false,
    ignorePatterns: ['.next', 'web/.next', 'docs/screenshots', 'test-results'],
  }),
);
const { ok } = run(tool('stryker'), ['run', config]);
process.exit(ok ? 0 : 1);
