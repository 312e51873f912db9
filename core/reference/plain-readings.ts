import type { Shop } from '../src/design/schema';
import type { DuctTree } from '../src/design/topology';
import { asBelieved, type Fault, withFault } from '../src/inference/faults';
import type { Observation } from '../src/inference/observations';
import { type Asked, Solutions } from '../src/inference/predictor';
import { arrangeDucts } from '../src/routing/arrange-ducts';

export const treeOf = (shop: Shop): DuctTree => {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  return arranged.tree;
};

/** One standard deviation of such a reading, and of its meter, in ln. */
export const SIGMA = 0.015;

/** What is read of a shop with a fault, without any chance, at one time. */
export function plainReadings(
  shop: Shop,
  tree: DuctTree,
  asked: readonly Asked[],
  fault: Fault | null,
  amount: number,
  at = '2026-01-10T10:00:00Z',
): Observation[] {
  const believed = asBelieved(shop, tree);
  const real = new Solutions(fault ? withFault(believed, fault, amount) : believed);
  return asked.map((each, i): Observation => {
    const isAir = each.measurand.shows === 'flow';
    const instrument = isAir ? 'vane' : 'gauge';
    const off = fault?.kind === 'meter' && isAir ? (fault.way === 'more' ? 1 : -1) : 0;
    return {
      reading: { id: `${at} ${i}`, at, testPoint: JSON.stringify(each.measurand.at), instrument },
      ...each,
      ln: (real.lnOf(each) ?? 0) + (off === 0 ? 0 : off * Math.log(amount)),
      bound: null,
      sigma: SIGMA,
      meter: `${instrument} ${at}`,
      meterSigma: SIGMA,
    };
  });
}
