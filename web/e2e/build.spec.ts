import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { expect, openDemo, saved, test } from './bench';

const boxes = (page: Page) => page.getByRole('checkbox', { name: /^Cut: piece/ });

async function openCuts(page: Page): Promise<void> {
  await openDemo(page);
  await page.getByRole('link', { name: /^7\s*Build/ }).click();
  await page.getByRole('link', { name: 'Cut list' }).click();
  await expect(boxes(page).first()).toBeVisible();
}

test('half of the cut list is ticked, the plan changes, and the list says what changed', async ({
  page,
}) => {
  await openCuts(page);
  const pieces = await boxes(page).count();
  expect(pieces).toBeGreaterThan(6);
  const ticked = Math.floor(pieces / 2);
  for (let i = 0; i < ticked; i++) await boxes(page).nth(i).check();
  await saved(page);
  await expect(page.getByText('was cut at')).toHaveCount(0);
  const lengths = page.getByRole('list', { name: 'Lengths of stock' });
  await expect(lengths.first()).toContainText(/cut from it: piece \d+/);

  // A wider duct has longer elbows: what lies between them is shorter.
  await page.getByRole('link', { name: /^3 Air/ }).click();
  const inside = page.getByLabel('Inside diameter of Far end');
  const was = await inside.inputValue();
  await inside.fill('7');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.goto('/shop/heron-slip/build/cuts');
  const stale = page.getByText(/▼ was cut at .*, before the plan changed/);
  await expect(stale).not.toHaveCount(0);
  const changed = await stale.count();
  expect(changed).toBeLessThan(ticked);
  await expect(page.getByText(/a piece of an earlier plan: /).first()).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /^Cut: piece/, checked: true })).toHaveCount(
    ticked - changed,
  );

  // What the plan was, it is again; every tick is there, after a reload too.
  await page.getByRole('link', { name: /^3 Air/ }).click();
  await inside.fill(was);
  await page.keyboard.press('Enter');
  await saved(page);
  await page.goto('/shop/heron-slip/build/cuts');
  await page.reload();
  await expect(page.getByRole('checkbox', { name: /^Cut: piece/, checked: true })).toHaveCount(
    ticked,
  );

  // Nothing was cut after all: one press, and one to have it back.
  await page.getByRole('button', { name: 'Untick all' }).click();
  await expect(lengths.first()).not.toContainText('cut from it');
  await page.getByTitle('Undo, Ctrl+Z').click();
  await expect(lengths.first()).toContainText('cut from it');
});

test('pipe sold in other lengths is cut anew; a length nobody sells is refused', async ({
  page,
}) => {
  await openCuts(page);
  const stock = page.getByLabel('Pipe is sold in');
  await stock.fill('5 ft');
  await expect(
    page.getByText(/lengths? of 5′; no way of cutting needs fewer/).first(),
  ).toBeVisible();
  await stock.fill('0');
  await expect(stock).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByText(/lengths? of 5′;/).first()).toBeVisible();
  await stock.fill('');
  await expect(page.getByText(/lengths? of 10′;/).first()).toBeVisible();
});

test('the cut list goes out as a table', async ({ page }) => {
  await openCuts(page);
  const pieces = await boxes(page).count();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const lines = readFileSync(await download.path(), 'utf8')
    .trim()
    .split('\r\n');
  expect(lines[0]).toBe('Piece,Run,Pipe,Inside diameter,Length,"Length, mm"');
  expect(lines).toHaveLength(pieces + 1);
});

test('parts that are there are ticked off, what is left to buy costs less, and it is undone', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: /^7\s*Build/ }).click();
  const says = page.getByRole('main').getByRole('status');
  const left = async () =>
    Number(
      /about \$([\d,]+) by the price book/
        .exec((await says.textContent()) ?? '')?.[1]
        ?.replace(',', ''),
    );
  await expect(says).toContainText('to buy, about $');
  const before = await left();
  await page
    .getByRole('checkbox', { name: /^Have it: Elbow/ })
    .first()
    .check();
  await expect.poll(left).toBeLessThan(before);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('checkbox', { name: /^Have it: Elbow/ }).first()).toBeChecked();
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect.poll(left).toBe(before);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  expect(text).toContain('Blast gate');
});

test('a shop without ducts has nothing to build, and says what comes first', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Bare');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('link', { name: /^7\s*Build/ }).click();
  await expect(page.getByText('there is nothing to build yet', { exact: false })).toBeVisible();
  // Its bin has a line to be emptied at all the same.
  await page.getByRole('link', { name: 'Labels', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Labels: Bin' })).toContainText('Max fill');
  await expect(page.getByText(/have labels once there are ducts/)).toBeVisible();
  await page.getByRole('link', { name: 'Cut list' }).click();
  await expect(page.getByText('First connect a machine under Air')).toBeVisible();
});

test('ducts that were typed and not drawn have parts and joints, and no drawing', async ({
  page,
}) => {
  const shop = JSON.parse(readFileSync('demo/heron-slip.json', 'utf8'));
  shop.room.outline = [];
  shop.collector.place = null;
  shop.journal = { ...shop.journal, readings: [], events: [] };
  for (const machine of shop.machines) machine.place = null;
  for (const node of shop.ducts.nodes) node.at = null;
  for (const run of shop.ducts.runs) Object.assign(run, { route: null, length: 3 });
  await page.goto('/');
  await page.getByLabel('Shop file').setInputFiles({
    name: 'typed.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(shop)),
  });
  await expect(page.getByRole('link', { name: /Heron Slip/ })).toBeVisible();
  await page.goto('/shop/heron-slip/build');
  await expect(
    page.getByRole('row', { name: /Galvanized, spiral, 5 in\., lengths of 10′/ }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Assembly' }).click();
  await expect(page.getByRole('table', { name: 'Joints, Back main' })).toBeVisible();
  await page.getByRole('link', { name: 'Drawings' }).click();
  await expect(page.getByText('Draw the room and the ducts on the Floor')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save as PDF' })).toHaveCount(0);
});

test('a template of a pipe into a drum is saved at true size; a pipe larger than its drum is named', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/templates');
  await page.getByLabel('Pipe, outside diameter').fill('6.275');
  await page.getByLabel('Drum, outside diameter').fill('22.5');
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as SVG: Pipe' }).click(),
  ]);
  const text = readFileSync(await svg.path(), 'utf8');
  const [, points = ''] = /<polygon points="([^"]+)"/.exec(text) ?? [];
  const xs = points.split(' ').map((each) => Number(each.split(',')[0]));
  // Once around 6.275 in.: π · 159.385 mm.
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(Math.PI * 6.275 * 25.4, 1);
  const [dxf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as DXF: Hole' }).click(),
  ]);
  expect(readFileSync(await dxf.path(), 'utf8')).toContain('CUT');

  await page.getByLabel('Pipe, outside diameter').fill('24');
  await expect(
    page.getByText(
      /The pipe is larger than what it goes into\. It can be at most [\d½¼¾⅜⅝⅛⅞.]+\sin\./,
    ),
  ).toBeVisible();
  await expect(page.getByText('There is no template for these sizes.')).toBeVisible();
  // The drawing stays, to be looked at.
  await expect(page.getByRole('img', { name: 'Pipe, to scale' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save as SVG: Pipe' })).toHaveCount(0);
  await page.getByLabel('Pipe, outside diameter').fill('6');
  await page.getByLabel('Offset').fill('10');
  await expect(page.getByText('the pipe passes beside the wall', { exact: false })).toBeVisible();
  await page.getByLabel('Offset').fill('');
  await expect(page.getByRole('img', { name: 'Pipe, to scale' })).toBeVisible();
});

test('the template is printed over sheets of the paper chosen, and what was typed is kept', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/templates');
  await page.getByLabel('Pipe, outside diameter').fill('6.275');
  await page.getByLabel('Paper').selectOption('a4');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF: Pipe' }).click(),
  ]);
  const pdf = await getDocumentProxy(new Uint8Array(readFileSync(await download.path())));
  // Twenty inches around, and a foot deep where the drum curves away: two sheets of A4 each way.
  expect(pdf.numPages).toBe(4);
  const [, , width = 0, height = 0] = (await pdf.getPage(1)).view;
  expect([width, height].map((each) => Math.round((each * 25.4) / 72)).sort()).toEqual([210, 297]);
  const { text } = await extractText(pdf, { mergePages: true });
  expect(text).toContain('Pipe, sheet 4 of 4: row 2, column 2');
  expect(text).toContain('Print at 100 %');

  await page.getByRole('link', { name: 'Parts', exact: true }).click();
  await page.getByRole('link', { name: 'Templates' }).click();
  await expect(page.getByLabel('Pipe, outside diameter')).toHaveValue(/^6\.275|^6 ?9/);
  await page.reload();
  await expect(page.getByLabel('Paper')).toHaveValue('a4');
});

test('an elbow of mitered pieces and a lid with two elbows: a wrong size is named at its field', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/templates');
  await page.getByLabel('Template for').selectOption({ label: 'mitered elbow' });
  await expect(page.getByText('Every cut stands 11.3° from square.')).toBeVisible();
  await page.getByLabel('Radius of the centerline').fill('2');
  await expect(page.getByText('its throat has no length', { exact: false })).toBeVisible();
  await expect(page.getByText('There is no template for these sizes.')).toBeVisible();
  await page.getByLabel('Radius of the centerline').fill('');
  await page.getByLabel('Pieces').fill('3.5');
  await expect(page.getByText('An elbow is made of 2 to 12 pieces.')).toBeVisible();
  await page.getByLabel('Pieces').fill('3');
  await expect(page.getByRole('img', { name: 'Middle piece, to scale' })).toBeVisible();

  await page.getByLabel('Template for').selectOption({ label: 'lid, two elbows' });
  await expect(page.getByRole('img', { name: 'Lid, to scale' })).toBeVisible();
  await page.getByLabel('Inlet elbow, outside diameter').fill('12');
  await expect(page.getByText('The two holes meet, or nearly', { exact: false })).toBeVisible();
  await page.getByLabel('Lid, outside diameter').fill('20');
  await expect(page.getByText('so it falls in. Make it more than', { exact: false })).toBeVisible();

  await page.getByLabel('Template for').selectOption({ label: 'hole and small holes around it' });
  await expect(page.getByRole('img', { name: 'Hole, to scale' })).toBeVisible();
  await page.getByLabel('Small holes, on a circle of').fill('6');
  await expect(page.getByText('would meet the large one', { exact: false })).toBeVisible();
});

test('parts are bought stage by stage: what is there for one counts for the whole', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build');
  const parts = page.getByRole('table', { name: 'Parts' });
  const gates = parts.getByRole('row', { name: /Hanger/ });
  const whole = await gates.textContent();
  await page.getByLabel('Buy').selectOption({ label: 'first the mains and the collector' });
  await expect(parts.getByRole('row', { name: /Gasket, for bin and filter/ })).toBeVisible();
  await gates.getByRole('checkbox').check();
  await saved(page);
  await page.getByLabel('Buy').selectOption({ label: 'all at once' });
  await expect(gates).toContainText(/\d+ there/);
  expect(whole).not.toContain('there');
  await expect(gates.getByRole('checkbox')).not.toBeChecked();
  await page.reload();
  await expect(gates).toContainText(/\d+ there/);
  await gates.getByRole('checkbox').check();
  await expect(gates).not.toContainText('there');
  await page.getByTitle('Undo, Ctrl+Z').click();
  await expect(gates).toContainText(/\d+ there/);
});

test('joints are ticked off as dry-fitted and sealed, run by run, and it outlives a reload', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/assembly');
  const says = page.getByRole('main').getByRole('status');
  await expect(says).toContainText(/^0 of \d+ joints dry-fitted, 0 sealed/);
  await page.getByRole('button', { name: 'All fitted: Back main' }).click();
  await saved(page);
  const main = page.getByRole('table', { name: 'Joints, Back main' });
  const joints = await main.getByRole('row').count();
  await expect(says).toContainText(`${joints - 1} of `);
  // What is sealed was fitted: one tick is enough.
  const saw = page.getByRole('checkbox', { name: /^Sealed: Table saw drop/ }).first();
  await saw.check();
  await expect(
    page.getByRole('checkbox', { name: /^Dry-fitted: Table saw drop/ }).first(),
  ).toBeChecked();
  await saved(page);
  await page.reload();
  await expect(says).toContainText(`${joints} of `);
  await expect(says).toContainText('1 sealed');
  // And what is not fitted is not sealed.
  await page
    .getByRole('checkbox', { name: /^Dry-fitted: Table saw drop/ })
    .first()
    .uncheck();
  await expect(says).toContainText('0 sealed');
  await page.getByTitle('Undo, Ctrl+Z').click();
  await expect(says).toContainText('1 sealed');
});

test('a drawing with piece numbers is printed to scale, and points are told by their wall', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/drawings');
  await expect(page.getByRole('img', { name: 'Isometric, with piece numbers' })).toBeVisible();
  await page.getByLabel('Sheet', { exact: true }).selectOption({ label: 'From the back' });
  await page.getByLabel('Scale', { exact: true }).selectOption('50');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF' }).click(),
  ]);
  const pdf = await getDocumentProxy(new Uint8Array(readFileSync(await download.path())));
  expect(pdf.numPages).toBe(1);
  const { text } = await extractText(pdf, { mergePages: true });
  expect(text).toContain('Heron Slip, from the back, 1:50. Print at 100 %.');
  // The saw's drop is by the front wall, and begins 43 in. above the floor, 177 in. from the corner on the left.
  for (const figure of ['43 in.', '177 in.', '4 in.']) expect(text).toContain(figure);
  const points = page.getByRole('table', { name: 'Points of the ducts' });
  await expect(points.getByRole('row', { name: /^Back main, pipe begins/ })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Hangers' }).getByRole('row')).not.toHaveCount(1);
  await expect(page.getByText('No drawn duct goes through a wall')).toBeVisible();
});

test('labels say which machine a gate is opened for, and each piece its number', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/labels');
  const gates = page.getByRole('list', { name: 'Labels: Gates' });
  await expect(gates.getByRole('listitem').filter({ hasText: 'Far end' })).toContainText(
    /Open for (Planer, Drum sander|Drum sander, Planer)/,
  );
  const pieces = page.getByRole('list', { name: 'Labels: Pieces of pipe' });
  const printed = await pieces.getByRole('listitem').count();
  await expect(page.getByRole('list', { name: 'Labels: Bin' })).toContainText('Max fill');
  await page.getByRole('checkbox', { name: 'Gates' }).uncheck();
  await expect(gates).toHaveCount(0);
  await page.getByRole('link', { name: 'Cut list' }).click();
  await expect(boxes(page)).toHaveCount(printed);
});

test('gate switches are listed for the electrician, and tried out', async ({ page }) => {
  await openDemo(page);
  await page.goto('/shop/heron-slip/build/switches');
  const list = page.getByRole('list', { name: 'For the electrician' });
  await expect(list).toContainText('A switch at each of these 5 gates');
  await expect(list).toContainText('None at Far end');
  await expect(list).toContainText(/holds the contactor for \d+ s/);
  await page.getByRole('button', { name: 'Fit simulated switches' }).click();
  const says = page.getByRole('region', { name: 'Try it' }).getByRole('status');
  await expect(says).toHaveText('The blower stands still. Open a gate, or switch it on by hand.');
  const planer = page.getByRole('group', { name: 'Simulated gate switches' }).getByRole('button', {
    name: 'Planer drop',
  });
  await planer.click();
  await expect(says).toHaveText('The blower is running.');
  await planer.click();
  await expect(says).toContainText('The blower runs on until the ducts are clear');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Take the simulated switches off' })).toBeVisible();
});
