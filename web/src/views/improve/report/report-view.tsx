'use client';

import { judgeDrops, worstDrop } from '@frank-gauge/core/analysis';
import { format } from 'date-fns';
import { Printer } from 'lucide-react';
import { useMemo } from 'react';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctTree } from '@/model/use-design';
import { Button } from '@/ui/button';
import { useTray } from '../../frame/tray-bar';
import { useAdvice } from '../use-advice';
import { ReportCollector } from './report-collector';
import { ReportDrops } from './report-drops';
import { ReportPlan } from './report-plan';
import { ReportPressures } from './report-pressures';
import { ReportSteps } from './report-steps';

/** The shop on a page to hand on: what it gets, where the pressure goes, what is wrong, and what to do next. */
export function ReportView() {
  const shop = useDesign();
  const tray = useTray();
  const part = airPart(shop);
  const tree = useDuctTree();
  const advised = useAdvice();
  // As found, each drop with its own gate: whatever is looked at elsewhere, a report says the same.
  const results = useMemo(() => judgeDrops(part, tree, 'found', 'one'), [part, tree]);
  const worst = worstDrop(results);
  if (tree.drops.length === 0 || !worst) {
    return (
      <p className="max-w-prose px-4 pt-3 text-[17px]">
        There is nothing to report yet: connect a machine under Air.
      </p>
    );
  }
  return (
    <article
      aria-label="Report"
      className="mx-auto max-w-[820px] px-4 pt-3 pb-8 text-[14px] md:h-full md:overflow-y-auto print:h-auto print:max-w-none print:overflow-visible print:px-0 print:text-[9.5pt] print:leading-tight"
    >
      <header className="flex items-baseline gap-3 border-ink border-b-2 pb-1">
        <h1 className="text-[22px]">{shop.shop.name}</h1>
        <span className="text-quiet">
          {tray ? `Dust collection, as tried in tray ${tray.name}` : 'Dust collection, as found'},{' '}
          {format(new Date(), 'd MMMM yyyy')}
        </span>
        <Button look="plain" className="ml-auto print:hidden" onClick={() => window.print()}>
          <Printer size={16} aria-hidden /> Print
        </Button>
      </header>
      {shop.shop.note !== '' && <p className="pt-1 text-quiet">{shop.shop.note}</p>}
      <div className="grid gap-x-6 sm:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] print:grid-cols-[1.25fr_1fr]">
        <ReportDrops results={results} />
        <ReportCollector worst={worst} />
      </div>
      <ReportPlan />
      <ReportPressures worst={worst} />
      <ReportSteps advised={advised} />
      <footer className="mt-3 border-rule border-t pt-1 text-[12px] text-quiet print:text-[8pt]">
        Airflows are predicted by a network model of blower, filter, separator, ducts and leaks, and
        are estimates until measured; ± holds 95 times in 100. Wood dust harms the lungs and can
        explode: wear a respirator, keep sparks and metal out. Motors are wired by a licensed
        electrician. Local codes and licensed practice decide.
      </footer>
    </article>
  );
}
