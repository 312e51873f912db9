'use client';

import { enclosureLoad } from '@frank-gauge/core/analysis';
import { boxAround } from '@frank-gauge/core/assembly';
import { BOX_LININGS, BOX_WALLS, WARM_RISE } from '@frank-gauge/core/collector';
import type { Collector } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useCollector } from './edited-collector';
import { FieldLine, Line } from './line';
import { useElevation } from './use-elevation';

type Enclosure = Extract<Collector['exhaust'], { kind: 'enclosure' }>;

interface Props {
  readonly enclosure: Enclosure;
  readonly change: (field: string, apply: (own: Enclosure) => void) => void;
}

const OWN = 'own' as const;

/** The nearest known by a figure, or its own. */
const known = <T extends string>(
  table: Record<T, { readonly name: string }>,
  id: T | undefined,
) => ({
  value: (id ?? OWN) as T | typeof OWN,
  options: [
    ...(Object.keys(table) as T[]).map((value) => ({ value, label: table[value].name })),
    { value: OWN, label: 'other' },
  ] as readonly { readonly value: T | typeof OWN; readonly label: string }[],
});

/** The enclosure itself: how large, of what, and what that does. */
export function BoxFields({ enclosure, change }: Props) {
  const { parts } = useCollector();
  const { warn } = useElevation();
  const { box } = enclosure;
  if (!box) {
    return (
      <Button
        className="mt-1"
        onClick={() =>
          change('enclosure', (own) => {
            own.box = boxAround(parts);
          })
        }
      >
        Describe the enclosure
      </Button>
    );
  }
  const size = (key: 'length' | 'width' | 'height', label: string) => (
    <FieldLine
      label={label}
      of="enclosure"
      value={box[key]}
      kind="length"
      min={0}
      isMinExcluded
      max={20}
      onChange={(value) =>
        change(`${label.toLowerCase()} of the enclosure`, (own) => {
          if (own.box) own.box[key] = value;
        })
      }
    />
  );
  const wall = wallOf(box.surfaceMass);
  const lining = liningOf(box.absorption);
  return (
    <>
      {size('length', 'Inside length')}
      {size('width', 'Inside depth')}
      {size('height', 'Inside height')}
      {warn('box too small') && (
        <p className="text-[14px] text-starved-text">▼ {warn('box too small')}</p>
      )}
      <Line label="Walls">
        <Choice
          label="Walls, enclosure"
          {...known(BOX_WALLS, wall)}
          onChange={(value) =>
            change('walls of the enclosure', (own) => {
              if (own.box && value !== OWN) own.box.surfaceMass = BOX_WALLS[value].surfaceMass;
            })
          }
        />
      </Line>
      <Line label="Lining">
        <Choice
          label="Lining, enclosure"
          {...known(BOX_LININGS, lining)}
          onChange={(value) =>
            change('lining of the enclosure', (own) => {
              if (own.box && value !== OWN) own.box.absorption = BOX_LININGS[value].absorption;
            })
          }
        />
      </Line>
      <BoxFindings />
    </>
  );
}

const wallOf = (mass: number) =>
  (Object.keys(BOX_WALLS) as (keyof typeof BOX_WALLS)[]).find(
    (id) => BOX_WALLS[id].surfaceMass === mass,
  );

const liningOf = (absorption: number) =>
  (Object.keys(BOX_LININGS) as (keyof typeof BOX_LININGS)[]).find(
    (id) => BOX_LININGS[id].absorption === absorption,
  );

/** What the box costs in air, and does to noise and warmth. */
function BoxFindings() {
  const system = useUnits();
  const { parts, solution } = useCollector();
  const load = solution && enclosureLoad(parts, solution);
  if (!load?.box) return null;
  const { quieting, warmth, warmthChoked } = load.box;
  const wanted = formatShort(load.areaWanted, 'area', system);
  const rise = (kelvin: number) =>
    system === 'us' ? `${Math.round((kelvin * 9) / 5)} °F` : `${Math.round(kelvin)} °C`;
  return (
    <p className="pt-1 text-[14px] text-quiet">
      Air passes the return filter at {formatShort(load.returnVelocity, 'velocity', system)}, a
      pressure drop of {formatShort(load.pressure, 'pressure', system)}
      {load.isReturnFast ? (
        <strong className="font-semibold text-starved-text">; it needs {wanted}</strong>
      ) : (
        `; ${wanted} would be enough`
      )}
      . The enclosure makes the collector roughly {Math.round(quieting)} dB quieter; a lined bend in
      the air path helps further. It is about {rise(warmth)} warmer inside while the collector runs
      {warmthChoked > WARM_RISE && (
        <strong className="font-semibold text-starved-text">
          , and {rise(warmthChoked)} with every gate shut: leave one open
        </strong>
      )}
      . Leave about 4 in. (100 mm) around the motor, and room to pull the filter out.
    </p>
  );
}
