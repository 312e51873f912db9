import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

const picture = readFileSync('docs/screenshots/air.png');

async function openFirstReading(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /open the reading$/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
}

test('a photo of a reading is kept small, comes back after a reload, and travels in the zip', async ({
  page,
  browser,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log');
  await openFirstReading(page);
  const field = page.getByLabel(/^Photo of the reading at/);
  const wrong = { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') };
  await field.setInputFiles(wrong);
  await expect(page.getByRole('alert')).toContainText(
    'notes.jpg is not a picture this browser can read',
  );
  await field.setInputFiles({ ...wrong, name: 'huge.jpg', buffer: Buffer.alloc(40_000_000) });
  await expect(page.getByRole('alert')).toContainText(
    'huge.jpg is 40 MB; a photo can be at most 30 MB',
  );
  const thumbnail = page.getByRole('button', { name: /^Photo of the reading at .*\.jpg$/ });
  await expect(thumbnail).toHaveCount(0);
  await field.setInputFiles({ name: 'gauge.png', mimeType: 'image/png', buffer: picture });
  await expect(thumbnail).toBeVisible();
  await expect(page.getByRole('alert')).toBeHidden();
  await page.keyboard.press('Escape');
  await saved(page);

  await page.reload();
  await openFirstReading(page);
  await thumbnail.click();
  const full = page.getByRole('img', { name: 'gauge.jpg' });
  await expect(full).toBeVisible();
  expect(await full.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1280);
  await page.getByRole('dialog').getByLabel('Note', { exact: true }).fill('At the taped elbow');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await saved(page);

  await page.goto('/');
  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export with photos (zip)' }).click();
  const path = test.info().outputPath('photos.zip');
  await (await download).saveAs(path);

  const other = await browser.newPage();
  await other.goto('/');
  await other.getByLabel('Shop file').setInputFiles(path);
  await expect(other.getByText('Imported Heron Slip.')).toBeVisible();
  await other.goto('/shop/heron-slip/log');
  await openFirstReading(other);
  await other
    .getByRole('button', { name: /^Photo of the reading at .*At the taped elbow$/ })
    .click();
  await expect(other.getByRole('img', { name: 'At the taped elbow' })).toBeVisible();
  await other.getByRole('button', { name: 'Remove the photo' }).click();
  await other.keyboard.press('Escape');
  await other.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await saved(other);
  await openFirstReading(other);
  await expect(
    other.getByRole('button', { name: /^Photo of the reading at .*elbow$/ }),
  ).toBeVisible();
  await other.close();
});

test('changes and joints take photos too', async ({ page }) => {
  await openDemo(page);
  for (const [path, label] of [
    ['log/history', /^Photo of filter cleaned/],
    ['collector/joints', /^Photo of the joint:/],
  ] as const) {
    await page.goto(`/shop/heron-slip/${path}`);
    await page
      .getByLabel(label)
      .first()
      .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: picture });
    await expect(
      page.getByRole('button', { name: new RegExp(`${label.source}.*a\\.jpg$`) }),
    ).toBeVisible();
  }
});
