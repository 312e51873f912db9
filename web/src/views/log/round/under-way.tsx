'use client';

import { type Reading, type Round, timeOf } from '@frank-gauge/core/journal';
import { guidedSteps, type RoundStep, roundProgress } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { useDesign, useDuctTree } from '@/model/use-design';
import { record, useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { undoAction } from '../../frame/undo-aloud';
import { useReadings } from '../../parts/taking/use-readings';
import { StepCard } from './step-card';
import { useWakeLock } from './use-wake-lock';

const stepName = ({ kind, testPoint, drop }: RoundStep): string =>
  kind === 'drop' ? (drop?.name ?? testPoint.name) : testPoint.name;

/** A round that goes on: the step to take now, and how far it has come. */
export function UnderWay({ round }: { readonly round: Round }) {
  const shopId = useDesign((shop) => shop.id);
  const hasFilter = useDesign(({ collector }) => collector.exhaust.kind === 'filter');
  const tree = useDuctTree();
  const testPoints = useJournal((journal) => journal.testPoints);
  const { readings, isWhole } = useReadings(shopId);
  useWakeLock();
  const steps = useMemo(
    () => guidedSteps(tree, testPoints, hasFilter),
    [tree, testPoints, hasFilter],
  );
  const own = readings.filter((reading) => reading.round === round.id);
  const { next, taken } = roundProgress(steps, round, own);
  // The latest readings are there at once, and those of a round that goes on are among them.
  if (!isWhole && own.length === 0 && readings.length === 0) {
    return <p className="text-quiet">Opening the round…</p>;
  }
  return (
    <>
      <div className="flex items-baseline gap-2 pb-2">
        <h1 className="text-[18px]">Round of {format(timeOf(round), 'MMMM d')}</h1>
        <span className="ml-auto text-quiet">
          {taken.size} of {steps.length}
        </span>
      </div>
      <progress
        aria-label="Steps taken"
        max={steps.length}
        value={taken.size + round.skipped.length}
        className="mb-3 h-1.5 w-full accent-(--ink)"
      />
      {next ? (
        <StepCard
          key={next.key}
          step={next}
          name={stepName(next)}
          round={round}
          onSkip={() => skip(round, next)}
        />
      ) : (
        <p className="pb-3 text-[17px]">
          All steps are taken. What changed since the last time stands under History.
        </p>
      )}
      <Taken own={own} steps={steps} round={round} />
      <div className="pt-4">
        <Button look={next ? 'quiet' : 'solid'} className="w-full" onClick={() => end(round)}>
          End the round
        </Button>
      </div>
    </>
  );
}

/** Changes a round as it stands in the journal. */
function change(
  label: string,
  { id }: Round,
  make: (own: { -readonly [K in keyof Round]: Round[K] }) => void,
) {
  record(label, ({ rounds }) => {
    const own = rounds.find((each) => each.id === id);
    if (own) make(own);
  });
}

const skip = (round: Round, step: RoundStep) =>
  change(`pass over ${stepName(step)}`, round, (own) => {
    own.skipped = [...own.skipped, step.key];
  });

function end(round: Round): void {
  change('end the round', round, (own) => {
    own.ended = new Date().toISOString();
  });
  toast('The round is ended', { action: undoAction() });
}

/** What was read and passed over so far. */
function Taken({
  own,
  steps,
  round,
}: {
  readonly own: readonly Reading[];
  readonly steps: readonly RoundStep[];
  readonly round: Round;
}) {
  const read = new Map(own.map((reading) => [reading.testPoint, reading]));
  const past = steps.filter(
    ({ key, testPoint }) => read.has(testPoint.id) || round.skipped.includes(key),
  );
  if (past.length === 0) return null;
  return (
    <ul aria-label="Taken" className="mt-4 border-rule border-t text-[15px]">
      {past.map((step) => {
        const reading = read.get(step.testPoint.id);
        return (
          <li key={step.key} className="flex gap-2 border-rule border-b py-1.5">
            <span>
              <span aria-hidden>{reading ? '✓' : '·'}</span> {stepName(step)}
            </span>
            <span className="ml-auto text-quiet">
              {reading
                ? `${reading.taken.length} ${reading.taken.length === 1 ? 'value' : 'values'}`
                : 'passed over'}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
