'use client';

import { PIPE_IDS, PIPES } from '@frank-gauge/core/catalogue';
import type { Run } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { editRun } from '../../parts/edit-runs';
import { Line } from '../../parts/line';

const PIPE_OPTIONS = PIPE_IDS.map((value) => ({ value, label: PIPES[value].name }));
const OWN = 'own';

/** What a run is made of, and the sizes it is sold in by their true inside: nominal sizes lie. */
export function PipeFields({ run }: { readonly run: Run }) {
  const system = useUnits();
  const { sizes } = PIPES[run.pipe];
  const inside = (value: number) => formatShort(value, 'diameter', system);
  const isSame = (value: number) => Math.abs(value - run.diameter) < 1e-5;
  const known = sizes.find((size) => isSame(size.inside));
  return (
    <>
      <Line label="Pipe">
        <Choice
          label="Pipe, kind"
          value={run.pipe}
          options={PIPE_OPTIONS}
          onChange={(pipe) =>
            editRun(run, 'pipe', (own) => {
              own.pipe = pipe;
            })
          }
        />
      </Line>
      <Line label="Nominal size">
        <Choice
          label="Nominal size"
          value={known?.nominal ?? OWN}
          options={[
            ...sizes.map(({ nominal, inside: size }) => ({
              value: nominal,
              label: `${nominal}, ${inside(size)} true inside`,
            })),
            { value: OWN, label: `own: ${inside(run.diameter)} inside` },
          ]}
          onChange={(nominal) => {
            const size = sizes.find((candidate) => candidate.nominal === nominal);
            if (!size) return;
            editRun(run, 'diameter', (own) => {
              own.diameter = size.inside;
            });
          }}
        />
      </Line>
    </>
  );
}
