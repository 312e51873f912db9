'use client';

import { tapeLength } from '@/words/tape-length';
import { useSolvedShop } from '../../frame/solved-shop';
import { type Contenders, Part, Row } from './table-parts';

/** How high each stands, and what it takes of the floor. */
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
      <Row
        contenders={contenders}
        label="floor"
        cell={({ elevation: { floor } }) =>
          `${tapeLength(floor.width, system).replace(/ [a-z.]+$/, '')} × ${tapeLength(floor.depth, system)}`
        }
      />
    </Part>
  );
}
