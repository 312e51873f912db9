import { isSame } from '../document/changes';
import type { Shop } from './schema';

/** One thing two designs of a shop differ in. */
export interface DesignDifference {
  readonly area:
    | 'shop'
    | 'room'
    | 'machine'
    | 'duct'
    | 'junctions'
    /** True diameters at the joints, and what there is to make them with. */
    | 'joints'
    | 'collector'
    | 'candidate'
    | 'condition'
    /** What improvements are ranked by. */
    | 'advice'
    | 'issues'
    /** The same things in another order. */
    | 'order';
  /** What it is called, by the design it stands in; null: there is only one such thing. */
  readonly name: string | null;
  /** Seen from the first design: `added`, only the second one has it. */
  readonly what: 'added' | 'removed' | 'changed';
  /** The members that differ, by their names in the document; none where it is added or removed. */
  readonly members: readonly string[];
}

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What a second design of a shop has otherwise than the first, thing by thing; empty: they are the same. */
export function designDifferences(first: Shop, second: Shop): readonly DesignDifference[] {
  const differences: DesignDifference[] = [
    ...ofOne('shop', first.shop, second.shop),
    ...ofOne('room', first.room, second.room),
    ...ofMany('machine', first.machines, second.machines),
    ...ofMany('duct', first.ducts.runs, second.ducts.runs),
    ...(isSame(byId(first.ducts.nodes), byId(second.ducts.nodes))
      ? []
      : [{ area: 'junctions', name: null, what: 'changed', members: [] } as const]),
    ...ofOne('joints', jointsOf(first), jointsOf(second)),
    ...ofOne('collector', first.collector, second.collector),
    ...ofMany('candidate', first.candidates, second.candidates),
    ...ofOne('condition', first.condition, second.condition),
    ...ofOne('advice', first.advice, second.advice),
    ...(isSame(first.setAside, second.setAside)
      ? []
      : [{ area: 'issues', name: null, what: 'changed', members: [] } as const]),
  ];
  if (differences.length > 0) return differences;
  const { id: _, ...own } = first;
  const { id: __, ...other } = second;
  return isSame(own, other) ? [] : [{ area: 'order', name: null, what: 'changed', members: [] }];
}

const byId = <R extends { readonly id: string }>(list: readonly R[]): Record<string, R> =>
  Object.fromEntries(list.map((entry) => [entry.id, entry]));

const jointsOf = ({ ducts: { measuredEnds, stock } }: Shop) => ({ measuredEnds, stock });

type Area = DesignDifference['area'];

function ofOne(area: Area, first: object, second: object): DesignDifference[] {
  const members = membersBetween(first, second);
  return members.length === 0 ? [] : [{ area, name: null, what: 'changed', members }];
}

function ofMany(
  area: Area,
  first: readonly Named[],
  second: readonly Named[],
): readonly DesignDifference[] {
  const [before, after] = [byId(first), byId(second)];
  const onlyIn = (
    list: readonly Named[],
    other: Record<string, Named>,
    what: 'added' | 'removed',
  ) => list.flatMap(({ id, name }) => (other[id] ? [] : [{ area, name, what, members: [] }]));
  const changed = first.flatMap((own): DesignDifference[] => {
    const other = after[own.id];
    const members = other ? membersBetween(own, other) : [];
    return members.length === 0 ? [] : [{ area, name: own.name, what: 'changed', members }];
  });
  return [...changed, ...onlyIn(second, before, 'added'), ...onlyIn(first, after, 'removed')];
}

function membersBetween(first: object, second: object): string[] {
  const [own, other] = [new Map(Object.entries(first)), new Map(Object.entries(second))];
  const names = [...new Set([...own.keys(), ...other.keys()])];
  return names.filter((name) => !isSame(own.get(name), other.get(name)));
}
