'use client';

import { gatesOfDrop, gatesOpenNow } from '@frank-gauge/core/analysis';
import type { Drop } from '@frank-gauge/core/design';
import type { Reading } from '@frank-gauge/core/journal';
import { type QuantityKind, unitSymbol } from '@frank-gauge/core/quantity';
import { pointOfDrop, USUAL_ACCURACY } from '@frank-gauge/core/reading';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { QuantityField } from '@/fields/quantity-field';
import { useDuctTree, useUnits } from '@/model/use-design';
import { record, useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { Segmented } from '@/ui/segmented';
import { TextField } from '@/ui/text-field';
import { undoAloud } from '../frame/undo-aloud';
import { type Repeat, readRepeat } from './read-repeat';

const BLANK: Repeat = { text: '', isOver: false };

/** A reading at a drop: three repeats in any unit, the true diameter, where in the pipe. */
export function ReadingForm() {
  const system = useUnits();
  const tree = useDuctTree();
  const [node, setNode] = useState(tree.drops[0]?.id ?? '');
  const drop = tree.drops.find(({ id }) => id === node) ?? tree.drops[0];
  const [quantity, setQuantity] = useState<'velocity' | 'flow'>('velocity');
  const [spot, setSpot] = useState<Reading['spot']>('average');
  const [gates, setGates] = useState<'own' | 'now'>('own');
  const [ownDiameter, setDiameter] = useState<{ node: string; value: number } | null>(null);
  const [repeats, setRepeats] = useState<readonly Repeat[]>([BLANK, BLANK, BLANK]);
  const [note, setNote] = useState('');
  const [isRefused, setRefused] = useState(false);
  const [whyNot, setWhyNot] = useState<string | null>(null);
  const take = useAdopt();
  if (!drop) return null;
  const diameter = ownDiameter?.node === drop.id ? ownDiameter.value : drop.port.diameter;
  const reads = repeats.map((repeat) => readRepeat(repeat, quantity, system));
  const taken = reads.flatMap((read) => (read.ok && read.taken ? [read.taken] : []));

  const add = () => {
    if (taken.length === 0 || reads.some(({ ok }) => !ok)) {
      setRefused(true);
      return;
    }
    const why = take(log);
    setWhyNot(why);
    if (why !== null) return;
    toast(`Logged ${drop.name}`, { action: { label: 'Undo', onClick: () => void undoAloud() } });
    setRepeats([BLANK, BLANK, BLANK]);
    setNote('');
    setRefused(false);
    setNode(nextDrop(tree.drops, drop).id);
  };

  const log = () => {
    const openGates = [...(gates === 'own' ? gatesOfDrop(drop) : gatesOpenNow(tree))];
    record(`log ${drop.name}`, ({ instruments, testPoints, readings }) => {
      const instrument = instruments[0]?.id ?? 'meter';
      if (instruments.length === 0) {
        instruments.push({
          id: 'meter',
          name: 'Meter',
          kind: 'vane',
          accuracy: USUAL_ACCURACY,
        });
      }
      const own = testPoints.find(({ at }) => at.kind === 'port' && at.node === drop.id);
      const point = own ?? pointOfDrop(drop);
      if (!own) testPoints.push(point);
      readings.push({
        id: nanoid(10),
        at: new Date().toISOString(),
        testPoint: point.id,
        instrument,
        round: null,
        quantity,
        spot,
        diameter,
        taken,
        unit: unitSymbol(quantity, system),
        openGates,
        note,
      });
    });
  };

  return (
    <form
      className="mt-2 space-y-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Labelled label="Drop">
        <Choice
          label="Drop"
          value={drop.id}
          options={tree.drops.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setNode}
        />
      </Labelled>
      <Labelled label="Gates open">
        <Choice
          label="Gates open"
          value={gates}
          options={[
            { value: 'own', label: 'only its own gate' },
            { value: 'now', label: 'the gates open now' },
          ]}
          onChange={setGates}
        />
      </Labelled>
      <Labelled label="Inside diameter">
        <QuantityField
          saves={false}
          label="Inside diameter at the meter"
          value={diameter}
          kind="diameter"
          system={system}
          min={0.01}
          max={2}
          onChange={(value) => setDiameter({ node: drop.id, value })}
        />
      </Labelled>
      <Labelled label="Meter shows">
        <Segmented
          label="Meter shows"
          value={quantity}
          options={[
            { value: 'velocity', label: 'velocity' },
            { value: 'flow', label: 'flow' },
          ]}
          onChange={setQuantity}
        />
      </Labelled>
      {quantity === 'velocity' && (
        <Labelled label="Meter position">
          <Choice
            label="Meter position"
            value={spot}
            options={[
              { value: 'average', label: 'moved across (average)' },
              { value: 'centre', label: 'at the center' },
            ]}
            onChange={setSpot}
          />
        </Labelled>
      )}
      <fieldset>
        <legend className="text-[14px] text-quiet">
          Three repeats, {unitSymbol(quantity, system)}, or type another unit
        </legend>
        {repeats.map((repeat, i) => {
          const read = reads[i];
          return (
            <RepeatField
              key={i}
              number={i + 1}
              repeat={repeat}
              kind={quantity}
              refusal={read && !read.ok ? read.reason : null}
              onChange={(next) => setRepeats(repeats.map((one, j) => (j === i ? next : one)))}
            />
          );
        })}
      </fieldset>
      <Labelled label="Note">
        <TextField saves={false} label="Note" value={note} onChange={setNote} />
      </Labelled>
      <InstrumentFields />
      {isRefused && (taken.length === 0 || reads.some(({ ok }) => !ok)) && (
        <p role="alert" className="text-starved-text">
          {reads.some(({ ok }) => !ok)
            ? 'One of the repeats cannot be read; nothing was logged.'
            : 'Type at least one value; three are better.'}
        </p>
      )}
      {whyNot !== null && (
        <p role="alert" className="text-starved-text">
          The reading was not added: {whyNot}.
        </p>
      )}
      <Button type="submit" look="solid" className="w-full">
        Add reading
      </Button>
      <p className="text-[14px] text-quiet">
        Readings compare only if taken at the same port and spot, with the meter held the same way.
      </p>
    </form>
  );
}

const nextDrop = (drops: readonly Drop[], drop: Drop): Drop =>
  drops[(drops.findIndex(({ id }) => id === drop.id) + 1) % drops.length] ?? drop;

function Labelled({
  label,
  children,
}: {
  readonly label: string;
  readonly children: React.ReactNode;
}) {
  return (
    <div data-line className="grid grid-cols-[92px_1fr] items-center gap-2">
      <span className="text-[14px] text-quiet">{label}</span>
      <div className="min-w-0">{children}</div>
    </div>
  );
}

interface RepeatProps {
  readonly number: number;
  readonly repeat: Repeat;
  readonly kind: QuantityKind;
  readonly refusal: string | null;
  readonly onChange: (repeat: Repeat) => void;
}

function RepeatField({ number, repeat, refusal, onChange }: RepeatProps) {
  return (
    <div className="grid grid-cols-[1fr_auto] gap-x-2 py-0.5">
      <input
        aria-label={`Repeat ${number}`}
        aria-invalid={refusal !== null}
        inputMode="text"
        autoComplete="off"
        value={repeat.text}
        placeholder={repeat.isOver ? 'end of its range' : ''}
        onChange={(event) => onChange({ ...repeat, text: event.target.value })}
        className="min-h-11 min-w-0 border border-rule bg-transparent px-2 text-[18px] focus:bg-paper aria-invalid:border-starved md:min-h-8"
      />
      <button
        type="button"
        aria-pressed={repeat.isOver}
        aria-label={`Repeat ${number}, over range`}
        onClick={() => onChange({ ...repeat, isOver: !repeat.isOver })}
        className="min-h-11 border border-rule px-2 text-[14px] aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper md:min-h-8"
      >
        over range
      </button>
      {refusal && (
        <span role="alert" className="col-span-2 text-[14px] text-starved-text">
          {refusal}
        </span>
      )}
    </div>
  );
}

/** The meter at hand: its name and how far it may be off. */
function InstrumentFields() {
  const system = useUnits();
  const instrument = useJournal(({ instruments }) => instruments[0]);
  if (!instrument) return null;
  return (
    <div className="grid grid-cols-[52px_1fr_70px] items-center gap-1">
      <span className="text-[14px] text-quiet">Meter, ±</span>
      <TextField
        label="Meter, ± : name"
        value={instrument.name}
        whenEmpty="A meter needs a name."
        onChange={(name) =>
          record(
            'name of the meter',
            ({ instruments: [own] }) => {
              if (own) own.name = name;
            },
            { merge: 'meter name' },
          )
        }
      />
      <QuantityField
        label="Meter, ± : accuracy"
        value={instrument.accuracy}
        kind="ratio"
        system={system}
        min={0}
        max={1}
        onChange={(accuracy) =>
          record(
            'accuracy of the meter',
            ({ instruments: [own] }) => {
              if (own) own.accuracy = accuracy;
            },
            { merge: 'meter accuracy' },
          )
        }
      />
    </div>
  );
}
