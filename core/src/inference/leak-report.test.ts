import { describe, expect, it } from 'vitest';
import { chanceShop, ownGateRound } from '../../reference/hidden-shops';
import { plainReadings, treeOf } from '../../reference/plain-readings';
import { drawnShop } from '../../reference/sample-shops';
import { jointCount } from '../design/length';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { chanceOf } from '../simulate/chance';
import { allShutOf } from './all-shut';
import { asBelieved, type Fault, withFault } from './faults';
import { jointsToCheck } from './joints-to-check';
import { reportLeaks, reportNext } from './leak-report';
import { byPlace } from './places';
import { Solutions } from './predictor';

const shop = chanceShop(5, chanceOf(5));
const tree = treeOf(shop);
const none: ReadonlySet<string> = new Set();

/** A round of readings with a vane, as a journal has them, of a shop with a fault. */
function logged(fault: Fault | null, amount: number): Reading[] {
  return plainReadings(shop, tree, ownGateRound({ tree }), fault, amount).map(
    ({ ln, gates, measurand: { at } }, i) => {
      const drop = tree.drops.find(({ id }) => at.kind === 'port' && id === at.node);
      const velocity = Math.exp(ln) / (Math.PI * ((drop?.port.diameter ?? 1) / 2) ** 2);
      return recordWith('readings', {
        id: `r${i}`,
        at: `2026-01-10T10:0${i}:00Z`,
        testPoint: drop?.id ?? '',
        instrument: 'vane',
        quantity: 'velocity',
        spot: 'average',
        diameter: drop?.port.diameter ?? 1,
        taken: [velocity, velocity, velocity].map((value) => ({ kind: 'value', value })),
        unit: 'm/s',
        openGates: [...gates],
        note: '',
      });
    },
  );
}
const meters = {
  instruments: [recordWith('instruments', { id: 'vane', name: 'V', kind: 'vane', accuracy: 0.03 })],
  testPoints: tree.drops.map(({ id, name }) =>
    recordWith('testPoints', { id, name, at: { kind: 'port', node: id } }),
  ),
};

describe('a report', () => {
  const main = tree.upstreamFirst.at(-1)?.id ?? '';
  const opening: Fault = { kind: 'opening', run: main };
  const made = reportLeaks(shop, tree, logged(opening, 4e-3), meters);
  const { report } = made;

  it('says what an opening draws in and what every drop loses by it, as solving the shop with it has it', () => {
    expect(report.verdict.isWrong).toBe(true);
    const own = report.suspects.find(({ fault }) => 'run' in fault && fault.run === main);
    const believed = asBelieved(shop, tree);
    const leaking = new Solutions(withFault(believed, opening, own?.amount ?? 0));
    const sound = new Solutions(believed);
    for (const { drop, without, with: after } of own?.losses ?? []) {
      const asked = ownGateRound({ tree }).find(
        ({ measurand: { at } }) => at.kind === 'port' && at.node === drop,
      );
      if (!asked) throw new Error('no drop');
      expect(without).toBeCloseTo(Math.exp(sound.lnOf(asked) ?? 0), 6);
      expect(after).toBeCloseTo(Math.exp(leaking.lnOf(asked) ?? 0), 6);
      expect(after).toBeLessThan(without);
    }
    expect(own?.losses.length).toBeGreaterThan(2);
    const { air } = own ?? {};
    expect(air && air.low < air.median && air.median < air.high).toBe(true);
    // Sharp orifice (handbook): 0.61·A·√(2P/ρ). At 500 to 3000 Pa that is 18 to 43 m/s through the opening.
    const speed = (air?.median ?? 0) / (own?.amount ?? 1);
    expect(speed).toBeGreaterThan(15);
    expect(speed).toBeLessThan(45);
  });

  it('has every reading speak for what it shows, and asks for another', () => {
    expect(report.weighed).toBe(5);
    expect(report.places).toBe(5);
    expect(report.voices.filter(({ weight }) => (weight ?? 0) > 0).length).toBeGreaterThan(2);
    const means = { air: 'vane', pressure: null, mayOpenDucts: true };
    const [next] = reportNext(made, tree, means, 1);
    expect(next?.gain).toBeGreaterThan(0.1);
  });

  it('names readings of different places to take next', () => {
    const made = reportLeaks(shop, tree, logged({ kind: 'opening', run: 'main' }, 0.003), meters);
    const means = { air: 'vane', pressure: 'gauge', mayOpenDucts: true };
    const places = reportNext(made, tree, means, 4).map(({ candidate }) =>
      JSON.stringify(candidate.measurand),
    );
    expect(places).toHaveLength(4);
    expect(new Set(places).size).toBe(4);
  });

  it('sets aside a reading of a drop that is gone and one far from another, and uses the rest', () => {
    const [first, ...rest] = logged(opening, 4e-3);
    if (!first) throw new Error('no reading');
    const gone = { ...first, id: 'gone', testPoint: 'gone' };
    const value = first.taken[0]?.kind === 'value' ? first.taken[0].value : 1;
    const odd = { ...first, id: 'odd', taken: [{ kind: 'value' as const, value: 3 * value }] };
    const shut = { ...first, id: 'shut', openGates: ['no such gate'] };
    const { report: all } = reportLeaks(shop, tree, [first, ...rest, gone, odd, shut], meters);
    const why = new Map(all.setAside.map((each) => [each.reading, each.why]));
    expect(why.get('gone')).toBe('place unknown');
    expect(why.get('shut')).toBe('gate unknown');
    expect(why.get('odd')).toBe('contradicts another');
    expect(all.weighed).toBe(rest.length);
    expect(all.verdict.isWrong).toBe(true);
  });

  it('of no readings says nothing', () => {
    const { report: empty } = reportLeaks(shop, tree, [], meters);
    expect(empty.verdict.isWrong).toBe(false);
    expect(empty).toMatchObject({ weighed: 0, places: 0, couldShow: null, allShut: null });
  });

  it('says the smallest common shortfall that could have shown', () => {
    const { report: sound } = reportLeaks(shop, tree, logged(null, 0), meters);
    expect(sound.verdict.isWrong).toBe(false);
    expect(sound.couldShow).toBeGreaterThan(0.03);
    expect(sound.couldShow).toBeLessThan(0.5);
  });
});

describe('all gates shut', () => {
  const asked = {
    measurand: {
      at: { kind: 'collector', tap: 'separator inlet' } as const,
      shows: 'flow' as const,
    },
    gates: none,
    gatesKey: '',
  };

  it('gives the leakage class that was hidden, and what the model expects', () => {
    const read = plainReadings(shop, tree, [asked], { kind: 'leakage' }, 2.5);
    const found = allShutOf(shop, tree, read);
    const believed = shop.condition.sealing.usual;
    expect((found?.leakageClass ?? 0) / believed).toBeCloseTo(2.5, 3);
    expect(found?.low).toBeLessThan(2.5 * believed);
    expect(found?.high).toBeGreaterThan(2.5 * believed);
    const sound = new Solutions(asBelieved(shop, tree));
    expect(found?.predicted).toBeCloseTo(Math.exp(sound.lnOf(asked) ?? 0), 8);
  });

  it('is not what a reading with a machine’s gate open says', () => {
    const [drop] = ownGateRound({ tree });
    if (!drop) throw new Error('no drop');
    const open = { ...asked, gates: drop.gates, gatesKey: drop.gatesKey };
    expect(allShutOf(shop, tree, plainReadings(shop, tree, [open], null, 0))).toBeNull();
    expect(allShutOf(shop, tree, [])).toBeNull();
  });
});

describe('joints to check', () => {
  const routed = drawnShop(5);
  const counting = structuredClone(shop);
  for (const [i, run] of counting.ducts.runs.entries()) run.joints = 4 + i;
  const [one, other] = tree.upstreamFirst.map(({ id }) => id);
  const openings = [
    { fault: { kind: 'opening', run: one ?? '' } as const, probability: 0.5 },
    { fault: { kind: 'opening', run: other ?? '' } as const, probability: 0.3 },
    { fault: { kind: 'filter' } as const, probability: 0.2 },
  ];

  it('share out what is suspected of their runs, the likeliest first', () => {
    const joints = jointsToCheck(tree, openings, () => null);
    const ofRun = (run: string | undefined) =>
      joints.filter((each) => each.run === run).reduce((sum, { share }) => sum + share, 0);
    expect(ofRun(one)).toBeCloseTo(0.5, 12);
    expect(ofRun(other)).toBeCloseTo(0.3, 12);
    expect(joints.map(({ share }) => share)).toEqual(
      joints.map(({ share }) => share).toSorted((a, b) => b - a),
    );
  });

  it('are as many as its run has, one by one, and the seam of its pipe', () => {
    const counted = (of: typeof tree) =>
      of.upstreamFirst.map((run) => {
        const opening = { fault: { kind: 'opening', run: run.id } as const, probability: 1 };
        const joints = jointsToCheck(of, [opening], () => null);
        expect(new Set(joints.map(({ id }) => id)).size).toBe(joints.length);
        return joints.reduce((sum, { count }) => sum + count, 0);
      });
    for (const of of [tree, treeOf(routed), treeOf(counting)]) {
      expect(counted(of)).toEqual(of.upstreamFirst.map((run) => 1 + jointCount(run, of)));
    }
  });

  it('lie as high as they are drawn: a pipe’s by how far along it is', () => {
    const run = tree.upstreamFirst.find(({ hose, length }) => !hose && (length ?? 0) > 3.1);
    if (!run) throw new Error('no long run');
    const rising = [0, 1, 2].map((z) => ({ x: 0, y: 0, z: z * (run.length ?? 0) }));
    const joints = jointsToCheck(
      tree,
      [{ fault: { kind: 'opening', run: run.id }, probability: 1 }],
      () => rising.slice(0, 2),
    );
    const heights = joints.flatMap(({ at, height }) =>
      at.kind === 'pipe' || at.kind === 'end' ? [{ along: at.along, height }] : [],
    );
    expect(heights.length).toBeGreaterThan(1);
    for (const { along, height } of heights) expect(height).toBeCloseTo(along, 9);
  });

  it('come later where one needs a ladder, unless they are much likelier', () => {
    const equal = openings.slice(0, 2).map((each) => ({ ...each, probability: 0.4 }));
    const level = (z: number) => [0, 20].map((x) => ({ x, y: 0, z }));
    const joints = jointsToCheck(tree, equal, (run) => level(run === one ? 3 : 1));
    const seam = (run: string | undefined) =>
      joints.findIndex((each) => each.run === run && each.at.kind === 'seam');
    const [low, above] = [joints[seam(other)], joints[seam(one)]];
    if (!low || !above) throw new Error('no seam');
    if (above.share < 1.6 * low.share) expect(seam(other)).toBeLessThan(seam(one));
    else expect(seam(one)).toBeLessThan(seam(other));
    expect(above.height).toBe(3);
  });

  it('come last once they were found tight, and the others of their run share what they had', () => {
    const before = jointsToCheck(tree, openings, () => null);
    const [first] = before;
    if (!first) throw new Error('no joint');
    const after = jointsToCheck(tree, openings, () => null, new Set([first.id]));
    const ofFirst = after.find(({ id }) => id === first.id);
    expect(ofFirst?.share).toBeLessThan(0.2 * first.share);
    const ofRun = (list: typeof after) =>
      list.filter(({ run }) => run === first.run).reduce((sum, { share }) => sum + share, 0);
    expect(ofRun(after)).toBeCloseTo(ofRun(before), 12);
  });
});

describe('places', () => {
  it('hold all that is suspected there, the likeliest first', () => {
    const suspect = (fault: Fault, probability: number) => ({
      ...{ fault, probability, amount: 1, low: 1, high: 1 },
    });
    const places = byPlace([
      suspect({ kind: 'opening', run: 'a' }, 0.3),
      suspect({ kind: 'filter' }, 0.35),
      suspect({ kind: 'clog', run: 'a' }, 0.1),
      suspect({ kind: 'meter', meter: 'm', way: 'more' }, 0.05),
      suspect({ kind: 'meter', meter: 'm', way: 'less' }, 0.02),
    ]);
    expect(places.map(({ place }) => place.kind)).toEqual(['run', 'collector', 'meter']);
    expect(places.map(({ probability }) => Math.round(100 * probability))).toEqual([40, 35, 7]);
    expect(places[0]?.suspects.map(({ fault }) => fault.kind)).toEqual(['opening', 'clog']);
  });
});
