'use client';

import { FITTING_KINDS, isBend, usualFitting } from '@frank-gauge/core/catalogue';
import type { Fitting, Run } from '@frank-gauge/core/design';
import { nanoid } from 'nanoid';
import { Button } from '@/ui/button';
import { RemoveButton } from '@/ui/remove-button';
import { changeFittings, editFitting } from '../../parts/edit-runs';
import type { PlacedFitting } from '../../parts/fittings/fitting-form';
import { formOf, PLACED_KINDS } from '../../parts/fittings/fitting-forms';
import { FieldLine } from '../../parts/line';

const isPlaced = (fitting: Fitting): fitting is PlacedFitting => !isBend(fitting);

/** What else sits in a run beside its turns: dampers, and whatever has a coefficient of its own. */
export function FittingFields({ run }: { readonly run: Run }) {
  return (
    <div>
      {run.fittings.filter(isPlaced).map((fitting) => (
        <PlacedFields key={fitting.id} run={run} fitting={fitting} />
      ))}
      {PLACED_KINDS.map((kind, i) => (
        <Button
          key={kind}
          look="quiet"
          className={i === 0 ? '-ml-3' : ''}
          onClick={() =>
            changeFittings(run, `add a ${formOf(kind).add}`, (fittings) => [
              ...fittings,
              usualFitting(kind, nanoid(10)),
            ])
          }
        >
          + {formOf(kind).add}
        </Button>
      ))}
    </div>
  );
}

interface PlacedProps {
  readonly run: Run;
  readonly fitting: PlacedFitting;
}

function PlacedFields({ run, fitting }: PlacedProps) {
  const { kind, id } = fitting;
  const { Fields } = formOf(kind);
  const { name } = FITTING_KINDS[kind];
  const change = (field: string, apply: (own: PlacedFitting) => void) =>
    editFitting(run, fitting, field, (own) => {
      if (isPlaced(own)) apply(own);
    });
  return (
    <section aria-label={name} className="border-rule border-t pt-0.5">
      <div className="flex items-center">
        <h3 className="text-[15px]">{name}</h3>
        <span className="ml-auto">
          <RemoveButton
            label={`Remove the ${name.toLowerCase()}`}
            onClick={() =>
              changeFittings(run, `remove the ${name.toLowerCase()}`, (fittings) =>
                fittings.filter((each) => each.id !== id),
              )
            }
          />
        </span>
      </div>
      <Fields fitting={fitting} change={change} />
      <FieldLine
        label="Count"
        of={name.toLowerCase()}
        value={fitting.count}
        kind="number"
        min={1}
        max={50}
        isWhole
        onChange={(count) =>
          change('count', (own) => {
            own.count = count;
          })
        }
      />
    </section>
  );
}
