import { dropRow, expect, flowOf, openDemo, saved, test } from './bench';

test('from the demo, lengthen a run and see the drop’s flow fall at once; undo brings it back', async ({
  page,
}) => {
  await openDemo(page);
  const before = await flowOf(page, 'Planer');
  const length = page.getByLabel('Length of Far end');
  await length.fill('60 ft');
  expect(await flowOf(page, 'Planer')).toBeLessThan(before - 20);
  await saved(page);
  await length.press('Control+z');
  await expect.poll(() => flowOf(page, 'Planer')).toBe(before);
  await expect(length).toHaveValue('12′');
});

test('an edit shows on every number in the frame it is made in', async ({ page }) => {
  await openDemo(page);
  await page.getByLabel('Inside diameter of Far end').focus();
  // Typed and read back without giving the browser a turn: no timer, no worker, no round trip.
  const shown = await page.evaluate(() => {
    const field = document.querySelector<HTMLInputElement>('[aria-label="Length of Far end"]');
    const read = () => document.querySelector('main table strong')?.closest('tbody')?.textContent;
    const before = read();
    const setter = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    setter?.call(field, '40');
    field?.dispatchEvent(new Event('input', { bubbles: true }));
    return new Promise<{ before: string | undefined; after: string | undefined }>((resolve) =>
      requestAnimationFrame(() => resolve({ before, after: read() })),
    );
  });
  expect(shown.after).not.toBe(shown.before);
});

test('a newcomer builds a shop of three drops', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toHaveText('A shop needs a name.');
  await page.getByLabel('Shop name').fill('Two-car garage');
  await page.getByRole('button', { name: 'Start' }).click();

  // The order of work begins on the Floor; whoever draws nothing goes on to Air.
  await expect(page.getByRole('region', { name: 'Next steps' })).toBeVisible();
  await page.getByRole('link', { name: /^3\s*Air/ }).click();
  await page.getByRole('button', { name: 'Add the main' }).click();
  await page
    .getByRole('region', { name: 'Air' })
    .getByRole('button', { name: 'Add a machine' })
    .click();
  await page.getByRole('menuitem', { name: /Table saw/ }).click();
  await expect(dropRow(page, 'Table saw')).toBeVisible();

  for (const machine of ['Thickness planer, 12–15 in.', 'Floor sweep, 4 in.']) {
    await page.getByRole('button', { name: 'Main', exact: true }).click();
    await page.getByRole('button', { name: 'Machine at its end' }).click();
    await page.getByRole('menuitem', { name: machine }).click();
  }
  await expect(
    page.getByRole('button', { name: 'Thickness planer drop', exact: true }),
  ).toBeVisible();
  for (const name of ['Table saw', 'Thickness planer', 'Floor sweep']) {
    expect(await flowOf(page, name)).toBeGreaterThan(100);
  }
  await saved(page);
  await page.reload();
  await expect(dropRow(page, 'Floor sweep')).toBeVisible();
  expect(await flowOf(page, 'Thickness planer')).toBeGreaterThan(100);
});

test('removing a run can be undone from the notice', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Back main', exact: true }).click();
  await page.getByRole('button', { name: /^Remove it and 4 upstream/ }).click();
  await expect(dropRow(page, 'Planer')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(dropRow(page, 'Planer')).toBeVisible();
});

test('opening another gate takes air from the first', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('radio', { name: 'As now' }).click();
  const before = await flowOf(page, 'Planer');
  await page
    .getByRole('group', { name: 'Gates' })
    .getByRole('button', { name: 'Table saw' })
    .click();
  expect(await flowOf(page, 'Planer')).toBeLessThan(before - 50);
});

test('by keyboard alone: a command by name, and from drop to drop', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder('Find a command')).toBeFocused();
  await page.keyboard.type('si units');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('columnheader', { name: 'airflow, m³/h' })).toBeVisible();
  await page.getByRole('button', { name: 'Planer', exact: true }).first().focus();
  await page.getByRole('table').first().getByRole('button', { name: 'Planer' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('heading', { name: 'Drum sander, from hood to room' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});
