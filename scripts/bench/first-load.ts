import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { build, isBuilt, WEB } from '../machine.mjs';
import type { Bench } from './bench';

const PAGES = join(WEB, '.next', 'server', 'app');
/** Loaded by every page, whatever it shows. */
const FRAMEWORK = '_not-found';
/** The goal, kB. */
const GOAL = 200;

/** The scripts a built page asks for as it opens, but those for browsers that know no modules. */
function scriptsOf(page: string): string[] {
  const html = readFileSync(join(PAGES, `${page}.html`), 'utf8');
  const tags = html.match(/<script [^>]*src="[^"]+"[^>]*>/g) ?? [];
  return tags
    .filter((tag) => !/nomodule/i.test(tag))
    .map((tag) => /src="\/_next\/([^"?]+)/.exec(tag)?.[1] ?? '');
}

const sizeOf = (script: string) =>
  gzipSync(readFileSync(join(WEB, '.next', script)), { level: 9 }).length;

/** Compressed script each view loads before it shows anything, beyond the framework. */
export function benchFirstLoad(): Bench {
  if (!isBuilt() && !build({ isQuiet: true })) throw new Error('the app could not be built');
  const framework = new Set(scriptsOf(FRAMEWORK));
  const pages = readdirSync(PAGES, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.html') && !file.startsWith('_'))
    .map((file) => file.slice(0, -'.html'.length))
    .toSorted();
  const firstLoadKb = Object.fromEntries(
    pages.map((page) => {
      const own = [...new Set(scriptsOf(page))].filter((script) => !framework.has(script));
      return [page, Math.round(own.reduce((sum, script) => sum + sizeOf(script), 0) / 1000)];
    }),
  );
  const frameworkKb = Math.round([...framework].reduce((sum, one) => sum + sizeOf(one), 0) / 1000);
  return {
    lines: [
      `script each view loads first, compressed, beyond the framework’s ${frameworkKb} kB (goal: at most ${GOAL} kB)`,
      ...Object.entries(firstLoadKb).map(([page, kb]) => `  ${page.padEnd(26)} ${kb} kB`),
    ],
    figures: { firstLoadKb },
  };
}
