// npm run bench:leaks: how well the fault of a hidden shop is named, and how fast. A number after it says how many shops;
// with --json it prints one line of JSON and nothing else.
import { benchLeaks } from './bench/leaks';

const USUAL = 300;

const shops = Number(process.argv.slice(2).find((word) => /^\d+$/.test(word)) ?? USUAL);
const figures = benchLeaks(shops);

if (process.argv.includes('--json')) console.log(JSON.stringify(figures));
else {
  const percent = (share: number) => `${(100 * share).toFixed(0)} %`.padStart(6);
  console.log(`${shops} hidden shops`);
  for (const [name, { first, next, among, size, areaError, falseAlarms }] of Object.entries({
    'own gates': figures.own,
    'and three chosen': figures.chosen3,
    'three, no duct opened': figures.chosen3NoDuct,
  })) {
    console.log(
      `  ${name.padEnd(22)} first ${percent(first)}  or its neighbor ${percent(next)}  among those named ${percent(among)} of ${size.toFixed(1)}  area ±${percent(areaError)}  false alarms ${percent(falseAlarms)}`,
    );
  }
  console.log(`  kind right, three chosen ${percent(figures.kindRight)}`);
  for (const { said, true: right, n } of figures.calibration) {
    if (n > 0) console.log(`  said ${percent(said)}  true ${percent(right)}  of ${n}`);
  }
  console.log(
    `  weighed in ${figures.posteriorMs.toFixed(0)} ms (14 drops, 40 readings), the next reading in ${figures.nextReadingMs.toFixed(0)} ms`,
  );
}
