import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

async function openLog(page: Page): Promise<void> {
  await openDemo(page);
  await page.getByRole('link', { name: /Log/ }).click();
  await expect(page.getByRole('heading', { name: 'New reading' })).toBeVisible();
}

const choose = (page: Page, label: string, option: string) =>
  page.getByLabel(label, { exact: true }).selectOption({ label: option });
const repeat = (page: Page, number: number) => page.getByLabel(`Repeat ${number}`, { exact: true });
const firstRow = (page: Page) =>
  page
    .getByRole('row')
    .filter({ has: page.getByRole('button', { name: /open the reading$/ }) })
    .first();

test('a slip is remarked on while it is typed, and refused by nothing', async ({ page }) => {
  await openLog(page);
  await choose(page, 'Test point', 'Planer');
  await expect(
    page.getByText(
      /^The model expects \d+ CFM ± \d+ CFM here: the meter should show about \d,\d+ fpm\.$/,
    ),
  ).toBeVisible();
  // 45.6 miles an hour, typed as if it were feet a minute.
  await repeat(page, 1).fill('45.6');
  await expect(page.getByText('This would fit if the meter showed mph, not fpm.')).toBeVisible();
  await repeat(page, 1).fill('7000');
  await expect(page.getByText(/The meter’s range ends at 5,906 fpm/)).toBeVisible();
  await repeat(page, 1).fill('4000');
  await repeat(page, 2).fill('400');
  await repeat(page, 3).fill('3980');
  await expect(page.getByText('Repeat 2 is far from the others.')).toBeVisible();
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(page.getByText('Logged Planer')).toBeVisible();
  await expect(firstRow(page)).toContainText('Planer');
});

test('a traverse asks for its points by their depth, and shows its corrections', async ({
  page,
}) => {
  await openLog(page);
  await choose(page, 'Test point', 'Drum sander');
  await choose(page, 'Meter position', 'traverse');
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(page.getByText('A traverse needs all its points.')).toBeVisible();
  const points = page.getByLabel(/ in$/);
  await expect(points).toHaveCount(6);
  for (const [i, value] of ['5200', '5700', '6 m/s', '30 m/s', '5700', '5200'].entries()) {
    await points.nth(i).fill(value);
  }
  await page.getByRole('button', { name: 'Add reading' }).click();
  await page
    .getByRole('button', { name: /^Drum sander, .*open the reading/ })
    .first()
    .click();
  const sheet = page.getByRole('dialog', { name: 'Reading at Drum sander' });
  await expect(sheet.getByText('traverse of 6 points')).toBeVisible();
  await sheet.getByText('Velocity profile').last().click();
  await expect(sheet.getByText(/fastest at the center.*may be off by 4\.2 %/)).toBeVisible();
  await expect(sheet.getByText('usual scatter of a single reading')).toBeVisible();
});

test('a relative reading is no airflow, and compares with its like alone', async ({ page }) => {
  await openLog(page);
  await choose(page, 'Test point', 'Planer');
  await page.getByRole('radio', { name: 'relative' }).click();
  for (const [i, value] of ['3900', '3950', '3925'].entries())
    await repeat(page, i + 1).fill(value);
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(firstRow(page)).toContainText('relative: percentages only');
  await saved(page);
  await page.getByRole('link', { name: 'History' }).click();
  const days = page.getByRole('region', { name: 'Readings over time' });
  const row = days.getByRole('row').filter({ hasText: 'Planer' });
  await expect(row).toContainText('Not comparable: one is relative, the other absolute.');
});

test('a meter is described, its unit and range go with what it reads', async ({ page }) => {
  await openLog(page);
  await page.getByRole('link', { name: 'Instruments', exact: true }).first().click();
  await page.getByRole('button', { name: 'Add a meter' }).click();
  await page.getByLabel('Name of the meter').fill('Borrowed vane');
  await choose(page, 'Unit it shows', 'mph');
  await page.getByLabel('Range to, Borrowed vane').fill('60 mph');
  await page.getByRole('button', { name: 'Add a calibration' }).click();
  const table = page.getByLabel(/^Table, shown = true/);
  await table.fill('40 = 39; 40 = 38');
  await expect(page.getByRole('alert').filter({ hasText: 'It shows 40 twice.' })).toBeVisible();
  await table.fill('20 = 19; 50 = 47.5');
  await expect(page.getByRole('alert').filter({ hasText: 'twice' })).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel(/^Table, shown = true/)).toHaveValue('20 = 19; 50 = 47.5');

  await page.getByRole('link', { name: 'Readings', exact: true }).click();
  await choose(page, 'Meter', 'Borrowed vane');
  await choose(page, 'Test point', 'Planer');
  await choose(page, 'Meter', 'Borrowed vane');
  await expect(page.getByText('Three repeats, mph, or type another unit')).toBeVisible();
  await page.getByRole('button', { name: 'Repeat 1, over range' }).click();
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(firstRow(page)).toContainText('> 60.0 mph');
  // What was last used at a test point comes up again there.
  await choose(page, 'Test point', 'Planer');
  await expect(page.getByLabel('Meter', { exact: true })).toHaveValue(/.+/);
  await expect(page.getByText('Three repeats, mph, or type another unit')).toBeVisible();
  await firstRow(page).getByRole('button').click();
  await expect(page.getByRole('dialog').getByText('× 0.950')).toBeVisible();
  await page.keyboard.press('Escape');
  // It stays, since a reading was taken with it.
  await page.getByRole('link', { name: 'Instruments', exact: true }).first().click();
  await page.getByRole('button', { name: 'Remove this meter' }).click();
  await expect(
    page.getByText('Readings were taken with it, so it stays in the log.'),
  ).toBeVisible();
});

test('what is typed is there again after the tab was killed', async ({ page, context }) => {
  await openLog(page);
  await choose(page, 'Test point', 'Band saw');
  await repeat(page, 1).fill('5,610');
  await repeat(page, 2).fill('5,6');
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await again.goto('/shop/heron-slip/log');
  await expect(repeat(again, 1)).toHaveValue('5,610');
  await expect(repeat(again, 2)).toHaveValue('5,6');
  await again.close();
});

test('a change is logged with its cost, and what the readings around it say it was worth', async ({
  page,
}) => {
  await openLog(page);
  await page.getByRole('link', { name: 'History' }).click();
  const changes = page.getByRole('region', { name: 'Changes' });
  await expect(changes.getByRole('listitem').filter({ hasText: 'Joints sealed' })).toContainText(
    /▲ \+\d.*\$ 0\.\d\d for each CFM/,
  );
  await changes.getByRole('button', { name: 'Add a change' }).click();
  await choose(page, 'What was done', 'gate added');
  await changes.getByLabel('Day').fill('2030-01-01');
  await changes.getByRole('button', { name: 'Add the change' }).click();
  await expect(changes.getByRole('alert')).toContainText('still to come');
  await changes.getByLabel('Day').fill('2026-10-10');
  await changes.getByLabel('Cost').fill('35');
  await changes.getByLabel('Work').fill('90 min');
  await changes.getByRole('button', { name: 'Add the change' }).click();
  const added = changes.getByRole('listitem').filter({ hasText: 'Gate added' });
  await expect(added).toContainText('$ 35 · 1.5 h of work');
  await expect(added).toContainText(/▼ −/);
  await added.getByText('5 test points').click();
  await expect(added).toContainText('Beyond the meter’s range both times');
  await saved(page);
  await page.reload();
  await expect(changes.getByRole('listitem').filter({ hasText: 'Gate added' })).toBeVisible();
  await page.getByTitle('Undo, Ctrl+Z').click();
  await expect(changes.getByRole('listitem').filter({ hasText: 'Gate added' })).toHaveCount(0);
});

test('far drops stand against the nearest, in the order of the duct between', async ({ page }) => {
  await openLog(page);
  await page.getByRole('link', { name: 'History' }).click();
  const far = page.getByRole('region', { name: 'Near against far' });
  await expect(far).toContainText(/November 7, 2026, against .+, \d+′.* from the blower/);
  const lengths = await far.getByRole('row').locator('td:nth-child(2)').allTextContents();
  expect(lengths).toHaveLength(4);
  const feet = lengths.map((text) => Number.parseFloat(text));
  expect(feet).toEqual(feet.toSorted((a, b) => a - b));
});

test('a day stands against the model, as found and as designed', async ({ page }) => {
  await openLog(page);
  await page.getByRole('link', { name: 'History' }).click();
  const table = page.getByRole('table', { name: 'Against the model' });
  const planer = table.getByRole('row').filter({ hasText: 'Planer' });
  await choose(page, 'Before', 'the model, as found');
  await expect(planer).toContainText(/▼ −1\d %/);
  const found = await planer.getByRole('cell').nth(1).textContent();
  await choose(page, 'Before', 'the model, as designed');
  await expect(planer.getByRole('cell').nth(1)).not.toHaveText(found ?? '');
  await expect(planer).toContainText('95 % of the time.');
  await choose(page, 'Before', 'September 13, 2026');
  await expect(table).toHaveCount(0);
});

test('the history fits a page to print', async ({ page }) => {
  await openLog(page);
  await page.getByRole('link', { name: 'History' }).click();
  await expect(page.getByRole('heading', { name: 'Trend' })).toBeVisible();
  await page.waitForTimeout(1000);
  const path = test.info().outputPath('history.pdf');
  await page.pdf({ path, format: 'Letter' });
  const pages = readFileSync(path, 'latin1').match(/\/Type\s*\/Page\b/g) ?? [];
  expect(pages.length).toBe(1);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Joints sealed' })).toBeVisible();
  await expect(page.getByText(/^2 changes together: \+1\d %/)).toBeVisible();
});

test('a test point says how the meter is held, and what to mark on a probe', async ({ page }) => {
  await openLog(page);
  await page.getByRole('link', { name: 'Test points' }).click();
  await page.getByRole('button', { name: /^Planer/, expanded: false }).click();
  const how = page.getByRole('region', { name: 'How to hold the meter' });
  // 0.032 of 5 in. is 0.16 in.
  await expect(how.getByRole('list', { name: 'Marks' }).getByRole('listitem')).toHaveCount(6);
  await expect(how.getByRole('listitem').first()).toContainText('3/16 in.');
  await page.getByLabel('Straight ahead, Planer').fill('25 in');
  await expect(how.getByText('5.0 diameters of straight duct ahead: short of 10')).toBeVisible();
  await page.getByLabel('Held by: how the meter is held').fill('In the plywood jig.');
  await how.getByLabel('Points on a diameter').selectOption('10 points');
  await expect(how.getByRole('listitem')).toHaveCount(10);
  await page.getByLabel('Add a test point', { exact: true }).selectOption('At the blower’s inlet');
  await page.getByLabel('Name of the test point').fill('Tap at the inlet');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Tap at the inlet/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove this test point' }).click();
  await expect(page.getByRole('button', { name: /^Tap at the inlet/ })).toHaveCount(0);
  await page.getByRole('button', { name: /^Across the filter/ }).click();
  await page.getByRole('button', { name: 'Remove this test point' }).click();
  await expect(page.getByText('Readings were taken there, so it stays in the log.')).toBeVisible();
  // A jig that is noted makes a comparison surer.
  await page.getByRole('link', { name: 'Readings', exact: true }).click();
  await expect(page.getByLabel('Test point', { exact: true })).toContainText('Across the filter');
});

test('a change is linked to the edit of the design it was, with what the model promised', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/floor');
  await page.goto('/shop/heron-slip/air');
  await page.getByLabel('Length of Far end').fill('5 ft');
  await page.getByLabel('Length of Far end').press('Enter');
  await saved(page);
  await page.goto('/shop/heron-slip/log/history');
  await page.getByRole('button', { name: 'Add a change' }).click();
  await choose(page, 'What was done', 'duct changed');
  const edits = page.getByLabel('Edit of the design');
  const option = await edits.locator('option').nth(1).getAttribute('value');
  await edits.selectOption(option);
  const promise = page.getByText('The model, as found, promises:');
  await expect(promise).toBeVisible();
  // A shorter far end gives its drops more, and no drop on the other main anything.
  await expect(
    page.getByRole('listitem').filter({ hasText: /^Planer: .* CFM to .* CFM \(\+/ }),
  ).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: /^Table saw: .*CFM to/ })).toHaveCount(
    0,
  );
  await page.getByRole('button', { name: 'Add the change' }).click();
  await saved(page);
  await expect(page.getByText(/edit of the design: /)).toBeVisible();
  // Read before and after it, the promise stands beside what came of it.
  await page.goto('/shop/heron-slip/log');
  await page.getByLabel('Test point', { exact: true }).selectOption({ label: 'Planer' });
  for (const repeat of [1, 2, 3]) {
    await page.getByLabel(`Repeat ${repeat}`, { exact: true }).fill('4400');
  }
  await page.getByRole('button', { name: 'Add reading' }).click();
  await saved(page);
  await page.goto('/shop/heron-slip/log/history');
  await expect(page.getByText(/The model had promised \+\d/)).toBeVisible();
});

test('simulated meters read a hidden condition, at drops and at the collector, and say so in the log', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/instruments');
  await page.getByLabel('Add a simulated meter').selectOption('Simulated vane');
  await page.getByLabel('Add a simulated meter').selectOption('Simulated manometer');
  await saved(page);
  const fields = page.getByRole('region', { name: 'Simulated meters' });
  await fields.getByRole('radio', { name: 'a hidden condition' }).click();
  await expect(fields.getByText(/An opening of|No opening anywhere/)).toHaveCount(0);
  await fields.getByRole('button', { name: 'Show what is hidden' }).click();
  await expect(fields.getByText(/An opening of|No opening anywhere/)).toBeVisible();
  const hidden = await fields.getByRole('list').textContent();

  await page.goto('/shop/heron-slip/log');
  await choose(page, 'Test point', 'Planer');
  await choose(page, 'Meter', 'Simulated vane');
  await page.getByRole('button', { name: 'Read the simulated meter' }).click();
  await page.getByRole('button', { name: 'Read the simulated meter' }).click();
  await expect(repeat(page, 2)).toHaveValue(/^\d/);
  // In one condition of some, somebody has pressed the meter’s unit button. Where the field cannot believe what is
  // shown then, the unit is typed, as it asks for.
  if (await page.getByText('No meter reads that high; check the unit.').first().isVisible()) {
    for (const shown of [1, 2]) {
      await repeat(page, shown).fill(`${await repeat(page, shown).inputValue()} fpm`);
    }
  }
  await page.getByRole('button', { name: 'Add reading' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'simulated' })).toHaveCount(1);
  await choose(page, 'Test point', 'Across the filter');
  await choose(page, 'Meter', 'Simulated manometer');
  await expect(page.getByText(/^The model expects [\d,]+ Pa ± [\d,]+ Pa here\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Read the simulated meter' }).click();
  await expect(repeat(page, 1)).toHaveValue(/^\d+/);
  await page.getByRole('button', { name: 'Add reading' }).click();
  await saved(page);
  await expect(page.getByRole('row').filter({ hasText: 'simulated' })).toHaveCount(2);

  // The same one again after a reload: two readings of it compare.
  await page.goto('/shop/heron-slip/log/instruments');
  await fields.getByRole('button', { name: 'Show what is hidden' }).click();
  expect(await fields.getByRole('list').textContent()).toBe(hidden);
});

test('a meter on a cable is read line by line, and one that falls silent says so', async ({
  page,
}) => {
  // A port of the test’s own in place of the browser’s: it sends what `window.sendLine` is given.
  await page.addInitScript(() => {
    let controller: ReadableStreamDefaultController<Uint8Array> | null = null;
    const readable = new ReadableStream<Uint8Array>({
      start(own) {
        controller = own;
      },
    });
    const port = { readable, open: async () => {}, close: async () => {} };
    Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port } });
    Object.assign(window, {
      sendLine: (line: string) => controller?.enqueue(new TextEncoder().encode(`${line}\r\n`)),
    });
  });
  await openLog(page);
  await choose(page, 'Test point', 'Planer');
  await page.getByRole('button', { name: 'Connect a meter by cable' }).click();
  const read = page.getByRole('button', { name: 'Read the meter' });
  await read.click();
  await page.evaluate("window.sendLine('3910 ft/min')");
  await expect(repeat(page, 1)).toHaveValue('3910');
  await read.click();
  await page.evaluate("window.sendLine('20.0 m/s')");
  await expect(repeat(page, 2)).toHaveValue('3937');
  await read.click();
  await expect(page.getByText('The meter sent nothing.')).toBeVisible({ timeout: 10_000 });
  await page.getByRole('button', { name: 'Add reading' }).click();
  await saved(page);
  await expect(page.getByRole('row').filter({ hasText: '3,910 · 3,937 fpm' })).toHaveCount(1);
});

test('a test point is placed by a click on the plan: in a duct, or in the room, and moved the same way', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/points');
  const list = page.getByRole('region', { name: 'Test points', exact: true });
  const plan = page.getByRole('img', { name: 'Test points on the plan' });
  const hint = page.getByRole('region', { name: 'On the plan' }).getByRole('paragraph');
  // The first pipe that is drawn.
  const duct = await plan.locator('.stroke-ink.fill-paper').first().boundingBox();
  if (!duct) throw new Error('no duct');
  await page.mouse.click(duct.x + duct.width / 2, duct.y + duct.height / 2);
  const made = list.getByRole('button', { name: /^In / });
  await expect(made).toHaveCount(1);
  const name = (await made.textContent()) ?? '';
  expect(name).not.toContain('In the room');
  await expect(list.getByLabel(/^Down the run/)).not.toHaveValue('0');
  await expect(hint).toHaveText(/^Click where In .* is: in a duct, or anywhere in the room\.$/);
  // It is open: the next click moves it, out of the duct.
  const { width, height } = (await plan.boundingBox()) ?? { width: 0, height: 0 };
  await plan.click({ position: { x: 0.6 * width, y: 0.75 * height } });
  await expect(list.getByLabel(/^From the left/)).not.toHaveValue('0');
  await expect(made).toHaveCount(1);
  // Shut again, a click makes another.
  await made.click();
  await plan.click({ position: { x: 0.4 * width, y: 0.75 * height } });
  await expect(list.getByRole('button', { name: /^In the room/ })).toHaveCount(1);
  await saved(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(list.getByRole('button', { name: /^In the room/ })).toHaveCount(0);
});
