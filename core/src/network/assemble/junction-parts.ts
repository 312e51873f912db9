import { circleArea } from '../../air/velocity-pressure';
import { branchEntryLoss } from '../../fitting/branch-entry';
import {
  branchLeg,
  type JunctionLeg,
  straightLeg,
  teeShare,
} from '../../fitting/converging-junction';
import { USUAL_REDUCER_ANGLE } from '../../fitting/reducer';
import { lossMethod } from '../../methods/loss-methods';
import type { Run } from '../../shop/schema';
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
    if (joins.kind !== 'branch') continue;
    tee += teeShare(joins.angle) * circleArea(diameter);
    area += circleArea(diameter);
  }
  return area === 0 ? 0 : tee / area;
}

export interface EndOfRun {
  /** What the momentum of the junction is reckoned from; null where there is none. */
  readonly junction: JunctionLeg | null;
  readonly parts: readonly Part[];
}

/**
 * What a run meets at its downstream end: a reducer in line, or the junction it is a leg of, by
 * the school the shop follows. Equivalent feet count a branch as an elbow of its angle, and the way
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
  if (!branch && rules.junctions === 'momentum') {
    return joins.kind === 'branch'
      ? {
          junction: branchLeg(circleArea(diameter), circleArea(body), joins.angle),
          parts: [lossy('branch', 'down', 0)],
        }
      : {
          junction: straightLeg(circleArea(body), teeShareAt(run.to, setting)),
          parts: [...inLine, lossy('straight', 'down', 0)],
        };
  }
  if (joins.kind === 'straight') return { junction: null, parts: inLine };
  const { angle: joinsAt } = joins;
  const part = branch
    ? partOf(
        'branch',
        'down',
        branch({ pipe: run.pipe, diameter, angle: joinsAt }, factors.fittings),
      )
    : lossy('branch', 'down', branchEntryLoss(joinsAt) * factors.fittings);
  return { junction: null, parts: [part] };
}
