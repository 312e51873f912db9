import { emptyJournal, writeShopFile } from '@frank-gauge/core/journal';
import type { Page } from '@playwright/test';
import fc from 'fast-check';
import { anyDrawnShop } from '../../core/reference/any-drawn-shop';
import { expect, openDemo, test } from './bench';
import { collisions, onDucts } from './labels';

async function openFloor(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/floor');
  await expect(page.getByRole('heading', { name: 'Room and machines' })).toBeVisible();
}

const SHEETS = [
  ['Front', 'Elevation from the front'],
  ['Back', 'Elevation from the back'],
  ['Left', 'Elevation from the left'],
  ['Right', 'Elevation from the right'],
  ['Isometric', 'Isometric of the ducts'],
] as const;

const plan = (page: Page) => page.getByRole('group', { name: 'Plan of the shop' });

test('no label of the plan stands on another, whichever duct is open', async ({ page }) => {
  await openFloor(page);
  await expect(plan(page).locator('text').first()).toBeVisible();
  expect(await collisions(plan(page))).toEqual([]);
  expect(await onDucts(plan(page))).toEqual([]);
  for (const run of ['Main at the cyclone', 'Far end', 'Planer drop', 'Table saw drop']) {
    await page.getByRole('button', { name: new RegExp(`^${run} \\d`), expanded: false }).click();
    expect(await collisions(plan(page)), run).toEqual([]);
    expect(await onDucts(plan(page)), run).toEqual([]);
  }
});

test('no label of the elevations or the isometric stands on another', async ({ page }) => {
  await openFloor(page);
  for (const [look, name] of SHEETS) {
    await page.getByRole('radio', { name: look, exact: true }).click();
    const sheet = page.getByRole('group', { name });
    await expect(sheet.locator('text').first()).toBeVisible();
    expect(await collisions(sheet), look).toEqual([]);
    expect(await onDucts(sheet), look).toEqual([]);
  }
});

test('no name below the pressure ladder stands on another, at any width and in both unit systems', async ({
  page,
}) => {
  await openDemo(page);
  for (const system of ['US', 'SI']) {
    await page.getByRole('radio', { name: system, exact: true }).click();
    for (const width of [390, 820, 1024, 1280]) {
      await page.setViewportSize({ width, height: 900 });
      await page.waitForTimeout(300);
      const ladder = page.getByRole('img', { name: /^Pressure ladder/ });
      expect(await collisions(ladder), `${system} at ${width}`).toEqual([]);
    }
  }
});

test('a suggested route is drawn on the plan before it is taken; pointer and keyboard choose which', async ({
  page,
}) => {
  await openFloor(page);
  await page.getByRole('button', { name: 'Route ducts' }).click();
  const ghost = plan(page).locator('[data-ghost]');
  await expect(ghost).toHaveAttribute('data-ghost', 'shortest');
  const caption = page.getByRole('status').filter({ hasText: 'Suggested: Least duct' });
  await expect(caption).toContainText(/Worst drop .* now Planer/);
  await page.getByRole('listitem').filter({ hasText: 'Along the walls' }).hover();
  await expect(ghost).toHaveAttribute('data-ghost', 'walls');
  await page.getByRole('button', { name: 'Use this route: One straight main' }).focus();
  await expect(ghost).toHaveAttribute('data-ghost', 'main');
  await page.keyboard.press('Enter');
  await expect(ghost).toHaveCount(0);
  await expect(page.getByText('The suggested ducts are in place.')).toBeVisible();
});

test('the chart of the operating point names its axes and its curves', async ({ page }) => {
  await openDemo(page);
  const figure = page.locator('figure').filter({ hasText: 'Operating point with' });
  await expect(figure.getByText('airflow, CFM')).toBeVisible();
  await expect(figure.getByText('blower pressure, in. w.g.')).toBeVisible();
  for (const name of ['fan curve', 'system curve', 'operating point']) {
    await expect(figure.getByRole('list', { name: 'Legend' })).toContainText(name);
  }
});

for (const [i, shop] of fc.sample(anyDrawnShop, { seed: 14, numRuns: 10 }).entries()) {
  const name = `Random shop ${i + 1}`;
  test(`${name}: no label stands on another or on a duct, in any drawing`, async ({ page }) => {
    shop.shop.name = name;
    await page.goto('/');
    await page.getByLabel('Shop file').setInputFiles({
      name: 'random.json',
      mimeType: 'application/json',
      buffer: Buffer.from(writeShopFile(shop, emptyJournal())),
    });
    await page.getByRole('link', { name: new RegExp(name) }).click();
    const ladder = page.getByRole('img', { name: /^Pressure ladder/ });
    await expect(ladder).toBeVisible();
    expect(await collisions(ladder), 'ladder').toEqual([]);
    await page.getByRole('link', { name: /Floor/ }).click();
    await expect(plan(page).locator('text').first()).toBeVisible();
    expect(await collisions(plan(page)), 'plan').toEqual([]);
    expect(await onDucts(plan(page)), 'plan').toEqual([]);
    const ducts = page.getByRole('region', { name: 'Ducts' }).getByRole('button', { name: /, / });
    await ducts.first().click();
    expect(await collisions(plan(page)), 'a duct open').toEqual([]);
    for (const [look, sheetName] of SHEETS) {
      await page.getByRole('radio', { name: look, exact: true }).click();
      const sheet = page.getByRole('group', { name: sheetName });
      await expect(sheet.locator('text').first()).toBeVisible();
      expect(await collisions(sheet), look).toEqual([]);
      expect(await onDucts(sheet), look).toEqual([]);
    }
  });
}
