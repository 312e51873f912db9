import { gatesOfDrop } from '../analysis/gate-sets';
import { runLength } from '../design/length';
import type { Drop, DuctTree } from '../design/topology';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import type { Round } from '../journal/round';
import type { TestPoint } from '../journal/test-point';
import { pointOfDrop } from './point-of-drop';

/** One step of a guided round: where to read, with which gates open. */
export interface RoundStep {
  /** Names it within a round, also after the design has changed. */
  readonly key: string;
  readonly kind: 'drop' | 'all shut' | 'filter';
  readonly testPoint: TestPoint;
  /** The drop that is read, or whose gate stands open; null: none does. */
  readonly drop: Drop | null;
  /** Runs whose gates are to stand open; all others shut. */
  readonly openGates: readonly string[];
}

/** Every drop with how much duct lies between it and the blower, m, the nearest first. */
export function dropsByDistance(
  tree: Pick<DuctTree, 'drops' | 'nodes'>,
): readonly { readonly drop: Drop; readonly distance: number }[] {
  return tree.drops
    .map((drop) => ({
      drop,
      distance: drop.path.reduce((sum, run) => sum + runLength(run, tree), 0),
    }))
    .sort((a, b) => a.distance - b.distance);
}

/** Ids of the test points a guided round makes at the collector. */
const SUCTION = 'suction-all-shut';
const FILTER = 'across-the-filter';

/**
 * The steps of a guided round: every drop from the nearest to the blower to the farthest, each with only its own
 * gate open; then the suction ahead of the separator with all gates shut; then the pressure across the filter
 * with the nearest drop's gate open. Existing test points are used where there are some.
 * @param hasFilter the collector breathes out through a filter
 */
export function guidedSteps(
  tree: Pick<DuctTree, 'drops' | 'nodes'>,
  testPoints: readonly TestPoint[],
  hasFilter: boolean,
): RoundStep[] {
  const byDistance = dropsByDistance(tree).map(({ drop }) => drop);
  const [nearest] = byDistance;
  if (!nearest) return [];
  const ofDrops = byDistance.map(
    (drop): RoundStep => ({
      key: `drop ${drop.id}`,
      kind: 'drop',
      testPoint:
        testPoints.find(({ at }) => at.kind === 'port' && at.node === drop.id) ?? pointOfDrop(drop),
      drop,
      openGates: [...gatesOfDrop(drop)],
    }),
  );
  const suction: RoundStep = {
    key: 'all shut',
    kind: 'all shut',
    testPoint: tapOf(testPoints, 'separator inlet', SUCTION, 'Ahead of the separator'),
    drop: null,
    openGates: [],
  };
  const filter: RoundStep = {
    key: 'filter',
    kind: 'filter',
    testPoint: tapOf(testPoints, 'filter', FILTER, 'Across the filter'),
    drop: nearest,
    openGates: [...gatesOfDrop(nearest)],
  };
  return [...ofDrops, suction, ...(hasFilter ? [filter] : [])];
}

const tapOf = (
  testPoints: readonly TestPoint[],
  tap: 'separator inlet' | 'filter',
  id: string,
  name: string,
): TestPoint =>
  testPoints.find(({ at }) => at.kind === 'collector' && at.tap === tap) ??
  recordWith('testPoints', { id, name, at: { kind: 'collector', tap } });

/** How far a round has come. */
export interface RoundProgress {
  /** The step to take now; null: all are taken or passed over. */
  readonly next: RoundStep | null;
  /** Keys of the steps that have a reading of this round. */
  readonly taken: ReadonlySet<string>;
}

/**
 * How far a round has come, by what was read in it: a tab that was killed loses no step.
 * @param readings of this round; struck-out ones leave their step to be taken again
 */
export function roundProgress(
  steps: readonly RoundStep[],
  { skipped }: Pick<Round, 'skipped'>,
  readings: readonly Pick<Reading, 'testPoint' | 'struckOut'>[],
): RoundProgress {
  const read = new Set(
    readings.filter(({ struckOut }) => struckOut === null).map(({ testPoint }) => testPoint),
  );
  const taken = new Set(
    steps.filter(({ testPoint }) => read.has(testPoint.id)).map(({ key }) => key),
  );
  const next = steps.find(({ key }) => !taken.has(key) && !skipped.includes(key)) ?? null;
  return { next, taken };
}
