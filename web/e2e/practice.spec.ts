import { devices, type Page } from '@playwright/test';
import { expect, test } from './bench';

const { defaultBrowserType: _, ...phone } = devices['Pixel 5'];

const meter = (page: Page) => page.getByRole('region', { name: 'Meter' });
const notebook = (page: Page) => page.getByRole('region', { name: 'Notebook' });
const debrief = (page: Page) => page.getByRole('region', { name: 'Debrief' });
const lines = (page: Page) => notebook(page).locator('tbody tr');

/** Holds the meter at a machine, opens its gate alone, and reads. */
async function readDrop(page: Page, machine: string): Promise<void> {
  const before = await lines(page).count();
  await meter(page)
    .getByLabel('Where the meter is held')
    .selectOption({ label: `At ${machine}` });
  await page.getByRole('button', { name: `Only ${machine}` }).click();
  await meter(page)
    .getByRole('button', { name: /^Read it and write it down/ })
    .click();
  await expect(lines(page)).toHaveCount(before + 1);
}

async function name(page: Page, cause: string, where?: string): Promise<void> {
  await page.getByLabel('Cause', { exact: true }).selectOption({ label: cause });
  if (where) await page.getByLabel('Where', { exact: true }).selectOption({ label: where });
  await page.getByRole('button', { name: 'That is what is wrong' }).click();
}

const SLOW = 30_000;

test('a practice shop is won: its meter put right, its drops compared, and the cause named', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Practice' }).click();
  await page.getByRole('link', { name: /^Turnery/ }).click();
  await expect(page.getByText('Nothing yet.')).toBeVisible();
  // Somebody left it on miles an hour: the number that was written down cannot be one in feet a minute.
  await expect(meter(page).getByText('mph')).toBeVisible();
  await readDrop(page, 'Shaper');
  await expect(lines(page).first()).toContainText('99 %');
  await page.getByRole('button', { name: 'Cross out reading 1' }).click();
  for (let press = 0; press < 3; press++) {
    await meter(page).getByRole('button', { name: 'Unit' }).click();
  }
  await expect(meter(page).getByText('fpm')).toBeVisible();
  for (const machine of ['Shaper', 'Lathe hood', 'Table saw']) await readDrop(page, machine);
  await expect(lines(page).nth(1)).toContainText(/4\d\s%/);

  await name(page, 'A gate that does not open fully', 'Shaper drop');
  await expect(debrief(page).getByText(/^\d+ of 100. You found it./)).toBeVisible({
    timeout: SLOW,
  });
  await expect(
    debrief(page).getByText('A gate that does not open fully in Shaper drop: ● Right.'),
  ).toBeVisible();
  await expect(debrief(page).getByText('about 30 % open')).toBeVisible();
  // What was crossed out is not gone over.
  await expect(debrief(page).getByRole('list').nth(2).getByRole('listitem')).toHaveCount(3);
  await expect(
    debrief(page)
      .getByText(/^Open the gate/)
      .first(),
  ).toBeVisible();

  await page.getByRole('link', { name: 'Choose another practice shop' }).click();
  await expect(page.getByRole('link', { name: /^Turnery.*best \d+/ })).toBeVisible();
  await expect(page.getByText(/^1 shop finished/)).toBeVisible();
});

test('a practice shop is lost: a wrong cause is told as one, and the shop can be tried again', async ({
  page,
}) => {
  await page.goto('/practice/cabinetmaker');
  await readDrop(page, 'Table saw');
  await name(page, 'A clog', 'Table saw drop');
  await expect(debrief(page).getByText(/^0 of 100. You did not find it./)).toBeVisible({
    timeout: SLOW,
  });
  await expect(debrief(page).getByText('A clog in Table saw drop: ▼ No.')).toBeVisible();
  await expect(
    debrief(page).getByText(/A separator that takes more pressure than you believe, about 3.5/),
  ).toBeVisible();
  // Nothing is changed any more, and a reload says the same again.
  await expect(page.getByRole('button', { name: /^Cross out/ })).toHaveCount(0);
  await page.reload();
  await expect(debrief(page).getByText(/^0 of 100./)).toBeVisible({ timeout: SLOW });
  await page.getByRole('button', { name: 'Try this shop again' }).click();
  await expect(page.getByText('Nothing yet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'That is what is wrong' })).toBeVisible();
});

test('a hunt goes on where it was left, and touches no shop of one’s own', async ({ page }) => {
  await page.goto('/practice/carport');
  await readDrop(page, 'Jointer');
  await readDrop(page, 'Band saw');
  await page.getByRole('button', { name: 'Start over' }).waitFor();
  await page.goto('/practice');
  await expect(
    page.getByRole('link', { name: /^Closed-in carport.*2 readings so far/ }),
  ).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('No shops yet.')).toBeVisible();
  await page.goto('/practice/carport');
  await expect(lines(page)).toHaveCount(2);
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(page.getByText('Nothing yet.')).toBeVisible();
});

test('a shop by chance has an address of its own, and one that is none says so', async ({
  page,
}) => {
  await page.goto('/practice');
  const first = page.getByRole('region', { name: 'First' });
  await first.getByRole('button', { name: 'Another one by chance' }).click();
  await expect(page.getByRole('heading', { name: /^First shop \d+$/ })).toBeVisible();
  const address = page.url();
  const plan = await page.getByRole('img', { name: /^Plan of the shop/ }).innerHTML();
  await page.goto('/practice');
  await page.goto(address);
  expect(await page.getByRole('img', { name: /^Plan of the shop/ }).innerHTML()).toBe(plan);
  await page.goto('/practice/easy-1');
  await expect(page.getByText('There is no practice shop of that name.')).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ ...phone, viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' });

  test('one practices offline, with a dot of the plan for the place', async ({ page, context }) => {
    await page.goto('/practice');
    await expect
      .poll(() => page.evaluate('navigator.serviceWorker.controller !== null'), { timeout: SLOW })
      .toBe(true);
    await context.setOffline(true);
    await page.goto('/practice/garage');
    const plan = page.getByRole('img', { name: /^Plan of the shop/ });
    await plan.locator('circle', { hasText: 'At Thickness planer' }).tap();
    await expect(meter(page).getByLabel('Where the meter is held')).toHaveValue(/port/);
    await readDrop(page, 'Thickness planer');
    await readDrop(page, 'Table saw');
    await name(page, 'An opening', 'Thickness planer drop');
    await expect(debrief(page).getByText(/^100 of 100. You found it./)).toBeVisible({
      timeout: SLOW,
    });
  });
});
