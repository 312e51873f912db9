import { TO_SIGMA } from '../analysis/flow-uncertainty';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { Reading } from '../journal/reading';
import { type Circumstances, correctReading } from '../measuring/corrections';
import { numberOf } from '../measuring/repeats';
import { expectedReading } from '../reading/expected-reading';
import { type Measurand, measuredBy } from '../reading/measurand';

/** A reading as evidence: the logarithm of what it measured, and how far it may be off by itself. */
export interface Observation {
  readonly reading: Pick<Reading, 'id' | 'at' | 'testPoint' | 'instrument'>;
  readonly measurand: Measurand;
  /** Runs whose gates stood open. */
  readonly gates: ReadonlySet<string>;
  /** Names that set of gates. */
  readonly gatesKey: string;
  /** ln of the value measured, SI; of a bound the value it is at least or at most. */
  readonly ln: number;
  readonly bound: 'at least' | 'at most' | null;
  /** One standard deviation of what is its own, in ln. */
  readonly sigma: number;
  /** The meter on that visit, whose error all its readings share; and one standard deviation of it, in ln. */
  readonly meter: string;
  readonly meterSigma: number;
}

/** Whether a reading was taken before what is wrong began; null: it was there in all of them. */
export const isTakenBefore = ({ reading }: Pick<Observation, 'reading'>, began: string | null) =>
  began !== null && Date.parse(reading.at) < Date.parse(began);

/** Why a reading is not weighed. */
export type SetAside =
  /** It is relative, a bare number, or of something the model does not predict. */
  | 'says nothing of the air'
  /** Its place is gone, or in no duct. */
  | 'place unknown'
  /** It was struck out. */
  | 'struck out'
  /** Its repeats ran beyond both ends of the range, or it read nothing at all. */
  | 'no value'
  /** A gate it names as open is not there any more. */
  | 'gate unknown'
  /** It and another at the same place with the same gates are a factor apart. */
  | 'contradicts another';

export interface WeighedReadings {
  readonly observations: readonly Observation[];
  readonly setAside: readonly { readonly reading: Reading; readonly why: SetAside }[];
}

/** What a shop's repeats scatter by, one standard deviation: what is taken for it, and how many repeats that counts for. */
export const USUAL_SCATTER = 0.025;
const SCATTER_COUNTS = 8;
/** One standard deviation of what holding the meter there anew makes of a reading: an estimate. */
const PLACING = 0.01;
/** Two readings of one place with the same gates, further apart than this factor, cannot both be right. */
const CONTRADICTS = 1.7;

export const gatesKeyOf = (gates: Iterable<string>): string => [...gates].sort().join(' ');

/**
 * Readings as evidence: every one that says something of the air counts, not only the latest. Repeats of all of them
 * pool their scatter.
 * @param placeOf the place of a reading's test point; null: it is not known
 * @param by what each reading is corrected by
 */
export function weighReadings(
  shop: Shop,
  tree: DuctTree,
  readings: readonly Reading[],
  placeOf: (reading: Reading) => Measurand['at'] | null,
  by: (reading: Reading) => Circumstances,
): WeighedReadings {
  const setAside: { reading: Reading; why: SetAside }[] = [];
  const scatter = pooledScatter(readings);
  const runs = new Set(tree.upstreamFirst.map(({ id }) => id));
  const known = new Map<string, boolean>();
  const observations = readings.flatMap((reading): Observation[] => {
    const aside = (why: SetAside) => {
      setAside.push({ reading, why });
      return [];
    };
    if (reading.struckOut) return aside('struck out');
    const shows = measuredBy(reading.quantity);
    if (reading.method === 'relative' || shows === null || shows === 'current') {
      return aside('says nothing of the air');
    }
    const at = placeOf(reading);
    if (!at) return aside('place unknown');
    if (reading.openGates.some((gate) => !runs.has(gate))) return aside('gate unknown');
    const measurand = { at, shows };
    const key = JSON.stringify(measurand);
    const isKnown =
      known.get(key) ?? expectedReading(shop, tree, measurand, new Set(reading.openGates)) !== null;
    known.set(key, isKnown);
    if (!isKnown) return aside('place unknown');
    const { mean, corrections, meter, lastDigit } = correctReading(reading, by(reading));
    if (mean.kind === 'nothing' || !(mean.mean > 0)) return aside('no value');
    const steps = Math.hypot(...corrections.map(({ uncertainty }) => uncertainty));
    const rounding = (lastDigit ?? 0) / Math.sqrt(12) / mean.mean;
    return [
      {
        reading,
        measurand,
        gates: new Set(reading.openGates),
        gatesKey: gatesKeyOf(reading.openGates),
        ln: Math.log(mean.mean),
        bound: mean.kind === 'value' ? null : mean.kind,
        sigma: Math.hypot(
          scatter / Math.sqrt(reading.taken.length),
          PLACING,
          rounding,
          TO_SIGMA * steps,
        ),
        meter: `${reading.instrument} ${reading.round ?? reading.at.slice(0, 10)}`,
        meterSigma: TO_SIGMA * meter,
      },
    ];
  });
  const odd = contradicting(observations);
  for (const { reading } of odd) {
    const own = readings.find(({ id }) => id === reading.id);
    if (own) setAside.push({ reading: own, why: 'contradicts another' });
  }
  return { observations: observations.filter((each) => !odd.has(each)), setAside };
}

/**
 * The standard deviation of one repeat in ln, by all readings together: each scatters about its own mean, and what is
 * usual counts as a few repeats more.
 */
function pooledScatter(readings: readonly Pick<Reading, 'taken' | 'traverse' | 'struckOut'>[]) {
  let squares = SCATTER_COUNTS * USUAL_SCATTER ** 2;
  let freedom = SCATTER_COUNTS;
  for (const { taken, traverse, struckOut } of readings) {
    if (struckOut || traverse || taken.some(({ kind }) => kind !== 'value')) continue;
    const values = taken.map(numberOf).filter((value) => value > 0);
    if (values.length < 2) continue;
    const mean = values.reduce((sum, value) => sum + Math.log(value), 0) / values.length;
    squares += values.reduce((sum, value) => sum + (Math.log(value) - mean) ** 2, 0);
    freedom += values.length - 1;
  }
  return Math.sqrt(squares / freedom);
}

/** Those that cannot be right beside others of the same place with the same gates: the odd ones, or both of two. */
function contradicting(observations: readonly Observation[]): ReadonlySet<Observation> {
  const groups = new Map<string, Observation[]>();
  for (const each of observations) {
    if (each.bound !== null) continue;
    const key = `${JSON.stringify(each.measurand)} ${each.gatesKey}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  const odd = new Set<Observation>();
  for (const group of groups.values()) {
    const sorted = group.toSorted((a, b) => a.ln - b.ln);
    const [least, most] = [sorted[0], sorted.at(-1)];
    if (!least || !most || most.ln - least.ln < Math.log(CONTRADICTS)) continue;
    const middle = sorted[sorted.length >> 1]?.ln ?? 0;
    for (const each of group) {
      const isFar = Math.abs(each.ln - middle) > Math.log(CONTRADICTS) / 2;
      if (group.length === 2 || isFar) odd.add(each);
    }
  }
  return odd;
}
