import type { Fitting, Run } from '../../design/schema';
import { fittingLoss, straightBehind } from '../../fittings/kinds/fitting-kinds';
import { lossMethod } from '../../methods/loss-methods';
import type { Part } from '../network';
import { partOf, timesFactor } from './part';
import type { Setting } from './setting';

/**
 * A run's elbows, pairs and other fittings, in the order the air meets them. An elbow close behind
 * another, in its run or at the end of a run that leads straight into it, loses more.
 */
export function bendParts(run: Run, setting: Setting): Part[] {
  let straight = straightAhead(run, setting);
  return run.fittings.map((fitting) => {
    const part = bendPart(fitting, run, setting, straight);
    straight = straightBehind(fitting);
    return part;
  });
}

/** Straight duct, m, to the last elbow of the one run that leads into this one; null: enough. */
function straightAhead(run: Run, { tree }: Setting): number | null {
  const into = tree.into.get(run.from) ?? [];
  const last = into.length === 1 ? into[0]?.fittings.at(-1) : undefined;
  return last ? straightBehind(last) : null;
}

function bendPart(
  fitting: Fitting,
  { pipe, diameter }: Run,
  { shop, factors }: Setting,
  straight: number | null,
): Part {
  const method = lossMethod(shop.shop.rules.friction);
  const loss = fittingLoss(fitting, { pipe, diameter, straight }, method);
  const name = fitting.kind === 'other' ? fitting.name : '';
  return partOf(fitting.kind, 'down', timesFactor(loss, factors.fittings), name);
}
