import { closeElbowMultiplier } from '../../fitting/close-elbows';
import { elbowLoss } from '../../fitting/elbow';
import type { Fitting, Run } from '../../shop/schema';
import type { Part } from '../network';
import { turnLaw } from './friction-by-school';
import { lossy, rubbing } from './part';
import type { Setting } from './setting';

const RIGHT_ANGLE = Math.PI / 2;
/** Each elbow of a pair. */
const PAIR_ANGLE = RIGHT_ANGLE / 2;

/**
 * A run's elbows, pairs and other fittings, in the order the air meets them. An elbow close behind
 * another, in its run or at the end of a run that leads straight into it, loses more.
 */
export function bendParts(run: Run, setting: Setting): Part[] {
  let straight = straightAhead(run, setting);
  return run.fittings.map((fitting) => {
    const part = bendPart(fitting, run, setting, straight);
    straight = fitting.kind === 'elbow' ? fitting.after : null;
    return part;
  });
}

/** Straight duct, m, to the last elbow of the one run that leads into this one; null: enough. */
function straightAhead(run: Run, { tree }: Setting): number | null {
  const into = tree.into.get(run.from) ?? [];
  const last = into.length === 1 ? into[0]?.fittings.at(-1) : undefined;
  return last?.kind === 'elbow' ? last.after : null;
}

function bendPart(
  fitting: Fitting,
  { pipe, diameter }: Run,
  { shop, factors }: Setting,
  straight: number | null,
): Part {
  const { friction: school } = shop.shop.rules;
  const { kind, count } = fitting;
  if (kind === 'other') {
    return lossy(kind, 'down', fitting.lossCoefficient * count * factors.fittings, fitting.name);
  }
  if (school === 'equivalentFeet') {
    const angle = kind === 'pair' ? RIGHT_ANGLE : fitting.angle;
    return rubbing(kind, turnLaw(pipe, angle, diameter, count * factors.fittings));
  }
  const first = closeElbowMultiplier(straight, diameter);
  if (kind === 'pair') {
    const one = elbowLoss(fitting.style, PAIR_ANGLE, fitting.radiusRatio);
    const second = closeElbowMultiplier(fitting.spacer, diameter);
    const all = one * (first + second + (count - 1) * (1 + second));
    return lossy(kind, 'down', all * factors.fittings);
  }
  const one = elbowLoss(fitting.style, fitting.angle, fitting.radiusRatio);
  return lossy(kind, 'down', one * (first + count - 1) * factors.fittings);
}
