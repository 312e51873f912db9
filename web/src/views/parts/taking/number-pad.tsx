'use client';

import { Delete } from 'lucide-react';
import { useEffect, useEffectEvent } from 'react';
import type { Repeat } from './draft-reading';

interface Props {
  readonly text: string;
  readonly bound: Repeat['bound'];
  readonly onText: (text: string) => void;
  readonly onBound: (bound: Repeat['bound']) => void;
  readonly onForward: () => void;
  /** What the key that goes on is called. */
  readonly forward: string;
  /** Reads the meter without typing; null: it is typed. */
  readonly meter: { readonly label: string; readonly onRead: () => void } | null;
}

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'] as const;
const KEY = 'min-h-14 border border-rule text-[22px] hover:bg-selection active:bg-selection';
/** Digits of the longest number a meter shows, its point included. */
const LONGEST = 9;

/** Keys for a thumb in a glove: digits, a point, both ends of the range, and on. A keyboard works as well. */
export function NumberPad({ text, bound, onText, onBound, onForward, forward, meter }: Props) {
  const type = (key: string) => {
    if (text.length >= LONGEST || (key === '.' && text.includes('.'))) return;
    onText(text + key);
  };
  const erase = () => onText(text.slice(0, -1));
  const press = useEffectEvent((event: KeyboardEvent) => {
    const isElsewhere =
      event.target instanceof HTMLElement && event.target.matches('input, select, textarea');
    if (isElsewhere || event.ctrlKey || event.metaKey || event.altKey) return;
    if (/^[\d.]$/.test(event.key)) type(event.key);
    else if (event.key === 'Backspace') erase();
    else if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) onForward();
    else return;
    event.preventDefault();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => press(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  return (
    <fieldset className="grid grid-cols-4 gap-1.5 pt-2">
      <legend className="sr-only">Number pad</legend>
      <div className="col-span-3 grid grid-cols-3 gap-1.5">
        {DIGITS.map((digit) => (
          <button key={digit} type="button" className={KEY} onClick={() => type(digit)}>
            {digit}
          </button>
        ))}
        <button type="button" className={KEY} aria-label="Decimal point" onClick={() => type('.')}>
          .
        </button>
        <button type="button" className={KEY} onClick={() => type('0')}>
          0
        </button>
        <button type="button" className={KEY} aria-label="Erase" onClick={erase}>
          <Delete size={22} aria-hidden className="mx-auto" />
        </button>
      </div>
      <div className="grid grid-rows-4 gap-1.5">
        {(['over', 'under'] as const).map((end) => (
          <button
            key={end}
            type="button"
            aria-pressed={bound === end}
            aria-label={`${end} range`}
            className={`${KEY} text-[16px] aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper`}
            onClick={() => onBound(bound === end ? null : end)}
          >
            {end}
          </button>
        ))}
        <button
          type="button"
          className="row-span-2 border border-ink bg-ink px-1 font-semibold text-[17px] text-paper"
          onClick={onForward}
        >
          {forward}
        </button>
      </div>
      {meter && (
        <button
          type="button"
          className="col-span-4 min-h-14 border border-ink font-semibold text-[17px] hover:bg-selection"
          onClick={meter.onRead}
        >
          {meter.label}
        </button>
      )}
    </fieldset>
  );
}
