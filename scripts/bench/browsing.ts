import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../chromium.mjs';
import { build, CHROMIUM, freePort, isBuilt, startApp } from '../machine.mjs';

/** The built app in headless Chromium, nothing stored yet. */
export interface Browsing {
  readonly page: Page;
  readonly address: string;
}

/** Does something with the app in a browser of its own; builds the app if need be. */
export async function inBrowser<T>(act: (browsing: Browsing) => Promise<T>): Promise<T> {
  if (!isBuilt() && !build({ isQuiet: true })) throw new Error('the app could not be built');
  const { child, address } = await startApp(await freePort(4795));
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });
  try {
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'block',
    });
    return await act({ page, address });
  } finally {
    await browser.close();
    child.kill();
  }
}

/** Notes in the page when a file is chosen, and when a shop of this name stands in the list. */
const watchImport = (name: string) => `{
  const times = (window.importing = {});
  const look = () => {
    const links = [...document.querySelectorAll('a[href^="/shop/"]')];
    if (links.some(({ textContent }) => textContent.includes('${name}'))) {
      times.listed ??= performance.now();
    }
  };
  new MutationObserver(look).observe(document, { subtree: true, childList: true });
  addEventListener('change', () => (times.chosen ??= performance.now()), { capture: true });
}`;

/** Imports a shop's file on the list of shops and waits until it is there; answers how long it took, ms. */
export async function importAs(
  page: Page,
  address: string,
  name: string,
  text: string,
): Promise<number> {
  const file = join(tmpdir(), `frank-gauge-bench-${process.pid}.json`);
  writeFileSync(file, text);
  await page.goto(address);
  const field = page.getByLabel('Shop file');
  await field.waitFor({ state: 'attached' });
  await page.evaluate(watchImport(name));
  await field.setInputFiles(file);
  await page.getByRole('link', { name: new RegExp(name) }).waitFor();
  return page.evaluate<number>('window.importing.listed - window.importing.chosen');
}
