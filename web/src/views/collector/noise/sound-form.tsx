'use client';

import { compareCandidates } from '@frank-gauge/core/analysis';
import type { DuctTree, Shop } from '@frank-gauge/core/design';
import type { View } from '@frank-gauge/core/network';
import { SOUND_METER, trueLevel } from '@frank-gauge/core/simulate';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { useDesign, useDuctTree } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { record } from '@/storage/session';
import { Button } from '@/ui/button';
import { useAdopt } from '@/ui/refusal';
import { TextField } from '@/ui/text-field';
import { FieldLine, Line } from '../../parts/line';
import { useHidden, useReadShop } from '../../parts/stand-ins/use-hidden';
import { useStandIn } from '../../parts/stand-ins/use-stand-in';

interface Typed {
  readonly place: string;
  readonly level: number | null;
  readonly distance: number | null;
  readonly hours: number | null;
  /** The level was shown by a stand-in. */
  readonly isSimulated: boolean;
}

const NOTHING: Typed = {
  place: '',
  level: null,
  distance: null,
  hours: null,
  isSimulated: false,
};

/** The collector’s level at the usual distance, without what earlier readings moved it by; null: it does not run. */
const estimatedNoise = (shop: Shop, tree: DuctTree, view: View): number | null =>
  compareCandidates({ ...shop, candidates: [] }, tree, view, [])[0]?.noise ?? null;

/** A meter's reading at a place, as it is taken. */
export function SoundForm() {
  const [typed, setTyped] = useState(NOTHING);
  const [round, setRound] = useState(0);
  const [refusal, setRefusal] = useState<string | null>(null);
  const shop = useDesign();
  const tree = useDuctTree();
  const view = useChoices((choices) => choices.view);
  const keep = useAdopt();
  const standIn = useStandIn('sound meter', SOUND_METER);
  const hidden = useHidden();
  const real = useReadShop(true);
  const adopt = (change: Partial<Typed>) => setTyped((before) => ({ ...before, ...change }));
  const log = () => {
    const { place, level, distance, hours, isSimulated } = typed;
    if (place.trim() === '') return setRefusal('Enter where it was read.');
    if (level === null) return setRefusal('Enter what the meter shows, in dB(A), slow.');
    const expected = estimatedNoise(shop, tree, view);
    const sound = {
      id: nanoid(10),
      at: new Date().toISOString(),
      place: place.trim(),
      level,
      distance,
      hours,
      expected,
      isSimulated,
      note: '',
    };
    const why = keep(() => record('log a sound reading', ({ sounds }) => void sounds.push(sound)));
    setRefusal(why === null ? null : `The reading was not added: ${why}.`);
    if (why !== null) return;
    setTyped(NOTHING);
    setRound((before) => before + 1);
  };
  const listen = () => {
    const { distance } = typed;
    if (distance === null) return setRefusal('Enter how far from the collector you stand.');
    const estimated = estimatedNoise(real, tree, 'found');
    if (estimated === null || !standIn)
      return setRefusal('Connect a machine under Air first: without one no air moves.');
    setRefusal(null);
    adopt({ level: standIn.shownOf(trueLevel(estimated, distance, hidden)), isSimulated: true });
  };
  return (
    <form
      key={round}
      className="space-y-1"
      onSubmit={(event) => {
        event.preventDefault();
        log();
      }}
    >
      <Line label="Place">
        <TextField
          label="Place"
          value={typed.place}
          saves={false}
          onChange={(place) => adopt({ place })}
        />
      </Line>
      <FieldLine
        label="Meter reading"
        value={typed.level}
        kind="sound"
        min={20}
        max={150}
        placeholder="A, slow"
        saves={false}
        onChange={(level) => adopt({ level, isSimulated: false })}
        onClear={() => adopt({ level: null })}
      />
      <FieldLine
        label="Distance from the collector"
        value={typed.distance}
        kind="length"
        min={0}
        isMinExcluded
        max={100}
        placeholder="not measured"
        saves={false}
        onChange={(distance) => adopt({ distance })}
        onClear={() => adopt({ distance: null })}
      />
      <FieldLine
        label="Hours a day there"
        value={typed.hours}
        kind="number"
        min={0}
        max={24}
        placeholder="nobody there"
        saves={false}
        onChange={(hours) => adopt({ hours })}
        onClear={() => adopt({ hours: null })}
      />
      {standIn && (
        <div>
          <Button onClick={listen}>Read the simulated sound meter</Button>
        </div>
      )}
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          {refusal}
        </p>
      )}
      <Button type="submit" className="mt-1">
        Add reading
      </Button>
    </form>
  );
}
