import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { expect, openDemo, saved, test } from './bench';

/** What a PDF says, without its spaces, and on how many pages. */
async function textOfPdf(pdf: Uint8Array): Promise<{ pages: number; words: string }> {
  const document = await getDocumentProxy(new Uint8Array(pdf));
  const { text } = await extractText(document, { mergePages: true });
  return { pages: document.numPages, words: text.replace(/\s+/g, '') };
}

const next = (page: Page) => page.getByRole('region', { name: 'What to do next' });
const budget = (page: Page) => page.getByRole('region', { name: 'What a budget buys' });
const tried = (page: Page) => page.getByRole('region', { name: 'Everything tried' });

async function openImprove(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/improve');
  await expect(next(page).getByRole('listitem')).toHaveCount(3, { timeout: 45_000 });
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
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toBeVisible();
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

test('a plan by the month begins with what works by itself, and its first stage is held against its promise', async ({
  page,
}) => {
  await openImprove(page);
  const stages = page.getByRole('region', { name: 'Stages' });
  await stages.getByLabel('Each month').fill('40');
  await stages.getByRole('button', { name: 'Plan it' }).click();
  await expect(stages.getByText(/^After /)).toBeVisible({ timeout: 60_000 });
  await expect(stages.getByRole('listitem').first()).toContainText('Pull the hose of Planer drop');
  await expect(stages.getByText(/at once costs \$[\d,]+, \d+ months of saving/)).toBeVisible();
  await stages.getByRole('button', { name: 'I did the first stage' }).click();
  await saved(page);
  const promises = page.getByRole('region', { name: 'Promises' });
  await expect(promises.getByText(/^Still to be read again: /)).toBeVisible();
  await expect(stages.getByText('The shop has changed since: plan it again.')).toBeVisible();
});

test('what decides a drop’s airflow is named with what would make it surer', async ({ page }) => {
  await openImprove(page);
  const decides = page.getByRole('region', { name: 'What decides' });
  await decides.getByLabel('Drop').selectOption({ label: 'Planer' });
  await expect(decides.getByRole('listitem').first()).toContainText(/±\s\d+ CFM/);
  await expect(decides.getByText(/^To be surer of Planer: /)).toBeVisible();
});

test('the report is printed, and read back from its PDF', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/improve/report');
  const report = page.getByRole('article', { name: 'Report' });
  await expect(report.getByText(/Pull the hose of Planer drop straight/)).toBeVisible({
    timeout: 30_000,
  });
  const pdf = await page.pdf({ format: 'Letter', printBackground: true });
  const text = await textOfPdf(pdf);
  expect(text.pages).toBe(1);
  for (const words of [
    'Heron Slip',
    'Every drop, each with its own gate open',
    'Where the pressure goes: Planer',
    'What to do next',
    'Pull the hose of Planer drop straight',
    'Local codes and licensed practice decide',
  ]) {
    expect(text.words).toContain(words.replace(/\s+/g, ''));
  }
  // The same airflow as on the screen.
  const shown = /Planer\s*550\s*(\d+)/.exec((await report.textContent()) ?? '')?.[1] ?? 'none';
  expect(text.words).toMatch(new RegExp(`Planer550${shown}`));
});

test('the drop table sorts, and is copied for a spreadsheet', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page);
  await page.goto('/shop/heron-slip/air');
  await page.getByLabel('Order of the drops').selectOption({ label: 'worst first' });
  const rows = page.getByRole('region', { name: 'Air' }).locator('tbody tr');
  await expect(page.getByRole('row', { name: /^Planer/ })).toBeVisible();
  expect(await rows.count()).toBeGreaterThan(3);
  await page.getByRole('button', { name: 'Copy as CSV' }).click();
  await expect(page.getByText('Copied 5 drops as CSV')).toBeVisible();
  const csv = String(await page.evaluate('navigator.clipboard.readText()'));
  const [header = '', first = ''] = csv.split('\r\n');
  expect(header).toContain('Airflow (CFM)');
  expect(first.startsWith('Planer,550,')).toBe(true);
});

test('where several gates may be open, drops by combinations show what is short', async ({
  page,
}) => {
  const demo = JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
  demo.shop.rules.gates = { kind: 'atMost', count: 2 };
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'two.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(demo)),
  });
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toBeVisible();
  await page.goto('/shop/heron-slip/air');
  await page.getByText('Drops by combinations').click();
  await expect(page.getByText(/^15 combinations; in \d+ of them nothing is short/)).toBeVisible();
  await expect(page.getByText(/^▼\d+$/).first()).toBeVisible();
});

test('prices go out as a table and come back, and a wrong line is refused by its number', async ({
  page,
}) => {
  await openImprove(page);
  await page.getByText('Prices, in $').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const text = readFileSync((await download.path()) ?? '', 'utf8');
  expect(text).toContain('pipe,Pipe,foot,4,estimate');
  const file = (content: string) => ({
    name: 'prices.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(content),
  });
  const input = page.getByLabel('Price file');
  await input.setInputFiles(file(text.replace('foot,4,estimate', 'foot,6.5,own')));
  await expect(page.getByLabel('Price: Pipe, a foot')).toHaveValue('6.5');
  await input.setInputFiles(file(text.replace('foot,4,estimate', 'foot,much,own')));
  await expect(
    page.getByText('prices.csv was not read. Line 2: “much” is not a number.', { exact: false }),
  ).toBeVisible();
  await expect(page.getByLabel('Price: Pipe, a foot')).toHaveValue('6.5');
});

test('a machine gets a small collector of its own, and no duct is missed there', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/improve');
  await page.getByRole('button', { name: /^Show all/ }).click({ timeout: 45_000 });
  await page.getByRole('button', { name: /^Give Planer a small collector of its own/ }).click();
  await page.getByRole('button', { name: 'Put it into the design' }).last().click();
  await saved(page);
  await page.goto('/shop/heron-slip/floor');
  await expect(page.getByText('Planer has no duct.')).toHaveCount(0);
  await page.goto('/shop/heron-slip/air');
  await expect(page.getByText('with a small collector of its own: Planer.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^Planer/ })).toHaveCount(0);
  await expect(page.getByRole('row', { name: /^Drum sander/ }).first()).toBeVisible();
});

test('what a finding says to do stands in Improve, is put into the design, and outlives a reload', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openDemo(page);
  await page.getByRole('button', { name: /^Filter/ }).click();
  await page.getByLabel('Exhaust').selectOption({ label: 'outdoors through a duct' });
  await expect(page.getByText(/Provide makeup air\. A tight building/)).toBeVisible();
  await saved(page);
  await page.goto('/shop/heron-slip/improve');
  // What is not safe comes first.
  const first = next(page).getByRole('listitem').first();
  await expect(first).toContainText('that lets air back into the building', { timeout: 45_000 });
  await expect(first).toContainText('keeps the shop from being drawn down');
  await expect(first).toContainText('carbon monoxide alarm');
  await first.getByRole('button', { name: /^Put it into the design/ }).click();
  await expect(first).not.toContainText('that lets air back into the building');
  await saved(page);
  await page.goto('/shop/heron-slip/air');
  await page.reload();
  const field = page.getByLabel('Makeup air opening');
  await expect(field).toBeVisible();
  const area = await field.inputValue();
  expect(Number(area)).toBeGreaterThan(1);
  await expect(page.getByText('The exhaust air leaves the building.')).toBeVisible();
  await expect(page.getByText(/Provide makeup air\. A tight building/)).toHaveCount(0);

  // No opening at all is none to type; what it was stays. A small one draws the building down.
  await field.fill('0');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await field.fill('0.1');
  await expect(
    page.getByText('The shop is at lower pressure than the place its air goes to.'),
  ).toBeVisible();
  await field.fill('');
  await expect(page.getByText(/Provide makeup air\. A tight building/)).toBeVisible();
});
