'use client';

import type { MakerCheck } from '@frank-gauge/core/makers';
import { formatShort } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { makerWords } from '@/words/maker-sayings';
import { fineLength, rulerLength } from '@/words/tape-length';

/** What a part has to clear and to carry, each against its limit. */
export function MakerChecks({ checks }: { readonly checks: readonly MakerCheck[] }) {
  const system = useUnits();
  const written = (value: number, { kind }: MakerCheck) => {
    if (!Number.isFinite(value)) return 'far more';
    // What bends by a fraction of a millimeter says nothing on a tape.
    if (kind === 'diameter' && Math.abs(value) < 0.005) return fineLength(value, system);
    if (kind === 'length' || kind === 'diameter') return rulerLength(value, system);
    return formatShort(value, kind, system);
  };
  return (
    <table aria-label="What it clears and carries" className="mt-2 w-full max-w-200 text-[15px]">
      <thead className="text-left text-[14px] text-quiet">
        <tr>
          <th className="font-normal">Check</th>
          <th className="w-24 text-right font-normal">It has</th>
          <th className="w-36 text-right font-normal">Wanted</th>
          <th className="w-20 pl-4 font-normal">Result</th>
        </tr>
      </thead>
      <tbody>
        {checks.map((check) => (
          <tr
            key={`${check.what.id} ${check.side}`}
            className="border-rule border-t align-baseline"
          >
            <td>{makerWords(check.what, system)}</td>
            <td className="text-right font-figure">{written(check.value, check)}</td>
            <td className="text-right font-figure">
              {check.side} {written(check.limit, check)}
            </td>
            <td className={`pl-4 ${check.isMet ? '' : 'text-starved-text'}`}>
              {check.isMet ? '✓ met' : '▼ not met'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
