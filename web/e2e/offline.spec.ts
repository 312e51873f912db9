import { createServer, request as forward, type Server } from 'node:http';
import type { Page } from '@playwright/test';
import { expect, saved, test } from './bench';

test.use({ serviceWorkers: 'allow' });

/** Stands before the app's server: it can be stopped, and what it brings can be of a newer build. */
class Stand {
  private readonly server: Server;
  private build = 1;

  private constructor(behind: URL) {
    this.server = createServer((asked, answer) => {
      const { url: path, method, headers } = asked;
      const isWorker = path === '/service-worker.js';
      if (isWorker) {
        delete headers['if-none-match'];
        delete headers['if-modified-since'];
        delete headers['accept-encoding'];
      }
      const passed = forward(
        { host: '127.0.0.1', port: behind.port, path, method, headers },
        (found) => {
          if (isWorker) delete found.headers['content-length'];
          answer.writeHead(found.statusCode ?? 500, found.headers);
          found.on('end', () => answer.end(isWorker ? `\n// build ${this.build}` : ''));
          found.pipe(answer, { end: false });
        },
      );
      asked.pipe(passed);
    });
  }

  static async before(address: string): Promise<Stand> {
    const stand = new Stand(new URL(address));
    await new Promise<void>((resolve) => stand.server.listen(0, '127.0.0.1', resolve));
    return stand;
  }

  get address(): string {
    const place = this.server.address();
    if (typeof place !== 'object' || !place) throw new Error('the stand is down');
    return `http://localhost:${place.port}`;
  }

  bringNewBuild(): void {
    this.build++;
  }

  stop(): Promise<void> {
    this.server.closeAllConnections();
    return new Promise((resolve) => this.server.close(() => resolve()));
  }
}

let stand: Stand;
let address = '';
test.beforeEach(async ({ baseURL }) => {
  stand = await Stand.before(baseURL ?? '');
  address = stand.address;
});
test.afterEach(() => stand.stop().catch(() => undefined));

/** A first visit: the list of shops, until it says that the program is kept. */
async function visit(page: Page): Promise<void> {
  await page.goto(address);
  await expect(page.getByText('is saved on this device and works')).toBeVisible();
}

const air = (page: Page) => page.getByRole('heading', { name: 'Every drop' });

test('after one visit everything works with the server gone', async ({ page }) => {
  await visit(page);
  await stand.stop();

  // A new shop, on pages that were never visited.
  await page.getByRole('button', { name: 'New shop' }).click();
  await page.getByRole('textbox').fill('Lone shed');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page).toHaveURL(/\/shop\/[\w-]+\/floor$/);
  const floor = page.url();
  await page.getByRole('link', { name: /Air/ }).click();
  await expect(page).toHaveURL(/\/air$/);

  // Reload, and addresses entered by hand.
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Shop name' })).toHaveValue('Lone shed');
  await page.goto(floor.replace('/floor', '/collector/noise'));
  await expect(page.getByRole('navigation', { name: 'Collector' })).toBeVisible();
  await page.goto(`${address}/sources`);
  await expect(page.getByRole('heading', { name: 'Elbows, 90°' })).toBeVisible();
  await page.goto(`${address}/demo`);
  await expect(air(page)).toBeVisible();

  // From one view to the next without loading the page anew.
  await page.evaluate('window.isSamePage = true');
  for (const view of ['Floor', 'Collector', 'Log', 'Air']) {
    await page
      .getByRole('navigation', { name: 'Order of work' })
      .getByRole('link', { name: new RegExp(view) })
      .click();
    await expect(page).toHaveURL(new RegExp(`/${view.toLowerCase()}$`));
  }
  await expect(air(page)).toBeVisible();
  expect(await page.evaluate('window.isSamePage')).toBe(true);
});

test('with the server gone ducts are routed, printed and shown in 3D', async ({ page }) => {
  await visit(page);
  await stand.stop();
  await page.goto(`${address}/demo`);
  await expect(air(page)).toBeVisible();
  await page.getByRole('link', { name: /Floor/ }).click();

  // The engine's worker starts, and so does what only 3D needs.
  await page.getByRole('button', { name: 'Route ducts' }).click();
  await expect(page.getByRole('button', { name: 'Use this route: Least duct' })).toBeVisible();
  await page.getByRole('radio', { name: 'Front' }).click();
  await page.evaluate('window.print = () => undefined');
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page.locator('iframe[title$="to print"]')).toBeAttached();
  await page.getByRole('radio', { name: '3D' }).click();
  await expect(
    page.getByRole('region', { name: /^The shop in 3D/ }).or(page.getByText('cannot show 3D')),
  ).toBeVisible();
});

test('an edit made with the server gone is there after a reload', async ({ page }) => {
  await visit(page);
  await page.goto(`${address}/demo`);
  await expect(air(page)).toBeVisible();
  await stand.stop();
  await page.getByLabel('Shop name').fill('Heron Slip by night');
  await page.getByLabel('Shop name').blur();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Shop name')).toHaveValue('Heron Slip by night');
});

test('a new version waits until the user asks for it', async ({ page, context }) => {
  await visit(page);
  await page.goto(`${address}/demo`);
  await expect(air(page)).toBeVisible();
  const other = await context.newPage();
  await other.goto(address);
  stand.bringNewBuild();

  await page.evaluate('window.isSamePage = true');
  await page.evaluate('navigator.serviceWorker.getRegistration().then((kept) => kept.update())');
  const notice = page.getByText('A new version of Frank Gauge is ready.');
  await expect(notice).toBeVisible();
  // Nothing happens by itself, and whoever puts it off finds it in the list of shops.
  expect(await page.evaluate('window.isSamePage')).toBe(true);
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(notice).toBeHidden();
  await expect(other.getByText('A new version of Frank Gauge is ready.')).toBeVisible();

  await page.goto(address);
  await page.getByRole('button', { name: 'Update to the new version' }).click();
  await expect(page.getByText('is saved on this device and works')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Update to the new version' })).toBeHidden();
  await expect(other.getByText('Frank Gauge was updated in another tab.')).toBeVisible();
});

test('it can be installed: a manifest, icons of every size, and a page that works alone', async ({
  page,
}) => {
  await page.goto(address);
  const link = await page.locator('link[rel="manifest"]').getAttribute('href');
  const manifest = await (await page.request.get(new URL(link ?? '', address).href)).json();
  expect(manifest).toMatchObject({ name: 'Frank Gauge', display: 'standalone', start_url: '/' });
  const sizes: string[] = [];
  for (const { src, type, purpose } of manifest.icons) {
    const icon = await page.request.get(new URL(src, address).href);
    expect(icon.headers()['content-type']).toBe(type);
    const [width, height] = await page.evaluate(async (path: string) => {
      const image = new Image();
      image.src = path;
      await image.decode();
      return [image.naturalWidth, image.naturalHeight];
    }, src);
    expect(width).toBe(height);
    sizes.push(`${type === 'image/svg+xml' ? 'any' : width} ${purpose ?? 'any'}`);
  }
  expect(sizes).toEqual(['any any', '192 any', '512 any', '512 maskable']);
  // Without its server the start page answers, which is what the system asks for besides.
  await expect(page.getByText('is saved on this device and works')).toBeVisible();
  await stand.stop();
  expect((await page.goto(`${address}${manifest.start_url}`))?.status()).toBe(200);
});

test('a page lets in its own scripts and pictures, and no others', async ({ page, allow }) => {
  allow(/Content Security Policy|Refused to/i);
  const answer = await page.goto(`${address}/demo`);
  const policy = answer?.headers()['content-security-policy'] ?? '';
  expect(policy).toMatch(/script-src 'self' 'sha256-[^;]*;/);
  expect(policy).not.toMatch(/nonce|script-src[^;]*unsafe/);
  expect(policy).toContain("img-src 'self' blob:");
  const ran = await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'window.isStranger = true';
    document.head.append(script);
    return 'isStranger' in window;
  });
  expect(ran).toBe(false);
});
