'use client';

import { filterOf } from '@frank-gauge/core/analysis';
import type { Collector, Media } from '@frank-gauge/core/design';
import { toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { BoxFields } from './box-fields';
import { useCollector } from './edited-collector';
import { FilterFields, LoadingField, usualFilter } from './filter-fields';
import { FieldLine, Line, ShopQuantity } from './line';
import { OutdoorsFields } from './outdoors-fields';

type Exhaust = Collector['exhaust'];
type Kind = Exhaust['kind'];
type Of<K extends Kind> = Extract<Exhaust, { kind: K }>;

const WAYS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'filter', label: 'through a filter, back into the room' },
  { value: 'outdoors', label: 'outdoors through a duct' },
  { value: 'room', label: 'into another room' },
  { value: 'enclosure', label: 'into an enclosure with a return filter' },
];

/** Each way as it starts, to be changed. A filter the shop has goes along. */
function startOf(kind: Kind, filter: Media, system: UnitSystem): Exhaust {
  const isUs = system === 'us';
  switch (kind) {
    case 'filter':
      return { kind, filter };
    case 'outdoors':
      return {
        kind,
        diameter: isUs ? toSI(8, 'in') : 0.2,
        length: isUs ? toSI(10, 'ft') : 3,
        pipe: 'galvanised',
        lossCoefficient: 0.5,
        end: 'cap',
        heating: null,
        makeUp: null,
      };
    case 'room':
      return { kind, filter, opening: isUs ? toSI(2, 'ft2') : 0.2 };
    case 'enclosure':
      return {
        kind,
        filter,
        returnFilter: isUs
          ? { area: toSI(3, 'ft2'), velocity: toSI(300, 'fpm'), pressure: toSI(0.25, 'inwg') }
          : { area: 0.25, velocity: 1.5, pressure: 60 },
        box: null,
      };
  }
}

/** Edits one field of the way out, while it is still of this kind. */
function useChange<K extends Kind>(kind: K) {
  const { editParts } = useCollector();
  return (field: string, apply: (own: Of<K>) => void) =>
    editParts(field, ({ exhaust }) => {
      if (exhaust.kind === kind) apply(exhaust as Of<K>);
    });
}

/** Where the air goes behind the blower, and what it meets there. */
export function ExhaustFields() {
  const system = useUnits();
  const { parts, editParts } = useCollector();
  const { exhaust } = parts;
  const changeFilter = useChange('filter');
  const changeOutdoors = useChange('outdoors');
  return (
    <>
      <Line label="Exhaust">
        <Choice
          label="Exhaust"
          value={exhaust.kind}
          options={WAYS}
          onChange={(kind) =>
            editParts('exhaust', (own) => {
              const filter = filterOf(own) ?? usualFilter(system);
              own.exhaust = startOf(kind, { ...filter }, system);
            })
          }
        />
      </Line>
      {exhaust.kind === 'filter' && (
        <FilterFields
          filter={exhaust.filter}
          change={(field, apply) => changeFilter(field, (own) => apply(own.filter))}
        />
      )}
      {exhaust.kind === 'outdoors' && <OutdoorsFields outdoors={exhaust} change={changeOutdoors} />}
      {exhaust.kind === 'room' && <RoomFields room={exhaust} />}
      {exhaust.kind === 'enclosure' && <EnclosureFields enclosure={exhaust} />}
    </>
  );
}

interface OwnFilterProps {
  readonly kind: 'room' | 'enclosure';
  readonly filter: Media | null;
}

/** A filter that may be there or not. */
function OwnFilter({ kind, filter }: OwnFilterProps) {
  const system = useUnits();
  const change = useChange(kind);
  return (
    <>
      <Line label="Filter">
        <Choice
          label="Filter, ahead of the outlet"
          value={filter ? 'yes' : 'no'}
          options={[
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'none' },
          ]}
          onChange={(value) =>
            change('filter', (own) => {
              own.filter = value === 'yes' ? usualFilter(system) : null;
            })
          }
        />
      </Line>
      {filter && (
        <FilterFields
          filter={filter}
          change={(field, apply) =>
            change(field, (own) => {
              if (own.filter) apply(own.filter);
            })
          }
        />
      )}
    </>
  );
}

function RoomFields({ room }: { readonly room: Of<'room'> }) {
  const change = useChange('room');
  return (
    <>
      <OwnFilter kind="room" filter={room.filter} />
      <FieldLine
        label="Return opening area"
        value={room.opening}
        kind="area"
        min={0}
        isMinExcluded
        max={100}
        onChange={(opening) =>
          change('return opening', (own) => {
            own.opening = opening;
          })
        }
      />
    </>
  );
}

function EnclosureFields({ enclosure }: { readonly enclosure: Of<'enclosure'> }) {
  const { filter, returnFilter } = enclosure;
  const changeOwn = useChange('enclosure');
  const change = (field: string, apply: (own: Of<'enclosure'>['returnFilter']) => void) =>
    changeOwn(field, (own) => apply(own.returnFilter));
  return (
    <>
      <OwnFilter kind="enclosure" filter={filter} />
      {!filter && <LoadingField />}
      <FieldLine
        label="Return filter area"
        value={returnFilter.area}
        kind="area"
        min={0}
        isMinExcluded
        max={100}
        onChange={(area) =>
          change('return filter', (own) => {
            own.area = area;
          })
        }
      />
      <Line label="Return filter drop">
        <span className="grid grid-cols-[1fr_20px_1fr] items-center gap-1">
          <ShopQuantity
            label="Return filter drop, clean"
            value={returnFilter.pressure}
            kind="pressure"
            min={0}
            isMinExcluded
            max={2000}
            onChange={(pressure) =>
              change('return filter pressure drop', (own) => {
                own.pressure = pressure;
              })
            }
          />
          <span className="text-center text-[14px] text-quiet">at</span>
          <ShopQuantity
            label="Return filter drop, at this velocity"
            value={returnFilter.velocity}
            kind="velocity"
            min={0}
            isMinExcluded
            max={10}
            onChange={(velocity) =>
              change('return filter velocity', (own) => {
                own.velocity = velocity;
              })
            }
          />
        </span>
      </Line>
      <BoxFields enclosure={enclosure} change={changeOwn} />
    </>
  );
}
