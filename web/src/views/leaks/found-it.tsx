'use client';

import type { Fault, LeakReport, ReportedSuspect } from '@frank-gauge/core/inference';
import { placeOfFault } from '@frank-gauge/core/inference';
import { type EventKind, recordWith } from '@frank-gauge/core/journal';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { useDesign } from '@/model/use-design';
import { chooseTight } from '@/storage/choices';
import { record } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { TextField } from '@/ui/text-field';
import { EVENT_NAMES } from '@/words/change-words';
import { faultName, placeName } from '@/words/fault-words';
import { undoAction } from '../frame/undo-aloud';
import { usePlaceNames } from '../parts/leaks/use-place-names';
import { Line } from '../parts/line';
import { usePointIds } from '../parts/taking/use-point-ids';

/** What ends a fault, by its kind. */
const DONE: Readonly<Record<Fault['kind'], EventKind>> = {
  opening: 'sealed',
  clog: 'changed',
  'gate not open': 'changed',
  'gate not shut': 'changed',
  filter: 'cleaned',
  separator: 'changed',
  blower: 'blower changed',
  leakage: 'sealed',
  meter: 'changed',
};

/** Closes the hunt: what was found, what was done, and what the model promises of it. */
export function FoundIt({ report: { suspects } }: { readonly report: LeakReport }) {
  const [isOpen, setOpen] = useState(false);
  if (suspects.length === 0) return null;
  return (
    <section aria-label="Found it" className="pt-4">
      {isOpen ? (
        <FoundForm suspects={suspects} onDone={() => setOpen(false)} />
      ) : (
        <Button look="solid" className="w-full" onClick={() => setOpen(true)}>
          I found it and mended it
        </Button>
      )}
    </section>
  );
}

interface Props {
  readonly suspects: readonly ReportedSuspect[];
  readonly onDone: () => void;
}

function FoundForm({ suspects, onDone }: Props) {
  const names = usePlaceNames();
  const pointOf = usePointIds();
  const [chosen, setChosen] = useState(0);
  const [note, setNote] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const adopt = useAdopt();
  const shop = useDesign(({ id }) => id);
  const suspect = suspects[chosen] ?? suspects[0];
  if (!suspect) return null;
  const describe = ({ fault }: ReportedSuspect) =>
    `${placeName(placeOfFault(fault), names)}: ${faultName(fault)}`;
  const kind = DONE[suspect.fault.kind];
  const log = () => {
    const why = adopt(() =>
      record(`log ${EVENT_NAMES[kind]}`, ({ events }) => {
        events.push(
          recordWith('events', {
            id: nanoid(10),
            at: new Date().toISOString(),
            kind,
            cost: null,
            isHunt: true,
            note: [`Leak hunt. ${describe(suspect)}.`, note].filter((each) => each).join(' '),
            promised: suspect.losses.map((loss) => ({
              testPoint: pointOf(loss.drop),
              before: loss.with,
              after: loss.without,
            })),
          }),
        );
      }),
    );
    setRefusal(why);
    if (why !== null) return;
    chooseTight(shop, []);
    toast(`Logged: ${EVENT_NAMES[kind]}`, {
      action: undoAction(),
    });
    onDone();
  };
  return (
    <form
      noValidate
      aria-label="What was found"
      className="border border-ink p-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        log();
      }}
    >
      <Line label="What it was">
        <Choice
          label="What it was"
          value={`${chosen}`}
          options={suspects.map((each, i) => ({ value: `${i}`, label: describe(each) }))}
          onChange={(value) => setChosen(Number(value))}
        />
      </Line>
      <Line label="Note">
        <TextField label="Note" value={note} onChange={setNote} />
      </Line>
      <p className="py-1 text-[14px] text-quiet">
        It is logged as <em>{EVENT_NAMES[kind]}</em>, with what the model promises of it. Then read
        the drops again: History says what it gained, and takes a photo of it.
      </p>
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
      <div className="flex gap-2 pt-1">
        <Button type="submit" look="solid">
          Log it
        </Button>
        <Button look="quiet" onClick={onDone}>
          Not yet
        </Button>
      </div>
    </form>
  );
}
