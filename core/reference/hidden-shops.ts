import { blowerOfClass } from '../src/collector/blower-classes';
import { addDrop, addRun } from '../src/design/edit-ducts';
import { jointCount } from '../src/design/length';
import { MACHINE_KIND_IDS } from '../src/design/machine-kinds';
import { newShop } from '../src/design/new-shop';
import type { Shop } from '../src/design/schema';
import type { DuctTree } from '../src/design/topology';
import {
  AMOUNTS,
  asBelieved,
  type BelievedShop,
  type Fault,
  shownMore,
  withFault,
} from '../src/inference/faults';
import { gatesKeyOf, type Observation, USUAL_SCATTER } from '../src/inference/observations';
import { type Asked, nuisancesOf, Solutions } from '../src/inference/predictor';
import { realShop } from '../src/practice/real-shop';
import { toSI } from '../src/quantity/units';
import { diameterAt } from '../src/reading/diameter-at';
import { arrangeDucts } from '../src/routing/arrange-ducts';
import { type Chance, chanceOf } from '../src/simulate/chance';
import { counter } from './sample-shops';

/** Invented shops with a fault nobody knows of, and readings of them: what the search for leaks is measured on. */
export interface HiddenShop {
  readonly shop: Shop;
  readonly tree: DuctTree;
  /** Null: nothing is wrong. */
  readonly fault: Fault | null;
  readonly amount: number;
  /** What each thing the model is unsure of was drawn as: a factor, by its name among the nuisances. */
  readonly drawn: ReadonlyMap<string, number>;
  /** What a vane or a manometer reads of what is asked, as an observation; null: it is at an end of its range. */
  readonly read: (asked: Asked) => Observation | null;
}

/**
 * How many drops meet a main at one place: one at each joint, so that a shop has twice as many runs as drops; or mostly
 * two, by a double wye, which makes about twenty runs of fourteen drops.
 */
export type DropsAtJoint = 'one' | 'mostly two';
const SECOND_DROP = 0.95;

/** A shop of so many drops by chance: a main with joints, now and then a branch of it, hoses of any length. */
export function chanceShop(
  drops: number,
  { uniform }: Chance,
  atJoint: DropsAtJoint = 'one',
): Shop {
  const between = (least: number, most: number) => least + (most - least) * uniform();
  const blower = blowerOfClass(drops > 9 ? 'five' : 'three', 'us');
  const shop = newShop('hidden', 'Hidden', 'us', blower.curve);
  const newId = counter();
  const [wide, narrow] = drops > 9 ? [8, 7] : [7, 6];
  shop.collector.blower = blower;
  shop.collector.separator.inletDiameter = toSI(wide, 'in');
  shop.condition.sealing.usual = between(10, 30);
  shop.condition.filterLoading.value = between(1.2, 3);
  const runOf = (id: string) => shop.ducts.runs.find((run) => run.id === id);
  const piece = (node: string, diameter: number, least: number, most: number) => {
    const run = runOf(addRun(shop, node, newId));
    if (run) Object.assign(run, { diameter: toSI(diameter, 'in'), length: between(least, most) });
    return run?.from ?? node;
  };
  const hang = (node: string, i: number) => {
    const kind = MACHINE_KIND_IDS[i % MACHINE_KIND_IDS.length] ?? 'tableSaw';
    const run = runOf(addDrop(shop, node, kind, newId));
    if (!run) return;
    const diameter = toSI(uniform() < 0.6 ? 4 : 5, 'in');
    const machine = shop.machines.at(-1);
    for (const port of machine?.ports ?? []) port.diameter = diameter;
    run.diameter = diameter;
    run.length = between(1, 4);
    run.hose =
      uniform() < 0.8
        ? { kind: 'ribbed', length: between(0.5, 2), diameter, compression: 0 }
        : null;
  };
  let joint = piece('inlet', wide, 1, 4);
  let hung = 0;
  while (hung < drops) {
    if (uniform() < 0.25 && drops - hung > 3) {
      // A branch of its own, with two or three drops.
      let branch = piece(joint, narrow, 1.5, 4);
      for (let i = 0; i < 2 + Math.floor(2 * uniform()) && hung < drops; i++) {
        hang(branch, hung++);
        const isShared = atJoint === 'mostly two' && uniform() < SECOND_DROP;
        if (!isShared) branch = piece(branch, narrow, 1, 2.5);
      }
      hang(branch, hung++);
    } else {
      hang(joint, hung++);
      const isDouble = atJoint === 'mostly two' && hung < drops && uniform() < SECOND_DROP;
      if (isDouble) hang(joint, hung++);
    }
    if (hung < drops) joint = piece(joint, hung < drops / 2 ? wide : narrow, 1, 4);
  }
  return shop;
}

/** The kinds of fault such shops have. */
export const HIDDEN_KINDS = [
  'opening',
  'clog',
  'gate not open',
  'filter',
  'separator',
  'meter',
] as const;

/** A vane and a manometer as they are: one standard deviation of what each does wrong on a visit; where the vane ends. */
const METER_SIGMA = 0.03 / 1.96;
const RANGE = { from: 0.4, to: 45 };
const REPEATS = 3;
const PLACING = 0.01;

/**
 * A hidden shop by its seed: everything the model is unsure of is drawn from what it says of its own uncertainty, and
 * one thing may be wrong besides.
 * @param kind null: nothing is wrong
 * @param drops null: by chance, four to twelve
 */
export function hiddenShop(
  seed: number,
  kind: (typeof HIDDEN_KINDS)[number] | null,
  drops: number | null = null,
  atJoint: DropsAtJoint = 'one',
): HiddenShop {
  const chance = chanceOf(seed);
  const { uniform, normal } = chance;
  const shop = chanceShop(drops ?? 4 + Math.floor(9 * uniform()), chance, atJoint);
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const { tree } = arranged;
  const believed = asBelieved(shop, tree);
  const fault = kind && faultOf(kind, tree, uniform);
  const amount = fault ? amountOf(fault, believed, uniform) : 0;
  const nuisances = nuisancesOf(believed);
  const drawn = nuisances.sigmas.map((sigma) => Math.exp(sigma * normal()));
  const real = fault ? withFault(believed, fault, amount) : believed;
  const meter = Math.exp(METER_SIGMA * normal() + shownMore(fault, amount, 'vane'));
  const truthOf = realShop(real, nuisances, drawn);
  let count = 0;
  const read = (asked: Asked): Observation | null => {
    const { at, shows } = asked.measurand;
    const truth = truthOf(asked);
    if (truth === null || !(truth > 0)) return null;
    const area = shows === 'flow' ? Math.PI * ((diameterAt(shop, tree, at) ?? 0) / 2) ** 2 : 1;
    const scatter = Math.hypot(USUAL_SCATTER / Math.sqrt(REPEATS), PLACING);
    const shown = truth * (shows === 'flow' ? meter : 1) * Math.exp(scatter * normal());
    const [least, most] = shows === 'flow' ? [RANGE.from * area, RANGE.to * area] : [2, 1e5];
    const bound = shown > most ? 'at least' : shown < least ? 'at most' : null;
    const value = bound === 'at least' ? most : bound === 'at most' ? least : shown;
    return {
      reading: {
        id: `r${count++}`,
        at: '2026-01-10T10:00:00Z',
        testPoint: '',
        instrument: shows === 'flow' ? 'vane' : 'gauge',
      },
      measurand: asked.measurand,
      gates: asked.gates,
      gatesKey: asked.gatesKey,
      ln: Math.log(value),
      bound,
      sigma: scatter,
      meter: shows === 'flow' ? 'vane' : 'gauge',
      meterSigma: METER_SIGMA,
    };
  };
  return {
    ...{ shop, tree, fault, amount, read },
    drawn: new Map(nuisances.names.map((name, i) => [name, drawn[i] ?? 1])),
  };
}

/** Every drop with only its own gate open: what a round reads. */
export const ownGateRound = ({ tree }: Pick<HiddenShop, 'tree'>): Asked[] =>
  tree.drops.map((drop): Asked => {
    const gates = new Set(drop.path.filter(({ gate }) => gate).map(({ id }) => id));
    return {
      measurand: { at: { kind: 'port', node: drop.id }, shows: 'flow' },
      gates,
      gatesKey: gatesKeyOf(gates),
    };
  });

function faultOf(
  kind: (typeof HIDDEN_KINDS)[number],
  tree: DuctTree,
  uniform: () => number,
): Fault {
  const { upstreamFirst } = tree;
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)] as T;
  switch (kind) {
    case 'opening': {
      // As likely at one joint as at any other.
      const joints = upstreamFirst.flatMap((run) =>
        Array.from({ length: 1 + jointCount(run, tree) }, () => run.id),
      );
      return { kind, run: pick(joints) };
    }
    case 'clog':
      return { kind, run: pick(upstreamFirst).id };
    case 'gate not open':
      return { kind, run: pick(upstreamFirst.filter(({ gate }) => gate)).id };
    case 'meter':
      return { kind, meter: 'vane', way: uniform() < 0.5 ? 'more' : 'less' };
    default:
      return { kind };
  }
}

/** An opening that takes less than this of every drop's air is nothing anyone hunts for. */
const WORTH_HUNTING = 0.1;

/**
 * Evenly in ln: openings of two to twelve square inches (a gap of a tenth of an inch round a 6-inch joint, an open
 * 4-inch end) that take a tenth of some drop's air at least; everything else over the middle of what is looked for.
 */
function amountOf(fault: Fault, believed: BelievedShop, uniform: () => number): number {
  const { kind } = fault;
  if (kind === 'opening') {
    const [least, most] = [toSI(2, 'in2'), toSI(12, 'in2')];
    const sound = new Solutions(believed);
    const takes = (area: number) => {
      const leaking = new Solutions(withFault(believed, fault, area));
      return ownGateRound(believed).some((asked) => {
        const less = (leaking.lnOf(asked) ?? 0) - (sound.lnOf(asked) ?? 0);
        return less < Math.log(1 - WORTH_HUNTING);
      });
    };
    let area = least * (most / least) ** uniform();
    while (area < most && !takes(area)) area = Math.min(most, area * 1.15);
    return area;
  }
  const { from, to } = AMOUNTS[kind];
  return from * (to / from) ** (0.2 + 0.65 * uniform());
}
