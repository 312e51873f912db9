import { describe, expect, it } from 'vitest';
import { copyOf, counter, threeBranchShop } from '../../reference/sample-shops';
import { blowerOfClass } from '../collector/blower-classes';
import { addCandidate, MOST_COLLECTORS, removeCandidate, swapIn } from '../design/edit-candidates';
import { type Shop, shopSchema } from '../design/schema';
import type { SoundReading } from '../journal/sound';
import { arrangeDucts } from '../routing/arrange-ducts';
import { compareCandidates } from './compare-candidates';
import { judgeDrops } from './judge-drops';
import { separatorMethods } from './separator-methods';

function compared(shop: Shop, sounds: SoundReading[] = []) {
  const arranged = arrangeDucts(shop);
  if (!arranged.ok) throw new Error('no tree');
  const { tree } = arranged;
  return { tree, options: compareCandidates(shop, tree, 'found', sounds) };
}

/** The sample shop with a candidate without its cyclone, and one with a bigger blower. */
function withTwo(): Shop {
  const shop = threeBranchShop();
  const newId = counter();
  addCandidate(shop, 'One stage', newId);
  addCandidate(shop, '5 hp', newId);
  const [oneStage, bigger] = shop.candidates;
  if (!oneStage || !bigger) throw new Error('no candidates');
  oneStage.separator.kind = 'none';
  oneStage.cost = 0;
  Object.assign(bigger, { blower: blowerOfClass('five', 'us'), cost: 900 });
  return shop;
}

describe('collectors side by side', () => {
  it('each is the shop with that collector in its place, judged drop by drop', () => {
    const shop = withTwo();
    const { options, tree } = compared(shop);
    expect(options.map(({ id }) => id)).toEqual([null, 'id0', 'id1']);
    shop.candidates.forEach(({ separator, blower, exhaust }, i) => {
      const changed = copyOf(shop);
      Object.assign(changed.collector, { separator, blower, exhaust });
      const flows = judgeDrops(changed, tree, 'found', 'one').map((result) =>
        result.kind === 'judged' ? result.flow : null,
      );
      expect(options[i + 1]?.drops.map(({ flow }) => flow)).toEqual(flows);
    });
  });

  it('the worst drop’s gain is over what it gets now, and its cost is by that gain', () => {
    const { options } = compared(withTwo());
    const [present, oneStage, bigger] = options;
    expect(present?.gain).toBeNull();
    expect(oneStage?.gain).toBeGreaterThan(0);
    expect(oneStage?.costOfGain).toBe(0);
    expect((bigger?.costOfGain ?? 0) * (bigger?.gain ?? 0)).toBeCloseTo(900, 9);
    expect(bigger?.load?.current).toBeGreaterThan(present?.load?.current ?? 0);
  });

  it('a candidate that changes nothing gains nothing, and no price is put on it', () => {
    const shop = threeBranchShop();
    addCandidate(shop, 'Same', counter());
    const [candidate] = shop.candidates;
    if (candidate) candidate.cost = 100;
    const [, same] = compared(shop).options;
    expect(same?.gain).toBe(0);
    expect(same?.costOfGain).toBeNull();
  });

  it('a blower too small for its ducts has no answer, and says null instead of a number', () => {
    const shop = threeBranchShop();
    addCandidate(shop, 'Tiny', counter());
    const [tiny] = shop.candidates;
    if (!tiny) throw new Error('none');
    tiny.blower.curve = [
      { flow: 0, pressure: 2500 },
      { flow: 0.01, pressure: 2400 },
    ];
    const [, option] = compared(shop).options;
    expect(option).toMatchObject({ worst: null, best: null, load: null, gain: null });
    expect(option?.drops.every(({ flow, need }) => flow === null && need > 0)).toBe(true);
  });
});

describe('candidates', () => {
  it('are copies: changing one changes nothing else, and there are at most three', () => {
    const shop = threeBranchShop();
    const newId = counter();
    const before = copyOf(shop).collector;
    for (let i = 1; i < MOST_COLLECTORS; i++)
      expect(addCandidate(shop, `C${i}`, newId)).toBe(`id${i - 1}`);
    expect(addCandidate(shop, 'Full', newId)).toBeNull();
    const [first] = shop.candidates;
    if (first) first.blower.motor.power = 1;
    expect(shop.collector).toEqual(before);
    expect(shop.candidates[1]?.blower).toEqual(before.blower);
    removeCandidate(shop, 'id1');
    expect(shop.candidates.map(({ id }) => id)).toEqual(['id0', 'id2']);
    expect(shopSchema.safeParse(shop).success).toBe(true);
  });

  it('swapped in and back leave the shop as it was', () => {
    const shop = withTwo();
    const before = copyOf(shop);
    swapIn(shop, 'id0', 'Two stages');
    expect(shop.collector.separator.kind).toBe('none');
    expect(shop.candidates[0]).toMatchObject({ name: 'Two stages', cost: null });
    swapIn(shop, 'id0', 'One stage');
    expect(shop.collector).toEqual(before.collector);
    expect(shop.candidates[0]?.separator).toEqual(before.candidates[0]?.separator);
    swapIn(shop, 'nobody', 'x');
    expect(shop.collector).toEqual(before.collector);
  });
});

describe('how contenders stand and sound', () => {
  it('each has its own height, floor and conflicts under this ceiling', () => {
    const shop = withTwo();
    shop.room.ceilingHeight = 2.2;
    const [present, oneStage, bigger] = compared(shop).options;
    expect(oneStage?.elevation.height).toBeLessThan(present?.elevation.height ?? 0);
    expect(bigger?.elevation.height).toBeGreaterThan(present?.elevation.height ?? 0);
    expect(bigger?.conflicts.map(({ kind }) => kind)).toContain('over the ceiling');
  });

  it('a bigger blower is louder; a box or another room quiets it', () => {
    const shop = withTwo();
    const [present, , bigger] = compared(shop).options;
    expect(bigger?.noise).toBeGreaterThan(present?.noise ?? 0);
    const moved = copyOf(shop);
    moved.collector.assembly.mount = { kind: 'nextRoom', height: 1.5 };
    expect(compared(moved).options[0]?.noise).toBeCloseTo((present?.noise ?? 0) - 20, 9);
  });

  it('a meter’s reading at a known distance moves every estimate by as much', () => {
    const shop = withTwo();
    const before = compared(shop).options.map(({ noise }) => noise ?? 0);
    const sound = {
      at: '2026-10-01T10:00:00Z',
      place: 'bench',
      hours: null,
      isSimulated: false,
      note: '',
    };
    const expected = before[0] ?? 0;
    const sounds: SoundReading[] = [
      { ...sound, id: 'a', level: 90, distance: 3, expected },
      { ...sound, id: 'b', at: '2026-10-02T10:00:00Z', level: 92, distance: 1.5, expected },
      { ...sound, id: 'c', at: '2026-10-03T10:00:00Z', level: 70, distance: null, expected },
    ];
    const after = compared(shop, sounds).options.map(({ noise }) => noise ?? 0);
    // 92 at half the distance is 85.98 at 3 m.
    expect(after[0]).toBeCloseTo(92 - 20 * Math.log10(2), 9);
    after.forEach((level, i) => {
      expect(level - (before[i] ?? 0)).toBeCloseTo((after[0] ?? 0) - (before[0] ?? 0), 9);
    });
    // What stands in another room since quiets itself, and makes no other louder.
    shop.collector.assembly.mount = { kind: 'nextRoom', height: 1.5 };
    const moved = compared(shop, sounds).options.map(({ noise }) => noise ?? 0);
    expect(moved[0]).toBeCloseTo((after[0] ?? 0) - 20, 9);
    expect(moved.slice(1)).toEqual(after.slice(1));
  });
});

describe('kinds of separator', () => {
  const shop = threeBranchShop();
  Object.assign(shop.collector.separator, { kind: 'cyclone', lossCoefficient: 4 });
  const filter = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };
  shop.collector.exhaust = { kind: 'filter', filter };
  const { tree } = compared(shop);
  const methods = separatorMethods(shop, tree, 'found');
  const of = (kind: string) => methods.find((method) => method.kind === kind);

  it('cost air in the order of their heads, and save the filter as they catch', () => {
    expect(of('none')?.share).toBe(1);
    const shares = ['none', 'cyclone', 'lid', 'baffle'].map((kind) => of(kind)?.share ?? 0);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(of('cyclone')?.timeToDue).toBeGreaterThan(10 * (of('none')?.timeToDue ?? 0));
    expect(of('baffle')?.timeToDue).toBeLessThan(of('cyclone')?.timeToDue ?? 0);
  });

  it('the collector’s own counts by its own figures', () => {
    const own = judgeDrops(shop, tree, 'found', 'one').map((result) =>
      result.kind === 'judged' ? result.flow : null,
    );
    expect(of('cyclone')).toMatchObject({ isOwn: true });
    expect(own).toContain(of('cyclone')?.flow);
    expect(of('none')?.height).toBeLessThan(of('cyclone')?.height ?? 0);
  });
});
