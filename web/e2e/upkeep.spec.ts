import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import ICAL from 'ical.js';
import { expect, openDemo, saved, test } from './bench';

const list = (page: Page) => page.getByRole('list', { name: 'To look after' });
const row = (page: Page, name: string) =>
  list(page).getByRole('listitem').filter({ hasText: name });

test('what is due is told with its day, done today is logged, undone and outlives a reload', async ({
  page,
}) => {
  await page.clock.setFixedTime(new Date('2026-12-28T09:00:00'));
  await openDemo(page);
  await page.getByRole('link', { name: /^8\s*Upkeep/ }).click();
  const bin = row(page, 'Empty the bin');
  await expect(bin).toContainText('Last done on Nov 7, 2026.');
  await expect(bin).toContainText(/Due since Dec \d+, 2026, between .* 95 times in 100/);
  await expect(bin).toContainText('full, or nearly');
  await bin.getByRole('button', { name: 'Done today: empty the bin' }).click();
  await expect(bin).toContainText('just emptied');
  await expect(bin).toContainText('Last done on Dec 28, 2026. Due on Feb');
  await saved(page);
  await page.reload();
  await expect(bin).toContainText('Last done on Dec 28, 2026.');
  await page.goto('/shop/heron-slip/log/history');
  await page.getByText('Bins emptied, belts and gaskets looked at: 4').click();
  await expect(
    page.getByRole('heading', { name: /^Bin emptied\s*December 28, 2026/ }),
  ).toBeVisible();
  await page.goto('/shop/heron-slip/upkeep');
  await page.getByTitle('Undo, Ctrl+Z').click();
  await expect(bin).toContainText('Last done on Nov 7, 2026.');
});

test('a machine that was moved has its joints sealed again; the year is drawn with what was changed', async ({
  page,
}) => {
  await page.clock.setFixedTime(new Date('2026-11-20T09:00:00'));
  await openDemo(page);
  await page.goto('/shop/heron-slip/upkeep');
  const year = page.getByRole('region', { name: 'The year' });
  await expect(year).toContainText('Bins emptied8 times');
  await expect(year).toContainText(/Mar 21: joints sealed.*Nov 7: bin emptied/);
  await page.getByLabel('What is drawn over time').selectOption({ label: 'Filter, at one flow' });
  await expect(year).toContainText(/filter at [\d,]+\sCFM/);
  const reseal = row(page, 'Seal the joints of what was changed');
  await expect(reseal).toHaveCount(0);
  await page.getByRole('button', { name: 'Moved today' }).click();
  await expect(reseal).toContainText('The ducts were changed on Nov 20, 2026.');
  await saved(page);
  await page.reload();
  await reseal.getByRole('button', { name: /^Done today/ }).click();
  await expect(reseal).toHaveCount(0);
});

test('a shop that runs more fills its bin sooner; wrong figures are refused and lose nothing', async ({
  page,
}) => {
  await page.clock.setFixedTime(new Date('2026-11-10T09:00:00'));
  await openDemo(page);
  await page.goto('/shop/heron-slip/upkeep');
  const bin = row(page, 'Empty the bin');
  const dayOf = async () =>
    Date.parse(/Due on (\w+ \d+, \d+)/.exec((await bin.textContent()) ?? '')?.[1] ?? '');
  const before = await dayOf();
  const runs = page.getByLabel('Blower runs, a week');
  await runs.fill('20');
  await expect.poll(dayOf).toBeLessThan(before);
  const sooner = await dayOf();
  await runs.fill('200');
  await expect(runs).toHaveAttribute('aria-invalid', 'true');
  expect(await dayOf()).toBe(sooner);
  await page.getByLabel('Bulking factor').fill('0');
  await expect(page.getByLabel('Bulking factor')).toHaveAttribute('aria-invalid', 'true');
  await runs.fill('');
  await expect(bin).toContainText('by how often it was done before');
  await expect(
    page.getByText('not known: say above how much the blower runs').first(),
  ).toBeVisible();
});

test('the days go into a calendar', async ({ page }) => {
  await page.clock.setFixedTime(new Date('2026-11-10T09:00:00'));
  await openDemo(page);
  await page.goto('/shop/heron-slip/upkeep');
  await expect(row(page, 'Empty the bin')).toContainText('Due on');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save for a calendar' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  const events = new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));
  const bin = events.find(({ summary }) => summary === 'Heron Slip: empty the bin');
  expect(bin?.startDate.isDate).toBe(true);
  expect(bin?.description).toContain('Wear a respirator.');
  // What was never logged lies on today.
  const checks = events.find(({ summary }) => summary.includes('belts and gaskets'));
  expect(checks?.startDate.toString()).toBe('2026-11-10');
});

test('an empty shop says what it knows not, and takes what is done', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Bare');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('link', { name: /^8\s*Upkeep/ }).click();
  await expect(list(page)).toContainText('Nobody has logged that it was ever done.');
  await page.getByRole('button', { name: 'Done today: look over belts and gaskets' }).click();
  await expect(row(page, 'Look over belts and gaskets')).toContainText('Due on');
});

test.describe('on a phone, offline', () => {
  test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 800 } });

  test('a month of upkeep is looked at and logged, and is there when the network is back', async ({
    page,
    context,
  }) => {
    test.setTimeout(120_000);
    await page.clock.setFixedTime(new Date('2026-11-10T09:00:00'));
    await openDemo(page);
    await page.goto('/shop/heron-slip/upkeep');
    await expect(row(page, 'Empty the bin')).toContainText('Due on');
    await expect
      .poll(() => page.evaluate('navigator.serviceWorker.controller !== null'), { timeout: 60_000 })
      .toBe(true);
    await page.waitForLoadState('networkidle');
    await context.setOffline(true);
    for (const day of ['2026-11-18', '2026-11-27', '2026-12-08']) {
      await page.clock.setFixedTime(new Date(`${day}T18:00:00`));
      await page.reload();
      await expect(row(page, 'Empty the bin')).toContainText('Last done on');
      await page.getByRole('button', { name: 'Done today: empty the bin' }).click();
      await saved(page);
    }
    await page.getByRole('button', { name: 'Done today: clean the filter' }).click();
    await page
      .getByRole('button', { name: 'Done today: empty the bag or bin below the filter' })
      .click();
    await saved(page);
    await context.setOffline(false);
    await page.reload();
    await expect(row(page, 'Empty the bin')).toContainText('Last done on Dec 8, 2026.');
    await expect(row(page, 'Clean the filter')).toContainText('Last done on Dec 8, 2026.');
    await expect(row(page, 'Empty the bag or bin below the filter')).toContainText(
      'Last done on Dec 8, 2026.',
    );
    const year = page.getByRole('region', { name: 'The year' });
    await expect(year).toContainText('Bins emptied12 times');
  });
});

test('a smoke test is logged with its place and a photo, and stands in the log too', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/upkeep');
  const section = page.getByRole('region', { name: 'Tests' });
  await section.getByRole('button', { name: 'Log a test' }).click();
  await section.getByLabel('Test', { exact: true }).selectOption({ label: 'smoke test' });
  await expect(section.getByText('No flame near dust', { exact: false })).toBeVisible();
  await section.getByLabel('Day').fill('2999-01-01');
  await section.getByRole('button', { name: 'Add the test' }).click();
  await expect(section.getByRole('alert')).toBeVisible();
  await section.getByLabel('Day').fill('2026-11-20');
  await section.getByLabel('Place').fill('Back main, first wye');
  await section.getByLabel('What you saw').selectOption({ label: 'a leak' });
  await section.getByRole('button', { name: 'Add the test' }).click();
  const item = section.getByRole('listitem').filter({ hasText: 'Back main, first wye: a leak.' });
  await expect(item).toBeVisible();
  const photo = { name: 'wye.png', mimeType: 'image/png' };
  const buffer = readFileSync('docs/screenshots/air.png');
  await item.getByLabel(/^Photo of /).setInputFiles({ ...photo, buffer });
  const thumbnail = item.getByRole('button', { name: /^Photo of .*\.jpg$/ });
  await expect(thumbnail).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(item).toBeVisible();
  await expect(thumbnail).toBeVisible();
  await page.goto('/shop/heron-slip/log/history');
  await page.getByText('Tests with light, smoke or a hand: 1').click();
  await expect(page.getByText('Back main, first wye: a leak.')).toBeVisible();
});

test('what the latest cleanings and emptyings brought is told by the readings around them', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/upkeep');
  const brought = page.getByRole('region', { name: 'Results of cleaning and emptying' });
  await expect(brought.getByRole('listitem').filter({ hasText: 'filter cleaned' })).toContainText(
    /airflow [+−]\d+ % \(|no difference in airflow shown/,
  );
  await expect(brought.getByRole('listitem').filter({ hasText: 'bin emptied' })).toHaveCount(3);
});
