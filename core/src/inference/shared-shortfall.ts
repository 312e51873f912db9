import { OWN_UNCERTAINTIES, SHARED_UNCERTAINTIES } from '../analysis/flow-uncertainty';
import type { Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import { timeOf } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { solveOperatingPoint } from '../network/operating-point';
import type { Compared, ComparedReading } from '../reading/compare-reading';
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
  readonly drop: Drop;
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
 * it lowers every drop, but each by its own amount, and that pattern is its mark. It is the derivative
 * of each reading's flow by an opening in each run, which one adjoint pass a reading gives for all runs;
 * so is a more heavily loaded filter's, for the collector. The size of the opening named first is
 * corrected by solving the shop with it. The pattern that explains most of the readings' shortfall (ln
 * of measured over predicted) by generalised least squares is named if it explains enough, with
 * those that explain nearly as much.
 *
 * Uncertainties every drop shares (separator, filter, leaks, blower) enter as covariance, so that a model
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

  const ratios = lnRatios(measured);
  const lower = cholesky(covariance(measured));
  const r = whiten(lower, ratios);
  const fitted = patterns(tree, measured).map(({ suspect, ofDrops }) => ({
    suspect,
    ...fitPattern(r, whiten(lower, ofDrops)),
  }));
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
  // First order tells which to look at; how openings really act tells these few apart.
  const named = plausible
    .filter(({ explains }) => explains > Math.max(CONVINCING / 2, best.explains - AS_GOOD))
    .map(({ suspect, amount, explains }) => ({ suspect: scaled(suspect, amount), explains }));
  const looked = named
    .slice(0, MOST_CORRECTED)
    .map((each) => corrected(shop, tree, measured, lower, each))
    .sort((a, b) => b.explains - a.explains);
  const [first, ...others] = [...looked, ...named.slice(MOST_CORRECTED)].map(
    ({ suspect }) => suspect,
  );
  return {
    kind: 'shared',
    suspects: [first ?? scaled(best.suspect, best.amount), ...others],
    drops: measured
      .map(({ drop }, i) => ({ drop: drop.id, shortfall: 1 - Math.exp(ratios[i] ?? 0) }))
      .sort((a, b) => b.shortfall - a.shortfall),
  };
}

const scaled = (suspect: Suspect, amount: number): Suspect =>
  suspect.kind === 'run' ? { ...suspect, area: suspect.area * amount } : suspect;

function latestOfEachDrop(tree: DuctTree, compared: readonly ComparedReading[]): Measured[] {
  const latest = new Map<string, ComparedReading>();
  for (const one of compared) {
    if (one.result.kind !== 'compared') continue;
    // A suspect is looked for by the drops: what was read elsewhere is not weighed here.
    const id = one.result.drop?.id;
    if (id === undefined) continue;
    const before = latest.get(id);
    if (!before || timeOf(one.reading) > timeOf(before.reading)) latest.set(id, one);
  }
  return tree.drops.flatMap((drop): Measured[] => {
    const one = latest.get(drop.id);
    const result = one?.result;
    if (!one || result?.kind !== 'compared' || result.measured.kind !== 'value') return [];
    if (!(result.measured.flow > 0) || !(result.predicted > 0)) return [];
    return [{ reading: one.reading, drop, result }];
  });
}

/** Covariance of ln(measured/predicted): uncertainties are 95 %, so divided by 1.96. */
function covariance(measured: readonly Measured[]): Matrix {
  const share = ({ result }: Measured, flow: number) => flow / result.predicted / 1.96;
  return measured.map((a, i) =>
    measured.map((b, j) => {
      const shared = SHARED_UNCERTAINTIES.reduce(
        (sum, kind) =>
          sum +
          share(a, a.result.sensitivities.changes[kind]) *
            share(b, b.result.sensitivities.changes[kind]),
        0,
      );
      if (i !== j) return shared;
      const own = OWN_UNCERTAINTIES.reduce(
        (sum, kind) => sum + share(a, a.result.sensitivities.changes[kind]) ** 2,
        0,
      );
      const { measured: reading } = a.result;
      const uncertainty = reading.kind === 'value' ? reading.uncertainty : 0;
      return shared + own + share(a, uncertainty) ** 2;
    }),
  );
}

/** What a suspect does to the drops that were read: ln of each flow, for one unit of it. */
interface Pattern {
  readonly suspect: Suspect;
  readonly ofDrops: readonly number[];
}

/** Every run with an opening of one trial size, and a filter half as loaded again, to first order. */
function patterns(tree: DuctTree, measured: readonly Measured[]): Pattern[] {
  const inRuns = tree.upstreamFirst.map(
    ({ id: run }): Pattern => ({
      suspect: { kind: 'run', run, area: TRIAL_AREA },
      ofDrops: measured.map(
        ({ result }) => (TRIAL_AREA * result.sensitivities.byOpening(run)) / result.predicted,
      ),
    }),
  );
  const loaded: Pattern = {
    suspect: { kind: 'collector' },
    ofDrops: measured.map(
      ({ result }) => ((TRIAL_LOADING - 1) * result.sensitivities.byLoading) / result.predicted,
    ),
  };
  return [...inRuns, loaded];
}

/** Suspects that are looked at more closely, and rounds of correcting each one's size. */
const MOST_CORRECTED = 4;
const ROUNDS = 2;

interface Weighed {
  readonly suspect: Suspect;
  /** χ² it explains. */
  readonly explains: number;
}

/**
 * An opening's size and what it explains, corrected for how openings really act, which is less than in
 * proportion: the shop is solved with it, and it grows or shrinks by what the readings still lack.
 */
function corrected(
  shop: Shop,
  tree: DuctTree,
  measured: readonly Measured[],
  lower: Matrix,
  { suspect, explains }: Weighed,
): Weighed {
  if (suspect.kind !== 'run') return { suspect, explains };
  const ratios = whiten(lower, lnRatios(measured));
  let { area } = suspect;
  let explained = explains;
  for (let round = 0; round < ROUNDS; round++) {
    const pattern = openedBy(shop, tree, measured, suspect.run, area);
    const fit = fitPattern(ratios, whiten(lower, pattern));
    if (!(fit.amount > 0) || !Number.isFinite(fit.amount)) break;
    area *= fit.amount;
    explained = fit.explains;
  }
  return { suspect: { ...suspect, area }, explains: explained };
}

/** ln of each measured drop's flow with an opening in a run over its flow without. */
function openedBy(
  shop: Shop,
  tree: DuctTree,
  measured: readonly Measured[],
  run: string,
  area: number,
): number[] {
  const hole = { run, area, origin: { kind: 'assumed' } as const };
  const condition = { ...shop.condition, holes: [...shop.condition.holes, hole] };
  const networkOf = networksByGates({ ...shop, condition }, tree, { view: 'found' });
  return measured.map(({ reading, drop, result }) => {
    const compiled = networkOf(new Set(reading.openGates));
    const solved = solveOperatingPoint(compiled);
    const own = compiled.ofRun.get(drop.path[0]?.id ?? '')?.[0] ?? -1;
    const flow = solved.kind === 'converged' ? (solved.state.qUp[own] ?? 0) : 0;
    return flow > 0 ? Math.log(flow / result.predicted) : 0;
  });
}

const lnRatios = (measured: readonly Measured[]): number[] =>
  measured.map(({ result }) => Math.log(result.measured.flow / result.predicted));
