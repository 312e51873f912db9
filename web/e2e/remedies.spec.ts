import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, saved, test } from './bench';

/** The demo with something wrong with it, opened at Improve with everything tried. */
async function openWith(page: Page, wrong: (demo: Demo) => void): Promise<void> {
  const demo = JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
  wrong(demo);
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'wrong.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(demo)),
  });
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toBeVisible();
  await page.goto('/shop/heron-slip/improve');
  await showAll(page);
}

// biome-ignore lint/suspicious/noExplicitAny: a file as it lies on the disk, to be made wrong
type Demo = any;

const showAll = (page: Page) =>
  page.getByRole('button', { name: /^Show all/ }).click({ timeout: 60_000 });

const row = (page: Page, name: RegExp) =>
  page.getByRole('region', { name: 'Everything tried' }).getByRole('button', { name }).first();

/** Puts an improvement into the design, reloads, undoes it and does it again; a further one of its kind may follow. */
async function putIn(page: Page, name: RegExp): Promise<void> {
  await row(page, name).click({ timeout: 30_000 });
  const same = page
    .getByRole('region', { name: 'Everything tried' })
    .getByRole('button', { name: (await row(page, name).textContent()) ?? '', exact: true });
  await expect(same).toHaveCount(1);
  await page.getByRole('button', { name: 'Put it into the design' }).last().click();
  await expect(same).toHaveCount(0, { timeout: 30_000 });
  await saved(page);
  await page.reload();
  await showAll(page);
  await expect(same).toHaveCount(0);
  await page.getByTitle('Undo, Ctrl+Z').click();
  await expect(same).toBeVisible({ timeout: 30_000 });
  await page.getByTitle(/^Redo/).click();
  await expect(same).toHaveCount(0, { timeout: 30_000 });
  await saved(page);
}

test('a plug, a second gate, a coarse filter and an elbow at the inlet are put right one by one', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await openWith(page, ({ collector, shop, ducts }) => {
    collector.blower.plug = 'us15';
    collector.exhaust.filter.grade = 8;
    collector.separator.kind = 'none';
    collector.blower.inletElbow = { radiusRatio: 1.5, straight: 0 };
    const [drop, open] = ['Planer drop', 'Table saw drop'].map(
      (name) => ducts.runs.find((run: { name: string }) => run.name === name).from,
    );
    shop.rules.bleeds = [{ drop, open }];
  });
  await putIn(page, /^Keep the gate of Table saw shut while Planer runs/);
  await putIn(page, /^Have an electrician fit a plug and receptacle/);
  await putIn(page, /^Put .* of straight duct between the last elbow and the blower’s inlet/);
  await putIn(page, /^Replace the filter with .* of cartridge/);
});

test('a return filter too small and a head-on tee are put right', async ({ page }) => {
  test.setTimeout(180_000);
  await openWith(page, ({ collector, ducts }) => {
    collector.exhaust = {
      kind: 'enclosure',
      filter: collector.exhaust.filter,
      returnFilter: { area: 0.12, velocity: 1.5, pressure: 60 },
      box: null,
    };
    for (const run of ducts.runs) {
      if (/^(Planer|Drum sander) drop$/.test(run.name)) {
        run.route.isFollowed = false;
        run.length = 3;
        run.joins = { kind: 'symmetric', angle: Math.PI / 2 };
      }
    }
  });
  await putIn(page, /^Give the enclosure a return filter of/);
  await putIn(page, /^Replace the tee that .* runs into head-on with a Y/);
});

test('a way back too small is made larger, and a drop that settles narrower', async ({ page }) => {
  test.setTimeout(180_000);
  await openWith(page, ({ collector, ducts }) => {
    collector.exhaust = { kind: 'room', filter: collector.exhaust.filter, opening: 0.02 };
    const saw = ducts.runs.find((run: { name: string }) => run.name === 'Table saw drop');
    saw.diameter = 0.2032;
  });
  await putIn(page, /^Make the opening that the air comes back through/);
  await putIn(page, /^Make Table saw drop .* instead of 8/);
});

test('an opening typed wrong is told at the field, and what Improve proposes is not lost', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openWith(page, ({ collector }) => {
    collector.exhaust = { kind: 'room', filter: collector.exhaust.filter, opening: 0.02 };
  });
  const name = /^Make the opening that the air comes back through/;
  await expect(row(page, name)).toBeVisible();
  await page.goto('/shop/heron-slip/air');
  await page.getByRole('button', { name: /^Other room/ }).click();
  const field = page.getByLabel('Return opening area');
  await field.fill('-3');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await page.goto('/shop/heron-slip/improve');
  await showAll(page);
  await expect(row(page, name)).toBeVisible();
});

test('a motor asked for more than it was made for is spared by a smaller impeller', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openWith(page, ({ collector }) => {
    collector.blower.motor.power /= 2.5;
    collector.blower.breaker = 60;
  });
  await putIn(page, /^Fit a .* impeller instead of .*, if the maker lists one/);
});
