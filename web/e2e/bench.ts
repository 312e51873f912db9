import { fromSI, parseQuantity } from '@frank-gauge/core/quantity';
import { test as base, expect, type Page } from '@playwright/test';

/**
 * A page that tolerates nothing: any console error, any uncaught exception and any request that
 * leaves the machine fails the test. `allow` lets one kind of expected error pass.
 */
export const test = base.extend<{ page: Page; allow: (message: RegExp) => void }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the pattern
  allow: async ({}, use) => {
    await use((message) => allowed.push(message));
  },
  page: async ({ page }, use) => {
    const wrong: string[] = [];
    allowed.length = 0;
    page.on('console', (message) => {
      if (message.type() === 'error') wrong.push(message.text());
    });
    page.on('pageerror', (error) => wrong.push(String(error)));
    page.on('request', (request) => {
      const address = request.url();
      const isHere = /^(data|blob):/.test(address) || new URL(address).hostname === 'localhost';
      if (!isHere) wrong.push(`left the machine: ${address}`);
    });
    await use(page);
    const unexpected = wrong.filter((message) => !allowed.some((allow) => allow.test(message)));
    expect(unexpected).toEqual([]);
  },
});

const allowed: RegExp[] = [];

export { expect };

export async function openDemo(page: Page): Promise<void> {
  await page.goto('/demo');
  await expect(page.getByRole('heading', { name: 'Every drop' })).toBeVisible();
}

/** The row of a drop in the drop table. */
export const dropRow = (page: Page, name: string) =>
  page.getByRole('row').filter({ has: page.getByRole('button', { name, exact: true }) });

/** What a drop gets, as the table writes it, in the shop's unit. */
export async function flowOf(page: Page, name: string): Promise<number> {
  const text = await dropRow(page, name).locator('strong').first().textContent();
  return Number((text ?? '').replace(/,/g, ''));
}

/** A length as a field shows it, in feet. */
export function feetOf(text: string): number {
  const read = parseQuantity(text, 'ft');
  if (!read.ok) throw new Error(read.reason);
  return fromSI(read.value, 'ft');
}

/** Until the header says that everything is stored. */
export const saved = (page: Page) =>
  expect(page.getByRole('banner').getByRole('status')).toHaveText('saved');
