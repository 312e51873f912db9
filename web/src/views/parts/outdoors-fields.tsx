'use client';

import { DUCT_END_IDS, DUCT_ENDS, PIPE_IDS, PIPES } from '@frank-gauge/core/catalogue';
import type { Collector } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { useCollector } from './edited-collector';
import { DiameterLine, FieldLine, Line } from './line';

type Outdoors = Extract<Collector['exhaust'], { kind: 'outdoors' }>;

interface Props {
  readonly outdoors: Outdoors;
  readonly change: (field: string, apply: (own: Outdoors) => void) => void;
}

const PIPE_OPTIONS = PIPE_IDS.map((value) => ({ value, label: PIPES[value].name }));
const END_OPTIONS = DUCT_END_IDS.map((value) => ({ value, label: DUCT_ENDS[value].name }));

/** A new season's heating to be changed: freezing outdoors, a hundred hours. */
const HEATING = { outdoors: 273.15, hours: 100 } as const;

/** A duct to the outdoors, what it ends in, and what the air that leaves takes with it. */
export function OutdoorsFields({ outdoors, change }: Props) {
  const { heating } = outdoors;
  return (
    <>
      <DiameterLine
        label="Duct inside diameter"
        of="exhaust"
        value={outdoors.diameter}
        onChange={(diameter) =>
          change('exhaust diameter', (own) => {
            own.diameter = diameter;
          })
        }
      />
      <FieldLine
        label="Duct length"
        of="exhaust"
        value={outdoors.length}
        kind="length"
        min={0}
        max={200}
        onChange={(length) =>
          change('exhaust length', (own) => {
            own.length = length;
          })
        }
      />
      <Line label="Duct pipe">
        <Choice
          label="Duct pipe, exhaust"
          value={outdoors.pipe}
          options={PIPE_OPTIONS}
          onChange={(pipe) =>
            change('exhaust pipe', (own) => {
              own.pipe = pipe;
            })
          }
        />
      </Line>
      <FieldLine
        label="Fittings, loss coefficient (C)"
        of="exhaust"
        value={outdoors.lossCoefficient}
        kind="number"
        min={0}
        max={100}
        onChange={(loss) =>
          change('exhaust loss', (own) => {
            own.lossCoefficient = loss;
          })
        }
      />
      <Line label="Duct ends in">
        <Choice
          label="Duct ends in, exhaust"
          value={outdoors.end}
          options={END_OPTIONS}
          onChange={(end) =>
            change('exhaust end', (own) => {
              own.end = end;
            })
          }
        />
      </Line>
      <FieldLine
        label="Makeup air opening"
        value={outdoors.makeUp}
        kind="area"
        min={0}
        isMinExcluded
        max={100}
        placeholder="not known"
        onChange={(area) =>
          change('makeup air opening', (own) => {
            own.makeUp = area;
          })
        }
        onClear={() =>
          change('makeup air opening', (own) => {
            own.makeUp = null;
          })
        }
      />
      <FieldLine
        label="Outdoor temperature"
        of="heating season"
        value={heating?.outdoors ?? null}
        kind="temperature"
        min={200}
        max={320}
        placeholder="not known"
        onChange={(temperature) =>
          change('temperature outdoors', (own) => {
            own.heating = { ...(own.heating ?? HEATING), outdoors: temperature };
          })
        }
        onClear={() =>
          change('temperature outdoors', (own) => {
            own.heating = null;
          })
        }
      />
      {heating && (
        <FieldLine
          label="Hours per heating season"
          value={heating.hours * 3600}
          kind="duration"
          min={0}
          max={8784 * 3600}
          onChange={(duration) =>
            change('hours in a season', (own) => {
              if (own.heating) own.heating.hours = duration / 3600;
            })
          }
        />
      )}
      <Leaving />
    </>
  );
}

/** An estimate to its two honest figures. */
const roughly = (value: number) => Number(value.toPrecision(2));

/** What leaves the building with the gates open now, and the caution that goes with it. */
function Leaving() {
  const system = useUnits();
  const load = useCollector().load?.outdoors ?? null;
  const opening = load && formatShort(load.opening, 'area', system);
  const heat =
    load?.heat != null && load.heatInSeason !== null
      ? ` With the air go ${formatShort(roughly(load.heat), 'heat', system)}, in a season ${roughly(load.heatInSeason / 3.6e6)} kWh.`
      : '';
  return (
    <p className="pt-1 text-[14px]">
      Air blown outdoors has to come in somewhere else. In a tight building that can draw flue gas
      back from a heater or stove: carbon monoxide.{' '}
      {opening && `Provide an opening of about ${opening} (estimate) and fit an alarm.`}
      {heat}
    </p>
  );
}
