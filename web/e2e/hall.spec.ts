import { emptyJournal, writeShopFile } from '@frank-gauge/core/journal';
import { drawnShop } from '../../core/reference/sample-shops';
import { expect, test } from './bench';

test('in a hall of thirty machines runs out of sight are their names, and have their fields once scrolled to', async ({
  page,
}) => {
  const shop = drawnShop(30);
  shop.shop.name = 'Hall';
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'hall.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeShopFile(shop, emptyJournal())),
  });
  await page.getByRole('link', { name: /Hall/ }).click();
  const runs = page.getByRole('region', { name: 'Collector and runs' }).getByRole('listitem');
  await expect(runs).toHaveCount(shop.ducts.runs.length);
  await expect(runs.first().getByRole('combobox')).toBeVisible();
  await expect(runs.last().getByRole('combobox')).toHaveCount(0);
  // By keys: a run far off is reached by its name, and its fields are there before the next press.
  await runs.last().getByRole('button').first().focus();
  await expect(runs.last().getByRole('combobox')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(runs.last().getByRole('textbox').first()).toBeFocused();
  await expect(runs.first().getByRole('combobox')).toHaveCount(0);
  await runs.first().scrollIntoViewIfNeeded();
  await expect(runs.first().getByRole('combobox')).toBeVisible();
});
