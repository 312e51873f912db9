import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

/** Rows of the log's table: its head, days and readings, whether or not they are in sight. */
const expectRows = (page: Page, count: number) =>
  expect(page.getByRole('table', { name: 'Readings, newest first' })).toHaveAttribute(
    'aria-rowcount',
    String(count),
  );

const rowsIn = (page: Page) =>
  page.getByRole('row').filter({ has: page.getByRole('button', { name: /open the reading$/ }) });

async function openLog(page: Page): Promise<void> {
  await page.getByRole('link', { name: /Log/ }).click();
  await expect(page.getByRole('heading', { name: 'New reading' })).toBeVisible();
}

async function logAt(page: Page, drop: string, value: string): Promise<void> {
  await page.getByLabel('Test point', { exact: true }).selectOption({ label: drop });
  await page.getByLabel('Repeat 1', { exact: true }).fill(value);
  await page.getByRole('button', { name: 'Add reading' }).click();
}

/** Exports the demo with its photos, as a zip. */
async function exportZip(page: Page): Promise<string> {
  await openDemo(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export with photos (zip)' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('heron-slip.frank-gauge.zip');
  const path = test.info().outputPath('shop.zip');
  await file.saveAs(path);
  return path;
}

/** Of a file of a shop that is here already, makes another shop. */
const importApart = (page: Page) =>
  page.getByRole('button', { name: 'Import as a second shop' }).click();

test('a shop goes out as a zip and comes back with its journal', async ({ page }) => {
  const path = await exportZip(page);
  await page.getByLabel('Shop file').setInputFiles(path);
  await importApart(page);
  await expect(page.getByRole('link', { name: /Heron Slip.*5 drops/ })).toHaveCount(2);
  await page
    .getByRole('link', { name: /Heron Slip/ })
    .first()
    .click();
  await expect(page).not.toHaveURL(/heron-slip/);
  await openLog(page);
  await expectRows(page, 41);
  await expect(page.getByText('The readings point to Far end.')).toBeVisible();
});

test('of a zip that is cut off, what is whole is imported, or nothing, as one likes', async ({
  page,
}) => {
  const path = await exportZip(page);
  const whole = readFileSync(path);
  // Between where its journal begins and where the list of what is in it does.
  const begins = whole.indexOf('journal.jsonl');
  const ends = whole.indexOf('PK\u0001\u0002');
  const cut = test.info().outputPath('cut.zip');
  writeFileSync(cut, whole.subarray(0, Math.round(begins + 0.7 * (ends - begins))));
  const sheet = page.getByRole('dialog', { name: 'This file is cut off' });
  await page.getByLabel('Shop file').setInputFiles(cut);
  await expect(sheet).toContainText('The design of Heron Slip is whole.');
  const [, promised = '', there = '', missing = ''] =
    /Of the (\d+) records of its journal, the first (\d+) are there; the last (\d+|one) (?:are|is) missing/.exec(
      (await sheet.textContent()) ?? '',
    ) ?? [];
  expect(Number(there) + (missing === 'one' ? 1 : Number(missing))).toBe(Number(promised));
  expect(Number(there)).toBeGreaterThan(0);
  await sheet.getByRole('button', { name: 'Import nothing' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('link', { name: /drops · changed/ })).toHaveCount(1);

  await page.getByLabel('Shop file').setInputFiles(cut);
  await sheet.getByRole('button', { name: 'Import what is whole' }).click();
  await importApart(page);
  await expect(page.getByRole('link', { name: /drops · changed/ })).toHaveCount(2);
  await page
    .getByRole('link', { name: /Heron Slip/ })
    .first()
    .click();
  await expect(page).not.toHaveURL(/heron-slip/);
  await openLog(page);
  await expect(rowsIn(page).first()).toBeVisible();
});

test('what two tabs log at once is in both, and so is what one of them undoes', async ({
  page,
  context,
}) => {
  await openDemo(page);
  await openLog(page);
  const other = await context.newPage();
  await other.goto('/shop/heron-slip/log');
  await expectRows(other, 41);
  await Promise.all([logAt(page, 'Planer', '3900'), logAt(other, 'Table saw', '3800')]);
  for (const tab of [page, other]) {
    await expectRows(tab, 44);
    await expect(rowsIn(tab).filter({ hasText: '3,900' })).toHaveCount(1);
    await expect(rowsIn(tab).filter({ hasText: '3,800' })).toHaveCount(1);
  }
  await page.getByTitle('Undo, Ctrl+Z').click();
  await page.getByTitle('Undo, Ctrl+Z').click();
  for (const tab of [page, other]) await expectRows(tab, 41);
  await other.reload();
  await expectRows(other, 41);
  await other.close();
});

test('when storage is full it says so until everything is stored', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(`{
    const { put } = IDBObjectStore.prototype;
    IDBObjectStore.prototype.put = function () {
      throw new DOMException('full', 'QuotaExceededError');
    };
    window.mend = () => { IDBObjectStore.prototype.put = put; };
  }`);
  await page.getByLabel('Length of Far end').fill('25');
  const notice = page.getByRole('alert', { name: 'Not saved' });
  await expect(notice).toContainText('The last changes are not saved.');
  await page.getByLabel('Length of Back main').fill('31');
  await page.getByLabel('Length of Back main').blur();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('undo works again once they are')).toBeVisible();

  const download = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'Save as a file' }).click();
  const path = test.info().outputPath('unsaved.json');
  await (await download).saveAs(path);
  const { ducts, journal } = JSON.parse(readFileSync(path, 'utf8'));
  const lengthOf = (name: string) =>
    ducts.runs.find((run: { name: string }) => run.name === name)?.length;
  expect(lengthOf('Far end')).toBeCloseTo(25 * 0.3048, 6);
  expect(journal.readings).toHaveLength(34);

  await page.evaluate('window.mend()');
  // It is tried again by itself, or when it is asked to.
  await expect(notice).toBeHidden({ timeout: 20_000 });
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Length of Far end')).toHaveValue(/^25′?$/);
  await expect(page.getByLabel('Length of Back main')).toHaveValue(/^31′?$/);
});

test('a page that is older than what is stored says so, and writes nothing more', async ({
  page,
  context,
}) => {
  await openDemo(page);
  await saved(page);
  const newer = await context.newPage();
  await newer.goto('/sources');
  // As a later version of the program would open the tables.
  await newer.evaluate(`new Promise((resolve, reject) => {
    const open = indexedDB.open('frank-gauge', 990);
    open.onsuccess = () => { open.result.close(); resolve(); };
    open.onerror = () => reject(open.error);
  })`);
  const notice = page.getByRole('alert', { name: 'Out of date' });
  await expect(notice).toContainText('Frank Gauge was updated in another tab.');
  await page.getByLabel('Length of Far end').fill('25');
  const download = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'Save as a file' }).click();
  const path = test.info().outputPath('outdated.json');
  await (await download).saveAs(path);
  expect(readFileSync(path, 'utf8')).toContain('"name": "Far end"');
  // Opened again, still older: it says so and offers nothing to lose.
  page.once('dialog', (dialog) => void dialog.accept());
  await page.goto('/');
  await expect(page.getByRole('alert', { name: 'Out of date' })).toBeVisible();
  await newer.close();
});

test('a log of thousands scrolls from end to end with every row there', async ({ page }) => {
  const demo = JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
  const [first] = demo.journal.readings;
  demo.id = 'long';
  demo.shop.name = 'Long';
  demo.journal.readings = Array.from({ length: 3000 }, (_, i) => ({
    ...first,
    id: `r${i}`,
    at: new Date(Date.UTC(2020, 0, 1) + i * 7_200_000).toISOString(),
    note: i % 50 === 0 ? `Note ${i}` : '',
  }));
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'long.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(demo)),
  });
  await page.getByRole('link', { name: /Long/ }).click();
  await openLog(page);
  const table = page.getByRole('table', { name: 'Readings, newest first' });
  // 3000 readings on 250 days with 60 notes, and the head.
  await expect(table).toHaveAttribute('aria-rowcount', '3311');
  const box = page.locator('section[aria-label=Readings] [tabindex="0"]');
  await box.focus();
  await page.keyboard.press('End');
  await expect(page.getByText('January 1, 2020')).toBeVisible();
  await expect(rowsIn(page).last()).toContainText('no significant difference');
  expect(await rowsIn(page).count()).toBeLessThan(150);
  await page.keyboard.press('Home');
  await expect(page.getByText('September 6, 2020')).toBeVisible();
});
