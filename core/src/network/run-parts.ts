import { circleArea } from '../air/velocity-pressure';
import { HOSES, hoseMultiplier } from '../duct/hose';
import { PIPES } from '../duct/pipes';
import { branchEntryLoss } from '../fitting/branch-entry';
import { elbowLoss } from '../fitting/elbow';
import { gateLoss } from '../fitting/gate';
import { changeOfDiameterLoss, USUAL_REDUCER_ANGLE } from '../fitting/reducer';
import { runLength } from '../shop/length';
import type { Port, Run, Shop } from '../shop/schema';
import type { DuctTree } from '../shop/topology';
import type { Junction, Part } from './network';

/** How a shop is looked at. Designed: as drawn, sealed and clean. Found: as believed to be now. */
export type View = 'designed' | 'found';

/** What the estimates are multiplied by: 1, unless someone asks how much an estimate matters. */
export interface Factors {
  readonly entries: number;
  readonly fittings: number;
  readonly friction: number;
  readonly separator: number;
  readonly filter: number;
  readonly leaks: number;
  readonly blower: number;
}

export const NO_CHANGE: Factors = {
  entries: 1,
  fittings: 1,
  friction: 1,
  separator: 1,
  filter: 1,
  leaks: 1,
  blower: 1,
};

/** Everything the parts of a run depend on besides the run. */
export interface Setting {
  readonly shop: Shop;
  readonly tree: DuctTree;
  readonly view: View;
  readonly factors: Factors;
  readonly isOpen: (run: Run) => boolean;
}

/** True where a run's gate is shut and lets nothing by at all. */
export const isAirtight = (run: Run, { isOpen }: Setting): boolean =>
  run.gate !== null && run.gate.closedGap === 0 && !isOpen(run);

const lossy = (kind: Part['kind'], half: 'up' | 'down', coefficient: number, name = ''): Part => ({
  kind,
  name,
  half,
  coefficient,
  friction: null,
});

/** A change of diameter as a part whose coefficient is on the velocity pressure at `on`. */
function reducer(
  from: number,
  to: number,
  on: number,
  half: 'up' | 'down',
  { factors }: Setting,
  angle = USUAL_REDUCER_ANGLE,
): Part[] {
  if (Math.abs(from - to) < 1e-6) return [];
  const toOwn = (circleArea(on) / circleArea(Math.min(from, to))) ** 2;
  const coefficient = changeOfDiameterLoss(from, to, angle) * toOwn * factors.fittings;
  return [lossy('reducer', half, coefficient)];
}

/** The way in: the port's entry, and what fits the duct of diameter `into` onto it. */
export function entryParts(port: Port, into: number, setting: Setting): Part[] {
  const toOwn = (circleArea(into) / circleArea(port.diameter)) ** 2;
  const coefficient = port.entryLoss * setting.factors.entries * toOwn;
  return [
    lossy('entry', 'up', coefficient, port.name),
    ...reducer(port.diameter, into, into, 'up', setting),
  ];
}

/** A run's hose, and what fits it onto the pipe. */
export function hoseParts(run: Run, setting: Setting): Part[] {
  if (!run.hose) return [];
  const { kind, length, diameter, compression } = run.hose;
  const { name, roughness } = HOSES[kind];
  const multiplier = hoseMultiplier(compression, diameter) * setting.factors.friction;
  return [
    {
      kind: 'hose',
      name,
      half: 'both',
      coefficient: 0,
      friction: { length, roughness, multiplier },
    },
    ...reducer(diameter, run.diameter, diameter, 'down', setting),
  ];
}

/** A run's gate, pipe and fittings, in the order the air meets them. */
export function pipeParts(run: Run, setting: Setting): Part[] {
  const { name, roughness } = PIPES[run.pipe];
  const { friction: multiplier, fittings } = setting.factors;
  const length = runLength(run, setting.tree);
  const pipe: Part = {
    kind: 'pipe',
    name,
    half: 'both',
    coefficient: 0,
    friction: { length, roughness, multiplier },
  };
  const bends = run.fittings.map((fitting) => {
    const one =
      fitting.kind === 'elbow'
        ? elbowLoss(fitting.style, fitting.angle, fitting.radiusRatio)
        : fitting.lossCoefficient;
    const label = fitting.kind === 'other' ? fitting.name : '';
    return lossy(fitting.kind, 'down', one * fitting.count * fittings, label);
  });
  const gate = gateParts(run, setting);
  return run.gate?.end === 'upstream' ? [...gate, pipe, ...bends] : [pipe, ...bends, ...gate];
}

function gateParts(run: Run, setting: Setting): Part[] {
  const { gate } = run;
  if (!gate || isAirtight(run, setting)) return [];
  const coefficient = gateLoss(setting.isOpen(run) ? gate.opening : 0, gate.closedGap);
  return [lossy('gate', gate.end === 'upstream' ? 'up' : 'down', coefficient)];
}

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
  const out = leavingDiameter(node, setting);
  const angle = reducerAngleAt(node, setting);
  return reducer(bodyDiameter(node, setting), out, out, 'up', setting, angle);
}

/** What a run meets at its downstream end: a wye, the straight way past one, or a reducer. */
export function endOfRun(run: Run, setting: Setting): { junction: Junction; parts: Part[] } {
  const { shop, tree, factors } = setting;
  const meeting = tree.into.get(run.to) ?? [];
  const body =
    meeting.length > 1 ? bodyDiameter(run.to, setting) : leavingDiameter(run.to, setting);
  const angle = reducerAngleAt(run.to, setting);
  const inLine = reducer(run.diameter, body, run.diameter, 'down', setting, angle);
  const none: Junction = { kind: 'none' };
  if (meeting.length <= 1) return { junction: none, parts: inLine };

  const wye = (branch: Run) => ({
    combinedArea: circleArea(body),
    branchArea: circleArea(branch.diameter),
    // The momentum formulas hold to 90°; a branch laid against the flow is taken as a tee.
    cosine: branch.joins.kind === 'branch' ? Math.max(0, Math.cos(branch.joins.angle)) : 1,
  });
  const byMomentum = shop.shop.rules.junctions === 'momentum';
  if (run.joins.kind === 'branch') {
    const byTable = branchEntryLoss(run.joins.angle) * factors.fittings;
    return byMomentum
      ? { junction: { kind: 'branch', wye: wye(run) }, parts: [lossy('branch', 'down', 0)] }
      : { junction: none, parts: [lossy('branch', 'down', byTable)] };
  }
  if (!byMomentum) return { junction: none, parts: inLine };
  const widest = meeting
    .filter((other) => other !== run)
    .reduce((most, other) => (other.diameter > most.diameter ? other : most));
  return {
    junction: { kind: 'straight', wye: wye(widest) },
    parts: [...inLine, lossy('straight', 'down', 0)],
  };
}
