'use client';

import { formatShort } from '@frank-gauge/core/quantity';
import {
  LOG_LINEAR,
  probeMarks,
  STRAIGHT_ENOUGH,
  type TraversePoints,
} from '@frank-gauge/core/reading';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { rulerLength, tapeLength } from '@/words/tape-length';
import { insideOf, type Place } from '../../parts/taking/use-places';

const COUNTS = ['6', '8', '10'] as const;

/** How the meter is held at a test point: a sketch of the pipe with its marks, and the depths for a probe. */
export function HoldingSketch({ place }: { readonly place: Place | null }) {
  const system = useUnits();
  const [count, setCount] = useState<(typeof COUNTS)[number]>('6');
  if (!place) {
    return (
      <>
        <h2 className="text-[18px]">How to hold the meter</h2>
        <p className="pt-1">
          Open a test point to see its sketch. The same place, the same distance from the mouth and
          the same jig every time: that is what makes two readings compare.
        </p>
      </>
    );
  }
  const { point, name } = place;
  const diameter = insideOf(place);
  if (diameter === null) {
    return (
      <>
        <h2 className="text-[18px]">{name}</h2>
        <p className="pt-1">
          For pressure, drill a small hole square to the wall, take off the burr inside, and hold
          the tube flush. For velocity, enter the inside diameter: the marks of a traverse follow.
        </p>
      </>
    );
  }
  const points = Number(count) as TraversePoints;
  const marks = probeMarks(points, diameter);
  const straight = point.straightAhead;
  const isShort = straight !== null && straight < STRAIGHT_ENOUGH * diameter;
  return (
    <>
      <h2 className="text-[18px]">{name}</h2>
      <Pipe points={points} />
      <p>
        {formatShort(diameter, 'diameter', system)} inside.{' '}
        {straight === null
          ? `Enter how much straight duct lies ahead: ${STRAIGHT_ENOUGH} diameters, ${tapeLength(STRAIGHT_ENOUGH * diameter, system)}, are enough.`
          : isShort
            ? `${(straight / diameter).toFixed(1)} diameters of straight duct ahead: short of ${STRAIGHT_ENOUGH}, so the interval is wider.`
            : `${(straight / diameter).toFixed(0)} diameters of straight duct ahead are enough.`}
      </p>
      <h3 className="pt-3 font-semibold">Marks for a traverse</h3>
      <div className="w-40">
        <Choice
          label="Points on a diameter"
          value={count}
          options={COUNTS.map((each) => ({ value: each, label: `${each} points` }))}
          onChange={setCount}
        />
      </div>
      <p className="text-[14px] text-quiet">
        From the tip of the probe to each mark, held at the inside of the wall. Add the wall’s
        thickness. Two diameters at right angles are better than one.
      </p>
      <ol aria-label="Marks" className="pt-1">
        {marks.map((mark, i) => (
          <li key={mark} className="flex border-rule border-b py-0.5">
            <span className="text-quiet">{i + 1}</span>
            <span className="ml-auto">{rulerLength(mark, system)}</span>
          </li>
        ))}
      </ol>
    </>
  );
}

/** The pipe end-on with the points of a traverse on two diameters, and the probe at the first of them. */
function Pipe({ points }: { readonly points: TraversePoints }) {
  const shares = LOG_LINEAR[points];
  const [left, size] = [30, 130];
  const at = (share: number) => left + share * size;
  return (
    <svg
      viewBox="0 0 190 190"
      className="my-2 w-48"
      role="img"
      aria-label={`The pipe from its end, with ${points} points on each of two diameters`}
    >
      <circle cx={95} cy={95} r={size / 2 + 2} fill="none" stroke="var(--ink)" strokeWidth={4} />
      {shares.map((share) => (
        <g key={share} fill="var(--ink)">
          <circle cx={at(share)} cy={95} r={2.6} />
          <circle cx={95} cy={at(share)} r={2.6} />
        </g>
      ))}
      <line x1={2} x2={at(shares[0] ?? 0)} y1={95} y2={95} stroke="var(--enough)" strokeWidth={3} />
      <line x1={14} x2={14} y1={86} y2={104} stroke="var(--enough)" strokeWidth={2} />
    </svg>
  );
}
