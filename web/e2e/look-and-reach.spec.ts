import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { emptyJournal } from '@frank-gauge/core/journal';
import type { Page } from '@playwright/test';
import { drawnShop } from '../../core/reference/sample-shops';
import { writeZip } from '../src/storage/bundle';
import { expect, openDemo, test } from './bench';

const LOG_BENCHES = [
  'log/round',
  'log/history',
  'log/points',
  'log/instruments',
  'log/table',
  'log/weighings',
] as const;
const BENCHES = [
  'collector/elevation',
  'collector/joints',
  'collector/noise',
  'collector/test',
] as const;

/** What the checker finds on the page as it is, with where. */
async function faults(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
  );
}

/** Every dialog and menu there is, and how one comes to it from the demo’s Air. */
const OPENED: readonly { readonly name: string; readonly open: (page: Page) => Promise<void> }[] = [
  {
    name: 'the palette',
    open: async (page) => {
      await page.keyboard.press('Control+k');
      await page.getByRole('dialog').getByRole('combobox').fill('planer');
    },
  },
  {
    name: 'the list of keys',
    open: async (page) => page.locator('body').press('?'),
  },
  {
    name: 'About this view',
    open: async (page) => page.getByRole('button', { name: 'About this view' }).click(),
  },
  {
    name: 'the menu of machines',
    open: async (page) => {
      await page.goto('/shop/heron-slip/floor');
      await page.getByRole('button', { name: 'Add a machine' }).click();
    },
  },
  {
    name: 'a new shop',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('button', { name: 'New shop' }).click();
    },
  },
  {
    name: 'the menu of a shop',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('button', { name: /Heron Slip/ }).click();
    },
  },
  {
    name: 'renaming a shop',
    open: async (page) => {
      await page.goto('/');
      await page.getByRole('button', { name: /Heron Slip/ }).click();
      await page.getByRole('menuitem', { name: /Rename/ }).click();
    },
  },
  {
    name: 'a reading with its corrections',
    open: async (page) => {
      await page.goto('/shop/heron-slip/log');
      await page
        .getByRole('button', { name: /^Planer, .*open the reading/ })
        .first()
        .click();
      await page.getByRole('dialog').getByText('True inside area').last().click();
      await page.getByRole('dialog').getByRole('button', { name: 'Strike out' }).click();
    },
  },
  {
    name: 'importing a file that is cut off',
    open: async (page) => {
      const zip = Buffer.from(
        writeZip({ shop: drawnShop(3), journal: emptyJournal(), photos: [] }),
      );
      // Between where its journal begins and where the list of what is in it does.
      const [begins, ends] = [zip.indexOf('journal.jsonl'), zip.indexOf('PK\u0001\u0002')];
      await page.goto('/');
      await page.getByLabel('Shop file').setInputFiles({
        name: 'cut.zip',
        mimeType: 'application/zip',
        buffer: zip.subarray(0, Math.round(begins + 0.7 * (ends - begins))),
      });
    },
  },
  {
    name: 'a copy of a shop that is here',
    open: async (page) => {
      const demo = JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
      const [reading] = demo.journal.readings;
      demo.journal.readings.push({ ...reading, id: 'from-the-phone' });
      demo.shop.note = 'Moved';
      await page.goto('/');
      await page.getByLabel('Shop file').setInputFiles({
        name: 'phone.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(demo)),
      });
    },
  },
];

/** Forms that stand in a view, open. */
const FORMS: typeof OPENED = [
  {
    name: 'a round under way',
    open: async (page) => {
      await page.goto('/shop/heron-slip/log/round');
      await page.getByRole('button', { name: 'Start the round' }).click();
      await page.getByRole('button', { name: 'Next repeat' }).click();
      await expect(page.getByText('Type what the meter shows.')).toBeVisible();
    },
  },
  {
    name: 'a change of the shop that is being added',
    open: async (page) => {
      await page.goto('/shop/heron-slip/log/history');
      await page.getByRole('button', { name: 'Add a change' }).click();
      await expect(page.getByLabel('What was done')).toBeVisible();
    },
  },
  {
    name: 'a table being imported',
    open: async (page) => {
      await page.goto('/shop/heron-slip/log/table');
      await page.getByLabel('CSV file').setInputFiles({
        name: 'readings.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('Date,Drop,Speed\n3/7/2026,Planer,3500 fpm\n3/7/2026,Lathe,3500\n'),
      });
      await page.getByRole('region', { name: 'Faults' }).waitFor();
    },
  },
  {
    name: 'a meter and a test point that are described',
    open: async (page) => {
      await page.goto('/shop/heron-slip/log/points');
      await page.getByRole('button', { name: /^Planer/, expanded: false }).click();
      await page.goto('/shop/heron-slip/log/instruments');
      await page.getByRole('button', { name: /^Pocket vane meter/, expanded: false }).click();
      await page.getByRole('button', { name: 'Add a calibration' }).click();
      await expect(page.getByLabel(/^Table, shown = true/)).toBeVisible();
    },
  },
];

for (const theme of ['light', 'dark'] as const) {
  for (const view of [
    'floor',
    'collector',
    ...BENCHES,
    'air',
    'log',
    'log/round',
    'log/history',
    'log/points',
    'log/instruments',
    'log/table',
    'log/weighings',
    'leaks',
    'improve',
    'improve/report',
    'improve/trays',
    'build',
    'build/cuts',
    'build/assembly',
    'build/drawings',
    'build/templates',
    'build/shop-made',
    'build/switches',
    'build/labels',
    'upkeep',
    'shops',
    'sources',
    'practice',
    'practice/carport',
  ] as const) {
    test(`${view} has no fault a checker can find, ${theme}`, async ({
      page,
      context,
      baseURL,
    }) => {
      await context.addCookies([{ name: 'theme', value: theme, url: baseURL ?? '' }]);
      await openDemo(page);
      if (view === 'shops') await page.goto('/');
      else if (view === 'sources' || view.startsWith('practice')) await page.goto(`/${view}`);
      else await page.goto(`/shop/heron-slip/${view}`);
      await page.waitForTimeout(500);
      expect(await faults(page)).toEqual([]);
    });
  }

  for (const { name, open } of OPENED) {
    test(`${name} has no fault a checker can find, ${theme}`, async ({
      page,
      context,
      baseURL,
    }) => {
      await context.addCookies([{ name: 'theme', value: theme, url: baseURL ?? '' }]);
      await openDemo(page);
      await open(page);
      await expect(page.getByRole('dialog').or(page.getByRole('menu'))).toBeVisible();
      // Until it has faded in: half seen, nothing has contrast.
      await page.waitForTimeout(400);
      expect(await faults(page)).toEqual([]);
    });
  }

  for (const { name, open } of FORMS) {
    test(`${name} has no fault a checker can find, ${theme}`, async ({
      page,
      context,
      baseURL,
    }) => {
      await context.addCookies([{ name: 'theme', value: theme, url: baseURL ?? '' }]);
      await openDemo(page);
      await open(page);
      expect(await faults(page)).toEqual([]);
    });
  }
}

for (const system of ['US', 'SI']) {
  test(`on a phone and a tablet no view scrolls sideways, ${system}`, async ({ page }) => {
    test.setTimeout(120_000);
    await openDemo(page);
    await page.getByRole('radio', { name: system, exact: true }).click();
    for (const view of [
      'floor',
      'collector',
      ...BENCHES,
      'air',
      'log',
      ...LOG_BENCHES,
      'leaks',
      'improve',
      'build',
      'build/cuts',
      'build/assembly',
      'build/drawings',
      'build/templates',
      'build/shop-made',
      'build/switches',
      'build/labels',
      'upkeep',
    ]) {
      await page.goto(`/shop/heron-slip/${view}`);
      await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeVisible();
      for (const width of [390, 820, 1024]) {
        await page.setViewportSize({ width, height: 844 });
        await page.waitForTimeout(150);
        expect(await tooWide(page), `${view} at ${width}`).toEqual([]);
      }
    }
  });
}

/** What is wider than its place: the page, or a part of the view that would have to be scrolled sideways. */
const tooWide = (page: Page) =>
  page.evaluate(() =>
    [document.documentElement, ...document.querySelectorAll('main section, main table')]
      .filter((box) => {
        const { overflowX } = getComputedStyle(box);
        const isClipped = box !== document.documentElement && overflowX === 'visible';
        return !isClipped && box.scrollWidth > box.clientWidth;
      })
      .map((box) => `${box.getAttribute('aria-label') ?? box.tagName}: ${box.scrollWidth} px`),
  );

test('on a phone the gates fold out', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  await page.getByRole('button', { name: 'gates' }).click();
  const gate = page.getByRole('group', { name: 'Gates' }).getByRole('button', { name: 'Planer' });
  await expect(gate).toHaveAttribute('aria-pressed', 'true');
  await gate.click();
  await expect(gate).toHaveAttribute('aria-pressed', 'false');
});

test('every number’s source is a tap away from where it is used', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Estimates' }).click();
  await expect(page.getByRole('heading', { name: 'Elbows, 90°' })).toBeVisible();
  const row = page.getByRole('row', { name: /Five-piece, R\/D 2 / });
  await expect(row).toContainText('0.19');
  await expect(row).toContainText('standard');
  await page.getByRole('radio', { name: 'SI' }).click();
  await expect(page.getByRole('row', { name: /^Table saw \d/ })).toContainText('637 m³/h');
});

test('an unknown shop and an unknown page say so', async ({ page, allow }) => {
  allow(/404/);
  await page.goto('/shop/nothing/air');
  await expect(page.getByRole('heading', { name: 'No such shop here' })).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'No such page' })).toBeVisible();
});
