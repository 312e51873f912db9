'use client';

import type { Fitting } from '@frank-gauge/core/design';
import { TextField } from '@/ui/text-field';
import { FieldLine, Line } from '../line';
import type { FittingForm } from './fitting-form';

type OtherFitting = Extract<Fitting, { kind: 'other' }>;

export const otherFittingForm: FittingForm<OtherFitting> = {
  add: 'other fitting',
  Fields: ({ fitting, change }) => (
    <>
      <Line label="Fitting name">
        <TextField
          label="Fitting name"
          value={fitting.name}
          whenEmpty="A fitting needs a name."
          onChange={(name) =>
            change('name', (own) => {
              own.name = name;
            })
          }
        />
      </Line>
      <FieldLine
        label="Loss coefficient (C)"
        value={fitting.lossCoefficient}
        kind="coefficient"
        min={0}
        max={100}
        onChange={(lossCoefficient) =>
          change('loss coefficient', (own) => {
            own.lossCoefficient = lossCoefficient;
          })
        }
      />
    </>
  ),
};
