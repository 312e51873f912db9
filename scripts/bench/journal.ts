// A shop whose journal has 50,000 readings, made here: how long until its file is imported, the log shows
// its first rows, all of it is listed, and the file is exported again; whether rows are blank while it is
// scrolled; and what an edit of the design costs beside the same shop with no readings at all.
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
const DROPS = 12;
const EDITS = 12;

/** A shop of twelve drops, read so many times from 2016 on, one reading every hour and a half. */
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
    const value = 18 + ((i * 7919) % 400) / 100;
    return [
      recordWith('readings', {
        id: `reading-${i}`,
        at: new Date(Date.UTC(2016, 0, 1) + i * 5_400_000).toISOString(),
        testPoint: drop.id,
        instrument: 'vane',
        quantity: 'velocity',
        spot: 'average',
        diameter: drop.port.diameter,
        taken: [0.99, 1, 1.01].map((share) => ({ kind: 'value', value: share * value })),
        unit: 'fpm',
        openGates: [...gatesOfDrop(drop)],
        note: i % 97 === 0 ? 'Filter cleaned the day before.' : '',
      }),
    ];
  }).flat();
  return writeShopFile(shop, {
    ...emptyJournal(),
    instruments: [
      recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03 }),
    ],
    testPoints: drops.map(pointOfDrop),
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
  return { historyMs, longestMs: await page.evaluate<number>('window.longest') };
}

const toLog = async (page: Page, name: string) => {
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await page.waitForURL(/\/shop\//);
  await page.waitForTimeout(4000);
  await page.evaluate(WATCH_OPENING);
  await page.getByRole('link', { name: /Log/ }).click();
  await page.getByRole('heading', { name: 'New reading' }).waitFor();
};

export async function benchJournal({ page, address }: Browsing): Promise<Bench> {
  await importAs(page, address, 'Bare', hall('Bare', 0));
  await toLog(page, 'Bare');
  const bareEditMs = await scriptOfEdit(page);

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
      `a journal of ${READINGS} readings, a file of ${megabytes} MB, ${DROPS} drops`,
      `  imported and listed                    ${importMs.toFixed(0)} ms`,
      `  the log opened, to its first rows      ${(first - asked).toFixed(0)} ms`,
      `  the log opened, to all of it           ${(all - asked).toFixed(0)} ms`,
      `  script of an edit of the design        ${editMs.toFixed(1)} ms, ${(editMs / bareEditMs).toFixed(2)} × that without a reading (${bareEditMs.toFixed(1)} ms)`,
      `  frames with a row missing, scrolling   ${blank} of ${frames}`,
      `  the history opened                     ${historyMs} ms, longest task ${longestMs.toFixed(0)} ms`,
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
      },
    },
  };
}
