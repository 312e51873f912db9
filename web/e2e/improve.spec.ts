import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

const next = (page: Page) => page.getByRole('region', { name: 'What to do next' });
const budget = (page: Page) => page.getByRole('region', { name: 'What a budget buys' });
const tried = (page: Page) => page.getByRole('region', { name: 'Everything tried' });

async function openImprove(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/improve');
  await expect(next(page).getByRole('listitem')).toHaveCount(3);
  await expect(budget(page).getByText('The line bends here', { exact: false })).toBeVisible({
    timeout: 30_000,
  });
}

test('the first thing to do costs nothing, is put into the design, and is undone', async ({
  page,
}) => {
  await openImprove(page);
  const first = next(page).getByRole('listitem').first();
  await expect(first).toContainText('Pull the hose of Planer drop straight.');
  await expect(first).toContainText(/Planer gains \d+ CFM \(±\s\d+ CFM\)/);
  await expect(first).toContainText('Costs nothing');
  await first.getByRole('button', { name: /^Put it into the design/ }).click();
  await expect(first).not.toContainText('Pull the hose of Planer drop straight.');
  await saved(page);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(first).toContainText('Pull the hose of Planer drop straight.');
});

test('the demo’s planer is mended under a budget of 60', async ({ page }) => {
  await openImprove(page);
  await page.getByLabel('Budget', { exact: true }).fill('60');
  await page.keyboard.press('Enter');
  const together = budget(page).getByText(/^Together/);
  await expect(budget(page).getByText('The most air for $60:')).toBeVisible({ timeout: 30_000 });
  const [, cost = '', worst = ''] =
    /Together \$(\d+) .* then gets (\d+)\s% of/.exec((await together.textContent()) ?? '') ?? [];
  expect(Number(cost)).toBeLessThanOrEqual(60);
  expect(Number(worst)).toBeGreaterThan(100);
  await budget(page).getByRole('button', { name: 'Put all into the design' }).click();
  await saved(page);
  await page.getByRole('link', { name: /^3 Air/ }).click();
  const planer = page.getByRole('row', { name: /^Planer/ });
  await expect(planer).toContainText('enough');
});

test('what was done is logged with what the model promises, and shows in History', async ({
  page,
}) => {
  await openImprove(page);
  await next(page)
    .getByRole('button', { name: /^I did it, log it: Pull the hose of Planer drop/ })
    .click();
  await expect(
    page.getByText(/Made and logged: pull the hose of Planer drop straight/),
  ).toBeVisible();
  await saved(page);
  await page.goto('/shop/heron-slip/log/history');
  await expect(page.getByText('Pull the hose of Planer drop straight.').first()).toBeVisible();
});

test('everything tried opens to each drop, and sorts by money', async ({ page }) => {
  await openImprove(page);
  await tried(page).getByLabel('Order').selectOption({ label: 'by air at the worst drop' });
  const [first] = await tried(page).locator('tbody tr').all();
  const share = Number(await first?.locator('td').nth(1).textContent());
  await tried(page).getByLabel('Order').selectOption({ label: 'by what it is worth' });
  const own = Number(
    await tried(page).locator('tbody tr').first().locator('td').nth(1).textContent(),
  );
  expect(share).toBeGreaterThanOrEqual(own);
  await tried(page).getByRole('button', { name: 'Clean the filter' }).click();
  const detail = tried(page).getByRole('table').nth(1);
  await expect(detail.getByRole('row')).toHaveCount(6);
  await expect(detail.getByRole('row').nth(1)).toContainText(/\+\d+ ±\s\d+/);
});

test('a price of one’s own, a house rule and a weight change what is ranked', async ({ page }) => {
  await openImprove(page);
  await page.getByText('Prices, in $').click();
  const price = page.getByLabel('Price: Hose, smooth bore, a foot');
  await expect(price).toHaveAttribute('placeholder', '9.00, estimated');
  await tried(page)
    .getByRole('button', { name: /^Show all/ })
    .click();
  const smooth = tried(page).getByRole('row', { name: /^Put a smooth-bore hose on Planer drop/ });
  const before = await smooth.locator('td').nth(3).textContent();
  await price.fill('90');
  await page.keyboard.press('Enter');
  await expect(smooth.locator('td').nth(3)).not.toHaveText(before ?? '');
  await price.fill('minus one');
  await page.keyboard.press('Enter');
  await expect(price).toHaveValue('minus one');
  await expect(page.getByText(/is not a number/).first()).toBeVisible();

  await expect(
    tried(page)
      .getByRole('row', { name: /^Replace the blower/ })
      .first(),
  ).toBeVisible();
  await page.getByLabel('No new blower').check();
  await expect(tried(page).getByRole('row', { name: /^Replace the blower/ })).toHaveCount(0);
  await expect(tried(page).getByText(/it needs a new blower/)).toBeVisible();
});

test('a budget below the first step is told so', async ({ page }) => {
  const demo = JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
  // Nothing that costs nothing is left to do.
  demo.condition.filterLoading.value = 1;
  demo.candidates = [];
  for (const run of demo.ducts.runs) if (run.hose) run.hose.compression = 0;
  demo.advice.budget = 3;
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'tidy.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(demo)),
  });
  await expect(page.getByText('Heron Slip').first()).toBeVisible();
  await page.goto('/shop/heron-slip/improve');
  await expect(
    budget(page).getByText(/\$3 is less than the first step that helps costs: about \$\d+\./),
  ).toBeVisible({ timeout: 30_000 });
});

test('a shop without drops is told what it lacks', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Empty');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('link', { name: 'Improve' }).click();
  await expect(page.getByText('First connect a machine under Air', { exact: false })).toBeVisible();
});

test('all of it goes by keyboard', async ({ page }) => {
  await openImprove(page);
  await page.getByLabel('Budget', { exact: true }).focus();
  await page.keyboard.type('20');
  await page.keyboard.press('Tab');
  await expect(budget(page).getByText('The most air for $20:')).toBeVisible({ timeout: 30_000 });
  const button = next(page)
    .getByRole('button', { name: /^Put it into the design/ })
    .first();
  const name = await next(page).getByRole('listitem').first().textContent();
  await button.focus();
  await page.keyboard.press('Enter');
  await expect(next(page).getByRole('listitem').first()).not.toContainText(
    (name ?? '').slice(1, 30),
  );
});
