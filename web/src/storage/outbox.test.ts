import { NO_DIFF } from '@frank-gauge/core/journal';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Written } from './history';
import { Outbox, type Write } from './outbox';

const nothing: Written = { ok: false, reason: 'nothing' };
let refuses: boolean;
let log: string[];
let outbox: Outbox;

const write = (name: string, shop = 'one'): Write => ({
  shop,
  label: name,
  journal: NO_DIFF,
  edit: { id: name, shop, change: { label: name, design: [], journal: NO_DIFF, merge: null } },
  isShown: true,
  run: async () => {
    log.push(`try ${name}`);
    if (refuses) throw new Error('full');
    return nothing;
  },
  settle: () => log.push(`settle ${name}`),
});

beforeEach(() => {
  vi.useFakeTimers();
  refuses = false;
  log = [];
  outbox = new Outbox(
    ({ label }) => log.push(`stored ${label}`),
    () => log.push('failed'),
  );
});
afterEach(() => vi.useRealTimers());

const soon = () => vi.advanceTimersByTimeAsync(0);
const tries = () => log.filter((line) => line.startsWith('try')).length;

describe('writes on their way to storage', () => {
  it('are stored in order, each before the next', async () => {
    outbox.add(write('a'));
    outbox.add(write('b'));
    expect(outbox.of('one').map(({ label }) => label)).toEqual(['a', 'b']);
    expect(outbox.edits().map(({ id }) => id)).toEqual(['a', 'b']);
    await soon();
    expect(log).toEqual(['try a', 'stored a', 'settle a', 'try b', 'stored b', 'settle b']);
    expect(outbox.of('one')).toEqual([]);
    expect(outbox.isFailing).toBe(false);
  });

  it('are told apart by shop; a step through others is no edit', async () => {
    refuses = true;
    outbox.add(write('a', 'one'));
    outbox.add({ ...write('b', 'two'), edit: null });
    expect(outbox.of('two').map(({ label }) => label)).toEqual(['b']);
    expect(outbox.of(undefined)).toEqual([]);
    expect(outbox.edits().map(({ id }) => id)).toEqual(['a']);
  });

  it('that storage refuses stay first, and are tried after 1 s, 2 s, 4 s, up to every 30 s', async () => {
    refuses = true;
    outbox.add(write('a'));
    outbox.add(write('b'));
    await soon();
    expect(log).toEqual(['try a', 'failed']);
    expect(outbox.isFailing).toBe(true);
    for (const [i, seconds] of [1, 2, 4, 8, 16, 30, 30].entries()) {
      await vi.advanceTimersByTimeAsync(1000 * seconds - 1);
      expect(tries()).toBe(i + 1);
      await vi.advanceTimersByTimeAsync(1);
      expect(tries()).toBe(i + 2);
    }
    expect(log).not.toContain('try b');
    refuses = false;
    await vi.advanceTimersByTimeAsync(30_000);
    expect(log.slice(-4)).toEqual(['settle a', 'try b', 'stored b', 'settle b']);
    expect(outbox.isFailing).toBe(false);
    // Refused anew, it begins with a second again.
    refuses = true;
    outbox.add(write('c'));
    await soon();
    const before = tries();
    await vi.advanceTimersByTimeAsync(1000);
    expect(tries()).toBe(before + 1);
  });

  it('are tried at once when asked to, once more where that is asked while they are tried', async () => {
    refuses = true;
    outbox.add(write('a'));
    await soon();
    outbox.retry();
    await soon();
    expect(tries()).toBe(2);
    // Asked in the middle of a try that fails: tried once more, and no more than that.
    outbox.retry();
    outbox.retry();
    await soon();
    expect(tries()).toBe(4);
    await vi.advanceTimersByTimeAsync(100);
    expect(tries()).toBe(4);
  });

  it('are waited for until all are stored or storage refuses, which is answered', async () => {
    outbox.add(write('a'));
    const stored = outbox.settled();
    await vi.advanceTimersByTimeAsync(50);
    expect(await stored).toEqual([]);
    refuses = true;
    outbox.add(write('b'));
    const left = outbox.settled();
    await vi.advanceTimersByTimeAsync(50);
    expect((await left).map(({ label }) => label)).toEqual(['b']);
  });
});
