'use client';

import { isOfFlow } from '@frank-gauge/core/journal';
import { formatShort, UNITS } from '@frank-gauge/core/quantity';
import type { Suspicion } from '@frank-gauge/core/reading';
import { useDuctTree, useUnits } from '@/model/use-design';
import { oneStop } from '@/words/one-stop';
import { KIND_OF, writeInUnit } from './as-read';
import type { Taking } from './use-taking';

interface Props {
  readonly taking: Taking;
  /** Adopts another inside diameter, m; absent: it cannot be changed here. */
  readonly onDiameter?: (inside: number) => void;
}

/** What the model expects, and what looks like a slip: it refuses nothing. */
export function SuspicionList({ taking, onDiameter }: Props) {
  const { fields, quantity, bare, expectedShown, suspicions } = taking;
  const kind = KIND_OF[quantity];
  const expected = fields.method === 'absolute' ? taking.expected : null;
  const system = useUnits();
  const tree = useDuctTree();
  const shown = expectedShown === null ? null : writeInUnit(expectedShown, bare, system, kind);
  const written = (value: number) =>
    isOfFlow(quantity)
      ? formatShort(value, 'flow', system)
      : writeInUnit(value, bare, system, kind);
  const nameOf = (drop: string) => tree.drops.find(({ id }) => id === drop)?.name ?? 'another drop';
  const sentence = (suspicion: Suspicion): string => {
    switch (suspicion.kind) {
      case 'unit':
        return `This would fit if the meter showed ${UNITS[suspicion.likely].symbol}, not ${UNITS[suspicion.read].symbol}.`;
      case 'diameter':
        return oneStop(
          `The diameter entered is what the pipe is called. Inside it measures ${formatShort(suspicion.inside, 'diameter', system)}.`,
        );
      case 'gate left open':
        return `This would fit if the gate of ${listed(suspicion.drops.map(nameOf))} were open too.`;
      case 'stray repeat':
        return `Repeat ${suspicion.repeat + 1} is far from the others.`;
      case 'beyond range':
        return `The meter’s range ends at ${formatShort(suspicion.rangeEnd, kind, system)}: check the unit, or press over.`;
      case 'far off':
        return `This is ${suspicion.ratio > 1 ? `${suspicion.ratio.toFixed(1)} times` : `${Math.round(100 * suspicion.ratio)} % of`} what the model expects. Check the gates, the unit and the diameter.`;
    }
  };
  return (
    <div aria-live="polite" className="space-y-1 text-[14px]">
      {expected && (
        <p className="text-quiet">
          The model expects {written(expected.value)} ± {written(expected.uncertainty)} here
          {isOfFlow(quantity) && shown !== null && `: the meter should show about ${shown}`}.
        </p>
      )}
      {suspicions.map((suspicion) => (
        <p key={suspicion.kind} className="text-starved-text">
          ◆ {sentence(suspicion)}{' '}
          {suspicion.kind === 'diameter' && onDiameter && (
            <button
              type="button"
              className="min-h-11 font-semibold underline md:min-h-0"
              onClick={() => onDiameter(suspicion.inside)}
            >
              Use it
            </button>
          )}
        </p>
      ))}
    </div>
  );
}

const listed = (names: readonly string[]) =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`;
