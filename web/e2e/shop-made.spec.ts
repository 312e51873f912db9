import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { openDemo } from './bench';

const open = async (page: Page, what: string) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/shop-made');
  await page.getByLabel('Make', { exact: true }).selectOption({ label: what });
};

const download = async (page: Page, button: string) => {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
};

test('a lid is made for a 55-gallon drum, printed at true size, and kept', async ({ page }) => {
  await open(page, 'Lid for a drum');
  await page.getByLabel('Drum, inside diameter').fill('22 1/2');
  await page.getByLabel('Drum rim, thickness').fill('1/2');
  const parts = page.getByRole('table', { name: 'Parts' });
  // The outer ring reaches its own width beyond the rim: 22.5 + 2 × (0.5 + 1.5) in. and the play.
  await expect(parts.getByRole('row', { name: /outer ring/ })).toContainText('26⅝ in. across');
  await expect(page.getByText('▼ not met')).toHaveCount(0);
  await expect(page.getByRole('img', { name: 'Lid for a drum, parts drawn apart' })).toBeVisible();

  await page.getByText('Each part at true size').click();
  const { bytes } = await download(page, 'Save as PDF: A: lid');
  const pdf = await getDocumentProxy(new Uint8Array(bytes));
  // 26⅝ in. takes four sheets of Letter across and three up.
  expect(pdf.numPages).toBeGreaterThanOrEqual(12);
  const { text } = await extractText(pdf, { mergePages: true });
  expect(text).toContain('26 5/8 in. across');
  const svg = await download(page, 'Save as SVG: A: lid');
  const radii = [...svg.bytes.toString('utf8').matchAll(/ r="([\d.]+)"/g)].map(([, r]) =>
    Number(r),
  );
  // 11.25 + 0.5 in. and 1.5 mm play and 1.5 in.: 338.05 mm.
  expect(Math.max(...radii)).toBeCloseTo(13.25 * 25.4 + 1.5, 1);

  await page.reload();
  await expect(page.getByLabel('Drum, inside diameter')).toHaveValue('22½');
  await page.getByRole('button', { name: 'Reset all sizes' }).click();
  await expect(page.getByLabel('Drum, inside diameter')).toHaveValue('');
});

test('sizes follow the collector until they are typed', async ({ page }) => {
  await open(page, 'Slotted baffle');
  const drum = page.getByLabel('Drum, inside diameter');
  const before = await drum.getAttribute('placeholder');
  await page.goto('/shop/heron-slip/collector/elevation');
  await page.getByRole('button', { name: 'Bin', exact: true }).first().click();
  await page.getByLabel('Width, bin').fill('24');
  await page.goto('/shop/heron-slip/build/shop-made');
  await expect(drum).not.toHaveAttribute('placeholder', before ?? '');
  await expect(drum).toHaveAttribute('placeholder', /^23⅞|^23 15/);
});

test('a wrong size is named at its field with the number that would do; nothing typed is lost', async ({
  page,
}) => {
  await open(page, 'Lid for a drum');
  await page.getByLabel('Gasket, width').fill('2');
  await expect(
    page.getByText('is narrower than its gasket of 2 in.', { exact: false }),
  ).toBeVisible();
  await expect(
    page.getByText('A part of these sizes cannot be made', { exact: false }),
  ).toBeVisible();
  // The drawing stays, to be looked at.
  await expect(page.getByRole('img', { name: 'Lid for a drum, parts drawn apart' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Save as/ })).toHaveCount(0);
  await expect(page.getByLabel('Gasket, width')).toHaveValue('2');
  await page.getByLabel('Gasket, width').fill('abc');
  await expect(page.getByRole('alert').first()).toBeVisible();
  await page.getByLabel('Gasket, width').fill('1/2');
  await expect(page.getByRole('table', { name: 'What it clears and carries' })).toBeVisible();

  await page.getByLabel('Make', { exact: true }).selectOption({ label: 'Motor cleat' });
  await page.getByLabel('Cleat, length').fill('18');
  await page.getByLabel('Bolt spacing, across').fill('6');
  await page.getByLabel('Left end, from the corner on the left').fill("10'");
  await expect(page.getByText(/there is only one stud, .* from the corner/)).toBeVisible();
  await page.getByLabel('Wall, by number').fill('9');
  await expect(page.getByText('The room has walls 1 to', { exact: false })).toBeVisible();
});

test('sheet goods: other sheets, other saws, what fits none of them is said', async ({ page }) => {
  await open(page, 'Filter box');
  const sheets = page.getByRole('region', { name: 'Sheet goods' });
  await expect(sheets.getByText(/: 1 sheet, by area no fewer than 1/)).toBeVisible();
  await sheets.getByLabel('Sheet, width').fill('36');
  await sheets.getByLabel('Sheet, height along the grain').fill('48');
  await expect(sheets.getByText(/: [23] sheets, by area no fewer than [12]/)).toBeVisible();
  await sheets.getByLabel('Sheet, width').fill('12');
  await expect(sheets.getByText('No sheet is large enough for', { exact: false })).toBeVisible();
  await page.reload();
  await expect(sheets.getByLabel('Sheet, width')).toHaveValue('12');
  await sheets.getByLabel('Sheet, width').fill('48');
  await sheets.getByLabel('Grain', { exact: true }).selectOption({ label: 'may be turned' });
  await expect(sheets.getByRole('img').first()).toBeVisible();

  const csv = await download(page, 'Save as CSV');
  const rows = csv.bytes.toString('utf8').trim().split('\n');
  expect(rows[0]).toContain('Letter,Part,Pieces');
  expect(rows.length).toBeGreaterThan(8);
});

test('lid, baffle and filter box are laid out on the same sheets', async ({ page }) => {
  for (const name of ['Lid for a drum', 'Slotted baffle', 'Filter box']) {
    await open(page, name);
    await page.getByLabel('I am going to make this').check();
  }
  await expect(page.getByText('On your list: 1 Lid for a drum, 2 Slotted baffle')).toBeVisible();
  const sheets = page.getByRole('region', { name: 'Sheet goods' });
  await sheets.getByLabel('Lay out').selectOption({ label: 'everything on my list together' });
  await expect(sheets.getByRole('img').first()).toContainText('1A');
  for (const letter of ['2A', '3J']) {
    await expect(sheets.getByText(letter, { exact: true }).first()).toBeAttached();
  }
  // What cannot be made is left out, and said.
  await page.getByLabel('Door opening, width').fill('30');
  await open(page, 'Lid for a drum');
  await expect(sheets).toContainText('Left out, because a size of it is wrong: Filter box.');
  await page.reload();
  await expect(sheets.getByText('2A', { exact: true }).first()).toBeAttached();
  await page.getByLabel('I am going to make this').uncheck();
  await expect(page.getByText('On your list: 1 Slotted baffle, 2 Filter box.')).toBeVisible();
});

test('what is printed is saved as a body, and the drawing as PDF, SVG and DXF', async ({
  page,
}) => {
  await open(page, 'Blast gate from sheet');
  const stl = await download(page, 'Save as STL: collar');
  expect(stl.name).toBe('blast-gate-from-sheet-collar.stl');
  const view = new DataView(new Uint8Array(stl.bytes).buffer);
  expect(stl.bytes.length).toBe(84 + 50 * view.getUint32(80, true));
  const pdf = await download(page, 'Save as PDF: Blast gate from sheet');
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf.bytes)), {
    mergePages: true,
  });
  expect(text).toContain('Blast gate from sheet, 1:');
  const dxf = await download(page, 'Save as DXF: Blast gate from sheet');
  expect(dxf.bytes.toString('utf8')).toContain('CUT');
});

test('everything in the list can be made in an empty shop', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Bare');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.waitForURL(/\/shop\//);
  const shop = /\/shop\/([^/]+)/.exec(page.url())?.[1] ?? '';
  await page.goto(`/shop/${shop}/build/shop-made`);
  const choice = page.getByLabel('Make', { exact: true });
  await expect(choice.locator('option')).toHaveCount(12);
  const names = await choice.locator('option').allTextContents();
  for (const label of names) {
    await choice.selectOption({ label });
    await expect(page.getByRole('table', { name: 'Parts' })).toBeVisible();
    await expect(page.getByRole('img', { name: `${label}, parts drawn apart` })).toBeVisible();
  }
});
