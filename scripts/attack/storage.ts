import { setTimeout as wait } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../chromium.mjs';
import { CHROMIUM } from '../machine.mjs';
import { type Attacked, Failures, type Strength } from './attack';
import { Chance } from './chance';
import { onServer } from './served';

/** Lets the page's storage be full, or broken, for as long as `refusing` says. */
const REFUSING = `{
  for (const name of ['put', 'add']) {
    const real = IDBObjectStore.prototype[name];
    IDBObjectStore.prototype[name] = function (...given) {
      if (window.refusing) throw new DOMException(window.refusing, window.refusing);
      return real.apply(this, given);
    };
  }
}`;

/**
 * Storage that is full or broken at random moments: nothing says that it is saved while something is not, and
 * once storage takes it again all of it is there after a reload.
 */
export async function attackStorage({ count, seed }: Strength): Promise<Attacked> {
  const chance = new Chance(seed);
  const failures = new Failures();
  await onServer(async (address) => {
    const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });
    const page = await browser.newPage();
    await page.addInitScript(REFUSING);
    await page.goto(`${address}/demo`);
    const field = page.getByLabel('Shop name');
    const saved = page.getByRole('banner').getByRole('status');
    await field.waitFor();
    for (let i = 0; i < count; i++) {
      const fault = chance.one(['QuotaExceededError', 'UnknownError', 'InvalidStateError']);
      await page.evaluate(`window.refusing = ${JSON.stringify(fault)}`);
      const edits = 1 + chance.below(4);
      for (let k = 0; k < edits; k++) {
        await field.fill(`Refused ${i}.${k}`);
        await wait(chance.below(150));
      }
      await wait(100 + chance.below(2500));
      const about = `refusal ${i} (${fault}) of seed ${seed}`;
      const status = await saved.textContent();
      if (status !== 'not saved')
        failures.add(`${about}: while nothing is stored it says “${status}”`);
      await page.evaluate('window.refusing = ""');
      if (chance.next() < 0.5) await page.getByRole('button', { name: 'Try again' }).click();
      const isSaved = await page
        .waitForFunction(
          () => document.querySelector('header [role="status"]')?.textContent === 'saved',
          null,
          { timeout: 40_000 },
        )
        .then(
          () => true,
          () => false,
        );
      if (!isSaved) failures.add(`${about}: it is never saved`);
      await page.reload();
      await field.waitFor();
      const name = await field.inputValue();
      if (name !== `Refused ${i}.${edits - 1}`)
        failures.add(`${about}: after a reload there is “${name}”`);
    }
    await browser.close();
  });
  return { tried: count, failed: failures.list };
}
