import { type CollectorLoad, collectorLoad } from '../analysis/collector-load';
import { type CollectorOption, compareCandidates } from '../analysis/compare-candidates';
import { type ByMethod, compareMethods } from '../analysis/compare-methods';
import { everyGateSet, type OverSets } from '../analysis/every-gate-set';
import type { Finding } from '../analysis/findings/finding';
import { findings } from '../analysis/findings/findings';
import { gatesOpenNow, isDrawing } from '../analysis/gate-sets';
import { judgeDrop } from '../analysis/judge-drops';
import type { BlowerPoint } from '../collector/blower';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { type Fault, faultsOf } from '../document/fault';
import { readShop } from '../file/shop-file';
import type { Journal } from '../journal/journal';
import { type ShopSolution, solveTree } from '../network/solve-shop';
import { type FittedSeparator, fitSeparator } from '../reading/fit-separator';
import { arrangeDucts } from '../routing/arrange-ducts';
import { asAsked } from './as-asked';
import { requestSchema, type SolveRequest } from './request';
import { describeSolution, type SolutionDocument } from './solution-document';

/** The solution, with what else was asked for. */
export type SolveResponse = SolutionDocument & {
  readonly curve?: readonly BlowerPoint[];
  readonly load?: CollectorLoad | null;
  readonly findings?: readonly Finding[];
  readonly methods?: readonly (ByMethod & { readonly drop: string })[];
  readonly gateSets?: OverSets;
  readonly candidates?: readonly CollectorOption[];
  readonly separatorPair?: FittedSeparator;
};

export type SolveOutcome =
  | { readonly ok: true; readonly response: SolveResponse }
  | { readonly ok: false; readonly error: string; readonly faults: readonly Fault[] };

const refuse = (error: string, faults: readonly Fault[]): SolveOutcome => ({
  ok: false,
  error,
  faults,
});

/**
 * Answers a request about a shop: its air, and on demand its collector's load, what is wrong, every
 * method side by side, every set of gates, and fits. Bad input gets a sentence with its path.
 */
export function solveRequest(input: unknown): SolveOutcome {
  const parsed = requestSchema.safeParse(input);
  if (!parsed.success) {
    return refuse('The request is not as it should be.', faultsOf(parsed.error));
  }
  const request = parsed.data;
  const read = readShop(request.shop);
  if (!read.ok) {
    const faults = read.faults.map(({ path, message }) => ({
      path: path === '' ? 'shop' : `shop.${path}`,
      message,
    }));
    return refuse('The shop cannot be solved as it is.', faults);
  }
  const asked = asAsked(read.shop, request);
  if (!asked.ok) return refuse(asked.error, [asked.fault]);
  const { shop, curve } = asked;
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) {
    const reason = { kind: 'not-a-tree', problems: arranged.problems } as const;
    return { ok: true, response: describeSolution({ kind: 'unsolved', reason }) };
  }
  return solveArranged(shop, arranged.tree, request, curve, read.journal.sounds);
}

function solveArranged(
  shop: Shop,
  tree: DuctTree,
  request: SolveRequest,
  curve: readonly BlowerPoint[] | null,
  sounds: Journal['sounds'],
): SolveOutcome {
  const { view, separatorPair: pair } = request;
  const solved = solveTree(shop, tree, { view });
  const wants = (what: SolveRequest['include'][number]) => request.include.includes(what);
  const solution = solved.kind === 'solved' ? solved : null;
  const drop = tree.drops.find(({ id }) => id === pair?.drop);
  if (pair && !drop) {
    const message = `there is no drop '${pair.drop}'`;
    return refuse('The drop is not the shop’s.', [{ path: 'separatorPair.drop', message }]);
  }
  return {
    ok: true,
    response: {
      ...describeSolution(solved),
      ...(curve && { curve }),
      ...(wants('load') && { load: solution && collectorLoad(shop, solution, view) }),
      ...(wants('findings') && { findings: solution ? allFindings(shop, solution, view) : [] }),
      ...(wants('methods') && {
        methods: tree.drops.map((each) => ({
          drop: each.id,
          ...compareMethods(shop, tree, each, { view }),
        })),
      }),
      ...(wants('gateSets') && { gateSets: everyGateSet(shop, tree, view) }),
      ...(wants('candidates') && { candidates: compareCandidates(shop, tree, view, sounds) }),
      ...(pair &&
        drop && {
          separatorPair: fitSeparator(shop, tree, drop, { view }, pair.without, pair.with),
        }),
    },
  };
}

/** What is said of every drop that draws, each thing once. */
function allFindings(shop: Shop, solution: ShopSolution, view: SolveRequest['view']): Finding[] {
  const open = gatesOpenNow(solution.tree);
  const drawing = solution.tree.drops.filter((drop) => isDrawing(drop, open));
  const byKey = new Map<string, Finding>();
  for (const drop of solution.tree.drops) {
    const air = judgeDrop(drop, solution, shop.shop.rules, drawing);
    for (const finding of findings(shop, air, view, 'now')) {
      byKey.set(JSON.stringify([finding.kind, finding.where, finding.numbers]), finding);
    }
  }
  return [...byKey.values()];
}
