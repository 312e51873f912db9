import { lossMethod } from '../../methods/loss-methods';
import type { Fitting, Run } from '../../shop/schema';
import type { Part } from '../network';
import { lossy, partOf } from './part';
import type { Setting } from './setting';

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
  const method = lossMethod(shop.shop.rules.friction);
  const where = { pipe, diameter, straight };
  switch (fitting.kind) {
    case 'other': {
      const { kind, name, lossCoefficient, count } = fitting;
      return lossy(kind, 'down', lossCoefficient * count * factors.fittings, name);
    }
    case 'elbow':
      return partOf('elbow', 'down', method.turn({ ...fitting, ...where }, factors.fittings));
    case 'pair':
      return partOf('pair', 'down', method.pair({ ...fitting, ...where }, factors.fittings));
  }
}
