import AxeBuilder from '@axe-core/playwright';
import { expect, openDemo, test } from './bench';

const BENCHES = [
  'collector/elevation',
  'collector/joints',
  'collector/noise',
  'collector/test',
] as const;

for (const theme of ['light', 'dark'] as const) {
  for (const view of [
    'floor',
    'collector',
    ...BENCHES,
    'air',
    'log',
    'shops',
    'sources',
  ] as const) {
    test(`${view} has no fault a checker can find, ${theme}`, async ({
      page,
      context,
      baseURL,
    }) => {
      await context.addCookies([{ name: 'theme', value: theme, url: baseURL ?? '' }]);
      await openDemo(page);
      if (view === 'shops') await page.goto('/');
      else if (view === 'sources') await page.goto('/sources');
      else await page.goto(`/shop/heron-slip/${view}`);
      await page.waitForTimeout(500);
      const { violations } = await new AxeBuilder({ page }).analyze();
      const found = violations.map(
        ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
      );
      expect(found).toEqual([]);
    });
  }
}

test('a phone shows everything in one column, nothing wider than the screen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  for (const view of ['floor', 'collector', ...BENCHES, 'air', 'log']) {
    await page.goto(`/shop/heron-slip/${view}`);
    await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeVisible();
    const excess = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(excess).toBeLessThanOrEqual(0);
  }
  await page.getByRole('button', { name: 'gates' }).click();
  const gate = page.getByRole('group', { name: 'Gates' }).getByRole('button', { name: 'Planer' });
  await expect(gate).toHaveAttribute('aria-pressed', 'true');
  await gate.click();
  await expect(gate).toHaveAttribute('aria-pressed', 'false');
});

test('a tablet and a phone show every view without scrolling sideways, in both unit systems', async ({
  page,
}) => {
  await openDemo(page);
  for (const system of ['US', 'SI']) {
    await page.goto('/shop/heron-slip/air');
    await page.getByRole('radio', { name: system, exact: true }).click();
    for (const width of [390, 820, 1024]) {
      await page.setViewportSize({ width, height: 900 });
      const excess = await page.evaluate(() =>
        [document.documentElement, ...document.querySelectorAll('main section')].map(
          (box) => box.scrollWidth - box.clientWidth,
        ),
      );
      expect(Math.max(...excess), `${system} at ${width}`).toBeLessThanOrEqual(0);
    }
  }
});

test('every number’s source is a tap away from where it is used', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Estimates' }).click();
  await expect(page.getByRole('heading', { name: 'Elbows, 90°' })).toBeVisible();
  const row = page.getByRole('row', { name: /Five-piece, R\/D 2 / });
  await expect(row).toContainText('0.19');
  await expect(row).toContainText('standard');
  await page.getByRole('radio', { name: 'SI' }).click();
  await expect(page.getByRole('row', { name: /^Table saw \d/ })).toContainText('637 m³/h');
});

test('an unknown shop and an unknown page say so', async ({ page, allow }) => {
  allow(/404/);
  await page.goto('/shop/nothing/air');
  await expect(page.getByRole('heading', { name: 'No such shop here' })).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'No such page' })).toBeVisible();
});
