import type { Rules } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';

/** Runs whose gates have to stand open for a drop to draw: those on its own way. */
export const gatesOfDrop = (drop: Drop): ReadonlySet<string> =>
  new Set(drop.path.filter((run) => run.gate).map((run) => run.id));

/** Runs whose gates are the ones nearest to a machine: with all of them shut no machine draws, where each has one. */
export const machineGates = ({ drops }: Pick<DuctTree, 'drops'>): ReadonlySet<string> =>
  new Set(drops.flatMap(({ path }) => path.find(({ gate }) => gate)?.id ?? []));

/** Runs whose gates the document has open now. */
export const gatesOpenNow = (tree: DuctTree): ReadonlySet<string> =>
  new Set(tree.upstreamFirst.filter((run) => run.gate?.open).map((run) => run.id));

/** True where every gate on the drop's way is open. */
export const isDrawing = (drop: Drop, openGates: ReadonlySet<string>): boolean =>
  drop.path.every((run) => !run.gate || openGates.has(run.id));

/** Runs whose gates have to stand open for all of these drops to draw. */
export const gatesOfDrops = (drops: readonly Drop[]): ReadonlySet<string> =>
  new Set(drops.flatMap((drop) => [...gatesOfDrop(drop)]));

/** Drops whose gates are left open beside those that draw, so that the mains keep moving; nothing is asked of them. */
export function bleedsOf(
  drawing: readonly Drop[],
  { drops }: Pick<DuctTree, 'drops'>,
  { bleeds }: Pick<Rules, 'bleeds'>,
): Drop[] {
  const open = new Set(
    bleeds.flatMap((each) => (drawing.some(({ id }) => id === each.drop) ? [each.open] : [])),
  );
  return drops.filter((drop) => open.has(drop.id) && !drawing.includes(drop));
}

/** Runs whose gates stand open while some drops draw, by the shop's rules: their own, and those left open beside them. */
export const gatesWith = (
  drawing: readonly Drop[],
  tree: Pick<DuctTree, 'drops'>,
  rules: Pick<Rules, 'bleeds'>,
): ReadonlySet<string> => gatesOfDrops([...drawing, ...bleedsOf(drawing, tree, rules)]);

/**
 * How many sets of drops a rule lets draw at once, the empty one left out.
 * @example // twelve drops, any number of them: 4095
 */
export function countGateSets(tree: DuctTree, rule: Rules['gates']): number {
  const drops = tree.drops.length;
  switch (rule.kind) {
    case 'one':
      return drops;
    case 'chosen':
      return rule.sets.length;
    case 'atMost': {
      let choose = 1;
      let sum = 0;
      for (let k = 1; k <= Math.min(rule.count, drops); k++) {
        choose = (choose * (drops - k + 1)) / k;
        sum += choose;
      }
      return Math.round(sum);
    }
  }
}

/** Every set of drops a rule lets draw at once, the empty one left out. */
export function* gateSets(tree: DuctTree, rule: Rules['gates']): Generator<readonly Drop[]> {
  switch (rule.kind) {
    case 'one':
      for (const drop of tree.drops) yield [drop];
      return;
    case 'atMost':
      yield* subsets(tree.drops, rule.count);
      return;
    case 'chosen':
      for (const set of rule.sets) yield tree.drops.filter(({ id }) => set.includes(id));
  }
}

/** Every way to take from one to `most` of `all`, in the order they stand in. */
function* subsets<T>(all: readonly T[], most: number): Generator<readonly T[]> {
  if (most < 1) return;
  for (const [i, first] of all.entries()) {
    yield [first];
    for (const rest of subsets(all.slice(i + 1), most - 1)) yield [first, ...rest];
  }
}
