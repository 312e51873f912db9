import { expect, flowOf, openDemo, saved, test } from './bench';

test('one stage instead of two: what the cyclone costs in air', async ({ page }) => {
  await openDemo(page);
  const before = await flowOf(page, 'Planer');
  await page.getByRole('button', { name: /^Separator/ }).click();
  await page.getByLabel('Separator, kind').selectOption({ label: 'None, one stage' });
  const without = await flowOf(page, 'Planer');
  expect(without / before).toBeGreaterThan(1.035);
  expect(without / before).toBeLessThan(1.05);
  await page.getByLabel('Separator, kind').selectOption({ label: 'Slotted baffle in a drum' });
  expect(await flowOf(page, 'Planer')).toBeLessThan(before);
  await expect(page.getByText('usual 7–12; until measured, an estimate')).toBeVisible();
});

test('a filter of no area is refused; outdoors comes with its caution', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Filter/ }).click();
  const before = await flowOf(page, 'Planer');
  await page.getByLabel('Media area').fill('0');
  await expect(page.getByText('it has to be more than 0 ft²')).toBeVisible();
  expect(await flowOf(page, 'Planer')).toBe(before);
  await page.getByLabel('Media area').fill('20 m2');
  await page.getByLabel('Filter loading, as found, times clean').fill('10');
  expect(await flowOf(page, 'Planer')).toBeLessThan(before);
  await page.getByLabel('Exhaust').selectOption({ label: 'outdoors through a duct' });
  await expect(page.getByText('carbon monoxide').first()).toBeVisible();
});

test('sizes are chosen by what they are sold as and kept by their true inside', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Floor sweep drop', exact: true }).click();
  await page.getByLabel('Pipe, kind').selectOption({ label: 'Drain plastic, thin' });
  await page.getByLabel('Nominal size').selectOption({ label: '4 in., 4.065 in. true inside' });
  await expect(page.getByLabel('Inside diameter of Floor sweep drop')).toHaveValue('4.065');
  await page.getByLabel('Inside diameter of Floor sweep drop').fill('103 mm');
  await expect(page.getByLabel('Nominal size')).toHaveValue('own');
});

test('a tee takes more than a wye; tighter joints and fewer elbows give it back', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Drum sander drop', exact: true }).click();
  const wye = await flowOf(page, 'Drum sander');
  await page.getByLabel('Joins by').selectOption({ label: '90° tee' });
  const tee = await flowOf(page, 'Drum sander');
  expect(tee).toBeLessThan(wye);
  await expect(page.getByText('The typed values are used instead of the drawing.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove the elbow' }).first().click();
  const straight = await flowOf(page, 'Drum sander');
  expect(straight).toBeGreaterThan(tee);
  await page.getByLabel('Seams, as found').selectOption({ label: 'unsealed, class 30 (estimate)' });
  expect(await flowOf(page, 'Drum sander')).toBeLessThanOrEqual(straight);
  await page.getByRole('button', { name: '+ elbow' }).click();
  await page.getByLabel('Number of elbows').last().fill('1.5');
  await expect(page.getByText('Write a whole number.')).toBeVisible();
  await page.getByRole('button', { name: 'Use the drawing' }).click();
  await expect(page.getByText('come from the drawing on the Floor')).toBeVisible();
  await expect(page.getByLabel('Joins by')).toHaveValue('45° wye branch');
});

test('a need may be a velocity, and a drop then falls short of it', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Table saw drop', exact: true }).click();
  await page.getByLabel('Required airflow, stated as').selectOption({ label: 'as a velocity' });
  await page.getByLabel('Required airflow, velocity at the port').fill('40 m/s');
  await expect(page.getByText('Table saw is', { exact: false }).first()).toContainText('CFM short');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Required airflow, velocity at the port')).toHaveValue('7874');
});

test('a circuit too small for its motor is said plainly, and deferred to an electrician', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Blower/ }).click();
  await page.getByLabel('Motor, voltage').fill('120');
  await page.getByLabel('Breaker rating').fill('15 A');
  await expect(page.getByText('The 15 A circuit is small for this motor.')).toBeVisible();
  await expect(page.getByText('licensed electrician')).toBeVisible();
});

test('a reading that makes no sense is refused in its place, and nothing is logged', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: /Log/ }).click();
  const first = page.getByLabel('Repeat 1', { exact: true });
  for (const [typed, sentence] of [
    ['40k', /'40k' is not a number/],
    ['400 cfm', /is a flow; this field takes a velocity/],
    ['-20', /not below zero/],
    ['90000', /No meter reads that high/],
  ] as const) {
    await first.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(page.getByText('nothing was logged')).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Planer' })).toHaveCount(6);
});
