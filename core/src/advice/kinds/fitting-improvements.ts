import { LIMITS } from '../../analysis/findings/limits';
import { setJoins } from '../../design/edit-ducts';
import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { CLEAR_DIAMETERS } from '../../fittings/close-elbows';
import { elbowLoss } from '../../fittings/elbow';
import { joinAngle } from '../../fittings/joins/joins';
import { inletElbowOf } from '../../network/assemble/separator-segment';
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
/** Each leg of a Y in place of a tee that is entered from both ends, rad. */
const SWEPT = Math.PI / 4;
/** Work, h for each fitting, and for each m of pipe: estimates. */
const HOURS = 0.4;
const HOURS_OF_PIPE = 0.5;

/**
 * Elbows of a long radius, or pairs of 45s, for tight ones; wyes for tees, also those entered from both ends; and straight
 * duct ahead of the blower's inlet.
 */
export function fittingImprovements(shop: Shop, tree: DuctTree): Improvement[] {
  const ofRuns = tree.upstreamFirst.flatMap((run) => {
    const tight = run.fittings.filter(isTight);
    const sharp = tight.filter(({ angle }) => angle > RIGHT.least && angle < RIGHT.most);
    const angle = joinAngle(run.joins);
    return [
      ...(tight.length > 0 ? [longRadius(run, tight)] : []),
      ...(sharp.length > 0 ? [pairs(run, sharp)] : []),
      ...(run.joins.kind === 'branch' && angle !== null && angle > TEE ? [wye(run)] : []),
      ...sweptLegs(run, tree),
    ];
  });
  return [...straightAtInlet(shop, tree), ...ofRuns];
}

/** Of a tee entered from both ends, said once: a Y whose legs come in at 45°. */
function sweptLegs({ id, to, joins, diameter }: Run, { into }: DuctTree): Improvement[] {
  const [first] = into.get(to) ?? [];
  if (joins.kind !== 'symmetric' || joins.angle < LIMITS.headOn.value || first?.id !== id)
    return [];
  return [
    {
      id: `sweep the legs ${id}`,
      work: { kind: 'sweep the legs', run: id, angle: SWEPT },
      change: (shop) => {
        for (const leg of into.get(to) ?? []) holdTyped(shop, leg.id);
        setJoins(shop, id, { kind: 'symmetric', angle: SWEPT });
      },
      buys: [
        { item: 'wye', quantity: 1, diameter },
        { item: 'elbow', quantity: 2, diameter },
      ],
      price: null,
      hours: 3 * HOURS,
      changes: (into.get(to) ?? []).map((leg) => `joins ${leg.id}`),
    },
  ];
}

/** Five diameters of straight duct between the last elbow and the inlet of a blower that it disturbs. */
function straightAtInlet(shop: Shop, tree: DuctTree): Improvement[] {
  const elbow = inletElbowOf(shop, tree);
  const { inletDiameter } = shop.collector.separator;
  const to = CLEAR_DIAMETERS * inletDiameter;
  if (!elbow || elbow.straight >= to) return [];
  const more = to - elbow.straight;
  const isStated = shop.collector.blower.inletElbow !== null;
  const [last] = tree.into.get(tree.inlet.id) ?? [];
  return [
    {
      id: 'straight at the inlet',
      work: { kind: 'straight at the inlet', from: elbow.straight, to },
      change: (changed) => {
        const { inletElbow } = changed.collector.blower;
        if (inletElbow) {
          inletElbow.straight = to;
          return;
        }
        if (last) holdTyped(changed, last.id);
        const run = last && runIn(changed, last.id);
        const own = run?.fittings.at(-1);
        if (!run || own?.kind !== 'elbow') return;
        own.after = to;
        run.length = (run.length ?? 0) + more;
      },
      buys: [{ item: 'pipe', quantity: more, diameter: inletDiameter }],
      price: null,
      hours: HOURS + HOURS_OF_PIPE * more,
      changes: ['inlet', ...(isStated || !last ? [] : [`elbows ${last.id}`])],
    },
  ];
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
