import type { DuctTree } from '../design/topology';

/** A part of the ducts that is bought and built by itself. */
export interface Stage {
  /** `mains`, or the drop's node: named in ticks. */
  readonly id: string;
  /** The drop; null: the mains and the collector, which come first. */
  readonly drop: string | null;
  readonly runs: ReadonlySet<string>;
}

export const MAINS = 'mains';

/** The mains with the collector first, then each drop by itself: the runs that carry no other machine's air. */
export function stagesOf(tree: DuctTree): Stage[] {
  const drops = tree.drops.map(({ id, path }) => ({ node: id, path }));
  const carried = new Map<string, number>();
  for (const { path } of drops) {
    for (const { id } of path) carried.set(id, (carried.get(id) ?? 0) + 1);
  }
  const own = drops.map(({ node, path }): Stage => {
    const runs = path.filter(({ id }) => carried.get(id) === 1).map(({ id }) => id);
    return { id: node, drop: node, runs: new Set(runs) };
  });
  const taken = new Set(own.flatMap(({ runs }) => [...runs]));
  const mains = tree.upstreamFirst.map(({ id }) => id).filter((id) => !taken.has(id));
  return [
    { id: MAINS, drop: null, runs: new Set(mains) },
    ...own.filter(({ runs }) => runs.size > 0),
  ];
}
