import type { Page } from '@playwright/test';
import { expect, openDemo, test } from './bench';

const VIEWS = [
  'floor',
  'collector',
  'collector/elevation',
  'collector/joints',
  'collector/noise',
  'collector/test',
  'air',
  'log',
  'log/round',
  'log/history',
  'log/points',
  'log/table',
  'log/weighings',
  'log/instruments',
  'leaks',
  'improve',
  'improve/trays',
  'build',
  'build/cuts',
  'build/assembly',
  'build/drawings',
  'build/templates',
  'build/shop-made',
  'build/switches',
  'build/labels',
  'upkeep',
] as const;

/** What opens details; menus open too, but hold no fields. */
const DETAILS = 'main button[aria-expanded]:not([aria-haspopup])';

/** Controls whose name to those who hear it lacks the label that others see. */
const misnamed = (page: Page) =>
  page.evaluate(() => {
    const plain = (text: string | null) =>
      (text ?? '')
        .toLowerCase()
        .replace(/[^\p{L}\p{N}]+/gu, ' ')
        .trim();
    const wrong: string[] = [];
    for (const line of document.querySelectorAll('[data-line]')) {
      const label = line.firstElementChild?.textContent ?? '';
      for (const control of line.querySelectorAll('input:not([type=file]), select, textarea')) {
        if (control.closest('[data-line]') !== line) continue;
        const name = control.getAttribute('aria-label');
        if (!plain(name).includes(plain(label))) wrong.push(`${label}: ${name}`);
      }
    }
    for (const button of document.querySelectorAll('button[aria-label], a[aria-label]')) {
      const [name, seen] = [button.getAttribute('aria-label'), button.textContent];
      if (!plain(name).includes(plain(seen))) wrong.push(`${seen}: ${name}`);
    }
    return [...new Set(wrong)];
  });

/** Fields and menus too narrow for what they show. */
const cutOff = (page: Page) =>
  page.evaluate(() => {
    const pen = document.createElement('canvas').getContext('2d');
    const isSeen = (field: HTMLElement) => field.offsetParent !== null;
    const nameOf = (field: HTMLElement, shown: string) =>
      `${field.getAttribute('aria-label') ?? field.id}: ${shown}`;
    const texts = [...document.querySelectorAll('input')].flatMap((field) =>
      ['text', 'number'].includes(field.type) &&
      isSeen(field) &&
      field.scrollWidth > field.clientWidth + 1
        ? [nameOf(field, field.value)]
        : [],
    );
    const menus = [...document.querySelectorAll('select')].flatMap((menu) => {
      if (!isSeen(menu) || !pen) return [];
      const { font, paddingLeft, paddingRight } = getComputedStyle(menu);
      pen.font = font;
      const shown = menu.selectedOptions[0]?.text ?? '';
      const room =
        menu.clientWidth - Number.parseFloat(paddingLeft) - Number.parseFloat(paddingRight);
      return pen.measureText(shown).width > room + 1 ? [nameOf(menu, shown)] : [];
    });
    return [...texts, ...menus];
  });

/** What no sentence has: two full stops after each other, British spelling. */
const NOT_WRITTEN =
  /\w\.\.(?!\.)| {2}\S|\b(?:mitred?|centre|\w*fibre\w*|colour|metres?|litres?|grey|castors?|aluminium|programme|galvanised|behaviour|neighbours?|modell\w+|labelled|cancelled|judgements?|catalogue)\b/i;

for (const view of VIEWS) {
  test(`on ${view} every accessible name contains the visible label, and every field shows its whole value`, async ({
    page,
  }) => {
    test.setTimeout(120_000);
    await openDemo(page);
    await page.goto(`/shop/heron-slip/${view}`);
    await expect(page.locator('main').first()).toBeVisible();
    await page.waitForTimeout(500);
    const wrong: string[] = [];
    const look = async () => {
      await expect(page.locator('[data-loading]')).toHaveCount(0);
      wrong.push(...(await misnamed(page)), ...(await cutOff(page)));
      // biome-ignore lint/performance/useDomNodeTextContent: what is seen, line by line
      const lines = (await page.locator('body').innerText()).split('\n');
      wrong.push(...lines.filter((line) => NOT_WRITTEN.test(line)));
    };
    for (const system of ['US', 'SI']) {
      await page.getByRole('radio', { name: system, exact: true }).click();
      await look();
      // A list shows the details of one thing at a time: what each shows is looked at while it is open.
      const details = page.locator(DETAILS);
      for (let i = 0; i < (await details.count()); i++) {
        await details.nth(i).click();
        await look();
      }
    }
    expect([...new Set(wrong)]).toEqual([]);
  });
}

for (const path of ['/', '/sources', '/practice', '/practice/garage', '/shop/no-such-shop/air']) {
  test(`${path} is written in American English`, async ({ page }) => {
    await openDemo(page);
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
    // biome-ignore lint/performance/useDomNodeTextContent: what is seen, line by line
    const lines = (await page.locator('body').innerText()).split('\n');
    expect(lines.filter((line) => NOT_WRITTEN.test(line))).toEqual([]);
  });
}

test('each view says what it is for, and its keys', async ({ page }) => {
  // Some thirty views, one after another.
  test.setTimeout(240_000);
  await openDemo(page);
  for (const view of VIEWS) {
    await page.goto(`/shop/heron-slip/${view}`);
    await page.getByRole('button', { name: 'About this view' }).click();
    const about = page.getByRole('dialog', { name: /^About this view: / });
    await expect(about.getByText('First:')).toBeVisible();
    expect(await about.locator('dt').count()).toBeGreaterThan(1);
    await page.keyboard.press('Escape');
    await expect(about).toHaveCount(0);
  }
  await page.goto('/shop/heron-slip/floor');
  await expect(page.getByRole('heading', { name: 'Room and machines' })).toBeVisible();
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(keys.getByRole('heading', { name: 'This view' })).toBeVisible();
  await expect(keys).toContainText('draw a duct');
});

test('the palette groups what it finds: commands of the view, drops, machines, issues, terms', async ({
  page,
}) => {
  await openDemo(page);
  const find = async (text: string) => {
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('Find a command, drop, run, machine or issue').fill(text);
  };
  await find('');
  for (const heading of ['This view', 'Go to', 'Drops', 'Machines', 'Runs', 'Issues', 'Help']) {
    await expect(page.getByText(heading, { exact: true })).toBeAttached();
  }
  await page.keyboard.press('Escape');

  await find('total pressure');
  await page.getByRole('option', { name: 'Show total pressure' }).click();
  await expect(page.getByRole('radio', { name: 'Total' })).toBeChecked();
  await find('band saw');
  await page
    .getByRole('group', { name: 'Drops' })
    .getByRole('option', { name: 'Band saw', exact: true })
    .click();
  await expect(page.getByRole('heading', { name: 'Band saw, from hood to room' })).toBeVisible();
  await find('long hose');
  await page.getByRole('option', { name: 'Planer has a long hose.' }).click();
  await expect(page.getByRole('heading', { name: 'Planer, from hood to room' })).toBeVisible();
  await find('what is: velocity pressure');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'About this view: Air' })).toContainText('ρV²/2');
});
