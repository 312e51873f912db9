import { type Reading, TRAVERSE_POINTS } from '@frank-gauge/core/journal';
import type { ReactNode } from 'react';
import { Choice } from '@/ui/choice';

/** Where in the pipe the meter is held. */
export type HeldAt = Pick<Reading, 'spot'> & {
  readonly traverse: NonNullable<Reading['traverse']>;
};

interface Props extends HeldAt {
  readonly onChange: (change: Partial<HeldAt>) => void;
  /** A line of the form it stands in. */
  readonly line: (label: string, field: ReactNode) => ReactNode;
}

/** At one point, the center, moved across for an average, or on a traverse of so many points. */
export function SpotFields({ spot, traverse, onChange, line }: Props) {
  return (
    <>
      {line(
        'Meter position',
        <Choice
          label="Meter position"
          value={spot}
          options={[
            { value: 'average', label: 'moved across (average)' },
            { value: 'centre', label: 'at the center' },
            { value: 'point', label: 'at one point' },
            { value: 'traverse', label: 'traverse' },
          ]}
          onChange={(next) => onChange({ spot: next })}
        />,
      )}
      {spot === 'traverse' &&
        line(
          'Traverse',
          <Choice
            label="Traverse"
            value={JSON.stringify(traverse)}
            options={TRAVERSE_POINTS.flatMap((points) =>
              ([1, 2] as const).map((diameters) => ({
                value: JSON.stringify({ points, diameters }),
                label: `${points} points, ${diameters === 1 ? 'one diameter' : 'two diameters'}`,
              })),
            )}
            onChange={(chosen) => onChange({ traverse: JSON.parse(chosen) })}
          />,
        )}
    </>
  );
}
