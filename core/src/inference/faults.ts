import { jointCount } from '../design/length';
import type { Run, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { type Factors, NO_CHANGE } from '../network/assemble/setting';

/** Something that may be wrong with a shop, without how much of it. */
export type Fault =
  /** An opening in a run; a run that is clogged; a gate that does not open fully; one that does not shut. */
  | { readonly kind: RunFaultKind; readonly run: string }
  /** The filter is more loaded, the separator takes more, the blower gives less, all joints leak more. */
  | { readonly kind: CollectorFaultKind }
  /** A meter shows too much or too little, by more than its accuracy. */
  | { readonly kind: 'meter'; readonly meter: string; readonly way: 'more' | 'less' };

export type RunFaultKind = 'opening' | 'clog' | 'gate not open' | 'gate not shut';
export type CollectorFaultKind = 'filter' | 'separator' | 'blower' | 'leakage';
export type FaultKind = Fault['kind'];

/** Least and most amount that is looked for. */
interface AmountRange {
  readonly from: number;
  readonly to: number;
}

/**
 * How much of a fault is looked for, log-uniform between its ends: an opening in m²; a clog as loss coefficient on the
 * run's own velocity pressure; of a gate the share of its opening that air finds; of the filter's loading, the
 * separator's loss, the leakage of all joints and a meter the factor, of the blower its pressure over what is believed.
 * Modelling estimates. What blows out between blower and filter no airflow shows, so it is not looked for.
 */
export const AMOUNTS: Readonly<Record<FaultKind, AmountRange>> = {
  opening: { from: 1.1e-3, to: 8e-3 },
  clog: { from: 0.7, to: 40 },
  'gate not open': { from: 0.65, to: 0.15 },
  'gate not shut': { from: 0.03, to: 0.6 },
  filter: { from: 1.35, to: 6 },
  separator: { from: 1.5, to: 5 },
  blower: { from: 0.93, to: 0.65 },
  leakage: { from: 1.8, to: 8 },
  meter: { from: 1.05, to: 1.35 },
};

/** How often each kind is the fault where something is wrong, all its places together: modelling estimates. */
const SHARES: Readonly<Record<FaultKind, number>> = {
  opening: 0.37,
  clog: 0.1,
  'gate not open': 0.12,
  'gate not shut': 0.08,
  filter: 0.1,
  separator: 0.07,
  blower: 0.05,
  leakage: 0.05,
  meter: 0.06,
};

/** How often nothing is wrong beyond what the model is unsure of anyway: a modelling estimate. */
export const PRIOR_OF_NOTHING = 0.5;

/** A fault with its share of what is believed before any reading. */
export interface PossibleFault {
  readonly fault: Fault;
  readonly prior: number;
}

/**
 * Every fault that is looked for in a shop. Openings are as likely in a run as it has joints, clogs the same in every
 * run, and a gate is as likely to stick as any other.
 * @param meters ids of the meters the readings were taken with
 */
export function possibleFaults(
  shop: Shop,
  tree: DuctTree,
  meters: readonly string[],
): PossibleFault[] {
  const runs = tree.upstreamFirst;
  const gated = runs.filter(({ gate }) => gate !== null);
  const ofRuns = (kind: RunFaultKind, of: readonly Run[], weigh: (run: Run) => number) => {
    const whole = of.reduce((sum, run) => sum + weigh(run), 0);
    return of.map(
      (run): PossibleFault => ({
        fault: { kind, run: run.id },
        prior: (SHARES[kind] * weigh(run)) / whole,
      }),
    );
  };
  const ofCollector = (kind: CollectorFaultKind): PossibleFault => ({
    fault: { kind },
    prior: SHARES[kind],
  });
  const hasFilter = shop.collector.exhaust.kind !== 'outdoors';
  const all = [
    ...ofRuns('opening', runs, (run) => 1 + jointCount(run, tree)),
    ...ofRuns('clog', runs, () => 1),
    ...ofRuns('gate not open', gated, () => 1),
    ...ofRuns('gate not shut', gated, () => 1),
    ...(hasFilter ? [ofCollector('filter')] : []),
    ...(shop.collector.separator.kind === 'none' ? [] : [ofCollector('separator')]),
    ofCollector('blower'),
    ofCollector('leakage'),
    ...meters.flatMap((meter) =>
      (['more', 'less'] as const).map(
        (way): PossibleFault => ({
          fault: { kind: 'meter', meter, way },
          prior: SHARES.meter / meters.length / 2,
        }),
      ),
    ),
  ];
  const whole = all.reduce((sum, { prior }) => sum + prior, 0);
  return all.map(({ fault, prior }) => ({
    fault,
    prior: ((1 - PRIOR_OF_NOTHING) * prior) / whole,
  }));
}

/** A shop with what its network is assembled from. */
export interface BelievedShop {
  readonly shop: Shop;
  readonly tree: DuctTree;
  readonly factors: Factors;
}

export const asBelieved = (shop: Shop, tree: DuctTree): BelievedShop => ({
  shop,
  tree,
  factors: NO_CHANGE,
});

/** What a fault of some amount makes of a shop; a meter's does nothing to it. */
export function withFault(before: BelievedShop, fault: Fault, amount: number): BelievedShop {
  const { shop, factors } = before;
  switch (fault.kind) {
    case 'opening': {
      const hole = { run: fault.run, area: amount, origin: { kind: 'assumed' } as const };
      return withCondition(before, { holes: [...shop.condition.holes, hole] });
    }
    case 'clog':
      return withRun(before, fault.run, (run) => ({
        ...run,
        fittings: [
          ...run.fittings,
          { kind: 'other', id: 'clog', name: 'clog', lossCoefficient: amount, count: 1 },
        ],
      }));
    case 'gate not open':
      return withRun(before, fault.run, ({ gate, ...run }) => ({
        ...run,
        gate: gate && { ...gate, opening: Math.min(gate.opening, amount) },
      }));
    case 'gate not shut':
      return withRun(before, fault.run, ({ gate, ...run }) => ({
        ...run,
        gate: gate && { ...gate, closedGap: Math.max(gate.closedGap, amount) },
      }));
    case 'leakage':
      return { ...before, factors: { ...factors, leaks: factors.leaks * amount } };
    case 'filter':
    case 'separator':
    case 'blower':
      return { ...before, factors: { ...factors, [fault.kind]: factors[fault.kind] * amount } };
    case 'meter':
      return before;
  }
}

const withCondition = (before: BelievedShop, change: Partial<Shop['condition']>): BelievedShop => ({
  ...before,
  shop: { ...before.shop, condition: { ...before.shop.condition, ...change } },
});

/** The same shop with one run changed, in its document and in the tree its ducts make. */
function withRun(
  { shop, tree, factors }: BelievedShop,
  id: string,
  change: (run: Run) => Run,
): BelievedShop {
  const made = new Map<Run, Run>();
  const changed = (run: Run): Run => {
    if (run.id !== id) return run;
    const known = made.get(run) ?? change(run);
    made.set(run, known);
    return known;
  };
  return {
    shop: { ...shop, ducts: { ...shop.ducts, runs: shop.ducts.runs.map(changed) } },
    tree: {
      ...tree,
      upstreamFirst: tree.upstreamFirst.map(changed),
      into: new Map([...tree.into].map(([node, runs]) => [node, runs.map(changed)])),
      outOf: new Map([...tree.outOf].map(([node, run]) => [node, changed(run)])),
      drops: tree.drops.map((drop) =>
        drop.path.some((run) => run.id === id) ? { ...drop, path: drop.path.map(changed) } : drop,
      ),
    },
    factors,
  };
}

/** What a meter at fault adds to ln of what it shows; of another meter, or another fault, nothing. */
export const shownMore = (fault: Fault | null, amount: number, meter: string): number =>
  fault?.kind === 'meter' && fault.meter === meter
    ? Math.log(amount) * (fault.way === 'more' ? 1 : -1)
    : 0;

/** A fault's own name, the same for the same fault. */
export const keyOfFault = (fault: Fault): string =>
  'run' in fault
    ? `${fault.kind} ${fault.run}`
    : fault.kind === 'meter'
      ? `meter ${fault.way} ${fault.meter}`
      : fault.kind;
