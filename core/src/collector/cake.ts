import { type Filter, PERMEABILITY_PRESSURE } from './filter';

/** What of a filter a cake builds up on. */
type Media = Pick<Filter, 'area' | 'permeability'>;

/**
 * Specific resistance of a cake of wood dust, Pa per (m/s) per (kg/m²): an estimate. Published
 * values for wood run from about 1e4 for chips to several times 1e5 for sanding dust.
 */
export const CAKE_RESISTANCE = 6e4;

/** Share of the dust reaching a filter that stays on it; the rest falls into its own bin: estimate. */
export const CAKE_STAYS = 0.1;

/**
 * A filter's loading after `dust` kg reached it: the cake's loss is in proportion to face velocity
 * and to its mass per area, like the media's own, so that 1 + K·W·permeability/125 Pa.
 * @param dust kg, ≥ 0
 * @example loadingAfter({ area: 10, permeability: 0.1 }, 0) // 1
 */
export const loadingAfter = ({ area, permeability }: Media, dust: number): number =>
  1 + (CAKE_RESISTANCE * permeability * CAKE_STAYS * dust) / area / PERMEABILITY_PRESSURE;

/** Dust in kg that brings a filter from one loading to another; 0 where it is past it already. */
export const dustToLoading = ({ area, permeability }: Media, from: number, to: number): number =>
  (Math.max(0, to - from) * PERMEABILITY_PRESSURE * area) /
  (CAKE_RESISTANCE * permeability * CAKE_STAYS);

/**
 * Running time in s until a filter is due, from its loading now and the one it is due at, the dust made
 * (kg/s) and the share the separator catches. Infinity where no dust reaches it.
 */
export function timeToDue(
  filter: Media,
  [loading, due]: readonly [loading: number, due: number],
  dustRate: number,
  caught: number,
): number {
  const arriving = dustRate * (1 - Math.min(Math.max(caught, 0), 1));
  const dust = dustToLoading(filter, loading, due);
  if (dust === 0) return 0;
  return arriving > 0 ? dust / arriving : Number.POSITIVE_INFINITY;
}
