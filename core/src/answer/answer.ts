import { airAtSite } from '../air/air-at-site';
import type { BlowerPoint } from '../collector/blower';
import { readCurveFile } from '../collector/curve-file';
import { curveFromTests, estimatedCurve } from '../collector/estimated-curve';
import { type ShopSolution, solveTree } from '../network/solve-shop';
import { type FittedSeparator, fitSeparator } from '../reading/fit-separator';
import type { Shop } from '../shop/schema';
import { type Fault, readShop } from '../shop/shop-file';
import { arrangeDucts, type DuctTree } from '../shop/topology';
import { type CollectorLoad, collectorLoad } from '../verdict/collector-load';
import { type Contender, compareCandidates } from '../verdict/compare-candidates';
import { type ByMethod, compareMethods } from '../verdict/compare-methods';
import { everyGateSet, type OverSets } from '../verdict/every-gate-set';
import type { Finding } from '../verdict/findings/finding';
import { findings } from '../verdict/findings/findings';
import { gatesOpenNow, isDrawing } from '../verdict/gate-sets';
import { judgeDrop } from '../verdict/judge-drops';
import { type AnswerRequest, requestSchema } from './request';
import { describeSolution, type SolutionDocument } from './solution-document';

/** The solution, with what else was asked for. */
export type Answer = SolutionDocument & {
  readonly curve?: readonly BlowerPoint[];
  readonly load?: CollectorLoad | null;
  readonly findings?: readonly Finding[];
  readonly methods?: readonly (ByMethod & { readonly drop: string })[];
  readonly gateSets?: OverSets;
  readonly candidates?: readonly Contender[];
  readonly separatorPair?: FittedSeparator;
};

export type Answered =
  | { readonly ok: true; readonly answer: Answer }
  | { readonly ok: false; readonly error: string; readonly faults: readonly Fault[] };

const refuse = (error: string, faults: readonly Fault[]): Answered => ({
  ok: false,
  error,
  faults,
});

/**
 * Answers a request about a shop: its air, and on demand its collector's load, what is wrong, every
 * method side by side, every set of gates, and fits. Bad input gets a sentence with its path.
 */
export function answer(input: unknown): Answered {
  const asked = requestSchema.safeParse(input);
  if (!asked.success) {
    const faults = asked.error.issues.map(({ path, message }) => ({
      path: path.map(String).join('.'),
      message,
    }));
    return refuse('The request is not as it should be.', faults);
  }
  const request = asked.data;
  const read = readShop(request.shop);
  if (!read.ok) {
    const faults = read.faults.map(({ path, message }) => ({
      path: path === '' ? 'shop' : `shop.${path}`,
      message,
    }));
    return refuse('The shop cannot be solved as it is.', faults);
  }
  const gated = new Set(read.shop.ducts.runs.filter((run) => run.gate).map(({ id }) => id));
  const unknown = request.openGates?.findIndex((run) => !gated.has(run)) ?? -1;
  if (unknown >= 0) {
    const message = `no run '${request.openGates?.[unknown]}' with a gate`;
    return refuse('The gates are not the shop’s.', [{ path: `openGates.${unknown}`, message }]);
  }
  const curve = curveOf(request, read.shop);
  if (!curve.ok) return refuse('The curve is not one.', [{ path: 'curve', message: curve.reason }]);
  const shop = asAsked(read.shop, request, curve.points);
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) {
    const reason = { kind: 'not-a-tree', problems: arranged.problems } as const;
    return { ok: true, answer: describeSolution({ kind: 'unsolved', reason }) };
  }
  return answerTree(shop, arranged.tree, request, curve.points);
}

type CurveAsked =
  | { readonly ok: true; readonly points: BlowerPoint[] | null }
  | { readonly ok: false; readonly reason: string };

function curveOf({ curve }: AnswerRequest, shop: Shop): CurveAsked {
  const { wheelDiameter, speed } = shop.collector.blower;
  const { density } = airAtSite(shop.shop.site);
  switch (curve?.kind) {
    case undefined:
      return { ok: true, points: null };
    case 'csv':
      return readCurveFile(curve.text, curve.units);
    case 'tests':
      return curveFromTests(curve.blocked, curve.open);
    case 'estimate':
      return { ok: true, points: estimatedCurve(wheelDiameter, speed, curve.freeFlow, density) };
  }
}

/** The shop with the schools and the curve asked for; tests and estimates are made where it stands. */
function asAsked(shop: Shop, request: AnswerRequest, points: BlowerPoint[] | null): Shop {
  const { friction, junctions } = request;
  const own = shop.shop.rules;
  const rules = {
    ...own,
    friction: friction ?? own.friction,
    junctions: junctions ?? own.junctions,
  };
  const { blower } = shop.collector;
  const { speed, wheelDiameter } = blower;
  const isMadeHere = request.curve?.kind !== 'csv';
  const here = { density: airAtSite(shop.shop.site).density, speed, wheelDiameter };
  const changed = points && {
    ...blower,
    curve: points,
    measured: isMadeHere ? here : blower.measured,
  };
  return {
    ...shop,
    shop: { ...shop.shop, rules },
    collector: { ...shop.collector, blower: changed ?? blower },
  };
}

function answerTree(
  shop: Shop,
  tree: DuctTree,
  request: AnswerRequest,
  curve: readonly BlowerPoint[] | null,
): Answered {
  const { view, separatorPair: pair } = request;
  const openGates = request.openGates ? new Set(request.openGates) : undefined;
  const options = { view, openGates };
  const solved = solveTree(shop, tree, options);
  const wants = (what: AnswerRequest['include'][number]) => request.include.includes(what);
  const solution = solved.kind === 'solved' ? solved : null;
  const drop = tree.drops.find(({ id }) => id === pair?.drop);
  if (pair && !drop) {
    const message = `there is no drop '${pair.drop}'`;
    return refuse('The drop is not the shop’s.', [{ path: 'separatorPair.drop', message }]);
  }
  return {
    ok: true,
    answer: {
      ...describeSolution(solved),
      ...(curve && { curve }),
      ...(wants('load') && { load: solution && collectorLoad(shop, solution, view) }),
      ...(wants('findings') && {
        findings: solution ? allFindings(shop, solution, view, openGates) : [],
      }),
      ...(wants('methods') && {
        methods: tree.drops.map((each) => ({
          drop: each.id,
          ...compareMethods(shop, tree, each, options),
        })),
      }),
      ...(wants('gateSets') && { gateSets: everyGateSet(shop, tree, view) }),
      ...(wants('candidates') && { candidates: compareCandidates(shop, tree, view) }),
      ...(pair &&
        drop && {
          separatorPair: fitSeparator(shop, tree, drop, options, pair.without, pair.with),
        }),
    },
  };
}

/** What is said of every drop that draws, each thing once. */
function allFindings(
  shop: Shop,
  solution: ShopSolution,
  view: 'designed' | 'found',
  openGates: ReadonlySet<string> | undefined,
): Finding[] {
  const open = openGates ?? gatesOpenNow(solution.tree);
  const said = new Map<string, Finding>();
  for (const drop of solution.tree.drops) {
    const air = judgeDrop(drop, solution, isDrawing(drop, open));
    for (const finding of findings(shop, air, view, 'now')) {
      said.set(JSON.stringify([finding.kind, finding.where, finding.numbers]), finding);
    }
  }
  return [...said.values()];
}
