'use client';

import { isOfFlow, type Round } from '@frank-gauge/core/journal';
import { UNITS } from '@frank-gauge/core/quantity';
import type { RoundStep } from '@frank-gauge/core/reading';
import { useState } from 'react';
import { toast } from 'sonner';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { SHOWN_BY, usualQuantity } from '@/words/measuring-words';
import { undoAloud } from '../../frame/undo-aloud';
import { Line } from '../../parts/line';
import { ConnectCable } from '../taking/connect-cable';
import {
  changeDraft,
  type DraftReading,
  NEW_DRAFT,
  type Repeat,
  repeatsOf,
  useDraft,
} from '../taking/draft-reading';
import { logReading } from '../taking/log-reading';
import { pointName } from '../taking/point-name';
import { SuspicionList } from '../taking/suspicion-list';
import { SwitchPanel } from '../taking/switch-panel';
import { useMeterSource } from '../taking/use-meter-source';
import { type Taking, useTaking } from '../taking/use-taking';
import { NumberPad } from './number-pad';

interface Props {
  readonly step: RoundStep;
  readonly name: string;
  readonly round: Round;
  readonly onSkip: () => void;
}

/** One step of a round: what to open, the repeats, and the keys to type them with. */
export function StepCard({ step, name, round, onSkip }: Props) {
  const shopId = useDesign((shop) => shop.id);
  const draftId = `${shopId} round`;
  const kept = useDraft(draftId);
  // What was typed at another step is not of this one.
  const isOwn = kept.place === step.testPoint.id;
  const instruments = useJournal((journal) => journal.instruments);
  const fitting = instruments.filter((each) =>
    step.kind === 'drop' ? isOfFlow(usualQuantity(each)) : SHOWN_BY[each.kind].includes('pressure'),
  );
  const chosen = fitting.find(({ id }) => id === kept.instrument);
  const draft = {
    ...NEW_DRAFT,
    place: step.testPoint.id,
    // The meter in the hand stays from drop to drop; at first it is the one last used there.
    instrument: chosen?.id ?? null,
    quantity: step.kind === 'drop' ? null : ('pressure' as const),
    method: round.method,
    spot: round.spot,
    traverse: round.traverse,
    repeats: isOwn ? kept.repeats : NEW_DRAFT.repeats,
  };
  const place = {
    id: step.testPoint.id,
    name,
    drop: step.kind === 'drop' ? step.drop : null,
    point: step.testPoint,
  };
  const taking = useTaking(draft, place, step.openGates, round.id);
  const setRepeats = (repeats: readonly Repeat[]) =>
    changeDraft(draftId, { place: step.testPoint.id, instrument: draft.instrument, repeats });

  return (
    <section aria-label={name} className="border border-ink p-3">
      <h2 className="text-[22px]">{name}</h2>
      <Gates step={step} />
      {taking.instrument.isSimulated && <SwitchPanel wanted={step.openGates} />}
      {step.kind === 'drop' && HOLDING[round.spot] && (
        <p className="py-1 text-[15px]">{HOLDING[round.spot]}</p>
      )}
      {fitting.length > 1 && (
        <Line label="Meter">
          <Choice
            label="Meter"
            value={taking.instrument.id}
            options={fitting.map((each) => ({ value: each.id, label: each.name }))}
            onChange={(instrument) =>
              changeDraft(draftId, { place: step.testPoint.id, instrument })
            }
          />
        </Line>
      )}
      {step.kind !== 'drop' && fitting.length === 0 ? (
        <p className="py-2 text-quiet">
          This takes a manometer. Add yours under Instruments, or pass this over.
        </p>
      ) : (
        <Typing
          draft={draft}
          taking={taking}
          setRepeats={setRepeats}
          onDone={() => {
            logReading(place, taking.instrument, taking.fields);
            changeDraft(draftId, { place: null, repeats: NEW_DRAFT.repeats });
            toast(`Logged ${name}`, {
              action: { label: 'Undo', onClick: () => void undoAloud() },
            });
          }}
        />
      )}
      <div className="pt-2">
        <Button look="quiet" className="w-full" onClick={onSkip}>
          Pass this over
        </Button>
      </div>
    </section>
  );
}

/** How the meter is held at a drop. */
const HOLDING: Readonly<Record<Round['spot'], string | null>> = {
  average: 'Move the meter slowly across the pipe while it averages.',
  centre: 'Hold the meter at the center of the pipe.',
  point: 'Hold the meter where you always hold it.',
  traverse: null,
};

/** Which gates to open, by name. */
function Gates({ step: { kind, openGates, drop } }: { readonly step: RoundStep }) {
  const { upstreamFirst } = useDuctTree();
  const names = upstreamFirst.filter(({ id }) => openGates.includes(id)).map(({ name }) => name);
  return (
    <p className="pb-2 text-[17px]">
      {kind === 'all shut'
        ? 'Shut all gates. Read the suction ahead of the separator.'
        : `${names.length === 0 ? 'Shut all gates.' : `Open only ${names.length === 1 ? 'this gate' : 'these gates'}: ${names.join(', ')}.`}${kind === 'filter' ? ` Read the pressure across the filter while ${drop?.name ?? 'the drop'} draws.` : ''}`}
    </p>
  );
}

interface TypingProps {
  readonly draft: DraftReading;
  readonly taking: Taking;
  readonly setRepeats: (repeats: readonly Repeat[]) => void;
  readonly onDone: () => void;
}

/** Boxes in a row, by the points of a traverse on one diameter. */
const ACROSS = { 6: 'grid-cols-6', 8: 'grid-cols-4', 10: 'grid-cols-5' } as const;

/** Three repeats, or the points of a traverse, typed with big keys; the last of them logs the reading. */
function Typing({ draft, taking, setRepeats, onDone }: TypingProps) {
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
