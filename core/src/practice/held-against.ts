import { asBelieved } from '../inference/faults';
import { gatesKeyOf } from '../inference/observations';
import { Solutions } from '../inference/predictor';
import { correctReading } from '../measuring/corrections';
import { circumstancesOf } from '../reading/circumstances';
import type { Hunt } from './hunt';
import type { PracticeShop } from './practice-shop';
import { metersOf } from './take-reading';

/** A noted reading beside what the shop as it is believed to be would show. m³/s or Pa. */
export interface HeldAgainst {
  readonly shows: 'flow' | 'pressure';
  readonly measured: number;
  /** Beyond an end of the meter's range. */
  readonly bound: 'at least' | 'at most' | null;
  readonly expected: number;
}

/** What every reading of a hunt measured, as it was noted, and what the model expects of it; by the reading's id. */
export function heldAgainst(practice: PracticeShop, hunt: Hunt): ReadonlyMap<string, HeldAgainst> {
  const { shop, tree } = practice;
  const sound = new Solutions(asBelieved(shop, tree));
  const meters = metersOf(practice, hunt);
  return new Map(
    hunt.readings.flatMap(({ reading }): [string, HeldAgainst][] => {
      const at = meters.testPoints.find(({ id }) => id === reading.testPoint)?.at;
      const shows = reading.quantity === 'pressure' ? 'pressure' : 'flow';
      const gates = new Set(reading.openGates);
      const ln = at && sound.lnOf({ measurand: { at, shows }, gates, gatesKey: gatesKeyOf(gates) });
      const { mean } = correctReading(reading, circumstancesOf(reading, shop, tree, meters));
      if (ln === undefined || ln === null || mean.kind === 'nothing') return [];
      const bound = mean.kind === 'value' ? null : mean.kind;
      return [[reading.id, { shows, measured: mean.mean, bound, expected: Math.exp(ln) }]];
    }),
  );
}
