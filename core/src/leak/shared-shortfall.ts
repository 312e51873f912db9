import type { Compared } from '../reading/compare-reading';
import type { Reading } from '../shop/schema';
import type { Drop, DuctTree } from '../shop/topology';

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
      /** Runs that the short drops, and no other measured ones, go through; machine end first. */
      readonly runs: readonly string[];
      readonly drops: readonly string[];
      /** True where every measured drop is short: what they share is the main or the collector. */
      readonly isAll: boolean;
      /** Share of the predicted flow that is missing, with the half-width of its 95 % interval. */
      readonly shortfall: number;
      readonly doubt: number;
    };

/** A drop's ratio of measured to predicted flow, as a logarithm, with its standard deviation. */
interface Ratio {
  readonly drop: Drop;
  readonly log: number;
  readonly sigma: number;
}

/** χ² a common shortfall has to explain before it is named: three standard deviations. */
const CONVINCING = 9;

/**
 * Which run do the shortfalls share? For every run, the drops behind it are supposed to fall short
 * by one factor and all others by none; the run that explains most of Σ((log ratio)/σ)² is named if
 * it explains enough. Drops that share a shortfall share the leak; one reading a drop, the latest.
 *
 * σ is the reading's doubt with the prediction's. Readings over range say how much at least, not
 * how much, and are left out.
 */
export function sharedShortfall(
  tree: DuctTree,
  compared: readonly { readonly reading: Reading; readonly result: Compared }[],
): SharedShortfall {
  const ratios = latestRatios(tree, compared);
  if (ratios.length < 2) return { kind: 'too few', drops: ratios.length };

  const best = candidates(tree, ratios)
    .map(fitShortfall)
    .reduce((a, b) => (b.explains > a.explains ? b : a));
  const tolerance =
    1.96 * Math.sqrt(1 / ratios.reduce((sum, { sigma }) => sum + 1 / sigma ** 2, 0));
  if (best.explains < CONVINCING || best.log >= 0) {
    return { kind: 'no difference', drops: ratios.length, couldShow: 1 - Math.exp(-tolerance) };
  }
  const shortfall = 1 - Math.exp(best.log);
  return {
    kind: 'shared',
    runs: best.runs,
    drops: best.behind.map(({ drop }) => drop.id),
    isAll: best.behind.length === ratios.length,
    shortfall,
    doubt: 1.96 * best.sigma * (1 - shortfall),
  };
}

function latestRatios(
  tree: DuctTree,
  compared: readonly { readonly reading: Reading; readonly result: Compared }[],
): Ratio[] {
  return tree.drops.flatMap((drop): Ratio[] => {
    const latest = compared
      .filter(({ reading }) => reading.node === drop.id)
      .reduce<(typeof compared)[number] | null>(
        (last, next) => (last && last.reading.at > next.reading.at ? last : next),
        null,
      )?.result;
    if (latest?.kind !== 'compared' || latest.measured.kind !== 'value') return [];
    const { measured, predicted, differenceDoubt } = latest;
    if (!(measured.flow > 0) || !(predicted > 0)) return [];
    const log = Math.log(measured.flow / predicted);
    return [{ drop, log, sigma: differenceDoubt / predicted / 1.96 }];
  });
}

interface Candidate {
  readonly runs: readonly string[];
  readonly behind: readonly Ratio[];
}

/** Runs grouped by which measured drops lie behind them: those in a group cannot be told apart. */
function candidates(tree: DuctTree, ratios: readonly Ratio[]): Candidate[] {
  const groups = new Map<string, { runs: string[]; behind: Ratio[] }>();
  for (const run of tree.upstreamFirst) {
    const behind = ratios.filter(({ drop }) => drop.path.includes(run));
    if (behind.length === 0) continue;
    const key = behind.map(({ drop }) => drop.id).join('\n');
    const group = groups.get(key);
    if (group) group.runs.push(run.id);
    else groups.set(key, { runs: [run.id], behind });
  }
  return [...groups.values()];
}

/** The weighted mean of the logarithms behind a run, and the χ² it explains. */
function fitShortfall(candidate: Candidate) {
  let weights = 0;
  let weighted = 0;
  for (const { log, sigma } of candidate.behind) {
    weights += 1 / sigma ** 2;
    weighted += log / sigma ** 2;
  }
  const log = weighted / weights;
  const isShort = log < 0;
  return {
    ...candidate,
    log,
    sigma: Math.sqrt(1 / weights),
    explains: isShort ? log * log * weights : 0,
  };
}
