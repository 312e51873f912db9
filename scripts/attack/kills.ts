import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../chromium.mjs';
import { CHROMIUM } from '../machine.mjs';
import { type Attacked, Failures, type Strength } from './attack';
import { Chance } from './chance';
import { onServer } from './served';

/** What was typed so long ago must have been kept, ms: 40 until it is stored, and the storing itself. */
const SAFE_AFTER = 50;
/** What the browser and this script take to tell each other that a key was typed, ms. */
const HANDOVER = 100;

/** A browser that starts at all does so within this time, ms; one started right after a kill may not. */
const STARTS_WITHIN = 10_000;

/** A browser that can be killed; one that does not start is killed and started anew. */
async function startBrowser(folder: string, tries = 3): ReturnType<typeof tryToStart> {
  try {
    return await tryToStart(folder);
  } catch (error) {
    if (tries === 1) throw error;
    return startBrowser(folder, tries - 1);
  }
}

/** Starts a browser with what it keeps in a folder of ours. */
async function tryToStart(folder: string) {
  const port = join(folder, 'DevToolsActivePort');
  rmSync(port, { force: true });
  const child = spawn(
    CHROMIUM,
    [...CHROMIUM_FLAGS, '--headless=new', '--remote-debugging-port=0', `--user-data-dir=${folder}`],
    { stdio: 'ignore', detached: true },
  );
  const gone = new Promise((resolve) => child.once('exit', resolve));
  const end = async () => {
    // The browser with all its processes, with no chance to tidy up.
    if (child.pid !== undefined) process.kill(-child.pid, 'SIGKILL');
    await gone;
  };
  try {
    for (let i = 0; i < STARTS_WITHIN / 50 && !existsSync(port); i++) await wait(50);
    const [number] = readFileSync(port, 'utf8').split('\n');
    const address = `http://127.0.0.1:${number}`;
    const browser = await chromium.connectOverCDP(address, { timeout: STARTS_WITHIN });
    const [context] = browser.contexts();
    const page = (await context?.newPage()) ?? (await browser.newPage());
    const kill = async () => {
      await end();
      await browser.close().catch(() => undefined);
    };
    return { page, kill };
  } catch (error) {
    await end();
    throw error;
  }
}

/** Browsers killed at random moments after something was typed: what is old enough is there when they are back. */
export async function attackKills({ count, seed }: Strength): Promise<Attacked> {
  const chance = new Chance(seed);
  const failures = new Failures();
  const folder = mkdtempSync(join(tmpdir(), 'frank-gauge-kills-'));
  await onServer(async (address) => {
    let safe: string | null = null;
    for (let i = 0; i <= count; i++) {
      const { page, kill } = await startBrowser(folder);
      await page.goto(`${address}/demo`);
      const field = page.getByLabel('Shop name');
      await field.waitFor();
      if (safe !== null) {
        const name = await field.inputValue();
        const isThere = await page
          .waitForFunction(
            (wanted) =>
              document.querySelector<HTMLInputElement>('[aria-label="Shop name"]')?.value ===
              wanted,
            safe,
            { timeout: 3000 },
          )
          .then(
            () => true,
            () => false,
          );
        if (!isThere)
          failures.add(`kill ${i} of seed ${seed}: “${safe}” was lost; there was “${name}”`);
      }
      if (i < count) {
        safe = `Kept ${i} of ${seed}`;
        await field.fill(safe);
        await wait(SAFE_AFTER + HANDOVER + chance.below(300));
      }
      await kill();
    }
  });
  rmSync(folder, { recursive: true, force: true });
  return { tried: count, failed: failures.list };
}
