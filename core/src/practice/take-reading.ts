import { shownMore } from '../inference/faults';
import { gatesKeyOf } from '../inference/observations';
import { recordWith } from '../journal/journal';
import type { Taken } from '../journal/reading';
import type { TestPoint } from '../journal/test-point';
import { shownFor } from '../measuring/shown-for';
import { fromSI, toSI, type UnitId } from '../quantity/units';
import { circumstancesOf, type Meters } from '../reading/circumstances';
import { diameterAt } from '../reading/diameter-at';
import { chanceOf } from '../simulate/chance';
import { hiddenImperfection } from '../simulate/hidden-meter';
import { shownBy } from '../simulate/simulated-meter';
import {
  type AskedOfMeter,
  type Hunt,
  keyOfSpot,
  minutesFor,
  minutesSoFar,
  standingOf,
} from './hunt';
import { notedUnit, shownUnit } from './meter-face';
import { GAUGE, practiceMeters, VANE } from './practice-meters';
import type { PracticeShop } from './practice-shop';

/** Repeats of every reading. */
const REPEATS = 3;
/** When every hunt begins; minutes are counted from then. */
const BEGINS = Date.parse('2026-01-10T09:00:00Z');

/** The meters and test points of a hunt, as a journal would have them. */
export function metersOf(
  { shop }: Pick<PracticeShop, 'shop'>,
  { readings }: Pick<Hunt, 'readings'>,
): Meters {
  const keys = new Set(readings.map(({ reading }) => reading.testPoint));
  return {
    instruments: [...practiceMeters(shop.shop.units)],
    testPoints: [...keys].map((key) => pointOf(JSON.parse(key))),
  };
}

const pointOf = (at: TestPoint['at']): TestPoint =>
  recordWith('testPoints', { id: keyOfSpot(at), name: keyOfSpot(at).slice(0, 60), at, note: '' });

/**
 * The hunt with one more reading in the notebook: three repeats of what the meter shows, as its numbers stand, whatever
 * unit and hold it is on. Null: the air is not solved there, or there is nothing to measure. The same hunt reads the same.
 */
export function takeReading(practice: PracticeShop, hunt: Hunt, asked: AskedOfMeter): Hunt | null {
  const { shop, tree, faults, seed, real } = practice;
  const { units } = shop.shop;
  const [vane, gauge] = practiceMeters(units);
  const isAir = asked.shows === 'flow';
  const instrument = isAir ? vane : gauge;
  const gates = new Set(hunt.openGates);
  const truth = real({ measurand: asked, gates, gatesKey: gatesKeyOf(gates) });
  const diameter = isAir ? diameterAt(shop, tree, asked.at) : 0.1;
  if (truth === null || !diameter) return null;
  const minutes = minutesFor(standingOf(hunt), asked, gates);
  const noted = isAir ? notedUnit(units) : units === 'us' ? 'inwg' : 'pa';
  const unit = isAir ? shownUnit(hunt.face, units) : noted;
  const hold = isAir ? hunt.face.hold : 'average';
  const fields = {
    testPoint: keyOfSpot(asked.at),
    instrument: isAir ? VANE : GAUGE,
    quantity: isAir ? ('velocity' as const) : ('pressure' as const),
    spot: 'average' as const,
    ...{ diameter, unit: noted, isSimulated: true, note: '', openGates: [...hunt.openGates] },
    at: new Date(BEGINS + 60_000 * (minutesSoFar(hunt) + minutes)).toISOString(),
  };
  const point = pointOf(asked.at);
  const blank = recordWith('readings', {
    ...fields,
    id: 'blank',
    taken: [{ kind: 'value', value: 1 }],
  });
  const by = circumstancesOf(blank, shop, tree, {
    instruments: [instrument],
    testPoints: [point],
  });
  const shown = isAir ? (truth > 0 ? (shownFor(truth, blank, by) ?? 0) : 0) : truth;
  const off = faults.reduce(
    (sum, { fault, amount }) => sum + shownMore(fault, amount, instrument.id),
    0,
  );
  const chance = chanceOf(seed + 104_729 * (1 + hunt.readings.length));
  const imperfection = { ...hiddenImperfection({ seed }, instrument), drift: 0 };
  const taken = Array.from({ length: REPEATS }, () =>
    misread(
      shownBy(shown * Math.exp(off), { ...instrument, hold }, imperfection, chance),
      unit,
      noted,
    ),
  );
  const reading = recordWith('readings', { ...fields, id: `n${hunt.readings.length + 1}`, taken });
  return { ...hunt, readings: [...hunt.readings, { reading, unit, hold, minutes }] };
}

/** A number of one unit taken down as if it were of another. */
function misread(taken: Taken, shown: UnitId, noted: UnitId): Taken {
  const as = (value: number) => toSI(fromSI(value, shown), noted);
  return taken.kind === 'value'
    ? { kind: 'value', value: as(taken.value) }
    : { kind: taken.kind, limit: as(taken.limit) };
}
