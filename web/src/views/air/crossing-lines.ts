import {
  curveInto,
  type Drop,
  type DuctTree,
  type GateRule,
  gatesOfDrop,
  monotoneCurve,
  NO_CHANGE,
  type Shop,
  type ShopSolution,
  solveTree,
  type View,
} from '@frank-gauge/core';

interface Point {
  readonly flow: number;
  readonly pressure: number;
}

const POINTS = 40;

/** The blower's curve at this site and speed, through its points. */
export function blowerLine({ network }: ShopSolution): Point[] {
  const curve = monotoneCurve(
    network.blower.map(({ flow, pressure }) => [flow, pressure] as const),
  );
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
 * What the ducts ask, found by solving the shop with a weaker or stronger blower: every answer is
 * a point of their own curve, leaks, filter and all. Flows beyond the curve are left out.
 */
export function demandLine(
  shop: Shop,
  tree: DuctTree,
  drop: Drop,
  view: View,
  rule: GateRule,
): Point[] {
  const openGates = rule === 'one' ? gatesOfDrop(drop) : undefined;
  const points = SHARES.flatMap((blower): Point[] => {
    const solved = solveTree(shop, tree, { view, openGates, factors: { ...NO_CHANGE, blower } });
    return solved.kind === 'solved'
      ? [{ flow: solved.blower.flow, pressure: solved.blower.rise }]
      : [];
  });
  return [{ flow: 0, pressure: 0 }, ...points];
}
