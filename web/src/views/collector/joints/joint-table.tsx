'use client';

import type { JointEnd, JointPlace } from '@frank-gauge/core/assembly';
import { fromSI, STYLES, toSI, type UnitSystem, unitSymbol } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { closingWords, endWord, gapWords, INSIDE } from '@/words/fit-words';
import { ShopQuantity } from '../../parts/line';
import { Photos } from '../../parts/photos/photos';
import { forgetEnd, measureEnd } from './edit-ends';

interface Props {
  readonly joints: readonly JointPlace[];
  readonly chosen: string | null;
  readonly onAdapter: (joint: JointPlace) => void;
}

/** Every joint with its two ends' true diameters, how they go, and what closes it. */
export function JointTable({ joints, chosen, onAdapter }: Props) {
  const system = useUnits();
  const unit = unitSymbol('diameter', system);
  return (
    <table className="stacked-table w-full border-collapse">
      <thead className="sticky top-0 z-20 bg-paper text-left text-[13px] text-quiet shadow-[inset_0_-1px_0_var(--ink)]">
        <tr className="[&>th]:px-1.5 [&>th]:py-1.5 [&>th]:font-normal">
          <th>upstream end, downstream end</th>
          <th className="w-20">inside, {unit}</th>
          <th className="w-20">outside, {unit}</th>
          <th>fit</th>
          <th className="text-right">gap</th>
          <th>close with</th>
        </tr>
      </thead>
      {joints.map((joint) => (
        <tbody
          key={joint.id}
          className={`border-rule border-b ${joint.id === chosen ? 'bg-selection' : ''}`}
        >
          <tr className="align-baseline [&>td]:px-1.5 [&>td]:pt-1">
            <EndCells joint={joint} side="upstream" />
            <td rowSpan={2} data-label="fit" className="align-middle">
              {INSIDE[joint.fit.inside]}
            </td>
            <td rowSpan={2} data-label="gap" className="whitespace-nowrap text-right align-middle">
              {joint.fit.gap === null ? '–' : gapWords(joint.fit.gap, system)}
            </td>
            <td rowSpan={2} data-label="close with" data-wide className="align-middle">
              <span className={joint.fit.inside === 'neither' ? 'font-semibold' : ''}>
                {joint.fit.inside === 'neither' && joint.fit.closing.kind !== 'coupler' && '◆ '}
                {closingWords(joint.fit.closing, system)}
              </span>
              <Photos
                of={{ kind: 'joint', id: joint.id }}
                name={`the joint: ${endWord(joint.upstream)}`}
                isCompact
              />
              {joint.fit.closing.kind !== 'clamp' && joint.fit.closing.kind !== 'nothing' && (
                <div>
                  <Button
                    look="quiet"
                    className="-ml-3 text-[14px]"
                    aria-label={`Make an adapter: ${endWord(joint.upstream)}`}
                    onClick={() => onAdapter(joint)}
                  >
                    Make an adapter
                  </Button>
                </div>
              )}
            </td>
          </tr>
          <tr className="align-baseline [&>td]:px-1.5 [&>td]:pb-1">
            <EndCells joint={joint} side="downstream" />
          </tr>
        </tbody>
      ))}
    </table>
  );
}

const ORIGINS: Record<JointEnd['origin'], string> = {
  measured: 'measured',
  catalogue: 'from its standard',
  estimate: 'wall thickness estimated',
};

interface EndProps {
  readonly joint: JointPlace;
  readonly side: 'upstream' | 'downstream';
}

/** As finely as a caliper shows it: what nobody measured has no more figures. */
function roundly(value: number, system: UnitSystem): number {
  const { unit } = STYLES[system].diameter;
  const places = system === 'us' ? 1000 : 10;
  return toSI(Math.round(fromSI(value, unit) * places) / places, unit);
}

function EndCells({ joint, side }: EndProps) {
  const system = useUnits();
  const end = joint[side];
  const word = endWord(end);
  const unit = unitSymbol('diameter', system);
  const field = (key: 'inside' | 'outside') => (
    <td data-label={`${key}, ${unit}`}>
      <ShopQuantity
        label={`${key === 'inside' ? 'Inside' : 'Outside'} diameter of ${word} (${joint.id})`}
        value={end.origin === 'measured' ? end[key] : roundly(end[key], system)}
        kind="diameter"
        min={0.01}
        max={2}
        hasUnit={false}
        onChange={(value) => measureEnd(joint, side, { [key]: value })}
      />
    </td>
  );
  return (
    <>
      <td data-wide>
        {word}
        <span className="pl-2 text-[13px] text-quiet">
          {ORIGINS[end.origin]}
          {end.origin === 'measured' && (
            <button
              type="button"
              className="min-h-11 px-1.5 underline md:min-h-0"
              aria-label={`Discard the measured size of ${word}`}
              onClick={() => forgetEnd(joint, side)}
            >
              discard
            </button>
          )}
        </span>
      </td>
      {field('inside')}
      {field('outside')}
    </>
  );
}
