import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyOf, counter } from '../../reference/sample-shops';
import { estimatedCurve } from '../collector/estimated-curve';
import { MACHINE_KIND_IDS, type MachineKindId } from '../design/machine-kinds';
import { newShop } from '../design/new-shop';
import type { Shop } from '../design/schema';
import { readShop } from '../file/shop-file';
import { toSI } from '../quantity/units';
import { setRoomSize } from '../room/edit-floor';
import { placeCollector } from '../room/free-place';
import { arrangeDucts } from '../routing/arrange-ducts';
import { ductConflicts } from '../routing/duct-conflicts';
import { addMachine } from '../routing/edit-machines';
import { inletMouth } from '../routing/places';
import { aheadOf } from '../routing/usual-route';
import { routeDucts } from './route-ducts';

/** A room of 9 by 7 m with its collector in a back corner, a post in the middle. */
function bareShop(): Shop {
  const shop = newShop('s', 'S', 'metric', estimatedCurve(0.35, 57, 0.55, 1.2));
  setRoomSize(shop, 9, 7);
  shop.room.ceilingHeight = 2.8;
  shop.room.posts = [{ id: 'post', at: { x: 4.5, y: 3.5 }, width: 0.15 }];
  shop.collector.place = { x: 7.8, y: 6.4, z: 0 };
  return shop;
}

const put = (shop: Shop, kind: MachineKindId, x: number, y: number, newId = counter()) => {
  const id = addMachine(shop, kind, () => `${kind}-${newId()}-${x}-${y}`);
  const machine = shop.machines.find((each) => each.id === id);
  if (machine) machine.place = { x, y };
};

function proposalsOf(shop: Shop) {
  const newId = counter();
  const routed = routeDucts(shop, 'designed', () => `route-${newId()}`);
  if (!routed.ok) throw new Error(routed.why);
  return routed.proposals;
}

describe('routes', () => {
  it('stand beside the ducts there are, scored the same way', () => {
    const shop = bareShop();
    put(shop, 'tableSaw', 4, 2);
    put(shop, 'planer', 2, 5);
    const route = (of: Shop) => {
      const newId = counter();
      const routed = routeDucts(of, 'designed', () => `route-${newId()}`);
      if (!routed.ok) throw new Error(routed.why);
      return routed;
    };
    const { proposals, present } = route(shop);
    expect(present).toBeNull();
    const [first] = proposals;
    if (!first) throw new Error('nothing proposed');
    expect(route({ ...shop, ducts: first.ducts }).present).toEqual(first.score);
  });

  it('turn at whole eighths of an inch in a shop of feet and inches, whatever placed its machines', () => {
    const shop = newShop('s', 'S', 'us', estimatedCurve(0.35, 57, 0.55, 1.2));
    setRoomSize(shop, toSI(24, 'ft'), toSI(20, 'ft'));
    shop.room.ceilingHeight = toSI(114, 'in');
    const newId = counter();
    placeCollector(shop);
    for (const kind of ['tableSaw', 'planer', 'bandSaw', 'jointer'] as const) {
      addMachine(shop, kind, newId);
    }
    // The inlet is where the collector's own sizes have it: what leads into it is round from there.
    const mouth = inletMouth(shop);
    const ahead = mouth && aheadOf(shop, mouth);
    if (!ahead) throw new Error('no inlet');
    const isRound = (length: number) => {
      const eighths = length / toSI(1 / 8, 'in');
      return Math.abs(eighths - Math.round(eighths)) < 1e-6;
    };
    for (const { ducts } of proposalsOf(shop)) {
      const points = [
        ...ducts.nodes.flatMap(({ at }) => at ?? []),
        ...ducts.runs.flatMap(({ route }) => (route?.bends ?? []).map(({ at }) => at)),
      ];
      expect(points.length).toBeGreaterThan(8);
      const odd = points.filter((at) =>
        (['x', 'y', 'z'] as const).some(
          (key) => !isRound(at[key]) && !isRound(at[key] - ahead[key]),
        ),
      );
      expect(odd).toEqual([]);
    }
  });

  it('are three, each leading every machine to the blower, and valid documents', () => {
    const shop = bareShop();
    put(shop, 'tableSaw', 4, 2);
    put(shop, 'planer', 2, 5);
    put(shop, 'bandSaw', 7, 3);
    const proposals = proposalsOf(shop);
    expect(proposals.map(({ style }) => style)).toEqual(['shortest', 'walls', 'main']);
    // Three that differ, or they would be no choice.
    const bends = proposals.map(({ ducts }) =>
      JSON.stringify(ducts.runs.map(({ route }) => route?.bends.map(({ at }) => at))),
    );
    expect(new Set(bends).size).toBe(3);
    const byStyle = new Map(proposals.map((proposal) => [proposal.style, proposal.score]));
    for (const { ducts, score } of proposals) {
      const drawn = { ...shop, ducts };
      const read = readShop(copyOf(drawn));
      expect(read.ok ? [] : read.faults).toEqual([]);
      const arranged = arrangeDucts(drawn);
      expect(arranged.ok && arranged.tree.drops).toHaveLength(3);
      const kinds = ductConflicts(drawn).map(({ kind }) => kind);
      for (const wrong of ['against the flow', 'through a post', 'through a wall', 'no length']) {
        expect(kinds).not.toContain(wrong);
      }
      expect(score.length).toBeGreaterThan(5);
    }
    expect(byStyle.get('shortest')?.length).toBeLessThanOrEqual(
      (byStyle.get('walls')?.length ?? 0) + 0.5,
    );
  });

  it('wherever machines stand lead them all, in a document that reads', () => {
    const machine = fc.record({
      kind: fc.constantFrom(...MACHINE_KIND_IDS),
      x: fc.double({ min: 1.2, max: 7.5, noNaN: true }),
      y: fc.double({ min: 1.2, max: 5, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(machine, { minLength: 1, maxLength: 7 }), (machines) => {
        const shop = bareShop();
        const newId = counter();
        for (const { kind, x, y } of machines) put(shop, kind, x, y, newId);
        const routed = routeDucts(shop, 'designed', newId);
        if (!routed.ok) throw new Error(routed.why);
        for (const { ducts } of routed.proposals) {
          const drawn = { ...shop, ducts };
          const read = readShop(copyOf(drawn));
          expect(read.ok ? [] : read.faults).toEqual([]);
          const arranged = arrangeDucts(drawn);
          expect(arranged.ok && arranged.tree.drops).toHaveLength(machines.length);
          expect(ductConflicts(drawn).map(({ kind }) => kind)).not.toContain('against the flow');
        }
      }),
      { numRuns: 25 },
    );
  });

  it('keep what the drops that are there are made of, and who they are', () => {
    const shop = bareShop();
    put(shop, 'tableSaw', 4, 2);
    put(shop, 'bandSaw', 6, 2);
    const [first] = proposalsOf(shop);
    if (!first) throw new Error('no proposal');
    shop.ducts = structuredClone(first.ducts);
    const drop = shop.ducts.runs.find(({ hose }) => hose);
    if (!drop?.hose || !drop.gate) throw new Error('no drop');
    Object.assign(drop, { pipe: 'spiralMetric', name: 'Mine' });
    drop.hose.kind = 'smooth';
    drop.gate.open = true;
    for (const { ducts } of proposalsOf(shop)) {
      const again = ducts.runs.find(({ id }) => id === drop.id);
      expect(again).toMatchObject({ name: 'Mine', pipe: 'spiralMetric', from: drop.from });
      expect([again?.hose?.kind, again?.gate?.open]).toEqual(['smooth', true]);
    }
  });

  it('without anything to join, or shut off by a wall of posts, say so', () => {
    const shop = bareShop();
    expect(routeDucts(shop, 'designed', counter())).toEqual({ ok: false, why: 'nothing to join' });
    put(shop, 'tableSaw', 2, 2);
    shop.room.posts = Array.from({ length: 40 }, (_, i) => ({
      id: `p${i}`,
      at: { x: 5.5, y: 0.1 + i * 0.18 },
      width: 0.15,
    }));
    expect(routeDucts(shop, 'designed', counter())).toEqual({ ok: false, why: 'no way through' });
  });

  it('do not go out through a wall and back to an inlet that looks at it', () => {
    const shop = bareShop();
    put(shop, 'tableSaw', 4, 2);
    shop.collector.inlet.side = 'left';
    shop.collector.place = { x: 0.7, y: 6.4, z: 0 };
    expect(routeDucts(shop, 'designed', counter())).toEqual({ ok: false, why: 'inlet at a wall' });
    shop.collector.inlet.side = 'right';
    expect(routeDucts(shop, 'designed', counter()).ok).toBe(true);
  });

  it('a riser that leans into its main is not said to hang where heads are', () => {
    const shop = bareShop();
    put(shop, 'tableSaw', 4, 2);
    put(shop, 'bandSaw', 6, 2);
    put(shop, 'jointer', 2, 2);
    for (const { ducts } of proposalsOf(shop)) {
      const low = ductConflicts({ ...shop, ducts }).filter(
        ({ kind }) => kind === 'below head height',
      );
      expect(low).toEqual([]);
    }
  });
});
