import type { HoseId, PipeId } from '../catalogue/ids';
import type { PriceId } from '../catalogue/price-ids';
import { runLength } from '../design/length';
import type { Run, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { reducerBody } from '../fittings/fitting-bodies';
import { joinAngle } from '../fittings/joins/joins';
import { ductLines } from '../routing/duct-lines';
import { assemblyOrder } from './assembly-order';
import { linksOf, pipeOutdoors } from './collector-pipes';
import { type CutList, cutList } from './cuts/cut-list';
import { gasketsOf } from './gaskets';
import { HANGER_EVERY, hangingsAlong } from './hanger-spacing';
import { joinersOf } from './joiners';
import { sealsOf } from './seals';
import type { Stage } from './stages';

/** A part to be bought; diameters inside, in m, angles in rad. */
export type Part =
  | {
      readonly kind: 'pipe';
      readonly pipe: PipeId;
      readonly diameter: number;
      readonly stock: number;
    }
  | {
      readonly kind: 'elbow';
      readonly pipe: PipeId;
      readonly diameter: number;
      readonly angle: number;
    }
  | {
      readonly kind: 'wye' | 'Y';
      readonly pipe: PipeId;
      readonly main: number;
      readonly diameter: number;
      readonly angle: number;
    }
  | { readonly kind: 'reducer'; readonly from: number; readonly to: number }
  | { readonly kind: 'coupling' | 'adapter' | 'gate' | 'clamp'; readonly diameter: number }
  | { readonly kind: 'hose'; readonly hose: HoseId; readonly diameter: number }
  /** Rigid, between the parts of the collector. */
  | { readonly kind: 'collectorPipe'; readonly diameter: number }
  | { readonly kind: 'pipeOutdoors'; readonly pipe: PipeId; readonly diameter: number }
  | { readonly kind: 'hanger' | 'strap' | 'screw' | 'tape' | 'silicone' }
  /** A soft strip so thick, m; null: as what opens has it. */
  | { readonly kind: 'gasket'; readonly thickness: number | null };

export interface PartLine {
  /** The same for the same part, whatever number of it is wanted. */
  readonly key: string;
  readonly part: Part;
  /** Pieces; of hose, tape, silicone, gasket and the collector's own pipe m. */
  readonly quantity: number;
  /** What it is priced as; null: the price book has no line for it. */
  readonly bought: {
    readonly item: PriceId;
    readonly quantity: number;
    readonly diameter: number | null;
  } | null;
}

/** How far a hose goes over what it is clamped to, at each end, m; an estimate. */
export const HOSE_OVER = 0.05;
/** Hose between the parts of a collector, whose make the plan does not say. */
const USUAL_HOSE: HoseId = 'ribbed';
/** Seams around an adjustable elbow that want silicone once it is turned as it stays: an estimate. */
export const ELBOW_SEAMS = 3;
/** Elbows are sold by angles of so many degrees: what is drawn is rounded to one of them. */
const SOLD_BY = Math.PI / 12;

/** As they stand on the list, the widest of each first. */
const ORDER: readonly Part['kind'][] = [
  ...(['pipe', 'elbow', 'wye', 'Y', 'reducer', 'coupling', 'adapter'] as const),
  ...(['collectorPipe', 'pipeOutdoors', 'gate', 'hose', 'clamp'] as const),
  ...(['hanger', 'strap', 'screw', 'tape', 'silicone', 'gasket'] as const),
];
const sizeOf = (part: Part): number =>
  'main' in part ? part.main : 'from' in part ? part.from : 'diameter' in part ? part.diameter : 0;

/**
 * What the ducts of a shop are made of, counted: all of it, or what one stage of building takes. The collector's own
 * pipes, gaskets, couplings and clamps come with the mains. Bought stage by stage, pipe may take more lengths than
 * bought at once.
 */
export function partsList(
  shop: Shop,
  tree: DuctTree,
  cuts: CutList = cutList(shop, tree),
  stage: Stage | null = null,
): PartLine[] {
  const isIn = (run: string | undefined) =>
    stage === null || (run !== undefined && stage.runs.has(run));
  const lines = new Map<string, PartLine>();
  const add = (part: Part, quantity: number, bought: PartLine['bought'] = null) => {
    const key = keyOfPart(part);
    const known = lines.get(key);
    lines.set(key, {
      ...{ key, part },
      quantity: (known?.quantity ?? 0) + quantity,
      bought: bought && { ...bought, quantity: (known?.bought?.quantity ?? 0) + bought.quantity },
    });
  };
  const piece = (item: PriceId, diameter: number, quantity = 1) => ({ item, quantity, diameter });
  const reduce = (from: number, to: number) => {
    if (reducerBody(from, to) > 0)
      add({ kind: 'reducer', from: Math.max(from, to), to: Math.min(from, to) }, 1);
  };
  const addHose = (hose: HoseId, diameter: number, between: number) => {
    const length = between + 2 * HOSE_OVER;
    const item = hose === 'smooth' ? 'smoothHose' : 'ribbedHose';
    add({ kind: 'hose', hose, diameter }, length, piece(item, diameter, length));
  };
  for (const { pipe, diameter, stock, sticks } of cuts.groups) {
    const part = { kind: 'pipe', pipe, diameter, stock } as const;
    add(part, sticks.length, piece('pipe', diameter, sticks.length * stock));
  }
  const ports = new Map(tree.drops.map(({ path: [own], port }) => [own?.id, port]));
  const { lines: drawn } = ductLines(shop);
  for (const run of tree.upstreamFirst) {
    if (!isIn(run.id)) continue;
    const { pipe, diameter, hose } = run;
    for (const [angle, count] of elbowsOf(run)) {
      add({ kind: 'elbow', pipe, diameter, angle }, count, piece('elbow', diameter, count));
    }
    if (run.gate) add({ kind: 'gate', diameter }, 1, piece('gate', diameter));
    if (hose) {
      addHose(hose.kind, hose.diameter, hose.length);
      add({ kind: 'clamp', diameter: hose.diameter }, 2);
      reduce(hose.diameter, diameter);
    }
    const port = ports.get(run.id);
    if (port) reduce(port.diameter, hose?.diameter ?? diameter);
    const seams = ELBOW_SEAMS * Math.PI * diameter * adjustableElbows(run);
    if (seams > 0) add({ kind: 'silicone' }, seams);
    const line = drawn.get(run.id);
    const hangings = line && hangingsAlong(run, line, tree);
    const straps = hangings?.filter(({ isStrap }) => isStrap).length ?? 0;
    const begins = (tree.into.get(run.from) ?? []).length > 1 ? 1 : 0;
    const typed = Math.ceil(runLength(run, tree) / HANGER_EVERY) + begins;
    const hangers = (hangings?.length ?? typed) - straps;
    if (hangers > 0) add({ kind: 'hanger' }, hangers);
    if (straps > 0) add({ kind: 'strap' }, straps);
  }
  /** The collector's own comes with the mains. */
  const isInStage = (run: string | null) =>
    run === null ? stage === null || stage.drop === null : isIn(run);
  if (isInStage(null)) {
    for (const { kind, diameter, length } of linksOf(shop.collector)) {
      if (length === 0) continue;
      if (kind === 'hose') addHose(USUAL_HOSE, diameter, length);
      else add({ kind: 'collectorPipe', diameter }, length, piece('pipe', diameter, length));
    }
    const out = pipeOutdoors(shop.collector);
    if (out) {
      const { pipe, diameter, length } = out;
      add({ kind: 'pipeOutdoors', pipe, diameter }, length, piece('pipe', diameter, length));
    }
  }
  const order = assemblyOrder(shop, tree);
  for (const { run, screws, tape, turns } of sealsOf(order, tree)) {
    if (!isInStage(run)) continue;
    if (screws > 0) add({ kind: 'screw' }, screws);
    if (tape > 0) add({ kind: 'tape' }, tape, { item: 'tape', quantity: turns, diameter: null });
  }
  for (const { run, thickness, length } of gasketsOf(order, shop)) {
    if (isInStage(run)) add({ kind: 'gasket', thickness }, length);
  }
  for (const { run, part } of joinersOf(order, tree)) {
    if (isInStage(run)) add(part, 1);
  }
  for (const [node, into] of tree.into) {
    if (!isIn(tree.outOf.get(node)?.id ?? into[0]?.id)) continue;
    const out = tree.outOf.get(node)?.diameter ?? shop.collector.separator.inletDiameter;
    const through = into.find(({ joins }) => joinAngle(joins) === null);
    if (through) reduce(through.diameter, out);
    if (into.length < 2) continue;
    const [first] = into;
    if (first?.joins.kind === 'symmetric') {
      const { pipe, diameter, joins } = first;
      add(
        { kind: 'Y', pipe, main: out, diameter, angle: soldAngle(joins.angle) },
        1,
        piece('wye', out),
      );
      continue;
    }
    for (const { joins, pipe, diameter } of into) {
      const angle = joinAngle(joins);
      if (angle === null) continue;
      const main = through?.diameter ?? out;
      add({ kind: 'wye', pipe, main, diameter, angle: soldAngle(angle) }, 1, piece('wye', main));
    }
  }
  return [...lines.values()].sort(
    (a, b) =>
      ORDER.indexOf(a.part.kind) - ORDER.indexOf(b.part.kind) ||
      sizeOf(b.part) - sizeOf(a.part) ||
      (a.key < b.key ? -1 : 1),
  );
}

/** Elbows of a run that turn in themselves. */
const adjustableElbows = ({ fittings }: Run): number =>
  fittings.reduce(
    (sum, fitting) =>
      sum + (fitting.kind === 'elbow' && fitting.style === 'adjustable' ? fitting.count : 0),
    0,
  );

/** Elbows of a run by the angle they are sold at, with how many; a pair is two of half its turn. */
function elbowsOf({ fittings }: Run): Map<number, number> {
  const elbows = new Map<number, number>();
  const add = (angle: number, count: number) => {
    const sold = soldAngle(angle);
    elbows.set(sold, (elbows.get(sold) ?? 0) + count);
  };
  for (const fitting of fittings) {
    if (fitting.kind === 'elbow') add(fitting.angle, fitting.count);
    else if (fitting.kind === 'pair') add(Math.PI / 4, 2 * fitting.count);
  }
  return elbows;
}

const soldAngle = (angle: number): number => Math.max(1, Math.round(angle / SOLD_BY)) * SOLD_BY;

const mm = (length: number) => (length * 1000).toFixed(0);
const degrees = (angle: number) => ((angle * 180) / Math.PI).toFixed(0);

/** A part's own name, the same for the same part. */
function keyOfPart(part: Part): string {
  switch (part.kind) {
    case 'pipe':
      return `pipe ${part.pipe} ${mm(part.diameter)} ${mm(part.stock)}`;
    case 'elbow':
      return `elbow ${part.pipe} ${mm(part.diameter)} ${degrees(part.angle)}`;
    case 'wye':
    case 'Y':
      return `${part.kind} ${part.pipe} ${mm(part.main)} ${mm(part.diameter)} ${degrees(part.angle)}`;
    case 'reducer':
      return `reducer ${mm(part.from)} ${mm(part.to)}`;
    case 'coupling':
    case 'adapter':
    case 'gate':
    case 'clamp':
      return `${part.kind} ${mm(part.diameter)}`;
    case 'hose':
      return `hose ${part.hose} ${mm(part.diameter)}`;
    case 'collectorPipe':
      return `collector pipe ${mm(part.diameter)}`;
    case 'pipeOutdoors':
      return `pipe outdoors ${part.pipe} ${mm(part.diameter)}`;
    case 'gasket':
      return part.thickness === null ? 'gasket' : `gasket ${mm(part.thickness)}`;
    default:
      return part.kind;
  }
}
