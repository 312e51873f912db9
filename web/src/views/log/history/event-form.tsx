'use client';

import { EVENT_KINDS, type EventKind, isTest, recordWith } from '@frank-gauge/core/journal';
import { formatShort } from '@frank-gauge/core/quantity';
import { format } from 'date-fns';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { DayField } from '@/fields/day-field';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { record } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { TextField } from '@/ui/text-field';
import { EVENT_NAMES, percentChange } from '@/words/change-words';
import { dayMoment, localDay } from '@/words/local-day';
import { undoAction } from '../../frame/undo-aloud';
import { Line, ShopQuantity } from '../../parts/line';
import { usePointIds } from '../../parts/taking/use-point-ids';
import { type Bought, BoughtLines, boughtRecord } from './bought-lines';
import { type Promised, useDesignEdits, usePromise } from './use-design-edits';

/** Tests are logged under Upkeep, with their place. */
const CHANGES = EVENT_KINDS.filter((kind) => !isTest(kind));

interface Typed {
  readonly kind: EventKind;
  readonly day: string;
  readonly cost: number | null;
  readonly hours: number | null;
  readonly note: string;
  readonly bought: Bought | null;
  /** Position of the edit of the design it was; null: none. */
  readonly edit: number | null;
}

/** What was changed in the shop, when, and what it cost. */
export function EventForm({ onDone }: { readonly onDone: () => void }) {
  const [typed, setTyped] = useState<Typed>({
    kind: 'cleaned',
    day: localDay(Date.now()),
    cost: null,
    hours: null,
    note: '',
    bought: null,
    edit: null,
  });
  const shopId = useDesign((shop) => shop.id);
  const edits = useDesignEdits(shopId);
  const edit = edits.find(({ position }) => position === typed.edit) ?? null;
  const promised = usePromise(edit);
  const pointOf = usePointIds();
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
          recordWith('events', {
            ...event,
            hours: hours === null ? null : hours / 3600,
            edit: edit?.label ?? null,
            bought: boughtRecord(typed.bought),
            promised: Array.isArray(promised)
              ? promised.map(({ drop, before, after }) => ({
                  testPoint: pointOf(drop),
                  before,
                  after,
                }))
              : [],
          }),
        );
      }),
    );
    setRefusal(why);
    if (why !== null) return;
    toast(`Logged: ${EVENT_NAMES[kind]}`, {
      action: undoAction(),
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
          options={CHANGES.map((kind) => ({ value: kind, label: EVENT_NAMES[kind] }))}
          onChange={(kind) => change({ kind })}
        />
      </Line>
      <Line label="Day">
        <DayField label="Day" value={typed.day} onChange={(day) => change({ day })} />
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
      <BoughtLines bought={typed.bought} onChange={(bought) => change({ bought })} />
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
      {edits.length > 0 && (
        <Line label="Edit of the design">
          <Choice
            label="Edit of the design"
            value={typed.edit === null ? '' : String(typed.edit)}
            options={[
              { value: '', label: 'none' },
              ...edits.map(({ position, label, at }) => ({
                value: String(position),
                label: `${label}, ${format(at, 'MMM d, h:mm a')}`,
              })),
            ]}
            onChange={(position) => change({ edit: position === '' ? null : Number(position) })}
          />
        </Line>
      )}
      <PromiseLine promised={promised} />
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
      <div className="flex gap-1.5 pt-2">
        <Button type="submit" look="solid" disabled={promised === 'asking'}>
          Add the change
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

/** What the model says the chosen edit is worth at each drop, before it is logged. */
function PromiseLine({ promised }: { readonly promised: Promised }) {
  const system = useUnits();
  const { drops } = useDuctTree();
  if (promised === null) return null;
  if (promised === 'asking') {
    return (
      <p role="status" className="text-quiet">
        Asking the model…
      </p>
    );
  }
  if (promised === 'unknown') {
    return (
      <p>
        The design has changed too much since this edit: what the model promised is not known any
        more.
      </p>
    );
  }
  if (promised.length === 0) return <p>The model says this edit changes no airflow.</p>;
  const flow = (value: number) => formatShort(value, 'flow', system);
  return (
    <div>
      <p>The model, as found, promises:</p>
      <ul>
        {promised.map(({ drop, before, after }) => (
          <li key={drop} className="text-quiet">
            {drops.find(({ id }) => id === drop)?.name ?? 'a drop'}: {flow(before)} to {flow(after)}{' '}
            ({percentChange(after / before)})
          </li>
        ))}
      </ul>
    </div>
  );
}
