import { setTimeout as wait } from 'node:timers/promises';
import { endlessRequest } from '../../core/reference/endless-request';
import heron from '../../demo/heron-slip.json';
import { type Attacked, Failures, type Strength } from './attack';
import { broken, placesIn } from './break-json';
import { Chance } from './chance';
import { onServer } from './served';

/** No page may wait longer for a request, ms. */
const LONGEST_STALL = 250;
/** No request may take longer than its budget and this much, ms. */
const LONGEST = 13_000;
const PAUSE = 25;

/** Bodies that cost as much as they can, and thousands of broken ones after them. */
function* bodies(count: number, chance: Chance): Generator<string> {
  const empty = Array.from({ length: 200_000 }, () => ({}));
  const blanks = { kind: 'csv', text: ' '.repeat(99_000) };
  const digits = { kind: 'csv', text: '1,'.repeat(49_000) };
  const costly: unknown[] = [
    endlessRequest(),
    { shop: { ...heron, journal: { readings: empty } } },
    { shop: { ...heron, machines: empty } },
    { shop: heron, curve: blanks },
    { shop: heron, curve: digits },
    { shop: heron, openGates: Array.from({ length: 90_000 }, () => 'x') },
  ];
  for (const each of costly) yield JSON.stringify(each);
  yield '['.repeat(400_000);
  yield `{"shop":${'{"a":'.repeat(100_000)}1${'}'.repeat(100_000)}}`;
  yield `"${'\\u0000'.repeat(150_000)}"`;
  yield ' '.repeat(2_000_000);
  const request = {
    shop: heron,
    view: 'found',
    include: ['load', 'findings', 'methods', 'gateSets'],
  };
  const value: unknown = JSON.parse(JSON.stringify(request));
  const places = placesIn(value);
  for (let i = 0; i < count; i++) {
    yield JSON.stringify(broken(value, places, 1 + chance.below(4), chance));
  }
}

/**
 * Requests to the solver, costly and broken: each is answered in words, none takes longer than its budget, and
 * no page waits for one longer than a quarter of a second.
 */
export async function attackRequests({ count, seed }: Strength): Promise<Attacked> {
  const chance = new Chance(seed);
  const failures = new Failures();
  let [tried, longestStallMs] = [0, 0];
  // Made beforehand: while this process makes one it would not hear a page's answer either.
  const all = [...bodies(count, chance)];
  await onServer(async (address) => {
    let isOver = false;
    const page = async () => {
      const began = performance.now();
      const status = await fetch(`${address}/sources`).then(async (got) => {
        await got.arrayBuffer();
        return got.status;
      });
      if (status !== 200) failures.add(`a page answered ${status}`);
      return performance.now() - began;
    };
    for (let i = 0; i < 20; i++) await page();
    const watching = (async () => {
      while (!isOver) {
        longestStallMs = Math.max(longestStallMs, await page());
        await wait(PAUSE);
      }
    })();
    for (const body of all) {
      tried++;
      const began = performance.now();
      const got = await fetch(`${address}/api/solve`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body,
      });
      const text = await got.text();
      const took = performance.now() - began;
      const about = `request ${tried} of seed ${seed} (${body.slice(0, 40)}…)`;
      if (![200, 400, 413, 422, 503].includes(got.status)) failures.add(`${about}: ${got.status}`);
      if (took > LONGEST) failures.add(`${about}: ${Math.round(took)} ms`);
      if (got.status !== 200 && (text.length > 20_000 || !JSON.parse(text).error)) {
        failures.add(`${about}: refused without a sentence, or with ${text.length} signs`);
      }
    }
    isOver = true;
    await watching;
  });
  if (longestStallMs > LONGEST_STALL)
    failures.add(`a page waited ${Math.round(longestStallMs)} ms`);
  return { tried, failed: failures.list, longestStallMs: Math.round(longestStallMs) };
}
