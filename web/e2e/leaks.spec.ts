import { readFileSync } from 'node:fs';
import { gatesOfDrop } from '@frank-gauge/core/analysis';
import { emptyJournal, writeShopFile } from '@frank-gauge/core/journal';
import { beginHunt, metersOf, practiceShop, takeReading } from '@frank-gauge/core/practice';
import { devices, type Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

const { defaultBrowserType: _, ...phone } = devices['Pixel 5'];

const finding = (page: Page) => page.getByRole('region', { name: 'Finding' });
const measureNext = (page: Page) => page.getByRole('region', { name: 'Measure next' });
const suspects = (page: Page) =>
  page.getByRole('region', { name: 'Suspects', exact: true }).locator('ol > li');

/** Types one number three times on the pad, and logs it. */
async function typeThrice(page: Page, number: string): Promise<void> {
  for (let repeat = 0; repeat < 3; repeat++) {
    for (const key of number) {
      const name = key === '.' ? 'Decimal point' : key;
      await page.getByRole('button', { name, exact: true }).tap();
    }
    await page.getByRole('button', { name: /^(Next repeat|Log)$/ }).tap();
  }
}

test.describe('on a phone', () => {
  test.use({ ...phone, viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' });

  test('the demo’s leak is hunted to its joints offline, mended, read again, and closed', async ({
    page,
    context,
  }) => {
    test.setTimeout(150_000);
    await openDemo(page);
    await page.getByRole('link', { name: 'Leaks' }).tap();
    await expect(finding(page).getByText('The readings point to Far end.')).toBeVisible();
    await expect(finding(page).getByText('It began between 13 September')).toBeVisible();
    await expect(suspects(page)).toHaveCount(3);
    await expect
      .poll(() => page.evaluate('navigator.serviceWorker.controller !== null'), { timeout: 30_000 })
      .toBe(true);
    await context.setOffline(true);

    // The far end itself leaks: where it begins, only what the joints of its two drops let in moves.
    await expect(
      measureNext(page).getByText(/Read the air speed inside Far end, just behind/),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Take this reading' }).tap();
    await typeThrice(page, '85');
    await expect(page.getByText('Nine times in ten it is here.')).toBeVisible({ timeout: 45_000 });
    await expect(suspects(page)).toHaveCount(1);
    const joints = page.getByRole('region', { name: 'Check these joints' }).getByRole('listitem');
    await expect(joints.first()).toContainText('Far end');
    const checked = (await joints.first().textContent()) ?? '';
    await joints
      .first()
      .getByRole('button', { name: /^Tight/ })
      .tap();
    await expect(page.getByText('One was tight.')).toBeVisible();
    await expect(joints.first()).not.toContainText(checked);

    await page.getByRole('button', { name: 'I found it and mended it' }).tap();
    await page.getByLabel('Note').fill('Cap off the cleanout.');
    await page.getByRole('button', { name: 'Log it' }).tap();
    await expect(finding(page).getByText('No readings since the latest change')).toBeVisible();
    const mended = page.getByRole('region', { name: 'Mended last' });
    await expect(
      mended.getByText('Leak hunt. Far end: an opening. Cap off the cleanout.'),
    ).toBeVisible();
    await expect(mended.getByRole('listitem')).toHaveCount(2);
    const closed = page.getByRole('region', { name: 'Hunts closed' }).getByRole('listitem');
    await expect(closed).toHaveCount(1);
    await expect(closed).toContainText('Not read again yet.');
    await saved(page);

    await page.getByRole('link', { name: /^4 Log/ }).tap();
    for (const [drop, value] of [
      ['Planer', '3950'],
      ['Drum sander', '5700'],
    ] as const) {
      await page.getByLabel('Test point').selectOption({ label: drop });
      for (let repeat = 1; repeat <= 3; repeat++) {
        await page.getByLabel(`Repeat ${repeat}`, { exact: true }).fill(value);
      }
      await page.getByRole('button', { name: 'Add reading' }).tap();
    }
    await saved(page);
    await page.getByRole('link', { name: 'Leaks' }).tap();
    await expect(finding(page).getByText('No significant difference.')).toBeVisible();
    await expect(
      mended.getByText(/▲ Gained \+\d+ %.* against \+\d+(\.\d)? % promised/),
    ).toBeVisible();
    await expect(mended.getByRole('listitem')).toHaveCount(0);
    await expect(closed).toContainText(/Gained .* against .* promised/);
  });
});

test('a reading far from another at the same place is named with the reason, and the rest still used', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log');
  await page.getByLabel('Test point').selectOption({ label: 'Planer' });
  for (let repeat = 1; repeat <= 3; repeat++) {
    await page.getByLabel(`Repeat ${repeat}`, { exact: true }).fill('900');
  }
  await page.getByRole('button', { name: 'Add reading' }).click();
  await saved(page);
  await page.getByRole('link', { name: 'Leaks' }).click();
  await expect(
    page.getByText(
      /^Planer, .*: another reading at the same place with the same gates open is far/,
    ),
  ).toBeVisible();
  await expect(finding(page).getByText('The readings point to')).toBeVisible();
});

test('ducts that must stay closed leave other readings to take', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/leaks');
  await expect(
    measureNext(page)
      .getByText(/Read the air speed inside/)
      .first(),
  ).toBeVisible();
  await page.getByLabel('I can open a duct or drill a test hole').uncheck();
  await expect(measureNext(page).getByText(/Read the air speed inside/)).toHaveCount(0);
});

test('a shop without ducts or readings is told what it lacks', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Empty');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('link', { name: 'Leaks' }).click();
  await expect(page.getByText('First connect a machine under Air')).toBeVisible();
});

test('the farthest drop is held against the nearest', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/leaks');
  const found = page.getByRole('region', { name: 'Near and far' });
  await expect(found).toContainText(
    /Drum sander, the farthest, gets \d+\s% \(±\d+\s%\) of what .*, the nearest, gets; the model expects \d+\s%/,
  );
});

test('the isometric marks the suspects too', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/leaks');
  const picture = page.getByRole('img', { name: /a broken line marks each suspected run/ });
  await expect(picture).toContainText('%');
  await page.getByRole('radio', { name: 'Isometric' }).click();
  await expect(picture).toContainText('%');
});

test('an opening that is believed is predicted with, and can be taken back', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/leaks');
  await expect(finding(page).getByText('The readings point to Far end.')).toBeVisible();
  await page.getByRole('button', { name: 'Believe it, and predict with it' }).first().click();
  await expect(finding(page).getByText('No significant difference.')).toBeVisible();
  const believed = page.getByRole('region', { name: 'Believed' });
  await expect(believed.getByText(/Far end: opening of .* ±\s\d+\s%, by readings/)).toBeVisible();
  await believed.getByRole('button', { name: 'Take back' }).click();
  await expect(finding(page).getByText('The readings point to Far end.')).toBeVisible();
  await expect(believed).toHaveCount(0);
});

test('what the readings say of the estimates is believed once nothing is wrong, and narrows the predictions', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/leaks');
  const estimates = page.getByRole('region', { name: 'Estimates' });
  await expect(estimates.getByText('Find that first; then these can be believed.')).toBeVisible();
  await expect(estimates.getByRole('button')).toHaveCount(0);
  await page.getByRole('button', { name: 'Believe it, and predict with it' }).first().click();
  await expect(finding(page).getByText('No significant difference.')).toBeVisible();

  const hood = estimates.getByRole('listitem').filter({ hasText: 'Table saw’s hood' });
  await hood.getByRole('button').click();
  await expect(hood.getByText('believed')).toBeVisible();
  const believed = page.getByRole('region', { name: 'Believed' });
  await expect(
    believed.getByText(/Entry loss of Table saw’s hood: .*estimated ±\s\d+\s%, by readings/),
  ).toBeVisible();
  await estimates.getByRole('button', { name: 'Believe all' }).click();
  await expect(estimates.getByRole('button')).toHaveCount(0);
  const narrowed = believed.getByText(/ is predicted within ±/);
  const [now = 0, before = 0] =
    ((await narrowed.textContent()) ?? '').match(/\d+(?= CFM)/g)?.map(Number) ?? [];
  expect(now).toBeLessThan(before);

  await believed
    .getByRole('listitem')
    .filter({ hasText: 'Table saw’s hood' })
    .getByRole('button', { name: 'Take back' })
    .click();
  await expect(hood.getByRole('button', { name: /^Believe/ })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(hood.getByText('believed')).toBeVisible();
});

test('what is believed of filter, separator and leakage narrows the predictions, and goes back to what it was', async ({
  page,
}) => {
  const demo = JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
  const by = { kind: 'fitted', on: '2026-11-20T10:00:00Z' };
  Object.assign(demo.condition.filterLoading, {
    value: 3.6,
    origin: { ...by, uncertainty: 0.1, before: 3 },
  });
  demo.condition.sealing.usual = 12;
  demo.condition.sealing.origin = { ...by, uncertainty: 0.2, before: 9 };
  Object.assign(demo.collector.separator, {
    lossCoefficient: 3.5,
    origin: { ...by, uncertainty: 0.1, before: 3 },
  });
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'believed.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(demo)),
  });
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toBeVisible();
  await page.goto('/shop/heron-slip/leaks');
  const believed = page.getByRole('region', { name: 'Believed' });
  await expect(believed.getByText(/Filter loading: 3.6 times clean ±\s10\s%/)).toBeVisible();
  await expect(believed.getByText(/Separator: 3.5 velocity pressures ±\s10\s%/)).toBeVisible();
  await expect(believed.getByText(/Leakage class: 12 ±\s20\s%/)).toBeVisible();
  const narrowed = believed.getByText(/ is predicted within ±/);
  const widths = async () =>
    ((await narrowed.textContent()) ?? '').match(/\d+(?= CFM)/g)?.map(Number) ?? [];
  const [now = 0, before = 0] = await widths();
  expect(now).toBeLessThan(before);
  for (const name of ['Filter loading', 'Separator', 'Leakage class']) {
    await believed
      .getByRole('listitem')
      .filter({ hasText: name })
      .getByRole('button', { name: 'Take back' })
      .click();
    await expect(believed.getByRole('listitem').filter({ hasText: name })).toHaveCount(0);
  }
  await expect(believed).toHaveCount(0);
  await saved(page);
  await page.goto('/shop/heron-slip/air');
  await expect(page.getByRole('heading', { name: 'Every drop' })).toBeVisible();
});

test('two things wrong at once are both named', async ({ page }) => {
  const practice = practiceShop('co-op');
  if (!practice) throw new Error('no such shop');
  let hunt = beginHunt(practice);
  for (const drop of practice.tree.drops) {
    const next = takeReading(
      practice,
      { ...hunt, openGates: [...gatesOfDrop(drop)] },
      { at: { kind: 'port', node: drop.id }, shows: 'flow' },
    );
    if (!next) throw new Error('nothing to read');
    hunt = next;
  }
  const { instruments, testPoints } = metersOf(practice, hunt);
  const readings = hunt.readings.map(({ reading }) => reading);
  const file = writeShopFile(practice.shop, {
    ...emptyJournal(),
    instruments: [...instruments],
    testPoints: [...testPoints],
    readings,
  });
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'co-op.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file),
  });
  await expect(page.getByText('Wood co-op').first()).toBeVisible();
  await page.goto('/shop/co-op/leaks');
  await expect(finding(page).getByText('Two things seem to be wrong at once.')).toBeVisible({
    timeout: 30_000,
  });
  await expect(finding(page)).toContainText('a gate that does not open fully (Shaper drop');
  await expect(finding(page)).toContainText('an opening (Drum sander drop');
  await expect(page.getByText('Two of these, each with how likely it is')).toBeVisible();
  await expect(
    measureNext(page)
      .getByText(/^if it is .* and Shaper drop|^if it is Shaper drop and /)
      .first(),
  ).toBeVisible({
    timeout: 30_000,
  });
});
