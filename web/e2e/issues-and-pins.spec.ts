import { expect, openDemo, saved, test } from './bench';

test('an issue is set aside with a reason, stays so after a reload, and is brought back', async ({
  page,
}) => {
  await openDemo(page);
  const issues = page.getByRole('region', { name: 'Issues' });
  const button = issues.getByRole('button', { name: /^Set aside: / }).first();
  const title = ((await button.getAttribute('aria-label')) ?? '').replace('Set aside: ', '');
  const issue = issues.getByText(title);
  await expect(issue).toBeVisible();
  await button.click();
  const form = issues.getByRole('form', { name: `Set aside: ${title}` });
  await form.getByRole('button', { name: 'Set aside' }).click();
  await expect(form.getByText('Say why, so that you know it later.')).toBeVisible();
  await form.getByLabel('Why it is set aside').fill('The planer rolls to the door.');
  await page.keyboard.press('Enter');
  await expect(issues.getByText('One issue set aside')).toBeVisible();
  await saved(page);
  await page.reload();
  await issues.getByText('One issue set aside').click();
  await expect(issues).toContainText('The planer rolls to the door.');
  await page.goto('/shop/heron-slip/improve/report');
  await expect(page.getByRole('region', { name: 'Issues' })).toContainText(
    `${title} Set aside: The planer rolls to the door.`,
  );
  await page.goto('/shop/heron-slip/air');
  await issues.getByText('One issue set aside').click();
  await issues.getByRole('button', { name: `Bring back: ${title}` }).click();
  await expect(issues.getByText('One issue set aside')).toHaveCount(0);
  await expect(issue).toBeVisible();
});

test('a ladder is pinned and another drop compared with it, part by part', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Pin', exact: true }).click();
  const table = page.getByRole('region', { name: 'Pinned and now' });
  await expect(table).toContainText('Dashed: Planer, only its gate open');
  await expect(table.getByRole('row', { name: /^Together/ })).toContainText('+0.00');
  await page
    .getByRole('button', { name: /^Table saw/ })
    .first()
    .click();
  await expect(table).toContainText('Table saw now');
  const cells = table.getByRole('row', { name: /^Hose/ }).getByRole('cell');
  const [pinned, now, difference] = (await cells.allTextContents()).map((text) =>
    Number(text.replace('−', '-')),
  );
  expect((now ?? 0) - (pinned ?? 0)).toBeCloseTo(difference ?? Number.NaN, 1);
  expect(difference).toBeLessThan(0);
  await page.getByRole('button', { name: 'Unpin' }).click();
  await expect(table).toHaveCount(0);
});

test('a price paid replaces the estimate in the price book', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/history');
  await page.getByRole('button', { name: 'Add a change' }).click();
  await page.getByLabel('What was done').selectOption({ label: 'gate added' });
  await page.getByLabel('Cost', { exact: true }).fill('62');
  await page.getByLabel('What it bought').selectOption({ label: 'Blast gate' });
  await page.getByLabel('How many').fill('2');
  await page.getByRole('button', { name: 'Add the change' }).click();
  await expect(page.getByText(/bought: blast gate/)).toBeVisible();
  await saved(page);
  await page.goto('/shop/heron-slip/improve');
  await page.getByText(/^Prices, in/).click();
  await expect(page.getByLabel('Price: Blast gate, each')).toHaveAttribute(
    'placeholder',
    /^31, paid /,
  );
});

test('a collector that must stay on casters is told nothing that ties it down', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/improve');
  const tried = page.getByRole('region', { name: 'Everything tried' });
  await expect(tried).toBeVisible();
  await page.getByLabel('The collector must stay on casters').check();
  await expect(tried).toContainText('the collector could not be rolled any more', {
    timeout: 30_000,
  });
});

test('a second gate is left open with a drop, counts in its airflow, and is shut again', async ({
  page,
}) => {
  await openDemo(page);
  const row = page.getByRole('row', { name: /^Table saw/ }).first();
  const flowOf = async () =>
    Number(/Table saw\s*375\s*(\d+)/.exec((await row.textContent()) ?? '')?.[1]);
  const alone = await flowOf();
  await page.getByRole('button', { name: /^Air and methods/ }).click();
  const gates = page.getByRole('region', { name: 'Second gates' });
  await gates.getByLabel('While this runs').selectOption({ label: 'Table saw' });
  await gates.getByLabel('leave open too').selectOption({ label: 'Band saw' });
  await gates.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(gates.getByText('Band saw while Table saw runs')).toBeVisible();
  await expect.poll(flowOf).toBeLessThan(alone - 20);
  await expect(gates.getByRole('button', { name: 'Add', exact: true })).toBeDisabled();
  await saved(page);
  await page.reload();
  await gates.getByRole('button', { name: /^Shut it/ }).click();
  await expect.poll(flowOf).toBe(alone);
});
