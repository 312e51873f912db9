import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

async function openElevation(page: Page, collector = 'In the shop'): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/collector/elevation');
  await page.getByLabel('Which collector').selectOption({ label: collector });
  await expect(page.getByRole('group', { name: 'The collector from the front' })).toBeVisible();
}

/** A part of the drawing, to be pressed, dragged or moved by keys. */
const part = (page: Page, name: string) =>
  page
    .getByRole('group', { name: 'The collector from the front' })
    .getByRole('button', { name, exact: true });

const ledger = (page: Page) => page.getByRole('region', { name: 'Fit and handling' });

test('a stack that goes through the ceiling fits with a shorter bin', async ({ page }) => {
  await openElevation(page, '3 hp');
  await expect(ledger(page)).toContainText('The motor is 1½ in. too tall for the ceiling.');
  await part(page, 'Bin').click();
  const field = page.getByLabel('Height, bin');
  await expect(field).toHaveValue('38');
  await expect(
    page.getByText('▼ The motor is 1½ in. too tall for the ceiling.').first(),
  ).toBeVisible();
  await field.fill('29 in');
  await expect(ledger(page)).toContainText('7½ in. free');
  await expect(ledger(page)).not.toContainText('too tall for the ceiling');
  await saved(page);
  await page.getByRole('link', { name: 'Compare' }).click();
  await expect(page.getByRole('row', { name: /^fits/ })).toContainText('yes, 2 cautions');
  await expect(page.getByRole('row', { name: /^fits/ })).not.toContainText('short');
  await page.locator('body').press('Control+z');
  await expect(page.getByRole('row', { name: /^fits/ })).toContainText('1½ in. short');
});

/** How a part is called that can be moved. */
const BLOWER = 'Blower; arrow keys move it up and down';

test('what hangs is moved in the drawing by mouse and by keys, and undone in one step', async ({
  page,
}) => {
  await openElevation(page);
  const shaft = page.locator('svg text').filter({ hasText: /^shaft at/ });
  await expect(shaft).toHaveText('shaft at 88 in.');
  await part(page, BLOWER).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(shaft).toHaveText('shaft at 87½ in.');
  const box = await part(page, BLOWER).boundingBox();
  if (!box) throw new Error('no blower');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 120, { steps: 6 });
  await page.mouse.up();
  await expect(ledger(page)).toContainText('too tall for the ceiling');
  await page.locator('body').press('Control+z');
  await expect(shaft).not.toHaveText('shaft at 100 in.');
  await page.getByRole('button', { name: /^Carried by/ }).click();
  await page.getByLabel('Shaft height').fill('84');
  await expect(shaft).toHaveText('shaft at 84 in.');
  await expect(ledger(page)).toContainText('Everything described so far fits');
});

test('the chain is reordered where physics allows, by drag and by keys; else a sentence says why', async ({
  page,
}) => {
  await openElevation(page);
  const chain = page.getByRole('list', { name: 'Parts in the order the air meets them' });
  const order = () => chain.getByRole('button').allTextContents();
  expect(await order()).toEqual(['bin, cyclone', 'blower', 'filter']);
  const blower = await chain.getByRole('button', { name: 'blower' }).boundingBox();
  const bin = await chain.getByRole('button', { name: 'bin, cyclone' }).boundingBox();
  if (!blower || !bin) throw new Error('no chain');
  await page.mouse.move(blower.x + 20, blower.y + 10);
  await page.mouse.down();
  await page.mouse.move(bin.x + 15, bin.y + 12, { steps: 10 });
  await page.mouse.up();
  await expect.poll(order).toEqual(['blower', 'bin, cyclone', 'filter']);
  await expect(ledger(page)).toContainText('All chips pass through the impeller.');
  await page.getByLabel('Order of parts').selectOption({ label: 'separator, filter, blower' });
  await expect.poll(order).toEqual(['bin, cyclone', 'filter', 'blower']);
  await expect(ledger(page)).not.toContainText('All chips pass through the impeller.');
  // A filter ahead of its separator is refused, by keys.
  await chain.getByRole('button', { name: 'filter' }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(200);
  await page.keyboard.press('ArrowLeft');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect(
    page.getByText(/A filter ahead of the separator would catch all the chips/),
  ).toBeVisible();
  expect(await order()).toEqual(['bin, cyclone', 'filter', 'blower']);
});

test('the order shows in the air: the ladder has the separator behind a blower that pushes', async ({
  page,
}) => {
  await openElevation(page);
  await page.getByLabel('Order of parts').selectOption({ label: 'blower, separator, filter' });
  await page.getByRole('link', { name: /Air/ }).click();
  await expect(page.getByRole('img', { name: /Pressure ladder/ })).toBeVisible();
  const labels = await page
    .getByRole('img', { name: /Pressure ladder/ })
    .locator('text')
    .allTextContents();
  expect(labels.indexOf('Blower')).toBeLessThan(labels.indexOf('Separator'));
});

test('every way to carry a blower is drawn and said; nothing breaks', async ({ page }) => {
  await openElevation(page);
  await page.getByRole('button', { name: /^Carried by/ }).click();
  const mount = page.getByLabel('Blower mount');
  for (const label of [
    'stands on the separator',
    'on the floor or a cart',
    'in the attic, over the ceiling',
    'in the next room',
    'hangs on the wall',
  ]) {
    await mount.selectOption({ label });
    await expect(page.getByRole('button', { name: /^Blower(;|$)/ })).toBeVisible();
    await expect(ledger(page)).toContainText('height');
  }
  await page.getByLabel('Screws, number').fill('1');
  await page.getByLabel('Thread in the stud').fill('1/4 in');
  await expect(page.getByText('The upper screws can pull out.').first()).toBeVisible();
  await page.getByLabel('Cleat length').fill('12');
  await expect(
    page.getByText('The cleat is 5½ in. too short to meet two studs.').first(),
  ).toBeVisible();
});

test('sizes that cannot be are named at their fields, and the drawing keeps working', async ({
  page,
}) => {
  await openElevation(page);
  await page.getByRole('button', { name: /^Blower/, expanded: false }).click();
  await page.getByLabel('Housing width, blower').fill('10');
  await expect(
    page.getByText('▼ The impeller is 2½ in. larger than its housing.').first(),
  ).toBeVisible();
  await page.getByLabel('Housing width, blower').fill('130');
  await expect(page.getByText('▼ The blower alone is taller than the room.').first()).toBeVisible();
  await page.getByLabel('Housing width, blower').fill('wide');
  await expect(page.getByRole('alert').filter({ hasText: "'wide' is not a number" })).toBeVisible();
  await page.getByLabel('Housing width, blower').fill('');
  await page.getByRole('button', { name: /^Bin and lid/ }).click();
  await page.getByLabel('Height, bin').fill('40');
  await expect(page.getByText('▼ The bin is 11 in. too tall for its place.').first()).toBeVisible();
  await page.getByLabel('Height, bin').fill('29');
  await page.getByLabel('Bin lowers by').fill('0.25');
  await expect(
    page.getByText(/The bin does not clear the lid: ½ in\. short/).first(),
  ).toBeVisible();
  await expect(part(page, 'Bin')).toBeVisible();
});

test('a slotted baffle is designed for its drum, a cyclone by the speed in its inlet', async ({
  page,
}) => {
  await openElevation(page);
  await page.getByRole('button', { name: /^Separator/, expanded: false }).click();
  await page.getByRole('button', { name: /^High efficiency: .* body/ }).click();
  await expect(page.getByText(/is in the usual range\./)).toBeVisible();
  await expect(page.getByText('cut size (50 %)')).toBeVisible();
  await page.getByLabel('Separator, kind').selectOption({ label: 'Slotted baffle in a drum' });
  await expect(page.getByRole('img', { name: /Plate with its slot/ })).toBeVisible();
  await expect(page.getByText(/slot 240° of arc, 1⅛ in\. wide/)).toBeVisible();
  await page.getByLabel('Inlet inside diameter, separator').fill('10');
  await expect(page.getByText(/do not both fit on its lid/)).toBeVisible();
});

test('the drawing is saved to scale, in colours of its own', async ({ page }) => {
  await openElevation(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the drawing' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('elevation 1 to 20.svg');
  const text = readFileSync(await file.path(), 'utf8');
  expect(text).not.toContain('var(--');
  expect(text).toContain('16⅝ in. free');
  // The bin's 29 in. are 36.8 mm on paper, by the file's own scale.
  const width = Number(/width="([\d.]+)mm"/.exec(text)?.[1]);
  const pixels = Number(/viewBox="0 0 (\d+)/.exec(text)?.[1]);
  const bin = /<rect [^>]*height="([\d.]+)"[^>]*rx="3"/.exec(text)?.[1];
  expect((Number(bin) * width) / pixels).toBeCloseTo((29 * 25.4) / 20, 0);
});
