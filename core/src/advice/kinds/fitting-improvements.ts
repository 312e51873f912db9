import { setJoins } from '../../design/edit-ducts';
import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { elbowLoss } from '../../fittings/elbow';
import { joinAngle } from '../../fittings/joins/joins';
import { holdTyped, setBendStyle } from '../../routing/edit-route';
import { type Improvement, runIn } from '../improvement';

type Elbow = Extract<Run['fittings'][number], { kind: 'elbow' }>;

/** What an elbow with a long radius is like, and the wye that takes the place of a tee, rad. */
const LONG_RADIUS = { style: 'fivePiece', radiusRatio: 1.5 } as const;
const WYE = Math.PI / 6;
/** A branch at more than this is a tee, or nearly, rad: 50°. */
const TEE = (50 / 180) * Math.PI;
/** A pair of 45s makes a right angle: turns that are nearly one, rad. */
const RIGHT = { least: (80 / 180) * Math.PI, most: (100 / 180) * Math.PI };
/** Between the two 45s of a pair, m. */
const SPACER = 0.15;
/** An elbow is tight where one of a long radius loses less than this share of what it does. */
const TIGHT = 0.9;
const HOURS = 0.4;

/** Elbows of a long radius, or pairs of 45s, for tight ones, and wyes for tees. */
export function fittingImprovements(_: Shop, tree: DuctTree): Improvement[] {
  return tree.upstreamFirst.flatMap((run) => {
    const tight = run.fittings.filter(isTight);
    const sharp = tight.filter(({ angle }) => angle > RIGHT.least && angle < RIGHT.most);
    const angle = joinAngle(run.joins);
    return [
      ...(tight.length > 0 ? [longRadius(run, tight)] : []),
      ...(sharp.length > 0 ? [pairs(run, sharp)] : []),
      ...(run.joins.kind === 'branch' && angle !== null && angle > TEE ? [wye(run)] : []),
    ];
  });
}

const isTight = (fitting: Run['fittings'][number]): fitting is Elbow =>
  fitting.kind === 'elbow' &&
  elbowLoss(LONG_RADIUS.style, fitting.angle, LONG_RADIUS.radiusRatio) <
    TIGHT * elbowLoss(fitting.style, fitting.angle, fitting.radiusRatio);

const countOf = (elbows: readonly Elbow[]) => elbows.reduce((sum, { count }) => sum + count, 0);

/** A drawn elbow's bend: one of a pair stands with the other's name. */
const bendOf = ({ id }: Elbow) => id.replace(/-[ab]$/, '');

function longRadius(run: Run, tight: readonly Elbow[]): Improvement {
  const ids = new Set(tight.map(({ id }) => id));
  return {
    id: `long-radius elbows ${run.id}`,
    work: { kind: 'long-radius elbows', run: run.id, count: countOf(tight) },
    change: (shop) => {
      if (run.route?.isFollowed) {
        const { style: elbow, radiusRatio } = LONG_RADIUS;
        for (const each of tight) {
          const pair = /-[ab]$/.test(each.id) ? SPACER : null;
          setBendStyle(shop, bendOf(each), { elbow, radiusRatio, pair });
        }
        return;
      }
      for (const fitting of runIn(shop, run.id)?.fittings ?? []) {
        if (fitting.kind === 'elbow' && ids.has(fitting.id)) Object.assign(fitting, LONG_RADIUS);
      }
    },
    buys: [{ item: 'elbow', quantity: countOf(tight), diameter: run.diameter }],
    price: null,
    hours: HOURS * countOf(tight),
    changes: [`elbows ${run.id}`],
  };
}

function pairs(run: Run, sharp: readonly Elbow[]): Improvement {
  const ids = new Set(sharp.map(({ id }) => id));
  return {
    id: `pairs of 45s ${run.id}`,
    work: { kind: 'pairs of 45s', run: run.id, count: countOf(sharp) },
    change: (shop) => {
      if (run.route?.isFollowed) {
        for (const each of sharp) {
          const { style: elbow, radiusRatio } = each;
          setBendStyle(shop, bendOf(each), { elbow, radiusRatio, pair: SPACER });
        }
        return;
      }
      const own = runIn(shop, run.id);
      if (!own) return;
      own.fittings = own.fittings.map((fitting) =>
        fitting.kind === 'elbow' && ids.has(fitting.id)
          ? {
              kind: 'pair' as const,
              id: fitting.id,
              style: fitting.style,
              radiusRatio: fitting.radiusRatio,
              spacer: SPACER,
              count: fitting.count,
            }
          : fitting,
      );
    },
    buys: [{ item: 'elbow', quantity: 2 * countOf(sharp), diameter: run.diameter }],
    price: null,
    hours: 1.5 * HOURS * countOf(sharp),
    changes: [`elbows ${run.id}`],
  };
}

function wye(run: Run): Improvement {
  return {
    id: `wye ${run.id}`,
    work: { kind: 'wye', run: run.id, angle: WYE },
    change: (shop) => {
      holdTyped(shop, run.id);
      setJoins(shop, run.id, { kind: 'branch', angle: WYE });
    },
    buys: [
      { item: 'wye', quantity: 1, diameter: run.diameter },
      { item: 'elbow', quantity: 1, diameter: run.diameter },
    ],
    price: null,
    hours: 2 * HOURS,
    changes: [`joins ${run.id}`],
  };
}
