'use client';

import {
  ELBOW_STYLE_IDS,
  ELBOW_STYLES,
  type Fitting,
  type Run,
  usualRadiusRatio,
} from '@frank-gauge/core';
import { X } from 'lucide-react';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { editRun, usualElbow } from './edit-runs';
import { ShopQuantity } from './line';

const STYLE_OPTIONS = ELBOW_STYLE_IDS.map((value) => ({ value, label: ELBOW_STYLES[value].name }));

type Elbow = Extract<Fitting, { kind: 'elbow' }>;

/** The elbows of a run: how many, what angle, how made, and how wide they swing. */
export function BendFields({ run }: { readonly run: Run }) {
  const elbows = run.fittings.filter((fitting) => fitting.kind === 'elbow');
  return (
    <div>
      {elbows.length > 0 && (
        <div
          aria-hidden
          className="grid grid-cols-[40px_56px_1fr_56px_32px] gap-x-1 text-[13px] text-quiet"
        >
          <span>count</span>
          <span>angle, °</span>
          <span>made</span>
          <span>R/D</span>
        </div>
      )}
      {elbows.map((elbow) => (
        <BendLine key={elbow.id} run={run} elbow={elbow} />
      ))}
      <Button
        look="quiet"
        className="-ml-3"
        onClick={() =>
          editRun(run, 'bends', (own) => void own.fittings.push(usualElbow(own.fittings.at(-1))))
        }
      >
        + elbow
      </Button>
    </div>
  );
}

function BendLine({ run, elbow }: { readonly run: Run; readonly elbow: Elbow }) {
  const change = (field: string, apply: (own: Elbow) => void) =>
    editRun(run, `elbow ${field}`, (own) => {
      const found = own.fittings.find(({ id }) => id === elbow.id);
      if (found?.kind === 'elbow') apply(found);
    });
  return (
    <div className="grid grid-cols-[40px_56px_1fr_56px_32px] items-center gap-x-1">
      <ShopQuantity
        label="Number of elbows"
        value={elbow.count}
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
      <ShopQuantity
        label="Angle of the elbow in degrees"
        value={Math.round((elbow.angle * 180) / Math.PI)}
        kind="number"
        min={1}
        max={180}
        onChange={(degrees) =>
          change('angle', (own) => {
            own.angle = (degrees * Math.PI) / 180;
          })
        }
      />
      <Choice
        label="How the elbow is made"
        value={elbow.style}
        options={STYLE_OPTIONS}
        onChange={(style) =>
          change('style', (own) => {
            own.style = style;
            own.radiusRatio = usualRadiusRatio(style);
          })
        }
      />
      <ShopQuantity
        label="Radius over diameter"
        value={elbow.radiusRatio}
        kind="number"
        min={0.5}
        max={10}
        onChange={(ratio) =>
          change('radius', (own) => {
            own.radiusRatio = ratio;
          })
        }
      />
      <button
        type="button"
        aria-label="Remove the elbow"
        className="grid size-8 place-items-center hover:bg-paper"
        onClick={() =>
          editRun(run, 'bends', (own) => {
            own.fittings = own.fittings.filter(({ id }) => id !== elbow.id);
          })
        }
      >
        <X size={15} aria-hidden />
      </button>
    </div>
  );
}
