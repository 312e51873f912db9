import type { Shop } from '../design/schema';
import type { Drop } from '../design/topology';
import { holeLeakage } from '../duct/leakage';
import type { View } from '../network/assemble/setting';
import type { FlowQuantity } from '../network/flow-quantity';
import type { ShopSolution } from '../network/solve-shop';
import { type EstimateKind, sensitivities } from './flow-sensitivities';
import type { DropAir } from './judge-drops';

/**
 * How far each kind of number may be off, as a share, 95 times in 100: modelling estimates, until
 * readings say more. Coefficients marked standard still vary from one workshop's elbow to the next.
 */
export const UNCERTAINTY: Readonly<Record<EstimateKind, number>> = {
  entries: 0.3,
  fittings: 0.2,
  friction: 0.1,
  separator: 0.4,
  filter: 0.2,
  leaks: 0.5,
  blower: 0.05,
};

/** From the half-width of an interval that holds 95 % to one standard deviation, of a normal distribution. */
export const TO_SIGMA = 1 / 1.96;

/** The same of a separator's loss that was fitted to readings before and after it. */
export const FITTED_SEPARATOR_UNCERTAINTY = 0.15;

/** Every kind of estimate. */
export const ESTIMATE_KINDS = Object.keys(UNCERTAINTY) as readonly EstimateKind[];

/** How far a kind of estimate may be off in a shop, as a share, 95 %: less, where readings say so. */
export function uncertaintyOf(kind: UncertaintyKind, shop: UncertainShop): number {
  const origin = originOf(kind, shop);
  const corrected = shop.condition.estimates.find(({ of }) => of.kind === kind)?.uncertainty;
  const believed = origin?.kind === 'fitted' ? origin.uncertainty : undefined;
  const before = uncertaintyBefore(kind, shop);
  return Math.min(corrected ?? before, believed ?? before, before);
}

/** The same of the entry loss of one drop's hood. */
export const uncertaintyOfHood = (node: string, { condition }: Pick<Shop, 'condition'>): number =>
  condition.estimates.find(({ of }) => of.kind === 'hood' && of.node === node)?.uncertainty ??
  UNCERTAINTY.entries;

/**
 * The same without what is believed by readings that were weighed all together: for those readings to be weighed again,
 * which would count twice. As a share, 95 %.
 */
export function uncertaintyBefore(kind: UncertaintyKind, shop: UncertainShop): number {
  const origin = originOf(kind, shop);
  return kind === 'separator' && origin?.kind === 'fitted' && origin.uncertainty === undefined
    ? FITTED_SEPARATOR_UNCERTAINTY
    : UNCERTAINTY[kind];
}

/** What of a shop says where its believed values come from. */
type UncertainShop = Pick<Shop, 'collector' | 'condition'>;

/** Where what a kind of estimate is about comes from; undefined: it is an estimate. */
function originOf(kind: UncertaintyKind, { collector, condition }: UncertainShop) {
  switch (kind) {
    case 'separator':
      return collector.separator.origin;
    case 'filter':
      return condition.filterLoading.origin;
    case 'leaks':
      return condition.sealing.origin;
    default:
      return undefined;
  }
}

export type UncertaintyKind = EstimateKind;

/** How a flow moves with what the model assumes, at one solution. */
export interface FlowSensitivities {
  /** m³/s */
  readonly flow: number;
  /** By how much, in m³/s with its sign, when each kind of estimate is off by its uncertainty. */
  readonly changes: Readonly<Record<UncertaintyKind, number>>;
  /** For each m² of an opening in a run's pipe, m³/s for each m². */
  readonly byOpening: (run: string) => number;
  /** For a filter twice as loaded, m³/s. */
  readonly byLoading: number;
}

/** A drop's flow through its port, as `flowSensitivities` has it; null where no air gets to it. */
export function dropSensitivities(
  shop: Shop,
  view: View,
  solved: Pick<ShopSolution, 'compiled' | 'state'>,
  drop: Drop,
): FlowSensitivities | null {
  const segment = solved.compiled.ofRun.get(drop.path[0]?.id ?? '')?.[0];
  return segment === undefined
    ? null
    : flowSensitivities(shop, view, solved, { kind: 'flow', segment });
}

/**
 * A flow in a solution, and its derivatives by everything estimated, from one adjoint pass.
 * First order: uncertainties add as straight lines.
 */
export function flowSensitivities(
  shop: Shop,
  view: View,
  { compiled, state }: Pick<ShopSolution, 'compiled' | 'state'>,
  quantity: FlowQuantity,
): FlowSensitivities {
  const of = sensitivities({ shop, view, compiled, state }, quantity);
  const change = (kind: UncertaintyKind): number => uncertaintyOf(kind, shop) * of.byEstimate[kind];
  const from = new Map(shop.ducts.runs.map((run) => [run.id, run.from]));
  const hoods = [...of.byRun.entries].reduce(
    (sum, [run, by]) => sum + uncertaintyOfHood(from.get(run) ?? '', shop) * by,
    0,
  );
  const perArea = holeLeakage(1, compiled.network.air.density);
  return {
    flow: of.value,
    changes: {
      entries: hoods,
      fittings: change('fittings'),
      friction: change('friction'),
      separator: change('separator'),
      filter: change('filter'),
      leaks: change('leaks'),
      blower: change('blower'),
    },
    byOpening: (run) => {
      const pipe = compiled.ofRun.get(run)?.at(-1);
      return pipe === undefined ? 0 : of.byOpening(pipe, perArea);
    },
    byLoading: of.byEstimate.filter,
  };
}

/**
 * How far a drop's predicted flow may be off, in m³/s, 95 times in 100: what each kind of estimate
 * moves it by, added at right angles (law of propagation of uncertainty, GUM section 5, first order,
 * kinds taken as independent). One adjoint pass through the solution it was judged by; nothing is solved.
 */
export function flowUncertainty(
  shop: Shop,
  view: View,
  { drop, solution }: Pick<DropAir, 'drop' | 'solution'>,
): number {
  const own = dropSensitivities(shop, view, solution, drop);
  return own ? Math.hypot(...Object.values(own.changes)) : 0;
}
