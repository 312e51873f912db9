'use client';

import type { LeakReport } from '@frank-gauge/core/inference';
import { isometricSheet, planSheet } from '@frank-gauge/core/routing';
import { useMemo, useState } from 'react';
import { useDesign } from '@/model/use-design';
import { placeLabels, placesAround } from '@/ui/place-labels';
import { Segmented } from '@/ui/segmented';
import { percentOf } from '@/words/fault-words';
import { QuietItems, quietDrawing } from '../parts/quiet-drawing';
import { middleOf, wayOf } from '../parts/way-on-sheet';

/** Width of a suspect's line, px, and what its probability adds to it. */
const WIDTH = { least: 2.5, more: 7 };
/** A place less likely than this is drawn like any other. */
const WORTH_DRAWING = 0.02;

type Picture = 'plan' | 'isometric';
/** The shop with every suspected run drawn by how likely it is: the wider its broken line, and in figures. */
export function LeakPicture({ report: { verdict } }: { readonly report: LeakReport }) {
  const shop = useDesign();
  const [picture, setPicture] = useState<Picture>('plan');
  const drawing = useMemo(
    () => quietDrawing(picture === 'plan' ? planSheet(shop) : isometricSheet(shop)),
    [shop, picture],
  );
  const shares = new Map(
    verdict.isWrong
      ? verdict.places.flatMap(({ place, probability }) =>
          place.kind === 'run' && probability >= WORTH_DRAWING
            ? [[place.run, probability] as const]
            : [],
        )
      : [],
  );
  if (!drawing) return null;
  const { items, width, height, onSheet } = drawing;
  const suspected = [...shares]
    .map(([run, share]) => ({ run, share, points: wayOf(items, run).map(onSheet) }))
    .filter(({ points }) => points.length > 1)
    .sort((a, b) => a.share - b.share);
  const letters = Math.max(width, height * 1.4) / 42;
  const labels = placeLabels(
    suspected.toReversed().map(({ run, share, points }) => {
      const text = percentOf(share);
      return {
        ...{ of: run, text, isNeeded: true },
        places: placesAround(text, middleOf(points), letters, 0.5 * letters),
      };
    }),
    letters,
    suspected.flatMap(({ points }) =>
      points.slice(1).map((to, i) => ({ from: points[i] ?? to, to, half: 0.2 * letters })),
    ),
  );
  return (
    <section aria-label="Suspects in the shop" className="pt-3">
      <Segmented
        label="Drawing"
        value={picture}
        options={[
          { value: 'plan', label: 'Plan' },
          { value: 'isometric', label: 'Isometric' },
        ]}
        onChange={setPicture}
      />
      <svg
        role="img"
        aria-label={
          suspected.length > 0
            ? 'The ducts; a broken line marks each suspected run, with its probability'
            : 'The ducts; no run is suspected'
        }
        viewBox={`0 0 ${width} ${height}`}
        className="mt-1 max-h-[46vh] w-full [&_*]:[vector-effect:non-scaling-stroke]"
      >
        <QuietItems drawing={drawing} />
        {suspected.map(({ run, share, points }) => (
          <polyline
            key={run}
            points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
            fill="none"
            stroke="var(--starved)"
            strokeWidth={WIDTH.least + WIDTH.more * share}
            strokeDasharray={`${6 + 6 * share} 4`}
          />
        ))}
        {labels.map(({ of, text, at }) => (
          <text
            key={of}
            x={at.x}
            y={at.y}
            fontSize={letters}
            textAnchor="middle"
            dominantBaseline="central"
            className="fill-starved-text stroke-paper font-figure font-semibold [paint-order:stroke]"
            strokeWidth={4}
          >
            {text}
          </text>
        ))}
      </svg>
    </section>
  );
}
