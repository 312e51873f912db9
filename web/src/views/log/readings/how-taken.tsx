'use client';

import { gatesOfDrop } from '@frank-gauge/core/analysis';
import { HOLD_MODES, type Instrument, isOfFlow, type Reading } from '@frank-gauge/core/journal';
import { Choice } from '@/ui/choice';
import { Segmented } from '@/ui/segmented';
import { HOLD_NAMES } from '@/words/measuring-words';
import { useSwitches } from '../../parts/stand-ins/use-switches';
import type { DraftReading } from '../../parts/taking/draft-reading';
import { SpotFields } from '../../parts/taking/spot-fields';
import { SwitchPanel } from '../../parts/taking/switch-panel';
import type { Place } from '../../parts/taking/use-places';
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
  const switches = useSwitches();
  const hasSwitches = switches !== null && instrument.isSimulated;
  return (
    <>
      {hasSwitches ? (
        <SwitchPanel wanted={place.drop ? [...gatesOfDrop(place.drop)] : null} />
      ) : (
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
      )}
      {isOfFlow(quantity) && (
        <SpotFields
          spot={draft.spot}
          traverse={draft.traverse}
          onChange={change}
          line={(label, field) => <Labelled label={label}>{field}</Labelled>}
        />
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
