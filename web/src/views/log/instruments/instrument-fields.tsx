'use client';

import {
  HOLD_MODES,
  INSTRUMENT_KINDS,
  type Instrument,
  type InstrumentKind,
  type JournalRecord,
} from '@frank-gauge/core/journal';
import type { QuantityKind } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { toast } from 'sonner';
import { database } from '@/storage/database';
import { isInstrumentUsed } from '@/storage/journal-tables';
import { openShopId, record } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/text-field';
import {
  HOLD_NAMES,
  INSTRUMENT_NAMES,
  METER_UNITS,
  SHOWN_BY,
  usualQuantity,
} from '@/words/measuring-words';
import { undoAction } from '../../frame/undo-aloud';
import { FieldLine, Line } from '../../parts/line';
import { KIND_OF } from '../../parts/taking/as-read';
import { CalibrationFields } from './calibration-fields';
import { editInstrument } from './edit-instrument';

/** Everything a meter is described by. */
export function InstrumentFields({ instrument }: { readonly instrument: Instrument }) {
  const { name, kind, unit, hold } = instrument;
  const quantity = usualQuantity(instrument);
  const showsFlow = SHOWN_BY[kind].includes('flow');
  const units = SHOWN_BY[kind].flatMap((each) => METER_UNITS[each]);
  return (
    <>
      <Line label="Name">
        <TextField
          label="Name of the meter"
          value={name}
          whenEmpty="A meter needs a name."
          onChange={(next) =>
            editInstrument(instrument, 'name', (own) => {
              own.name = next;
            })
          }
        />
      </Line>
      <Line label="Kind">
        <Choice<InstrumentKind>
          label="Kind of meter"
          value={kind}
          options={INSTRUMENT_KINDS.map((each) => ({ value: each, label: INSTRUMENT_NAMES[each] }))}
          onChange={(next) =>
            editInstrument(instrument, 'kind', (own) => {
              own.kind = next;
              // A unit it cannot show would be read into its next value.
              const possible = SHOWN_BY[next].flatMap((each) => METER_UNITS[each]);
              if (!possible.includes(own.unit)) own.unit = '';
            })
          }
        />
      </Line>
      <Line label="Unit it shows">
        <Choice
          label="Unit it shows"
          value={units.includes(unit) ? unit : ''}
          options={[
            { value: '', label: 'the shop’s own' },
            ...units.map((each) => ({ value: each, label: each })),
          ]}
          onChange={(next) =>
            editInstrument(instrument, 'unit', (own) => {
              own.unit = next;
            })
          }
        />
      </Line>
      <Numbers instrument={instrument} kind={KIND_OF[quantity]} />
      {(kind === 'vane' || kind === 'other') && (
        <OptionalLine
          instrument={instrument}
          field="headDiameter"
          label="Head diameter"
          kind="diameter"
          placeholder="small"
          limits={{ min: 0.01, max: 2 }}
        />
      )}
      {showsFlow && (
        <OptionalLine
          instrument={instrument}
          field="presetDiameter"
          label="Set to a pipe of"
          kind="diameter"
          placeholder="not set"
          limits={{ min: 0.01, max: 2 }}
        />
      )}
      <Line label="Holds the">
        <Choice
          label="Holds the value"
          value={hold}
          options={HOLD_MODES.map((each) => ({ value: each, label: HOLD_NAMES[each] }))}
          onChange={(next) =>
            editInstrument(instrument, 'hold mode', (own) => {
              own.hold = next;
            })
          }
        />
      </Line>
      <CalibrationFields instrument={instrument} />
      <Line label="Note">
        <TextField
          label="Note on the meter"
          value={instrument.note}
          onChange={(note) =>
            editInstrument(instrument, 'note', (own) => {
              own.note = note;
            })
          }
        />
      </Line>
      <RemoveInstrument instrument={instrument} />
    </>
  );
}

/** Range, last digit and accuracy. */
function Numbers({
  instrument,
  kind,
}: {
  readonly instrument: Instrument;
  readonly kind: QuantityKind;
}) {
  const { range, accuracy, digits, name } = instrument;
  const isCrossed = range.from !== null && range.to !== null && range.from >= range.to;
  return (
    <>
      <FieldLine
        label="Range from"
        of={name}
        value={range.from}
        kind={kind}
        min={0}
        placeholder="not known"
        onChange={(value) =>
          editInstrument(instrument, 'range', (own) => {
            own.range.from = value;
          })
        }
        onClear={() =>
          editInstrument(instrument, 'range', (own) => {
            own.range.from = null;
          })
        }
      />
      <FieldLine
        label="Range to"
        of={name}
        value={range.to}
        kind={kind}
        min={0}
        isMinExcluded
        max={1e6}
        placeholder="not known"
        warning={isCrossed ? 'The range ends before it begins.' : null}
        onChange={(value) =>
          editInstrument(instrument, 'range', (own) => {
            own.range.to = value;
          })
        }
        onClear={() =>
          editInstrument(instrument, 'range', (own) => {
            own.range.to = null;
          })
        }
      />
      <OptionalLine
        instrument={instrument}
        field="resolution"
        label="Last digit"
        kind={kind}
        placeholder="not known"
        limits={{ min: 0, max: 1e5 }}
      />
      <FieldLine
        label="Accuracy, ±"
        of={name}
        value={accuracy}
        kind="fineRatio"
        min={0}
        max={1}
        onChange={(value) =>
          editInstrument(instrument, 'accuracy', (own) => {
            own.accuracy = value;
          })
        }
      />
      <FieldLine
        label="and digits, ±"
        of={name}
        value={digits}
        kind="number"
        min={0}
        max={100}
        isWhole
        onChange={(value) =>
          editInstrument(instrument, 'digits', (own) => {
            own.digits = value;
          })
        }
      />
    </>
  );
}

interface OptionalProps {
  readonly instrument: Instrument;
  readonly field: 'headDiameter' | 'presetDiameter' | 'resolution';
  readonly label: string;
  readonly kind: QuantityKind;
  readonly placeholder: string;
  readonly limits: { readonly min: number; readonly max: number };
}

/** A number that need not be known. */
function OptionalLine({ instrument, field, label, kind, placeholder, limits }: OptionalProps) {
  const set = (value: number | null) =>
    editInstrument(instrument, label.toLowerCase(), (own) => {
      own[field] = value;
    });
  return (
    <FieldLine
      label={label}
      of={instrument.name}
      value={instrument[field]}
      kind={kind}
      {...limits}
      isMinExcluded={limits.min === 0}
      placeholder={placeholder}
      onChange={set}
      onClear={() => set(null)}
    />
  );
}

/** A meter that readings were taken with stays: without it they would lose what they were taken with. */
function RemoveInstrument({ instrument }: { readonly instrument: Instrument }) {
  const [isUsed, setUsed] = useState(false);
  const remove = async () => {
    const inUse = await isInstrumentUsed(database(), openShopId(), instrument.id);
    setUsed(inUse);
    if (inUse) return;
    record(`remove ${instrument.name}`, (journal) => {
      const { instruments } = journal as { instruments: JournalRecord<'instruments'>[] };
      instruments.splice(
        instruments.findIndex(({ id }) => id === instrument.id),
        1,
      );
    });
    toast(`Removed ${instrument.name}`, {
      action: undoAction(),
    });
  };
  return (
    <div className="pt-2">
      <Button look="quiet" onClick={() => void remove()}>
        Remove this meter
      </Button>
      {isUsed && (
        <p role="alert" className="text-starved-text">
          Readings were taken with it, so it stays in the log.
        </p>
      )}
    </div>
  );
}
