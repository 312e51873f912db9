import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

/** Writes past the program into what is stored, as a broken disk would: `change` sees `designs` and `summaries`. */
const damage = (page: Page, change: string) =>
  page.evaluate(`new Promise((done) => {
    const open = indexedDB.open('frank-gauge');
    open.onsuccess = () => {
      const t = open.result.transaction(['designs', 'summaries'], 'readwrite');
      const [designs, summaries] = [t.objectStore('designs'), t.objectStore('summaries')];
      const alter = (store, id, how) => {
        store.get(id).onsuccess = ({ target }) => { how(target.result); store.put(target.result); };
      };
      ${change};
      t.oncomplete = () => { open.result.close(); done(); };
    };
  })`);

test('a damaged shop hides no other, says what is wrong, is saved as it lies, and goes back to before', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByLabel('Shop name').fill('Renamed once');
  await saved(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'What to do with Renamed once' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByRole('link', { name: /Renamed once, copy/ })).toBeVisible();
  await damage(
    page,
    `alter(designs, 'heron-slip', (row) => { row.document.shop.name = 7; });
     alter(summaries, 'heron-slip', (row) => { row.changed = 'nonsense'; row.designRevision++; })`,
  );
  await page.reload();
  const line = page.getByRole('link', { name: /^Renamed once damaged/ });
  await expect(line).toContainText('damaged: open it to see what is wrong');
  await expect(line).toContainText('changed at an unknown time');
  await expect(page.getByRole('link', { name: /Renamed once, copy/ })).toContainText('drops');
  await line.click();
  await expect(page.getByRole('heading', { name: 'This shop cannot be read' })).toBeVisible();
  await expect(page.getByRole('listitem')).toHaveText(/^shop\.name: /);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  const file = JSON.parse(readFileSync(await (await download).path(), 'utf8'));
  expect(file.shop.name).toBe(7);
  expect(file.journal.readings.length).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Restore the last good version' }).click();
  await expect(page.getByLabel('Shop name')).toHaveValue('Heron Slip');
  await expect(page.getByText('Undone: rename the shop')).toBeVisible();
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByRole('row').nth(3)).toBeVisible();
});

test('a shop that has lost its summary is in the list and opens', async ({ page }) => {
  await openDemo(page);
  await saved(page);
  await damage(page, `summaries.delete('heron-slip')`);
  await page.goto('/');
  const line = page.getByRole('link', { name: /Heron Slip/ });
  await expect(line).toContainText('drops');
  await line.click();
  await expect(page.getByRole('heading', { name: 'Every drop' })).toBeVisible();
});

test('numbers are read as they are meant, or both readings are offered', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Metric');
  await page.getByRole('radio', { name: 'm³/h, mm' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await page
    .getByRole('button', { name: /^Two bays/ })
    .first()
    .click();
  const field = page.getByLabel('Ceiling height');
  await field.fill('2,75');
  await expect(page.getByRole('status').filter({ hasText: '= 2.75 m' })).toBeVisible();
  await field.fill('1,125');
  const both = "'1,125' may be 1.125 m or 1,125 m: write 1.125 or 1125.";
  await expect(page.getByRole('alert').filter({ hasText: both })).toBeVisible();
  await expect(field).toHaveValue('1,125');
  await field.fill('9’ 6½”');
  await expect(page.getByRole('status').filter({ hasText: '= 2.91 m' })).toBeVisible();
  await field.blur();
  await expect(field).toHaveValue('9’ 6½”');
});
