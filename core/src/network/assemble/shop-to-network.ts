import { airAtSite } from '../../air/air-at-site';
import { scaleBlower } from '../../collector/blower';
import { runLength } from '../../design/length';
import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import type { Network, Segment } from '../network';
import { exhaustOfShop } from './exhaust-of-shop';
import { endOfRun, leavingParts } from './junction-parts';
import { leaksOfRun, seamExponent } from './leaks-of-run';
import { entryParts, hoseParts, pipeParts } from './run-parts';
import { separatorSegment } from './separator-segment';
import { type Factors, factorsIn, isAirtight, type Setting, type View } from './setting';

export interface NetworkOptions {
  readonly view: View;
  /** Ids of runs whose gates stand open; undefined: as the document has them. */
  readonly openGates?: ReadonlySet<string> | undefined;
  readonly factors?: Factors;
}

/**
 * A shop's ducts and collector as a network: each run with its hose, gate, elbows and reducers as
 * parts, the leaks of its condition, and the separator as the last segment before the blower.
 */
export function shopToNetwork(shop: Shop, tree: DuctTree, options: NetworkOptions): Network {
  const { view, openGates } = options;
  const factors = factorsIn(shop, view, options.factors);
  const isOpen = (run: Run) =>
    run.gate === null || (openGates ? openGates.has(run.id) : run.gate.open);
  const setting: Setting = { shop, tree, view, factors, isOpen };
  const air = airAtSite(shop.shop.site);
  const { curve, measured, speed, wheelDiameter } = shop.collector.blower;
  const running = { density: air.density, speed, wheelDiameter };
  return {
    air,
    segments: buildSegments(setting, air.density),
    blower: scaleBlower(curve, measured, running).map(({ flow, pressure }) => ({
      flow,
      pressure: pressure * factors.blower,
    })),
    exhaust: exhaustOfShop(setting, air.density),
    seamExponent: seamExponent(setting),
  };
}

function buildSegments(setting: Setting, density: number): Segment[] {
  const { tree } = setting;
  const reached = reachedRuns(setting);
  const ports = new Map(tree.drops.map((drop) => [drop.id, drop.port]));
  // The hose beyond an airtight shut gate has no air; the run is then its pipe alone.
  const hasHose = (run: Run) => run.hose !== null && !isAirtight(run, setting);

  const firstSegment = new Map<string, number>();
  let count = 0;
  for (const run of reached) {
    firstSegment.set(run.id, count);
    count += hasHose(run) ? 2 : 1;
  }
  const isFed = (node: string) =>
    (tree.into.get(node) ?? []).some(({ id }) => firstSegment.has(id));

  const segments: Segment[] = [];
  for (const run of reached) {
    const port = isAirtight(run, setting) ? undefined : ports.get(run.from);
    const upstream = port ? 'open' : isFed(run.from) ? 'fed' : 'capped';
    const entry = (into: number) =>
      port
        ? entryParts({ ...port, node: run.from }, into, setting)
        : leavingParts(run.from, setting);
    const { seam, hole } = leaksOfRun(run, setting, density);
    if (run.hose && hasHose(run)) {
      const { diameter, length } = run.hose;
      segments.push({
        run: run.id,
        downstream: segments.length + 1,
        diameter,
        upstream,
        seam: seam(diameter, length),
        hole: 0,
        junction: null,
        parts: [...entry(diameter), ...hoseParts(run, setting)],
      });
    }
    const { junction, parts: atEnd } = endOfRun(run, setting);
    const next = tree.outOf.get(run.to);
    segments.push({
      run: run.id,
      downstream: (next && firstSegment.get(next.id)) ?? count,
      diameter: run.diameter,
      upstream: hasHose(run) ? 'fed' : isAirtight(run, setting) ? 'capped' : upstream,
      seam: seam(run.diameter, runLength(run, tree)),
      hole,
      junction,
      parts: [...(hasHose(run) ? [] : entry(run.diameter)), ...pipeParts(run, setting), ...atEnd],
    });
  }
  segments.push(separatorSegment(setting, isFed(tree.inlet.id)));
  return segments;
}

/** Runs upstream of an airtight shut gate have no air at all: they are left out. */
function reachedRuns(setting: Setting): Run[] {
  const { upstreamFirst, outOf } = setting.tree;
  const cutOff = new Set<Run>();
  for (let i = upstreamFirst.length - 1; i >= 0; i--) {
    const run = upstreamFirst[i];
    if (!run) continue;
    const next = outOf.get(run.to);
    const isBehind = next !== undefined && (cutOff.has(next) || isAirtight(next, setting));
    if (isBehind || (run.gate?.end === 'downstream' && isAirtight(run, setting))) cutOff.add(run);
  }
  return cutOff.size === 0 ? [...upstreamFirst] : upstreamFirst.filter((run) => !cutOff.has(run));
}
