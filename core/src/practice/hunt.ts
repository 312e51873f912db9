import type { HoldMode } from '../journal/instrument';
import type { Reading } from '../journal/reading';
import type { TestPoint } from '../journal/test-point';
import type { UnitId } from '../quantity/units';
import type { Measurand } from '../reading/measurand';
import type { MeterFace } from './meter-face';

/** A reading as it was noted, with how the meter was really set. */
export interface NotedReading {
  readonly reading: Reading;
  readonly unit: UnitId;
  readonly hold: HoldMode;
  /** Minutes it took. */
  readonly minutes: number;
}

/** How far someone who practices has come. Plain data, to be kept. */
export interface Hunt {
  /** Runs whose gates stand open. */
  readonly openGates: readonly string[];
  readonly face: MeterFace;
  readonly readings: readonly NotedReading[];
}

/** Where something is measured, and what. */
export type AskedOfMeter = Pick<Measurand, 'at'> & { readonly shows: 'flow' | 'pressure' };

/** Every gate shut, the meter as it was left. */
export const beginHunt = ({ face }: { readonly face: MeterFace }): Hunt => ({
  openGates: [],
  face,
  readings: [],
});

/** What parts of a reading take, minutes: estimates. */
const MINUTES = { reading: 1, walk: 1, gate: 0.5, hole: 5, tap: 3 } as const;

export const minutesSoFar = ({ readings }: Pick<Hunt, 'readings'>): number =>
  readings.reduce((sum, { minutes }) => sum + minutes, 0);

/** Names a place, the same for the same place. */
export const keyOfSpot = (at: TestPoint['at']): string => JSON.stringify(at);

/** What is known of the readings so far that the minutes of the next one depend on. */
export interface Standing {
  /** Places where something was measured already: holes are drilled, taps are set. */
  readonly made: ReadonlySet<string>;
  readonly at: string | null;
  readonly gates: ReadonlySet<string>;
}

export const standingOf = ({ readings }: Pick<Hunt, 'readings'>): Standing => {
  const last = readings.at(-1)?.reading;
  return {
    made: new Set(readings.map(({ reading }) => reading.testPoint)),
    at: last?.testPoint ?? null,
    gates: new Set(last?.openGates),
  };
};

/** Minutes the next reading takes: to walk there, to set the gates, to drill a hole or set a tap the first time, to read. */
export function minutesFor(
  { made, at, gates }: Standing,
  asked: AskedOfMeter,
  openGates: ReadonlySet<string>,
): number {
  const key = keyOfSpot(asked.at);
  const turned = [...new Set([...gates, ...openGates])].filter(
    (gate) => gates.has(gate) !== openGates.has(gate),
  ).length;
  const first = made.has(key)
    ? 0
    : asked.shows === 'pressure'
      ? MINUTES.tap
      : asked.at.kind === 'port'
        ? 0
        : MINUTES.hole;
  return MINUTES.reading + (at === key ? 0 : MINUTES.walk) + MINUTES.gate * turned + first;
}

/** Readings that were noted rightly: in the unit the meter was on, and an average. */
export const isNotedRightly = ({ reading, unit, hold }: NotedReading): boolean =>
  reading.unit === unit && hold !== 'maximum';

/** A reading crossed out in the notebook, or counted again; its minutes stay spent. */
export const crossOut = (hunt: Hunt, id: string, at: string): Hunt => ({
  ...hunt,
  readings: hunt.readings.map((each) =>
    each.reading.id === id
      ? {
          ...each,
          reading: {
            ...each.reading,
            struckOut: each.reading.struckOut ? null : { at, reason: 'Crossed out.' },
          },
        }
      : each,
  ),
});
