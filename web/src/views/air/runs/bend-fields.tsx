'use client';

import {
  ELBOW_STYLE_IDS,
  ELBOW_STYLES,
  isBend,
  usualRadiusRatio,
} from '@frank-gauge/core/catalogue';
import type { Fitting, Run } from '@frank-gauge/core/design';
import { X } from 'lucide-react';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { editMade, editTyped, type Made, usualElbow, usualPair } from '../../parts/edit-runs';
import { ShopQuantity } from '../../parts/line';

const STYLE_OPTIONS = ELBOW_STYLE_IDS.map((value) => ({ value, label: ELBOW_STYLES[value].name }));

type Elbow = Extract<Fitting, { kind: 'elbow' }>;

type Pair = Extract<Fitting, { kind: 'pair' }>;

const COLUMNS = 'grid-cols-[36px_44px_1fr_44px_60px_32px]';

/** The bends of a run, in the order the air meets them: elbows, and pairs of 45s with a spacer. */
export function BendFields({ run }: { readonly run: Run }) {
  const bends = run.fittings.filter(isBend);
  const add = (fitting: Fitting) =>
    editTyped(run, 'bends', (own) => {
      own.fittings.push(fitting);
    });
  return (
    <div>
      {bends.length > 0 && (
        <div aria-hidden className={`grid gap-x-1 text-[13px] text-quiet ${COLUMNS}`}>
          <span>count</span>
          <span>turn</span>
          <span>made</span>
          <span>R/D</span>
          <span>straight</span>
        </div>
      )}
      {bends.map((bend) =>
        bend.kind === 'elbow' ? (
          <BendLine key={bend.id} run={run} elbow={bend} />
        ) : (
          <PairLine key={bend.id} run={run} pair={bend} />
        ),
      )}
      <Button look="quiet" className="-ml-3" onClick={() => add(usualElbow(run.fittings.at(-1)))}>
        + elbow
      </Button>
      <Button look="quiet" onClick={() => add(usualPair(run.fittings.at(-1), run.diameter))}>
        + two 45s
      </Button>
    </div>
  );
}

/** How a bend is made and how wide it swings. */
function MadeFields({
  bend,
  change,
}: {
  readonly bend: Made;
  readonly change: (apply: (own: Made) => void) => void;
}) {
  return (
    <>
      <Choice
        label="Elbow type"
        value={bend.style}
        options={STYLE_OPTIONS}
        onChange={(style) =>
          change((own) => {
            own.style = style;
            own.radiusRatio = usualRadiusRatio(style);
          })
        }
      />
      <ShopQuantity
        label="Radius to diameter, R/D"
        value={bend.radiusRatio}
        kind="number"
        min={0.5}
        max={10}
        onChange={(ratio) =>
          change((own) => {
            own.radiusRatio = ratio;
          })
        }
      />
    </>
  );
}

function RemoveBend({ run, id }: { readonly run: Run; readonly id: string }) {
  return (
    <button
      type="button"
      aria-label="Remove the elbow"
      className="grid size-8 place-items-center hover:bg-paper"
      onClick={() =>
        editTyped(run, 'bends', (own) => {
          own.fittings = own.fittings.filter((fitting) => fitting.id !== id);
        })
      }
    >
      <X size={15} aria-hidden />
    </button>
  );
}

function BendLine({ run, elbow }: { readonly run: Run; readonly elbow: Elbow }) {
  const change = (field: string, apply: (own: Elbow) => void) =>
    editTyped(run, `elbow ${field}`, (own) => {
      const found = own.fittings.find(({ id }) => id === elbow.id);
      if (found?.kind === 'elbow') apply(found);
    });
  return (
    <div className={`grid items-center gap-x-1 ${COLUMNS}`}>
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
      <MadeFields bend={elbow} change={(apply) => editMade(run, elbow.id, apply)} />
      <ShopQuantity
        label="Straight duct after the elbow"
        value={elbow.after}
        kind="diameter"
        hasUnit={false}
        min={0}
        max={100}
        placeholder="enough"
        onChange={(after) =>
          change('straight after', (own) => {
            own.after = after;
          })
        }
        onClear={() =>
          change('straight after', (own) => {
            own.after = null;
          })
        }
      />
      <RemoveBend run={run} id={elbow.id} />
    </div>
  );
}

function PairLine({ run, pair }: { readonly run: Run; readonly pair: Pair }) {
  const change = (field: string, apply: (own: Pair) => void) =>
    editTyped(run, `pair ${field}`, (own) => {
      const found = own.fittings.find(({ id }) => id === pair.id);
      if (found?.kind === 'pair') apply(found);
    });
  return (
    <div className={`grid items-center gap-x-1 ${COLUMNS}`}>
      <ShopQuantity
        label="Number of pairs"
        value={pair.count}
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
      <span className="px-1">2 × 45</span>
      <MadeFields bend={pair} change={(apply) => editMade(run, pair.id, apply)} />
      <ShopQuantity
        label="Spacer length between the two"
        value={pair.spacer}
        kind="diameter"
        hasUnit={false}
        min={0}
        max={20}
        onChange={(spacer) =>
          change('spacer', (own) => {
            own.spacer = spacer;
          })
        }
      />
      <RemoveBend run={run} id={pair.id} />
    </div>
  );
}
