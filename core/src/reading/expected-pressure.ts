import { pressureProfile } from '../analysis/pressure-profile';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { CollectorTap } from '../journal/test-point';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { solveCompiled } from '../network/solve-shop';

/**
 * What a manometer shows at a tap of the collector with certain gates open, by the shop as it is believed to be:
 * static pressure against the room, across the filter its pressure drop, Pa, without its sign. Null where the model
 * says nothing of it.
 * @param openGates runs whose gates stand open; none: what leaks by is all there is
 */
export function expectedPressure(
  shop: Shop,
  tree: DuctTree,
  tap: CollectorTap,
  openGates: ReadonlySet<string>,
): number | null {
  const [drop] = tree.drops;
  if (!drop) return null;
  const solved = solveCompiled(tree, networksByGates(shop, tree, { view: 'found' })(openGates));
  if (solved.kind !== 'solved') return null;
  // From the separator on the way is every drop's.
  const steps = pressureProfile(solved, drop);
  const blower = steps.find(({ kind }) => kind === 'blower');
  const { isAhead } = solved.network.exhaust;
  if (isAhead && openGates.size === 0) return null;
  // Along a shut gate the way does not add up: it is hung up at the blower, whose two sides are known.
  const { rise, outletStatic } = solved.blower;
  const short = isAhead || !blower ? 0 : outletStatic - rise - blower.totalBefore;
  const at = {
    'separator inlet': (steps.find(({ kind }) => kind === 'separator') ?? blower)?.staticBefore,
    'blower inlet': blower?.staticBefore,
    'blower outlet': blower?.staticAfter,
    filter:
      shop.collector.exhaust.kind === 'filter'
        ? steps.find(({ kind }) => kind === 'exhaust')?.loss
        : undefined,
  }[tap];
  if (at === undefined) return null;
  const isSuction = tap === 'separator inlet' || tap === 'blower inlet';
  return Math.abs(isSuction ? at + short : at);
}
