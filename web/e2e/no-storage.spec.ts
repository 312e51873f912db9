import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, test } from './bench';

/** A browser whose settings block storage, or whose window is private. */
const blockStorage = (page: Page) =>
  page.addInitScript(`{
    const refuse = () => {
      throw new DOMException('The user denied permission.', 'SecurityError');
    };
    IDBFactory.prototype.open = refuse;
    Object.defineProperty(window, 'localStorage', { get: refuse });
  }`);

const notice = (page: Page) => page.getByRole('alert', { name: 'Kept in memory only' });

test('where storage is blocked all of it works in memory, and is saved as a file', async ({
  page,
}) => {
  await blockStorage(page);
  await page.goto('/');
  await expect(notice(page)).toContainText('The browser does not open its storage');
  await expect(notice(page)).toContainText('The user denied permission.');
  await expect(page.getByText('No shops on this page yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Open the demo' }).click();
  await expect(page.getByRole('heading', { name: 'Every drop' })).toBeVisible();
  await page.getByLabel('Length of Far end').fill('25');
  await page.getByLabel('Length of Far end').blur();
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('in memory only');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Length of Far end')).not.toHaveValue(/^25/);
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByLabel('Length of Far end')).toHaveValue(/^25/);
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByRole('row').nth(3)).toBeVisible();

  const download = page.waitForEvent('download');
  await notice(page).getByRole('button', { name: 'Save as a file' }).click();
  const path = test.info().outputPath('memory.json');
  await (await download).saveAs(path);
  const { ducts, journal } = JSON.parse(readFileSync(path, 'utf8'));
  const farEnd = ducts.runs.find((run: { name: string }) => run.name === 'Far end');
  expect(farEnd.length).toBeCloseTo(25 * 0.3048, 6);
  expect(journal.readings).toHaveLength(34);

  await page.getByRole('link', { name: 'Frank Gauge' }).click();
  await expect(page.getByRole('link', { name: /Heron Slip 5 drops/ })).toBeVisible();
  await page.getByLabel('Shop file').setInputFiles(path);
  await page.getByRole('button', { name: 'Import as a second shop' }).click();
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toHaveCount(2);

  // It is gone with the page, which asks first.
  let asked = '';
  page.once('dialog', (dialog) => {
    asked = dialog.type();
    void dialog.accept();
  });
  await page.reload();
  expect(asked).toBe('beforeunload');
  await expect(page.getByText('No shops on this page yet.')).toBeVisible();
});

test('where storage is full a shop is not copied, and can be saved as a file there and then', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/');
  await page.evaluate(`IDBObjectStore.prototype.add = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };`);
  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByText('Heron Slip was not copied')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const { shop, journal } = JSON.parse(readFileSync(await (await download).path(), 'utf8'));
  expect(shop.name).toBe('Heron Slip');
  expect(journal.readings).toHaveLength(34);
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('No room');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('No room was not started')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toHaveCount(1);
});

test('a storage that another tab holds is left alone until that tab is closed', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  await other.goto('/sources');
  // As an earlier version of the program would hold the tables: it does not hear that others want them.
  await other.evaluate(`new Promise((resolve, reject) => {
    const open = indexedDB.open('frank-gauge', 10);
    open.onsuccess = () => { window.held = open.result; resolve(); };
    open.onerror = () => reject(open.error);
  })`);
  await openDemo(page);
  await expect(notice(page)).toContainText('Another tab with an earlier version of Frank Gauge');
  await other.close();
  await expect(notice(page)).toContainText('The browser’s storage can be opened again');
  page.once('dialog', (dialog) => void dialog.accept());
  await notice(page).getByRole('button', { name: 'Reload' }).click();
  await expect(page.getByRole('heading', { name: 'No such shop here' })).toBeVisible();
  await openDemo(page);
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('saved');
  await expect(notice(page)).toBeHidden();
});

test('a storage that does not answer is not waited for', async ({ page }) => {
  await page.addInitScript('IDBFactory.prototype.open = () => new EventTarget();');
  await page.goto('/');
  await expect(notice(page)).toContainText('The browser’s storage does not answer.', {
    timeout: 10_000,
  });
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Kept in mind');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByLabel('Shop name')).toHaveValue('Kept in mind');
});
