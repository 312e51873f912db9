import type { Page } from '@playwright/test';
import { expect, flowOf, saved, test } from './bench';

const next = (page: Page) => page.getByRole('region', { name: 'Next steps' });

test('a newcomer lays out a two-car garage with five machines by what comes next', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Two-car garage');
  await page.getByRole('button', { name: 'Start' }).click();

  // Each step of the guide is one press, or one for each machine.
  await next(page)
    .getByRole('button', { name: /^Two bays/ })
    .click();
  await page.getByLabel('Ceiling height, next steps').fill('8 ft 6 in');
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
  const ledger = page.getByRole('region', { name: 'Floor issues' });
  await expect(ledger).toContainText('484 ft², 6 things placed.');
  await expect(ledger.getByText(/stands in/)).toHaveCount(0);
  await next(page).getByRole('link', { name: 'Go to Routing' }).click();
  await page.getByRole('button', { name: 'Route ducts' }).click();
  const ways = page.getByRole('list', { name: 'Suggested routes' });
  await expect(ways.getByRole('listitem')).not.toHaveCount(0, { timeout: 60_000 });
  await ways
    .getByRole('button', { name: /^Use this route/ })
    .first()
    .click();
  // Nothing is left to do, and nothing that was proposed has to be mended.
  await expect(next(page)).toHaveCount(0);
  for (const wrong of ['passes through', 'no room to bend', 'against the flow', 'has no duct']) {
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
  await page.getByLabel('Shop name').fill('Tight');
  await page.getByRole('button', { name: 'Start' }).click();
  await next(page)
    .getByRole('button', { name: /^One bay/ })
    .click();
  await next(page).getByRole('button', { name: 'Place the collector' }).click();
  await page.getByRole('button', { name: 'Add a machine' }).first().click();
  await page.getByRole('menuitem', { name: /^Table saw/ }).click();
  await page.getByRole('button', { name: /^Collector \d/, expanded: false }).click();
  await page.getByLabel('From the left, the collector').fill('2.4 ft');
  await page.getByRole('button', { name: 'Route ducts' }).click();
  await expect(page.getByText('faces a wall, with no room for a duct')).toBeVisible();
});

test('on a phone the next steps are in sight, and drawing from a list brings the plan back', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Lean-to');
  await page.getByRole('button', { name: 'Start' }).click();
  const oneBay = next(page).getByRole('button', { name: /^One bay/ });
  await expect(oneBay).toBeInViewport();
  await oneBay.click();
  await next(page).getByRole('button', { name: 'Place the collector' }).click();
  const drawButton = page
    .getByRole('region', { name: 'Room and machines' })
    .getByRole('button', { name: 'Draw a duct' });
  await drawButton.scrollIntoViewIfNeeded();
  await page.mouse.wheel(0, 4000);
  const plan = page.getByRole('region', { name: 'Plan' });
  await expect(plan).not.toBeInViewport();
  await drawButton.click();
  await expect(plan).toBeInViewport({ ratio: 0.9 });
});
