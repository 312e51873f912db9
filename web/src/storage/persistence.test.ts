import { beforeEach, describe, expect, it, vi } from 'vitest';

/** A page's own copy of it: what was asked is asked once in a page's life. */
async function fresh() {
  vi.resetModules();
  return import('./persistence');
}

const storage = (persist: () => Promise<boolean>) => ({ persist }) as unknown as StorageManager;

describe('asking the browser to keep what is stored', () => {
  let page: Awaited<ReturnType<typeof fresh>>;
  beforeEach(async () => {
    page = await fresh();
  });
  const answer = () => page.usePersistence.getState().persistence;

  it('shows what the browser says', async () => {
    expect(answer()).toBe('not asked');
    await page.askToPersist(storage(async () => true));
    expect(answer()).toBe('granted');
  });

  it('takes a failure for a refusal', async () => {
    await page.askToPersist(storage(() => Promise.reject(new Error('private window'))));
    expect(answer()).toBe('refused');
  });

  it('asks once', async () => {
    const persist = vi.fn(async () => false);
    await page.askToPersist(storage(persist));
    await page.askToPersist(storage(persist));
    expect(persist).toHaveBeenCalledOnce();
    expect(answer()).toBe('refused');
  });

  it('knows of browsers that make no promises', async () => {
    await page.askToPersist({} as StorageManager);
    expect(answer()).toBe('unknown');
  });
});
