import { dropJudge, gateAir } from '@frank-gauge/core/analysis';
import { addDrop, newShop, type Shop } from '@frank-gauge/core/design';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { describe, expect, it } from 'vitest';
import { DropJudgements } from './drop-judgements';

const curve = [
  { flow: 0, pressure: 2500 },
  { flow: 0.6, pressure: 0 },
];

/** Two drops, and who judges them with a filter as loaded as this. */
function judged(loading: number) {
  const shop: Shop = newShop('one', 'One', 'us', curve);
  let next = 0;
  const newId = () => `id${next++}`;
  addDrop(shop, 'inlet', 'planer', newId);
  shop.condition.filterLoading.value = loading;
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const [drop] = arranged.tree.drops;
  if (!drop) throw new Error('no drop');
  return { drop, judge: dropJudge(gateAir(shop, arranged.tree, 'found'), 'one') };
}
const flowOf = (result: ReturnType<DropJudgements['judged']>) =>
  result.kind === 'judged' ? result.flow : Number.NaN;

describe('judgements of drops', () => {
  it('are the same object for the same judge, and another for another', () => {
    const judgements = new DropJudgements();
    const clean = judged(1);
    const loaded = judged(8);
    expect(judgements.last(clean.drop)).toBeNull();
    const first = judgements.judged(clean.judge, clean.drop);
    expect(judgements.judged(clean.judge, clean.drop)).toBe(first);
    const second = judgements.judged(loaded.judge, loaded.drop);
    expect(flowOf(second)).toBeLessThan(flowOf(first));
    expect(judgements.last(loaded.drop)).toBe(second);
  });

  it('are as good from the last solution as from none', () => {
    const judgements = new DropJudgements();
    const clean = judged(1);
    const loaded = judged(8);
    judgements.judged(clean.judge, clean.drop);
    const warm = flowOf(judgements.judged(loaded.judge, loaded.drop));
    const cold = flowOf(new DropJudgements().judged(loaded.judge, loaded.drop));
    expect(warm / cold).toBeCloseTo(1, 8);
  });

  it('name the drops a judge has not judged, the one that has waited longest first', () => {
    const judgements = new DropJudgements();
    const { judge, drop } = judged(1);
    const other = { ...drop, id: 'other' };
    judgements.judged(judge, other);
    judgements.judged(judge, drop);
    expect(judgements.waiting(judge, [drop, other])).toEqual([]);
    const later = judged(8);
    const waiting = judgements.waiting(later.judge, [drop, other]);
    expect(waiting.map(({ id }) => id)).toEqual(['other', drop.id]);
  });
});
