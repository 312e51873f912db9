import type { Drop, DuctTree } from '../shop/topology';

/** Runs whose gates have to stand open for a drop to draw: those on its own way. */
export const gatesOfDrop = (drop: Drop): ReadonlySet<string> =>
  new Set(drop.path.filter((run) => run.gate).map((run) => run.id));

/** Runs whose gates the document has open now. */
export const gatesOpenNow = (tree: DuctTree): ReadonlySet<string> =>
  new Set(tree.upstreamFirst.filter((run) => run.gate?.open).map((run) => run.id));

/** True where every gate on the drop's way is open. */
export const isDrawing = (drop: Drop, openGates: ReadonlySet<string>): boolean =>
  drop.path.every((run) => !run.gate || openGates.has(run.id));
