// A hall of 60 drawn drops with 60 readings, its log opened: how long until the readings are compared and
// traced, and the longest task of the page's own thread meanwhile: by the clock, which is what is felt and
// also counts what else has the processor, and by the processor time the thread itself used.
import { drawnShop } from '../../core/reference/sample-shops';
import { gatesOfDrop } from '../../core/src/analysis/gate-sets';
import type { Shop } from '../../core/src/design/schema';
import { writeShopFile } from '../../core/src/file/shop-file';
import { emptyJournal, recordWith } from '../../core/src/journal/journal';
import type { Reading } from '../../core/src/journal/reading';
import { solveTree } from '../../core/src/network/solve-shop';
import { pointOfDrop } from '../../core/src/reading/point-of-drop';
import { arrangeDucts } from '../../core/src/routing/arrange-ducts';
import type { Bench } from './bench';
import { type Browsing, importAs } from './browsing';

/** Every drop read once, as the shop is but for an opening in one of its runs. */
function readShop(): string {
  const shop = drawnShop(60);
  shop.shop.name = 'Hall';
  for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
  const real: Shop = structuredClone(shop);
  const far = real.ducts.runs.at(-20)?.id ?? '';
  real.condition.holes.push({ run: far, area: 4e-3, origin: { kind: 'assumed' } });
  const arranged = arrangeDucts(real);
  if (!arranged.ok) throw new Error('no tree');
  const readings = arranged.tree.drops.map((drop, i): Reading => {
    const openGates = gatesOfDrop(drop);
    const solved = solveTree(real, arranged.tree, { view: 'found', openGates });
    if (solved.kind !== 'solved') throw new Error(solved.reason.kind);
    const flow = solved.airIn.get(drop.path[0]?.id ?? '')?.[0]?.flowIn ?? 0;
    return recordWith('readings', {
      id: `r${i}`,
      at: '2026-01-01T10:00:00Z',
      testPoint: drop.id,
      instrument: 'vane',
      quantity: 'flow',
      spot: 'average',
      diameter: drop.port.diameter,
      taken: [0.99, 1, 1.01].map((share) => ({ kind: 'value', value: share * flow })),
      unit: 'cfm',
      openGates: [...openGates],
      note: '',
    });
  });
  return writeShopFile(shop, {
    ...emptyJournal(),
    instruments: [
      recordWith('instruments', { id: 'vane', name: 'Vane', kind: 'vane', accuracy: 0.03 }),
    ],
    testPoints: arranged.tree.drops.map(pointOfDrop),
    readings,
  });
}

/** Notes the page's own tasks longer than 50 ms, as the browser reports them. */
const RECORD = `{
  window.longTasks = [];
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) window.longTasks.push(entry.duration);
  }).observe({ type: 'longtask' });
}`;

/** What of the browser's trace is read: times in µs, `tdur` of the thread's own processor time. */
interface TraceEvent {
  readonly name: string;
  readonly pid: number;
  readonly tid: number;
  readonly tdur?: number;
  readonly args: { readonly name?: string };
}

/** The most processor time a task of a page's own thread took, ms. */
function longestByProcessor(trace: Buffer): number {
  const { traceEvents } = JSON.parse(trace.toString()) as { traceEvents: readonly TraceEvent[] };
  const pages = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const tasks = traceEvents.filter(
    ({ name, pid, tid }) => name.endsWith('RunTask') && pages.has(`${pid} ${tid}`),
  );
  if (tasks.length === 0) throw new Error('the trace has no tasks of the page');
  return Math.max(...tasks.map(({ tdur = 0 }) => tdur)) / 1000;
}

export async function benchTrace({ page, address }: Browsing): Promise<Bench> {
  await importAs(page, address, 'Hall', readShop());
  await page.getByRole('link', { name: /Hall/ }).click();
  await page.waitForURL(/\/shop\//);
  // Everything else has come to rest before the log is opened.
  await page.waitForTimeout(4000);
  await page.evaluate(RECORD);
  const browser = page.context().browser();
  if (!browser) throw new Error('no browser');
  await browser.startTracing(page, { categories: ['toplevel'] });
  const start = Date.now();
  await page.getByRole('link', { name: /Log/ }).click();
  // By one cheap look now and then: the driver's own search through the page would be what is timed.
  const hasMessage = `/point to|significant/.test(document.querySelector('section[aria-label=Readings] p')?.textContent ?? '')`;
  while (!(await page.evaluate<boolean>(hasMessage))) await page.waitForTimeout(10);
  const totalMs = Date.now() - start;
  await page.waitForTimeout(500);
  const longestOwnMs = longestByProcessor(await browser.stopTracing());
  const tasks = await page.evaluate<number[]>('window.longTasks');
  const longestBlockMs = Math.max(0, ...tasks);
  return {
    lines: [
      '60 drops, 60 readings: the log opened, compared and traced',
      `  until it says what the readings share  ${totalMs} ms`,
      `  longest task of the page’s own thread  ${longestBlockMs === 0 ? 'none over 50 ms' : `${longestBlockMs.toFixed(0)} ms`}`,
      `  the most processor time of such a task ${longestOwnMs.toFixed(0)} ms`,
    ],
    figures: { trace60: { longestBlockMs, longestOwnMs, totalMs } },
  };
}
