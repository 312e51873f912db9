import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { changesBetween, withChanges } from './changes';
import { changeWithRenames, type Rename, withRenames } from './rename';

const RENAMES: readonly Rename[] = [
  { path: ['collector'], from: 'old', to: 'new' },
  { path: ['candidates', '*'], from: 'old', to: 'new' },
  { path: ['candidates', '*', 'old'], from: 'x', to: 'y' },
];

/** Documents of one shape, some of their members missing, with names that are renamed only in places. */
const anyDocument = () => {
  const parts = fc.record(
    {
      old: fc.record({ x: fc.integer(), old: fc.integer() }, { requiredKeys: [] }),
      x: fc.integer(),
    },
    { requiredKeys: [] },
  );
  const candidates = fc.uniqueArray(fc.constantFrom('a', 'b', 'c'), { maxLength: 3 });
  return fc.record({
    old: fc.integer(),
    collector: parts,
    candidates: candidates.chain((ids) =>
      fc.tuple(...ids.map((id) => parts.map((own) => ({ id, ...own })))),
    ),
  });
};

describe('renaming members', () => {
  it('changes names where they are meant, at any depth, and nothing else', () => {
    expect(
      withRenames(
        {
          old: 1,
          collector: { old: { x: 1, old: 2 } },
          candidates: [{ id: 'a', old: { x: 3 } }, { id: 'b' }, null],
        },
        RENAMES,
      ),
    ).toEqual({
      old: 1,
      collector: { new: { x: 1, old: 2 } },
      candidates: [{ id: 'a', new: { y: 3 } }, { id: 'b' }, null],
    });
    for (const value of [null, 7, 'old', []]) expect(withRenames(value, RENAMES)).toEqual(value);
  });

  it('of a remembered change makes one that does to the renamed document what it did to the old', () => {
    fc.assert(
      fc.property(anyDocument(), anyDocument(), (before, after) => {
        const changes = changesBetween(before, after);
        const renamed = changes.map((change) => changeWithRenames(change, RENAMES));
        expect(withChanges(withRenames<unknown>(before, RENAMES), renamed)).toEqual(
          withRenames(after, RENAMES),
        );
      }),
    );
  });
});
