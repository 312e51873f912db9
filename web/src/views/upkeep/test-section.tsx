'use client';

import { isTest, recordWith, TEST_KINDS, type TestKind, timeOf } from '@frank-gauge/core/journal';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { DayField } from '@/fields/day-field';
import { record, useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { TextField } from '@/ui/text-field';
import { EVENT_NAMES } from '@/words/change-words';
import { dayMoment, localDay } from '@/words/local-day';
import { TEST_HOW } from '@/words/test-words';
import { undoAction } from '../frame/undo-aloud';
import { Line } from '../parts/line';
import { TestItem } from '../parts/tests/test-item';

const SEEN = ['nothing', 'something', 'not said'] as const;
type Seen = (typeof SEEN)[number];
const FOUND: Readonly<Record<Seen, boolean | null>> = {
  nothing: false,
  something: true,
  'not said': null,
};
/** So many are shown here, the latest; all of them stand under Log, History. */
const MOST = 8;

/** Tests with light, smoke or a hand: logged with their place, what was seen, and photos. */
export function TestSection({ now }: { readonly now: number }) {
  const events = useJournal((journal) => journal.events);
  const [isOpen, setOpen] = useState(false);
  const tests = events.filter(({ kind }) => isTest(kind)).toSorted((a, b) => timeOf(b) - timeOf(a));
  return (
    <section aria-label="Tests" className="max-w-180 pt-5">
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 className="text-[17px]">Tests</h2>
        {!isOpen && (
          <Button className="print:hidden" onClick={() => setOpen(true)}>
            Log a test
          </Button>
        )}
      </div>
      {tests.length === 0 && !isOpen && (
        <p className="text-[15px] text-quiet">
          Look for dust with a lamp, and for leaks with smoke or a hand; log where, and what you
          saw.
        </p>
      )}
      {isOpen && <TestForm now={now} onDone={() => setOpen(false)} />}
      <ul aria-label="Tests made">
        {tests.slice(0, MOST).map((test) => (
          <TestItem key={test.id} event={test} />
        ))}
      </ul>
    </section>
  );
}

function TestForm({ now, onDone }: { readonly now: number; readonly onDone: () => void }) {
  const [kind, setKind] = useState<TestKind>('light test');
  const [day, setDay] = useState(() => localDay(now));
  const [place, setPlace] = useState('');
  const [seen, setSeen] = useState<Seen>('nothing');
  const [note, setNote] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const adopt = useAdopt();
  const add = () => {
    const at = dayMoment(day, Date.now());
    if (typeof at === 'string') return setRefusal(at);
    const why = adopt(() =>
      record(`log ${EVENT_NAMES[kind]}`, ({ events }) => {
        events.push(
          recordWith('events', {
            ...{ id: nanoid(10), at: at.toISOString(), kind, cost: null },
            ...{ note, place: place.trim(), found: FOUND[seen] },
          }),
        );
      }),
    );
    setRefusal(why);
    if (why !== null) return;
    toast(`Logged: ${EVENT_NAMES[kind]}`, { action: undoAction() });
    onDone();
  };
  return (
    <form
      noValidate
      className="max-w-md space-y-1 pt-1 pb-3 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Line label="Test">
        <Choice
          label="Test"
          value={kind}
          options={TEST_KINDS.map((value) => ({ value, label: EVENT_NAMES[value] }))}
          onChange={setKind}
        />
      </Line>
      <p className="text-[14px] text-quiet">{TEST_HOW[kind]}</p>
      <Line label="Day">
        <DayField label="Day" value={day} onChange={setDay} />
      </Line>
      <Line label="Place">
        <TextField saves={false} label="Place" value={place} onChange={setPlace} />
      </Line>
      <Line label="What you saw">
        <Choice
          label="What you saw"
          value={seen}
          options={SEEN.map((value) => ({
            value,
            label: value === 'something' ? (kind === 'light test' ? 'dust' : 'a leak') : value,
          }))}
          onChange={setSeen}
        />
      </Line>
      <Line label="Note">
        <TextField saves={false} label="Note" value={note} onChange={setNote} />
      </Line>
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
      <div className="flex gap-1.5 pt-2">
        <Button type="submit" look="solid">
          Add the test
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
      <p className="text-[14px] text-quiet">Photos are added to it once it is in the list.</p>
    </form>
  );
}
