import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { PIPES } from '../../duct/pipes';
import { isStraight } from '../../fittings/joins/joins';
import { piecesOf } from '../../fittings/kinds/fitting-kinds';
import { type Improvement, type Purchase, runIn, type Work } from '../improvement';

/** Work to hang pipe, h for each m, and for each fitting, wye, gate or port: estimates. */
const HOURS = { perMetre: 0.15, perPiece: 0.3 };
/** Sizes up that are tried: of a run by itself, and of many runs together. */
const SIZES_UP = { alone: 2, together: 3 };
const SAME = 1e-4;

/** Wider ducts: one run, a drop's whole way with its port, all mains, everything. */
export function widerDucts(shop: Shop, tree: DuctTree): Improvement[] {
  const most = shop.collector.separator.inletDiameter * 1.05;
  const dropRuns = new Set(tree.drops.map(({ path }) => path[0]?.id));
  const mains = tree.upstreamFirst.filter(({ id }) => !dropRuns.has(id));
  const alone = tree.upstreamFirst.flatMap((run) =>
    sizesAbove(run, run.diameter, most, SIZES_UP.alone).map((to) =>
      widened(tree, [run], [], { kind: 'wider run', run: run.id, from: run.diameter, to }),
    ),
  );
  const ways = tree.drops.flatMap(({ id, path, port }) => {
    const narrowest = narrowestOf(path);
    if (!narrowest) return [];
    const from = Math.min(port.diameter, narrowest.diameter);
    return sizesAbove(narrowest, from, most, SIZES_UP.together).map((to) =>
      widened(tree, path, [id], { kind: 'wider way', drop: id, to }),
    );
  });
  const together = (
    kind: 'wider mains' | 'wider ducts',
    runs: readonly Run[],
    drops: readonly string[],
  ) => {
    const narrowest = runs.length > 1 ? narrowestOf(runs) : null;
    return narrowest
      ? sizesAbove(narrowest, narrowest.diameter, most, SIZES_UP.together).map((to) =>
          widened(tree, runs, drops, { kind, to }),
        )
      : [];
  };
  const allDrops = tree.drops.map(({ id }) => id);
  return [
    ...alone,
    ...ways,
    ...together('wider mains', mains, []),
    ...together('wider ducts', tree.upstreamFirst, allDrops),
  ];
}

/** A run in which chips settle at a size that keeps them moving, with its hose. */
export function narrowed(tree: DuctTree, run: Run, to: number): Improvement {
  const { id, diameter: from } = run;
  const isHoseWider = run.hose !== null && run.hose.diameter > to + SAME;
  return {
    id: `narrower run ${id}`,
    work: { kind: 'narrower run', run: id, from, to },
    change: (shop) => {
      const own = runIn(shop, id);
      if (!own) return;
      own.diameter = to;
      if (own.hose && isHoseWider) own.hose.diameter = to;
    },
    buys: [...piecesOfRun(run, tree, to), ...(isHoseWider ? hoseOf(run, to) : [])],
    price: null,
    hours: hoursOf(run) + (isHoseWider ? HOURS.perPiece : 0),
    changes: [`size ${id}`, ...(isHoseWider ? [`hose ${id}`] : [])],
  };
}

/** Runs at sizes chosen for all of them together, wider or narrower; null where all have them already. */
export function resized(
  tree: DuctTree,
  sizes: Extract<Work, { readonly kind: 'suggested sizes' }>['runs'],
): Improvement | null {
  const wanted = new Map(sizes.map(({ run, to }) => [run, to]));
  const changed = tree.upstreamFirst.flatMap((run) => {
    const to = wanted.get(run.id);
    return to !== undefined && Math.abs(run.diameter - to) > SAME ? [{ run, to }] : [];
  });
  if (changed.length === 0) return null;
  return {
    id: 'suggested sizes',
    work: { kind: 'suggested sizes', runs: changed.map(({ run, to }) => ({ run: run.id, to })) },
    change: (shop) => {
      for (const run of shop.ducts.runs) run.diameter = wanted.get(run.id) ?? run.diameter;
    },
    buys: changed.flatMap(({ run, to }) => piecesOfRun(run, tree, to)),
    price: null,
    hours: changed.reduce((sum, { run }) => sum + hoursOf(run), 0),
    changes: changed.map(({ run }) => `size ${run.id}`),
  };
}

const narrowestOf = (runs: readonly Run[]): Run | null =>
  runs.reduce<Run | null>(
    (least, run) => (least && least.diameter <= run.diameter ? least : run),
    null,
  );

/** The next sizes its pipe is sold in, m. */
const sizesAbove = ({ pipe }: Run, from: number, most: number, count: number): number[] =>
  PIPES[pipe].sizes
    .map(({ inside }) => inside)
    .filter((inside) => inside > from + SAME && inside <= most)
    .slice(0, count);

/** Runs at another size, with their hoses and the ports of some drops; what is as wide already stays. */
function widened(
  tree: DuctTree,
  runs: readonly Run[],
  drops: readonly string[],
  work: Extract<Work, { readonly kind: `wider ${'run' | 'way' | 'mains' | 'ducts'}` }>,
): Improvement {
  const { to } = work;
  const narrow = runs.filter(({ diameter }) => diameter < to - SAME);
  const ids = new Set(narrow.map(({ id }) => id));
  const withHose = new Set(
    tree.drops.flatMap(({ id, path: [own] }) => (drops.includes(id) && own ? [own.id] : [])),
  );
  const ports = new Set(
    tree.drops.flatMap(({ id, port }) =>
      drops.includes(id) && port.diameter < to - SAME ? [port.id] : [],
    ),
  );
  const hoses = runs.filter(
    ({ id, hose }) => withHose.has(id) && hose && hose.diameter < to - SAME,
  );
  // Where the ducts are as wide already, it is the port that is narrow.
  const own: Work =
    work.kind === 'wider way' && narrow.length === 0
      ? { kind: 'larger port', drop: work.drop, to }
      : work;
  const where = 'run' in work ? work.run : 'drop' in work ? work.drop : 'all';
  return {
    id: `${own.kind} ${where} ${to.toFixed(4)}`,
    work: own,
    change: (shop) => {
      for (const run of shop.ducts.runs) {
        if (ids.has(run.id)) run.diameter = Math.max(run.diameter, to);
        if (withHose.has(run.id) && run.hose && run.hose.diameter < to) run.hose.diameter = to;
      }
      for (const port of shop.machines.flatMap((machine) => machine.ports)) {
        if (ports.has(port.id)) port.diameter = Math.max(port.diameter, to);
      }
    },
    buys: [
      ...narrow.flatMap((run) => piecesOfRun(run, tree, to)),
      ...hoses.flatMap((run) => hoseOf(run, to)),
      ...[...ports].map((): Purchase => ({ item: 'hood', quantity: 1, diameter: to })),
    ],
    price: null,
    hours: narrow.reduce(
      (sum, run) => sum + hoursOf(run),
      HOURS.perPiece * (ports.size + hoses.length),
    ),
    changes: [
      ...narrow.map(({ id }) => `size ${id}`),
      ...[...ports].map((id) => `port ${id}`),
      ...hoses.map(({ id }) => `hose ${id}`),
    ],
  };
}

/** A run's hose at another diameter. */
const hoseOf = ({ hose }: Run, diameter: number): Purchase[] =>
  hose
    ? [
        {
          item: hose.kind === 'smooth' ? 'smoothHose' : 'ribbedHose',
          quantity: hose.length,
          diameter,
        },
      ]
    : [];

/** What a run is made of at another diameter. */
function piecesOfRun(run: Run, tree: DuctTree, diameter: number): Purchase[] {
  const buy = (item: Purchase['item'], quantity: number): Purchase[] =>
    quantity > 0 ? [{ item, quantity, diameter }] : [];
  const elbows = run.fittings.reduce((sum, fitting) => sum + piecesOf(fitting), 0);
  return [
    ...buy('pipe', run.length ?? 0),
    ...buy('elbow', elbows),
    ...buy('wye', (tree.into.get(run.from) ?? []).length > 1 ? 1 : 0),
    ...buy('gate', run.gate ? 1 : 0),
  ];
}

function hoursOf(run: Run): number {
  const fittings = run.fittings.reduce((sum, fitting) => sum + piecesOf(fitting), 0);
  const pieces = fittings + (run.gate ? 1 : 0) + (isStraight(run.joins) ? 0 : 1);
  return HOURS.perMetre * (run.length ?? 0) + HOURS.perPiece * pieces;
}
