import type { Estimate, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { conditionedBy } from './conditioned-leader';
import type { Observation } from './observations';
import type { Weighed } from './posterior';

/** What readings say one of the model's estimates is out by. */
export interface EstimateByReadings {
  readonly of: Estimate['of'];
  /** On the estimate, the median. */
  readonly factor: number;
  /** How far it may be off, as a share, 95 times in 100: with the readings, and without them. */
  readonly uncertainty: number;
  readonly before: number;
}

const OF_COLLECTOR = ['separator', 'filter', 'leaks', 'blower'] as const;
const NINETY_FIVE = 1.96;
/** Hypotheses less likely than this have no say. */
const LEAST_LIKELY = 0.02;
/** Readings that leave more than this share of an uncertainty say next to nothing of it. */
const WORTH_NAMING = 0.9;
/** What a document takes for a factor and an uncertainty. */
const RANGE = { least: 0.05, most: 20, uncertainty: 10 };

/**
 * What readings say of the separator's loss, the filter's resistance, the leakage of all joints, the blower's pressure
 * and each hood's entry loss, beside what is wrong: the Gaussian of everything the model is unsure of, given the
 * readings, in ln and to first order, averaged over the hypotheses that lead by how likely each is. Only those that the
 * readings make surer by a tenth at least, the best known first.
 * @param shop without what earlier readings said of its estimates, or they would count twice
 */
export function estimatesByReadings(
  shop: Pick<Shop, 'collector'>,
  tree: DuctTree,
  weighed: Weighed,
  observations: readonly Observation[],
): EstimateByReadings[] {
  if (observations.length === 0) return [];
  const { nuisances, leaders } = weighed;
  const leading = leaders.filter(({ probability }) => probability >= LEAST_LIKELY);
  const whole = leading.reduce((sum, { probability }) => sum + probability, 0);
  const views = leading.map((leader) => ({
    share: leader.probability / whole,
    ...conditionedBy(weighed, leader, observations),
  }));
  return estimatesOf(shop, tree)
    .flatMap(({ name, of }): EstimateByReadings[] => {
      const index = nuisances.indexOf.get(name);
      if (index === undefined) return [];
      const row = nuisances.names.map((_, i) => (i === index ? 1 : 0));
      const parts = views.map(({ share, conditioned }) => ({ share, ...conditioned.of(row) }));
      const mean = parts.reduce((sum, part) => sum + part.share * part.mean, 0);
      const variance = parts.reduce(
        (sum, part) => sum + part.share * (part.variance + (part.mean - mean) ** 2),
        0,
      );
      const sigma = nuisances.sigmas[index] ?? 0;
      if (Math.sqrt(variance) > WORTH_NAMING * sigma) return [];
      return [
        {
          of,
          factor: Math.min(RANGE.most, Math.max(RANGE.least, Math.exp(mean))),
          uncertainty: Math.min(RANGE.uncertainty, NINETY_FIVE * Math.sqrt(variance)),
          before: NINETY_FIVE * sigma,
        },
      ];
    })
    .sort((a, b) => a.uncertainty / a.before - b.uncertainty / b.before);
}

/** What can be corrected of a shop, with the names of its nuisances. */
function estimatesOf(
  { collector }: Pick<Shop, 'collector'>,
  tree: DuctTree,
): { readonly name: string; readonly of: Estimate['of'] }[] {
  const isThere = (kind: (typeof OF_COLLECTOR)[number]) =>
    (kind !== 'separator' || collector.separator.kind !== 'none') &&
    (kind !== 'filter' || collector.exhaust.kind !== 'outdoors');
  return [
    ...OF_COLLECTOR.filter(isThere).map((kind) => ({ name: kind as string, of: { kind } })),
    ...tree.drops.flatMap(({ id, path: [own] }) =>
      own ? [{ name: `entries ${own.id}`, of: { kind: 'hood', node: id } as const }] : [],
    ),
  ];
}

const isSame = (a: Estimate['of'], b: Estimate['of']): boolean =>
  a.kind === b.kind && (a.kind !== 'hood' || b.kind !== 'hood' || a.node === b.node);

/** What a shop already predicts of it by earlier readings; undefined: nothing. */
export const believedEstimate = (
  { condition }: Pick<Shop, 'condition'>,
  of: Estimate['of'],
): Estimate | undefined => condition.estimates.find((each) => isSame(each.of, of));

/**
 * Puts what readings say of some estimates into the shop as found, in place of what it had of them. Changes the shop it
 * is given.
 * @param on when the latest of the readings was taken, ISO 8601
 */
export function believeEstimates(
  { condition }: Pick<Shop, 'condition'>,
  found: readonly EstimateByReadings[],
  on: string,
): void {
  for (const { of, factor, uncertainty } of found) {
    dropEstimate({ condition }, of);
    condition.estimates.push({ of, factor, uncertainty, on });
  }
}

/** Goes back to the model's own estimate. Changes the shop it is given. */
export function dropEstimate({ condition }: Pick<Shop, 'condition'>, of: Estimate['of']): void {
  condition.estimates = condition.estimates.filter((each) => !isSame(each.of, of));
}

/** The same shop with nothing but the model's own estimates: what readings are weighed in, or they would count twice. */
export const withoutEstimates = (shop: Shop): Shop =>
  shop.condition.estimates.length === 0
    ? shop
    : { ...shop, condition: { ...shop.condition, estimates: [] } };
