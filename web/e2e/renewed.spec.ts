import { fileURLToPath } from 'node:url';
import { expect, flowOf, openDemo, saved, test } from './bench';

const OLD_SHOP = fileURLToPath(new URL('../../core/src/file/kept/version-3.json', import.meta.url));

test('a shop file of an older version says once which estimates were renewed', async ({ page }) => {
  await page.goto('/');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: /import/i }).click(),
  ]);
  await chooser.setFiles(OLD_SHOP);
  await page.getByRole('link', { name: 'Heron Slip' }).click();
  const notice = page.getByRole('region', { name: 'Renewed estimates' });
  await expect(notice).toContainText('Seven estimates were updated.');
  await expect(notice).toContainText(
    'your collector: the separator’s loss and the filter’s permeability',
  );
  await expect(notice).toContainText('“3 hp”');
  await page.reload();
  await notice.getByRole('button', { name: 'Dismiss' }).click();
  await expect(notice).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('link', { name: /Air/ })).toBeVisible();
  await expect(notice).toHaveCount(0);
});

test('slip joints that are not taped take air from every drop, and taping brings it back', async ({
  page,
}) => {
  await openDemo(page);
  const taped = await flowOf(page, 'Planer');
  await page.getByRole('button', { name: /^Leaks, as found/ }).click();
  const joints = page.getByLabel('Joints');
  await joints.selectOption({ label: 'slip joints, not taped (estimate)' });
  await expect.poll(() => flowOf(page, 'Planer')).toBeLessThan(0.9 * taped);
  await expect(page.getByLabel('Gap at each joint')).toHaveValue('0.45');
  await joints.selectOption({ label: 'taped, sealed or gasketed' });
  await expect.poll(() => flowOf(page, 'Planer')).toBe(taped);
});

test('another media brings its usual area along, and leaves an area that was typed', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Filter/ }).click();
  const area = page.getByLabel('Media area');
  const media = page.getByLabel('Filter media', { exact: true });
  await expect(area).toHaveValue('110');
  await media.selectOption({ label: 'Cloth bag, 5 µm' });
  await expect(area).toHaveValue('14.4');
  await expect(page.getByText('at least 3 once it has run')).toBeVisible();
  await area.fill('30');
  await media.selectOption({ label: 'Spun-bond cartridge' });
  await expect(area).toHaveValue('30');
  await saved(page);
});
