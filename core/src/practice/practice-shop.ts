import { machineGates } from '../analysis/gate-sets';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { asBelieved, type Fault, withFault } from '../inference/faults';
import { nuisancesOf } from '../inference/predictor';
import { chanceOf } from '../simulate/chance';
import { chanceLayout, chanceTroubles } from './chance-shops';
import { type LaidOut, layOut } from './lay-out';
import { type Level, ofChance } from './level';
import { type MeterFace, USUAL_FACE } from './meter-face';
import { type RealShop, realShop } from './real-shop';
import type { Trouble } from './trouble';
import { isWritten, LEVEL_OF_WRITTEN } from './written-ids';
import { WRITTEN_SHOPS } from './written-shops';

/** Something that is wrong with a practice shop, and how much of it. */
export interface HiddenFault {
  readonly fault: Fault;
  readonly amount: number;
}

/** An invented shop to look for faults in. */
export interface PracticeShop {
  readonly id: string;
  readonly level: Level;
  readonly shop: Shop;
  readonly tree: DuctTree;
  /** What is wrong with it; none: nothing is. */
  readonly faults: readonly HiddenFault[];
  /** How it really is. */
  readonly real: RealShop;
  /** How its vane meter is set when it is picked up. */
  readonly face: MeterFace;
  readonly seed: number;
}

/** Layouts that are tried before it is given up. */
const MOST_TRIES = 20;

/**
 * The practice shop of an id, always the same; null: there is none of that name.
 * @param id one of `WRITTEN_IDS`, or a level and a whole number
 * @example practiceShop('hard-17')
 */
export function practiceShop(id: string): PracticeShop | null {
  if (isWritten(id)) {
    const { face, seed, troubles, layout } = WRITTEN_SHOPS[id];
    const level = LEVEL_OF_WRITTEN[id];
    const laid = layOut({ ...layout, id });
    return laid && made(id, { level, face: { ...USUAL_FACE, ...face }, seed }, laid, troubles);
  }
  const drawn = ofChance(id);
  if (!drawn) return null;
  const { level, seed } = drawn;
  for (let attempt = 0; attempt < MOST_TRIES; attempt++) {
    const chance = chanceOf(seed + 7919 * attempt * (1 + seed));
    const laid = layOut({ ...chanceLayout(level, chance), id });
    if (!laid) continue;
    const { troubles, face } = chanceTroubles(level, laid, chance);
    return made(id, { level, face, seed }, laid, troubles);
  }
  return null;
}

function made(
  id: string,
  about: Pick<PracticeShop, 'level' | 'face' | 'seed'>,
  { shop, tree }: LaidOut,
  troubles: readonly Trouble[],
): PracticeShop {
  const faults = troubles.map((trouble) => hiddenBy(trouble, tree));
  const believed = asBelieved(shop, tree);
  const nuisances = nuisancesOf(believed);
  const { normal } = chanceOf(about.seed ^ 0x5eed);
  const drawn = nuisances.sigmas.map((sigma) => Math.exp(sigma * normal()));
  const wrong = faults.reduce(
    (before, { fault, amount }) => withFault(before, fault, amount),
    believed,
  );
  return { id, ...about, shop, tree, faults, real: realShop(wrong, nuisances, drawn) };
}

/** What a trouble that names machines is in a shop whose runs have ids. */
function hiddenBy(trouble: Trouble, tree: DuctTree): HiddenFault {
  const { amount, ...rest } = trouble;
  if (rest.kind === 'meter') {
    return { fault: { kind: 'meter', meter: 'vane', way: rest.way }, amount };
  }
  if (!('of' in rest)) return { fault: rest, amount };
  return { fault: { kind: rest.kind, run: runOf(rest.of, rest.kind, tree) }, amount };
}

/**
 * The run that serves certain machines and no others: of several the one that has a gate where the trouble is a gate's,
 * else the longest. Machines by their names.
 */
function runOf(of: readonly string[], kind: Fault['kind'], tree: DuctTree): string {
  const serving = tree.upstreamFirst.filter(({ id }) => {
    const served = tree.drops.filter(({ path }) => path.some((run) => run.id === id));
    return served.length === of.length && served.every(({ machine }) => of.includes(machine.name));
  });
  const gates = machineGates(tree);
  const isGate = kind === 'gate not open' || kind === 'gate not shut';
  const fit = serving.filter(({ id }) => !isGate || gates.has(id));
  const [longest] = fit.toSorted((a, b) => (b.length ?? 0) - (a.length ?? 0));
  if (!longest) throw new Error(`no run serves ${of.join(', ')} alone`);
  return longest.id;
}
