'use client';

import type { Ranking, Stage, StagePlan } from '@frank-gauge/core/advice';
import { proxy } from 'comlink';
import { useRef, useState } from 'react';
import { patientEngine } from '@/model/engine';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { hoursText, moneyText, workName } from '@/words/improvement-words';
import { percent } from '@/words/percent';
import { Line, ShopQuantity } from '../parts/line';
import { MakeButtons } from './make-buttons';
import { useAdvisedShop } from './use-advice';
import { useMoney } from './use-money';
import { useWorkNames } from './use-work-names';

const USUAL = 100;

/** A plan over several months: what to buy first so that each stage works by itself. */
export function Stages({ ranking }: { readonly ranking: Ranking }) {
  const shop = useAdvisedShop();
  const currency = useDesign((design) => design.shop.money.currency);
  const [each, setEach] = useState<number>(USUAL);
  const [found, setFound] = useState<{
    readonly plan: StagePlan | null;
    /** What it was made for: with another shop it says nothing. */
    readonly of: typeof shop;
    readonly state: 'working' | 'done' | 'broken';
  } | null>(null);
  const asked = useRef(0);
  const plan = () => {
    const own = ++asked.current;
    let isOver = false;
    setFound({ plan: null, of: shop, state: 'working' });
    const { outcome } = patientEngine.ask('stages', (remote) =>
      remote.stages(
        shop,
        each,
        proxy((made: StagePlan) => {
          if (!isOver && own === asked.current)
            setFound({ plan: made, of: shop, state: 'working' });
        }),
      ),
    );
    void outcome.then((answer) => {
      isOver = true;
      if (own !== asked.current || answer.kind === 'superseded') return;
      setFound({
        plan: answer.kind === 'answered' ? answer.answer : null,
        of: shop,
        state: answer.kind === 'answered' ? 'done' : 'broken',
      });
    });
  };
  const shown = found?.of === shop ? found : null;
  return (
    <section aria-label="Stages" className="pt-6">
      <h2 className="text-[18px]">In stages</h2>
      <p className="max-w-prose text-[14px] text-quiet">
        Say what you can spend each month. Each stage works by itself, and what is not spent is
        saved up.
      </p>
      <div className="flex max-w-md flex-wrap items-center gap-3">
        <div className="min-w-48 flex-1">
          <Line label={`Each month, ${currency}`}>
            <ShopQuantity
              label="Each month"
              value={each}
              kind="number"
              min={1}
              max={1e6}
              onChange={setEach}
            />
          </Line>
        </div>
        <Button onClick={plan}>Plan it</Button>
      </div>
      {shown?.state === 'working' && (
        <p role="status" className="text-quiet">
          Planning stage {(shown.plan?.stages.length ?? 0) + 1}…
        </p>
      )}
      {shown?.state === 'broken' && (
        <p role="alert">The plan could not be worked out: the browser stopped the calculation.</p>
      )}
      {shown?.plan && <Plan plan={shown.plan} isDone={shown.state === 'done'} each={each} />}
      {!shown && found && <p className="text-quiet">The shop has changed since: plan it again.</p>}
      {shown?.state === 'done' && shown.plan?.stages.length === 0 && (
        <p>
          {ranking.ranked.some(({ worth }) => worth.air > 0)
            ? `Nothing that ${moneyText(each, currency)} a month pays for within half a year brings any air worth naming.`
            : 'Nothing that was tried brings any air.'}
        </p>
      )}
    </section>
  );
}

function Plan({
  plan: { now, stages, atOnce },
  isDone,
  each,
}: {
  readonly plan: StagePlan;
  readonly isDone: boolean;
  readonly each: number;
}) {
  const names = useWorkNames();
  const system = useUnits();
  const money = useMoney();
  const spent = stages.reduce((sum, { cost }) => sum + cost, 0);
  const thrown = stages.reduce((sum, { thrownAway }) => sum + thrownAway, 0);
  const last = stages.at(-1);
  return (
    <>
      <ol className="border-rule border-t">
        {stages.map((stage, i) => (
          <StageLine key={i} stage={stage} number={i + 1} isFirst={i === 0} />
        ))}
      </ol>
      {isDone && last && (
        <p className="max-w-prose pt-1">
          After {stages.length === 1 ? 'this stage' : `all ${stages.length} stages`}, for{' '}
          {money(spent)}, the worst drop gets {percent(last.worst)} of what it needs, now{' '}
          {percent(now.worst)}
          {thrown > 0.5 && `; ${money(thrown)} of it is replaced later`}.
          {atOnce &&
            ` To compare: ${lower(workName(atOnce.work, names, system))} at once costs ${money(atOnce.cost)}, ${Math.ceil(atOnce.cost / each)} months of saving, and brings the worst drop to ${percent(atOnce.worst)}.`}
        </p>
      )}
    </>
  );
}

const lower = (text: string) => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

function StageLine({
  stage,
  number,
  isFirst,
}: {
  readonly stage: Stage;
  readonly number: number;
  readonly isFirst: boolean;
}) {
  const names = useWorkNames();
  const system = useUnits();
  const money = useMoney();
  const { works, cost, hours, worst, met, thrownAway, gains } = stage;
  const named = works.map(({ work }) => ({ work, name: workName(work, names, system) }));
  const toMake = { ids: works.map(({ id }) => id), works: named, cost, hours, gains };
  return (
    <li className="flex gap-3 border-rule border-b py-1.5">
      <span className="w-6 shrink-0 text-right font-figure text-[18px] text-quiet">{number}</span>
      <div>
        <p className="max-w-prose">
          {named.map(({ name }) => name).join('. ')}. {money(cost)}, {hoursText(hours)} of work.
        </p>
        <p className="text-[14px] text-quiet">
          Then the worst drop gets {percent(worst)} of what it needs; the chance that a drop has
          enough is {percent(met)}.
          {thrownAway > 0.5 && ` ${money(thrownAway)} of what was bought before is replaced.`}
        </p>
        {isFirst && (
          <MakeButtons
            toMake={toMake}
            tryIt="Put the first stage into the design"
            didIt="I did the first stage"
          />
        )}
      </div>
    </li>
  );
}
