// npm run screenshots: one picture of each main view, from the demo shop, into docs/screenshots/.
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './chromium.mjs';
import { build, CHROMIUM, freePort, isBuilt, ROOT, startApp } from './machine.mjs';

const PICTURES = [
  { name: 'floor', path: 'floor', press: 'Planer drop' },
  { name: 'floor-3d-dark', path: 'floor', look: '3D', theme: 'dark' },
  { name: 'collector', path: 'collector' },
  { name: 'elevation', path: 'collector/elevation' },
  { name: 'joints', path: 'collector/joints' },
  { name: 'noise', path: 'collector/noise' },
  { name: 'air', path: 'air' },
  { name: 'log', path: 'log' },
  { name: 'history', path: 'log/history' },
  { name: 'leaks', path: 'leaks' },
  { name: 'improve', path: 'improve' },
  { name: 'cut-list', path: 'build/cuts' },
  { name: 'shop-made', path: 'build/shop-made' },
  { name: 'upkeep', path: 'upkeep', now: '2026-11-29T09:00:00' },
  { name: 'round-phone', path: 'log/round', width: 390, height: 844, start: true },
  { name: 'air-phone', path: 'air', width: 390, height: 844 },
  { name: 'log-phone', path: 'log/points', width: 390, height: 844, press: 'Planer' },
  { name: 'shops', path: null },
  { name: 'practice', path: null, address: '/practice/carport', hunt: true },
];

if (!isBuilt() && !build()) process.exit(1);
const { child, address } = await startApp(await freePort(4790));
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });
for (const {
  name,
  path,
  address: own = '',
  theme = 'light',
  width = 1280,
  height = 800,
  press = null,
  look = null,
  start = false,
  hunt = false,
  now = null,
} of PICTURES) {
  const context = await browser.newContext({
    viewport: { width, height },
    serviceWorkers: 'block',
  });
  await context.addCookies([{ name: 'theme', value: theme, url: address }]);
  const page = await context.newPage();
  // What is due depends on the day.
  if (now) await page.clock.setFixedTime(new Date(now));
  await page.goto(`${address}/demo`);
  await page.getByRole('heading', { name: 'Every drop' }).waitFor();
  if (path === null) await page.goto(`${address}${own}`);
  else await page.goto(`${address}/shop/heron-slip/${path}`);
  await page.waitForTimeout(900);
  await page.getByText('Comparing the readings').waitFor({ state: 'hidden' });
  // What is tried, and then what a budget buys, are complete once there is nothing to stop for a while.
  for (let quiet = 0; quiet < 3; quiet++) {
    await page.getByRole('button', { name: 'Stop', exact: true }).waitFor({ state: 'hidden' });
    await page.waitForTimeout(600);
  }
  if (press) await page.getByRole('button', { name: new RegExp(`^${press} \\d`) }).click();
  if (hunt) {
    // The meter was left on another unit: four presses bring it back.
    const press = async (button) => page.getByRole('button', { name: button }).click();
    for (let i = 0; i < 4; i++) await press('Unit');
    for (const machine of ['Drum sander', 'Band saw', 'Jointer']) {
      await page.getByLabel('Where the meter is held').selectOption({ label: `At ${machine}` });
      await press(`Only ${machine}`);
      await press(/^Read it/);
      await page.waitForTimeout(400);
    }
  }
  if (start) await page.getByRole('button', { name: 'Start the round' }).click();
  if (look) await page.getByRole('radio', { name: look }).click();
  await page.waitForTimeout(look === '3D' ? 2500 : 500);
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', `${name}.png`) });
  await context.close();
}
await browser.close();
child.kill();
