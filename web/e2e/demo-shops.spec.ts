import type { Page } from '@playwright/test';
import { dropRow, expect, test } from './bench';

async function openKind(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page
    .getByRole('region', { name: 'Demo shops' })
    .getByRole('link', { name, exact: true })
    .click();
  await expect(page.getByRole('heading', { name: 'Every drop' })).toBeVisible();
}

test('the luthier’s cellar is opened from the list, in metric units, and its filter wears out', async ({
  page,
}) => {
  await page.clock.setFixedTime(new Date('2026-11-20T09:00:00'));
  await openKind(page, 'Luthier’s cellar');
  await expect(dropRow(page, 'Band saw')).toContainText('430');
  await page.getByRole('link', { name: /^2\s*Collector/ }).click();
  await expect(page.getByText('Out through the window').first()).toBeVisible();
  await page.getByRole('link', { name: /^8\s*Upkeep/ }).click();
  const brought = page.getByRole('region', { name: 'Results of cleaning and emptying' });
  await expect(brought).toContainText(/After its last cleaning the filter took [23]\.\d times/);
  await expect(brought).toContainText('then a new one pays');
  const tests = page.getByRole('region', { name: 'Tests' });
  await expect(tests).toContainText('Clamp between filter and ring: dust comes through.');
  await expect(tests).toContainText('Clamp between filter and ring: no dust to be seen.');
});

test('the school is opened from the list: ten drops, and what taping was worth', async ({
  page,
}) => {
  await openKind(page, 'School wood shop');
  for (const name of ['Planer', 'Table saw 1', 'Disc sander']) {
    await expect(dropRow(page, name)).toBeVisible();
  }
  await page.getByRole('link', { name: /^4\s*Log/ }).click();
  await page.getByRole('link', { name: 'History' }).click();
  const sealed = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: /^Joints sealed/ }) });
  await expect(sealed).toContainText(/▲ \+1?\d\d\s%/);
  // Its lid is that of a 55-gallon drum.
  await page.goto('/shop/tern-school/build/shop-made');
  await expect(page.getByLabel('Drum, inside diameter')).toHaveAttribute('placeholder', /^22/);
  // Opened once more it is the same shop, not a second one.
  await openKind(page, 'School wood shop');
  await page.goto('/');
  await expect(page.getByRole('link', { name: /^Tern School/ })).toHaveCount(1);
});
