// After the app is built: makes what runs it without its server, and what its server needs of it.
// - public/offline/: what Next's router fetches of each page, as files
// - public/service-worker.js: keeps every page and everything it needs on the device
// - .offline/scripts.json: by page, the hashes of the scripts in it, for its Content-Security-Policy
import { createHash } from 'node:crypto';
import {
  cpSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { build } from 'esbuild';
import { WEB } from './machine.mjs';

const BUILT = join(WEB, '.next', 'server', 'app');
const STATIC = join(WEB, '.next', 'static');
const PUBLIC = join(WEB, 'public');

const filesIn = (folder) =>
  readdirSync(folder, { recursive: true })
    .map((name) => join(folder, name))
    .filter((file) => statSync(file).isFile());

const hash = (content) => createHash('sha256').update(content).digest('base64');
const revisionOf = (file) => hash(readFileSync(file)).slice(0, 16);

const built = filesIn(BUILT);
const pages = built
  .filter((file) => file.endsWith('.html') && !file.endsWith('_global-error.html'))
  .map((file) => {
    const name = `/${relative(BUILT, file).slice(0, -'.html'.length)}`;
    return { page: name === '/index' ? '/' : name, file };
  });

/** The scripts that stand in a page itself. */
const inlineScripts = (html) =>
  [...html.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(
    ([, script]) => script,
  );

const scripts = Object.fromEntries(
  pages.map(({ page, file }) => [
    page,
    inlineScripts(readFileSync(file, 'utf8')).map((script) => `'sha256-${hash(script)}'`),
  ]),
);
mkdirSync(join(WEB, '.offline'), { recursive: true });
writeFileSync(join(WEB, '.offline', 'scripts.json'), JSON.stringify(scripts));

const OFFLINE = join(PUBLIC, 'offline');
rmSync(OFFLINE, { recursive: true, force: true });
for (const file of built.filter(
  (name) => name.endsWith('.segment.rsc') && !name.includes('_global-error'),
)) {
  const target = join(OFFLINE, relative(BUILT, file));
  mkdirSync(dirname(target), { recursive: true });
  cpSync(file, target);
}

const WORKER = join(PUBLIC, 'service-worker.js');
rmSync(WORKER, { force: true });
const shown = pages.filter(({ page }) => page !== '/_not-found');
// Of the worker the bundler leaves the source as well.
const isNeeded = (file) => !/\.(map|woff|ts)$/.test(file);
const keptFiles = [
  // Their names change with what they hold.
  ...filesIn(STATIC)
    .filter(isNeeded)
    .map((file) => ({ url: `/_next/static/${relative(STATIC, file)}`, revision: null })),
  ...filesIn(PUBLIC).map((file) => ({
    url: `/${relative(PUBLIC, file)}`,
    revision: revisionOf(file),
  })),
  ...built
    .filter((file) => file.endsWith('.body'))
    .map((file) => ({
      url: `/${relative(BUILT, file).slice(0, -'.body'.length)}`,
      revision: revisionOf(file),
    })),
  ...shown.map(({ page, file }) => ({
    url: page.replace(/^\/shop\//, '/shop/-/'),
    revision: revisionOf(file),
  })),
];

await build({
  entryPoints: [join(WEB, 'src/offline/service-worker.ts')],
  outfile: WORKER,
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: {
    'self.__PAGES': JSON.stringify(shown.map(({ page }) => page)),
    'self.__KEPT': JSON.stringify(keptFiles),
    'process.env.NODE_ENV': '"production"',
  },
  logLevel: 'warning',
});
