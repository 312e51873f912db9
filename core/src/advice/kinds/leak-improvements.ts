import { jointCount } from '../../design/length';
import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { LEAKAGE_CLASSES } from '../../duct/leakage';
import { type Improvement, type Purchase, runIn } from '../improvement';

/** What taping leaves: its leakage class, and no gap. */
const TAPED = LEAKAGE_CLASSES.taped.leakageClass;
/** Ducts of a class above this, or with gaps at their joints, are worth taping. */
const LEAKY = LEAKAGE_CLASSES.screwed.leakageClass;
/** Work, h: a joint to be cleaned and taped, often on a ladder; an opening to be found and closed. Estimates. */
const HOURS = { joint: 0.06, opening: 0.5 };

/** Joints sealed, all of them or one run's; openings closed. */
export function leakImprovements(shop: Shop, tree: DuctTree): Improvement[] {
  const leaky = tree.upstreamFirst.filter((run) => isLeaky(shop, run));
  const { holes, pressureSide } = shop.condition;
  const open = new Set(holes.map(({ run }) => run));
  return [
    ...(leaky.length > 1 ? [sealAll(leaky, tree)] : []),
    ...leaky.map((run) => sealRun(run, tree)),
    ...[...open].map(closeOpening),
    ...(pressureSide.area > 0 ? [closeBehindBlower] : []),
  ];
}

function isLeaky({ condition: { sealing, joints } }: Shop, { id }: Run): boolean {
  const leakageClass = sealing.runs.find(({ run }) => run === id)?.leakageClass ?? sealing.usual;
  const gap = joints.runs.find(({ run }) => run === id)?.gap ?? joints.usual;
  return leakageClass > LEAKY || gap > 0;
}

const tapeFor = (joints: number): Pick<Improvement, 'buys' | 'hours' | 'price'> => ({
  buys: [{ item: 'tape', quantity: joints, diameter: null } satisfies Purchase],
  hours: HOURS.joint * joints,
  price: null,
});

const namesOf = (runs: readonly Run[]) => runs.map(({ id }) => `joints ${id}`);

function sealAll(leaky: readonly Run[], tree: DuctTree): Improvement {
  const joints = leaky.reduce((sum, run) => sum + jointCount(run, tree), 0);
  return {
    id: 'seal all joints',
    work: { kind: 'seal all joints', joints },
    change: ({ condition: { sealing, joints: gaps } }) => {
      sealing.usual = Math.min(sealing.usual, TAPED);
      for (const run of sealing.runs) run.leakageClass = Math.min(run.leakageClass, TAPED);
      gaps.usual = 0;
      gaps.runs = [];
    },
    ...tapeFor(joints),
    changes: namesOf(leaky),
  };
}

function sealRun(run: Run, tree: DuctTree): Improvement {
  const joints = jointCount(run, tree);
  return {
    id: `seal a run ${run.id}`,
    work: { kind: 'seal a run', run: run.id, joints },
    change: ({ condition: { sealing, joints: gaps } }) => {
      const origin = { kind: 'assumed' } as const;
      sealing.runs = [
        ...sealing.runs.filter((each) => each.run !== run.id),
        { run: run.id, leakageClass: TAPED, origin },
      ];
      gaps.runs = [
        ...gaps.runs.filter((each) => each.run !== run.id),
        { run: run.id, gap: 0, origin },
      ];
    },
    ...tapeFor(joints),
    changes: namesOf([run]),
  };
}

const closeOpening = (run: string): Improvement => ({
  id: `seal the opening ${run}`,
  work: { kind: 'seal the opening', run },
  change: ({ condition }) => {
    condition.holes = condition.holes.filter((hole) => hole.run !== run);
  },
  ...tapeFor(1),
  hours: HOURS.opening,
  changes: [`openings ${run}`],
});

const closeBehindBlower: Improvement = {
  id: 'seal behind the blower',
  work: { kind: 'seal behind the blower' },
  change: ({ condition }) => {
    condition.pressureSide.area = 0;
  },
  ...tapeFor(1),
  hours: HOURS.opening,
  changes: ['pressure side'],
};

/** A gate is worth mending that stays shut by more than this of its opening; a shut one that leaks by more. */
const STUCK = 0.02;
const LEAKS_BY = 0.006;
const TIGHT = 0.003;
const GATE_HOURS = 0.5;

/** Gates that open fully, close tightly, and one where there is none. */
export function gateImprovements(_: Shop, tree: DuctTree): Improvement[] {
  const isGated = (run: Run) => run.gate !== null;
  const hasGates = tree.upstreamFirst.some(isGated);
  return [
    ...tree.upstreamFirst.flatMap((run): Improvement[] => {
      const { gate } = run;
      if (!gate) return [];
      return [
        ...(gate.opening < 1 - STUCK ? [mended(run)] : []),
        ...(gate.closedGap > LEAKS_BY ? [tightened(run)] : []),
      ];
    }),
    ...tree.drops.flatMap(({ path }): Improvement[] => {
      const [own] = path;
      return hasGates && own && !path.some(isGated) ? [added(own)] : [];
    }),
  ];
}

const boughtGate = ({ diameter }: Run): Purchase => ({ item: 'gate', quantity: 1, diameter });

const mended = (run: Run): Improvement => ({
  id: `mend the gate ${run.id}`,
  work: { kind: 'mend the gate', run: run.id },
  change: (shop) => {
    const gate = runIn(shop, run.id)?.gate;
    if (gate) gate.opening = 1;
  },
  buys: [],
  price: null,
  hours: GATE_HOURS,
  changes: [`gate ${run.id}`],
});

const tightened = (run: Run): Improvement => ({
  id: `tight gate ${run.id}`,
  work: { kind: 'tight gate', run: run.id },
  change: (shop) => {
    const gate = runIn(shop, run.id)?.gate;
    if (gate) gate.closedGap = TIGHT;
  },
  buys: [boughtGate(run)],
  price: null,
  hours: GATE_HOURS,
  changes: [`gate leak ${run.id}`],
});

const added = (run: Run): Improvement => ({
  id: `add a gate ${run.id}`,
  work: { kind: 'add a gate', run: run.id },
  change: (shop) => {
    const own = runIn(shop, run.id);
    if (own) own.gate = { opening: 1, open: false, closedGap: TIGHT, end: 'upstream' };
  },
  buys: [boughtGate(run)],
  price: null,
  hours: GATE_HOURS,
  changes: [`gate ${run.id}`],
});
