'use client';

import { EVENT_KINDS, type EventKind, recordWith } from '@frank-gauge/core/journal';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { record } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { TextField } from '@/ui/text-field';
import { EVENT_NAMES } from '@/words/change-words';
import { dayMoment, localDay } from '@/words/local-day';
import { undoAloud } from '../../frame/undo-aloud';
import { Line, ShopQuantity } from '../../parts/line';

interface Typed {
  readonly kind: EventKind;
  readonly day: string;
  readonly cost: number | null;
  readonly hours: number | null;
  readonly note: string;
}

/** What was changed in the shop, when, and what it cost. */
export function EventForm({ onDone }: { readonly onDone: () => void }) {
  const [typed, setTyped] = useState<Typed>({
    kind: 'cleaned',
    day: localDay(Date.now()),
    cost: null,
    hours: null,
    note: '',
  });
  const [refusal, setRefusal] = useState<string | null>(null);
  const adopt = useAdopt();
  const change = (next: Partial<Typed>) => setTyped((before) => ({ ...before, ...next }));
  const add = () => {
    const { kind, day, cost, hours, note } = typed;
    const at = dayMoment(day, Date.now());
    if (typeof at === 'string') return setRefusal(at);
    const why = adopt(() =>
      record(`log ${EVENT_NAMES[kind]}`, ({ events }) => {
        const event = { id: nanoid(10), at: at.toISOString(), kind, cost, note };
        events.push(
          recordWith('events', { ...event, hours: hours === null ? null : hours / 3600 }),
        );
      }),
    );
    setRefusal(why);
    if (why !== null) return;
    toast(`Logged: ${EVENT_NAMES[kind]}`, {
      action: { label: 'Undo', onClick: () => void undoAloud() },
    });
    onDone();
  };
  return (
    <form
      // What is wrong is said here, in a sentence.
      noValidate
      className="max-w-md space-y-1 pt-1 pb-3 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Line label="What was done">
        <Choice
          label="What was done"
          value={typed.kind}
          options={EVENT_KINDS.map((kind) => ({ value: kind, label: EVENT_NAMES[kind] }))}
          onChange={(kind) => change({ kind })}
        />
      </Line>
      <Line label="Day">
        <input
          type="date"
          aria-label="Day"
          value={typed.day}
          max={localDay(Date.now())}
          onChange={(event) => change({ day: event.target.value })}
          className="min-h-11 border border-transparent border-b-rule bg-transparent px-1 hover:border-rule md:min-h-7"
        />
      </Line>
      <Line label="Cost">
        <ShopQuantity
          saves={false}
          label="Cost"
          value={typed.cost}
          kind="number"
          min={0}
          placeholder="not known"
          onChange={(cost) => change({ cost })}
          onClear={() => change({ cost: null })}
        />
      </Line>
      <Line label="Work">
        <ShopQuantity
          saves={false}
          label="Work"
          value={typed.hours}
          kind="duration"
          min={0}
          max={3.6e7}
          placeholder="not noted"
          onChange={(hours) => change({ hours })}
          onClear={() => change({ hours: null })}
        />
      </Line>
      <Line label="Note">
        <TextField
          saves={false}
          label="Note"
          value={typed.note}
          onChange={(note) => change({ note })}
        />
      </Line>
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
      <div className="flex gap-1.5 pt-2">
        <Button type="submit" look="solid">
          Add the change
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
