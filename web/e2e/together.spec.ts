import type { Page } from '@playwright/test';
import { expect, feetOf, openDemo, saved, test } from './bench';

async function openFloor(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/floor');
  await expect(page.getByRole('heading', { name: 'Room and machines' })).toBeVisible();
}

const plan = (page: Page) => page.getByRole('group', { name: 'Plan of the shop' });
const thing = (page: Page, name: string) =>
  plan(page).getByRole('button', { name: new RegExp(`^${name};`) });
const panel = (page: Page) => page.getByRole('region', { name: 'Selected together' });
const ductList = (page: Page) =>
  page.getByRole('region', { name: 'Ducts' }).getByRole('button', { name: /, / }).allTextContents();

async function middleOf(page: Page, name: string) {
  const box = await thing(page, name).boundingBox();
  if (!box) throw new Error(`no ${name}`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

const about = (feet: number) => Math.round(feet * 100) / 100;

/** Where a machine stands, by its fields, ft. */
async function placeOf(page: Page, name: string): Promise<number[]> {
  const line = page.getByRole('button', { name: new RegExp(`^${name} \\d`), expanded: false });
  if (await line.isVisible()) await line.click();
  const read = async (side: string) =>
    about(feetOf(await page.getByLabel(`From the ${side}, ${name}`).inputValue()));
  return [await read('left'), await read('front')];
}

test('two taken with Shift move together by typed figures, by keys and by mouse; undone in one step', async ({
  page,
}) => {
  await openFloor(page);
  const [x = 0, y = 0] = await placeOf(page, 'Band saw');
  const [x2 = 0, y2 = 0] = await placeOf(page, 'Drum sander');
  await thing(page, 'Band saw').click();
  await thing(page, 'Drum sander').click({ modifiers: ['Shift'] });
  await expect(panel(page)).toContainText('2 machines.');
  await page.getByLabel('Move right by').fill('2 ft');
  await page.getByLabel('Move back by').fill('-1 ft');
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  expect(await placeOf(page, 'Band saw')).toEqual([about(x + 2), about(y - 1)]);
  expect(await placeOf(page, 'Drum sander')).toEqual([about(x2 + 2), about(y2 - 1)]);
  await thing(page, 'Band saw').focus();
  await page.keyboard.press('ArrowLeft');
  expect(await placeOf(page, 'Drum sander')).toEqual([about(x2 + 1.75), about(y2 - 1)]);
  await page.locator('body').press('Control+z');
  await expect.poll(() => placeOf(page, 'Band saw')).toEqual([x, y]);
  expect(await placeOf(page, 'Drum sander')).toEqual([x2, y2]);

  const from = await middleOf(page, 'Band saw');
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 30, { steps: 6 });
  await page.mouse.up();
  await expect(panel(page)).toContainText('2 machines.');
  const [after] = await placeOf(page, 'Drum sander');
  expect(after).toBeGreaterThan(x2 + 1);
  await page.keyboard.press('Escape');
  await expect(panel(page)).toHaveCount(0);
});

test('all of it moved as one is the same ductwork; back again, nothing has changed', async ({
  page,
}) => {
  await openFloor(page);
  const before = await ductList(page);
  const strip = page.getByRole('contentinfo');
  const air = await strip.textContent();
  await thing(page, 'Planer').focus();
  await page.keyboard.press('Control+a');
  await expect(panel(page)).toContainText('5 machines, 8 ducts and the collector.');
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowRight']) await page.keyboard.press(key);
  expect(await ductList(page)).toEqual(before);
  await expect(strip).toHaveText(air ?? '');
  for (const key of ['ArrowUp', 'ArrowUp', 'ArrowLeft']) await page.keyboard.press(key);
  expect(await ductList(page)).toEqual(before);
});

test('a machine takes its riser along and its wye slides; with Alt its hose stretches', async ({
  page,
}) => {
  await openFloor(page);
  const lengthOf = async (run: string) =>
    (await ductList(page)).find((text) => text.startsWith(run)) ?? '';
  const before = await lengthOf('Band saw drop');
  const main = await lengthOf('Main at the cyclone');
  await thing(page, 'Band saw').focus();
  await page.keyboard.press('Shift+ArrowRight');
  // Along the main: the drop is as it was, what is behind its wye is longer.
  expect(await lengthOf('Band saw drop')).toBe(before);
  expect(await lengthOf('Main at the cyclone')).toBe(main);
  await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('Alt+Shift+ArrowRight');
  await page.getByRole('button', { name: /^Band saw drop/, expanded: false }).click();
  const figures = page.getByRole('region', { name: 'Figures of Band saw drop' });
  await expect(figures).toBeVisible();
  expect(await lengthOf('Band saw drop')).toBe(before);
  await expect(page.getByText('The hose of Band saw drop is too long.')).toHaveCount(0);
  await thing(page, 'Band saw').focus();
  await page.keyboard.press('Alt+Shift+ArrowDown');
  await page.keyboard.press('Alt+Shift+ArrowDown');
  await expect(page.getByText('The hose of Band saw drop is too long.')).toBeVisible();
});

test('what a frame holds is copied, sized and taken out at once, and comes back', async ({
  page,
}) => {
  await openFloor(page);
  const planer = await thing(page, 'Planer').boundingBox();
  const sander = await thing(page, 'Drum sander').boundingBox();
  if (!planer || !sander) throw new Error('nothing stands');
  await page.keyboard.down('Shift');
  await page.mouse.move(planer.x - 12, planer.y - 12);
  await page.mouse.down();
  await page.mouse.move(sander.x + sander.width + 12, sander.y + sander.height + 16, { steps: 4 });
  await page.mouse.up();
  await page.keyboard.up('Shift');
  await expect(panel(page)).toContainText('2 machines.');
  await page.getByRole('button', { name: 'Copy with their ducts' }).click();
  await expect(thing(page, 'Planer 2')).toBeVisible();
  await expect(thing(page, 'Drum sander 2')).toBeVisible();
  await expect(panel(page)).toContainText('2 machines.');
  await expect
    .poll(async () => (await ductList(page)).filter((text) => text.includes('2 drop')).length)
    .toBe(2);
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(thing(page, 'Planer 2')).toHaveCount(0);
  await expect(page.getByText('Removed 2 things')).toBeVisible();
  await page.locator('body').press('Control+z');
  await expect(thing(page, 'Planer 2')).toBeVisible();
  await page.locator('body').press('Control+z');
  await expect(thing(page, 'Planer 2')).toHaveCount(0);

  // By touch, or with one hand: the tool that takes.
  await page.getByRole('button', { name: 'Select several' }).click();
  for (const run of ['Planer drop', 'Drum sander drop']) {
    await thing(page, run).focus();
    await page.keyboard.press('Shift+Enter');
  }
  await expect(panel(page)).toContainText('2 ducts.');
  await page.getByLabel('Inside diameter, all').fill('4.5 in');
  const sized = (await ductList(page)).filter((text) => text.includes('4½ in.'));
  expect(sized.length).toBe(2);
  await page.getByRole('button', { name: 'Done selecting' }).click();
  await expect(panel(page)).toHaveCount(0);

  // While a duct is drawn Backspace means its last point, whatever has the focus; else what has it.
  await page.getByRole('button', { name: 'Draw a duct' }).first().click();
  await thing(page, 'Planer drop').focus();
  await page.keyboard.press('Backspace');
  await expect(thing(page, 'Planer drop')).toBeVisible();
  await page.getByRole('button', { name: 'Stop drawing' }).first().click();
  await thing(page, 'Planer drop').focus();
  await page.keyboard.press('Delete');
  await expect(thing(page, 'Planer drop')).toHaveCount(0);
  await page.locator('body').press('Control+z');
  await expect(thing(page, 'Planer drop')).toBeVisible();
  await saved(page);
});
