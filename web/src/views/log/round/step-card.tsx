'use client';

import { isOfFlow, type Round } from '@frank-gauge/core/journal';
import type { RoundStep } from '@frank-gauge/core/reading';
import { toast } from 'sonner';
import { useDesign, useDuctTree } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { SHOWN_BY, usualQuantity } from '@/words/measuring-words';
import { undoAction } from '../../frame/undo-aloud';
import { Line } from '../../parts/line';
import { changeDraft, NEW_DRAFT, type Repeat, useDraft } from '../../parts/taking/draft-reading';
import { logReading } from '../../parts/taking/log-reading';
import { SwitchPanel } from '../../parts/taking/switch-panel';
import { TypedRepeats } from '../../parts/taking/typed-repeats';
import { useTaking } from '../../parts/taking/use-taking';

interface Props {
  readonly step: RoundStep;
  readonly name: string;
  readonly round: Round;
  readonly onSkip: () => void;
}

/** One step of a round: what to open, the repeats, and the keys to type them with. */
export function StepCard({ step, name, round, onSkip }: Props) {
  const shopId = useDesign((shop) => shop.id);
  const draftId = `${shopId} round`;
  const kept = useDraft(draftId);
  // What was typed at another step is not of this one.
  const isOwn = kept.place === step.testPoint.id;
  const instruments = useJournal((journal) => journal.instruments);
  const fitting = instruments.filter((each) =>
    step.kind === 'drop' ? isOfFlow(usualQuantity(each)) : SHOWN_BY[each.kind].includes('pressure'),
  );
  const chosen = fitting.find(({ id }) => id === kept.instrument);
  const draft = {
    ...NEW_DRAFT,
    place: step.testPoint.id,
    // The meter in the hand stays from drop to drop; at first it is the one last used there.
    instrument: chosen?.id ?? null,
    quantity: step.kind === 'drop' ? null : ('pressure' as const),
    method: round.method,
    spot: round.spot,
    traverse: round.traverse,
    repeats: isOwn ? kept.repeats : NEW_DRAFT.repeats,
  };
  const place = {
    id: step.testPoint.id,
    name,
    drop: step.kind === 'drop' ? step.drop : null,
    point: step.testPoint,
  };
  const taking = useTaking(draft, place, step.openGates, round.id);
  const setRepeats = (repeats: readonly Repeat[]) =>
    changeDraft(draftId, { place: step.testPoint.id, instrument: draft.instrument, repeats });

  return (
    <section aria-label={name} className="border border-ink p-3">
      <h2 className="text-[22px]">{name}</h2>
      <Gates step={step} />
      {taking.instrument.isSimulated && <SwitchPanel wanted={step.openGates} />}
      {step.kind === 'drop' && HOLDING[round.spot] && (
        <p className="py-1 text-[15px]">{HOLDING[round.spot]}</p>
      )}
      {fitting.length > 1 && (
        <Line label="Meter">
          <Choice
            label="Meter"
            value={taking.instrument.id}
            options={fitting.map((each) => ({ value: each.id, label: each.name }))}
            onChange={(instrument) =>
              changeDraft(draftId, { place: step.testPoint.id, instrument })
            }
          />
        </Line>
      )}
      {step.kind !== 'drop' && fitting.length === 0 ? (
        <p className="py-2 text-quiet">
          This takes a manometer. Add yours under Instruments, or pass this over.
        </p>
      ) : (
        <TypedRepeats
          draft={draft}
          taking={taking}
          setRepeats={setRepeats}
          onDone={() => {
            logReading(place, taking.instrument, taking.fields);
            changeDraft(draftId, { place: null, repeats: NEW_DRAFT.repeats });
            toast(`Logged ${name}`, {
              action: undoAction(),
            });
          }}
        />
      )}
      <div className="pt-2">
        <Button look="quiet" className="w-full" onClick={onSkip}>
          Pass this over
        </Button>
      </div>
    </section>
  );
}

/** How the meter is held at a drop. */
const HOLDING: Readonly<Record<Round['spot'], string | null>> = {
  average: 'Move the meter slowly across the pipe while it averages.',
  centre: 'Hold the meter at the center of the pipe.',
  point: 'Hold the meter where you always hold it.',
  traverse: null,
};

/** Which gates to open, by name. */
function Gates({ step: { kind, openGates, drop } }: { readonly step: RoundStep }) {
  const { upstreamFirst } = useDuctTree();
  const names = upstreamFirst.filter(({ id }) => openGates.includes(id)).map(({ name }) => name);
  return (
    <p className="pb-2 text-[17px]">
      {kind === 'all shut'
        ? 'Shut all gates. Read the suction ahead of the separator.'
        : `${names.length === 0 ? 'Shut all gates.' : `Open only ${names.length === 1 ? 'this gate' : 'these gates'}: ${names.join(', ')}.`}${kind === 'filter' ? ` Read the pressure across the filter while ${drop?.name ?? 'the drop'} draws.` : ''}`}
    </p>
  );
}
