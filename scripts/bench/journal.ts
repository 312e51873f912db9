// A shop whose journal has 50,000 readings, made here: how long until its file is imported, the log shows
// its first rows, all of it is listed, and the file is exported again; whether rows are blank while it is
// scrolled; and what an edit of the design and the history cost beside the same shop with fifty readings.
import type { Page } from '@playwright/test';
import { drawnShop } from '../../core/reference/sample-shops';
import { gatesOfDrop } from '../../core/src/analysis/gate-sets';
import { writeShopFile } from '../../core/src/file/shop-file';
import { emptyJournal, recordWith } from '../../core/src/journal/journal';
import type { Reading } from '../../core/src/journal/reading';
import { pointOfDrop } from '../../core/src/reading/point-of-drop';
import { arrangeDucts } from '../../core/src/routing/arrange-ducts';
import type { Bench } from './bench';
import { type Browsing, importAs } from './browsing';

const READINGS = 50_000;
const FEW = 50;
const DROPS = 12;
const EDITS = 12;

/** Across the filter, where every eighth reading is taken. */
const FILTER = recordWith('testPoints', {
  id: 'across',
  name: 'Across the filter',
  at: { kind: 'collector', tap: 'filter' },
});
const CHANGES = 100;
const BEGIN = Date.UTC(2016, 0, 1);
const BETWEEN = 5_400_000;

/**
 * A shop of twelve drops, read so many times from 2016 on, one reading every hour and a half, an eighth of them across
 * the filter; with a hundred changes in between.
 */
function hall(name: string, readings: number): string {
  const shop = drawnShop(DROPS);
  shop.id = name;
  shop.shop.name = name;
  for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const { drops } = arranged.tree;
  const taken = Array.from({ length: readings }, (_, i): Reading[] => {
    const drop = drops[i % drops.length];
    if (!drop) return [];
    const isAcross = i % 8 === 7;
    const value = isAcross ? 100 + ((i * 7919) % 300) : 18 + ((i * 7919) % 400) / 100;
    return [
      recordWith('readings', {
        id: `reading-${i}`,
        at: new Date(BEGIN + i * BETWEEN).toISOString(),
        testPoint: isAcross ? FILTER.id : drop.id,
        instrument: isAcross ? 'manometer' : 'vane',
        quantity: isAcross ? 'pressure' : 'velocity',
        spot: isAcross ? 'point' : 'average',
        diameter: drop.port.diameter,
        taken: [0.99, 1, 1.01].map((share) => ({ kind: 'value', value: share * value })),
        unit: isAcross ? 'Pa' : 'fpm',
        openGates: [...gatesOfDrop(drop)],
        note: i % 97 === 0 ? 'Filter cleaned the day before.' : '',
      }),
    ];
  }).flat();
  return writeShopFile(shop, {
    ...emptyJournal(),
    instruments: [
      recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03 }),
      recordWith('instruments', {
        ...{ id: 'manometer', name: 'Manometer', kind: 'manometer', accuracy: 0.02 },
      }),
    ],
    testPoints: [...drops.map(pointOfDrop), FILTER],
    events: Array.from({ length: CHANGES }, (_, i) =>
      recordWith('events', {
        id: `change-${i}`,
        at: new Date(BEGIN + ((i + 0.5) / CHANGES) * readings * BETWEEN).toISOString(),
        ...{ kind: 'cleaned', note: '', cost: null },
      }),
    ),
    readings: taken,
  });
}

/** Notes when the log is asked for, when its first rows stand in the page and when all are listed. */
const WATCH_OPENING = `{
  const times = (window.opening = {});
  const look = () => {
    const now = performance.now();
    if (times.first === undefined && document.querySelector('tr[data-index]')) {
      // When the frame they are in has been painted.
      requestAnimationFrame(() => setTimeout(() => (times.first = performance.now())));
      times.first = now;
    }
    if (times.all === undefined && document.querySelector('[aria-busy=false] tr[data-index]')) {
      times.all = now;
    }
  };
  new MutationObserver(look).observe(document, { subtree: true, childList: true, attributes: true });
  addEventListener('click', () => (times.asked ??= performance.now()), { capture: true });
}`;

/** Scrolls up and down by jumps for a while; counts frames and those in which a row is missing. */
const SCROLL = `(async () => {
  const box = document.querySelector('section[aria-label=Readings] [tabindex="0"]');
  const { left, top, width, height } = box.getBoundingClientRect();
  const frame = () => new Promise((done) => requestAnimationFrame(done));
  const isThere = (y) =>
    document.elementFromPoint(left + width / 3, y)?.closest('tr[data-index], thead') != null;
  let [frames, blank, seed] = [0, 0, 7];
  const look = () => {
    frames++;
    const spots = [0.02, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9];
    if (!spots.every((share) => isThere(top + share * height))) blank++;
  };
  for (let i = 0; i < 240; i++) {
    seed = (seed * 48271) % 2147483647;
    // Steps of a wheel, and now and then a jump by the scroll bar.
    if (i % 20 === 0) box.scrollTop = (seed / 2147483647) * (box.scrollHeight - height);
    else box.scrollTop += i % 40 < 20 ? 120 : -700;
    await frame();
    look();
  }
  return { frames, blank };
})()`;

/** Script the page runs for each of a few edits of the design, ms: the middle one. */
async function scriptOfEdit(page: Page): Promise<number> {
  const client = await page.context().newCDPSession(page);
  await client.send('Performance.enable');
  const script = async () => {
    const { metrics } = await client.send('Performance.getMetrics');
    return 1000 * (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0);
  };
  const isOpen = () => page.evaluate<string>(`document.querySelector('#gates button').ariaPressed`);
  const costs: number[] = [];
  for (let i = 0; i < EDITS; i++) {
    await page.waitForTimeout(900);
    const stood = await isOpen();
    const before = await script();
    // The click, and the frame it shows in.
    await page.evaluate(`new Promise((done) => {
      document.querySelector('#gates button').click();
      requestAnimationFrame(() => setTimeout(done));
    })`);
    costs.push((await script()) - before);
    if ((await isOpen()) === stood) throw new Error('the gate did not move');
  }
  await client.detach();
  return costs.toSorted((a, b) => a - b)[EDITS >> 1] ?? Number.NaN;
}

/** From the log to its history: until two days stand against each other, and the longest task meanwhile, ms. */
async function openHistory(page: Page): Promise<{ historyMs: number; longestMs: number }> {
  await page.evaluate(`{
    window.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
    }).observe({ type: 'longtask' });
  }`);
  const start = Date.now();
  await page.getByRole('link', { name: 'History' }).click();
  await page.getByLabel('Before', { exact: true }).waitFor();
  const historyMs = Date.now() - start;
  await page.waitForTimeout(1500);
  // The filter at one flow is worked out of the most readings.
  await page.getByLabel('What is drawn over time').selectOption('filter');
  await page.waitForTimeout(1500);
  return { historyMs, longestMs: await page.evaluate<number>('window.longest') };
}

/** The history once more, now that its code is loaded. */
async function openAgain(page: Page) {
  await page.getByRole('link', { name: 'Readings', exact: true }).click();
  await page.getByRole('heading', { name: 'New reading' }).waitFor();
  await page.waitForTimeout(1500);
  return openHistory(page);
}

const toLog = async (page: Page, name: string) => {
  await page.getByRole('link', { name: new RegExp(`^${name}`) }).click();
  await page.waitForURL(/\/shop\//);
  await page.waitForTimeout(4000);
  await page.evaluate(WATCH_OPENING);
  await page.getByRole('link', { name: /Log/ }).click();
  await page.getByRole('heading', { name: 'New reading' }).waitFor();
};

/** A time beside that of the shop with few readings. */
const ratio = (many: number, few: number) =>
  `${(many / few).toFixed(2)} × with ${FEW} readings (${few.toFixed(0)} ms)`;

export async function benchJournal({ page, address }: Browsing): Promise<Bench> {
  await importAs(page, address, 'Fifty', hall('Fifty', FEW));
  await toLog(page, 'Fifty');
  await page.locator('[aria-busy=false] tr[data-index]').first().waitFor();
  const few = {
    ...(await page.evaluate<Record<'asked' | 'first', number>>('window.opening')),
    editMs: await scriptOfEdit(page),
    history: await openHistory(page).then(() => openAgain(page)),
  };
  await page.goto(address);

  const text = hall('Full', READINGS);
  const importMs = await importAs(page, address, 'Full', text);
  await toLog(page, 'Full');
  await page.locator('[aria-busy=false] tr[data-index]').first().waitFor();
  const { asked, first, all } =
    await page.evaluate<Record<'asked' | 'first' | 'all', number>>('window.opening');
  const editMs = await scriptOfEdit(page);
  const { frames, blank } = await page.evaluate<{ frames: number; blank: number }>(SCROLL);

  const { historyMs, longestMs } = await openHistory(page);

  await page.goto(address);
  await page.getByRole('button', { name: 'What to do with Full' }).click();
  const download = page.waitForEvent('download');
  const start = Date.now();
  await page.getByRole('menuitem', { name: 'Export as a file' }).click();
  await (await download).path();
  const exportMs = Date.now() - start;
  const megabytes = (text.length / 1e6).toFixed(1);
  return {
    lines: [
      `a journal of ${READINGS} readings and ${CHANGES} changes, a file of ${megabytes} MB, ${DROPS} drops`,
      `  imported and listed                    ${importMs.toFixed(0)} ms`,
      `  the log opened, to its first rows      ${(first - asked).toFixed(0)} ms, ${ratio(first - asked, few.first - few.asked)}`,
      `  the log opened, to all of it           ${(all - asked).toFixed(0)} ms`,
      `  script of an edit of the design        ${editMs.toFixed(1)} ms, ${ratio(editMs, few.editMs)}`,
      `  frames with a row missing, scrolling   ${blank} of ${frames}`,
      `  the history opened                     ${historyMs} ms, ${ratio(historyMs, few.history.historyMs)}`,
      `  the longest task of that               ${longestMs.toFixed(0)} ms, ${ratio(longestMs, few.history.longestMs)}`,
      `  exported                               ${exportMs} ms`,
    ],
    figures: {
      journal50k: {
        openMs: first - asked,
        editMs,
        exportMs,
        importMs,
        blankFrames: blank,
        historyMs,
        historyLongestMs: longestMs,
        historyLongestOfFifty: longestMs / few.history.longestMs,
      },
    },
  };
}
