import type { Locator, Page } from '@playwright/test';
import { expect, flowOf, openDemo, saved, test } from './bench';

const FOOT = 0.3048;
const ROOM = { width: 24 * FOOT, depth: 20 * FOOT } as const;
/** The plan's own margins, px. */
const MARGIN = { left: 32, right: 14, top: 32, bottom: 56 } as const;

const plan = (page: Page) => page.getByRole('group', { name: 'Plan of the shop' });
const ledger = (page: Page) => page.getByRole('region', { name: 'Floor issues' });
const inPlan = (page: Page, name: string) =>
  plan(page).getByRole('button', { name: new RegExp(`^${name};`) });

/** The demo's floor. */
async function openFloor(page: Page): Promise<void> {
  await openDemo(page);
  await page.goto('/shop/heron-slip/floor');
  await expect(page.getByRole('heading', { name: 'Room and machines' })).toBeVisible();
}

/** A new shop with an empty room of 24 by 20 ft, its floor open. */
async function emptyRoom(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByLabel('Shop name').fill('Garage');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.waitForURL(/\/shop\//);
  await saved(page);
  await page.goto(page.url().replace(/\/[a-z]+$/, '/floor'));
  await page.getByRole('button', { name: /^Room/, expanded: false }).click();
  await page.getByLabel('Width, room').fill('24 ft');
  await page.getByLabel('Depth, room').fill('20 ft');
  await page.getByLabel('Ceiling height', { exact: true }).fill('8 ft 6 in');
}

/** Where a spot of the floor is on the screen, while the whole room is in sight. */
async function onScreen(page: Page, feet: { x: number; y: number }) {
  const box = await plan(page).boundingBox();
  if (!box) throw new Error('no plan');
  const scale = Math.min(
    (box.width - MARGIN.left - MARGIN.right) / ROOM.width,
    (box.height - MARGIN.top - MARGIN.bottom) / ROOM.depth,
  );
  const left = box.x + (box.width + MARGIN.left - MARGIN.right - scale * ROOM.width) / 2;
  const bottom = box.y + (box.height + MARGIN.top - MARGIN.bottom + scale * ROOM.depth) / 2;
  return { x: left + scale * feet.x * FOOT, y: bottom - scale * feet.y * FOOT };
}

async function middleOf(thing: Locator) {
  const box = await thing.boundingBox();
  if (!box) throw new Error('not there');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

const MACHINES = [
  { menu: /^Table saw/, name: 'Table saw', at: { x: 14, y: 9 } },
  { menu: /^Band saw/, name: 'Band saw', at: { x: 8, y: 9 } },
  { menu: /^Drill press/, name: 'Drill press', at: { x: 4, y: 9 } },
] as const;

/** Every run with its size and length, as the list of ducts says it. */
const ductList = (page: Page) =>
  page.getByRole('region', { name: 'Ducts' }).getByRole('button', { name: /, / }).allTextContents();

/** What the drop table says of each machine. */
async function dropTable(page: Page): Promise<number[]> {
  await saved(page);
  await page.goto(page.url().replace(/\/floor$/, '/air'));
  await expect(page.getByRole('heading', { name: 'Every drop' })).toBeVisible();
  const flows: number[] = [];
  for (const { name } of MACHINES) flows.push(await flowOf(page, name));
  return flows;
}

/** Three machines and a branched duct, with the mouse. */
async function byMouse(page: Page): Promise<void> {
  await emptyRoom(page);
  for (const { menu, name, at } of MACHINES) {
    await page.getByRole('button', { name: 'Add a machine' }).click();
    await page.getByRole('menuitem', { name: menu }).click();
    const from = await middleOf(inPlan(page, name));
    const to = await onScreen(page, at);
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 6 });
    await page.mouse.up();
  }
  await page.getByRole('button', { name: 'Place the rest on the plan' }).click();
  const from = await middleOf(inPlan(page, 'Collector'));
  const to = await onScreen(page, { x: 20, y: 18 });
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 6 });
  await page.mouse.up();

  // The main, from the collector's inlet to the left, to an open end.
  await adoptDrawing(page);
  const inlet = await middleOf(caught(page, 'the collector'));
  await page.mouse.click(inlet.x, inlet.y);
  await expect(page.getByText('From the collector', { exact: true })).toBeVisible();
  const end = await onScreen(page, { x: 3, y: 18 });
  await page.mouse.click(end.x, inlet.y);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Main 6 in/ })).toBeVisible();

  // Each port to the main, squarely.
  for (const { name } of MACHINES) {
    const at = await middleOf(caught(page, name));
    await page.mouse.click(at.x, at.y);
    await expect(page.getByText(`From ${name}`, { exact: true })).toBeVisible();
    await page.mouse.move(at.x, inlet.y + 30);
    await page.mouse.click(at.x, inlet.y);
    await expect(page.getByRole('button', { name: new RegExp(`^${name} drop \\d`) })).toBeVisible();
  }
  await page.keyboard.press('Escape');
}

/** Takes up the tool that draws ducts. */
const adoptDrawing = (page: Page) =>
  page.getByRole('region', { name: 'Plan' }).getByRole('button', { name: 'Draw a duct' }).click();

/** What a duct that is being drawn can begin or end at, by its name. */
const caught = (page: Page, name: string) =>
  plan(page).locator('circle', { has: page.locator('title', { hasText: name }) });

/** Gives a field, reached by its label, what is typed, and nothing but keys. */
async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
}

async function press(button: Locator): Promise<void> {
  await button.focus();
  await button.press('Enter');
}

/** Where things stand and the main ends, as the fields say it. */
interface LaidOut {
  readonly places: ReadonlyMap<string, { readonly left: string; readonly front: string }>;
  readonly end: string;
}

/** Reads off what the mouse laid out. */
async function readOff(page: Page): Promise<LaidOut> {
  const places = new Map<string, { left: string; front: string }>();
  const names = [...MACHINES.map(({ name }) => [name, name]), ['Collector', 'the collector']];
  for (const [line, name] of names) {
    await page.getByRole('button', { name: new RegExp(`^${line} \\d`), expanded: false }).click();
    const left = await page.getByLabel(`From the left, ${name}`).inputValue();
    const front = await page.getByLabel(`From the front, ${name}`).inputValue();
    places.set(name ?? '', { left, front });
  }
  // Mains are numbered from the blower out: the last begins farthest away.
  await page
    .getByRole('button', { name: /^Main( \d+)? 6 in/ })
    .last()
    .click();
  const end = await page.getByLabel(/^From the left, upstream end of Main/).inputValue();
  return { places, end };
}

/** The same by keyboard alone: no pointer is used after the room. */
async function byKeys(page: Page, { places, end }: LaidOut): Promise<void> {
  await emptyRoom(page);
  const put = async (name: string) => {
    await type(page, `From the left, ${name}`, places.get(name)?.left ?? '');
    await type(page, `From the front, ${name}`, places.get(name)?.front ?? '');
  };
  for (const { menu, name } of MACHINES) {
    await press(page.getByRole('button', { name: 'Add a machine' }));
    await page.getByRole('menuitem', { name: menu }).press('Enter');
    await put(name);
  }
  await press(page.getByRole('button', { name: 'Place the rest on the plan' }));
  await press(page.getByRole('button', { name: /^Collector/, expanded: false }));
  await put('the collector');

  const drawing = page.getByRole('region', { name: 'Plan' });
  await press(drawing.getByRole('button', { name: 'Draw a duct' }));
  await page.getByLabel('Start at').selectOption('the collector');
  await page.getByLabel('Next leg, direction').selectOption('to the left');
  await type(page, 'Length, next leg', '12 ft');
  await press(page.getByRole('button', { name: 'Add leg' }));
  await press(page.getByRole('button', { name: 'Finish duct' }));
  await page.keyboard.press('Escape');
  await type(page, 'From the left, upstream end of Main', end);
  for (const [i, { name }] of MACHINES.entries()) {
    await press(page.getByRole('button', { name: new RegExp(`^${name} \\d`), expanded: false }));
    // To the part of the main that goes on beyond the drops there are.
    const farthest = i === 0 ? 'Main' : `Main ${i + 1}`;
    await page.getByLabel(`its duct to, ${name}`).selectOption(farthest);
    await press(page.getByRole('button', { name: 'Route duct', exact: true }));
    await expect(page.getByRole('button', { name: new RegExp(`^${name} drop \\d`) })).toBeVisible();
  }
}

test('three machines and a branched duct by mouse, then by keyboard alone: the same drop table', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await byMouse(page);
  await expect(ledger(page)).not.toContainText('has no duct');
  await expect(ledger(page)).not.toContainText('against the flow');
  const laidOut = await readOff(page);
  const drawn = await ductList(page);
  const byHand = await dropTable(page);
  for (const flow of byHand) expect(flow).toBeGreaterThan(250);
  await byKeys(page, laidOut);
  expect(await ductList(page)).toEqual(drawn);
  expect(await dropTable(page)).toEqual(byHand);
  // And all of it undone, back to the empty room.
  await page.goto(page.url().replace(/\/air$/, '/floor'));
  const undo = page.getByRole('button', { name: /^Undo/ });
  await expect(undo).toBeEnabled();
  for (let step = 0; step < 80 && (await undo.isEnabled()); step++) {
    await page.locator('body').press('Control+z');
    await saved(page);
  }
  await expect(inPlan(page, 'Table saw')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Main/ })).toHaveCount(0);
});

test('a machine dragged takes its duct along, and its flow follows; undone back to empty', async ({
  page,
}) => {
  await openDemo(page);
  const before = await flowOf(page, 'Planer');
  await openFloor(page);
  const length = page.getByRole('button', { name: /^Planer drop / });
  await expect(length).toContainText('3′ 3″');
  const from = await middleOf(inPlan(page, 'Planer'));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y + 60, { steps: 6 });
  await page.mouse.up();
  await expect(ledger(page)).toContainText(/The hose of Planer drop is too long/);
  await saved(page);
  await page.goto('/shop/heron-slip/air');
  expect(await flowOf(page, 'Planer')).toBeLessThan(before);
  await page.locator('body').press('Control+z');
  await expect.poll(() => flowOf(page, 'Planer')).toBe(before);
});

test('a bend is dragged and typed, made otherwise, and the drop’s figures follow', async ({
  page,
}) => {
  await openFloor(page);
  await page.getByRole('button', { name: /^Table saw drop \d/ }).click();
  const figures = page.getByRole('region', { name: 'Figures of Table saw drop' });
  await expect(figures).toContainText('45° wye');
  const height = page.getByLabel('Height, hose end of Table saw drop');
  await height.fill('5 ft');
  await expect(page.getByRole('button', { name: /^Table saw drop \d/ })).toContainText(/12′ \d/);
  await page
    .getByLabel('Elbow type of bend 1 of Table saw drop')
    .selectOption({ label: 'two half turns, five-piece' });
  await expect(figures.getByRole('cell', { name: 'Elbow' })).toHaveCount(3);
  const bend = plan(page).getByRole('button', { name: /^Bend 3 of Table saw drop/ });
  await bend.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('From the front, bend 2 of Table saw drop')).toHaveValue(/^17′ \d/);
  await page.keyboard.press('PageDown');
  await expect(page.getByLabel('Height, bend 2 of Table saw drop')).toHaveValue(/^[78]′/);
  await page.getByRole('button', { name: 'Add a bend' }).click();
  await page.getByRole('button', { name: 'Split', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Branch to Table saw / })).toBeVisible();
});

test('a wye is made a tee under its duct: the branch gets less, and it is undone in one step', async ({
  page,
}) => {
  await openFloor(page);
  await page.getByRole('button', { name: /^Band saw drop \d/, expanded: false }).click();
  const joins = page.getByLabel('Joins by, Band saw drop');
  await expect(joins).toHaveValue('45');
  await expect(plan(page).getByText(/^45° wye/)).toBeVisible();
  const route = page.getByRole('region', { name: 'Route of Band saw to the blower' });
  const gets = async () => Number.parseFloat((await route.locator('strong').textContent()) ?? '');
  const before = await gets();
  await joins.selectOption({ label: 'a tee' });
  await expect(plan(page).getByText(/^90° tee/)).toBeVisible();
  expect(await gets()).toBeLessThan(before);
  await page.locator('body').press('Control+z');
  await expect(joins).toHaveValue('45');
  await expect.poll(gets).toBe(before);
});

test('where a run goes on wider the reducer is named with its sizes and coefficient', async ({
  page,
}) => {
  await openFloor(page);
  await page.getByRole('button', { name: /^Far end \d/, expanded: false }).click();
  await expect(plan(page).getByText(/^5 in\. to 6 in\. +C 0\.0\d$/)).toBeVisible();
  await page.getByLabel('Inside diameter, Far end').fill('6');
  await expect(plan(page).getByText(/ to 6 in/)).toHaveCount(0);
});

test('gates are tapped on the plan, and a branch is taken out and brought back', async ({
  page,
}) => {
  await openFloor(page);
  const gate = plan(page).getByRole('button', { name: 'Gate of Table saw drop' });
  await expect(gate).toHaveAttribute('aria-pressed', 'false');
  await gate.focus();
  await page.keyboard.press('Enter');
  await expect(gate).toHaveAttribute('aria-pressed', 'true');
  await expect(
    page.getByRole('group', { name: 'Gates' }).getByRole('button', { name: /Table saw/ }),
  ).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /^Far end \d/ }).click();
  await page.getByRole('button', { name: 'Remove it and 2 upstream' }).click();
  await expect(ledger(page)).toContainText('Planer has no duct.');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(ledger(page)).not.toContainText('Planer has no duct.');
});

test('a machine copied comes with its duct; one removed takes its duct along', async ({ page }) => {
  await openFloor(page);
  await page.getByRole('button', { name: /^Band saw \d/ }).click();
  await page.getByRole('button', { name: 'Copy with its duct' }).click();
  await expect(page.getByRole('button', { name: /^Band saw 2 drop \d/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove machine' }).click();
  await expect(page.getByRole('button', { name: /^Band saw 2 / })).toHaveCount(0);
});

test('what cannot be led is said, and nothing changes', async ({ page }) => {
  await openFloor(page);
  await plan(page).press('d');
  await page.getByLabel('Start at').selectOption('the collector');
  await page.getByRole('button', { name: 'Finish duct' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Add a point first' })).toBeVisible();
  await page.getByLabel('Ends at').selectOption('Far end, halfway');
  await page.getByRole('button', { name: 'Finish duct' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'A duct needs one end that takes in air' }),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Far end \d/ }).click();
  await page.getByLabel('Height, upstream end of Far end').fill('-3');
  await expect(page.getByRole('alert').filter({ hasText: /too little/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Far end \d/ })).toContainText('12′');
});

test('from the side, in isometric and in 3D; each sheet is saved', async ({ page }) => {
  await openFloor(page);
  await page.getByRole('radio', { name: 'Front' }).click();
  await expect(page.getByRole('group', { name: 'Elevation from the front' })).toBeVisible();
  const svg = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as SVG' }).click();
  expect((await svg).suggestedFilename()).toBe('front 1 to 50.svg');
  await page.getByRole('button', { name: 'Print' }).click();
  const print = page.frameLocator('iframe[title="Elevation from the front to print"]');
  await expect(
    print.getByText(/1 to \d+\. Printed at 100 %, this ruler is 4 in\. long/),
  ).toBeAttached();
  await page.getByRole('radio', { name: 'Isometric' }).click();
  await expect(page.getByText(/^hose \d/).first()).toBeVisible();
  const dxf = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as DXF' }).click();
  expect((await dxf).suggestedFilename()).toBe('isometric.dxf');
  await page.getByRole('button', { name: 'Nearer' }).click();
  await page.getByRole('button', { name: 'Show the whole' }).click();
  await page.getByRole('radio', { name: '3D' }).click();
  await expect(
    page.getByRole('region', { name: /^The shop in 3D/ }).or(page.getByText('cannot show 3D')),
  ).toBeVisible();
});

test('it routes, sizes and places; what is taken is undone in one step', async ({ page }) => {
  test.setTimeout(120_000);
  await openFloor(page);
  const before = await ductList(page);
  await page.getByRole('button', { name: 'Route ducts' }).click();
  const ways = page.getByRole('list', { name: 'Suggested routes' });
  await expect(ways.getByRole('listitem')).toHaveCount(3, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Use this route: Least duct' }).click();
  await expect(page.getByRole('button', { name: /^Main 6 in/ })).toBeVisible();
  await expect(ledger(page)).not.toContainText('against the flow');
  await saved(page);
  await page.locator('body').press('Control+z');
  await expect.poll(() => ductList(page)).toEqual(before);

  await page.getByRole('button', { name: 'Size ducts' }).click();
  await expect(page.getByText(/combinations tried/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Use these sizes' }).click();
  await saved(page);

  await page.getByRole('button', { name: 'Suggest swaps' }).click();
  const swaps = page.getByRole('list', { name: 'Machines to swap' });
  await expect(swaps.getByRole('listitem').first()).toBeVisible();
  await swaps.getByRole('button', { name: 'Swap' }).first().click();
  await expect(page.getByText('The machines were swapped')).toBeVisible();
});
