'use client';

import { type Collector, MEDIA } from '@frank-gauge/core';
import { Choice } from '@/ui/choice';
import { useSolvedShop } from '../frame/solved-shop';
import { editCollector } from './edit-collector';
import { DiameterLine, FieldLine, Line, ShopQuantity } from './line';

type Outdoors = Extract<Collector['exhaust'], { kind: 'outdoors' }>;
type Filter = Extract<Collector['exhaust'], { kind: 'filter' }>;

const OUTDOORS = { kind: 'outdoors', diameter: 0.2, lossCoefficient: 1.5 } as const;
const CARTRIDGE = {
  kind: 'filter',
  name: 'Spun-bond cartridge',
  area: 10,
  permeability: MEDIA.spunBond.permeability,
} as const;

export function ExhaustFields() {
  const { shop } = useSolvedShop();
  const { exhaust } = shop.collector;
  const kind = (
    <Line label="the air goes">
      <Choice
        label="Where the air goes"
        value={exhaust.kind}
        options={[
          { value: 'filter', label: 'through a filter, back into the room' },
          { value: 'outdoors', label: 'outdoors' },
        ]}
        onChange={(value) =>
          editCollector('where the air goes', ({ collector }) => {
            collector.exhaust = value === 'filter' ? { ...CARTRIDGE } : { ...OUTDOORS };
          })
        }
      />
    </Line>
  );
  if (exhaust.kind === 'outdoors') {
    const change = (field: string, apply: (own: Outdoors) => void) =>
      editCollector(field, ({ collector }) => {
        if (collector.exhaust.kind === 'outdoors') apply(collector.exhaust);
      });
    return (
      <>
        {kind}
        <DiameterLine
          line="duct, true inside"
          label="Diameter of the exhaust duct"
          value={exhaust.diameter}
          onChange={(diameter) =>
            change('exhaust diameter', (own) => {
              own.diameter = diameter;
            })
          }
        />
        <FieldLine
          line="velocity heads"
          label="Loss of the exhaust in velocity heads"
          value={exhaust.lossCoefficient}
          kind="number"
          min={0}
          max={100}
          onChange={(loss) =>
            change('exhaust loss', (own) => {
              own.lossCoefficient = loss;
            })
          }
        />
        <p className="pt-1 text-[14px]">
          Air sent out is drawn in somewhere else. In a tight building that can pull flue gas back
          from a heater or stove: carbon monoxide. Give it a way in, and fit an alarm.
        </p>
      </>
    );
  }
  const change = (field: string, apply: (own: Filter) => void) =>
    editCollector(field, ({ collector }) => {
      if (collector.exhaust.kind === 'filter') apply(collector.exhaust);
    });
  return (
    <>
      {kind}
      <Line label="media">
        <Choice
          label="Filter media"
          value={
            Object.entries(MEDIA).find(
              ([, media]) => media.permeability === exhaust.permeability,
            )?.[0] ?? 'own'
          }
          options={[
            ...Object.entries(MEDIA).map(([value, { name }]) => ({ value, label: name })),
            { value: 'own', label: 'own figure' },
          ]}
          onChange={(value) => {
            const media = Object.entries(MEDIA).find(([id]) => id === value)?.[1];
            if (media) change('media', (own) => void Object.assign(own, media));
          }}
        />
      </Line>
      <FieldLine
        line="media area"
        label="Area of the filter media"
        value={exhaust.area}
        kind="area"
        min={0}
        isMinExcluded
        max={1000}
        onChange={(area) =>
          change('filter area', (own) => {
            own.area = area;
          })
        }
      />
      <FieldLine
        line="permeability"
        label="Permeability at half an inch of water"
        value={exhaust.permeability}
        kind="permeability"
        min={0}
        isMinExcluded
        max={10}
        onChange={(value) =>
          change('permeability', (own) => {
            own.permeability = value;
          })
        }
      />
      <Line label="loaded, as found">
        <span className="grid grid-cols-[72px_1fr] items-center gap-2">
          <ShopQuantity
            label="How loaded the filter is, 1 clean"
            value={shop.condition.filterLoading.value}
            kind="number"
            min={1}
            max={100}
            onChange={(value) =>
              editCollector('filter loading', ({ condition }) => {
                condition.filterLoading = { value, origin: { kind: 'assumed' } };
              })
            }
          />
          <span className="text-[14px] text-quiet">1 clean, 2–3 seasoned, 5–10 due</span>
        </span>
      </Line>
    </>
  );
}
