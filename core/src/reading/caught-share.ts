import { timeOf } from '../journal/journal';
import type { Weighing } from '../journal/weighing';

/**
 * Shares what was weighed or measured may be off by, 95 % of the time, where the record does not say: a bathroom
 * scale read with the bin on it; a bin's level read with a rule (estimates).
 */
export const WEIGHING_ACCURACY = { mass: 0.02, volume: 0.1 } as const;

/** How much of what came, the separator caught. */
export interface CaughtShare {
  readonly share: number;
  /** Half-width of its 95 % interval; the ends stay within 0 and 1. */
  readonly uncertainty: number;
  /** By mass; by volume where no mass was noted. */
  readonly by: 'mass' | 'volume';
  /** kg, or m³. */
  readonly caught: number;
  readonly passed: number;
}

/** One emptying of the filter's bin, and all the separator's bin held since the one before. */
export interface CaughtPeriod extends CaughtShare {
  readonly id: string;
  readonly time: number;
}

/** What was weighed of both bins, brought together. */
export interface Catches {
  /** Earliest first. */
  readonly periods: readonly CaughtPeriod[];
  /** All periods together; null: there is none. */
  readonly overall: CaughtShare | null;
  /** Chips into both bins for each hour the machines ran, kg/s, where the hours were noted; null: nowhere. */
  readonly massFlow: number | null;
  /** Weighings of the separator's bin after the last of the filter's: not in any period yet. */
  readonly open: number;
}

/**
 * The separator's catch by what its bin and the filter's held, from one emptying of the filter's bin to the next:
 * bin/(bin + filter bin). What the media keeps and what it lets by is in neither, so the share is an upper one.
 */
export function catchesOf(weighings: readonly Weighing[]): Catches {
  const inOrder = weighings.toSorted((a, b) => timeOf(a) - timeOf(b));
  const periods: CaughtPeriod[] = [];
  let since: Weighing[] = [];
  // Dust below the filter belongs to the chips it came with: it waits until there are some.
  let below: Weighing[] = [];
  for (const weighing of inOrder) {
    if (weighing.bin === 'separator') {
      since.push(weighing);
      continue;
    }
    below.push(weighing);
    if (since.length === 0) continue;
    const made = shareOf(since, below);
    if (made) periods.push({ ...made, id: weighing.id, time: timeOf(weighing) });
    [since, below] = [[], []];
  }
  return {
    periods,
    overall: together(periods),
    massFlow: massFlowOf(weighings),
    open: since.length,
  };
}

function shareOf(separator: readonly Weighing[], filter: readonly Weighing[]): CaughtShare | null {
  for (const by of ['mass', 'volume'] as const) {
    const [caught, passed] = [sumOf(separator, by), sumOf(filter, by)];
    if (!caught || !passed || caught.sum + passed.sum === 0) continue;
    const share = caught.sum / (caught.sum + passed.sum);
    // The same relative error of both would leave the share as it is; they are taken to be apart.
    const uncertainty = share * (1 - share) * Math.hypot(caught.accuracy, passed.accuracy);
    return { share, uncertainty, by, caught: caught.sum, passed: passed.sum };
  }
  return null;
}

/** What some weighings come to, and the share that may be off by; null: one of them does not say, or there is none. */
function sumOf(weighings: readonly Weighing[], by: 'mass' | 'volume') {
  let [sum, off] = [0, 0];
  for (const weighing of weighings) {
    const value = weighing[by];
    if (value === null) return null;
    sum += value;
    // One scale is off the same way each time.
    off += value * (weighing.accuracy ?? WEIGHING_ACCURACY[by]);
  }
  if (weighings.length === 0) return null;
  return { sum, accuracy: sum === 0 ? 0 : off / sum };
}

function together(periods: readonly CaughtPeriod[]): CaughtShare | null {
  const [first] = periods;
  if (!first) return null;
  const alike = periods.filter(({ by }) => by === first.by);
  const caught = alike.reduce((sum, period) => sum + period.caught, 0);
  const passed = alike.reduce((sum, period) => sum + period.passed, 0);
  const share = caught / (caught + passed);
  // Errors of one scale go along: the widest of them, in proportion to how the share answers to it.
  const accuracy = Math.max(
    ...alike.map(
      (period) => period.uncertainty / Math.max(1e-12, period.share * (1 - period.share)),
    ),
  );
  return { share, uncertainty: share * (1 - share) * accuracy, by: first.by, caught, passed };
}

function massFlowOf(weighings: readonly Weighing[]): number | null {
  let [mass, hours] = [0, 0];
  for (const weighing of weighings) {
    if (weighing.bin !== 'separator' || weighing.mass === null || !weighing.hours) continue;
    mass += weighing.mass;
    hours += weighing.hours;
  }
  return hours === 0 ? null : mass / (hours * 3600);
}
