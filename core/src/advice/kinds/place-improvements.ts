import type { Shop } from '../../design/schema';
import { judgePlaces, swapMachines } from '../../improve/place-machines';
import { type Improvement, newIdsIn } from '../improvement';

/** Work, h, of moving two machines and rerouting their ducts: an estimate. */
const HOURS = 5;
/** Elbows that the new ways take, an estimate; their pipe is mostly there. */
const ELBOWS = 2;

/** Machines that had better change places: the biggest chip makers nearest the blower. */
export function placeImprovements(shop: Shop): Improvement[] {
  const swaps = judgePlaces(shop)?.swaps ?? [];
  const widthOf = (id: string) => {
    const ports = shop.machines.find((each) => each.id === id)?.ports ?? [];
    return Math.max(0, ...ports.map(({ diameter }) => diameter));
  };
  return swaps.map(({ one, other }): Improvement => {
    const diameter = Math.max(widthOf(one), widthOf(other));
    return {
      id: `swap ${one} ${other}`,
      work: { kind: 'swap', one, other },
      change: (changed) => {
        swapMachines(changed, one, other, newIdsIn(changed, 'moved'));
      },
      buys: [
        { item: 'elbow', quantity: ELBOWS, diameter },
        { item: 'tape', quantity: 4 * ELBOWS, diameter: null },
      ],
      price: null,
      hours: HOURS,
      changes: [`place ${one}`, `place ${other}`],
    };
  });
}
