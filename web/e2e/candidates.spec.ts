import type { Page } from '@playwright/test';
import { expect, flowOf, openDemo, saved, test } from './bench';

/** What a machine gets in a column of the table, the present collector's being the first. */
async function gets(page: Page, machine: string, column: number): Promise<number> {
  const row = page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: machine }) });
  const text = await row.getByRole('cell').nth(column).locator('strong').textContent();
  return Number((text ?? '').replace(/,/g, ''));
}

async function openCollector(page: Page): Promise<void> {
  await openDemo(page);
  await page.getByRole('link', { name: /Collector/ }).click();
  await expect(page.getByRole('heading', { name: 'Compare collectors' })).toBeVisible();
}

/** The demo's collector alone, its candidates let go. */
async function openAlone(page: Page): Promise<void> {
  await openCollector(page);
  for (const name of ['3 hp', 'One stage', 'Out of the wall']) {
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await page.getByRole('button', { name: 'Remove candidate' }).click();
    await expect(page.getByRole('columnheader', { name })).toHaveCount(0);
  }
}

test('the demo compares four on one screen: worst drop, machines, currents, money', async ({
  page,
}) => {
  await openCollector(page);
  for (const name of ['In the shop', '3 hp', 'One stage', 'Out of the wall']) {
    await expect(page.getByRole('columnheader', { name })).toBeInViewport();
  }
  await expect(page.getByRole('row', { name: /^worst drop/ })).toBeInViewport();
  await expect(page.getByRole('row', { name: /^current, of its breaker/ })).toBeInViewport();
});

test('a cyclone held against one stage: what it costs in air, before any money is spent', async ({
  page,
}) => {
  await openAlone(page);
  await page.getByRole('button', { name: 'Add a candidate' }).click();
  await page.getByLabel('Candidate name').fill('One stage');
  await page.getByLabel('Separator, kind').selectOption({ label: 'None, one stage' });
  await expect(page.getByRole('columnheader', { name: 'One stage' })).toBeVisible();
  const two = await gets(page, 'Planer', 0);
  const one = await gets(page, 'Planer', 1);
  // A cyclone of three velocity heads on a 6-in. inlet, at about 550 CFM.
  expect(one / two).toBeGreaterThan(1.06);
  expect(one / two).toBeLessThan(1.09);
  const row = page.getByRole('row', { name: /^Planer/ });
  // Each is rounded by itself, and so is their difference.
  const gain = Number(/\+(\d+)/.exec((await row.textContent()) ?? '')?.[1]);
  expect(Math.abs(gain - (one - two))).toBeLessThanOrEqual(1);
  await expect(page.getByRole('row', { name: /separation efficiency/ })).toContainText('0 %');
});

test('a bigger blower: its gain, its current, and what each CFM costs', async ({ page }) => {
  await openAlone(page);
  await page.getByRole('button', { name: 'Add a candidate' }).click();
  await page.getByLabel('Candidate name').fill('Five');
  await page.getByLabel('From the library, a blower').selectOption({ label: '5 hp (estimate)' });
  await page.getByLabel('Breaker rating').fill('15');
  await expect(page.getByText('▼ small circuit')).toBeVisible();
  await page.getByLabel('Cost to change to Five').fill('1500');
  await expect(page.getByRole('row', { name: /cost per CFM/ })).toContainText(/\$ \d+\.\d\d/);
  await page.getByLabel('Cost to change to Five').fill('much');
  await expect(page.getByRole('alert').filter({ hasText: "'much' is not a number" })).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Cost to change to Five')).toHaveValue('1500');
});

test('put in the shop and undone: every number follows, and nothing is lost', async ({ page }) => {
  await openAlone(page);
  const before = await gets(page, 'Planer', 0);
  await page.getByRole('button', { name: 'Add a candidate' }).click();
  await page.getByLabel('From the library, a blower').selectOption({ label: '3 hp (estimate)' });
  const better = await gets(page, 'Planer', 1);
  await page.getByRole('button', { name: 'Use in the shop' }).click();
  await expect.poll(() => gets(page, 'Planer', 0)).toBe(better);
  expect(await gets(page, 'Planer', 1)).toBe(before);
  await expect(page.getByRole('columnheader', { name: 'Previous collector' })).toBeVisible();
  await page.getByRole('link', { name: /Air/ }).click();
  expect(await flowOf(page, 'Planer')).toBe(better);
  await page.locator('body').press('Control+z');
  await expect.poll(() => flowOf(page, 'Planer')).toBe(before);
});

test('four at once and no more; one let go can be brought back', async ({ page }) => {
  await openAlone(page);
  for (let i = 0; i < 3; i++) {
    await page.getByRole('button', { name: 'Add a candidate' }).click();
  }
  await expect(page.getByText('Up to four collectors can be compared.')).toBeVisible();
  await expect(page.getByRole('columnheader')).toHaveCount(5);
  await page.getByRole('button', { name: 'Remove candidate' }).click();
  await expect(page.getByRole('columnheader')).toHaveCount(4);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByRole('columnheader')).toHaveCount(5);
});

test('a cyclone put into a one-stage shop: what it costs in air is read before it is bought', async ({
  page,
}) => {
  await openAlone(page);
  await page.getByRole('button', { name: /^In the shop/ }).click();
  await page.getByLabel('Separator, kind').selectOption({ label: 'None, one stage' });
  await page.getByRole('button', { name: 'Add a candidate' }).click();
  await page.getByLabel('Separator, kind').selectOption({ label: 'Cyclone' });
  const without = await gets(page, 'Planer', 0);
  const cost = without - (await gets(page, 'Planer', 1));
  expect(cost / without).toBeGreaterThan(0.04);
  expect(cost / without).toBeLessThan(0.055);
  await expect(page.getByRole('row', { name: /^Planer/ })).toContainText(`−${cost}`);
  await expect(page.getByRole('row', { name: /separation efficiency/ })).toContainText('97 %');
});

test('a true 2 hp motor on a 15 A circuit is flagged, at its fields and in the table', async ({
  page,
}) => {
  await openAlone(page);
  await page.getByRole('button', { name: /^In the shop/ }).click();
  await page.getByLabel('Motor, voltage').fill('120');
  await page.getByLabel('Breaker rating').fill('15');
  await expect(page.getByText('▼ small circuit')).toBeVisible();
  // 24 A at 110–120 V by the code's table; conductors carry 125 % of it, its breaker up to 250 %.
  await expect(
    page.getByText(/Its conductors should carry 30 A \(125 % of full load\)/),
  ).toBeVisible();
  await expect(page.getByText(/the breaker may be rated up to 60 A/)).toBeVisible();
  await expect(page.getByText(/the plug is for another voltage/)).toBeVisible();
  await page.getByLabel('Plug, or wired in').selectOption({ label: '15 A, 120 V' });
  await expect(page.getByText(/the plug carries 12 A for hours/)).toBeVisible();
  await page.getByLabel('Motor, voltage').fill('230');
  await page.getByLabel('Breaker rating').fill('20');
  await page.getByLabel('Plug, or wired in').selectOption({ label: '20 A, 240 V' });
  await expect(page.getByText('The circuit does.')).toBeVisible();
});

test('how each stands: height, floor, noise, and what is short', async ({ page }) => {
  await openCollector(page);
  await expect(page.getByRole('row', { name: /^fits/ })).toContainText('1½ in. short');
  await expect(page.getByRole('row', { name: /^height/ })).toContainText('115½ in.');
  await expect(page.getByRole('row', { name: /^noise/ })).toContainText(/about 8\d dB\(A\)/);
});

test('a filter’s area from its pleats, and an enclosure with what it costs', async ({ page }) => {
  await openAlone(page);
  await page.getByRole('button', { name: /^In the shop/ }).click();
  await page.getByRole('button', { name: 'Work out the area from pleats or a bag' }).click();
  await page.getByLabel('Number of pleats').fill('180');
  await page.getByLabel('Pleat depth').fill('2 in');
  await page.getByLabel('Media height').fill('36 in');
  // 2 × 2 in. × 36 in. × 180 = 180 ft².
  await page.getByRole('button', { name: 'Use 180 ft²' }).click();
  await expect(page.getByLabel('Media area')).toHaveValue('180');
  await page
    .getByLabel('Exhaust')
    .selectOption({ label: 'into an enclosure with a return filter' });
  await page.getByRole('button', { name: 'Describe the enclosure' }).click();
  await expect(page.getByText(/roughly \d+ dB quieter/)).toBeVisible();
  await page.getByLabel('Return filter area').fill('1');
  await expect(page.getByText(/it needs \d/)).toBeVisible();
});
