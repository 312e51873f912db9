'use client';

import type { Contender } from '@frank-gauge/core';
import { shortBy, tellConflict } from '@/words/conflict-words';
import { noiseDistance } from '@/words/noise-distance';
import { tapeLength } from '@/words/tape-length';
import { useSolvedShop } from '../../frame/solved-shop';
import { type Contenders, Part, Row } from './table-parts';

/** How high each stands, what it takes of the floor, what does not fit, and how loud it is. */
export function StandRows({ contenders }: Contenders) {
  const { shop, system } = useSolvedShop();
  const ceiling = shop.room.ceilingHeight;
  return (
    <Part name="How it stands">
      <Row
        contenders={contenders}
        label={ceiling === null ? 'height' : `height, of ${tapeLength(ceiling, system)}`}
        cell={({ elevation }) => tapeLength(elevation.height, system)}
      />
      <Row contenders={contenders} label="fits" cell={(contender) => <Fits of={contender} />} />
      <Row
        contenders={contenders}
        label="floor"
        cell={({ elevation: { floor } }) =>
          `${tapeLength(floor.width, system).replace(/ [a-z.]+$/, '')} × ${tapeLength(floor.depth, system)}`
        }
      />
      <Row
        contenders={contenders}
        label={`noise at ${noiseDistance(system)}, estimate`}
        cell={({ noise }) => noise !== null && `about ${Math.round(noise)} dB(A)`}
      />
    </Part>
  );
}

/** The first thing that keeps it from standing, with what is short. */
function Fits({ of: { conflicts } }: { readonly of: Contender }) {
  const { system } = useSolvedShop();
  const serious = conflicts.filter(({ severity }) => severity === 'serious');
  const [first] = serious;
  if (!first) {
    const careful = conflicts.filter(({ severity }) => severity === 'caution').length;
    return careful > 0 ? `yes, ${careful} to heed` : 'yes';
  }
  const by = shortBy(first, system);
  return (
    <span className="text-starved-text" title={tellConflict(first, system).title}>
      ▼ {by === '' ? 'no' : `${by} short`}
      {serious.length > 1 && ` +${serious.length - 1}`}
    </span>
  );
}
