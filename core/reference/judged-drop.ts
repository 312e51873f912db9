import { type DropAir, type GateRule, judgeDrops } from '../src/analysis/judge-drops';
import type { Shop } from '../src/design/schema';
import { arrangeDucts } from '../src/routing/arrange-ducts';

/** What the drop gets whose own run is of this id, as it was found. @throws where it has no answer */
export function judgedDrop(shop: Shop, run: string, rule: GateRule = 'one'): DropAir {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  const results = judgeDrops(shop, arranged.tree, 'found', rule);
  const air = results.find(({ drop }) => drop.path[0]?.id === run);
  if (air?.kind !== 'judged') throw new Error(`no answer for ${run}`);
  return air;
}
