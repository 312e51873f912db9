import type { Shop } from '../design/schema';
import { chanceOf } from './chance';

/** How a shop really stands, apart from what is believed of it: for meters that stand in for real ones. */
export interface HiddenCondition {
  /** The filter's loading, the separator's loss and the leakage of the ducts, each over what is believed. */
  readonly filterLoading: number;
  readonly separator: number;
  readonly leakage: number;
  /** How much louder the collector is than estimated, dB. */
  readonly louder: number;
  /** Dust the machines make, and what the separator lets by of it, each over what is believed. */
  readonly dust: number;
  readonly letBy: number;
  /** What else of it is left to chance: how its meters are set. */
  readonly seed: number;
  /** An opening nobody knows of; null: there is none. m². */
  readonly hole: { readonly run: string; readonly area: number } | null;
}

/** One shop in four has no opening: not finding one has to be an answer. */
const WITHOUT_HOLE = 0.25;
/** Smallest and largest opening, m²: a missing screw cap, a hand's breadth of open seam. */
const HOLES = [6e-4, 4e-3] as const;

/**
 * A hidden condition of a shop, the same for the same seed.
 * @param runs ids of its ducts
 */
export function hiddenCondition(runs: readonly string[], seed: number): HiddenCondition {
  const { uniform } = chanceOf(seed);
  const between = (least: number, most: number) => least + (most - least) * uniform();
  const filterLoading = between(0.9, 1.9);
  const separator = between(0.85, 1.25);
  const leakage = between(0.8, 1.5);
  const hasHole = uniform() >= WITHOUT_HOLE;
  const run = runs[Math.floor(uniform() * runs.length)];
  const area = between(...HOLES);
  return {
    ...{ filterLoading, separator, leakage, seed },
    louder: between(-2, 5),
    dust: between(0.7, 1.4),
    letBy: between(0.5, 3),
    hole: hasHole && run !== undefined ? { run, area } : null,
  };
}

/** A shop in its hidden condition. */
export function withHidden(shop: Shop, hidden: HiddenCondition): Shop {
  const { condition, collector } = shop;
  const { filterLoading, sealing, holes } = condition;
  const origin = { kind: 'assumed' } as const;
  return {
    ...shop,
    collector: {
      ...collector,
      separator: {
        ...collector.separator,
        lossCoefficient: collector.separator.lossCoefficient * hidden.separator,
      },
    },
    condition: {
      ...condition,
      filterLoading: { value: Math.max(1, filterLoading.value * hidden.filterLoading), origin },
      sealing: {
        ...sealing,
        usual: sealing.usual * hidden.leakage,
        runs: sealing.runs.map((run) => ({
          ...run,
          leakageClass: run.leakageClass * hidden.leakage,
        })),
      },
      holes: hidden.hole ? [...holes, { ...hidden.hole, origin }] : holes,
    },
  };
}
