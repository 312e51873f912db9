import { circleArea } from '../../air/velocity-pressure';
import type { Run } from '../../design/schema';
import { type JunctionLeg, teeShare } from '../../fittings/converging-junction';
import { fixedJoinLoss, joinAngle, legOf } from '../../fittings/joins/joins';
import type { Loss } from '../../fittings/loss-method';
import { USUAL_REDUCER_ANGLE } from '../../fittings/reducer';
import { lossMethod } from '../../methods/loss-methods';
import type { Part } from '../network';
import { lossy, partOf } from './part';
import { reducerParts } from './run-parts';
import type { Setting } from './setting';

/** Diameter of what air leaves a node by: the next run's, or the separator's inlet. */
const leavingDiameter = (node: string, { tree, shop }: Setting): number =>
  tree.outOf.get(node)?.diameter ?? shop.collector.separator.inletDiameter;

/**
 * Where several runs meet, the junction's body is as wide as the widest leg; what leaves it more
 * narrowly does so through a reducer. Junction formulas know no leg wider than the combined one.
 */
const bodyDiameter = (node: string, setting: Setting): number =>
  Math.max(
    leavingDiameter(node, setting),
    ...(setting.tree.into.get(node) ?? []).map((run) => run.diameter),
  );

const reducerAngleAt = (node: string, { tree }: Setting): number =>
  tree.nodes.get(node)?.style.reducerAngle ?? USUAL_REDUCER_ANGLE;

/** The reducer that a junction's air leaves by, where its body is wider than what follows. */
export function leavingParts(node: string, setting: Setting): Part[] {
  if ((setting.tree.into.get(node) ?? []).length <= 1) return [];
  const to = leavingDiameter(node, setting);
  const from = bodyDiameter(node, setting);
  return reducerParts({ from, to, on: to }, 'up', setting, reducerAngleAt(node, setting));
}

/** How far what joins at a node does so as a tee: its branches' shares, weighted by their areas. */
function teeShareAt(node: string, { tree }: Setting): number {
  let tee = 0;
  let area = 0;
  for (const { joins, diameter } of tree.into.get(node) ?? []) {
    const angle = joinAngle(joins);
    if (angle === null) continue;
    tee += teeShare(angle) * circleArea(diameter);
    area += circleArea(diameter);
  }
  return area === 0 ? 0 : tee / area;
}

export interface EndOfRun {
  /** What the momentum of the junction is computed from; null where there is none. */
  readonly junction: JunctionLeg | null;
  readonly parts: readonly Part[];
}

/**
 * What a run meets at its downstream end: a reducer in line, or the junction it is a leg of, by
 * the method the shop follows. Equivalent feet count a branch as an elbow of its angle, and the way
 * past one as nothing; so does the handbook's table with its coefficient.
 */
export function endOfRun(run: Run, setting: Setting): EndOfRun {
  const { tree, factors } = setting;
  const { rules } = setting.shop.shop;
  const { diameter, joins } = run;
  const isJunction = (tree.into.get(run.to) ?? []).length > 1;
  const body = isJunction ? bodyDiameter(run.to, setting) : leavingDiameter(run.to, setting);
  const angle = reducerAngleAt(run.to, setting);
  const inLine = reducerParts({ from: diameter, to: body, on: diameter }, 'down', setting, angle);
  if (!isJunction) return { junction: null, parts: inLine };

  const { branch } = lossMethod(rules.friction);
  const joinsAt = joinAngle(joins);
  // What goes straight through narrows or widens in line; a branch enters a body as wide as it needs.
  const before = joinsAt === null ? inLine : [];
  if (!branch && rules.junctions === 'momentum') {
    const at = {
      area: circleArea(diameter),
      bodyArea: circleArea(body),
      tee: teeShareAt(run.to, setting),
    };
    return {
      junction: legOf(joins, at),
      parts: [...before, lossy(joinsAt === null ? 'straight' : 'branch', 'down', 0, joins.kind)],
    };
  }
  if (joinsAt === null) return { junction: null, parts: before };
  const loss: Loss = branch
    ? branch({ pipe: run.pipe, diameter, angle: joinsAt }, factors.fittings)
    : { kind: 'coefficient', coefficient: fixedJoinLoss(joins) * factors.fittings };
  return { junction: null, parts: [partOf('branch', 'down', loss, joins.kind)] };
}
