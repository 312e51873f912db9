import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, feetOf, openDemo, saved, test } from './bench';

async function openFloor(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/floor');
  await expect(page.getByRole('heading', { name: 'Room and machines' })).toBeVisible();
}

/** What stands, in the plan. */
const thing = (page: Page, name: string) =>
  page
    .getByRole('group', { name: 'Plan of the shop' })
    .getByRole('button', { name: new RegExp(`^${name};`) });

const ledger = (page: Page) => page.getByRole('region', { name: 'Floor issues' });

/** Drags what stands by so many pixels. */
async function dragBy(page: Page, name: string, dx: number, dy: number): Promise<void> {
  const box = await thing(page, name).boundingBox();
  if (!box) throw new Error(`no ${name}`);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 8 });
  await page.mouse.up();
}

test('the demo stands clear; a machine dragged into another is named, and undone in one step', async ({
  page,
}) => {
  await openFloor(page);
  await expect(ledger(page)).toContainText('Everything has its clearance');
  const saw = await thing(page, 'Table saw').boundingBox();
  const band = await thing(page, 'Band saw').boundingBox();
  if (!saw || !band) throw new Error('nothing stands');
  await dragBy(page, 'Band saw', saw.x - band.x, saw.y - band.y);
  await expect(ledger(page)).toContainText('Table saw overlaps Band saw.');
  await page.locator('body').press('Control+z');
  await expect(ledger(page)).toContainText('Everything has its clearance');
  await saved(page);
});

test('moved by mouse, by keys and by typed coordinates, a machine ends where it is put', async ({
  page,
}) => {
  await openFloor(page);
  await page.getByRole('button', { name: /^Planer \d/, expanded: false }).click();
  const x = page.getByLabel('From the left, Planer');
  await x.fill('20 ft');
  await page.getByLabel('From the front, Planer').fill('10\' 6"');
  await thing(page, 'Planer').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(x).toHaveValue('20′ 6″');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByLabel('From the front, Planer')).toHaveValue(/^13′?$/);
  await page.keyboard.press('r');
  await expect(page.getByLabel('Rotation, °, Planer')).toHaveValue('90');
  await dragBy(page, 'Planer', -60, 0);
  await expect.poll(async () => feetOf(await x.inputValue())).toBeLessThan(18.5);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Rotation, °, Planer')).toHaveValue('90');
});

test('boards meet a wall, go out by a door, or are shorter', async ({ page }) => {
  await openFloor(page);
  await page.getByRole('button', { name: /^Planer \d/, expanded: false }).click();
  await page.getByLabel('From the front, Planer').fill('5 ft');
  await expect(ledger(page)).toContainText('Boards do not clear Planer.');
  await expect(ledger(page)).toContainText(/infeed is .* short of 96 in\. because of a wall/);
  await page.getByRole('button', { name: /^Room/, expanded: false }).click();
  await page.getByRole('button', { name: 'Add a door' }).click();
  await page.getByLabel('Where door 2 begins on its wall').fill('3 ft');
  await page.getByLabel('Width of door 2').fill('5 ft');
  await expect(ledger(page)).toContainText('Everything has its clearance');
  await page.getByRole('button', { name: 'Remove door 2' }).click();
  await expect(ledger(page)).toContainText('Boards do not clear Planer.');
  await page.getByLabel('Longest board').fill('3 ft');
  await expect(ledger(page)).toContainText('Everything has its clearance');
});

test('an empty room is drawn by its sizes; a wrong one is refused and the room stays', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByRole('textbox').first().fill('Bare');
  await page.getByRole('button', { name: /^(Start|Create|Make|Open)/ }).click();
  await page.waitForURL(/\/shop\//);
  await page.goto(page.url().replace(/\/[a-z]+$/, '/floor'));
  await expect(ledger(page)).toContainText('enter your width and depth under Room');
  await page.getByRole('button', { name: /^Room/, expanded: false }).click();
  await page.getByLabel('Width, room').fill('24 ft');
  await page.getByLabel('Depth, room').fill('20 ft');
  await expect(ledger(page)).toContainText('480 ft²');
  await page.getByLabel('Width, room').fill('2 ft');
  await expect(page.getByRole('alert').filter({ hasText: /2′ is too little/ })).toBeVisible();
  await page.getByLabel('Depth, room').fill('wide');
  await expect(page.getByRole('alert').filter({ hasText: "'wide' is not a number" })).toBeVisible();
  await expect(ledger(page)).toContainText('480 ft²');
  await page.getByRole('button', { name: 'Place the rest on the plan' }).click();
  await expect(thing(page, 'Collector')).toBeVisible();
  await page.locator('body').press('Control+z');
  await expect(thing(page, 'Collector')).toHaveCount(0);
});

test('the plan is saved to scale and as DXF, and its own DXF is read in again', async ({
  page,
}) => {
  await openFloor(page);
  const svg = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as SVG' }).click();
  expect((await svg).suggestedFilename()).toBe('plan 1 to 50.svg');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as DXF' }).click();
  const path = await (await download).path();
  expect(readFileSync(path, 'utf8')).toContain('WORKING_ROOM');
  await page.getByRole('button', { name: /^Room/, expanded: false }).click();
  await page.getByLabel('Width, room').fill('40 ft');
  await expect(ledger(page)).not.toContainText('640 ft²');
  const buffer = readFileSync(path);
  const file = page.getByLabel('DXF file of the room');
  await file.setInputFiles({
    name: 'note.dxf',
    mimeType: 'image/vnd.dxf',
    buffer: Buffer.from('hello'),
  });
  await expect(
    page.getByText('note.dxf: This is not a DXF drawing, or there is nothing in it.'),
  ).toBeVisible();
  await file.setInputFiles({ name: 'plan.dxf', mimeType: 'image/vnd.dxf', buffer });
  await expect(ledger(page)).toContainText('640 ft²');
});

test('a room that is no rectangle is drawn by its corners', async ({ page }) => {
  await openFloor(page);
  await page.getByRole('button', { name: /^Room/, expanded: false }).click();
  await page.getByText('Corners, 4').click();
  await page.getByRole('button', { name: 'Add a corner after corner 2' }).click();
  await page.getByLabel('From the left, corner 3').fill('25 ft');
  await expect(page.getByText(/^5 corners\./)).toBeVisible();
  await expect(ledger(page)).not.toContainText('640 ft²');
  await page.getByRole('button', { name: 'Remove corner 3' }).click();
  await expect(ledger(page)).toContainText('640 ft²');
});
