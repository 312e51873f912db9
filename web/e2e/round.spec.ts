import { devices, type Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

const { defaultBrowserType: _, ...phone } = devices['Pixel 5'];
test.use({ ...phone, viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' });

async function withSimulatedVane(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/instruments');
  await page.getByLabel('Add a simulated meter').selectOption('Simulated vane');
  await saved(page);
  await page.getByRole('link', { name: 'Guided round' }).tap();
  await page.getByLabel('Read by').fill('Mo');
  await page.getByRole('button', { name: 'Start the round' }).tap();
}

const step = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const next = (page: Page) => page.getByRole('button', { name: /^(Next repeat|Log)$/ });

/** Types a number on the pad; answers how often it was tapped. */
async function type(page: Page, number: string): Promise<number> {
  for (const key of number) {
    const name = key === '.' ? 'Decimal point' : key;
    await page.getByRole('button', { name, exact: true }).tap();
  }
  return number.length;
}

test('a guided round with a simulated vane: offline, the tab killed half-way, resumed, and merged', async ({
  page,
  context,
  browser,
}) => {
  test.setTimeout(120_000);
  await withSimulatedVane(page);
  const readMeter = (on: Page) =>
    on.getByRole('button', { name: 'Read the simulated meter' }).tap();
  const choose = async (on: Page) => {
    const meter = on.getByLabel('Meter', { exact: true });
    if (await meter.isVisible()) await meter.selectOption({ label: 'Simulated vane' });
  };
  // Once the program is kept on the device, its worker takes over the page.
  await expect
    .poll(() => page.evaluate('navigator.serviceWorker.controller !== null'), { timeout: 30_000 })
    .toBe(true);
  await context.setOffline(true);

  await choose(page);
  await expect(page.getByText(/^The model expects/)).toBeVisible();
  for (let i = 0; i < 3; i++) {
    await readMeter(page);
    await next(page).tap();
  }
  const taken = (on: Page) => on.getByRole('list', { name: 'Taken' }).getByRole('listitem');
  await expect(taken(page)).toHaveCount(1);
  // Half-way through the second drop the tab is killed.
  await choose(page);
  await readMeter(page);
  const value = await page.getByRole('button', { name: /^Repeat 1:/ }).getAttribute('aria-label');
  const heading = await page.getByRole('heading', { level: 2 }).first().textContent();
  await saved(page);
  await page.close({ runBeforeUnload: false });

  const again = await context.newPage();
  await again.goto('/shop/heron-slip/log/round');
  await expect(taken(again)).toHaveCount(1);
  await expect(again.getByRole('heading', { level: 2 }).first()).toHaveText(heading ?? '');
  await expect(again.getByRole('button', { name: /^Repeat 1:/ })).toHaveAttribute(
    'aria-label',
    value ?? '',
  );
  for (let drop = 1; drop < 5; drop++) {
    await choose(again);
    for (let i = drop === 1 ? 1 : 0; i < 3; i++) {
      if (drop === 1 && i === 1) await again.getByRole('button', { name: /^Repeat 2:/ }).tap();
      await readMeter(again);
      await next(again).tap();
    }
    await expect(taken(again)).toHaveCount(drop + 1);
  }
  // The manometer’s two steps: one typed, one passed over.
  await expect(step(again, 'Ahead of the separator')).toContainText('Shut all gates.');
  await type(again, '10.9');
  await next(again).tap();
  await type(again, '10.8');
  await again.getByRole('button', { name: 'Log with fewer repeats' }).tap();
  await again.getByRole('button', { name: 'Pass this over' }).tap();
  await expect(again.getByText('All steps are taken.')).toBeVisible();
  await again.getByRole('button', { name: 'End the round' }).tap();
  await expect(again.getByRole('button', { name: 'Start the round' })).toBeVisible();
  await saved(again);

  await again.getByRole('link', { name: 'Readings', exact: true }).tap();
  const rows = again.getByRole('row').filter({ hasText: 'simulated' });
  await expect(rows).toHaveCount(5);

  // Off the phone as a file, still offline, to the laptop, whose shop has moved on meanwhile.
  await again.goto('/');
  await again.getByRole('button', { name: 'What to do with Heron Slip' }).tap();
  const download = again.waitForEvent('download');
  await again.getByRole('menuitem', { name: 'Export as a file' }).tap();
  const path = test.info().outputPath('phone.json');
  await (await download).saveAs(path);
  await context.setOffline(false);
  await again.close();

  const laptop = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await openDemo(laptop);
  await laptop.getByLabel('Shop name', { exact: true }).fill('Heron Slip, back room');
  await laptop.goto('/shop/heron-slip/log');
  await laptop.getByLabel('Test point', { exact: true }).selectOption({ label: 'Planer' });
  await laptop.getByLabel('Repeat 1', { exact: true }).fill('3700');
  await laptop.getByRole('button', { name: 'Add reading' }).click();
  await saved(laptop);
  await laptop.goto('/');
  await laptop.getByLabel('Shop file').setInputFiles(path);
  const sheet = laptop.getByRole('dialog', { name: 'Heron Slip is here already' });
  await expect(sheet).toContainText(/New in its journal: .*1 round, 6 readings\./);
  await expect(sheet).toContainText('The shop: name');
  await sheet.getByRole('button', { name: /^Merge into/ }).click();
  await expect(laptop.getByText(/^Merged into Heron Slip/)).toBeVisible();
  // A second time it brings nothing.
  await laptop.getByLabel('Shop file').setInputFiles(path);
  await expect(sheet).toContainText('Its journal has nothing that is not here.');
  await sheet.getByRole('button', { name: 'Import nothing' }).click();
  await laptop.getByRole('link', { name: /Heron Slip, back room/ }).click();
  await laptop.getByRole('link', { name: /Log/ }).click();
  await expect(laptop.getByRole('row').filter({ hasText: 'simulated' })).toHaveCount(5);
  await expect(laptop.getByRole('row').filter({ hasText: '3,700' })).toHaveCount(1);
  await laptop.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(laptop.getByRole('row').filter({ hasText: 'simulated' })).toHaveCount(0);
  await expect(laptop.getByRole('row').filter({ hasText: '3,700' })).toHaveCount(1);
  await laptop.close();
});

test('ten readings of three repeats take three taps each beyond their digits', async ({ page }) => {
  test.setTimeout(120_000);
  await withSimulatedVane(page);
  const begin = Date.now();
  let taps = 0;
  let digits = 0;
  let count = 0;
  for (let round = 0; round < 2; round++) {
    for (let drop = 0; drop < 5; drop++) {
      await expect(page.getByRole('button', { name: 'Repeat 1: blank' })).toBeVisible();
      for (const value of ['4010', '3990', '4020']) {
        digits += await type(page, value);
        await next(page).tap();
        taps++;
      }
      count++;
      await expect(page.getByText(`${drop + 1} of 7`)).toBeVisible();
    }
    await page.getByRole('button', { name: 'End the round' }).tap();
    if (round === 0) await page.getByRole('button', { name: 'Start the round' }).tap();
  }
  const seconds = (Date.now() - begin) / 1000;
  test.info().annotations.push({
    type: 'taps',
    description: `${count} readings, ${taps / count} taps each beyond ${digits / count} digits, ${seconds.toFixed(0)} s by script`,
  });
  expect(count).toBe(10);
  expect(taps / count).toBeLessThanOrEqual(3);
  await page.getByRole('link', { name: 'Readings', exact: true }).tap();
  await expect(page.getByRole('row').filter({ hasText: '4,010' })).toHaveCount(10);
});

test('keys say what is wrong, and a blank repeat goes nowhere', async ({ page }) => {
  await withSimulatedVane(page);
  await next(page).tap();
  await expect(page.getByText('Type what the meter shows.')).toBeVisible();
  await type(page, '99999');
  await next(page).tap();
  await expect(page.getByText('No meter reads that high')).toBeVisible();
  await page.getByRole('button', { name: 'Erase' }).tap();
  await expect(page.getByRole('button', { name: 'Repeat 1: 9999' })).toBeVisible();
  await page.keyboard.press('Backspace');
  await page.keyboard.press('5');
  await expect(page.getByRole('button', { name: 'Repeat 1: 9995' })).toBeVisible();
  await page.getByRole('button', { name: 'over range' }).tap();
  await expect(page.getByRole('button', { name: 'Repeat 1: > 9995' })).toBeVisible();
});
