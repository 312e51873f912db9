import { devices, type Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

const { defaultBrowserType: _, ...phone } = devices['Pixel 5'];

const addSimulated = async (page: Page, ...names: string[]) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/instruments');
  for (const name of names) {
    await page.getByLabel('Add a simulated meter').selectOption(name);
  }
  await saved(page);
};
const choose = (page: Page, label: string, option: string) =>
  page.getByLabel(label, { exact: true }).selectOption({ label: option });

test.describe('on a phone', () => {
  test.use({ ...phone, viewport: { width: 390, height: 844 } });

  test('a guided round on a traverse, with gates whose switches start the blower', async ({
    page,
  }) => {
    await addSimulated(page, 'Simulated vane');
    await page.getByRole('radio', { name: 'simulated', exact: true }).tap();
    await page.getByLabel('Stop delay, s').fill('2');
    await page.getByLabel('Stop delay, s').press('Enter');
    await page.getByRole('link', { name: 'Guided round' }).tap();
    await choose(page, 'Meter position', 'traverse');
    await expect(page.getByLabel('Traverse', { exact: true })).toHaveValue(/"points":6/);
    await page.getByRole('button', { name: 'Start the round' }).tap();
    await choose(page, 'Meter', 'Simulated vane');

    const gates = page.getByRole('group', { name: 'Simulated gate switches' });
    /** Turns a gate, and waits until it stands the other way. */
    const turn = async (name: string) => {
      const button = gates.getByRole('button', { name });
      const stood = await button.getAttribute('aria-pressed');
      await button.click();
      await expect(button).toHaveAttribute('aria-pressed', stood === 'true' ? 'false' : 'true');
    };
    await expect(gates).toContainText('The blower stands still.');
    const drop = (await page.getByRole('heading', { level: 2 }).first().textContent()) ?? '';
    await expect(gates).toContainText(`Still shut: ${drop} drop.`);
    const read = page.getByRole('button', { name: 'Read the simulated meter' });
    await read.tap();
    // Nothing moves while the blower stands.
    await expect(page.getByRole('button', { name: /in\. in: < end$/ }).first()).toBeVisible();
    await page.getByRole('button', { name: 'under range' }).tap();

    await turn('Planer drop');
    await expect(gates).toContainText('Also open: Planer drop.');
    await turn(`${drop} drop`);
    await turn('Planer drop');
    await expect(gates).toContainText('The blower is running.');
    await expect(gates).not.toContainText('◆');
    for (let point = 1; point <= 6; point++) {
      await expect(
        page.getByText(new RegExp(`^Point ${point}: .* in from the wall\\.$`)),
      ).toBeVisible();
      await read.tap();
      await page.getByRole('button', { name: point < 6 ? 'Next point' : 'Log' }).tap();
    }
    await expect(page.getByText('1 of 7')).toBeVisible();
    // The next drop: this one’s gate is still open, and shut it lets the blower run on.
    await expect(gates).toContainText(`Also open: ${drop} drop.`);
    await turn(`${drop} drop`);
    await expect(gates).toContainText('The blower runs on until the ducts are clear');
    await expect(gates).toContainText('The blower stands still.', { timeout: 5000 });
    await turn('Blower on by hand');
    await expect(gates).toContainText('The blower is running.');
    await saved(page);
    await page.getByRole('link', { name: 'Readings', exact: true }).tap();
    await expect(
      page
        .getByRole('row')
        .filter({ hasText: 'traverse of 6 points' })
        .filter({ hasText: 'simulated' }),
    ).toHaveCount(1);
  });
});

test('a simulated sound meter and scale are read in the forms of their own, and are marked', async ({
  page,
}) => {
  await addSimulated(page, 'Simulated sound meter', 'Simulated scale');
  await page.goto('/shop/heron-slip/log/weighings');
  const scale = page.getByRole('button', { name: 'Read the simulated scale' });
  await scale.click();
  const form = page.getByRole('region', { name: 'New weighing' });
  await expect(form.getByRole('alert')).toContainText('Enter the machine hours first');
  await page.getByLabel('Machine hours', { exact: true }).fill('20 h');
  await page.getByLabel('Machine hours', { exact: true }).press('Enter');
  await scale.click();
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue(/\d/);
  await page.getByRole('button', { name: 'Add weighing' }).click();
  await saved(page);
  const table = page.getByRole('table', { name: 'Weighings, newest first' });
  await expect(table.getByRole('row').filter({ hasText: 'simulated' })).toHaveCount(1);
  // One that is typed over is the user’s own.
  await page.getByLabel('Machine hours', { exact: true }).fill('20 h');
  await page.getByLabel('Machine hours', { exact: true }).press('Enter');
  await scale.click();
  await page.getByLabel('Weight', { exact: true }).fill('40 lb');
  await page.getByLabel('Weight', { exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Add weighing' }).click();
  await saved(page);
  await expect(table.getByRole('row').filter({ hasText: 'simulated' })).toHaveCount(1);

  await page.goto('/shop/heron-slip/collector/noise');
  const meter = page.getByRole('button', { name: 'Read the simulated sound meter' });
  await meter.click();
  await expect(page.getByText('Enter how far from the collector you stand.')).toBeVisible();
  await page.getByLabel('Distance from the collector', { exact: true }).fill('13 ft');
  await page.getByLabel('Distance from the collector', { exact: true }).press('Enter');
  await meter.click();
  await expect(page.getByLabel('Meter reading', { exact: true })).toHaveValue(/^[78]\d/);
  await page.getByLabel('Place', { exact: true }).fill('Beside the door');
  await page.getByRole('button', { name: 'Add reading' }).click();
  await saved(page);
  await expect(page.getByRole('row').filter({ hasText: 'simulated' })).toHaveCount(1);
});

test('a clamp ammeter reads the motor, and a pressure in the wrong unit is named', async ({
  page,
}) => {
  await addSimulated(page, 'Simulated clamp ammeter', 'Simulated manometer');
  await page.goto('/shop/heron-slip/log');
  await choose(page, 'Test point', 'Across the filter');
  await choose(page, 'Meter', 'Simulated clamp ammeter');
  await expect(page.getByText(/^The model expects \d+(\.\d)? A ± /)).toBeVisible();
  await page.getByRole('button', { name: 'Read the simulated meter' }).click();
  await expect(page.getByLabel('Repeat 1', { exact: true })).toHaveValue(/^\d/);
  await page.getByRole('button', { name: 'Add reading' }).click();
  await saved(page);

  await choose(page, 'Test point', 'Across the filter');
  await choose(page, 'Meter', 'Simulated manometer');
  const expected = await page.getByText(/^The model expects [\d,]+ Pa ± /).textContent();
  const pascals = Number(/expects ([\d,]+) Pa/.exec(expected ?? '')?.[1]?.replace(',', ''));
  // Its display was left on millimeters of water.
  for (const repeat of [1, 2, 3]) {
    await page
      .getByLabel(`Repeat ${repeat}`, { exact: true })
      .fill(String(Math.round(pascals / 9.80665)));
  }
  await expect(page.getByText('This would fit if the meter showed mm w.g., not Pa.')).toBeVisible();
});
