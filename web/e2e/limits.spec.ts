import type { Locator, Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

/** What no shop has, in any field. */
const ABSURD = ['99999999999', '-99999999999', '1e-300', ''];

/** A refusal that names a place in the document in place of a sentence about the field. */
const OF_THE_FILE = /\([a-z]+(?:\.[\w-]+)+\)$/i;

/** What opens details; menus open too, but hold no fields. */
const DETAILS = 'main button[aria-expanded]:not([aria-haspopup])';

/** Types what no shop has in every kind of field that stands open; answers what went wrong. */
async function tryFields(page: Page, tried: Set<string>): Promise<string[]> {
  const folded = page.locator('main details:not([open]) > summary');
  while ((await folded.count()) > 0) await folded.first().click();
  const fields = page.locator('main :is(input[data-saves], textarea):visible');
  const wrong: string[] = [];
  for (let i = 0; i < (await fields.count()); i++) {
    const field = fields.nth(i);
    const label = (await field.getAttribute('aria-label')) ?? '';
    const kind = label.replace(/(?: of |, ).*/, '');
    if (tried.has(kind)) continue;
    tried.add(kind);
    for (const text of ABSURD) wrong.push(...(await tryField(page, field, label, text)));
  }
  return wrong;
}

async function tryField(page: Page, field: Locator, label: string, text: string) {
  const before = await field.inputValue();
  await field.fill(text);
  // A name may be anything; a number is taken, or refused with a sentence and kept as it was typed.
  const isRefused = (await field.getAttribute('aria-invalid')) === 'true';
  const message = isRefused ? ((await page.getByRole('alert').first().textContent()) ?? '') : '';
  const kept = await field.inputValue();
  await field.fill(before);
  await field.blur();
  const wrong: string[] = [];
  if (isRefused && (message === '' || OF_THE_FILE.test(message)))
    wrong.push(`${label}: ${message}`);
  if (kept !== text) wrong.push(`${label}: ${text} became ${kept}`);
  return wrong;
}

for (const [step, fields] of [
  ['Air', 30],
  ['Collector', 20],
  ['Floor', 20],
] as const) {
  test(`no field of ${step} takes what a shop cannot have, nor loses what was typed`, async ({
    page,
  }) => {
    test.setTimeout(240_000);
    await openDemo(page);
    await page.getByRole('navigation').getByRole('link', { name: step }).click();
    await page.waitForURL(`**/${step.toLowerCase()}`);
    await expect(page.locator(DETAILS).first()).toBeVisible();
    const tried = new Set<string>();
    const wrong = await tryFields(page, tried);
    const details = page.locator(DETAILS);
    for (let i = 0; i < (await details.count()); i++) {
      await details.nth(i).click();
      await expect(page.locator('[data-loading]')).toHaveCount(0);
      wrong.push(...(await tryFields(page, tried)));
    }
    expect(wrong).toEqual([]);
    expect([...tried].length).toBeGreaterThanOrEqual(fields);
    await expect(page.getByText(/^Not done: /)).toHaveCount(0);
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('Shop name')).toBeVisible();
  });
}
