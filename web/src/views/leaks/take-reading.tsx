'use client';

import type { NextReading } from '@frank-gauge/core/inference';
import { isOfFlow, recordWith, type TestPoint } from '@frank-gauge/core/journal';
import { diameterAt, pointOfDrop } from '@frank-gauge/core/reading';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { useDesign, useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { SHOWN_BY, usualQuantity } from '@/words/measuring-words';
import { undoAction } from '../frame/undo-aloud';
import { Line } from '../parts/line';
import { changeDraft, NEW_DRAFT, type Repeat, useDraft } from '../parts/taking/draft-reading';
import { logReading } from '../parts/taking/log-reading';
import { SwitchPanel } from '../parts/taking/switch-panel';
import { TypedRepeats } from '../parts/taking/typed-repeats';
import type { Place } from '../parts/taking/use-places';
import { useTaking } from '../parts/taking/use-taking';

interface Props {
  readonly reading: NextReading;
  /** What its place is to be called, where it is new. */
  readonly name: string;
  readonly onDone: () => void;
}

/** Takes the reading that was asked for: its place and its gates are set, only the repeats are typed. */
export function TakeReading({ reading: { candidate }, name, onDone }: Props) {
  const shopId = useDesign((shop) => shop.id);
  const instruments = useJournal((journal) => journal.instruments);
  const collector = useDesign((shop) => shop.collector);
  const tree = useDuctTree();
  const draftId = `${shopId} hunt`;
  const kept = useDraft(draftId);
  const place = usePlaceOf(candidate.measurand.at, name);
  const isPressure = candidate.measurand.shows === 'pressure';
  const fitting = instruments.filter((each) =>
    isPressure ? SHOWN_BY[each.kind].includes('pressure') : isOfFlow(usualQuantity(each)),
  );
  const isOwn = kept.place === place.id;
  const draft = {
    ...NEW_DRAFT,
    place: place.id,
    instrument: fitting.find(({ id }) => id === kept.instrument)?.id ?? fitting[0]?.id ?? null,
    quantity: isPressure ? ('pressure' as const) : null,
    // A port's own was measured, perhaps.
    diameter: place.drop ? null : diameterAt({ collector }, tree, candidate.measurand.at),
    repeats: isOwn ? kept.repeats : NEW_DRAFT.repeats,
  };
  const gates = [...candidate.gates];
  const taking = useTaking(draft, place, gates);
  const setRepeats = (repeats: readonly Repeat[]) =>
    changeDraft(draftId, { place: place.id, instrument: draft.instrument, repeats });
  return (
    <section aria-label={`Take the reading: ${name}`} className="mt-2 border border-ink p-2.5">
      {taking.instrument.isSimulated && <SwitchPanel wanted={gates} />}
      {fitting.length > 1 && (
        <Line label="Meter">
          <Choice
            label="Meter"
            value={taking.instrument.id}
            options={fitting.map((each) => ({ value: each.id, label: each.name }))}
            onChange={(instrument) => changeDraft(draftId, { place: place.id, instrument })}
          />
        </Line>
      )}
      <TypedRepeats
        draft={draft}
        taking={taking}
        setRepeats={setRepeats}
        onDone={() => {
          logReading(place, taking.instrument, taking.fields);
          changeDraft(draftId, { place: null, repeats: NEW_DRAFT.repeats });
          toast(`Logged ${name}`, { action: undoAction() });
          onDone();
        }}
      />
      <Button look="quiet" className="mt-1 w-full" onClick={onDone}>
        Not now
      </Button>
    </section>
  );
}

/** The place as it is known already, or as it comes into the journal with its first reading. */
function usePlaceOf(at: TestPoint['at'], name: string): Place {
  const { drops } = useDuctTree();
  const testPoints = useJournal((journal) => journal.testPoints);
  const [fresh] = useState(() => nanoid(10));
  const known = testPoints.find((point) => isSamePlace(point.at, at));
  const drop = (at.kind === 'port' && drops.find(({ id }) => id === at.node)) || null;
  const made = drop ? pointOfDrop(drop) : recordWith('testPoints', { id: fresh, name, at });
  const point = known ?? made;
  return { id: point.id, name: drop?.name ?? known?.name ?? name, drop, point };
}

/** Two places in a run nearer than this are one, m. */
const SAME_PLACE = 0.05;

const isSamePlace = (a: TestPoint['at'], b: TestPoint['at']): boolean =>
  a.kind === 'run' && b.kind === 'run'
    ? a.run === b.run && Math.abs(a.along - b.along) < SAME_PLACE
    : JSON.stringify(a) === JSON.stringify(b);
