import type { Locator, Page } from '@playwright/test';
import { expect, openDemo, test } from './bench';

/** Pairs of texts of a drawing that stand on each other, as they are painted. */
const collisions = (drawing: Locator) =>
  drawing.evaluate((svg) => {
    const texts = [...svg.querySelectorAll('text')].map((text) => ({
      text: text.textContent ?? '',
      box: text.getBoundingClientRect(),
    }));
    return texts.flatMap((a, i) =>
      texts.slice(i + 1).flatMap((b) => {
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        // Painted boxes are higher than their letters.
        return across > 1 && down > 4 ? [`${a.text} on ${b.text}`] : [];
      }),
    );
  });

async function openFloor(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/floor');
  await expect(page.getByRole('heading', { name: 'Room and machines' })).toBeVisible();
}

const plan = (page: Page) => page.getByRole('group', { name: 'Plan of the shop' });

test('no label of the plan stands on another, whichever duct is open', async ({ page }) => {
  await openFloor(page);
  await expect(plan(page).locator('text').first()).toBeVisible();
  expect(await collisions(plan(page))).toEqual([]);
  for (const run of ['Main at the cyclone', 'Far end', 'Planer drop', 'Table saw drop']) {
    await page.getByRole('button', { name: new RegExp(`^${run} \\d`), expanded: false }).click();
    expect(await collisions(plan(page)), run).toEqual([]);
  }
});

test('no label of the elevations or the isometric stands on another', async ({ page }) => {
  await openFloor(page);
  for (const [look, name] of [
    ['Front', 'Elevation from the front'],
    ['Back', 'Elevation from the back'],
    ['Left', 'Elevation from the left'],
    ['Right', 'Elevation from the right'],
    ['Isometric', 'Isometric of the ducts'],
  ] as const) {
    await page.getByRole('radio', { name: look, exact: true }).click();
    const sheet = page.getByRole('group', { name });
    await expect(sheet.locator('text').first()).toBeVisible();
    expect(await collisions(sheet), look).toEqual([]);
  }
});

test('no name below the pressure ladder stands on another, at any width and in both unit systems', async ({
  page,
}) => {
  await openDemo(page);
  for (const system of ['US', 'SI']) {
    await page.getByRole('radio', { name: system, exact: true }).click();
    for (const width of [390, 820, 1024, 1280]) {
      await page.setViewportSize({ width, height: 900 });
      await page.waitForTimeout(300);
      const ladder = page.getByRole('img', { name: /^Pressure ladder/ });
      expect(await collisions(ladder), `${system} at ${width}`).toEqual([]);
    }
  }
});

test('a suggested route is drawn on the plan before it is taken; pointer and keyboard choose which', async ({
  page,
}) => {
  await openFloor(page);
  await page.getByRole('button', { name: 'Route ducts' }).click();
  const ghost = plan(page).locator('[data-ghost]');
  await expect(ghost).toHaveAttribute('data-ghost', 'shortest');
  const caption = page.getByRole('status').filter({ hasText: 'Suggested: Least duct' });
  await expect(caption).toContainText(/Worst drop .* now Planer/);
  await page.getByRole('listitem').filter({ hasText: 'Along the walls' }).hover();
  await expect(ghost).toHaveAttribute('data-ghost', 'walls');
  await page.getByRole('button', { name: 'Use this route: One straight main' }).focus();
  await expect(ghost).toHaveAttribute('data-ghost', 'main');
  await page.keyboard.press('Enter');
  await expect(ghost).toHaveCount(0);
  await expect(page.getByText('The suggested ducts are in place.')).toBeVisible();
});

test('the chart of the operating point names its axes and its curves', async ({ page }) => {
  await openDemo(page);
  const figure = page.locator('figure').filter({ hasText: 'Operating point with' });
  await expect(figure.getByText('airflow, CFM')).toBeVisible();
  await expect(figure.getByText('blower pressure, in. w.g.')).toBeVisible();
  for (const name of ['fan curve', 'system curve', 'operating point']) {
    await expect(figure.getByRole('list', { name: 'Legend' })).toContainText(name);
  }
});
