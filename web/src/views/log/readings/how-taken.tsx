'use client';

import {
  HOLD_MODES,
  type Instrument,
  isOfFlow,
  type Reading,
  TRAVERSE_POINTS,
} from '@frank-gauge/core/journal';
import { Choice } from '@/ui/choice';
import { Segmented } from '@/ui/segmented';
import { HOLD_NAMES } from '@/words/measuring-words';
import type { DraftReading } from '../taking/draft-reading';
import type { Place } from '../taking/use-places';
import { Labelled } from './labelled';

interface HowProps {
  readonly draft: DraftReading;
  readonly place: Place;
  readonly instrument: Instrument;
  readonly quantity: Reading['quantity'];
  readonly change: (next: Partial<DraftReading>) => void;
}

/** With which gates open, where in the pipe, and what the number is meant for. */
export function HowTaken({ draft, place, instrument, quantity, change }: HowProps) {
  const traverse = JSON.stringify(draft.traverse);
  return (
    <>
      <Labelled label="Gates open">
        <Choice
          label="Gates open"
          value={place.drop ? draft.gates : 'now'}
          options={[
            ...(place.drop ? [{ value: 'own' as const, label: 'only its own gate' }] : []),
            { value: 'now' as const, label: 'the gates open now' },
          ]}
          onChange={(gates) => change({ gates })}
        />
      </Labelled>
      {isOfFlow(quantity) && (
        <Labelled label="Meter position">
          <Choice
            label="Meter position"
            value={draft.spot}
            options={[
              { value: 'average', label: 'moved across (average)' },
              { value: 'centre', label: 'at the center' },
              { value: 'point', label: 'at one point' },
              { value: 'traverse', label: 'traverse' },
            ]}
            onChange={(spot) => change({ spot })}
          />
        </Labelled>
      )}
      {draft.spot === 'traverse' && isOfFlow(quantity) && (
        <Labelled label="Traverse">
          <Choice
            label="Traverse"
            value={traverse}
            options={TRAVERSE_POINTS.flatMap((points) =>
              ([1, 2] as const).map((diameters) => ({
                value: JSON.stringify({ points, diameters }),
                label: `${points} points, ${diameters === 1 ? 'one diameter' : 'two diameters'}`,
              })),
            )}
            onChange={(chosen) => change({ traverse: JSON.parse(chosen) })}
          />
        </Labelled>
      )}
      {(instrument.kind === 'vane' || instrument.kind === 'hot wire' || draft.hold !== null) && (
        <Labelled label="Meter holds">
          <Choice
            label="Meter holds"
            value={draft.hold ?? instrument.hold}
            options={HOLD_MODES.map((each) => ({ value: each, label: HOLD_NAMES[each] }))}
            onChange={(hold) => change({ hold })}
          />
        </Labelled>
      )}
      {quantity !== 'number' && isOfFlow(quantity) && (
        <Labelled label="Method">
          <Segmented
            label="Method"
            value={draft.method}
            options={[
              { value: 'absolute', label: 'absolute' },
              { value: 'relative', label: 'relative' },
            ]}
            onChange={(method) => change({ method })}
          />
        </Labelled>
      )}
    </>
  );
}
