'use client';

import { formatQuantity } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { hoursText, workName } from '@/words/improvement-words';
import { percent } from '@/words/percent';
import { bestSteps } from '../best-steps';
import type { Advised } from '../use-advice';
import { useMoney } from '../use-money';
import { useWorkNames } from '../use-work-names';

/** What to do next, with what it brings and costs. */
export function ReportSteps({ advised: { ranking, state } }: { readonly advised: Advised }) {
  const names = useWorkNames();
  const system = useUnits();
  const money = useMoney();
  const best = ranking && bestSteps(ranking);
  return (
    <section aria-label="Next steps" className="break-inside-avoid pt-3">
      <h2 className="text-[16px]">What to do next</h2>
      {!best || (best.length === 0 && state === 'working') ? (
        <p role="status" className="text-quiet">
          {state === 'broken' ? 'This could not be worked out.' : 'Trying what could be done…'}
        </p>
      ) : best.length === 0 ? (
        <p>Keep what you have: nothing that was tried is worth its cost.</p>
      ) : (
        <ol className="border-ink border-t">
          {best.map(({ id, work, gains: [most], cost, hours, after }, i) => (
            <li key={id} className="border-rule border-b py-0.5">
              {i + 1}. <strong className="font-semibold">{workName(work, names, system)}.</strong>{' '}
              {most &&
                most.after > most.before &&
                `${most.name} gains ${formatQuantity(most.after - most.before, 'flow', system)} ±\u00a0${formatQuantity(most.uncertainty, 'flow', system)}; `}
              the worst drop then gets {percent(after.worst)} of what it needs.{' '}
              {cost < 0.5 ? 'Costs nothing' : `About ${money(cost)}`}, {hoursText(hours)} of work.
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
