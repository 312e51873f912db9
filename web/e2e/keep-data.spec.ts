import { readFileSync } from 'node:fs';
import { dropRow, expect, flowOf, openDemo, saved, test } from './bench';

test('log a reading, three times over, one of them over range', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: /Log/ }).click();
  await expect(page.getByRole('heading', { name: 'New reading' })).toBeVisible();
  const rows = page
    .getByRole('row')
    .filter({ has: page.getByRole('button', { name: /open the reading$/ }) });
  await expect(rows).toHaveCount(34);
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(page.getByText('Type at least one value')).toBeVisible();

  await page.getByLabel('Test point', { exact: true }).selectOption({ label: 'Planer' });
  await page.getByLabel('Repeat 1', { exact: true }).fill('4,100');
  await page.getByLabel('Repeat 2', { exact: true }).fill('20.9 m/s');
  await page.getByLabel('Repeat 3', { exact: true }).fill('46.5 mph');
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(rows).toHaveCount(35);
  await expect(rows.first()).toContainText('Planer');
  await expect(rows.first()).toContainText('no significant difference');

  await page.getByLabel('Test point', { exact: true }).selectOption({ label: 'Planer' });
  await page.getByLabel('Repeat 1', { exact: true }).fill('30 m/s');
  await page.getByRole('button', { name: 'Repeat 1, over range' }).click();
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(rows.first()).toContainText('≥');
  await saved(page);
  await page.reload();
  await expect(rows).toHaveCount(36);
});

test('the log names what the shortfalls share', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: /Log/ }).click();
  await expect(page.getByText('The readings point to Far end.')).toBeVisible();
  // Without the readings that fall short there is nothing to speak of.
  for (const name of ['Drum sander', 'Planer']) {
    await page
      .getByRole('button', { name: new RegExp(`^${name}, .*open the reading`) })
      .first()
      .click();
    const reading = page.getByRole('dialog', { name: `Reading at ${name}` });
    await reading.getByRole('button', { name: 'Strike out' }).click();
    await expect(reading.getByRole('alert')).toContainText('Enter the reason');
    await reading.getByLabel('Reason to strike it out').fill('gate half shut');
    await reading.getByRole('button', { name: 'Strike out' }).click();
    await expect(reading.getByText(/^Struck out on .*gate half shut/)).toBeVisible();
    await page.keyboard.press('Escape');
  }
  await expect(page.getByText('No significant difference.')).toBeVisible();
});

test('export, delete, import, and find all of it', async ({ page }) => {
  await openDemo(page);
  await page.getByLabel('Length of Far end').fill('33');
  await saved(page);
  const flow = await flowOf(page, 'Planer');
  await page.goto('/');
  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export as a file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('heron-slip.frank-gauge.json');
  const path = test.info().outputPath('shop.json');
  await file.saveAs(path);

  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toHaveCount(0);

  await page.getByLabel('Shop file').setInputFiles(path);
  await page.getByRole('link', { name: /Heron Slip/ }).click();
  await expect(page.getByLabel('Length of Far end')).toHaveValue(/^33′?$/);
  expect(await flowOf(page, 'Planer')).toBe(flow);

  // Exported again, only its own id may differ.
  await page.goto('/');
  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  const again = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export as a file' }).click();
  const second = test.info().outputPath('again.json');
  await (await again).saveAs(second);
  const { id: _, ...before } = JSON.parse(readFileSync(path, 'utf8'));
  const { id: __, ...after } = JSON.parse(readFileSync(second, 'utf8'));
  expect(after).toEqual(before);
});

test('reload brings back exactly what was there, and undo still works', async ({ page }) => {
  await openDemo(page);
  await page.getByLabel('Hose of Planer drop').fill('3\' 6"');
  await page.getByRole('radio', { name: 'Total' }).click();
  await dropRow(page, 'Drum sander').getByRole('button').click();
  await saved(page);
  const flow = await flowOf(page, 'Planer');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Drum sander, from hood to room' })).toBeVisible();
  await expect(page.getByLabel('Hose of Planer drop')).toHaveValue(/^3(\.5|′ 6″)$/);
  await expect(page.getByRole('radio', { name: 'Total' })).toBeChecked();
  expect(await flowOf(page, 'Planer')).toBe(flow);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Hose of Planer drop')).toHaveValue(/^7′?$/);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByLabel('Hose of Planer drop')).toHaveValue(/^3(\.5|′ 6″)$/);
});

test('what was typed in the moment before the page is left is there when it comes back', async ({
  page,
}) => {
  await openDemo(page);
  await saved(page);
  const field = page.getByLabel('Shop name');
  for (const [i, leave] of [
    () => page.reload(),
    async () => {
      await page.goto('/sources');
      await page.goBack();
    },
  ].entries()) {
    await field.fill(`Left at once ${i}`);
    await leave();
    await expect(field).toHaveValue(`Left at once ${i}`);
    await saved(page);
  }
});

test('two tabs stay in step', async ({ page, context }) => {
  await openDemo(page);
  const other = await context.newPage();
  await other.goto('/shop/heron-slip/air');
  await expect(other.getByRole('heading', { name: 'Every drop' })).toBeVisible();
  await page.getByLabel('Length of Far end').fill('25');
  await expect(other.getByLabel('Length of Far end')).toHaveValue(/^25′?$/);
  await other.getByLabel('Length of Back main').fill('30');
  await expect(page.getByLabel('Length of Back main')).toHaveValue(/^30′?$/);
  await expect(page.getByLabel('Length of Far end')).toHaveValue(/^25′?$/);
  expect(await flowOf(page, 'Planer')).toBe(await flowOf(other, 'Planer'));
  await other.close();
});

test('a field keeps its own text while it is typed in, whatever another tab does to it', async ({
  page,
  context,
}) => {
  await openDemo(page);
  const other = await context.newPage();
  await openDemo(other);
  const name = page.getByLabel('Shop name');
  await name.fill('Mine, ');
  await saved(page);
  await other.getByLabel('Shop name').fill('Theirs');
  await other.getByRole('heading', { name: 'Every drop' }).click();
  await saved(other);
  await expect(name).toHaveValue('Mine, ');
  await name.pressSequentially('still');
  await expect(name).toHaveValue('Mine, still');
  await saved(page);
  await expect(other.getByLabel('Shop name')).toHaveValue('Mine, still');
  // An undo shows what it brings back, though the field is still being typed in.
  await name.press('Control+z');
  await expect(name).not.toHaveValue('Mine, still');
});

test('rename and duplicate', async ({ page }) => {
  await openDemo(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'What to do with Heron Slip' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByRole('link', { name: /Heron Slip, copy/ })).toBeVisible();
  await page.getByRole('button', { name: 'What to do with Heron Slip, copy' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  await page.getByLabel('Shop name').fill('Upper slip');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: /Upper slip/ })).toBeVisible();
});
