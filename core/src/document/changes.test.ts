import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { changesBetween, isExtended, isSame, withChanges } from './changes';

interface Thing {
  readonly id: string;
  readonly name: string;
  readonly curve: readonly number[];
  readonly inner: readonly { readonly id: string; readonly size: number }[];
}

/** A document with lists of things, in any order, things in things, a plain list and loose members. */
const anyList = <T extends { readonly id: string }>(entry: (id: string) => fc.Arbitrary<T>) =>
  fc
    .uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'))
    .chain((ids) => fc.tuple(...ids.map(entry))) as fc.Arbitrary<T[]>;
const anyThing = (id: string): fc.Arbitrary<Thing> =>
  fc.record({
    id: fc.constant(id),
    name: fc.constantFrom('Saw', 'Planer', ''),
    curve: fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 3 }),
    inner: anyList((inner) =>
      fc.record({ id: fc.constant(inner), size: fc.integer({ min: 0, max: 2 }) }),
    ),
  });
const anyDocument = fc.record(
  {
    name: fc.string({ maxLength: 3 }),
    place: fc.option(fc.record({ x: fc.integer({ min: 0, max: 2 }) })),
    loose: fc.anything({ maxDepth: 0, values: [fc.boolean(), fc.constant(null)] }),
    machines: anyList(anyThing),
    perRun: fc.uniqueArray(fc.record({ run: fc.constantFrom('p', 'q'), area: fc.nat(3) }), {
      selector: ({ run }) => run,
    }),
  },
  { requiredKeys: ['name', 'machines'] },
);

describe('changes of a document', () => {
  it('made to the one it began with, give the other, and the other way round', () => {
    fc.assert(
      fc.property(anyDocument, anyDocument, (before, after) => {
        expect(withChanges(before, changesBetween(before, after))).toEqual(after);
        expect(withChanges(after, changesBetween(after, before))).toEqual(before);
      }),
      { numRuns: 400 },
    );
  });

  it('are none between the same, and touch nothing that is the same', () => {
    fc.assert(
      fc.property(anyDocument, (document) => {
        expect(changesBetween(document, structuredClone(document))).toEqual([]);
      }),
    );
    const before = {
      machines: [
        { id: 'a', name: 'Saw' },
        { id: 'b', name: 'Planer' },
      ],
      room: {},
    };
    const after = structuredClone(before);
    Object.assign(after.machines[1] ?? {}, { name: 'Jointer' });
    const made = withChanges(before, changesBetween(before, after));
    expect(made?.machines[0]).toBe(before.machines[0]);
    expect(made?.room).toBe(before.room);
  });

  it('survive being stored', () => {
    fc.assert(
      fc.property(anyDocument, anyDocument, (before, after) => {
        const stored = structuredClone(changesBetween(before, after));
        expect(withChanges(before, stored)).toEqual(after);
      }),
    );
  });

  const saw = { id: 'a', name: 'Saw' };
  const planer = { id: 'b', name: 'Planer' };
  const sander = { id: 'c', name: 'Sander' };
  const jointer = { id: 'd', name: 'Jointer' };

  it('name a thing by its id: taken out elsewhere, its neighbour is not changed for it', () => {
    const before = { machines: [saw, planer, sander] };
    const rename = changesBetween(before, {
      machines: [saw, { ...planer, name: 'Thicknesser' }, sander],
    });
    const meanwhile = { machines: [planer, sander] };
    expect(withChanges(meanwhile, rename)).toEqual({
      machines: [{ ...planer, name: 'Thicknesser' }, sander],
    });
    expect(withChanges({ machines: [saw, sander] }, rename)).toBeNull();
  });

  it('of two tabs that each add and take out, all hold', () => {
    const before = { machines: [saw, planer] };
    const mine = changesBetween(before, { machines: [saw, planer, sander] });
    const yours = changesBetween(before, { machines: [saw, jointer] });
    const both = withChanges(withChanges(before, yours) ?? before, mine);
    expect(both?.machines.map(({ id }) => id).sort()).toEqual(['a', 'c', 'd']);
    const other = withChanges(withChanges(before, mine) ?? before, yours);
    expect(other?.machines.map(({ id }) => id).sort()).toEqual(['a', 'c', 'd']);
  });

  it('of two tabs that each put the first thing into an empty list, both hold', () => {
    const empty = { machines: [] as (typeof saw)[] };
    const mine = changesBetween(empty, { machines: [saw] });
    const yours = changesBetween(empty, { machines: [planer] });
    const both = withChanges(withChanges(empty, mine) ?? empty, yours);
    expect(both?.machines.map(({ id }) => id).sort()).toEqual(['a', 'b']);
    // Emptied again it takes out what it knew, and leaves what came meanwhile.
    const emptied = changesBetween({ machines: [saw] }, empty);
    expect(withChanges({ machines: [saw, planer] }, emptied)).toEqual({ machines: [planer] });
  });

  it('take a list without ids, or with an id twice, as one value', () => {
    const set = (value: unknown) => [{ op: 'set', path: ['list'], value }];
    const points = [{ x: 1 }, { x: 2 }];
    expect(changesBetween({ list: points }, { list: [{ x: 1 }, { x: 3 }] })).toEqual(
      set([{ x: 1 }, { x: 3 }]),
    );
    expect(changesBetween({ list: points }, { list: structuredClone(points) })).toEqual([]);
    const twins = [saw, { ...planer, id: 'a' }];
    expect(changesBetween({ list: [saw] }, { list: twins })).toEqual(set(twins));
    expect(changesBetween({ list: twins }, { list: [saw] })).toEqual(set([saw]));
    expect(changesBetween({ list: [saw] }, { list: [1, 2] })).toEqual(set([1, 2]));
    expect(changesBetween({ list: [saw] }, { list: { a: saw } })).toEqual(set({ a: saw }));
  });

  it('add nothing twice: a thing that came meanwhile under the same id stays as it is', () => {
    const added = changesBetween({ list: [saw] }, { list: [saw, planer] });
    const theirs = { ...planer, name: 'Their planer' };
    expect(withChanges({ list: [saw, theirs] }, added)).toEqual({ list: [saw, theirs] });
  });

  it('keep several things that were added elsewhere in their own order', () => {
    const renamed = changesBetween({ list: [saw, planer] }, { list: [planer, saw] });
    expect(withChanges({ list: [saw, jointer, sander, planer] }, renamed)).toEqual({
      list: [planer, saw, jointer, sander],
    });
    const removed = changesBetween({ list: [saw, planer] }, { list: [planer] });
    expect(withChanges({ list: [jointer, sander, saw, planer] }, removed)).toEqual({
      list: [jointer, sander, planer],
    });
  });

  it('keep what was added elsewhere behind the thing it stands behind', () => {
    const moved = changesBetween({ list: [saw, planer, sander] }, { list: [sander, saw, planer] });
    expect(withChanges({ list: [saw, jointer, planer, sander] }, moved)).toEqual({
      list: [sander, saw, jointer, planer],
    });
  });

  it('are refused whole where one no longer fits', () => {
    const changes = [
      { op: 'set', path: ['name'], value: 'New' },
      { op: 'set', path: ['machines', { key: 'id', is: 'gone' }, 'name'], value: 'x' },
    ] as const;
    expect(withChanges({ name: 'Old', machines: [saw] }, changes)).toBeNull();
    expect(withChanges({ list: 3 }, [{ op: 'unset', path: ['list', 'deep'] }])).toBeNull();
    expect(withChanges({}, [{ op: 'set', path: ['a', 'b'], value: 1 }])).toBeNull();
    const entry = { key: 'id', is: 'a' } as const;
    const list = {
      op: 'list',
      path: ['list'],
      key: 'id',
      removed: [],
      added: [],
      order: [],
    } as const;
    expect(withChanges({ list: { a: 1 } }, [list])).toBeNull();
    expect(
      withChanges({ list: { a: 1 } }, [{ op: 'set', path: ['list', entry, 'name'], value: 1 }]),
    ).toBeNull();
    expect(withChanges({ list: [] }, [{ op: 'unset', path: ['list', entry, 'name'] }])).toBeNull();
    expect(
      withChanges({ list: 'text' }, [{ op: 'set', path: ['list', 'x'], value: 1 }]),
    ).toBeNull();
  });
});

describe('sameness', () => {
  it('is by value, whatever the order of members, never of lists', () => {
    expect(isSame({ a: 1, b: [1, { c: null }] }, { b: [1, { c: null }], a: 1 })).toBe(true);
    expect(isSame([1, 2], [2, 1])).toBe(false);
    expect(isSame({ a: undefined }, { b: undefined })).toBe(false);
    expect(isSame(0, null)).toBe(false);
    expect(isSame([], {})).toBe(false);
  });
});

describe('a document extended', () => {
  const before = { shop: { name: 'One' }, runs: [{ id: 'a' }, { id: 'b', pipe: null }] };

  it('is so by members more, however deep, and by nothing else', () => {
    expect(isExtended(before, before)).toBe(true);
    const after = structuredClone(before) as typeof before & { room?: object };
    after.room = {};
    Object.assign(after.runs[1] ?? {}, { joints: 0 });
    expect(isExtended(before, after)).toBe(true);
    expect(isExtended(after, before)).toBe(false);
  });

  it.each([
    ['another value', (own: typeof before) => Object.assign(own.shop, { name: 'Two' })],
    ['another order', (own: typeof before) => own.runs.reverse()],
    ['an entry more', (own: typeof before) => own.runs.push({ id: 'c' })],
    ['an entry less', (own: typeof before) => own.runs.pop()],
    [
      'an object in place of nothing',
      (own: typeof before) => Object.assign(own.runs[1] ?? {}, { pipe: {} }),
    ],
    ['a member less', (own: typeof before) => Reflect.deleteProperty(own.shop, 'name')],
  ])('is not so by %s', (_, change) => {
    const after = structuredClone(before);
    change(after);
    expect(isExtended(before, after)).toBe(false);
  });
});
