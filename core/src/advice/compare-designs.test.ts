import { describe, expect, it } from 'vitest';
import { strongOnFourInch, untapedShop } from '../../reference/advice-shops';
import { judgeDrops } from '../analysis/judge-drops';
import { arrangeDucts } from '../routing/arrange-ducts';
import { compareDesigns } from './compare-designs';
import { evaluate } from './evaluate';
import { improved, improvementsOf } from './improvements-of';

const shop = untapedShop();
const arranged = arrangeDucts(shop);
if (!arranged.ok) throw new Error('no tree');
const taping = improvementsOf(shop, arranged.tree).filter(({ work }) => work.kind.includes('seal'));
const taped = improved(shop, taping.slice(0, 1));

describe('designs side by side', () => {
  const { drop: shown, designs } = compareDesigns([shop, taped], null);
  const [before, after] = designs;

  it('are each what evaluating it by itself gives', () => {
    expect(before?.evaluation).toEqual(evaluate(shop));
    expect(after?.evaluation).toEqual(evaluate(taped));
  });

  it('gain what lies between them, the first nothing', () => {
    expect(before?.gains).toEqual([]);
    expect(after?.gains.length).toBeGreaterThan(0);
    for (const gain of after?.gains ?? []) {
      const own = after?.evaluation?.drops.find(({ drop }) => drop === gain.drop);
      expect(gain.after).toBe(own?.flow);
    }
  });

  it('show the way of the worst drop of the first, whose losses make up the blower’s rise', () => {
    const worst = judgeDrops(shop, arranged.tree, 'found', 'one')
      .flatMap((each) => (each.kind === 'judged' ? [each] : []))
      .toSorted((a, b) => a.flow / a.need - b.flow / b.need)[0];
    expect(shown).toBe(worst?.drop.id);
    for (const each of [before, after]) {
      const way = each?.way ?? [];
      expect(way[0]?.id).toBe(worst?.drop.path[0]?.id);
      expect(way.at(-1)?.staticAfter).toBeCloseTo(0, 6);
      expect(way.reduce((sum, { loss }) => sum + loss, 0)).toBeCloseTo(0, 4);
      expect(way.filter(({ kind }) => kind === 'blower')).toHaveLength(1);
    }
    expect(before?.way.find(({ kind }) => kind === 'blower')?.loss).toBeCloseTo(
      -(worst?.solution.blower.rise ?? 0),
      9,
    );
  });

  it('without an answer, or without the drop, are empty beside the others', () => {
    const cut = structuredClone(shop) as typeof shop & { ducts: { runs: unknown[] } };
    cut.ducts.runs = [];
    const other = strongOnFourInch();
    const [own, none, apart] = compareDesigns([shop, cut, other], 'not a drop').designs;
    expect(own?.evaluation).not.toBeNull();
    expect(none).toEqual({ evaluation: null, gains: [], way: [] });
    expect(apart?.way).toEqual([]);
  });
});
