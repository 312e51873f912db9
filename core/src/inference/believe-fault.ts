import type { Estimate, Shop } from '../design/schema';
import { dropEstimate } from './estimates-by-readings';
import type { Fault } from './faults';
import type { Suspect } from './places';

/**
 * Faults that a shop can be believed to have: what wears and leaks in it, not its meters nor its blower's curve, which a
 * field test measures. A gate that stands open by more than a gap is none either: it is shut, or it is mended.
 */
const CAN_BE_BELIEVED: ReadonlySet<Fault['kind']> = new Set<Fault['kind']>([
  'opening',
  'gate not open',
  'filter',
  'separator',
  'leakage',
]);

/** Whether a shop can be believed to have a fault. The loss of a cyclone of known proportions follows from those. */
export const canBeBelieved = (
  { kind }: Fault,
  { collector: { separator } }: Pick<Shop, 'collector'>,
): boolean =>
  CAN_BE_BELIEVED.has(kind) &&
  (kind !== 'separator' || separator.kind !== 'cyclone' || separator.proportions === null);

/** Most that a shop's document takes: filter loading, separator loss, leakage class, gap around a joint in m, opening in m². */
const MOST = { loading: 100, loss: 100, leakageClass: 1000, gap: 0.02, area: 1, uncertainty: 10 };

/** From the ends of an interval that holds 90 % to the half-width of one that holds 95 %, of a normal distribution. */
const TO_95 = 1.96 / 1.645;

/** How far an amount may be off, as a share, 95 times in 100, by its 90 % interval. */
export const uncertaintyOfAmount = ({
  amount,
  low,
  high,
}: Pick<Suspect, 'amount' | 'low' | 'high'>) =>
  Math.min(MOST.uncertainty, (TO_95 * (high - low)) / 2 / amount);

/**
 * Puts a suspect into the shop as found: from then on everything is predicted with it, and with what it is uncertain by.
 * Changes the shop it is given.
 * @param on when the first reading was taken that shows it, ISO 8601
 */
export function believeFault(shop: Shop, suspect: Omit<Suspect, 'probability'>, on: string): void {
  const { condition, ducts, collector } = shop;
  const { fault, amount } = suspect;
  const by = { kind: 'fitted', on, uncertainty: uncertaintyOfAmount(suspect) } as const;
  switch (fault.kind) {
    case 'opening':
      condition.holes.push({ run: fault.run, area: Math.min(MOST.area, amount), origin: by });
      return;
    case 'filter': {
      const before = condition.filterLoading.value;
      const value = Math.min(MOST.loading, Math.max(1, before * amount));
      condition.filterLoading = { value, origin: { ...by, before } };
      return;
    }
    case 'separator': {
      const before = collector.separator.lossCoefficient;
      collector.separator.lossCoefficient = Math.min(MOST.loss, before * amount);
      collector.separator.origin = { ...by, before };
      return;
    }
    case 'leakage': {
      const { sealing } = condition;
      const before = sealing.usual;
      leakBy(shop, amount);
      sealing.origin = { ...by, before };
      return;
    }
    case 'gate not open': {
      const gate = ducts.runs.find(({ id }) => id === fault.run)?.gate;
      if (gate) gate.opening = Math.min(gate.opening, amount);
      return;
    }
    default:
      return;
  }
}

/** Everything that leaks does so by a factor more. */
function leakBy({ condition: { sealing, joints, holes } }: Shop, factor: number): void {
  const more = (leakageClass: number) => Math.min(MOST.leakageClass, leakageClass * factor);
  const wider = (gap: number) => Math.min(MOST.gap, gap * factor);
  sealing.usual = more(sealing.usual);
  for (const run of sealing.runs) run.leakageClass = more(run.leakageClass);
  joints.usual = wider(joints.usual);
  for (const run of joints.runs) run.gap = wider(run.gap);
  for (const hole of holes) hole.area = Math.min(MOST.area, hole.area * factor);
}

/** Something that is believed by readings, and can be taken back. */
export type Believed =
  | { readonly kind: 'opening'; readonly place: number }
  | { readonly kind: 'filter' | 'separator' | 'leakage' }
  | { readonly kind: 'estimate'; readonly of: Estimate['of'] };

/** Goes back to what was believed before. Changes the shop it is given. */
export function takeBack(shop: Shop, believed: Believed): void {
  const { condition, collector } = shop;
  const assumed = { kind: 'assumed' } as const;
  switch (believed.kind) {
    case 'opening':
      condition.holes.splice(believed.place, 1);
      return;
    case 'filter': {
      const { value, origin } = condition.filterLoading;
      condition.filterLoading = { value: beforeOf(origin) ?? value, origin: assumed };
      return;
    }
    case 'separator': {
      const { separator } = collector;
      separator.lossCoefficient = beforeOf(separator.origin) ?? separator.lossCoefficient;
      separator.origin = assumed;
      return;
    }
    case 'leakage': {
      const { sealing } = condition;
      const before = sealing.origin && beforeOf(sealing.origin);
      if (before !== undefined && sealing.usual > 0) leakBy(shop, before / sealing.usual);
      delete sealing.origin;
      return;
    }
    case 'estimate':
      dropEstimate(shop, believed.of);
  }
}

const beforeOf = (origin: Shop['condition']['filterLoading']['origin']): number | undefined =>
  origin.kind === 'fitted' ? origin.before : undefined;
