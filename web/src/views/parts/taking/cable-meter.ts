'use client';

import type { Instrument, Taken } from '@frank-gauge/core/journal';
import type { UnitId } from '@frank-gauge/core/quantity';
import { takenOfLine } from '@frank-gauge/core/reading';
import type { MeterSource } from '@frank-gauge/core/simulate';
import { create } from 'zustand';

/** What this program uses of a serial port (Web Serial, a draft of the WICG). */
export interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
}

/** Bits a second most meters with a cable send at. */
const USUAL_BAUD = 9600;
/** A meter that has sent nothing for so long is not going to, ms. */
const PATIENCE = 5000;

/** The lines of text a port sends, each as it is whole. */
async function* linesOf(stream: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = stream.getReader();
  const decoder = new TextDecoder();
  let rest = '';
  try {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      rest += decoder.decode(value, { stream: true });
      const lines = rest.split(/[\r\n]+/);
      rest = lines.pop() ?? '';
      yield* lines;
    }
  } finally {
    reader.releaseLock();
  }
}

/** Meter's own unit and range, asked anew for each value: another meter may be chosen meanwhile. */
type Meter = () => { readonly unit: UnitId; readonly range: Instrument['range'] };

/**
 * A meter on a cable that sends its values as lines of text; `read` waits for the next one.
 * @throws where the port cannot be opened; `read` where the meter is gone, or sends nothing for five seconds
 */
export async function cableMeter(port: SerialPort, meter: Meter): Promise<MeterSource> {
  await port.open({ baudRate: USUAL_BAUD });
  let waiting: ((taken: Taken) => void) | null = null;
  let isGone = false;
  const listen = async () => {
    if (!port.readable) return;
    for await (const line of linesOf(port.readable)) {
      const taken = waiting && takenOfLine(line, meter());
      if (taken) waiting?.(taken);
    }
  };
  void listen()
    .catch(() => undefined)
    .then(() => {
      isGone = true;
    });
  return {
    read: () =>
      new Promise((resolve, reject) => {
        if (isGone) return reject(new Error('The meter is no longer connected.'));
        const timer = setTimeout(() => {
          waiting = null;
          reject(new Error('The meter sent nothing. Check its cable and its sending mode.'));
        }, PATIENCE);
        waiting = (taken) => {
          clearTimeout(timer);
          waiting = null;
          resolve(taken);
        };
      }),
    close: () => port.close(),
  };
}

interface Serial {
  requestPort(): Promise<SerialPort>;
}

/** The browser's way to a serial port; null where it has none. */
export const serialOf = (): Serial | null =>
  typeof navigator !== 'undefined' && 'serial' in navigator ? (navigator.serial as Serial) : null;

/** The port of the meter on the cable; null: none is connected. */
export const useCable = create<{ readonly port: SerialPort | null }>(() => ({ port: null }));
