'use client';

import { type Collector, formatShort, MEDIA, SEPARATOR_KINDS, SEPARATORS } from '@frank-gauge/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { QuantityField } from '@/fields/quantity-field';
import { choosePart, useChoices } from '@/store/choices';
import { edit, type Recipe } from '@/store/shop-session';
import { Choice } from '@/ui/choice';
import { useSolvedShop } from '../frame/solved-shop';
import { BlowerFields } from './blower-fields';
import { DiameterField, Line } from './line';

/** The collector's parts and the site, a line each, opening to their fields. */
export function CollectorLines() {
  const { shop, system } = useSolvedShop();
  const { separator, blower, exhaust } = shop.collector;
  const write = (value: number, kind: Parameters<typeof formatShort>[1]) =>
    formatShort(value, kind, system);
  const loading = shop.condition.filterLoading.value;
  return (
    <>
      <h2 className="px-3 pt-3 pb-1 text-[17px]">Collector</h2>
      <PartLine
        id="exhaust"
        name={exhaust.kind === 'filter' ? 'Filter' : 'Outdoors'}
        about={
          exhaust.kind === 'filter'
            ? `${write(exhaust.area, 'area')}, ×${loading.toFixed(1)} loaded`
            : `through ${write(exhaust.diameter, 'diameter')}`
        }
      >
        <ExhaustFields />
      </PartLine>
      <PartLine id="blower" name="Blower" about={blower.name}>
        <BlowerFields />
      </PartLine>
      <PartLine
        id="separator"
        name="Separator"
        about={
          separator.kind === 'none'
            ? `none; inlet ${write(separator.inletDiameter, 'diameter')}`
            : `${SEPARATORS[separator.kind].name}, ${write(separator.inletDiameter, 'diameter')} inlet`
        }
      >
        <SeparatorFields />
      </PartLine>
      <PartLine
        id="site"
        name="Air and rules"
        about={`${write(shop.shop.site.elevation, 'elevation')} up, ${write(shop.shop.site.temperature, 'temperature')}`}
      >
        <SiteFields />
      </PartLine>
    </>
  );
}

function PartLine(props: { id: string; name: string; about: string; children: ReactNode }) {
  const { id, name, about, children } = props;
  const { shop } = useSolvedShop();
  const isOpen = useChoices((choices) => choices.parts[shop.id]) === id;
  const Mark = isOpen ? ChevronDown : ChevronRight;
  return (
    <div className={`border-rule border-b ${isOpen ? 'bg-selection' : ''}`}>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={() => choosePart(shop.id, isOpen ? '' : id)}
        className="flex min-h-11 w-full items-center gap-1 px-2 text-left hover:bg-selection md:min-h-7"
      >
        <Mark size={14} aria-hidden className="shrink-0 text-quiet" />
        {name}
        <span className="ml-auto truncate text-quiet">{about}</span>
      </button>
      {isOpen && <div className="space-y-1 px-3 pt-1 pb-3">{children}</div>}
    </div>
  );
}

const editPart = (field: string, recipe: Recipe) => edit(field, recipe, { merge: field });

function SeparatorFields() {
  const { shop, system } = useSolvedShop();
  const { separator } = shop.collector;
  const [least, most] = SEPARATORS[separator.kind].range;
  return (
    <>
      <Line label="kind">
        <Choice
          label="Kind of separator"
          value={separator.kind}
          options={SEPARATOR_KINDS.map((value) => ({ value, label: SEPARATORS[value].name }))}
          onChange={(kind) =>
            editPart('kind of separator', ({ collector }) => {
              collector.separator.kind = kind;
              collector.separator.heads = SEPARATORS[kind].heads;
            })
          }
        />
      </Line>
      <Line label="inlet, true inside">
        <DiameterField
          label="Inlet diameter of the separator"
          value={separator.inletDiameter}
          onChange={(diameter) =>
            editPart('inlet diameter', ({ collector }) => {
              collector.separator.inletDiameter = diameter;
            })
          }
        />
      </Line>
      {separator.kind !== 'none' && (
        <Line label="velocity heads">
          <span className="grid grid-cols-[72px_1fr] items-center gap-2">
            <QuantityField
              label="Loss of the separator in velocity heads"
              value={separator.heads}
              kind="number"
              system={system}
              min={0}
              max={100}
              onChange={(heads) =>
                editPart('velocity heads', ({ collector }) => {
                  collector.separator.heads = heads;
                })
              }
            />
            <span className="text-[14px] text-quiet">
              usual {least}–{most}; until measured, an estimate
            </span>
          </span>
        </Line>
      )}
    </>
  );
}

type Outdoors = Extract<Collector['exhaust'], { kind: 'outdoors' }>;
type Filter = Extract<Collector['exhaust'], { kind: 'filter' }>;

const OUTDOORS = { kind: 'outdoors', diameter: 0.2, lossCoefficient: 1.5 } as const;
const CARTRIDGE = {
  kind: 'filter',
  name: 'Spun-bond cartridge',
  area: 10,
  permeability: MEDIA.spunBond.permeability,
} as const;

function ExhaustFields() {
  const { shop, system } = useSolvedShop();
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
          editPart('where the air goes', ({ collector }) => {
            collector.exhaust = value === 'filter' ? { ...CARTRIDGE } : { ...OUTDOORS };
          })
        }
      />
    </Line>
  );
  if (exhaust.kind === 'outdoors') {
    const change = (field: string, apply: (own: Outdoors) => void) =>
      editPart(field, ({ collector }) => {
        if (collector.exhaust.kind === 'outdoors') apply(collector.exhaust);
      });
    return (
      <>
        {kind}
        <Line label="duct, true inside">
          <DiameterField
            label="Diameter of the exhaust duct"
            value={exhaust.diameter}
            onChange={(diameter) =>
              change('exhaust diameter', (own) => {
                own.diameter = diameter;
              })
            }
          />
        </Line>
        <Line label="velocity heads">
          <QuantityField
            label="Loss of the exhaust in velocity heads"
            value={exhaust.lossCoefficient}
            kind="number"
            system={system}
            min={0}
            max={100}
            onChange={(loss) =>
              change('exhaust loss', (own) => {
                own.lossCoefficient = loss;
              })
            }
          />
        </Line>
        <p className="pt-1 text-[14px]">
          Air sent out is drawn in somewhere else. In a tight building that can pull flue gas back
          from a heater or stove: carbon monoxide. Give it a way in, and fit an alarm.
        </p>
      </>
    );
  }
  const change = (field: string, apply: (own: Filter) => void) =>
    editPart(field, ({ collector }) => {
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
      <Line label="media area">
        <QuantityField
          label="Area of the filter media"
          value={exhaust.area}
          kind="area"
          system={system}
          min={0}
          isMinExcluded
          max={1000}
          onChange={(area) =>
            change('filter area', (own) => {
              own.area = area;
            })
          }
        />
      </Line>
      <Line label="permeability">
        <QuantityField
          label="Permeability at half an inch of water"
          value={exhaust.permeability}
          kind="permeability"
          system={system}
          min={0}
          isMinExcluded
          max={10}
          onChange={(value) =>
            change('permeability', (own) => {
              own.permeability = value;
            })
          }
        />
      </Line>
      <Line label="loaded, as found">
        <span className="grid grid-cols-[72px_1fr] items-center gap-2">
          <QuantityField
            label="How loaded the filter is, 1 clean"
            value={shop.condition.filterLoading.value}
            kind="number"
            system={system}
            min={1}
            max={100}
            onChange={(value) =>
              editPart('filter loading', ({ condition }) => {
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

function SiteFields() {
  const { shop, system } = useSolvedShop();
  const { site, rules } = shop.shop;
  return (
    <>
      <Line label="above the sea">
        <QuantityField
          label="Elevation of the shop"
          value={site.elevation}
          kind="elevation"
          system={system}
          min={-500}
          max={5000}
          onChange={(value) =>
            editPart('elevation', (own) => {
              own.shop.site.elevation = value;
            })
          }
        />
      </Line>
      <Line label="temperature">
        <QuantityField
          label="Temperature in the shop"
          value={site.temperature}
          kind="temperature"
          system={system}
          min={233}
          max={323}
          onChange={(value) =>
            editPart('temperature', (own) => {
              own.shop.site.temperature = value;
            })
          }
        />
      </Line>
      <Line label="humidity">
        <QuantityField
          label="Relative humidity"
          value={site.humidity}
          kind="ratio"
          system={system}
          min={0}
          max={1}
          onChange={(value) =>
            editPart('humidity', (own) => {
              own.shop.site.humidity = value;
            })
          }
        />
      </Line>
      <Line label="wyes, reckoned">
        <Choice
          label="How wyes are reckoned"
          value={rules.junctions}
          options={[
            { value: 'momentum', label: 'by momentum (Idelchik)' },
            { value: 'handbook', label: 'by the handbook’s table (ACGIH)' },
          ]}
          onChange={(value) =>
            editPart('how wyes are reckoned', (own) => {
              own.shop.rules.junctions = value;
            })
          }
        />
      </Line>
      <Line label="drops carry at">
        <QuantityField
          label="Carrying velocity"
          value={rules.carryingVelocity}
          kind="velocity"
          system={system}
          min={1}
          max={60}
          onChange={(value) =>
            editPart('carrying velocity', (own) => {
              own.shop.rules.carryingVelocity = value;
            })
          }
        />
      </Line>
      <Line label="mains settle below">
        <QuantityField
          label="Settling velocity"
          value={rules.settlingVelocity}
          kind="velocity"
          system={system}
          min={1}
          max={60}
          onChange={(value) =>
            editPart('settling velocity', (own) => {
              own.shop.rules.settlingVelocity = value;
            })
          }
        />
      </Line>
    </>
  );
}
