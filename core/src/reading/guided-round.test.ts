import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { gatesOfDrop } from '../analysis/gate-sets';
import { runLength } from '../design/length';
import { recordWith } from '../journal/journal';
import { arrangeDucts } from '../routing/arrange-ducts';
import { guidedSteps, roundProgress } from './guided-round';

const arranged = arrangeDucts(threeBranchShop());
if (!arranged.ok) throw new Error('no tree');
const { tree } = arranged;

describe('a guided round', () => {
  const steps = guidedSteps(tree, [], true);

  it('goes from the nearest drop to the farthest, then shuts all gates, then reads the filter', () => {
    expect(steps.map(({ kind }) => kind)).toEqual(['drop', 'drop', 'drop', 'all shut', 'filter']);
    const lengths = steps.slice(0, 3).map(({ drop }) => {
      if (!drop) throw new Error('no drop');
      return drop.path.reduce((sum, run) => sum + runLength(run, tree), 0);
    });
    expect(lengths).toEqual(lengths.toSorted((a, b) => a - b));
  });

  it('opens only the gates of the drop it reads, and at the filter those of the nearest', () => {
    for (const { drop, openGates } of steps.slice(0, 3)) {
      expect(new Set(openGates)).toEqual(drop && gatesOfDrop(drop));
    }
    expect(steps[3]).toMatchObject({ drop: null, openGates: [] });
    expect(steps[4]?.openGates).toEqual(steps[0]?.openGates);
  });

  it('reads at the test points there are, and makes those there are not', () => {
    const drop = tree.drops[0];
    if (!drop) throw new Error('no drop');
    const own = recordWith('testPoints', {
      id: 'own',
      name: 'Own',
      at: { kind: 'port', node: drop.id },
    });
    const tap = recordWith('testPoints', {
      id: 'tap',
      name: 'My tap',
      at: { kind: 'collector', tap: 'filter' },
    });
    const ids = guidedSteps(tree, [own, tap], true).map(({ testPoint }) => testPoint.id);
    expect(ids).toContain('own');
    expect(ids.at(-1)).toBe('tap');
    expect(new Set(ids).size).toBe(5);
  });

  it('has no filter to read where the collector exhausts outdoors, and no steps without drops', () => {
    expect(guidedSteps(tree, [], false).map(({ kind }) => kind)).not.toContain('filter');
    expect(guidedSteps({ drops: [], nodes: new Map() }, [], true)).toEqual([]);
  });

  it('goes on where it was: by what was read in it, what was passed over, what was struck out', () => {
    const [first, second, third] = steps;
    const at = (step: typeof first, struckOut: { at: string; reason: string } | null = null) => ({
      testPoint: step?.testPoint.id ?? '',
      struckOut,
    });
    expect(roundProgress(steps, { skipped: [] }, []).next).toBe(first);
    const some = roundProgress(steps, { skipped: [second?.key ?? ''] }, [at(first)]);
    expect(some.next).toBe(third);
    expect([...some.taken]).toEqual([first?.key]);
    const slip = { at: '2026-01-01T10:00:00Z', reason: 'slip' };
    expect(roundProgress(steps, { skipped: [] }, [at(first, slip)]).next).toBe(first);
    const all = roundProgress(
      steps,
      { skipped: [] },
      steps.map((step) => at(step)),
    );
    expect(all.next).toBeNull();
  });
});
