'use client';

import { UNITS } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { useAdopt } from '@/ui/refusal';
import { ConnectCable } from './connect-cable';
import { type DraftReading, type Repeat, repeatsOf } from './draft-reading';
import { NumberPad } from './number-pad';
import { pointName } from './point-name';
import { SuspicionList } from './suspicion-list';
import { useMeterSource } from './use-meter-source';
import type { Taking } from './use-taking';

interface Props {
  readonly draft: DraftReading;
  readonly taking: Taking;
  readonly setRepeats: (repeats: readonly Repeat[]) => void;
  readonly onDone: () => void;
}

/** Boxes in a row, by the points of a traverse on one diameter. */
const ACROSS = { 6: 'grid-cols-6', 8: 'grid-cols-4', 10: 'grid-cols-5' } as const;

/** Three repeats, or the points of a traverse, typed with big keys; the last of them logs the reading. */
export function TypedRepeats({ draft, taking, setRepeats, onDone }: Props) {
  const { reads, isWhole, isReadable, bare, instrument, isTraverse } = taking;
  const system = useUnits();
  const repeats = repeatsOf(isTraverse ? draft : { ...draft, spot: 'point' });
  const last = repeats.length - 1;
  const [active, setActive] = useState(() => {
    const blank = repeats.findIndex(({ text, bound }) => text === '' && bound === null);
    return blank < 0 ? last : blank;
  });
  const [refusal, setRefusal] = useState<string | null>(null);
  const adopt = useAdopt();
  const meter = useMeterSource(taking);
  const now = repeats[active] ?? { text: '', bound: null };
  const put = (next: Repeat) => {
    setRefusal(null);
    setRepeats(repeats.map((repeat, i) => (i === active ? next : repeat)));
  };
  const nameOf = (i: number) =>
    isTraverse ? pointName(i, draft.traverse, taking.diameter, system) : `Repeat ${i + 1}`;
  const readMeter = async () => {
    try {
      put((await meter?.read()) ?? { text: '', bound: null });
    } catch (error) {
      setRefusal(error instanceof Error ? error.message : String(error));
    }
  };
  const read = reads[active];
  const forward = () => {
    if (read && !read.ok) return setRefusal(read.reason);
    if (now.text === '' && now.bound === null) return setRefusal('Type what the meter shows.');
    if (active < last) setActive(active + 1);
    else log();
  };
  const log = () => {
    if (!isReadable) return setRefusal('One of the values cannot be read.');
    if (!isWhole) return setRefusal('A traverse needs all its points.');
    setRefusal(adopt(onDone));
  };
  const { symbol } = UNITS[bare];
  return (
    <>
      {isTraverse && (
        <p className="pb-1 text-[15px]">
          Point {active + 1}: {nameOf(active)} from the wall.
        </p>
      )}
      <ol
        aria-label={isTraverse ? 'Points' : 'Repeats'}
        className={`grid gap-1.5 ${isTraverse ? ACROSS[draft.traverse.points] : 'grid-cols-3'}`}
      >
        {repeats.map((repeat, i) => (
          <li key={i}>
            <button
              type="button"
              aria-pressed={i === active}
              aria-label={`${nameOf(i)}: ${shownAs(repeat) || 'blank'}`}
              onClick={() => setActive(i)}
              className={`w-full border border-rule aria-pressed:border-2 aria-pressed:border-ink ${isTraverse ? 'h-11 text-[16px]' : 'h-14 text-[22px]'}`}
            >
              {shownAs(repeat) || <span className="text-[15px] text-quiet">{i + 1}</span>}
            </button>
          </li>
        ))}
      </ol>
      <p className="py-1 text-[14px] text-quiet">
        {symbol === '' ? 'as the meter shows it' : symbol}, {instrument.name}
      </p>
      <SuspicionList taking={taking} />
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
      <NumberPad
        text={now.text}
        bound={now.bound}
        onText={(text) => put({ ...now, text })}
        onBound={(bound) => put({ text: now.text, bound })}
        onForward={forward}
        forward={active === last ? 'Log' : isTraverse ? 'Next point' : 'Next repeat'}
        meter={meter && { label: meter.label, onRead: () => void readMeter() }}
      />
      {!instrument.isSimulated && <ConnectCable className="mt-1 w-full" />}
      {!isTraverse && active > 0 && active < last && isWhole && (
        <Button look="quiet" className="mt-1 w-full" onClick={log}>
          Log with fewer repeats
        </Button>
      )}
    </>
  );
}

const shownAs = ({ text, bound }: Repeat): string =>
  bound === null ? text : `${bound === 'over' ? '>' : '<'} ${text || 'end'}`;
