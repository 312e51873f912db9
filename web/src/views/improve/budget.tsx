'use client';

import { type Package, type Packages, type Ranking, withinBudget } from '@frank-gauge/core/advice';
import { formatQuantity } from '@frank-gauge/core/quantity';
import dynamic from 'next/dynamic';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { PartLoading } from '@/ui/part-loading';
import { hoursText, workName } from '@/words/improvement-words';
import { percent } from '@/words/percent';
import { Line, ShopQuantity } from '../parts/line';
import { MakeButtons } from './make-buttons';
import type { ToMake } from './make-improvements';
import type { Advised } from './use-advice';
import { useMoney } from './use-money';
import { useWorkNames } from './use-work-names';

const MoneyLine = dynamic(() => import('./money-line').then((module) => module.MoneyLine), {
  ssr: false,
  loading: PartLoading,
});

interface Props {
  readonly ranking: Ranking;
  readonly packages: Packages | null;
  readonly advised: Advised;
}

/** What a budget buys: the set of improvements that together bring most, and the line of money against air. */
export function Budget({ ranking, packages, advised: { state, stop } }: Props) {
  const budget = useDesign((shop) => shop.advice.budget);
  const currency = useDesign((shop) => shop.shop.money.currency);
  const setBudget = (value: number | null) =>
    edit('budget', (shop) => void Object.assign(shop.advice, { budget: value }), {
      merge: 'budget',
    });
  const chosen = packages && budget !== null ? withinBudget(packages, budget) : undefined;
  return (
    <section aria-label="What a budget buys">
      <h2 className="text-[18px]">What a budget buys</h2>
      <Line label={`Budget, ${currency}`}>
        <ShopQuantity
          label="Budget"
          value={budget}
          kind="number"
          min={0}
          max={1e9}
          placeholder="not said"
          onChange={setBudget}
          onClear={() => setBudget(null)}
        />
      </Line>
      {(state === 'working' || state === 'ranked') && (
        <p role="status" className="flex items-center gap-2 text-[14px] text-quiet">
          {packages ? `${packages.tried} sets solved…` : 'Comparing sets of improvements…'}
          <Button look="quiet" onClick={stop}>
            Stop
          </Button>
        </p>
      )}
      {state === 'stopped' && (
        <p className="text-[14px] text-quiet">Stopped: what is here is the best found so far.</p>
      )}
      {packages && !packages.isExact && state === 'done' && (
        <p className="text-[14px] text-quiet">
          Only {packages.tried} sets were solved: a better one may be among the others.
        </p>
      )}
      {packages && packages.line.length > 1 && (
        <MoneyLine packages={packages} budget={budget} currency={currency} />
      )}
      {packages && <Bought packages={packages} budget={budget} chosen={chosen} ranking={ranking} />}
    </section>
  );
}

/** Without a budget, the set where more money begins to bring little. */
function Bought({
  packages,
  budget,
  chosen,
  ranking,
}: {
  readonly packages: Packages;
  readonly budget: number | null;
  readonly chosen: Package | undefined;
  readonly ranking: Ranking;
}) {
  const money = useMoney();
  const { line, knee } = packages;
  const shown = budget === null ? line[knee ?? line.length - 1] : chosen;
  if (line.length === 1) {
    return <p className="pt-1">Nothing that was tried brings any air worth naming.</p>;
  }
  const cheapest = line.find(({ ids }) => ids.length > 0);
  if (!shown || shown.ids.length === 0) {
    return (
      <p className="pt-1">
        {money(budget ?? 0)} is less than the first step that helps costs: about{' '}
        {money(cheapest?.cost ?? 0)}.
      </p>
    );
  }
  return (
    <>
      <p className="pt-1 text-[14px] text-quiet">
        {budget === null
          ? knee === null
            ? 'All that helps, together:'
            : `The line bends here: beyond ${money(shown.cost)} more money brings little.`
          : `The most air for ${money(budget)}:`}
      </p>
      <Contents made={shown} ranking={ranking} />
      {budget !== null && <LastPart packages={packages} chosen={shown} />}
    </>
  );
}

function Contents({ made, ranking }: { readonly made: Package; readonly ranking: Ranking }) {
  const names = useWorkNames();
  const system = useUnits();
  const money = useMoney();
  const works = made.ids.flatMap((id) => {
    const own = ranking.ranked.find((each) => each.id === id);
    return own ? [{ work: own.work, cost: own.cost, name: workName(own.work, names, system) }] : [];
  });
  const { ids, cost, hours, gains } = made;
  const toMake: ToMake = { ids, works, cost, hours, gains };
  const [most] = gains;
  return (
    <>
      <ul className="border-rule border-t">
        {works.map((each) => (
          <li key={each.name} className="flex gap-2 border-rule border-b py-1">
            <span>{each.name}</span>
            <span className="ml-auto font-figure tabular-nums">{money(each.cost)}</span>
          </li>
        ))}
      </ul>
      <p className="pt-1">
        Together {money(cost)} and {hoursText(hours)} of work. The worst drop then gets{' '}
        {percent(made.worst)} of what it needs, now {percent(ranking.now.worst)}
        {most && `; ${most.name} gains ${formatQuantity(most.after - most.before, 'flow', system)}`}
        .
      </p>
      <MakeButtons toMake={toMake} tryIt="Put all into the design" didIt="I did all of it" />
    </>
  );
}

/** Money the last part of a budget is taken to be. */
const LAST = 100;

/** What the last hundred buys. */
function LastPart({ packages, chosen }: { readonly packages: Packages; readonly chosen: Package }) {
  const system = useUnits();
  const money = useMoney();
  const [most] = chosen.gains;
  if (chosen.cost <= LAST || !most) return null;
  const less = withinBudget(packages, chosen.cost - LAST);
  const lessGain = less?.gains.find(({ drop }) => drop === most.drop);
  const gained = most.after - (lessGain?.after ?? most.before);
  return (
    <p className="text-[14px] text-quiet">
      The last {money(LAST)} of it brings {most.name} {formatQuantity(gained, 'flow', system)}.
    </p>
  );
}
