import { runLength } from '../design/length';
import type { DuctTree } from '../design/topology';
import type { AskedOfMeter } from './hunt';

/** Everywhere something can be measured: at each drop, inside each run through a test hole, and at the collector. */
export function placesToMeasure(tree: DuctTree): AskedOfMeter[] {
  const joins = (node: string) => (tree.into.get(node) ?? []).length > 1;
  return [
    ...tree.drops.map(
      ({ id }): AskedOfMeter => ({ at: { kind: 'port', node: id }, shows: 'flow' }),
    ),
    ...tree.upstreamFirst.flatMap((run) => {
      const length = runLength(run, tree);
      return (joins(run.from) ? [0, length] : [length]).map(
        (along): AskedOfMeter => ({ at: { kind: 'run', run: run.id, along }, shows: 'flow' }),
      );
    }),
    { at: { kind: 'collector', tap: 'separator inlet' }, shows: 'flow' },
    { at: { kind: 'collector', tap: 'separator inlet' }, shows: 'pressure' },
    { at: { kind: 'collector', tap: 'filter' }, shows: 'pressure' },
  ];
}
