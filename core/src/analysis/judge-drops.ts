import { circleArea } from '../air/velocity-pressure';
import type { Port, Rules, Shop } from '../design/schema';
import type { Drop, DuctTree } from '../design/topology';
import { networksByGates } from '../network/assemble/networks-by-gates';
import type { View } from '../network/assemble/setting';
import type { CompiledNetwork } from '../network/compiled-network';
import { dropFlow } from '../network/drop-flow';
import type { NetworkState } from '../network/solve-network';
import {
  type ShopFailure,
  type ShopSolution,
  type ShopSolved,
  solveCompiled,
} from '../network/solve-shop';
import { gatesOpenNow, gatesWith, isDrawing } from './gate-sets';
import { makesChips, minimumTransport, runsWithChips } from './transport';

/** Which gates a drop is judged with: its own alone, or the ones the document has open. */
export type GateRule = 'one' | 'now';

/** Shut: its gate is, so that only leakage flows and nothing is asked of it. */
export type Standing = 'shut' | 'enough' | 'little short' | 'starved';

/** The air of a main, and the least velocity that what passes it wants, m/s; null: no chips pass. */
export interface MainAir {
  readonly run: string;
  readonly velocity: number;
  readonly transport: number | null;
}

/** What a drop gets held against what it needs. SI. */
export interface DropAir {
  readonly kind: 'judged';
  readonly drop: Drop;
  readonly solution: ShopSolution;
  /** Through the port. */
  readonly flow: number;
  readonly need: number;
  /** flow − need */
  readonly margin: number;
  readonly standing: Standing;
  /** In the drop's own pipe. */
  readonly velocity: number;
  /** Least velocity its chips want there, m/s; null: nothing that settles is drawn in. */
  readonly transport: number | null;
  /** The slowest run after the drop's own, where something joined; null where nothing follows. */
  readonly main: MainAir | null;
  /** Static pressure just behind the hood; negative is suction. */
  readonly hoodStatic: number;
}

export type DropResult =
  | DropAir
  | { readonly kind: 'unsolved'; readonly drop: Drop; readonly reason: ShopFailure };

/** Short by less than this share still counts as a little short: within what readings can tell. */
const LITTLE = 0.05;

/** The flow a port needs, m³/s: as stated, or from the velocity wanted at its true diameter. */
export const neededFlow = (port: Port): number =>
  port.need.kind === 'flow' ? port.need.flow : port.need.velocity * circleArea(port.diameter);

const standingOf = (flow: number, need: number): Standing =>
  flow >= need ? 'enough' : flow >= need * (1 - LITTLE) ? 'little short' : 'starved';

/**
 * One drop's result from a solution.
 * @param drawing the drops whose gates stand open; where this one is not among them it is shut
 */
export function judgeDrop(
  drop: Drop,
  solution: ShopSolution,
  rules: Rules,
  drawing: readonly Drop[],
): DropAir {
  const own = solution.airIn.get(drop.path[0]?.id ?? '') ?? [];
  const first = own[0];
  const pipe = own.at(-1);
  const flow = dropFlow(solution, drop) ?? 0;
  const need = neededFlow(drop.port);
  const entry = first?.parts.filter(({ kind }) => kind === 'entry') ?? [];
  const entryLoss = entry.reduce((sum, part) => sum + part.loss, 0);
  const velocityPressure = (solution.network.air.density * (first?.velocity ?? 0) ** 2) / 2;
  const withChips = runsWithChips(drawing);
  const later = drop.path.slice(1).map(
    ({ id: run }): MainAir => ({
      run,
      velocity: solution.airIn.velocityInto(run),
      transport: withChips.has(run) ? minimumTransport(rules, 'main') : null,
    }),
  );
  return {
    kind: 'judged',
    drop,
    solution,
    flow,
    need,
    margin: flow - need,
    standing: drawing.includes(drop) ? standingOf(flow, need) : 'shut',
    velocity: pipe?.velocity ?? 0,
    transport: makesChips(drop.machine) ? minimumTransport(rules, 'branch') : null,
    main: later.reduce<MainAir | null>(
      (slowest, run) => (slowest && slowest.velocity <= run.velocity ? slowest : run),
      null,
    ),
    hoodStatic: -entryLoss - velocityPressure,
  };
}

/** The air of one shop by its open gates: as they stand now, or as a drop is judged with. */
export interface GateAir {
  readonly tree: DuctTree;
  readonly rules: Rules;
  readonly networkOf: (openGates: ReadonlySet<string>) => CompiledNetwork;
}

/** Makes a shop ready to be solved with one set of open gates after another. */
export const gateAir = (shop: Shop, tree: DuctTree, view: View): GateAir => ({
  tree,
  rules: shop.shop.rules,
  networkOf: networksByGates(shop, tree, { view }),
});

/** The air with the gates open that the document has open; `from` as for `solveCompiled`. */
export const airNow = ({ tree, networkOf }: GateAir, from?: NetworkState): ShopSolved =>
  solveCompiled(tree, networkOf(gatesOpenNow(tree)), from);

/**
 * Judges one drop at a time. With rule `one` each is solved with the gates on its own way open, those that the shop's
 * rules leave open beside it, and all others shut; with `now` one solution serves them all. `from`, the state of an earlier solution for
 * the same drop, makes it faster where the ducts are the same but for their sizes and lengths.
 */
export function dropJudge(
  air: GateAir,
  rule: GateRule,
): (drop: Drop, from?: NetworkState) => DropResult {
  const { tree, rules, networkOf } = air;
  const openNow = gatesOpenNow(tree);
  const drawingNow = tree.drops.filter((drop) => isDrawing(drop, openNow));
  const together = rule === 'now' ? airNow(air) : null;
  return (drop, from) => {
    const solved = together ?? solveCompiled(tree, networkOf(gatesWith([drop], tree, rules)), from);
    return solved.kind === 'solved'
      ? judgeDrop(drop, solved, rules, rule === 'one' ? [drop] : drawingNow)
      : { kind: 'unsolved', drop, reason: solved.reason };
  };
}

/** Every drop's result, as `dropJudge` judges each. */
export function judgeDrops(shop: Shop, tree: DuctTree, view: View, rule: GateRule): DropResult[] {
  const judge = dropJudge(gateAir(shop, tree, view), rule);
  return tree.drops.map((drop) => judge(drop));
}
