import { describe, expect, it } from 'vitest';
import { copyOf, threeBranchShop } from '../../../reference/sample-shops';
import { runFindings } from '../../analysis/findings/run-findings';
import { setJoins } from '../../design/edit-ducts';
import type { Shop } from '../../design/schema';
import { solveShop } from '../../network/solve-shop';
import {
  fixedJoinLoss,
  isJoinKind,
  isStraight,
  JOIN_KIND_IDS,
  JOIN_KINDS,
  type Joins,
  joinAngle,
  joinClamped,
  joins,
  legOf,
} from './joins';

const radians = (degrees: number) => (degrees * Math.PI) / 180;
const branch = (degrees: number): Joins => ({ kind: 'branch', angle: radians(degrees) });
const symmetric = (degrees: number): Joins => ({ kind: 'symmetric', angle: radians(degrees) });

const ONE_OF_EACH: readonly Joins[] = [{ kind: 'straight' }, branch(45), symmetric(45)];

/** Two drops at the end of one main, joined so; the third drop is gone. */
function twoLegs(first: Joins, second: Joins, change: (shop: Shop) => void = () => {}): Shop {
  const shop = copyOf(threeBranchShop());
  shop.shop.rules.junctions = 'momentum';
  shop.ducts.runs = shop.ducts.runs.filter(({ id }) => id !== 'sander');
  const sander = shop.machines.find(({ kind }) => kind === 'drumSander')?.id;
  shop.machines = shop.machines.filter(({ id }) => id !== sander);
  shop.ducts.nodes = shop.ducts.nodes.filter(
    ({ kind }) => kind.kind !== 'port' || kind.machine !== sander,
  );
  for (const run of shop.ducts.runs) {
    if (run.gate) run.gate.open = true;
    if (run.id === 'saw') run.joins = first;
    if (run.id === 'planer') run.joins = second;
  }
  change(shop);
  return shop;
}

function solved(shop: Shop) {
  const outcome = solveShop(shop, { view: 'found' });
  if (outcome.kind !== 'solved') throw new Error(outcome.kind);
  return outcome;
}

/** What a run loses where it meets the other, Pa, and the part's name in the ledger. */
function endOf(shop: Shop, run: string) {
  const part = solved(shop)
    .airIn.get(run)
    ?.at(-1)
    ?.parts.find(({ kind }) => kind === 'branch' || kind === 'straight');
  if (!part) throw new Error('it meets nothing');
  return part;
}

describe('ways to join', () => {
  it('each go by their own name, and their schemas know them', () => {
    expect(ONE_OF_EACH.map(({ kind }) => kind)).toEqual(JOIN_KIND_IDS);
    for (const one of ONE_OF_EACH) {
      expect(joins.parse(one)).toEqual(one);
      expect(JOIN_KINDS[one.kind].schema.safeParse(one).success).toBe(true);
      expect(joinClamped(one)).toEqual([]);
    }
    expect(new Set(ONE_OF_EACH.map(({ kind }) => JOIN_KINDS[kind].name)).size).toBe(3);
    expect(isJoinKind('symmetric') && !isJoinKind('elbow') && !isJoinKind('toString')).toBe(true);
    expect(joins.safeParse({ kind: 'symmetric' }).success).toBe(false);
    expect(joins.safeParse(symmetric(91)).success).toBe(false);
    expect(joins.safeParse(symmetric(90)).success).toBe(true);
  });

  it('have an angle, or go straight through', () => {
    expect(ONE_OF_EACH.map(joinAngle)).toEqual([null, radians(45), radians(45)]);
    expect(ONE_OF_EACH.map(isStraight)).toEqual([true, false, false]);
  });

  it('by the fixed table a leg of a Y loses what a branch of its angle does', () => {
    // ACGIH Industrial Ventilation, branch entry losses (from memory): 0.18 at 30°, 0.28 at 45°, 1 at 90°.
    expect([30, 45, 90].map((degrees) => fixedJoinLoss(symmetric(degrees)))).toEqual([
      0.18, 0.28, 1,
    ]);
    expect(fixedJoinLoss(branch(45))).toBe(0.28);
    expect(fixedJoinLoss({ kind: 'straight' })).toBe(0);
  });

  it('only a straight leg is as wide as the body, and only it is relieved by a tee', () => {
    const at = { area: 0.01, bodyArea: 0.02, tee: 0.5 };
    const legs = ONE_OF_EACH.map((each) => legOf(each, at));
    expect(legs.map(({ area }) => area)).toEqual([0.02, 0.01, 0.01]);
    expect(legs.map(({ tee }) => tee)).toEqual([0.5, 0, 0]);
    expect(new Set(legs.map(({ kind }) => kind)).size).toBe(3);
  });

  it('an angle too flat for its formula is named; one against the flow is a finding of its own', () => {
    expect(joinClamped(branch(10))).toMatchObject([{ given: radians(10), used: radians(15) }]);
    expect(joinClamped(symmetric(10))).toMatchObject([{ given: radians(10), used: radians(15) }]);
    expect(joinClamped(branch(120))).toEqual([]);
    const shop = twoLegs(symmetric(10), symmetric(10));
    const [saw] = shop.ducts.runs.filter(({ id }) => id === 'saw');
    if (!saw) throw new Error('no saw');
    const found = runFindings(saw, solved(shop));
    expect(found.filter(({ kind }) => kind === 'outside its range')).toHaveLength(1);
  });
});

describe('a symmetric Y in a shop', () => {
  const alike = (shop: Shop) => {
    const [saw, planer] = ['saw', 'planer'].map((id) =>
      shop.ducts.runs.find((run) => run.id === id),
    );
    const [port, other] = [saw, planer].map((run) => {
      const kind = shop.ducts.nodes.find(({ id }) => id === run?.from)?.kind;
      return kind?.kind === 'port' ? kind : null;
    });
    const machine = shop.machines.find(({ id }) => id === port?.machine);
    const second = shop.machines.find(({ id }) => id === other?.machine);
    if (!saw || !planer || !machine || !second || !port || !other) throw new Error('no pair');
    second.ports = machine.ports.map((each) => ({ ...each, id: other.port }));
    Object.assign(planer, {
      ...structuredClone(saw),
      id: 'planer',
      from: planer.from,
      name: planer.name,
    });
  };

  it('shares the air equally between equal legs, each losing the same', () => {
    const shop = twoLegs(symmetric(45), symmetric(45), alike);
    const [one, other] = [endOf(shop, 'saw'), endOf(shop, 'planer')];
    expect(one.kind).toBe('branch');
    expect(one.loss).toBeCloseTo(other.loss, 9);
    expect(one.loss).toBeGreaterThan(0);
  });

  it('loses more the more its legs turn, most as a tee from both ends', () => {
    const losses = [30, 45, 60, 90].map((degrees) => {
      const shop = twoLegs(symmetric(degrees), symmetric(degrees), alike);
      return endOf(shop, 'saw').loss;
    });
    expect(losses.toSorted((a, b) => a - b)).toEqual(losses);
  });

  it('counts by every method, and costs air against no junction at all', () => {
    for (const friction of ['darcy', 'powerFit', 'equivalentFeet'] as const) {
      for (const junctions of ['momentum', 'handbook'] as const) {
        const shop = twoLegs(symmetric(45), symmetric(45), (own) => {
          alike(own);
          own.shop.rules.friction = friction;
          own.shop.rules.junctions = junctions;
        });
        expect(endOf(shop, 'saw').loss, `${friction} ${junctions}`).toBeGreaterThan(0);
      }
    }
  });
});

describe('how one run joins, and the others with it', () => {
  const joinsOf = (shop: Shop) =>
    Object.fromEntries(
      shop.ducts.runs
        .filter(({ id }) => ['saw', 'planer', 'sander'].includes(id))
        .map(({ id, joins: own }) => [id, own]),
    );

  it('one leg of a Y makes the other its second', () => {
    const shop = twoLegs({ kind: 'straight' }, branch(45));
    setJoins(shop, 'planer', symmetric(30));
    expect(joinsOf(shop)).toEqual({ saw: symmetric(30), planer: symmetric(30) });
    // Of the other too, whichever is changed.
    setJoins(shop, 'saw', symmetric(45));
    expect(joinsOf(shop)).toEqual({ saw: symmetric(45), planer: symmetric(45) });
  });

  it('a branch beside what was a Y leaves the other straight; a straight one leaves it a branch', () => {
    const branched = twoLegs(symmetric(30), symmetric(30));
    setJoins(branched, 'planer', branch(60));
    expect(joinsOf(branched)).toEqual({ saw: { kind: 'straight' }, planer: branch(60) });
    const straight = twoLegs(symmetric(30), symmetric(30));
    setJoins(straight, 'planer', { kind: 'straight' });
    expect(joinsOf(straight)).toEqual({ saw: branch(30), planer: { kind: 'straight' } });
  });

  it('where three meet there is no Y, and nothing changes', () => {
    const shop = copyOf(threeBranchShop());
    const before = joinsOf(shop);
    setJoins(shop, 'saw', symmetric(45));
    expect(joinsOf(shop)).toEqual(before);
    // Beside two legs of a Y, from a file, another branch makes branches of both.
    for (const run of shop.ducts.runs) if (run.id !== 'sander') run.joins = symmetric(30);
    setJoins(shop, 'sander', branch(45));
    expect(joinsOf(shop)).toEqual({ saw: branch(30), planer: branch(30), sander: branch(45) });
  });
});
