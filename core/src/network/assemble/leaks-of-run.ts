import { jointCount } from '../../design/length';
import type { Run } from '../../design/schema';
import { holeLeakage, SEALED_CLASS, SEAM_EXPONENT, seamLeakage } from '../../duct/leakage';
import type { Setting } from './setting';

export interface LeaksOfRun {
  /** c of Q = c·P^exponent through the seams of so much duct. */
  readonly seam: (diameter: number, length: number) => number;
  /** c of Q = c·P^0.5 through gaps at its joints and the openings believed to be in its pipe. */
  readonly hole: number;
}

/**
 * A run's leaks. As designed it is sealed. As found its seams leak by surface, to the class believed
 * of it; each of its joints by a gap all around; and its openings as orifices.
 */
export function leaksOfRun(run: Run, setting: Setting, density: number): LeaksOfRun {
  const { shop, view, factors, tree } = setting;
  const { sealing, joints, holes } = shop.condition;
  const isFound = view === 'found';
  const ownClass = sealing.runs.find((entry) => entry.run === run.id)?.leakageClass;
  const leakageClass = isFound ? (ownClass ?? sealing.usual) : SEALED_CLASS;
  const exponent = seamExponent(setting);
  const seam = (diameter: number, length: number) =>
    seamLeakage(leakageClass, Math.PI * diameter * length, exponent) * factors.leaks;
  if (!isFound) return { seam, hole: 0 };

  const gap = joints.runs.find((entry) => entry.run === run.id)?.gap ?? joints.usual;
  const gaps = gap === 0 ? 0 : gap * Math.PI * run.diameter * jointCount(run, tree);
  const area = holes.reduce((sum, hole) => (hole.run === run.id ? sum + hole.area : sum), gaps);
  return { seam, hole: holeLeakage(area, density) * factors.leaks };
}

/** Exponent of the seams' leakage by pressure: the standard's as designed, else what is believed. */
export const seamExponent = ({ shop, view }: Pick<Setting, 'shop' | 'view'>): number =>
  view === 'found' ? shop.condition.sealing.exponent : SEAM_EXPONENT;
