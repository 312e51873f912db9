'use client';

import { compareCandidates } from '@frank-gauge/core/analysis';
import { recordWith, type Weighing } from '@frank-gauge/core/journal';
import { WEIGHING_ACCURACY } from '@frank-gauge/core/reading';
import { SCALE, trueMass } from '@frank-gauge/core/simulate';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { DayField } from '@/fields/day-field';
import { useDuctTree } from '@/model/use-design';
import { record } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { TextField } from '@/ui/text-field';
import { dayMoment, localDay } from '@/words/local-day';
import { undoAction } from '../../frame/undo-aloud';
import { Line, ShopQuantity } from '../../parts/line';
import { useHidden, useReadShop } from '../../parts/stand-ins/use-hidden';
import { useStandIn } from '../../parts/stand-ins/use-stand-in';
import { BIN_NAMES } from './bin-names';

interface Typed {
  readonly bin: Weighing['bin'];
  readonly day: string;
  readonly mass: number | null;
  readonly volume: number | null;
  /** s */
  readonly hours: number | null;
  readonly accuracy: number | null;
  /** The weight was shown by a stand-in. */
  readonly isSimulated: boolean;
  readonly note: string;
}

const blank = (bin: Weighing['bin'] = 'separator'): Typed => ({
  bin,
  day: localDay(Date.now()),
  mass: null,
  volume: null,
  hours: null,
  accuracy: null,
  isSimulated: false,
  note: '',
});

/** What a bin held, by weight or by volume, and how long the machines ran meanwhile. */
export function WeighingForm() {
  const [typed, setTyped] = useState<Typed>(blank);
  const [refusal, setRefusal] = useState<string | null>(null);
  const adopt = useAdopt();
  const tree = useDuctTree();
  const standIn = useStandIn('scale', SCALE);
  const hidden = useHidden();
  const real = useReadShop(true);
  const change = (next: Partial<Typed>) => setTyped((before) => ({ ...before, ...next }));
  const add = () => {
    const { bin, day, mass, volume, hours, accuracy, isSimulated, note } = typed;
    const at = dayMoment(day, Date.now());
    if (typeof at === 'string') return setRefusal(at);
    if (mass === null && volume === null)
      return setRefusal('Enter what it weighed, or its volume.');
    const why = adopt(() =>
      record(`log ${BIN_NAMES[bin].toLowerCase()}`, ({ weighings }) => {
        weighings.push(
          recordWith('weighings', {
            ...{ id: nanoid(10), at: at.toISOString(), bin, mass, volume, accuracy, note },
            isSimulated: isSimulated && mass !== null,
            hours: hours === null ? null : hours / 3600,
          }),
        );
      }),
    );
    setRefusal(why);
    if (why !== null) return;
    toast(`Logged: ${BIN_NAMES[bin].toLowerCase()}`, {
      action: undoAction(),
    });
    setTyped(blank(bin));
  };
  const weigh = () => {
    if (typed.hours === null)
      return setRefusal('Enter the machine hours first: the scale weighs what they made.');
    const load = compareCandidates({ ...real, candidates: [] }, tree, 'found', [])[0]?.load;
    if (!load || !standIn)
      return setRefusal('Connect a machine under Air first: without one no air moves.');
    setRefusal(null);
    const believed = { rate: real.collector.dust.rate, caught: load.separator.caught };
    const mass = standIn.shownOf(trueMass(believed, typed.bin, typed.hours / 3600, hidden));
    change({ mass, isSimulated: true });
  };
  return (
    <form
      noValidate
      className="space-y-1 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Line label="Bin">
        <Choice
          label="Bin"
          value={typed.bin}
          options={(['separator', 'filter'] as const).map((bin) => ({
            value: bin,
            label: BIN_NAMES[bin],
          }))}
          onChange={(bin) => change({ bin })}
        />
      </Line>
      <Line label="Day">
        <DayField label="Day" value={typed.day} onChange={(day) => change({ day })} />
      </Line>
      <Line label="Weight">
        <ShopQuantity
          saves={false}
          label="Weight"
          value={typed.mass}
          kind="mass"
          min={0}
          max={10_000}
          placeholder="not weighed"
          onChange={(mass) => change({ mass, isSimulated: false })}
          onClear={() => change({ mass: null, isSimulated: false })}
        />
      </Line>
      <Line label="Volume">
        <ShopQuantity
          saves={false}
          label="Volume"
          value={typed.volume}
          kind="volume"
          min={0}
          max={100}
          placeholder="not measured"
          onChange={(volume) => change({ volume })}
          onClear={() => change({ volume: null })}
        />
      </Line>
      <Line label="Machine hours">
        <ShopQuantity
          saves={false}
          label="Machine hours"
          value={typed.hours}
          kind="duration"
          min={0}
          max={3.6e8}
          placeholder="not noted"
          onChange={(hours) => change({ hours })}
          onClear={() => change({ hours: null })}
        />
      </Line>
      <Line label="Accuracy, ±">
        <ShopQuantity
          saves={false}
          label="Accuracy, ±"
          value={typed.accuracy}
          kind="ratio"
          min={0}
          max={1}
          placeholder={`${100 * (typed.mass === null && typed.volume !== null ? WEIGHING_ACCURACY.volume : WEIGHING_ACCURACY.mass)} %, est.`}
          onChange={(accuracy) => change({ accuracy })}
          onClear={() => change({ accuracy: null })}
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
      {standIn && <Button onClick={weigh}>Read the simulated scale</Button>}
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
      <div className="pt-2">
        <Button type="submit" look="solid">
          Add weighing
        </Button>
      </div>
      <p className="pt-2 text-[14px] text-quiet">
        Machine hours: how long machines ran since this bin was last emptied.
      </p>
    </form>
  );
}
