import { chainOf } from '../design/chain-order';
import type { MeasuredEnd, Run, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { pipeOutside, sizeOf } from '../duct/pipes';
import { isStraight } from '../fittings/joins/joins';
import { linksOf } from './collector-pipes';
import { type Fit, type FitEnd, fitEnds } from './fit';

export type EndWhat =
  | 'port'
  | 'hose'
  | 'pipe'
  | 'gate'
  | 'branch'
  | 'separatorInlet'
  | 'separatorOutlet'
  | 'coupling'
  | 'blowerInlet'
  | 'blowerOutlet'
  | 'transition'
  | 'filter';

export interface JointEnd extends FitEnd {
  readonly what: EndWhat;
  /** The run or machine it belongs to, by name; '' for the collector's own. */
  readonly of: string;
  /** By calliper; else by its catalogue, or with a wall as such parts usually have. */
  readonly origin: 'measured' | 'catalogue' | 'estimate';
}

/** A place where two parts meet, and how they fit. */
export interface JointPlace {
  /** Names it in the document, as long as its run is there. */
  readonly id: string;
  readonly upstream: JointEnd;
  readonly downstream: JointEnd;
  readonly fit: Fit;
}

/** Wall of a port, spigot or cuff whose outside nobody measured, m: an estimate. */
export const USUAL_WALL = 1e-3;

/**
 * Every joint of ducts and collector where unlike parts meet, the machines' first: port to hose, hose
 * to pipe, pipe to another pipe's branch, and along the collector's chain. Ends that someone measured
 * are as measured. Joints within one run of pipe are its own couplers' and left out.
 */
export function jointsOfShop(shop: Shop, tree: DuctTree): JointPlace[] {
  const measured = new Map(
    shop.ducts.measuredEnds.map((end) => [`${end.joint} ${end.side}`, end] as const),
  );
  const joint = (id: string, upstream: JointEnd, downstream: JointEnd): JointPlace => {
    const up = asMeasured(upstream, measured.get(`${id} upstream`));
    const down = asMeasured(downstream, measured.get(`${id} downstream`));
    return { id, upstream: up, downstream: down, fit: fitEnds(up, down, shop.ducts.stock.tape) };
  };
  return [
    ...tree.drops.flatMap(({ port, name, path }) => {
      const [run] = path;
      return run ? [joint(`${run.id} port`, bought('port', name, port.diameter), headOf(run))] : [];
    }),
    ...tree.upstreamFirst.flatMap((run) =>
      run.hose ? [joint(`${run.id} hose`, hoseOf(run), startOf(run))] : [],
    ),
    ...tree.upstreamFirst.flatMap((run) => {
      const next = tree.outOf.get(run.to);
      if (!next) return [];
      const end = isStraight(run.joins) ? headOf(next) : branchOf(run, next);
      const isOne = run.pipe === next.pipe && end.what !== 'hose' && sizesMatch(run, end);
      return isOne ? [] : [joint(`${run.id} end`, pipeOf(run), end)];
    }),
    ...chainJoints(shop, tree, joint),
  ];
}

const sizesMatch = (run: Run, end: JointEnd) => Math.abs(end.inside - run.diameter) < 0.5e-3;

function asMeasured(end: JointEnd, measured: MeasuredEnd | undefined): JointEnd {
  if (!measured) return end;
  return { ...end, inside: measured.inside, outside: measured.outside, origin: 'measured' };
}

/** A spigot known by its true inside alone. */
const bought = (what: EndWhat, of: string, inside: number): JointEnd => ({
  what,
  of,
  inside,
  outside: inside + 2 * USUAL_WALL,
  isFlexible: false,
  origin: 'estimate',
});

const pipeOf = (run: Run): JointEnd => ({
  what: 'pipe',
  of: run.name,
  inside: run.diameter,
  outside: pipeOutside(run.pipe, run.diameter),
  isFlexible: false,
  origin: sizeOf(run.pipe, run.diameter) ? 'catalogue' : 'estimate',
});

const hoseOf = (run: Run): JointEnd => ({
  ...bought('hose', run.name, run.hose?.diameter ?? run.diameter),
  isFlexible: true,
});

/** What a run's rigid duct begins with: its pipe, or a gate with a collar as wide. */
function startOf(run: Run): JointEnd {
  const pipe = pipeOf(run);
  return run.gate?.end === 'upstream' ? { ...pipe, what: 'gate', origin: 'estimate' } : pipe;
}

/** What a run begins with, at its machine's end. */
const headOf = (run: Run): JointEnd => (run.hose ? hoseOf(run) : startOf(run));

/** A branch of the main's own make: of the run's size, or the nearest the main's pipe is sold in. */
function branchOf(run: Run, main: Run): JointEnd {
  const size = sizeOf(main.pipe, run.diameter);
  const inside = size?.inside ?? run.diameter;
  return {
    what: 'branch',
    of: main.name,
    inside,
    outside: pipeOutside(main.pipe, inside),
    isFlexible: false,
    origin: size ? 'catalogue' : 'estimate',
  };
}

function chainJoints(
  { collector }: Shop,
  tree: DuctTree,
  joint: (id: string, upstream: JointEnd, downstream: JointEnd) => JointPlace,
): JointPlace[] {
  const { inletDiameter } = collector.separator;
  const spigot = (what: EndWhat) => bought(what, '', inletDiameter);
  const [first] = chainOf(collector);
  const ins = {
    separator: 'separatorInlet',
    blower: 'blowerInlet',
    filter: 'filter',
  } as const;
  const outs = {
    separator: 'separatorOutlet',
    blower: 'blowerOutlet',
    filter: 'filter',
  } as const;
  const joints: JointPlace[] = [];
  const last = tree.into.get(tree.inlet.id) ?? [];
  const [only] = last;
  if (only && first && last.length === 1) {
    joints.push(joint('collector inlet', pipeOf(only), spigot(ins[first])));
  }
  for (const { from, to, what, kind } of linksOf(collector)) {
    const between = { ...spigot(what), isFlexible: kind === 'hose' };
    joints.push(
      joint(`${from} out`, spigot(outs[from]), between),
      joint(`${to} in`, between, spigot(ins[to])),
    );
  }
  return joints;
}
