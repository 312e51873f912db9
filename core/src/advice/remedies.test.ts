import { describe, expect, it } from 'vitest';
import { judgedDrop } from '../../reference/judged-drop';
import { treeOf } from '../../reference/plain-readings';
import { threeBranchShop } from '../../reference/sample-shops';
import type { FindingKind } from '../analysis/findings/finding';
import { findings } from '../analysis/findings/findings';
import type { Run, Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { toSI } from '../quantity/units';
import { removeBranch } from '../routing/edit-route';
import { evaluate } from './evaluate';
import type { WorkKind } from './improvement';
import { improved, improvementsOf } from './improvements-of';

const found = (shop: Shop, kind: FindingKind) =>
  findings(shop, judgedDrop(shop, 'saw'), 'found', 'one').find((each) => each.kind === kind);

/** The sample shop with something changed that the findings about its saw speak of. */
function shopWith(change: (shop: Shop, saw: Run) => void): Shop {
  const shop = threeBranchShop();
  const saw = shop.ducts.runs.find(({ id }) => id === 'saw');
  if (!saw) throw new Error('no saw');
  shop.collector.exhaust = {
    kind: 'filter',
    filter: { name: '', area: 20, permeability: 0.1, seasoned: 1, grade: 15 },
  };
  shop.collector.blower.plug = null;
  change(shop, saw);
  return shop;
}

const media = (shop: Shop) =>
  shop.collector.exhaust.kind === 'filter' ? shop.collector.exhaust.filter : null;
const elbow = (after: number | null): Run['fittings'][number] => ({
  ...{ kind: 'elbow', id: 'e', style: 'fivePiece', angle: Math.PI / 2 },
  ...{ radiusRatio: 1.5, count: 1, after },
});

describe('what a finding says to do', () => {
  it.each<[FindingKind, WorkKind, (shop: Shop, saw: Run) => void]>([
    ['slow drop', 'narrower run', (_, saw) => Object.assign(saw, { diameter: toSI(9, 'in') })],
    ['fast duct', 'wider run', fastDuct],
    [
      'elbow at the inlet',
      'straight at the inlet',
      ({ collector: { blower } }) => {
        blower.inletElbow = { radiusRatio: 1.5, straight: 0 };
      },
    ],
    [
      'filter due',
      'clean the filter',
      ({ condition }) => {
        condition.filterLoading.value = 60;
      },
    ],
    ['coarse filter', 'cartridge', (shop) => Object.assign(media(shop) ?? {}, { grade: 8 })],
    [
      'small circuit',
      'circuit',
      ({ collector: { blower } }) => {
        blower.breaker = 10;
      },
    ],
    [
      'small plug',
      'plug',
      ({ collector: { blower } }) => {
        Object.assign(blower, { breaker: 40, plug: 'us15at240' });
        Object.assign(blower.motor, { power: toSI(3, 'hp'), voltage: 240 });
      },
    ],
    [
      'plug of another voltage',
      'plug',
      ({ collector: { blower } }) => {
        Object.assign(blower, { breaker: 40, plug: 'us15' });
        Object.assign(blower.motor, { power: toSI(1.5, 'hp'), voltage: 240 });
      },
    ],
    [
      'small way back',
      'way back',
      (shop) => {
        shop.collector.exhaust = { kind: 'room', filter: media(shop), opening: 0.02 };
      },
    ],
    [
      'fast return',
      'return filter',
      (shop) => {
        const returnFilter = { area: 0.12, velocity: 1.5, pressure: 60 };
        shop.collector.exhaust = {
          kind: 'enclosure',
          filter: media(shop),
          returnFilter,
          box: null,
        };
      },
    ],
    ['head-on tee', 'sweep the legs', headOn],
    [
      'against the flow',
      'wye',
      (_, saw) => {
        saw.joins = { kind: 'branch', angle: (120 / 180) * Math.PI };
      },
    ],
    [
      'pressure-side leak',
      'seal behind the blower',
      ({ condition }) => {
        condition.pressureSide.area = 0.001;
      },
    ],
    [
      'leak-prone',
      'seal the opening',
      ({ condition }) => {
        condition.holes = [{ run: 'saw', area: 0.003, origin: { kind: 'assumed' } }];
      },
    ],
  ])(
    'of “%s” is an improvement, “%s”, after which there is no such finding',
    (kind, work, change) => {
      const shop = shopWith(change);
      expect(found(shop, kind), 'the finding').toBeDefined();
      const all = improvementsOf(shop, treeOf(shop)).filter((each) => each.work.kind === work);
      expect(all.length, 'the improvement').toBeGreaterThan(0);
      const cured = all.filter((each) => {
        const after = improved(shop, [each]);
        expect(readShop(after).ok).toBe(true);
        return found(after, kind) === undefined;
      });
      expect(cured.length, 'without the finding').toBeGreaterThan(0);
    },
  );

  it('of air that leaves the building is an opening, which is then known to be large enough', () => {
    const shop = shopWith((own) => {
      own.collector.exhaust = {
        ...{ kind: 'outdoors', diameter: 0.2, length: 3, pipe: 'galvanised' },
        ...{ lossCoefficient: 0.5, end: 'cap', heating: null, makeUp: null },
      };
    });
    expect(found(shop, 'air leaves the building')?.severity).toBe('caution');
    expect(evaluate(shop)?.isDrawnDown).toBe(true);
    const made = improvementsOf(shop, treeOf(shop)).find(({ id }) => id === 'makeup air');
    const after = improved(shop, made ? [made] : []);
    expect(found(after, 'air leaves the building')?.severity).toBe('note');
    expect(found(after, 'small way back')).toBeUndefined();
    expect(evaluate(after)?.isDrawnDown).toBe(false);
    // Half of what the blower moves at most comes in through an opening half as large with the pull the heaters bear:
    // a hole of a tenth draws the building down further than that (the orifice equation).
    const small = structuredClone(after);
    if (small.collector.exhaust.kind === 'outdoors') small.collector.exhaust.makeUp = 0.01;
    expect(found(small, 'small way back')?.remedy?.kind).toBe('larger way back');
    expect(evaluate(small)?.isDrawnDown).toBe(true);
  });

  it('of an overloaded motor is a smaller impeller, or a second gate that stays shut', () => {
    const shop = shopWith(({ collector: { blower } }) => {
      blower.motor.power /= 3;
      blower.breaker = 60;
    });
    expect(found(shop, 'overloaded motor')?.remedy?.kind).toBe('shut a gate');
    const made = improvementsOf(shop, treeOf(shop)).find(({ id }) => id === 'smaller impeller');
    const after = improved(shop, made ? [made] : []);
    expect(evaluate(after)?.current).toBeLessThan(0.9 * (evaluate(shop)?.current ?? 0));
    const { drops } = treeOf(shop);
    const [drop = '', open = ''] = drops.map(({ id }) => id);
    shop.shop.rules.bleeds = [{ drop, open }];
    const shut = improvementsOf(shop, treeOf(shop)).find(({ work }) => work.kind === 'no bleed');
    expect(improved(shop, shut ? [shut] : []).shop.rules.bleeds).toEqual([]);
  });
});

/** Pa: moves air fast through 4 in., and not too fast through the next size. */
const FAST = 4500;

function fastDuct(shop: Shop, saw: Run): void {
  saw.hose = null;
  saw.diameter = toSI(4, 'in');
  const port = shop.machines[0]?.ports[0];
  if (port) Object.assign(port, { entryLoss: 0.04 });
  shop.collector.blower.curve = [
    { flow: 0, pressure: FAST },
    { flow: 1, pressure: 0 },
  ];
}

/** It meets another run head-on, and nothing else. */
function headOn(shop: Shop, saw: Run): void {
  const beside = () => shop.ducts.runs.filter(({ to, id }) => to === saw.to && id !== saw.id);
  for (const { id } of beside().slice(1)) removeBranch(shop, id);
  for (const run of [saw, ...beside()]) run.joins = { kind: 'symmetric', angle: Math.PI / 2 };
}

it('an elbow that a run ends in stands five diameters further off, and the pipe is as much longer', () => {
  const shop = shopWith((own) => {
    own.collector.separator.kind = 'none';
    const last = own.ducts.runs.find(({ to }) => to === 'inlet');
    last?.fittings.push(elbow(0.1));
  });
  const before = shop.ducts.runs.find(({ to }) => to === 'inlet')?.length ?? 0;
  const made = improvementsOf(shop, treeOf(shop)).find(({ id }) => id === 'straight at the inlet');
  const after = improved(shop, made ? [made] : []);
  const last = after.ducts.runs.find(({ to }) => to === 'inlet');
  const wanted = 5 * shop.collector.separator.inletDiameter;
  expect(last?.fittings.at(-1)).toMatchObject({ after: wanted });
  expect((last?.length ?? 0) - before).toBeCloseTo(wanted - 0.1, 9);
  expect(evaluate(after)?.worst).toBeGreaterThan(evaluate(shop)?.worst ?? 9);
  expect(improvementsOf(after, treeOf(after)).map(({ id }) => id)).not.toContain(
    'straight at the inlet',
  );
});
