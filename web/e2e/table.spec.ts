import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, openDemo, saved, test } from './bench';

const choose = (page: Page, name: string, content: string | Buffer) =>
  page.getByLabel('CSV file').setInputFiles({
    name,
    mimeType: 'text/csv',
    buffer: Buffer.from(content),
  });

async function openTable(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log/table');
}

test('a messy table: what is good of it is imported, and the rest is named by line', async ({
  page,
}) => {
  await openTable(page);
  const messy = [
    'When;Machine;Air speed;Remarks',
    '3/7/2026;Planer;3500 fpm;first',
    '3/7/2026 10:15;table saw;17,5 m/s;',
    '3/8/2026;Lathe;3000 fpm;not on the plan',
    '3/9/2026;Planer;3600;no unit',
    '3/10/2026;Planer;90 m/s;too fast',
    '3/11/2030;Planer;3500 fpm;not yet',
    '3/12/2026;Planer;=1+1;formula',
    '3/12/2026;Pla',
  ].join('\n');
  // As an old spreadsheet on Windows writes it: with a letter no UTF-8 has.
  await choose(page, 'messy.csv', Buffer.from(messy.replace('first', 'fir\u00dft'), 'latin1'));
  await expect(
    page.getByText(/messy\.csv: 8 rows, separated by semicolons, in Windows-1252\./),
  ).toBeVisible();
  await expect(page.getByLabel('Machine holds')).toHaveValue('test point');
  const status = page.getByRole('status').filter({ hasText: 'can be imported' });
  await expect(status).toHaveText('2 readings can be imported; 6 rows have faults.');
  const faults = page.getByRole('region', { name: 'Faults' });
  await expect(faults).toContainText('Line 4: Machine: No test point is called “Lathe”.');
  await expect(faults).toContainText('Line 5: Air speed: The value has no unit');
  await expect(faults).toContainText('Line 6: Air speed: “90 m/s” is more than any duct');
  await expect(faults).toContainText('Line 7: When: 3/11/2030 is still to come.');
  await expect(faults).toContainText('Line 9: The row ends before its last column');
  await page.getByLabel('Values without a unit are in').selectOption({ label: 'fpm' });
  await expect(status).toHaveText('3 readings can be imported; 5 rows have faults.');
  await page.getByLabel('“Lathe” is').selectOption({ label: 'a new test point' });
  await expect(status).toHaveText('4 readings can be imported; 4 rows have faults.');
  await page.getByRole('radio', { name: 'day first' }).click();
  // No date tells which number is the day: it is asked.
  await expect(page.getByRole('table', { name: 'First readings of the file' })).toContainText(
    'Jul 3, 2026',
  );
  await page.getByRole('radio', { name: 'month first' }).click();
  await page.getByRole('button', { name: 'Import 4 readings' }).click();
  await expect(page.getByText('Imported 4 readings')).toBeVisible();
  await saved(page);

  // The same file again: nothing twice.
  await choose(page, 'messy.csv', messy);
  await page.getByLabel('Values without a unit are in').selectOption({ label: 'fpm' });
  await expect(status).toContainText('0 readings can be imported; 4 are here already');
  await page.getByRole('button', { name: 'Import nothing' }).click();

  await page.goto('/shop/heron-slip/log');
  await expect(
    page.getByText('Mar 7, 2026').or(page.getByText('March 7, 2026')).first(),
  ).toBeVisible();
  await expect(page.getByRole('table', { name: 'Readings, newest first' })).toContainText('Lathe');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Readings, newest first' })).not.toContainText(
    'Lathe',
  );
});

test('all readings go out as CSV, run nothing, and come back the same', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/log');
  await page.getByLabel('Test point', { exact: true }).selectOption({ label: 'Planer' });
  await page.getByLabel('Repeat 1', { exact: true }).fill('3700');
  await page.getByLabel('Note', { exact: true }).fill('=HYPERLINK("http://x","y")');
  await page.getByRole('button', { name: 'Add reading' }).click();
  await saved(page);
  await page.goto('/shop/heron-slip/log/table');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all readings as CSV' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('heron-slip.frank-gauge.readings.csv');
  const text = readFileSync(await file.path(), 'utf8');
  expect(text.charCodeAt(0)).toBe(0xfeff);
  expect(text).toContain(`"'=HYPERLINK(""http://x"",""y"")"`);
  expect(text.trim().split('\r\n')).toHaveLength(36);
  const status = page.getByRole('status').filter({ hasText: 'can be imported' });
  await choose(page, 'again.csv', text);
  await expect(status).toHaveText('0 readings can be imported; 35 are here already.');
  await expect(page.getByRole('region', { name: 'Faults' })).toBeHidden();

  // What is no table says so.
  for (const [name, content, says] of [
    ['empty.csv', '', 'empty.csv is empty.'],
    ['letter.csv', 'Dear sir, thank you', 'letter.csv is not a table'],
  ] as const) {
    await page.goto('/shop/heron-slip/log/table');
    await choose(page, name, content);
    await expect(page.getByText(says)).toContainText('Nothing was imported.');
  }
});
