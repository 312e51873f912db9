import { type BlowerPoint, blowerCurve } from '../collector/blower';
import { curveInto } from '../collector/monotone-curve';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { NO_CHANGE, type View } from '../network/assemble/setting';
import { type ShopSolution, solveTree } from '../network/solve-shop';

const POINTS = 40;

/** The fan curve of a solved shop at its site and speed, drawn through its points. SI. */
export function fanCurveLine({ network }: Pick<ShopSolution, 'network'>): BlowerPoint[] {
  const curve = blowerCurve(network.blower);
  const last = network.blower.at(-1)?.flow ?? 0;
  const out = { value: 0, slope: 0 };
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const flow = (last * i) / POINTS;
    curveInto(out, curve, flow);
    return { flow, pressure: out.value };
  });
}

/** Shares of the blower's pressure at which the ducts are asked what flow they let through. */
const SHARES = [0.02, 0.06, 0.12, 0.22, 0.35, 0.5, 0.7, 0.85, 1, 1.2, 1.45];

/**
 * The system curve: what the ducts ask against flow, SI. Found by solving the shop with a weaker or
 * stronger blower: every answer is a point of the ducts' own curve, leaks, filter and all. Flows beyond
 * the fan curve are left out.
 * @param openGates ids of the runs whose gates stand open; left out: as the document has them
 */
export function systemCurve(
  shop: Shop,
  tree: DuctTree,
  view: View,
  openGates?: ReadonlySet<string>,
): BlowerPoint[] {
  const points = SHARES.flatMap((blower): BlowerPoint[] => {
    const solved = solveTree(shop, tree, { view, openGates, factors: { ...NO_CHANGE, blower } });
    return solved.kind === 'solved'
      ? [{ flow: solved.blower.flow, pressure: solved.blower.rise }]
      : [];
  });
  return [{ flow: 0, pressure: 0 }, ...points];
}
