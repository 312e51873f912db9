import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { arrangeDucts, withRun } from './arrange-ducts';

describe('a tree with another run in the place of one', () => {
  const arranged = arrangeDucts(threeBranchShop());
  if (!arranged.ok) throw new Error('no tree');
  const { tree } = arranged;
  const ids = tree.upstreamFirst.map(({ id }) => id);

  it('has it wherever the old one was, and every other run where it was', () => {
    for (const id of ids) {
      const old = tree.upstreamFirst.find((run) => run.id === id);
      if (!old) throw new Error('no run');
      const run = { ...old, diameter: 0.321 };
      const changed = withRun(tree, run);
      expect(changed.upstreamFirst.map((each) => each.id)).toEqual(ids);
      expect(changed.upstreamFirst.find((each) => each.id === id)).toBe(run);
      for (const [node, into] of tree.into) {
        const wanted = into.map((each) => (each.id === id ? run : each));
        expect(changed.into.get(node)).toEqual(wanted);
      }
      for (const [node, out] of tree.outOf) {
        expect(changed.outOf.get(node)).toBe(out.id === id ? run : out);
      }
      for (const [i, { path, ...drop }] of tree.drops.entries()) {
        const { path: own, ...rest } = changed.drops[i] ?? { path: [] };
        expect(rest).toEqual(drop);
        expect(own).toEqual(path.map((each) => (each.id === id ? run : each)));
      }
      // The tree it was made from is as it was.
      expect(tree.upstreamFirst.find((each) => each.id === id)).toBe(old);
    }
  });

  it('is the same tree where there is no such run', () => {
    const [first] = tree.upstreamFirst;
    if (!first) throw new Error('no run');
    expect(withRun(tree, { ...first, id: 'gone' })).toEqual(tree);
  });
});
