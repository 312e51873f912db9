// npm run attack: tries to break what comes in from outside and what is stored. Names after it choose among
// files, quantities, imports, requests, tabs, kills and storage; --seed N tries other things, --share 0.1 a tenth
// of them; with --json it prints one line of JSON and nothing else. Ends with 1 where something got through.
import { parseArgs } from 'node:util';
import type { Attacked, Strength } from './attack/attack';
import { attackFiles } from './attack/files';
import { attackImports } from './attack/imports';
import { attackKills } from './attack/kills';
import { attackQuantities } from './attack/quantities';
import { attackRequests } from './attack/requests';
import { attackStorage } from './attack/storage';
import { attackTabs } from './attack/tabs';

interface Part {
  readonly count: number;
  readonly attack: (strength: Strength) => Attacked | Promise<Attacked>;
}

const PARTS: Readonly<Record<string, Part>> = {
  files: { count: 10_000, attack: attackFiles },
  quantities: { count: 20_000, attack: attackQuantities },
  imports: { count: 2000, attack: attackImports },
  requests: { count: 200, attack: attackRequests },
  tabs: { count: 200, attack: attackTabs },
  kills: { count: 30, attack: attackKills },
  storage: { count: 20, attack: attackStorage },
};

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    json: { type: 'boolean', default: false },
    seed: { type: 'string', default: '20261127' },
    share: { type: 'string', default: '1' },
  },
});
const unknown = positionals.find((name) => !Object.hasOwn(PARTS, name));
const [seed, share] = [Number(values.seed), Number(values.share)];
if (unknown !== undefined || !Number.isSafeInteger(seed) || !(share > 0)) {
  console.error(
    unknown === undefined
      ? 'A seed is a whole number, a share more than 0.'
      : `No part of the attack is called ${unknown}; there are ${Object.keys(PARTS).join(', ')}.`,
  );
  process.exit(2);
}

const found: Record<string, unknown> = {};
let gotThrough = 0;
for (const [name, { count, attack }] of Object.entries(PARTS)) {
  if (positionals.length > 0 && !positionals.includes(name)) continue;
  const began = performance.now();
  const { tried, failed, longestStallMs } = await attack({
    count: Math.max(1, Math.round(count * share)),
    seed,
  });
  gotThrough += failed.length;
  found[name] = {
    tried,
    failed: failed.length,
    ...(longestStallMs !== undefined && { longestStallMs }),
  };
  if (values.json) continue;
  const seconds = ((performance.now() - began) / 1000).toFixed(0);
  const stall = longestStallMs === undefined ? '' : `, longest a page waited ${longestStallMs} ms`;
  console.log(
    `${name.padEnd(11)}${String(tried).padStart(6)} tried, ${failed.length} failed${stall} (${seconds} s)`,
  );
  for (const sentence of failed) console.log(`  ${sentence}`);
}
if (values.json) console.log(JSON.stringify(found));
process.exitCode = gotThrough > 0 ? 1 : 0;
