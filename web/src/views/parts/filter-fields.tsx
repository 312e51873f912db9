'use client';

import { filterOf } from '@frank-gauge/core/analysis';
import { GRADE_IDS } from '@frank-gauge/core/catalogue';
import { MEDIA } from '@frank-gauge/core/collector';
import type { Media } from '@frank-gauge/core/design';
import { formatShort, fromSI, toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { useDesign, useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { dueIn } from '@/words/due-words';
import { editCollector } from './edit-collector';
import { useCollector } from './edited-collector';
import { FilterArea } from './filter-area';
import { FieldLine, Line, ShopQuantity } from './line';

const OWN = 'own';
const MEDIA_OPTIONS = [
  ...Object.entries(MEDIA).map(([value, { name }]) => ({ value, label: name })),
  { value: OWN, label: 'other' },
];
const UNKNOWN = 'unknown';

type KnownMedia = (typeof MEDIA)[keyof typeof MEDIA];

/** The area such a filter usually has, in a round number of the shop's units, m². */
const usualArea = (media: KnownMedia, system: UnitSystem): number =>
  system === 'us'
    ? toSI(Math.round(10 * fromSI(media.usualArea, 'ft2')) / 10, 'ft2')
    : Math.round(10 * media.usualArea) / 10;

/** A new filter to be changed: a spun-bond cartridge of a usual size. */
export const usualFilter = (system: UnitSystem): Media => ({
  name: MEDIA.spunBond.name,
  area: usualArea(MEDIA.spunBond, system),
  permeability: MEDIA.spunBond.permeability,
  seasoned: MEDIA.spunBond.seasoned,
  grade: null,
});

/** Two areas nearer than this share of each other are the same usual one. */
const SAME_AREA = 0.03;

/** Another media in a filter: its area goes along only while it is the one the old media usually has. */
function changeMedia(own: Media, media: KnownMedia, system: UnitSystem): void {
  const before = Object.values(MEDIA).find(({ permeability }) => permeability === own.permeability);
  const isUsual = before && Math.abs(own.area / before.usualArea - 1) < SAME_AREA;
  own.name = media.name;
  own.permeability = media.permeability;
  own.seasoned = media.seasoned;
  if (isUsual) own.area = usualArea(media, system);
}

interface Props {
  readonly filter: Media;
  readonly change: (field: string, apply: (own: Media) => void) => void;
}

/** A filter's media, area, permeability and grade, and how loaded it is found. */
export function FilterFields({ filter, change }: Props) {
  const { isPresent } = useCollector();
  const system = useUnits();
  const known = Object.entries(MEDIA).find(
    ([, { permeability }]) => permeability === filter.permeability,
  );
  return (
    <>
      <Line label="Filter media">
        <Choice
          label="Filter media"
          value={known?.[0] ?? OWN}
          options={MEDIA_OPTIONS}
          onChange={(value) => {
            const media = Object.entries(MEDIA).find(([id]) => id === value)?.[1];
            if (!media) return;
            change('media', (own) => changeMedia(own, media, system));
          }}
        />
      </Line>
      <FieldLine
        label="Media area"
        value={filter.area}
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
      <FilterArea
        onArea={(area) =>
          change('filter area', (own) => {
            own.area = area;
          })
        }
      />
      <FieldLine
        label="Permeability"
        of="at half an inch of water"
        value={filter.permeability}
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
      <FieldLine
        label="Seasoned loading, × clean"
        value={filter.seasoned}
        kind="number"
        min={1}
        max={20}
        onChange={(seasoned) =>
          change('seasoning', (own) => {
            own.seasoned = seasoned;
          })
        }
      />
      <Line label="Filter grade">
        <Choice
          label="Filter grade"
          value={filter.grade === null ? UNKNOWN : String(filter.grade)}
          options={[
            { value: UNKNOWN, label: 'not known' },
            ...GRADE_IDS.map((grade) => ({ value: String(grade), label: `MERV ${grade}` })),
          ]}
          onChange={(value) =>
            change('grade', (own) => {
              own.grade = GRADE_IDS.find((grade) => String(grade) === value) ?? null;
            })
          }
        />
      </Line>
      {isPresent && (
        <>
          <LoadingField />
          <DustField />
        </>
      )}
      <FilterLife />
    </>
  );
}

/** What the machines make while they run. */
function DustField() {
  const rate = useDesign(({ collector }) => collector.dust.rate);
  return (
    <FieldLine
      label="Dust produced"
      of="while the machines run"
      value={rate}
      kind="massFlow"
      min={0}
      max={1}
      onChange={(rate) =>
        editCollector('dust made', ({ collector }) => {
          collector.dust.rate = rate;
        })
      }
    />
  );
}

/** What the filter takes with the gates open now, and how long it will do. */
function FilterLife() {
  const system = useUnits();
  const { load } = useCollector();
  if (!load?.filter) return null;
  const { filter, separator } = load;
  const due =
    filter.timeToDue === 0
      ? 'It is due for cleaning'
      : `It runs ${dueIn(filter.timeToDue, system)} until it is due`;
  return (
    <p className="pt-1 text-[14px] text-quiet">
      It takes {formatShort(filter.pressure, 'pressure', system)} at{' '}
      {formatShort(filter.faceVelocity, 'faceVelocity', system)}
      {filter.pressure > filter.cleanPressure &&
        `, cleaned ${formatShort(filter.cleanPressure, 'pressure', system)}`}
      ; up to {formatShort(filter.comfortable, 'faceVelocity', system)} are usual. {due}, with{' '}
      {`${Math.round(100 * separator.caught)}\u00a0% of the dust caught before it: an estimate.`}
      {filter.letBy &&
        ` It may pass ${Math.round(100 * filter.letBy[0])} % of the particles of 0.3–1 µm.`}
    </p>
  );
}

/** How loaded the first filter is believed to be: part of the shop's condition. */
export function LoadingField() {
  const seasoned = useDesign(({ collector }) => filterOf(collector)?.seasoned ?? 1);
  const loading = useDesign(({ condition }) => condition.filterLoading.value);
  const { load } = useCollector();
  const filter = load?.filter;
  const due = filter ? `due at about ${filter.dueLoading.toFixed(1)}` : '5–10: due';
  return (
    <Line label="Filter loading, as found">
      <span className="grid grid-cols-[72px_1fr] items-center gap-2">
        <ShopQuantity
          label="Filter loading, as found, times clean"
          value={loading}
          kind="number"
          min={1}
          max={100}
          onChange={(value) =>
            editCollector('filter loading', ({ condition }) => {
              condition.filterLoading = { value, origin: { kind: 'assumed' } };
            })
          }
        />
        <span className="text-[14px] text-quiet">
          {seasoned > 1 ? `at least ${seasoned} once it has run` : '1 clean, 2–3 seasoned'}, {due}
        </span>
      </span>
    </Line>
  );
}
