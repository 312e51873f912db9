import { expect, flowOf, openDemo, saved, test } from './bench';

test('a flap damper and a fitting of one’s own are put in a run, cost air, and are taken out', async ({
  page,
}) => {
  await openDemo(page);
  const before = await flowOf(page, 'Planer');
  await page
    .getByRole('button', { name: /^Far end/ })
    .first()
    .click();
  await page.getByRole('button', { name: '+ flap damper' }).click();
  const flap = page.getByRole('region', { name: 'Flap damper' });
  await expect.poll(() => flowOf(page, 'Planer')).toBeLessThan(before);
  const light = await flowOf(page, 'Planer');

  // Hung further into the stream it costs more; beyond its table a finding says what was taken.
  await flap.getByLabel('Flap angle, °').fill('35');
  await expect.poll(() => flowOf(page, 'Planer')).toBeLessThan(light);
  await flap.getByLabel('Flap angle, °').fill('75');
  await expect(page.getByText(/angle the flap hangs at/i).first()).toBeVisible();
  await flap.getByLabel('Flap angle, °').fill('-5');
  await expect(page.getByRole('alert').filter({ hasText: /too little/ })).toBeVisible();
  await flap.getByLabel('Flap angle, °').fill('10');

  await page.getByRole('button', { name: '+ other fitting' }).click();
  const other = page.getByRole('region', { name: 'Fitting', exact: true });
  await other.getByLabel('Fitting name').fill('Spark arrestor');
  await other.getByLabel('Loss coefficient (C)').fill('4');
  await expect.poll(() => flowOf(page, 'Planer')).toBeLessThan(light);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Fitting name')).toHaveValue('Spark arrestor');

  await page.getByRole('button', { name: 'Remove the fitting' }).click();
  await page.getByRole('button', { name: 'Remove the flap damper' }).click();
  await expect.poll(() => flowOf(page, 'Planer')).toBe(before);
  await page.getByTitle('Undo, Ctrl+Z').click();
  await expect(flap).toBeVisible();
});

test('two drops meet in a symmetric Y: both are legs of it, it costs air, and the drawing gives it up again', async ({
  page,
}) => {
  await openDemo(page);
  const [planer, sander] = [await flowOf(page, 'Planer'), await flowOf(page, 'Drum sander')];
  await page.getByRole('button', { name: 'Drum sander drop', exact: true }).click();
  const joins = page.getByLabel('Joins by');
  await joins.selectOption({ label: 'symmetric Y, 30° each side' });
  await expect.poll(() => flowOf(page, 'Planer')).not.toBe(planer);
  const gentle = await flowOf(page, 'Drum sander');
  await joins.selectOption({ label: 'tee entered from both ends' });
  await expect.poll(() => flowOf(page, 'Drum sander')).toBeLessThan(gentle);

  // The other leg is one too, though it is drawn straight through; a wye's branch gives that back.
  await page.getByRole('button', { name: 'Planer drop', exact: true }).click();
  await expect(joins).toHaveValue('tee entered from both ends');
  await saved(page);
  await page.reload();
  await expect(joins).toHaveValue('tee entered from both ends');
  await page.getByRole('button', { name: 'Drum sander drop', exact: true }).click();
  await page.getByRole('button', { name: 'Use the drawing' }).click();
  await expect.poll(() => flowOf(page, 'Planer')).toBe(planer);
  await expect.poll(() => flowOf(page, 'Drum sander')).toBe(sander);
  await expect(joins).toHaveValue('45° wye branch');
});

test('where more than two ducts meet, no Y is offered', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Table saw drop', exact: true }).click();
  const options = page.getByLabel('Joins by').getByRole('option');
  await expect(options).toHaveText(['straight', /15°/, /30°/, /45°/, /60°/, '90° tee']);
});
