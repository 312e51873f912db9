import { circleArea } from '../../air/velocity-pressure';
import { runLength } from '../../design/length';
import type { Port, Run } from '../../design/schema';
import { HOSES } from '../../duct/hose';
import { PIPES } from '../../duct/pipes';
import { gateLoss } from '../../fittings/gate';
import { changeOfDiameterLoss, USUAL_REDUCER_ANGLE } from '../../fittings/reducer';
import { lossMethod } from '../../methods/loss-methods';
import type { Part } from '../network';
import { bendParts } from './bend-parts';
import { frictional, lossy } from './part';
import { hoodFactor, isAirtight, type Setting } from './setting';

const SAME = 1e-6;

/** A change of diameter as a part whose coefficient is on the velocity pressure at `on`. */
export function reducerParts(
  { from, to, on }: { readonly from: number; readonly to: number; readonly on: number },
  half: 'up' | 'down',
  { factors }: Setting,
  angle = USUAL_REDUCER_ANGLE,
): Part[] {
  if (Math.abs(from - to) < SAME) return [];
  const toOwn = (circleArea(on) / circleArea(Math.min(from, to))) ** 2;
  const coefficient = changeOfDiameterLoss(from, to, angle) * toOwn * factors.fittings;
  return [lossy('reducer', half, coefficient)];
}

/** The way in: the port's entry, and what fits the duct of diameter `into` onto it. */
export function entryParts(
  port: Port & { readonly node: string },
  into: number,
  setting: Setting,
): Part[] {
  const toOwn = (circleArea(into) / circleArea(port.diameter)) ** 2;
  const factor = setting.factors.entries * hoodFactor(port.node, setting);
  const coefficient = port.entryLoss * factor * toOwn;
  return [
    lossy('entry', 'up', coefficient, port.name),
    ...reducerParts({ from: port.diameter, to: into, on: into }, 'up', setting),
  ];
}

/** A run's hose, and what fits it onto the pipe. */
export function hoseParts(run: Run, setting: Setting): Part[] {
  const { hose } = run;
  if (!hose) return [];
  const { rules } = setting.shop.shop;
  const law = lossMethod(rules.friction).hose(
    { ...hose, pipe: run.pipe },
    setting.factors.friction,
  );
  const { diameter } = hose;
  return [
    frictional('hose', law, HOSES[hose.kind].name),
    ...reducerParts({ from: diameter, to: run.diameter, on: diameter }, 'down', setting),
  ];
}

/** A run's gate, pipe and fittings, in the order the air meets them. */
export function pipeParts(run: Run, setting: Setting): Part[] {
  const { friction } = setting.shop.shop.rules;
  const length = runLength(run, setting.tree);
  const law = lossMethod(friction).pipe(run.pipe, length, setting.factors.friction);
  const pipe = frictional('pipe', law, PIPES[run.pipe].name);
  const bends = bendParts(run, setting);
  const gate = gateParts(run, setting);
  return run.gate?.end === 'upstream' ? [...gate, pipe, ...bends] : [pipe, ...bends, ...gate];
}

function gateParts(run: Run, setting: Setting): Part[] {
  const { gate } = run;
  if (!gate || isAirtight(run, setting)) return [];
  const coefficient = gateLoss(setting.isOpen(run) ? gate.opening : 0, gate.closedGap);
  return [lossy('gate', gate.end === 'upstream' ? 'up' : 'down', coefficient)];
}
