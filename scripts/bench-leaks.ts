// npm run bench:leaks: how well the fault of a hidden shop is named, and how fast. A number after it says how many shops;
// with --json it prints one line of JSON and nothing else. Mostly two drops meet a main at one place; with --one-at-a-joint
// each has a joint of its own, and there are twice as many places to look at. Shops are shared out among a few processes.
import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';
import {
  chanceInterval,
  figuresOf,
  holdsWhatItSays,
  posteriorTime,
  type Scores,
  scoreShops,
} from './bench/leaks';

/** Of 600 shops 250 have an opening: chance leaves five points open, of 300 seven. */
const USUAL = 600;
const PART = '--part';
const PROCESSES = 4;

const words = process.argv.slice(2);
const ONE = '--one-at-a-joint';
const atJoint = words.includes(ONE) ? 'one' : 'mostly two';
const shops = Number(words.find((word) => /^\d+$/.test(word)) ?? USUAL);

/** One process's share of the shops, scored there. */
const scoredElsewhere = (part: number, parts: number) =>
  new Promise<Scores>((resolve, reject) => {
    const child = fork(process.argv[1] ?? '', [
      ...[PART, `${part}/${parts}`, `${shops}`],
      ...(atJoint === 'one' ? [ONE] : []),
    ]);
    child.on('message', (scores) => resolve(scores as Scores));
    child.on('exit', (code) => reject(new Error(`a share of the shops ended with ${code}`)));
  });

async function main() {
  const parts = Math.min(PROCESSES, availableParallelism());
  const scores = await Promise.all(
    Array.from({ length: parts }, (_, part) => scoredElsewhere(part, parts)),
  );
  const figures = { ...figuresOf(scores), posteriorMs: posteriorTime(atJoint) };
  if (words.includes('--json')) {
    console.log(JSON.stringify(figures));
    return;
  }
  const percent = (share: number) => `${(100 * share).toFixed(0)} %`.padStart(6);
  const openings = scores.reduce((sum, { own }) => sum + own.counts.openings, 0);
  console.log(
    `${shops} hidden shops, ${openings} with an opening; in brackets what chance leaves open, 95 times in 100`,
  );
  for (const [name, { first, next, among, size, areaError, falseAlarms }] of Object.entries({
    'own gates': figures.own,
    'and three chosen': figures.chosen3,
    'three, no duct opened': figures.chosen3NoDuct,
  })) {
    const ofOpenings = (share: number) => {
      const [low, high] = chanceInterval(share, openings);
      return `${percent(share)} (${(100 * low).toFixed(0)}–${(100 * high).toFixed(0)})`;
    };
    console.log(
      `  ${name.padEnd(22)} first ${ofOpenings(first)}  or its neighbor ${ofOpenings(next)}  among those named ${ofOpenings(among)} of ${size.toFixed(1)}  area ±${percent(areaError)}  false alarms ${percent(falseAlarms)}`,
    );
  }
  console.log(`  kind right, three chosen ${percent(figures.kindRight)}`);
  for (const decile of figures.calibration) {
    const { said, true: right, n } = decile;
    if (n === 0) continue;
    const judged = holdsWhatItSays(decile) ? '' : ', outside the interval of chance';
    console.log(`  said ${percent(said)}  true ${percent(right)}  of ${n}${judged}`);
  }
  console.log(
    `  weighed in ${figures.posteriorMs.toFixed(0)} ms (14 drops, 40 readings), the next reading in ${figures.nextReadingMs.toFixed(0)} ms`,
  );
}

const at = words.indexOf(PART);
if (at < 0) await main();
else {
  const [part = 0, parts = 1] = (words[at + 1] ?? '').split('/').map(Number);
  process.send?.(scoreShops(part, shops, parts, atJoint));
}
