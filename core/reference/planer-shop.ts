import { collectorLoad } from '../src/analysis/collector-load';
import type { Finding, FindingKind } from '../src/analysis/findings/finding';
import { findings } from '../src/analysis/findings/findings';
import type { DropAir } from '../src/analysis/judge-drops';
import type { Run, Shop } from '../src/design/schema';
import { judgedDrop } from './judged-drop';
import { threeBranchShop } from './sample-shops';

type Parts = { readonly planer: Run; readonly main: Run; readonly shop: Shop };

/** The sample shop, about whose planer there is nothing to say, with something changed. */
export function planerShop(change: (parts: Parts) => void = () => {}): Shop {
  const shop = threeBranchShop();
  const runOf = (id: string) => {
    const run = shop.ducts.runs.find((each) => each.id === id);
    if (!run) throw new Error(`no ${id}`);
    return run;
  };
  shop.collector.exhaust = {
    kind: 'filter',
    filter: { name: '', area: 20, permeability: 0.1, seasoned: 1, grade: null },
  };
  change({ planer: runOf('planer'), main: runOf('id1'), shop });
  return shop;
}

/** What is said of a kind, with the air it is said of. */
export function said(kind: FindingKind, shop: Shop, name = 'planer') {
  const air = judgedDrop(shop, name);
  const found: Finding[] = findings(shop, air, 'found', 'one').filter((each) => each.kind === kind);
  return { found, air, load: collectorLoad(shop, air.solution, 'found') };
}

/** What the parts of a kind take in a run, Pa. */
export const lossOf = ({ solution }: DropAir, run: string, part: string): number =>
  (solution.airIn.get(run) ?? [])
    .flatMap(({ parts }) => parts)
    .filter(({ kind }) => kind === part)
    .reduce((sum, { loss }) => sum + loss, 0);
