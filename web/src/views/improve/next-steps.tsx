'use client';

import type { RankedImprovement, Ranking } from '@frank-gauge/core/advice';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { finesText, hoursText, needsText, safetyText, workName } from '@/words/improvement-words';
import { percent } from '@/words/percent';
import { bestSteps, WORTH_DOING } from './best-steps';
import { MakeButtons } from './make-buttons';
import type { ToMake } from './make-improvements';
import { useMoney } from './use-money';
import { useWorkNames } from './use-work-names';

/** Money below which nobody speaks of any. */
const FREE = 0.5;

/** The best three as sentences; or that the shop had better stay as it is. */
export function NextSteps({
  ranking,
  isDone,
}: {
  readonly ranking: Ranking;
  readonly isDone: boolean;
}) {
  const best = bestSteps(ranking);
  return (
    <section aria-label="What to do next">
      <h2 className="text-[18px]">What to do next</h2>
      {best.length === 0 ? (
        isDone ? (
          <KeepIt ranking={ranking} />
        ) : (
          <p role="status" className="text-[17px] text-quiet">
            Trying everything that could be done…
          </p>
        )
      ) : (
        <ol className="border-rule border-t">
          {best.map((each, i) => (
            <Step key={each.id} number={i + 1} step={each} />
          ))}
        </ol>
      )}
    </section>
  );
}

function Step({ number, step }: { readonly number: number; readonly step: RankedImprovement }) {
  const names = useWorkNames();
  const system = useUnits();
  const money = useMoney();
  const { work, cost, hours, gains, before, after } = step;
  const name = workName(work, names, system);
  const toMake: ToMake = { ids: [step.id], works: [{ work, name }], cost, hours, gains };
  const [most] = gains;
  return (
    <li className="flex gap-3 border-rule border-b py-2">
      <span className="w-6 shrink-0 text-right font-figure text-[20px] text-quiet">{number}</span>
      <div className="min-w-0">
        <p className="max-w-prose text-[17px]">
          <strong className="font-semibold">{name}.</strong>{' '}
          {most && most.after > most.before
            ? `${most.name} gains ${formatQuantity(most.after - most.before, 'flow', system)} (±\u00a0${formatQuantity(most.uncertainty, 'flow', system)})${others(gains.length - 1)}. `
            : ''}
          {worstText(before.worst, after.worst)} {metText(before.met, after.met)}
          {!step.isShown && gains.length > 0 && 'That is too little for a meter to show. '}
          {settlesText(before.slow, after.slow)}
          {caughtText(before.caught, after.caught)}
          {finesText(before, after)}
          {safetyText(before, after)}
          {before.unguarded > after.unguarded &&
            'The dust the blade throws up is then caught too. '}
        </p>
        <p className="text-[14px] text-quiet">
          {cost < FREE ? 'Costs nothing' : `About ${money(cost)}`}
          {step.isCostEstimated && cost >= FREE && ', by estimated prices'}, {hoursText(hours)} of
          work. {needsText(step.needs)}
        </p>
        <MakeButtons toMake={toMake} of={name} />
      </div>
    </li>
  );
}

const others = (count: number): string =>
  count <= 0 ? '' : count === 1 ? ', and one drop more gains' : `, and ${count} drops more change`;

const worstText = (before: number, after: number): string =>
  Math.abs(after - before) < 0.005
    ? `The worst drop stays at ${percent(after)} of what it needs.`
    : `The worst drop then gets ${percent(after)} of what it needs, now ${percent(before)}.`;

const metText = (before: number, after: number): string =>
  Math.abs(after - before) < 0.01
    ? ''
    : `The chance that a drop has enough goes from ${percent(before)} to ${percent(after)}. `;

const settlesText = (before: number, after: number): string => {
  if (after === before) return '';
  const drops = (count: number) =>
    count === 0 ? 'no drop' : count === 1 ? 'one drop' : `${count} drops`;
  return `${after > before ? 'But chips' : 'Chips'} then settle at ${drops(after)}, now at ${drops(before)}. `;
};

const caughtText = (before: number, after: number): string =>
  Math.abs(after - before) < 0.02
    ? ''
    : `Of the dust, ${percent(1 - after)} then goes to the filter, now ${percent(1 - before)}. `;

/** Nothing is worth its cost. */
function KeepIt({ ranking: { now, ranked } }: { readonly ranking: Ranking }) {
  const names = useWorkNames();
  const system = useUnits();
  const money = useMoney();
  const short = now.drops.filter(({ flow, need }) => flow < need).length;
  const [first] = ranked.toSorted((a, b) => b.worth.air - a.worth.air);
  return (
    <div className="max-w-prose text-[17px]">
      <p>
        <strong className="font-semibold">Keep what you have.</strong>{' '}
        {short === 0
          ? `Every drop gets what it needs, the worst ${percent(now.worst)} of it.`
          : `${short === 1 ? 'One drop is' : `${short} drops are`} short, but nothing that was tried is worth its cost as you weigh it.`}
      </p>
      {first && first.worth.air > WORTH_DOING && (
        <p className="text-[14px] text-quiet">
          Most air would come of this: {workName(first.work, names, system)}, about{' '}
          {money(first.cost)}, the worst drop then at {percent(first.after.worst)}.
        </p>
      )}
    </div>
  );
}
