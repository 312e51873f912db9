import { expect, openDemo, saved, test } from './bench';

test('weighings give the share caught, and stand among the trends with noise and the filter', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/weighings');
  const section = page.getByRole('region', { name: 'Weighings', exact: true });
  // 82.8 kg in the separator's bin, 3.7 kg below the filter.
  await expect(section).toContainText('95.7 %');
  await expect(section).toContainText('by mass, in 2 periods');
  const form = page.getByRole('region', { name: 'New weighing' });
  await page.getByLabel('Bin', { exact: true }).selectOption({ label: 'The bin below the filter' });
  await page.getByRole('button', { name: 'Add weighing' }).click();
  await expect(form.getByRole('alert')).toHaveText('Enter what it weighed, or its volume.');
  await page.getByLabel('Weight', { exact: true }).fill('40 lb');
  await page.getByLabel('Day', { exact: true }).fill('2031-01-01');
  await page.getByRole('button', { name: 'Add weighing' }).click();
  await expect(form.getByRole('alert')).toHaveText('That day is still to come.');
  await page.getByLabel('Day', { exact: true }).fill('2026-08-20');
  await page.getByRole('button', { name: 'Add weighing' }).click();
  await saved(page);
  await expect(section).toContainText('in 3 periods');
  await expect(section.getByRole('row')).toHaveCount(8);
  await page.getByRole('button', { name: 'Remove the weighing of Aug 20, 2026' }).click();
  await expect(section).toContainText('95.7 %');

  await page.goto('/shop/heron-slip/log/history');
  const choice = page.getByLabel('What is drawn over time');
  for (const [subject, axis] of [
    ['Separation efficiency', 'separation efficiency, %'],
    ['Sound, At the bench', 'sound level, dB(A)'],
    ['Filter, at one flow', /^filter at \d+ CFM, in\. w\.g\.$/],
    ['Planer', 'airflow, CFM'],
  ] as const) {
    await choice.selectOption({ label: subject });
    await expect(page.locator('.recharts-label').filter({ hasText: axis })).toBeVisible();
  }
});
