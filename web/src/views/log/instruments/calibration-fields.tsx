'use client';

import type { Calibration, Instrument } from '@frank-gauge/core/journal';
import { UNITS, type UnitSystem } from '@frank-gauge/core/quantity';
import { nanoid } from 'nanoid';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { RemoveButton } from '@/ui/remove-button';
import { TextField } from '@/ui/text-field';
import { beginOfDay, localDay } from '@/words/local-day';
import { usualQuantity } from '@/words/measuring-words';
import { FieldLine, Line } from '../../parts/line';
import { unitRead } from '../../parts/taking/as-read';
import { editInstrument } from './edit-instrument';
import { readCalibrationTable, writeCalibrationTable } from './read-calibration-table';

/** What a meter was found to do wrong, by the date it was found out: an earlier reading keeps its own. */
export function CalibrationFields({ instrument }: { readonly instrument: Instrument }) {
  return (
    <section aria-label={`Calibration of ${instrument.name}`} className="pt-1">
      <h2 className="font-figure font-normal text-[14px] text-quiet">Calibration</h2>
      {instrument.calibrations.map((calibration) => (
        <OneCalibration key={calibration.id} calibration={calibration} instrument={instrument} />
      ))}
      <Button
        look="quiet"
        onClick={() =>
          editInstrument(instrument, 'calibration', (own) => {
            own.calibrations.push({
              id: nanoid(10),
              from: new Date().toISOString(),
              factor: 1,
              table: [],
              note: '',
            });
          })
        }
      >
        Add a calibration
      </Button>
    </section>
  );
}

interface Props {
  readonly calibration: Calibration;
  readonly instrument: Instrument;
}

function OneCalibration({ calibration, instrument }: Props) {
  const system = useUnits();
  const unit = unitOf(instrument, system);
  const day = localDay(Date.parse(calibration.from));
  const change = (field: string, make: (own: Calibration) => void) =>
    editInstrument(instrument, field, (changing) => {
      const own = changing.calibrations.find(({ id }) => id === calibration.id);
      if (own) make(own);
    });
  return (
    <div className="border-rule border-l-2 pl-2">
      <Line label="From">
        <span className="flex items-center gap-2">
          <input
            type="date"
            aria-label={`From, calibration of ${instrument.name}`}
            value={day}
            onChange={(event) => {
              const from = beginOfDay(event.target.value);
              if (Number.isNaN(from)) return;
              change('date of the calibration', (own) => {
                own.from = new Date(from).toISOString();
              });
            }}
            className="min-h-11 border border-transparent border-b-rule bg-transparent px-1 hover:border-rule md:min-h-7"
          />
          <RemoveButton
            label={`Remove the calibration of ${day}`}
            onClick={() =>
              editInstrument(instrument, 'calibration', (own) => {
                own.calibrations = own.calibrations.filter(({ id }) => id !== calibration.id);
              })
            }
          />
        </span>
      </Line>
      <FieldLine
        label="True over shown"
        of={day}
        value={calibration.factor}
        kind="coefficient"
        min={0.2}
        max={5}
        onChange={(factor) =>
          change('calibration factor', (own) => {
            own.factor = factor;
          })
        }
      />
      <Line label={`Table, ${UNITS[unit].symbol || 'as shown'}`}>
        <TextField
          label={`Table, shown = true, ${day}`}
          value={writeCalibrationTable(calibration.table, unit)}
          placeholder="1000 = 960; 4000 = 3900"
          refuse={(text) => {
            const read = readCalibrationTable(text, unit);
            return read.ok ? null : read.reason;
          }}
          onChange={(text) => {
            const read = readCalibrationTable(text, unit);
            if (!read.ok) return;
            change('calibration table', (own) => {
              own.table = read.table.map((row) => ({ ...row }));
            });
          }}
        />
      </Line>
    </div>
  );
}

const unitOf = (instrument: Instrument, system: UnitSystem) =>
  unitRead({ unit: instrument.unit, quantity: usualQuantity(instrument) }, system);
