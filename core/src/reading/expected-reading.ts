import { ESTIMATE_KINDS, uncertaintyOf, uncertaintyOfHood } from '../analysis/flow-uncertainty';
import { gatesOfDrop } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { type Factors, NO_CHANGE } from '../network/assemble/setting';
import { solveCompiled } from '../network/solve-shop';
import type { Measurand } from './measurand';
import { measuredIn } from './measured-in';

/** What the model expects of a reading before it is taken, in SI of what is measured. */
export interface ExpectedReading {
  readonly value: number;
  /** Half-width of its 95 % interval. */
  readonly uncertainty: number;
  /** What it would be with the gates of a drop left open as well. */
  readonly withGateLeftOpen: readonly { readonly drop: string; readonly value: number }[];
}

/** How far an estimated full-load current and power factor put a motor's current off, as a share: an estimate. */
const CURRENT_UNCERTAINTY = 0.15;

/** Share an estimate is moved by, to difference what is measured. */
const STEP = 1e-3;

/**
 * What the shop as it is believed to be says of a measurement with certain gates open; null where it says nothing.
 * Its uncertainty is what each kind of estimate moves it by, added at right angles (GUM section 5, first order).
 * @param openGates runs whose gates stand open; none: what leaks by is all there is
 */
export function expectedReading(
  shop: Shop,
  tree: DuctTree,
  measurand: Measurand,
  openGates: ReadonlySet<string>,
): ExpectedReading | null {
  const valueBy = (factors: Factors) => {
    const networkOf = networksByGates(shop, tree, { view: 'found', factors });
    return (gates: ReadonlySet<string>) => {
      const solved = solveCompiled(tree, networkOf(gates));
      return solved.kind === 'solved' ? measuredIn(shop, solved, measurand) : null;
    };
  };
  const valueWith = valueBy(NO_CHANGE);
  const value = valueWith(openGates);
  if (value === null) return null;
  // Hoods that are open draw together; the least certain of them speaks for all.
  const open = tree.drops.filter((drop) =>
    [...gatesOfDrop(drop)].every((gate) => openGates.has(gate)),
  );
  const ofHoods =
    open.length === 0
      ? uncertaintyOf('entries', shop)
      : Math.max(...open.map(({ id }) => uncertaintyOfHood(id, shop)));
  const changes = ESTIMATE_KINDS.map((kind) => {
    const moved = valueBy({ ...NO_CHANGE, [kind]: 1 + STEP })(openGates);
    const uncertainty = kind === 'entries' ? ofHoods : uncertaintyOf(kind, shop);
    return moved === null ? 0 : ((moved - value) / STEP) * uncertainty;
  });
  if (measurand.shows === 'current') changes.push(CURRENT_UNCERTAINTY * value);
  const own = measurand.at.kind === 'port' ? measurand.at.node : null;
  const withGateLeftOpen = tree.drops.flatMap((other) => {
    const gates = gatesOfDrop(other);
    if (other.id === own || [...gates].every((gate) => openGates.has(gate))) return [];
    const left = valueWith(new Set([...openGates, ...gates]));
    return left === null ? [] : [{ drop: other.id, value: left }];
  });
  return { value, uncertainty: Math.hypot(...changes), withGateLeftOpen };
}
