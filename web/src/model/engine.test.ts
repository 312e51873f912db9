import { describe, expect, it, vi } from 'vitest';
import { Engine } from './engine';

/** A worker whose answers are given by hand. */
function byHand() {
  const asked: { readonly what: string; readonly give: (answer: string) => void }[] = [];
  const refused: (() => void)[] = [];
  let [made, ended] = [0, 0];
  let breakOff = () => {};
  const engine = new Engine((onBroken) => {
    made++;
    breakOff = onBroken;
    const remote = (what: string) =>
      new Promise<string>((resolve, reject) => {
        asked.push({ what, give: resolve });
        refused.push(() => reject(new Error('no')));
      });
    return { remote, end: () => ended++ };
  });
  return {
    engine,
    asked,
    refuse: (i: number) => refused[i]?.(),
    breakOff: () => breakOff(),
    count: () => ({ made, ended }),
  };
}

const settled = () => new Promise((resolve) => setTimeout(resolve));

describe('the engine', () => {
  it('runs one job at a time, in order, with one worker', async () => {
    const { engine, asked, count } = byHand();
    const one = engine.ask('a', (remote) => remote('one'));
    const two = engine.ask('b', (remote) => remote('two'));
    expect(asked.map(({ what }) => what)).toEqual(['one']);
    asked[0]?.give('1');
    expect(await one.outcome).toEqual({ kind: 'answered', answer: '1' });
    await settled();
    asked[1]?.give('2');
    expect(await two.outcome).toEqual({ kind: 'answered', answer: '2' });
    expect(count()).toEqual({ made: 1, ended: 0 });
  });

  it('of a topic only the latest waits; what runs long is ended for it', async () => {
    const { engine, asked, count } = byHand();
    const first = engine.ask('sets', (remote) => remote('first'));
    const second = engine.ask('sets', (remote) => remote('second'));
    expect(await first.outcome).toEqual({ kind: 'superseded' });
    expect(asked.map(({ what }) => what)).toEqual(['first', 'second']);
    expect(count()).toEqual({ made: 2, ended: 1 });
    // What the ended worker might still say is not heard.
    asked[0]?.give('stale');
    asked[1]?.give('fresh');
    expect(await second.outcome).toEqual({ kind: 'answered', answer: 'fresh' });
  });

  it('lets what is short run to its end, and drops its answer for the latest', async () => {
    const { engine, asked, count } = byHand();
    const ask = (what: string) => engine.ask('log', (remote) => remote(what), { isShort: true });
    const [first, second, third] = [ask('first'), ask('second'), ask('third')];
    expect(await first.outcome).toEqual({ kind: 'superseded' });
    expect(await second.outcome).toEqual({ kind: 'superseded' });
    expect(asked.map(({ what }) => what)).toEqual(['first']);
    asked[0]?.give('stale');
    await settled();
    expect(asked.map(({ what }) => what)).toEqual(['first', 'third']);
    asked[1]?.give('fresh');
    expect(await third.outcome).toEqual({ kind: 'answered', answer: 'fresh' });
    expect(count()).toEqual({ made: 1, ended: 0 });
  });

  it('cancelled, ends what runs, takes out what waits, and goes on with the rest', async () => {
    const { engine, asked } = byHand();
    const long = engine.ask('route', (remote) => remote('route'));
    const waits = engine.ask('size', (remote) => remote('size'));
    const last = engine.ask('place', (remote) => remote('place'));
    waits.cancel();
    long.cancel();
    expect(await long.outcome).toEqual({ kind: 'superseded' });
    expect(await waits.outcome).toEqual({ kind: 'superseded' });
    expect(asked.map(({ what }) => what)).toEqual(['route', 'place']);
    asked[1]?.give('here');
    expect(await last.outcome).toEqual({ kind: 'answered', answer: 'here' });
  });

  it('broken off, or with a job that throws, says so and makes a new worker for the next', async () => {
    const { engine, asked, refuse, breakOff, count } = byHand();
    const first = engine.ask('a', (remote) => remote('first'));
    const second = engine.ask('b', (remote) => remote('second'));
    breakOff();
    expect(await first.outcome).toEqual({ kind: 'broken', isOvertime: false });
    refuse(1);
    expect(await second.outcome).toEqual({ kind: 'broken', isOvertime: false });
    const third = engine.ask('c', (remote) => remote('third'));
    await settled();
    asked.at(-1)?.give('3');
    expect(await third.outcome).toEqual({ kind: 'answered', answer: '3' });
    expect(count().made).toBe(3);
  });

  it('ends what takes longer than it was given, and only that', async () => {
    vi.useFakeTimers();
    const { engine, asked, count } = byHand();
    const quick = engine.ask('a', (remote) => remote('quick'), { budget: 1000 });
    asked[0]?.give('1');
    expect(await quick.outcome).toEqual({ kind: 'answered', answer: '1' });
    await vi.advanceTimersByTimeAsync(0);
    const slow = engine.ask('b', (remote) => remote('slow'), { budget: 1000 });
    const next = engine.ask('c', (remote) => remote('next'));
    await vi.advanceTimersByTimeAsync(999);
    expect(count()).toEqual({ made: 1, ended: 0 });
    await vi.advanceTimersByTimeAsync(1);
    expect(await slow.outcome).toEqual({ kind: 'broken', isOvertime: true });
    expect(count()).toEqual({ made: 2, ended: 1 });
    // Without a budget a job may take as long as it likes.
    await vi.advanceTimersByTimeAsync(1_000_000);
    asked.at(-1)?.give('3');
    expect(await next.outcome).toEqual({ kind: 'answered', answer: '3' });
    vi.useRealTimers();
  });
});
