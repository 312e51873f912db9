'use client';

import {
  airAtSite,
  BOX_LININGS,
  BOX_WALLS,
  type Box,
  boxQuieting,
  boxWarmth,
  type Collector,
  formatShort,
  LIMITS,
  sizesOf,
  WARM_RISE,
} from '@frank-gauge/core';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useSolvedShop } from '../frame/solved-shop';
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
    { value: OWN, label: 'its own' },
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
        Build a box for it
      </Button>
    );
  }
  const size = (key: 'length' | 'width' | 'height', line: string, label: string) => (
    <FieldLine
      line={line}
      label={label}
      value={box[key]}
      kind="length"
      min={0}
      isMinExcluded
      max={20}
      onChange={(value) =>
        change(label, (own) => {
          if (own.box) own.box[key] = value;
        })
      }
    />
  );
  const wall = wallOf(box.surfaceMass);
  const lining = liningOf(box.absorption);
  return (
    <>
      {size('length', 'box, long', 'Inside length of the enclosure')}
      {size('width', 'box, deep', 'Inside depth of the enclosure')}
      {size('height', 'box, high', 'Inside height of the enclosure')}
      {warn('box too small') && (
        <p className="text-[14px] text-starved-text">▼ {warn('box too small')}</p>
      )}
      <Line label="walls">
        <Choice
          label="Walls of the enclosure"
          {...known(BOX_WALLS, wall)}
          onChange={(value) =>
            change('walls of the enclosure', (own) => {
              if (own.box && value !== OWN) own.box.surfaceMass = BOX_WALLS[value].surfaceMass;
            })
          }
        />
      </Line>
      <Line label="inside">
        <Choice
          label="Lining of the enclosure"
          {...known(BOX_LININGS, lining)}
          onChange={(value) =>
            change('lining of the enclosure', (own) => {
              if (own.box && value !== OWN) own.box.absorption = BOX_LININGS[value].absorption;
            })
          }
        />
      </Line>
      <BoxSays enclosure={enclosure} box={box} />
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

/** A box with a hand's breadth around blower and filter as they stand. */
function boxAround(parts: Parameters<typeof sizesOf>[0]): NonNullable<Enclosure['box']> {
  const { blower, filter, filterBin } = sizesOf(parts);
  const around = 0.2;
  const round = (value: number) => Math.ceil(value * 20) / 20;
  return {
    length: round(blower.width + blower.motorLength + filter.diameter + 0.3 + around),
    width: round(Math.max(blower.housing, filter.diameter) + around),
    height: round(Math.max(blower.housing, filter.height + filterBin.height + 0.06) + 0.3 + around),
    surfaceMass: BOX_WALLS.mdf.surfaceMass,
    absorption: BOX_LININGS.half.absorption,
  };
}

/** What the box costs in air, and does to noise and warmth. */
function BoxSays({ enclosure, box }: { readonly enclosure: Enclosure; readonly box: Box }) {
  const { shop, system } = useSolvedShop();
  const { load, solution } = useCollector();
  if (!load || !solution) return null;
  const { flow } = solution.blower;
  const { density } = airAtSite(shop.shop.site);
  const { area, pressure, velocity } = enclosure.returnFilter;
  const through = flow / area;
  const added = (pressure * through) / velocity;
  const wanted = flow / LIMITS.fastReturn.value;
  const warm = boxWarmth(box, load.shaftPower, flow, density);
  const choked = boxWarmth(box, load.shaftPower * 0.5, 0, density);
  const rise = (kelvin: number) =>
    system === 'us' ? `${Math.round((kelvin * 9) / 5)} °F` : `${Math.round(kelvin)} °C`;
  return (
    <p className="pt-1 text-[14px] text-quiet">
      The return moves {formatShort(through, 'velocity', system)} and takes{' '}
      {formatShort(added, 'pressure', system)}
      {through > LIMITS.fastReturn.value ? (
        <strong className="font-semibold text-starved-text">
          ; it wants {formatShort(wanted, 'area', system)}
        </strong>
      ) : (
        `; ${formatShort(wanted, 'area', system)} would do`
      )}
      . About {Math.round(boxQuieting(box, area))} dB quieter, rough; a lined bend in the air’s way
      adds some. About {rise(warm)} warmer inside while it runs
      {choked > WARM_RISE && (
        <strong className="font-semibold text-starved-text">
          , and {rise(choked)} with every gate shut: leave one open
        </strong>
      )}
      . Keep a hand’s breadth around the motor, and room to draw the filter out.
    </p>
  );
}
