'use client';

import { useDesign, useUnits } from '@/model/use-design';
import { tapeLength } from '@/words/tape-length';
import { type CollectorOptions, Part, Row } from './table-parts';

/** The height of each collector, and the floor area it needs. */
export function AssemblyRows({ options }: CollectorOptions) {
  const room = useDesign((shop) => shop.room);
  const system = useUnits();
  const ceiling = room.ceilingHeight;
  return (
    <Part name="Elevation">
      <Row
        options={options}
        label={ceiling === null ? 'height' : `height, of ${tapeLength(ceiling, system)}`}
        cell={({ elevation }) => tapeLength(elevation.height, system)}
      />
      <Row
        options={options}
        label="floor"
        cell={({ elevation: { floor } }) =>
          `${tapeLength(floor.width, system).replace(/ [a-z.]+$/, '')} × ${tapeLength(floor.depth, system)}`
        }
      />
    </Part>
  );
}
