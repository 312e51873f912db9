import { readFileSync } from 'node:fs';
import { expect, flowOf, openDemo, saved, test } from './bench';

const demo = () => JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));

for (const [typed, sentence] of [
  ['-3', /too little/],
  ['1x', /'1x' is not a number/],
  ['20 mph', /is a velocity; this field takes a length/],
] as const) {
  test(`a length of ${typed} is refused at the field, and stays typed`, async ({ page }) => {
    await openDemo(page);
    const before = await flowOf(page, 'Planer');
    const field = page.getByLabel('Length of Far end');
    await field.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
    await page.getByLabel('Length of Back main').focus();
    await expect(field).toHaveValue(typed);
    expect(await flowOf(page, 'Planer')).toBe(before);
    await page.reload();
    await expect(page.getByLabel('Length of Far end')).toHaveValue(/^12′?$/);
  });
}

test('a curve that goes backward is refused with its line', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Blower/ }).click();
  const curve = page.getByLabel(/^Curve: /);
  await curve.fill('0 10\n400 8\n300 6');
  await expect(page.getByText('Line 3: the flow goes backward')).toBeVisible();
  const before = await flowOf(page, 'Planer');
  await curve.fill('0 12\n600 10\n1200 0');
  await expect.poll(() => flowOf(page, 'Planer')).toBeGreaterThan(before);
});

test('a curve in the wrong unit is refused where it is typed, and stays there', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Blower/ }).click();
  const curve = page.getByLabel(/^Curve: /);
  const before = await flowOf(page, 'Planer');
  await curve.fill('0 2500\n400 2000\n900 0');
  await expect(
    page.getByText('Line 1: 2,500 in. w.g. is more than any blower makes'),
  ).toBeVisible();
  await curve.blur();
  await expect(curve).toHaveValue('0 2500\n400 2000\n900 0');
  expect(await flowOf(page, 'Planer')).toBe(before);
  // Put right, letter by letter, it is taken as it is typed.
  await curve.fill('0 12');
  await curve.press('End');
  await curve.pressSequentially('\n600 10.25\n1200 0');
  await expect(curve).toHaveValue('0 12\n600 10.25\n1200 0');
  await expect.poll(() => flowOf(page, 'Planer')).toBeGreaterThan(before);
});

test('past the curve’s last point it says so instead of guessing', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Blower/ }).click();
  await page.getByLabel(/^Curve: /).fill('0 12\n200 11');
  await expect(page.getByText('the last point of its curve').first()).toBeVisible();
});

const loop = () => {
  const shop = demo();
  const [run] = shop.ducts.runs;
  shop.ducts.nodes.push({ id: 'a', kind: { kind: 'joint' }, at: null, style: {} });
  shop.ducts.nodes.push({ id: 'b', kind: { kind: 'joint' }, at: null, style: {} });
  shop.ducts.runs.push({ ...run, id: 'ab', name: 'Round', from: 'a', to: 'b' });
  shop.ducts.runs.push({ ...run, id: 'ba', name: 'About', from: 'b', to: 'a' });
  return JSON.stringify(shop);
};

const loose = () => {
  const shop = demo();
  shop.ducts.runs[2].to = 'nowhere';
  return JSON.stringify(shop);
};

for (const [what, text, sentence] of [
  ['that is not JSON', () => 'hello', /is not JSON/],
  ['that is JSON but no shop', () => '{"a": 1}', /JSON, but not a Frank Gauge shop/],
  [
    'of a newer version',
    () => JSON.stringify({ ...demo(), version: demo().version + 1 }),
    /newer Frank Gauge/,
  ],
  ['with a loop', loop, /'Round' is part of a loop/],
  ['with a run attached to nothing', loose, /attached to nothing/],
  ['of 120 MB', () => ' '.repeat(120_000_000), /at 120 MB it is larger than any shop/],
] as const) {
  test(`a file ${what} is refused and nothing stored changes`, async ({ page }) => {
    await openDemo(page);
    await saved(page);
    await page.goto('/');
    await expect(page.getByRole('link', { name: /Heron Slip/ })).toHaveCount(1);
    const buffer = Buffer.from(text());
    const path = test.info().outputPath('wrong.json');
    const { mkdirSync, writeFileSync } = await import('node:fs');
    mkdirSync(test.info().outputDir, { recursive: true });
    writeFileSync(path, buffer);
    await page.getByLabel('Shop file').setInputFiles(path);
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
    await expect(page.getByRole('link', { name: /drops · changed/ })).toHaveCount(1);
  });
}
