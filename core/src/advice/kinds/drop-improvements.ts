import { circleArea } from '../../air/velocity-pressure';
import { widestCarrying } from '../../analysis/findings/carrying-size';
import { gatesOfDrop, gatesOfDrops } from '../../analysis/gate-sets';
import { type DropAir, judgeDrop, judgeDrops, neededFlow } from '../../analysis/judge-drops';
import { BLOWER_CLASSES, type BlowerClassId, blowerOfClass } from '../../collector/blower-classes';
import { MEDIA } from '../../collector/filter';
import { addDrop } from '../../design/edit-ducts';
import { newShop } from '../../design/new-shop';
import type { Run, Shop } from '../../design/schema';
import type { Drop, DuctTree } from '../../design/topology';
import { ENTRIES } from '../../fittings/hood';
import { networksByGates } from '../../network/assemble/networks-by-gates';
import { dropFlow } from '../../network/drop-flow';
import { solveCompiled, solveShop } from '../../network/solve-shop';
import { toSI } from '../../quantity/units';
import { removeBranch } from '../../routing/edit-route';
import { type Improvement, type Purchase, portIn } from '../improvement';
import { narrowed } from './duct-improvements';

/** Work, h: estimates. */
const HOURS = { flange: 0.5, ownCollector: 1.5, bleed: 0 };
/** Gates that are tried as the second one of a drop. */
const BLEEDS_TRIED = 3;
/** A port loses as much as a plain pipe end within this. */
const AS_PLAIN = 0.06;
/** Small collectors that are tried beside a machine, the smallest first, and the hose between. */
const BESIDE = {
  classes: ['half', 'threeQuarter', 'one', 'oneAndHalf'] as const satisfies BlowerClassId[],
  hose: toSI(6, 'ft'),
};

/**
 * What helps one drop by itself: a second gate left open, or shut again, a narrower duct where chips settle, a flange,
 * or a small collector beside its machine.
 */
export function dropImprovements(shop: Shop, tree: DuctTree): Improvement[] {
  const judged = judgeDrops(shop, tree, 'found', 'one').flatMap((air) =>
    air.kind === 'judged' ? [air] : [],
  );
  return [
    ...judged.flatMap((air) => bleeds(shop, tree, air)),
    ...shutAgain(shop, tree),
    ...narrower(tree, judged),
    ...tree.drops.flatMap((drop) => flange(drop)),
    ...judged.flatMap((air) => (air.flow < air.need ? ownCollector(shop, air.drop) : [])),
  ];
}

/**
 * Where chips settle in the main behind a drop that draws alone, the gate that brings it air enough when left open too,
 * and takes the least from the drop.
 */
function bleeds(shop: Shop, tree: DuctTree, { drop, main }: DropAir): Improvement[] {
  const { rules } = shop.shop;
  const transport = main?.transport ?? null;
  const isSlow = main !== null && transport !== null && main.velocity < transport;
  if (!isSlow || rules.bleeds.some((each) => each.drop === drop.id)) return [];
  const own = gatesOfDrop(drop);
  const networkOf = networksByGates(shop, tree, { view: 'found' });
  const moving = tree.drops
    .filter(
      (other) =>
        other !== drop &&
        other.path.some(({ id }) => id === main.run) &&
        [...gatesOfDrop(other)].some((gate) => !own.has(gate)),
    )
    .sort((a, b) => neededFlow(a.port) - neededFlow(b.port))
    .slice(0, BLEEDS_TRIED)
    .flatMap((other) => {
      const solved = solveCompiled(tree, networkOf(gatesOfDrops([drop, other])));
      if (solved.kind !== 'solved') return [];
      const after = judgeDrop(drop, solved, rules, [drop]);
      const isMoving = after.main !== null && after.main.velocity >= transport;
      return isMoving ? [{ other, flow: after.flow }] : [];
    });
  const best = moving.reduce<(typeof moving)[number] | null>(
    (most, next) => (most && most.flow >= next.flow ? most : next),
    null,
  );
  if (!best) return [];
  const open = best.other.id;
  return [
    {
      id: `bleed ${drop.id}`,
      work: { kind: 'bleed', drop: drop.id, open },
      change: (changed) => {
        changed.shop.rules.bleeds.push({ drop: drop.id, open });
      },
      buys: [],
      price: null,
      hours: HOURS.bleed,
      changes: [`bleed ${drop.id}`],
    },
  ];
}

/** A second gate that a rule leaves open with a drop: without it the blower moves less, and its motor is asked for less. */
const shutAgain = ({ shop: { rules } }: Shop, { drops }: DuctTree): Improvement[] =>
  rules.bleeds
    .filter(({ drop }) => drops.some(({ id }) => id === drop))
    .map(({ drop, open }) => ({
      id: `no bleed ${drop} ${open}`,
      work: { kind: 'no bleed', drop, open },
      change: (changed) => {
        const { rules: own } = changed.shop;
        own.bleeds = own.bleeds.filter((each) => each.drop !== drop || each.open !== open);
      },
      buys: [],
      price: null,
      hours: HOURS.bleed,
      changes: [`bleed ${drop}`],
    }));

/** Where chips settle in a drop's own run or in a main behind it: the widest size that keeps them moving, if it is narrower. */
function narrower(tree: DuctTree, judged: readonly DropAir[]): Improvement[] {
  const made = new Map<string, Improvement>();
  const add = (run: Run | undefined, flow: number, transport: number) => {
    const to = run ? widestCarrying(run.pipe, flow, transport) : null;
    if (!run || to === null || to >= run.diameter || made.has(run.id)) return;
    made.set(run.id, narrowed(tree, run, to));
  };
  for (const { drop, flow, velocity, transport, main } of judged) {
    if (transport !== null && velocity < transport) add(drop.path[0], flow, transport);
    if (main?.transport == null || main.velocity >= main.transport) continue;
    const run = tree.upstreamFirst.find(({ id }) => id === main.run);
    add(run, main.velocity * circleArea(run?.diameter ?? 0), main.transport);
  }
  return [...made.values()];
}

/** A plain pipe end draws air from behind itself too; a flange around it keeps that away. */
function flange({ id, port, machine }: Drop): Improvement[] {
  if (Math.abs(port.entryLoss - ENTRIES.plain.loss) > AS_PLAIN) return [];
  return [
    {
      id: `flange ${id}`,
      work: { kind: 'flange', drop: id },
      change: (shop) => {
        const changed = portIn(shop, machine.id, port.id);
        if (!changed) return;
        changed.entryLoss = ENTRIES.flanged.loss;
        const { condition } = shop;
        condition.estimates = condition.estimates.filter(
          ({ of }) => of.kind !== 'hood' || of.node !== id,
        );
      },
      buys: [{ item: 'hood', quantity: 1, diameter: port.diameter }],
      price: null,
      hours: HOURS.flange,
      changes: [`port ${port.id}`],
    },
  ];
}

/** The smallest collector that brings a machine what it needs through a hose, and its drop taken off the ducts. */
function ownCollector({ shop: { units } }: Shop, drop: Drop): Improvement[] {
  const { machine, port, path } = drop;
  const [own] = path;
  const fitting = BESIDE.classes
    .map((id) => ({ id, flow: flowBeside(id, drop, units) }))
    .find(({ flow }) => flow >= neededFlow(port));
  if (!fitting || !own) return [];
  const { power } = BLOWER_CLASSES[fitting.id];
  const bought: Purchase[] = [
    { item: 'ownCollector', quantity: power, diameter: null },
    { item: 'ribbedHose', quantity: BESIDE.hose, diameter: port.diameter },
  ];
  return [
    {
      id: `own collector ${drop.id}`,
      work: { kind: 'own collector', drop: drop.id, blower: fitting.id, flow: fitting.flow },
      change: (shop) => {
        removeBranch(shop, own.id);
        const served = portIn(shop, machine.id, port.id);
        if (served) served.servedBy = 'own collector';
      },
      buys: bought,
      price: null,
      hours: HOURS.ownCollector,
      relieves: 1,
      changes: [
        ...['size', 'hose', 'elbows', 'joins', 'gate', 'gate leak', 'openings', 'joints'].map(
          (what) => `${what} ${own.id}`,
        ),
        ...[`port ${port.id}`, `bleed ${drop.id}`],
      ],
    },
  ];
}

/** What a small bag machine draws through a port by a short hose, m³/s; 0 where it has no answer. */
function flowBeside(id: BlowerClassId, { port }: Drop, units: Shop['shop']['units']): number {
  const shop = newShop('beside', 'Beside', units, []);
  const { collector } = shop;
  const { inletDiameter } = BLOWER_CLASSES[id];
  collector.blower = blowerOfClass(id, units);
  Object.assign(collector.separator, {
    kind: 'none',
    lossCoefficient: 0,
    caught: 0,
    inletDiameter,
  });
  const { name, permeability, seasoned, usualArea: area } = MEDIA.cloth;
  const filter = { name, permeability, seasoned, area, grade: null };
  collector.exhaust = { kind: 'filter', filter };
  let made = 0;
  addDrop(shop, 'inlet', 'planer', () => `beside-${made++}`);
  const [run] = shop.ducts.runs;
  const own = shop.machines[0]?.ports[0];
  if (!run || !own) return 0;
  const { diameter, entryLoss } = port;
  Object.assign(own, { diameter, entryLoss });
  Object.assign(run, { diameter, length: 0, fittings: [], gate: null });
  run.hose = { kind: 'ribbed', length: BESIDE.hose, diameter, compression: 0 };
  const solved = solveShop(shop, { view: 'found' });
  const [drop] = solved.kind === 'solved' ? solved.tree.drops : [];
  return solved.kind === 'solved' && drop ? (dropFlow(solved, drop) ?? 0) : 0;
}
