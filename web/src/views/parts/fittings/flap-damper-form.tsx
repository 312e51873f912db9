'use client';

import type { Fitting } from '@frank-gauge/core/design';
import { FieldLine } from '../line';
import type { FittingForm } from './fitting-form';

type FlapDamper = Extract<Fitting, { kind: 'flapDamper' }>;

export const flapDamperForm: FittingForm<FlapDamper> = {
  add: 'flap damper',
  Fields: ({ fitting, change }) => (
    <>
      <FieldLine
        label="Flap angle, °"
        value={Math.round((fitting.angle * 180) / Math.PI)}
        kind="number"
        min={0}
        max={90}
        onChange={(degrees) =>
          change('angle', (own) => {
            own.angle = (degrees * Math.PI) / 180;
          })
        }
      />
      <p className="text-[14px] text-quiet">
        Degrees into the airstream while air holds it open; 0 is fully open. A light flap hangs at
        about 10°.
      </p>
    </>
  ),
};
