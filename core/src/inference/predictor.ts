import { type EstimateKind, sensitivities } from '../analysis/flow-sensitivities';
import { TO_SIGMA, UNCERTAINTY, uncertaintyBefore } from '../analysis/flow-uncertainty';
import { holeLeakage } from '../duct/leakage';
import type { NetworkQuantity } from '../network/adjoint';
import { networksByGates } from '../network/assemble/networks-by-gates';
import { SEPARATOR_RUN } from '../network/assemble/separator-segment';
import { type ShopSolution, solveCompiled } from '../network/solve-shop';
import { flowAt } from '../reading/flow-at';
import type { Measurand } from '../reading/measurand';
import { measuredIn } from '../reading/measured-in';
import type { BelievedShop } from './faults';

/** What is asked of a model: a measurand with certain gates open. */
export interface Asked {
  readonly measurand: Measurand;
  readonly gates: ReadonlySet<string>;
  readonly gatesKey: string;
}

/** Less than this is nothing that any meter shows: m³/s, or Pa. */
const NOTHING = 1e-6;

/** A shop's solutions by the gates that are open, each solved once. */
export class Solutions {
  private readonly known = new Map<string, ShopSolution | null>();
  private networkOf: ReturnType<typeof networksByGates> | null = null;

  /** @param near solutions of a shop nearly the same, to start from */
  constructor(
    readonly believed: BelievedShop,
    private readonly near: Solutions | null = null,
  ) {}

  /** Assembled when it is first asked for: of many hypotheses little is ever solved. */
  private networkWith(gates: ReadonlySet<string>) {
    const { shop, tree, factors } = this.believed;
    this.networkOf ??= networksByGates(shop, tree, { view: 'found', factors });
    return this.networkOf(gates);
  }

  /** Null: the shop has no answer. */
  of({ gates, gatesKey }: Pick<Asked, 'gates' | 'gatesKey'>): ShopSolution | null {
    const known = this.known.get(gatesKey);
    if (known !== undefined) return known;
    const compiled = this.networkWith(gates);
    const start = this.near?.known.get(gatesKey)?.state;
    const from = start?.qUp.length === compiled.count ? start : undefined;
    const solved = solveCompiled(this.believed.tree, compiled, from);
    const solution = solved.kind === 'solved' ? solved : null;
    this.known.set(gatesKey, solution);
    return solution;
  }

  /** ln of what is asked; null: the model says nothing of it. */
  lnOf(asked: Asked): number | null {
    const solution = this.of(asked);
    const value = solution && measuredIn(this.believed.shop, solution, asked.measurand);
    return value === null ? null : Math.log(Math.max(value, NOTHING));
  }
}

/**
 * What the model is unsure of, each number with one standard deviation in ln: of the collector and the joints one
 * each, hood entries one for every drop, fittings and friction one for every run.
 */
export interface Nuisances {
  readonly names: readonly string[];
  readonly sigmas: readonly number[];
  readonly indexOf: ReadonlyMap<string, number>;
  /** Where those of a run stand, by its id. */
  readonly ofRun: Readonly<Record<(typeof OF_RUNS)[number], ReadonlyMap<string, number>>>;
}

const OF_COLLECTOR = ['separator', 'filter', 'leaks', 'blower'] as const;
const OF_RUNS = ['entries', 'fittings', 'friction'] as const;

export function nuisancesOf({ shop, tree }: BelievedShop): Nuisances {
  const own = OF_RUNS.flatMap((kind) =>
    tree.upstreamFirst.map(({ id }) => ({ name: `${kind} ${id}`, sigma: UNCERTAINTY[kind] })),
  );
  const all = [
    ...OF_COLLECTOR.map((kind) => ({ name: kind as string, sigma: uncertaintyBefore(kind, shop) })),
    ...own,
    // At an earlier time the filter was loaded more or less than it is now, by as much as anyone knows.
    { name: EARLIER_FILTER, sigma: uncertaintyBefore('filter', shop) },
  ];
  const placesOf = (kind: (typeof OF_RUNS)[number]) => {
    const first = OF_COLLECTOR.length + OF_RUNS.indexOf(kind) * tree.upstreamFirst.length;
    return new Map(tree.upstreamFirst.map(({ id }, i) => [id, first + i]));
  };
  return {
    names: all.map(({ name }) => name),
    sigmas: all.map(({ sigma }) => TO_SIGMA * sigma),
    indexOf: new Map(all.map(({ name }, i) => [name, i])),
    ofRun: {
      entries: placesOf('entries'),
      fittings: placesOf('fittings'),
      friction: placesOf('friction'),
    },
  };
}

const EARLIER_FILTER = 'filter earlier';

/** Derivatives of a reading taken at an earlier time, when the filter was another one. */
export function ofEarlierFilter(
  byNuisance: readonly number[],
  { indexOf }: Nuisances,
): readonly number[] {
  const [now, earlier] = ['filter', EARLIER_FILTER].map((name) => indexOf.get(name) ?? -1);
  return byNuisance.map((each, i) =>
    i === now ? 0 : i === earlier ? (byNuisance[now ?? -1] ?? 0) : each,
  );
}

/** What a shop expects of a reading, in ln, and what that moves with. */
export interface Expected {
  readonly ln: number;
  readonly byNuisance: readonly number[];
}

/**
 * What a solved shop expects of a reading; null: it says nothing of it.
 * @param isEarlier at an earlier time, when the filter was another one
 */
export function expectedBy(
  solutions: Solutions,
  asked: Asked,
  nuisances: Nuisances,
  isEarlier = false,
): Expected | null {
  const [solution, ln] = [solutions.of(asked), solutions.lnOf(asked)];
  if (!solution || ln === null) return null;
  const { byNuisance } = derivativesOf(solutions, solution, asked, nuisances);
  return { ln, byNuisance: isEarlier ? ofEarlierFilter(byNuisance, nuisances) : byNuisance };
}

/** What the model is asked for as its network has it: the quantities its ln is made of, and a direct part. */
interface AsQuantity {
  readonly quantity: NetworkQuantity;
  /** Kinds of estimate it is in proportion to besides. */
  readonly inProportionTo: readonly EstimateKind[];
}

/** Null: what is asked has no derivative here. */
function quantityOf(solution: ShopSolution, { at, shows }: Measurand): AsQuantity | null {
  const { tree, compiled } = solution;
  if (shows === 'flow') {
    const found = flowAt(tree, compiled, at);
    return found && { quantity: found.quantity, inProportionTo: [] };
  }
  const ofSegment = (segment: number | undefined): AsQuantity | null =>
    segment === undefined
      ? null
      : { quantity: { kind: 'static pressure', segment }, inProportionTo: [] };
  switch (at.kind) {
    case 'port':
      return ofSegment(compiled.ofRun.get(ownRun(tree, at.node))?.at(-1));
    case 'run':
      return ofSegment(compiled.ofRun.get(at.run)?.at(-1));
    case 'collector':
      // Across the filter and behind the blower it is the filter's resistance times the flow.
      return at.tap === 'filter' || at.tap === 'blower outlet'
        ? { quantity: { kind: 'blower flow' }, inProportionTo: ['filter'] }
        : ofSegment(compiled.ofRun.get(SEPARATOR_RUN)?.[0]);
    case 'place':
      return null;
  }
}

const ownRun = (tree: ShopSolution['tree'], node: string): string =>
  tree.drops.find(({ id }) => id === node)?.path[0]?.id ?? '';

/** How ln of what is asked moves with everything else. First order. */
export interface Derivatives {
  /** By each of the nuisances, for ln of its factor. */
  readonly byNuisance: readonly number[];
  /** By an opening in a run, for each m² of it. */
  readonly byOpening: (run: string) => number;
  /** By one velocity head more of loss in a run. */
  readonly byLoss: (run: string) => number;
}

const NONE: Omit<Derivatives, 'byNuisance'> = { byOpening: () => 0, byLoss: () => 0 };

/** Derivatives of ln of what is asked in a solution, by one adjoint pass. */
export function derivativesOf(
  { believed: { shop, factors } }: Solutions,
  solution: ShopSolution,
  { measurand }: Asked,
  nuisances: Nuisances,
): Derivatives {
  const asked = quantityOf(solution, measurand);
  const byNuisance = nuisances.names.map(() => 0);
  if (!asked) return { ...NONE, byNuisance };
  const of = sensitivities(
    { shop, view: 'found', compiled: solution.compiled, state: solution.state, factors },
    asked.quantity,
  );
  const { value } = of;
  if (!(Math.abs(value) > NOTHING)) return { ...NONE, byNuisance };
  for (const kind of OF_COLLECTOR) {
    const index = nuisances.indexOf.get(kind) ?? -1;
    const direct = asked.inProportionTo.includes(kind) ? 1 : 0;
    byNuisance[index] = of.byEstimate[kind] / value + direct;
  }
  for (const kind of OF_RUNS) {
    const places = nuisances.ofRun[kind];
    for (const [run, change] of of.byRun[kind]) {
      const index = places.get(run);
      if (index !== undefined) byNuisance[index] = change / value;
    }
  }
  const perArea = holeLeakage(1, solution.network.air.density);
  const pipeOf = (run: string) => solution.compiled.ofRun.get(run)?.at(-1);
  return {
    byNuisance,
    byOpening: (run) => {
      const pipe = pipeOf(run);
      return pipe === undefined ? 0 : of.byOpening(pipe, perArea) / value;
    },
    byLoss: (run) => {
      const pipe = pipeOf(run);
      return pipe === undefined ? 0 : of.byLoss(pipe) / value;
    },
  };
}
