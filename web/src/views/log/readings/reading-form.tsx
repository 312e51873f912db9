'use client';

import { isOfFlow } from '@frank-gauge/core/journal';
import { UNITS } from '@frank-gauge/core/quantity';
import Link from 'next/link';
import { useState } from 'react';
import { toast } from 'sonner';
import { QuantityField } from '@/fields/quantity-field';
import { useDesign, useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { TextField } from '@/ui/text-field';
import { QUANTITY_NAMES } from '@/words/measuring-words';
import { undoAction } from '../../frame/undo-aloud';
import { ConnectCable } from '../../parts/taking/connect-cable';
import {
  changeDraft,
  type DraftReading,
  nextDraft,
  repeatsOf,
  useDraft,
} from '../../parts/taking/draft-reading';
import { logReading } from '../../parts/taking/log-reading';
import { useScannedPlace } from '../../parts/taking/scanned-place';
import { SuspicionList } from '../../parts/taking/suspicion-list';
import { useMeterSource } from '../../parts/taking/use-meter-source';
import { nextPlace, type Place, usePlaces } from '../../parts/taking/use-places';
import { type Taking, useTaking } from '../../parts/taking/use-taking';
import { HowTaken } from './how-taken';
import { Labelled } from './labelled';
import { RepeatFields } from './repeat-fields';

/** A reading at a test point: repeats in any unit, with what they were taken with and how. */
export function ReadingForm() {
  const places = usePlaces();
  const shopId = useDesign((shop) => shop.id);
  const draft = useDraft(shopId);
  useScannedPlace(shopId, places);
  const place = places.find(({ id }) => id === draft.place) ?? places[0];
  return place ? <FormAt places={places} place={place} draft={draft} shopId={shopId} /> : null;
}

interface FormProps {
  readonly places: readonly Place[];
  readonly place: Place;
  readonly draft: DraftReading;
  readonly shopId: string;
}

function FormAt({ places, place, draft, shopId }: FormProps) {
  const system = useUnits();
  const instruments = useJournal((journal) => journal.instruments);
  const [isRefused, setRefused] = useState(false);
  const [whyNot, setWhyNot] = useState<string | null>(null);
  const adopt = useAdopt();
  const taking = useTaking(draft, place);
  const { instrument, quantity, shows, diameter, reads, isTraverse, isWhole, isReadable } = taking;
  const { fields, bare } = taking;
  const change = (next: Partial<DraftReading>) => changeDraft(shopId, next);

  const add = () => {
    setRefused(!isWhole || !isReadable);
    if (!isWhole || !isReadable) return;
    const why = adopt(() => logReading(place, instrument, fields));
    setWhyNot(why);
    if (why !== null) return;
    toast(`Logged ${place.name}`, { action: undoAction() });
    nextDraft(shopId, nextPlace(places, place).id);
  };

  return (
    <form
      className="mt-2 space-y-2.5"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Labelled label="Test point">
        <Choice
          label="Test point"
          value={place.id}
          options={places.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => change({ place: id, instrument: null, diameter: null })}
        />
      </Labelled>
      <Labelled label="Meter">
        <Choice
          label="Meter"
          value={instrument.id}
          options={(instruments.length > 0 ? instruments : [instrument]).map(({ id, name }) => ({
            value: id,
            label: name,
          }))}
          onChange={(id) => change({ instrument: id, quantity: null, hold: null })}
        />
      </Labelled>
      {shows.length > 1 && (
        <Labelled label="Meter shows">
          <Choice
            label="Meter shows"
            value={quantity}
            options={shows.map((each) => ({ value: each, label: QUANTITY_NAMES[each] }))}
            onChange={(next) => change({ quantity: next })}
          />
        </Labelled>
      )}
      <HowTaken
        draft={draft}
        place={place}
        instrument={instrument}
        quantity={quantity}
        change={change}
      />
      {isOfFlow(quantity) && (
        <Labelled label="Inside diameter">
          <QuantityField
            saves={false}
            label="Inside diameter at the meter"
            value={diameter}
            kind="diameter"
            system={system}
            min={0.01}
            max={2}
            onChange={(value) => change({ diameter: value })}
          />
        </Labelled>
      )}
      <fieldset>
        <legend className="text-[14px] text-quiet">
          {isTraverse ? 'Each point from the wall' : 'Three repeats'}
          {UNITS[bare].symbol !== '' && `, ${UNITS[bare].symbol}, or type another unit`}
        </legend>
        <RepeatFields
          draft={isTraverse ? draft : { ...draft, spot: 'point' }}
          diameter={diameter}
          reads={reads}
          onChange={(repeats) => change({ repeats })}
        />
        <MeterButton taking={taking} draft={draft} change={change} />
      </fieldset>
      <SuspicionList taking={taking} onDiameter={(inside) => change({ diameter: inside })} />
      <Labelled label="Note">
        <TextField
          saves={false}
          label="Note"
          value={draft.note}
          onChange={(note) => change({ note })}
        />
      </Labelled>
      {isRefused && !(isWhole && isReadable) && (
        <p role="alert" className="text-starved-text">
          {!isReadable
            ? 'One of the values cannot be read; nothing was logged.'
            : isTraverse
              ? 'A traverse needs all its points.'
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
        Readings compare only if taken at the same place, with the meter held the same way. What the
        meter is like is under{' '}
        <Link className="underline" href={`/shop/${shopId}/log/instruments`}>
          Instruments
        </Link>
        .
      </p>
    </form>
  );
}

interface MeterButtonProps {
  readonly taking: Taking;
  readonly draft: DraftReading;
  readonly change: (next: Partial<DraftReading>) => void;
}

/** Puts what a simulated meter, or one on a cable, shows into the first blank repeat. */
function MeterButton({ taking, draft, change }: MeterButtonProps) {
  const meter = useMeterSource(taking);
  const [refusal, setRefusal] = useState<string | null>(null);
  if (!meter)
    return taking.instrument.isSimulated ? null : <ConnectCable className="mt-1 w-full" />;
  const read = async () => {
    setRefusal(null);
    const repeats = repeatsOf(taking.isTraverse ? draft : { ...draft, spot: 'point' });
    const blank = repeats.findIndex(({ text, bound }) => text === '' && bound === null);
    const at = blank < 0 ? repeats.length - 1 : blank;
    try {
      const shown = await meter.read();
      change({ repeats: repeats.map((repeat, i) => (i === at ? shown : repeat)) });
    } catch (error) {
      setRefusal(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <>
      <Button className="mt-1 w-full" onClick={() => void read()}>
        {meter.label}
      </Button>
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
    </>
  );
}
