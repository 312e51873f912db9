import { CONDUCTOR_MARGIN } from '../collector/motor';
import type { View } from '../network/run-parts';
import { solveShop } from '../network/solve-shop';
import { toSI } from '../quantity/units';
import type { Shop } from '../shop/schema';
import { collectorLoad } from './collector-load';
import { gatesOfDrop } from './gate-sets';
import type { DropAir, GateRule } from './judge-drops';
import { pressureLadder, type Rung } from './pressure-ladder';

/** What is wrong, as data: the words are the screen's business. */
export type Finding =
  | {
      readonly kind: 'starved';
      readonly drop: string;
      readonly short: number;
      /** What takes most on its way, with its share of the blower's pressure. */
      readonly largest: { readonly rung: Rung; readonly share: number } | null;
      /** Flow won with the hose cut to a short one; null where it is short already. */
      readonly shorterHose: { readonly length: number; readonly gain: number } | null;
    }
  | {
      readonly kind: 'slow drop';
      readonly drop: string;
      readonly velocity: number;
      readonly wanted: number;
    }
  | {
      readonly kind: 'settling main';
      readonly run: string;
      readonly velocity: number;
      readonly wanted: number;
    }
  | { readonly kind: 'small circuit'; readonly breaker: number; readonly wanted: number }
  | { readonly kind: 'overloaded motor'; readonly power: number; readonly rated: number }
  | { readonly kind: 'small filter'; readonly faceVelocity: number; readonly comfortable: number };

/** Hose a drop can hardly do without, m. */
const SHORT_HOSE = toSI(2, 'ft');
/** Above this, m/s, fine-dust media clogs early: 8 ft/min, common practice, no source. */
const HIGH_FACE_VELOCITY = toSI(8, 'fpm');

/** The findings about one drop, the main it uses, and the collector while it draws. */
export function findings(shop: Shop, air: DropAir, view: View, rule: GateRule): Finding[] {
  if (air.standing === 'shut') return [];
  const found: Finding[] = [];
  const { drop, solution } = air;
  const { carryingVelocity, settlingVelocity } = shop.shop.rules;
  if (air.standing !== 'enough') {
    found.push({
      kind: 'starved',
      drop: drop.id,
      short: -air.margin,
      largest: largestLoss(air),
      shorterHose: shorterHose(shop, air, view, rule),
    });
  }
  if (drop.machine.chips !== 'fine' && air.velocity < carryingVelocity) {
    const { velocity } = air;
    found.push({ kind: 'slow drop', drop: drop.id, velocity, wanted: carryingVelocity });
  }
  if (air.main && air.main.velocity < settlingVelocity) {
    found.push({ kind: 'settling main', ...air.main, wanted: settlingVelocity });
  }
  const load = collectorLoad(shop, solution);
  if (load.isCircuitSmall) {
    const wanted = load.fullLoadCurrent * CONDUCTOR_MARGIN;
    found.push({ kind: 'small circuit', breaker: load.breaker, wanted });
  }
  if (load.isOverloaded) {
    const rated = shop.collector.blower.motor.power;
    found.push({ kind: 'overloaded motor', power: load.shaftPower, rated });
  }
  if (load.faceVelocity !== null && load.faceVelocity > HIGH_FACE_VELOCITY) {
    const comfortable = HIGH_FACE_VELOCITY;
    found.push({ kind: 'small filter', faceVelocity: load.faceVelocity, comfortable });
  }
  return found;
}

function largestLoss({ solution, drop }: DropAir) {
  const { rise } = solution.blower;
  const rungs = pressureLadder(solution, drop).filter(({ kind }) => kind !== 'blower');
  const rung = rungs.reduce<Rung | null>(
    (most, next) => (most && most.loss >= next.loss ? most : next),
    null,
  );
  return rung && rise > 0 ? { rung, share: rung.loss / rise } : null;
}

/** What cutting the drop's hose to two feet wins: the shop solved again with it. */
function shorterHose(shop: Shop, air: DropAir, view: View, rule: GateRule) {
  const own = air.drop.path[0];
  if (!own?.hose || own.hose.length <= SHORT_HOSE * 1.2) return null;
  const hose = { ...own.hose, length: SHORT_HOSE };
  const runs = shop.ducts.runs.map((run) => (run.id === own.id ? { ...run, hose } : run));
  const changed = { ...shop, ducts: { ...shop.ducts, runs } };
  const openGates = rule === 'one' ? gatesOfDrop(air.drop) : undefined;
  const solved = solveShop(changed, { view, openGates });
  if (solved.kind !== 'solved') return null;
  const gain = (solved.airIn.get(own.id)?.[0]?.flowIn ?? 0) - air.flow;
  return { length: SHORT_HOSE, gain };
}
