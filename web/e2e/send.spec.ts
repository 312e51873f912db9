import { blowerOfClass } from '@frank-gauge/core/collector';
import { newShop } from '@frank-gauge/core/design';
import { emptyJournal } from '@frank-gauge/core/journal';
import { shopLink } from '../src/storage/shop-link';
import { expect, openDemo, saved, test } from './bench';

test('a shop is shared as a file that comes back, in a kind of file this browser shares', async ({
  page,
}) => {
  // Headless browsers have no share sheet: this one takes texts, as most do, and keeps what it is given.
  await page.addInitScript(() => {
    const shared: string[] = [];
    Object.assign(window, { shared });
    navigator.canShare = ({ files } = {}) =>
      files?.every(({ type }) => type === 'text/plain') ?? false;
    navigator.share = async ({ files } = {}) => {
      for (const file of files ?? []) shared.push(file.name, await file.text());
    };
  });
  await openDemo(page);
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Commands' }).fill('another device');
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('dialog', { name: 'Send to another device' });
  await expect(sheet).toContainText('This shop is too large for a QR code.');
  await sheet.getByRole('button', { name: 'Share…' }).click();
  const shared = () => page.evaluate('window.shared') as Promise<string[]>;
  await expect.poll(async () => (await shared()).length).toBe(2);
  const [name, text] = await shared();
  expect(name).toBe('heron-slip.frank-gauge.txt');
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: name ?? '',
    mimeType: 'text/plain',
    buffer: Buffer.from(text ?? ''),
  });
  const merge = page.getByRole('dialog', { name: 'Heron Slip is here already' });
  await expect(merge).toContainText('Its journal has nothing that is not here.');
  await expect(merge).toContainText('The design is the same.');
});

test('a small shop goes by the code another device scans, and a damaged code says so', async ({
  page,
  baseURL,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Name').fill('Small');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page).toHaveURL(/floor/);
  await page.goto('/');
  await page.getByRole('button', { name: 'What to do with Small' }).click();
  await page.getByRole('menuitem', { name: 'Send to another device' }).click();
  const sheet = page.getByRole('dialog', { name: 'Send to another device' });
  await expect(sheet.getByRole('img', { name: 'QR code that opens Small' })).toBeVisible();
  await expect(sheet).toContainText('an address no other device can reach');

  // What a camera reads of such a code.
  const shop = newShop('scanned', 'Scanned', 'us', []);
  shop.collector.blower = blowerOfClass('two', 'us');
  const address = shopLink(baseURL ?? '', shop, emptyJournal())?.join('') ?? '';
  await page.goto('about:blank');
  await page.goto(address);
  await expect(page.getByText('Imported Scanned.')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Scanned/ })).toHaveCount(1);
  expect(new URL(page.url()).hash).toBe('');
  await page.goto('about:blank');
  await page.goto(address.slice(0, -9));
  await expect(page.getByText('The code was not read completely.')).toBeVisible();
});

test('a label opens a reading at its test point', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/points');
  await page.getByRole('button', { name: 'Labels to print' }).click();
  const labels = page.getByRole('region', { name: 'Labels' });
  await expect(labels.getByRole('img', { name: /^QR code that opens a reading at/ })).toHaveCount(
    6,
  );
  await page.emulateMedia({ media: 'print' });
  await expect(labels.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(labels.getByText('Planer', { exact: true })).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await labels.getByRole('button', { name: 'Back to the test points' }).click();
  await page.goto('/shop/heron-slip/log');
  const place = page.getByLabel('Test point', { exact: true });
  const filter = await place
    .locator('option', { hasText: 'Across the filter' })
    .getAttribute('value');
  await page.goto('about:blank');
  await page.goto(`/shop/heron-slip/log#at=${filter}`);
  await expect(place.locator('option:checked')).toHaveText('Across the filter');
  await place.selectOption({ label: 'Planer' });
  await page.reload();
  await expect(place.locator('option:checked')).toHaveText('Planer');
  await saved(page);
});
