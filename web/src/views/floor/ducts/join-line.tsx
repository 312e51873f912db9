'use client';

import type { Run } from '@frank-gauge/core/design';
import type { NotJoined } from '@frank-gauge/core/routing';
import { useState } from 'react';
import { Choice } from '@/ui/choice';
import { Line } from '../../parts/line';
import { joinRunBy } from './edit-ducts';

const JOINS = [30, 45, 60, 90] as const;

const NOT_JOINED: Readonly<Record<NotJoined, string>> = {
  'not a plain branch':
    'It does not meet its main squarely, or more than two ducts meet there. Move its bends.',
  'no room': 'There is no room for that on its main, or in its last leg.',
};

/** By what a branch joins: a wye of some angle or a tee; its last leg and the joint follow. */
export function JoinLine({ run, angle }: { readonly run: Run; readonly angle: number }) {
  const [refusal, setRefusal] = useState<NotJoined | null>(null);
  const degrees = Math.round((angle * 180) / Math.PI);
  const known = JOINS.find((each) => each === degrees);
  const options = JOINS.map((each) => ({
    value: String(each),
    label: each === 90 ? 'a tee' : `a wye of ${each}°`,
  }));
  return (
    <>
      <Line label="Joins by">
        <Choice
          label={`Joins by, ${run.name}`}
          value={known === undefined ? '' : String(known)}
          options={
            known === undefined
              ? [{ value: '', label: `${degrees}°, as drawn` }, ...options]
              : options
          }
          onChange={(value) => {
            if (value !== '') {
              setRefusal(joinRunBy(run.id, run.name, (Number(value) * Math.PI) / 180));
            }
          }}
        />
      </Line>
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          ▼ {NOT_JOINED[refusal]}
        </p>
      )}
    </>
  );
}
