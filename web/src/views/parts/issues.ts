import {
  type DropAir,
  type Finding,
  findings,
  type GateRule,
  issueOf,
} from '@frank-gauge/core/analysis';
import type { Shop } from '@frank-gauge/core/design';
import type { View } from '@frank-gauge/core/network';
import type { UnitSystem } from '@frank-gauge/core/quantity';
import { findingMessage, type Message } from '@/words/finding-words';

export interface Issue extends Message {
  /** What it is known by. */
  readonly issue: string;
}

export interface SetAside extends Issue {
  readonly id: string;
  readonly reason: string;
}

/** What is wrong at a drop, in sentences: what stands, and what was set aside with a reason. */
export function issuesAt(
  shop: Shop,
  result: DropAir,
  view: View,
  rule: GateRule,
  system: UnitSystem,
): { readonly standing: readonly Issue[]; readonly aside: readonly SetAside[] } {
  const names = {
    run: (id: string) => shop.ducts.runs.find((run) => run.id === id)?.name ?? 'The inlet',
    drop: () => result.drop.name,
  };
  const all = findings(shop, result, view, rule).map(
    (finding: Finding): Issue => ({
      ...findingMessage(finding, system, names),
      issue: issueOf(finding),
    }),
  );
  const known = new Map(shop.setAside.map((each) => [each.issue, each]));
  return {
    standing: all.filter(({ issue }) => !known.has(issue)),
    aside: all.flatMap((each) => {
      const own = known.get(each.issue);
      return own ? [{ ...each, id: own.id, reason: own.reason }] : [];
    }),
  };
}
