'use client';

import { type ProfileStep, pressureProfile } from '@frank-gauge/core/analysis';
import { formatShort, STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { useDesign, useDuctTree, useSelectedDrop, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { linearScale } from '@/ui/linear-scale';
import { failureSentence } from '@/words/failure-words';
import { gather } from '../parts/gather-steps';
import { stepLabel } from '../parts/step-label';

/** The ladder of the drop that is open, beside the plan its way is lit on: each part a line. */
export function DropLadder() {
  const shopId = useDesign((shop) => shop.id);
  const system = useUnits();
  const selected = useSelectedDrop();
  const open = useChoices((choices) => choices.parts[shopId]);
  const rule = useChoices((choices) => choices.rule);
  const isOwn = selected?.drop.machine.id === open || selected?.drop.path[0]?.id === open;
  if (!selected || !open || !isOwn) return null;
  const { name } = selected.drop;
  return (
    <section aria-label={`Route of ${name} to the blower`} className="pb-4">
      <h2 className="text-[18px]">{name}, from hood to room</h2>
      {selected.kind === 'judged' ? (
        <>
          <p className="pt-1">
            <strong className="font-semibold">{formatShort(selected.flow, 'flow', system)}</strong>{' '}
            of {formatShort(selected.need, 'flow', system)} required,{' '}
            {rule === 'one' ? 'only its gate open' : 'with the gates open now'}.
          </p>
          <ProfileSteps steps={gather(pressureProfile(selected.solution, selected.drop))} />
        </>
      ) : (
        <p role="alert" className="pt-1 text-starved-text">
          {failureSentence(selected.reason, system)}
        </p>
      )}
    </section>
  );
}

function ProfileSteps({ steps }: { readonly steps: readonly ProfileStep[] }) {
  const system = useUnits();
  const tree = useDuctTree();
  const pressure = useChoices((choices) => choices.pressure);
  const style = STYLES[system].pressure;
  const ends = (step: ProfileStep) =>
    pressure === 'static'
      ? ([step.staticBefore, step.staticAfter] as const)
      : ([step.totalBefore, step.totalAfter] as const);
  const levels = steps.flatMap(ends);
  const along = linearScale([Math.min(...levels), Math.max(...levels, 0)], [0, 100]);
  const most = Math.max(...steps.filter(({ kind }) => kind !== 'blower').map(({ loss }) => loss));
  return (
    <table className="mt-1.5 w-full border-collapse text-[14px]">
      <caption className="pb-1 text-left text-[13px] text-quiet">
        {pressure} pressure, {unitSymbol('pressure', system)}, with the pressure drop of each part
      </caption>
      <tbody>
        {steps.map((step, i) => {
          const [from, to] = ends(step);
          const isBlower = step.kind === 'blower';
          const left = along(Math.min(from, to));
          const width = Math.max(0.8, along(Math.max(from, to)) - left);
          return (
            <tr key={`${step.run} ${step.kind} ${i}`} className="border-rule border-b">
              <th scope="row" className="w-26 py-0.5 pr-2 text-left font-normal text-quiet">
                {stepLabel(step, tree, system).join(' ')}
              </th>
              <td className="relative">
                <span
                  aria-hidden
                  className={`absolute inset-y-1 ${isBlower ? 'border border-ink' : 'bg-enough'}`}
                  style={{
                    left: `${left}%`,
                    width: `${width}%`,
                    opacity: isBlower ? 1 : 0.25 + 0.6 * Math.max(0, step.loss / most),
                  }}
                />
                <span
                  aria-hidden
                  className="absolute inset-y-0 border-rule border-l"
                  style={{ left: `${along(0)}%` }}
                />
              </td>
              <td className="w-12 py-0.5 pl-2 text-right font-semibold">
                {isBlower ? `+${writeNumber(-step.loss, style)}` : writeNumber(step.loss, style)}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
