import { describe, expect, it, vi } from 'vitest';
import { cableMeter, type SerialPort } from './cable-meter';

/** A port that sends what the test puts in. */
function fakePort() {
  let send: (text: string) => void = () => {};
  let end = () => {};
  const readable = new ReadableStream<Uint8Array>({
    start(controller) {
      send = (text) => controller.enqueue(new TextEncoder().encode(text));
      end = () => controller.close();
    },
  });
  const open = vi.fn(async () => {});
  const close = vi.fn(async () => {});
  const port: SerialPort = { readable, open, close };
  return { port, open, close, send: (text: string) => send(text), end: () => end() };
}

const meter = () => ({ unit: 'ms', range: { from: 0.4, to: 30 } }) as const;
const soon = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('a meter on a cable', () => {
  it('reads the next whole line, however it is cut on the way', async () => {
    const { port, send, open } = fakePort();
    const source = await cableMeter(port, meter);
    expect(open).toHaveBeenCalledWith({ baudRate: 9600 });
    // What came before it was asked for is not read.
    send('READY\r\n9.9\r\n');
    await soon();
    const first = source.read();
    send('12.');
    await soon();
    send('4 m/s\r\n13.0\r\n');
    expect(await first).toEqual({ kind: 'value', value: 12.4 });
    await soon();
    const second = source.read();
    send('--\r\nOL\r\n');
    expect(await second).toEqual({ kind: 'over', limit: 30 });
  });

  it('that is gone, or sends nothing, says so', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const { port, end } = fakePort();
    const source = await cableMeter(port, meter);
    const silent = expect(source.read()).rejects.toThrow('The meter sent nothing.');
    await vi.advanceTimersByTimeAsync(5000);
    await silent;
    vi.useRealTimers();
    end();
    await soon();
    await expect(source.read()).rejects.toThrow('The meter is no longer connected.');
  });
});
