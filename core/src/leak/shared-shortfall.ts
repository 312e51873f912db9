import { solveTree } from '../network/solve-shop';
import type { Compared, ComparedReading } from '../reading/compare-reading';
import type { Reading, Shop } from '../shop/schema';
import type { DuctTree } from '../shop/topology';
import { OWN_DOUBTS, SHARED_DOUBTS } from '../verdict/flow-uncertainty';
import { cholesky, fitPattern, type Matrix, whiten } from './least-squares';

/** Where air may be going: through an opening in a run, or lost at blower, separator or filter. */
export type Suspect =
  | {
      readonly kind: 'run';
      readonly run: string;
      /** Opening that would explain the shortfalls, m². */
      readonly area: number;
    }
  | { readonly kind: 'collector' };

/** What the latest reading of every drop says together. */
export type SharedShortfall =
  | { readonly kind: 'too few'; readonly drops: number }
  | {
      readonly kind: 'no difference';
      readonly drops: number;
      /** The smallest common shortfall these readings could have shown, as a share. */
      readonly couldShow: number;
    }
  | {
      readonly kind: 'shared';
      /** Likeliest first; those these readings cannot tell apart from it after it. */
      readonly suspects: readonly [Suspect, ...Suspect[]];
      /** Shortfall of the measured drops, each as a share of its predicted flow, worst first. */
      readonly drops: readonly { readonly drop: string; readonly shortfall: number }[];
    };

interface Measured {
  readonly reading: Reading;
  readonly result: Extract<Compared, { kind: 'compared' }>;
}

/** χ² a cause has to explain before it is named: three standard deviations. */
const CONVINCING = 9;
/** A cause that explains this much less χ² than the best cannot be ruled out (about 85 : 15). */
const AS_GOOD = 3.5;
/** An opening large enough to be felt and small enough to act in proportion, m²: 2 in². */
const TRIAL_AREA = 1.3e-3;
const TRIAL_LOADING = 1.5;

/**
 * Which run do the shortfalls share? An opening in a run draws air whichever gate stands open, so
 * it lowers every drop, but each by its own amount, and that pattern is its mark. For every run the
 * shop is solved with a trial opening there, with the gates of each reading; so is a more heavily
 * loaded filter, for the collector. The pattern that explains most of the readings' shortfall (ln
 * of measured over predicted) by generalised least squares is named if it explains enough, with
 * those that explain nearly as much.
 *
 * Doubts every drop shares (separator, filter, leaks, blower) enter as covariance, so that a model
 * wrong about the cyclone does not pass for a leak. Readings over range only say how much at least,
 * and are left out. One reading a drop, the latest.
 */
export function sharedShortfall(
  shop: Shop,
  tree: DuctTree,
  compared: readonly ComparedReading[],
): SharedShortfall {
  const measured = latestOfEachDrop(tree, compared);
  if (measured.length < 2) return { kind: 'too few', drops: measured.length };

  const ratios = measured.map(({ result }) => Math.log(result.measured.flow / result.predicted));
  const lower = cholesky(covariance(measured));
  const r = whiten(lower, ratios);
  const fitted = trials(shop, tree).map(({ suspect, changed }) => {
    const pattern = measured.map((one) => patternOf(changed, tree, one));
    return { suspect, ...fitPattern(r, whiten(lower, pattern)) };
  });
  const plausible = fitted
    .filter(({ amount, explains }) => amount > 0 && explains > 0)
    .sort((a, b) => b.explains - a.explains);
  const [best] = plausible;
  if (!best || best.explains < CONVINCING) {
    const all = whiten(
      lower,
      measured.map(() => 1),
    );
    const sigma = 1 / Math.hypot(...all);
    return {
      kind: 'no difference',
      drops: measured.length,
      couldShow: 1 - Math.exp(-Math.sqrt(CONVINCING) * sigma),
    };
  }
  const [first, ...others] = plausible
    .filter(({ explains }) => explains > Math.max(CONVINCING / 2, best.explains - AS_GOOD))
    .map(({ suspect, amount }) => scaled(suspect, amount));
  return {
    kind: 'shared',
    suspects: [first ?? best.suspect, ...others],
    drops: measured
      .map(({ result }, i) => ({ drop: result.drop.id, shortfall: 1 - Math.exp(ratios[i] ?? 0) }))
      .sort((a, b) => b.shortfall - a.shortfall),
  };
}

const scaled = (suspect: Suspect, amount: number): Suspect =>
  suspect.kind === 'run' ? { ...suspect, area: suspect.area * amount } : suspect;

function latestOfEachDrop(tree: DuctTree, compared: readonly ComparedReading[]): Measured[] {
  const latest = new Map<string, ComparedReading>();
  for (const one of compared) {
    const before = latest.get(one.reading.node);
    if (!before || one.reading.at > before.reading.at) latest.set(one.reading.node, one);
  }
  return tree.drops.flatMap(({ id }): Measured[] => {
    const one = latest.get(id);
    const result = one?.result;
    if (!one || result?.kind !== 'compared' || result.measured.kind !== 'value') return [];
    if (!(result.measured.flow > 0) || !(result.predicted > 0)) return [];
    return [{ reading: one.reading, result }];
  });
}

/** Covariance of ln(measured/predicted): doubts are 95 %, so divided by 1.96. */
function covariance(measured: readonly Measured[]): Matrix {
  const share = ({ result }: Measured, flow: number) => flow / result.predicted / 1.96;
  return measured.map((a, i) =>
    measured.map((b, j) => {
      const shared = SHARED_DOUBTS.reduce(
        (sum, kind) => sum + share(a, a.result.changes[kind]) * share(b, b.result.changes[kind]),
        0,
      );
      if (i !== j) return shared;
      const own = OWN_DOUBTS.reduce((sum, kind) => sum + share(a, a.result.changes[kind]) ** 2, 0);
      const { measured: reading } = a.result;
      const doubt = reading.kind === 'value' ? reading.doubt : 0;
      return shared + own + share(a, doubt) ** 2;
    }),
  );
}

interface Trial {
  readonly suspect: Suspect;
  readonly changed: Shop;
}

function trials(shop: Shop, tree: DuctTree): Trial[] {
  const { condition } = shop;
  const origin = { kind: 'assumed' } as const;
  const inRuns = tree.upstreamFirst.map(({ id: run }): Trial => {
    const holes = [...condition.holes, { run, area: TRIAL_AREA, origin }];
    return {
      suspect: { kind: 'run', run, area: TRIAL_AREA },
      changed: { ...shop, condition: { ...condition, holes } },
    };
  });
  const value = condition.filterLoading.value * TRIAL_LOADING;
  const filterLoading = { value, origin };
  const loaded: Trial = {
    suspect: { kind: 'collector' },
    changed: { ...shop, condition: { ...condition, filterLoading } },
  };
  return [...inRuns, loaded];
}

/** ln of a drop's flow with the trial change over its flow without, gates as in the reading. */
function patternOf(changed: Shop, tree: DuctTree, { reading, result }: Measured): number {
  const openGates = new Set(reading.openGates);
  const solved = solveTree(changed, tree, { view: 'found', openGates });
  if (solved.kind !== 'solved') return 0;
  const flow = solved.airIn.get(result.drop.path[0]?.id ?? '')?.[0]?.flowIn ?? 0;
  return flow > 0 ? Math.log(flow / result.predicted) : 0;
}
