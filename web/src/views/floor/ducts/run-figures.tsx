'use client';

import { lossesOfRun } from '@frank-gauge/core/analysis';
import type { Run } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { useSolution, useUnits } from '@/model/use-design';
import { partWord } from '@/words/part-words';
import { shortJoinName } from '../../parts/joins/join-forms';

/** What moves in a run now, and what each part of it takes. */
export function RunFigures({ run }: { readonly run: Run }) {
  const now = useSolution();
  const system = useUnits();
  if (now.kind !== 'solved') return null;
  const air = now.airIn.get(run.id) ?? [];
  const [first] = air;
  const last = air.at(-1);
  const parts = lossesOfRun(now, run.id);
  const selected = parts.reduce((sum, { loss }) => sum + loss, 0);
  return (
    <section aria-label={`Figures of ${run.name}`} className="pb-4">
      <h2 className="text-[18px]">{run.name}</h2>
      {first && last && Math.abs(last.flowOut) > 1e-5 ? (
        <p className="pt-1">
          {formatShort(last.flowOut, 'flow', system)} at{' '}
          {formatShort(last.velocity, 'velocity', system)}, with{' '}
          {formatShort(selected, 'pressure', system)} of pressure drop.
        </p>
      ) : (
        <p className="pt-1">No air moves in it with the gates open now.</p>
      )}
      <table className="mt-1 w-full border-collapse text-[14px]">
        <thead className="sr-only">
          <tr>
            <th>part</th>
            <th>coefficient</th>
            <th>pressure drop</th>
          </tr>
        </thead>
        <tbody>
          {parts.map((part, i) => (
            <tr key={`${i} ${part.kind}`} className="border-rule border-b">
              <td className="py-0.5">{partName(part.kind, part.name, run)}</td>
              <td className="text-right text-quiet">
                {part.coefficient === null || part.kind === 'pipe'
                  ? ''
                  : `C ${part.coefficient.toFixed(2)}`}
              </td>
              <td className="text-right">{formatShort(part.loss, 'pressure', system)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function partName(kind: Parameters<typeof partWord>[0], name: string, { joins }: Run): string {
  if (kind !== 'branch') return partWord(kind, name);
  const word = shortJoinName(joins);
  return word.charAt(0).toUpperCase() + word.slice(1);
}
