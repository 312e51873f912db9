'use client';

import { type Round, recordWith } from '@frank-gauge/core/journal';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { record } from '@/storage/session';
import { Button } from '@/ui/button';
import { useAdopt } from '@/ui/refusal';
import { Segmented } from '@/ui/segmented';
import { TextField } from '@/ui/text-field';
import { FieldLine, Line } from '../../parts/line';
import { NEW_DRAFT } from '../../parts/taking/draft-reading';
import { SpotFields } from '../../parts/taking/spot-fields';

type Typed = Pick<
  Round,
  'by' | 'method' | 'spot' | 'traverse' | 'filter' | 'binLevel' | 'temperature' | 'note'
>;

const NOTHING: Typed = {
  by: '',
  method: 'absolute',
  spot: NEW_DRAFT.spot,
  traverse: NEW_DRAFT.traverse,
  filter: '',
  binLevel: null,
  temperature: null,
  note: '',
};

/** What is noted once for a whole round; none of it has to be. */
export function StartRound() {
  const [typed, setTyped] = useState(NOTHING);
  const [refusal, setRefusal] = useState<string | null>(null);
  const adopt = useAdopt();
  const change = (next: Partial<Typed>) => setTyped((before) => ({ ...before, ...next }));
  const start = () =>
    setRefusal(
      adopt(() =>
        record('start a round', ({ rounds }) => {
          const begun = { id: nanoid(10), at: new Date().toISOString(), kind: 'guided' as const };
          rounds.push(recordWith('rounds', { ...typed, ...begun }));
        }),
      ),
    );
  return (
    <form
      className="space-y-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        start();
      }}
    >
      <h1 className="text-[18px]">Guided round</h1>
      <p className="pb-2">
        From the nearest drop to the farthest, each with only its own gate open; then with all gates
        shut; then the filter. Everything below may stay empty.
      </p>
      <Line label="Method">
        <Segmented
          label="Method"
          value={typed.method}
          options={[
            { value: 'absolute', label: 'absolute' },
            { value: 'relative', label: 'relative' },
          ]}
          onChange={(method) => change({ method })}
        />
      </Line>
      <SpotFields
        spot={typed.spot}
        traverse={typed.traverse}
        onChange={change}
        line={(label, field) => <Line label={label}>{field}</Line>}
      />
      <Line label="Read by">
        <TextField
          saves={false}
          label="Read by"
          value={typed.by}
          onChange={(by) => change({ by })}
        />
      </Line>
      <Line label="Filter">
        <TextField
          saves={false}
          label="Filter"
          value={typed.filter}
          placeholder="clean, gray, caked"
          onChange={(filter) => change({ filter })}
        />
      </Line>
      <FieldLine
        saves={false}
        label="Bin, how full"
        value={typed.binLevel}
        kind="ratio"
        min={0}
        max={1}
        placeholder="not looked"
        onChange={(binLevel) => change({ binLevel })}
        onClear={() => change({ binLevel: null })}
      />
      <FieldLine
        saves={false}
        label="Temperature"
        value={typed.temperature}
        kind="temperature"
        min={220}
        max={340}
        placeholder="not measured"
        onChange={(temperature) => change({ temperature })}
        onClear={() => change({ temperature: null })}
      />
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
          The round was not started: {refusal}.
        </p>
      )}
      <div className="pt-2">
        <Button type="submit" look="solid" className="w-full">
          Start the round
        </Button>
      </div>
    </form>
  );
}
