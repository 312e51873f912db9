// npm test: installs what is missing, then lint, types, unit, build, browser; the last line counts.
import { existsSync } from 'node:fs';
import {
  build,
  CHROMIUM,
  ENVIRONMENT,
  freePort,
  installPackages,
  ROOT,
  run,
  startApp,
  tool,
} from './machine.mjs';

const counts = { passed: 0, failed: 0 };

function count(name, ok) {
  counts[ok ? 'passed' : 'failed']++;
  console.log(`${ok ? 'ok    ' : 'FAILED'} ${name}`);
  return ok;
}

/** Debian's Chromium, installed where it is missing and we may; else a sentence. */
function installChromium() {
  if (existsSync(CHROMIUM)) return true;
  console.log('Installing Chromium…');
  const isRoot = process.getuid?.() === 0;
  const apt = (...args) =>
    isRoot ? run('apt-get', args) : run('sudo', ['-n', 'apt-get', ...args]);
  const ok = apt('update').ok && apt('install', '-y', '--no-install-recommends', 'chromium').ok;
  if (!ok) {
    console.log(
      `The browser tests need Debian's Chromium at ${CHROMIUM}: apt-get install chromium.`,
    );
  }
  return ok && existsSync(CHROMIUM);
}

const packageScript = (name) => run('npm', ['run', '--silent', name]).ok;

function unitTests() {
  const { output } = run(tool('vitest'), ['run', '--reporter=json'], { keep: true });
  try {
    const report = JSON.parse(output.slice(output.indexOf('{')));
    for (const file of report.testResults) {
      for (const test of file.assertionResults) {
        if (test.status !== 'failed') continue;
        console.log(`FAILED ${test.fullName}\n${test.failureMessages.join('\n').slice(0, 3000)}`);
      }
      if (file.status === 'failed' && file.assertionResults.length === 0) {
        console.log(`FAILED ${file.name}\n${file.message.slice(0, 3000)}`);
        counts.failed++;
      }
    }
    counts.passed += report.numPassedTests;
    counts.failed += report.numFailedTests;
    console.log(`unit: ${report.numPassedTests} passed, ${report.numFailedTests} failed`);
  } catch {
    console.log(output.slice(-4000));
    count('unit tests ran', false);
  }
}

/** Tests in Playwright's nested report, each with whether it went well. */
function* browserTests(suites) {
  for (const suite of suites) {
    for (const spec of suite.specs ?? []) yield spec;
    yield* browserTests(suite.suites ?? []);
  }
}

async function browser() {
  const { child, address } = await startApp(await freePort(4800));
  ENVIRONMENT.FRANK_GAUGE_ADDRESS = address;
  // On a busy machine a wait may be too short: what fails twice is broken, and what passes at the second try is named.
  const args = ['test', '--config', 'web/playwright.config.ts', '--reporter=json', '--retries=1'];
  const { output } = run(tool('playwright'), args, { cwd: ROOT, keep: true });
  child.kill();
  let seen = 0;
  try {
    const report = JSON.parse(output.slice(output.indexOf('{')));
    for (const spec of browserTests(report.suites)) {
      seen++;
      count(`browser: ${spec.title}`, spec.ok);
      const tries = Math.max(...spec.tests.map(({ results }) => results.length));
      if (spec.ok && tries === 1) continue;
      if (spec.ok) console.log(`passed at the second try: ${spec.title}`);
      const errors = spec.tests.flatMap((test) => test.results.flatMap((result) => result.errors));
      console.log(
        errors
          .map((error) => error.message)
          .join('\n')
          .slice(0, 3000),
      );
    }
    for (const error of report.errors ?? []) console.log(error.message);
  } catch {
    console.log(output.slice(-4000));
  }
  if (seen === 0) count('browser tests ran', false);
}

if (!count('packages installed', installPackages())) finish();
const hasChromium = count('Chromium is there', installChromium());
count('lint and direction of imports', packageScript('lint'));
const isBuilt = count('build', build());
count('types', packageScript('types'));
unitTests();
if (isBuilt && hasChromium) await browser();
finish();

function finish() {
  console.log(`${counts.passed} passed, ${counts.failed} failed`);
  process.exit(counts.failed === 0 ? 0 : 1);
}
