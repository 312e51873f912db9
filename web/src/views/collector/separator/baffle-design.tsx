'use client';

import { sizesOf } from '@frank-gauge/core/assembly';
import { type Baffle, baffleFor } from '@frank-gauge/core/collector';
import { formatShort } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { tapeLength } from '@/words/tape-length';
import { useCollector } from '../../parts/edited-collector';

/** How a slotted baffle is cut for this drum and inlet. */
export function BaffleDesign() {
  const system = useUnits();
  const { parts } = useCollector();
  const { bin } = sizesOf(parts);
  const { inletDiameter } = parts.separator;
  const designed = baffleFor(bin.diameter, bin.height, inletDiameter);
  if (!designed.ok) {
    return <p className="pt-2 text-[14px] text-starved-text">▼ {designed.reason}</p>;
  }
  const { baffle } = designed;
  const length = (value: number) => tapeLength(value, system);
  const degrees = (angle: number) => `${Math.round((angle * 180) / Math.PI)}°`;
  return (
    <figure className="pt-2">
      <figcaption className="font-semibold">The plate, from above</figcaption>
      <PlatePicture baffle={baffle} inletDiameter={inletDiameter} />
      <p className="text-[14px] text-quiet">
        Plate {length(baffle.plateDiameter)} across, snug in the drum; slot{' '}
        {degrees(baffle.slotTo - baffle.slotFrom)} of arc,{' '}
        {length(baffle.plateDiameter / 2 - baffle.slotRadius)} wide at the wall, from{' '}
        {degrees(baffle.slotFrom)} past the entry, which starts over solid plate. Hang it{' '}
        {length(baffle.drop)} under the lid on threaded rod, to adjust. The inlet’s center is{' '}
        {length(baffle.inletOffset)} from the drum’s. The slot has {baffle.slotShare.toFixed(1)}{' '}
        times the area of the inlet. The drum holds {formatShort(baffle.room, 'volume', system)}{' '}
        below the plate before dust is carried up again. Common practice, no source.
      </p>
    </figure>
  );
}

const SIZE = 200;
const RADIUS = 86;

interface PictureProps {
  readonly baffle: Baffle;
  readonly inletDiameter: number;
}

function PlatePicture({ baffle, inletDiameter }: PictureProps) {
  const scale = RADIUS / (baffle.plateDiameter / 2);
  const middle = SIZE / 2;
  // The entry stands at the top; the air turns clockwise from it.
  const at = (angle: number, radius: number) => ({
    x: middle + radius * Math.sin(angle),
    y: middle - radius * Math.cos(angle),
  });
  const inner = baffle.slotRadius * scale;
  const start = -baffle.entryAngle / 2;
  const [from, to] = [start + baffle.slotFrom, start + baffle.slotTo];
  const corners = [at(from, RADIUS), at(to, RADIUS), at(to, inner), at(from, inner)].map(
    ({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`,
  );
  const [a = '', b = '', c = '', d = ''] = corners;
  const inlet = at(0, baffle.inletOffset * scale);
  const arrow = at(0.55, baffle.inletOffset * scale);
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="mx-auto w-52"
      role="img"
      aria-label="Plate with its slot along the wall, the entry over its solid part"
    >
      <circle
        cx={middle}
        cy={middle}
        r={RADIUS}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <path
        d={`M${a} A${RADIUS} ${RADIUS} 0 1 1 ${b} L${c} A${inner} ${inner} 0 1 0 ${d} Z`}
        fill="var(--ink)"
        opacity={0.75}
      />
      <circle
        cx={inlet.x}
        cy={inlet.y}
        r={(inletDiameter / 2) * scale}
        fill="none"
        stroke="var(--quiet)"
        strokeWidth={2}
        strokeDasharray="5 3"
      />
      <path
        d={`M${inlet.x} ${inlet.y} A${baffle.inletOffset * scale} ${baffle.inletOffset * scale} 0 0 1 ${arrow.x} ${arrow.y}`}
        fill="none"
        stroke="var(--quiet)"
        strokeWidth={2}
      />
      <circle cx={arrow.x} cy={arrow.y} r={3} fill="var(--quiet)" />
      <circle
        cx={middle}
        cy={middle}
        r={(inletDiameter / 2) * scale}
        fill="none"
        stroke="var(--quiet)"
        strokeDasharray="2 3"
      />
      <text x={middle} y={middle + 4} textAnchor="middle" fontSize="11" fill="var(--quiet)">
        out, above
      </text>
    </svg>
  );
}
