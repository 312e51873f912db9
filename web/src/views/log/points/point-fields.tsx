'use client';

import { NO_DIFF } from '@frank-gauge/core/journal';
import { useState } from 'react';
import { toast } from 'sonner';
import { database } from '@/storage/database';
import { lastInstrumentAt } from '@/storage/journal-tables';
import { apply, openShopId } from '@/storage/session';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/text-field';
import { undoAction } from '../../frame/undo-aloud';
import { FieldLine, Line } from '../../parts/line';
import type { Place } from '../../parts/taking/use-places';
import { editPoint } from './edit-point';

/** What matters of a place that is measured at. */
export function PointFields({ place }: { readonly place: Place }) {
  const { point, drop, name } = place;
  const { at } = point;
  return (
    <>
      {!drop && (
        <Line label="Name">
          <TextField
            label="Name of the test point"
            value={point.name}
            whenEmpty="A test point needs a name."
            onChange={(next) =>
              editPoint(place, 'name', (own) => {
                own.name = next;
              })
            }
          />
        </Line>
      )}
      <OptionalLength
        place={place}
        field="insideDiameter"
        label="Inside diameter"
        kind="diameter"
        min={0.01}
        max={2}
        placeholder="not measured"
      />
      <OptionalLength
        place={place}
        field="straightAhead"
        label="Straight ahead"
        kind="length"
        min={0}
        max={100}
        placeholder="not measured"
      />
      <OptionalLength
        place={place}
        field="standoff"
        label="Standoff"
        kind="diameter"
        min={0}
        max={5}
        placeholder="not noted"
      />
      {at.kind === 'run' && (
        <FieldLine
          label="Down the run"
          of={name}
          value={at.along}
          kind="length"
          min={0}
          max={1000}
          onChange={(along) =>
            editPoint(place, 'place', (own) => {
              if (own.at.kind === 'run') own.at = { ...own.at, along };
            })
          }
        />
      )}
      {at.kind === 'place' &&
        (['x', 'y', 'z'] as const).map((axis) => (
          <FieldLine
            key={axis}
            label={{ x: 'From the left', y: 'From the back', z: 'Height' }[axis]}
            of={name}
            value={at.point[axis]}
            kind="length"
            min={-1000}
            max={1000}
            onChange={(value) =>
              editPoint(place, 'place', (own) => {
                if (own.at.kind === 'place') {
                  own.at = { ...own.at, point: { ...own.at.point, [axis]: value } };
                }
              })
            }
          />
        ))}
      <Line label="Held by">
        <TextField
          label="Held by: how the meter is held"
          value={point.holding}
          placeholder="by hand"
          onChange={(holding) =>
            editPoint(place, 'holding', (own) => {
              own.holding = holding;
            })
          }
        />
      </Line>
      <Line label="Note">
        <TextField
          label="Note on the test point"
          value={point.note}
          onChange={(note) =>
            editPoint(place, 'note', (own) => {
              own.note = note;
            })
          }
        />
      </Line>
      {!drop && <RemovePoint place={place} />}
    </>
  );
}

interface OptionalProps {
  readonly place: Place;
  readonly field: 'insideDiameter' | 'straightAhead' | 'standoff';
  readonly label: string;
  readonly kind: 'diameter' | 'length';
  readonly min: number;
  readonly max: number;
  readonly placeholder: string;
}

function OptionalLength({ place, field, label, ...limits }: OptionalProps) {
  const set = (value: number | null) =>
    editPoint(place, label.toLowerCase(), (own) => {
      own[field] = value;
    });
  return (
    <FieldLine
      label={label}
      of={place.name}
      value={place.point[field]}
      {...limits}
      onChange={set}
      onClear={() => set(null)}
    />
  );
}

/** A test point that was read at stays: its readings would not say where they were taken. */
function RemovePoint({ place: { point, name } }: { readonly place: Place }) {
  const [isUsed, setUsed] = useState(false);
  const remove = async () => {
    const wasRead = (await lastInstrumentAt(database(), openShopId(), point.id)) !== null;
    setUsed(wasRead);
    if (wasRead) return;
    apply(`remove ${name}`, { ...NO_DIFF, removed: [{ kind: 'testPoints', record: point }] });
    toast(`Removed ${name}`, { action: undoAction() });
  };
  return (
    <div className="pt-2">
      <Button look="quiet" onClick={() => void remove()}>
        Remove this test point
      </Button>
      {isUsed && (
        <p role="alert" className="text-starved-text">
          Readings were taken there, so it stays in the log.
        </p>
      )}
    </div>
  );
}
