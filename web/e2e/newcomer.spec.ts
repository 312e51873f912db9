import type { Page } from '@playwright/test';
import { expect, flowOf, saved, test } from './bench';

const next = (page: Page) => page.getByRole('region', { name: 'What comes next' });

test('a newcomer lays out a two-car garage with five machines by what comes next', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Its name').fill('Two-car garage');
  await page.getByRole('button', { name: 'Start' }).click();

  // Each step of the guide is one press, or one for each machine.
  await next(page)
    .getByRole('button', { name: /^Two bays/ })
    .click();
  await page.getByLabel('How high the room is').fill('8 ft 6 in');
  await next(page).getByRole('button', { name: 'Place the collector' }).click();
  for (const machine of [
    /^Table saw/,
    /^Thickness planer, 12/,
    /^Jointer/,
    /^Band saw/,
    /^Lathe/,
  ]) {
    await page.getByRole('button', { name: 'Add a machine' }).first().click();
    await page.getByRole('menuitem', { name: machine }).click();
  }
  const ledger = page.getByRole('region', { name: 'What stands in the way' });
  await expect(ledger).toContainText('484 ft², 6 things on it.');
  await expect(ledger.getByText(/stands in/)).toHaveCount(0);
  await next(page).getByRole('link', { name: 'To Route it' }).click();
  await page.getByRole('button', { name: 'Route it' }).click();
  const ways = page.getByRole('list', { name: 'Ways to lead the ducts' });
  await expect(ways.getByRole('listitem')).not.toHaveCount(0, { timeout: 60_000 });
  await ways
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  // Nothing is left to do, and nothing that was proposed has to be mended.
  await expect(next(page)).toHaveCount(0);
  for (const wrong of ['goes through', 'no room to bend', 'against the flow', 'has no duct']) {
    await expect(ledger.getByText(wrong)).toHaveCount(0);
  }
  await saved(page);
  await page.getByRole('link', { name: /^3\s*Air/ }).click();
  for (const name of ['Table saw', 'Thickness planer', 'Jointer', 'Band saw', 'Lathe hood']) {
    expect(await flowOf(page, name)).toBeGreaterThan(300);
  }
});

test('a collector whose inlet looks at a wall is told of, not led to through the wall', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Its name').fill('Tight');
  await page.getByRole('button', { name: 'Start' }).click();
  await next(page)
    .getByRole('button', { name: /^One bay/ })
    .click();
  await next(page).getByRole('button', { name: 'Place the collector' }).click();
  await page.getByRole('button', { name: 'Add a machine' }).first().click();
  await page.getByRole('menuitem', { name: /^Table saw/ }).click();
  await page.getByRole('button', { name: /^Collector \d/, expanded: false }).click();
  await page.getByLabel('From the left, the collector').fill('2.4 ft');
  await page.getByRole('button', { name: 'Route it' }).click();
  await expect(page.getByText('looks at a wall so near that no duct gets in')).toBeVisible();
});
