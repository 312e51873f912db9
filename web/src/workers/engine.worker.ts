import {
  type ComparedDesigns,
  compareDesigns,
  improvementsOf,
  type Packages,
  packImprovements,
  planStages,
  type Ranking,
  rankImprovements,
  type StagePlan,
  withSearched,
} from '@frank-gauge/core/advice';
import {
  everyGateSet,
  type GateMatrix,
  gateMatrix,
  type OverSets,
} from '@frank-gauge/core/analysis';
import type { DuctTree, Shop } from '@frank-gauge/core/design';
import {
  judgePlaces,
  type PlaceScore,
  type Routed,
  routeDucts,
  type SizedDucts,
  sizeDucts,
} from '@frank-gauge/core/improve';
import {
  type Fault,
  type LeakReport,
  type MadeReport,
  type Means,
  type NextReading,
  reportLeaks,
  reportNext,
} from '@frank-gauge/core/inference';
import type { Reading } from '@frank-gauge/core/journal';
import type { View } from '@frank-gauge/core/network';
import {
  type AskedOfMeter,
  type Debrief,
  debriefOf,
  type HeldAgainst,
  type Hunt,
  heldAgainst,
  type MeterFace,
  type PracticeShop,
  practiceShop,
  takeReading,
} from '@frank-gauge/core/practice';
import {
  type ExpectedReading,
  expectedReading,
  type Measurand,
  type Meters,
  outcomeOf,
  type PromisedFlow,
  promisedFlows,
  type ReadingOutcome,
  readingComparer,
} from '@frank-gauge/core/reading';
import { type OutlineFromDxf, outlineFromDxf } from '@frank-gauge/core/room';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { expose } from 'comlink';
import { nanoid } from 'nanoid';
import { storageWork } from './storage-work';

/** The shop readings were last held against, arranged and with what it predicts: for the next ones. */
interface Compared {
  readonly key: string;
  readonly made: {
    readonly tree: Parameters<typeof readingComparer>[1];
    readonly compare: ReturnType<typeof readingComparer>;
  } | null;
}

let last: Compared | null = null;

/** Null: the ducts are no tree. */
function comparerOf(shop: Shop, view: View = 'found'): Compared['made'] {
  const key = `${view} ${JSON.stringify(shop)}`;
  if (last?.key !== key) {
    const arranged = arrangeDucts(shop);
    const made = arranged.ok
      ? { tree: arranged.tree, compare: readingComparer(shop, arranged.tree, view) }
      : null;
    last = { key, made };
  }
  return last.made;
}

/** Next readings that are shown. */
const NEXT_SHOWN = 3;

/** The report made last: the next reading is chosen by what it was made of. */
let lastReport: {
  readonly key: string;
  readonly found: { readonly made: MadeReport; readonly tree: DuctTree } | null;
} | null = null;

function reportOf(shop: Shop, meters: Meters, readings: readonly Reading[]) {
  const key = JSON.stringify([shop, meters, readings]);
  if (lastReport?.key !== key) {
    const arranged = arrangeDucts(shop);
    lastReport = {
      key,
      found: arranged.ok
        ? { made: reportLeaks(shop, arranged.tree, readings, meters), tree: arranged.tree }
        : null,
    };
  }
  return lastReport.found;
}

/** What is to be seen of a practice shop: all but what is wrong with it. */
export interface PracticeSheet {
  readonly shop: Shop;
  readonly face: MeterFace;
}

/** The practice shop made last. */
let lastPractice: { readonly id: string; readonly made: PracticeShop | null } | null = null;

function practiceOf(id: string): PracticeShop | null {
  if (lastPractice?.id !== id) lastPractice = { id, made: practiceShop(id) };
  return lastPractice.made;
}

/**
 * Everything that is not needed in the frame of an edit: a shell around the core and the storage. It
 * remembers nothing but what would be the same if it were worked out again, so that it may be ended at any
 * time. Asked through `model/engine.ts`. Null: no answer, since the ducts are no tree.
 */
const engine = {
  compare(
    shop: Shop,
    meters: Meters,
    readings: readonly Reading[],
    view: View = 'found',
  ): ReadonlyMap<string, ReadingOutcome> | null {
    const made = comparerOf(shop, view);
    if (!made) return null;
    return new Map(
      readings.map((reading) => [reading.id, outcomeOf(made.compare(reading, meters))]),
    );
  },
  /** What is expected of a measurement with certain gates open; null where nothing is. */
  expect(shop: Shop, measurand: Measurand, openGates: readonly string[]): ExpectedReading | null {
    const made = comparerOf(shop);
    return made && expectedReading(shop, made.tree, measurand, new Set(openGates));
  },
  /** What the model says an edit from one design to the other does; null where either has no tree of ducts. */
  promise(before: Shop, after: Shop): readonly PromisedFlow[] | null {
    const [was, is] = [arrangeDucts(before), arrangeDucts(after)];
    if (!was.ok || !is.ok) return null;
    return promisedFlows({ shop: before, tree: was.tree }, { shop: after, tree: is.tree });
  },
  /** What readings of the shop as it stands say is wrong with it. */
  leaks(shop: Shop, meters: Meters, readings: readonly Reading[]): LeakReport | null {
    return reportOf(shop, meters, readings)?.made.report ?? null;
  },
  /** The readings worth taking next. */
  nextReadings(
    shop: Shop,
    meters: Meters,
    readings: readonly Reading[],
    means: Means,
  ): readonly NextReading[] | null {
    const found = reportOf(shop, meters, readings);
    return found && reportNext(found.made, found.tree, means, NEXT_SHOWN);
  },
  /** A practice shop as a learner sees it; null: there is none of that id. */
  practice(id: string): PracticeSheet | null {
    const made = practiceOf(id);
    return made && { shop: made.shop, face: made.face };
  },
  /** A hunt with one more reading; null: nothing can be measured there. */
  practiceReading(id: string, hunt: Hunt, asked: AskedOfMeter): Hunt | null {
    const made = practiceOf(id);
    return made && takeReading(made, hunt, asked);
  },
  /** The readings of a hunt beside what the model expects of them. */
  practiceHeld(id: string, hunt: Hunt): ReadonlyMap<string, HeldAgainst> | null {
    const made = practiceOf(id);
    return made && heldAgainst(made, hunt);
  },
  /** What a hunt comes to once causes are named. */
  debrief(
    id: string,
    hunt: Hunt,
    named: readonly Fault[],
    onProgress: (done: number, of: number) => void,
  ): Debrief | null {
    const made = practiceOf(id);
    return made && debriefOf(made, hunt, named, onProgress);
  },
  /** What could be done to a shop, ranked, and what amounts of money buy; the best so far while it is at it. */
  advise(
    shop: Shop,
    onRanked: (ranking: Ranking) => void,
    onPacked: (ranking: Ranking, packages: Packages) => void,
  ): { readonly ranking: Ranking; readonly packages: Packages | null } | null {
    const arranged = arrangeDucts(shop);
    const ranking = arranged.ok
      ? rankImprovements(shop, arranged.tree, { onProgress: onRanked })
      : null;
    if (!arranged.ok || !ranking) return null;
    onRanked(ranking);
    const packages = packImprovements(shop, improvementsOf(shop, arranged.tree), ranking.ranked, {
      onProgress: (found) => onPacked(ranking, found),
    });
    return { ranking: withSearched(shop, arranged.tree, ranking, onRanked), packages };
  },
  /** A plan in stages with so much money in each; what there is of it while it is made. */
  stages(shop: Shop, each: number, onProgress: (plan: StagePlan) => void): StagePlan | null {
    return planStages(shop, { each, onProgress });
  },
  /** Designs of a shop side by side, each against the first, with the way of one drop. */
  compareDesigns(designs: readonly Shop[], drop: string | null): ComparedDesigns {
    return compareDesigns(designs, drop);
  },
  gateMatrix(shop: Shop, view: View, most: number): GateMatrix | null {
    const arranged = arrangeDucts(shop);
    return arranged.ok ? gateMatrix(shop, arranged.tree, view, most) : null;
  },
  gateSets(shop: Shop, view: View, onProgress: (done: number) => void): OverSets | null {
    const arranged = arrangeDucts(shop);
    if (!arranged.ok) return null;
    return everyGateSet(shop, arranged.tree, view, shop.shop.rules.gates, onProgress);
  },
  place(shop: Shop): PlaceScore | { readonly swaps: null } {
    return judgePlaces(shop) ?? { swaps: null };
  },
  size(
    shop: Shop,
    view: View,
    onProgress: (tried: number, best: SizedDucts) => void,
  ): SizedDucts | null {
    const arranged = arrangeDucts(shop);
    return arranged.ok ? sizeDucts(shop, arranged.tree, { view, onProgress }) : null;
  },
  route(shop: Shop, view: View, onProgress: (done: number, of: number) => void): Routed {
    return routeDucts(shop, view, () => nanoid(10), onProgress);
  },
  async outline(file: File): Promise<OutlineFromDxf> {
    return outlineFromDxf(await file.text());
  },
  ...storageWork,
};

export type EngineApi = typeof engine;

expose(engine);
