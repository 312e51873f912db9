import { describe, expect, it } from 'vitest';
import { treeOf } from '../../../reference/plain-readings';
import { drawnShop, threeBranchShop } from '../../../reference/sample-shops';
import type { Run, Shop } from '../../design/schema';
import { wyeBody } from '../../fittings/fitting-bodies';
import { toSI } from '../../quantity/units';
import { straightsOf } from '../../routing/derive-runs';
import { cutList, lengthsOf } from './cut-list';
import { cutPieces } from './cut-pieces';
import { cutAt, isCut, withCut, withoutCut } from './cut-ticks';

const piecesOf = (shop: Shop) => cutPieces(shop, treeOf(shop));

/** What its elbows take of a drawn run's legs on both sides of each corner, by R·tan(θ/2), m. */
const inElbows = ({ fittings, diameter }: Run) =>
  fittings.reduce(
    (sum, each) =>
      each.kind === 'elbow'
        ? sum + 2 * each.radiusRatio * diameter * Math.tan(each.angle / 2)
        : sum,
    0,
  );

describe('straight pieces', () => {
  it('of drawn ducts are exactly what the elbows leave of their length', () => {
    for (const drops of [3, 8, 14]) {
      const shop = drawnShop(drops);
      const tree = treeOf(shop);
      const straights = straightsOf(shop);
      expect(straights.size).toBe(tree.upstreamFirst.length);
      const whole = tree.upstreamFirst.reduce((sum, run) => sum + (run.length ?? 0), 0);
      const bends = tree.upstreamFirst.reduce((sum, run) => sum + inElbows(run), 0);
      const all = [...straights.values()].flat().reduce((sum, { length }) => sum + length, 0);
      expect(all + bends).toBeCloseTo(whole, 6);
    }
  });

  it('are what is left between the fittings of a run that was typed, worked by hand', () => {
    const shop = threeBranchShop();
    const { into } = treeOf(shop);
    const saw = shop.ducts.runs.find(({ id }) => id === 'saw');
    if (!saw) throw new Error('no saw');
    Object.assign(saw, { length: 3, fittings: [], hose: null, pipe: 'sewer' });
    saw.joins = { kind: 'branch', angle: Math.PI / 4 };
    const out = shop.ducts.runs.find(({ from }) => from === saw.to);
    const through = (into.get(saw.to) ?? []).find(({ joins }) => joins.kind === 'straight');
    const body = wyeBody(through?.diameter ?? out?.diameter ?? 0, saw.diameter, Math.PI / 4).branch;
    const gate = saw.gate ? 0.1 : 0;
    const own = piecesOf(shop).pieces.filter(({ run }) => run === 'saw');
    expect(own).toHaveLength(1);
    expect(own[0]?.length).toBeCloseTo(3 - body - gate, 9);
    // Of snap-lock, the crimped end goes 1½ in. into the wye besides.
    saw.pipe = 'snapLock';
    const crimped = piecesOf(shop).pieces.find(({ run }) => run === 'saw');
    expect(crimped?.length).toBeCloseTo(3 - body - gate + toSI(1.5, 'in'), 9);
    // With two elbows nobody has drawn, it is one length to be divided.
    saw.fittings = [
      {
        ...{ kind: 'elbow', id: 'e', style: 'fivePiece', angle: Math.PI / 2 },
        ...{ radiusRatio: 1.5, count: 2, after: null },
      },
    ];
    const divided = piecesOf(shop).pieces.find(({ run }) => run === 'saw');
    expect(divided?.dividedBy).toBe(2);
    expect((crimped?.length ?? 0) - (divided?.length ?? 0)).toBeCloseTo(
      2 * (Math.PI / 2) * 1.5 * saw.diameter,
      9,
    );
  });

  it('that have no room between their fittings are named', () => {
    const shop = threeBranchShop();
    const saw = shop.ducts.runs.find(({ id }) => id === 'saw');
    if (saw) Object.assign(saw, { length: 0.1, fittings: [] });
    const { pieces, overlaps } = piecesOf(shop);
    expect(pieces.some(({ run }) => run === 'saw')).toBe(false);
    expect(overlaps.find(({ run }) => run === 'saw')?.by).toBeGreaterThan(0.05);
  });

  it('shorter than the collars that go into them are named', () => {
    const shop = threeBranchShop();
    const saw = shop.ducts.runs.find(({ id }) => id === 'saw');
    if (!saw) throw new Error('no saw');
    Object.assign(saw, { length: 3, fittings: [], hose: null, pipe: 'galvanised' });
    const long = piecesOf(shop).pieces.find(({ run }) => run === 'saw');
    expect(long?.isShort).toBe(false);
    // A gap of 3 in., where two collars of 2 in. are to meet.
    saw.length = 3 - (long?.length ?? 0) + toSI(3, 'in');
    const short = piecesOf(shop).pieces.find(({ run }) => run === 'saw');
    expect(short?.length).toBeCloseTo(toSI(3, 'in'), 9);
    expect(short?.isShort).toBe(true);
  });

  it('are numbered from the collector out, each once', () => {
    const { pieces } = piecesOf(drawnShop(6));
    expect(pieces.map(({ number }) => number)).toEqual(pieces.map((_, i) => i + 1));
    expect(new Set(pieces.map(({ key }) => key)).size).toBe(pieces.length);
  });
});

describe('the cut list', () => {
  // An overlap is as deep as one end goes into the next: common practice, no source.
  it.each([
    ['galvanised', () => 0],
    ['snapLock', () => 0.0381],
    ['sewer', (diameter: number) => 0.45 * diameter],
    ['ventilation', () => 0],
  ] as const)(
    'cuts every piece, the long ones of whole lengths and a rest: %s',
    (kind, overlap) => {
      const shop = drawnShop(10);
      for (const run of shop.ducts.runs) run.pipe = kind;
      const { groups } = cutList(shop, treeOf(shop));
      expect(groups.length).toBeGreaterThan(1);
      for (const group of groups) {
        const { pieces, sticks, stock, diameter, bound } = group;
        expect(sticks.length).toBeGreaterThanOrEqual(bound);
        for (const piece of pieces) {
          const { key, length } = piece;
          const cuts = sticks.flatMap((stick) =>
            stick.cuts.filter((each) => each.key === key || each.key.startsWith(`${key} +`)),
          );
          const whole = cuts.reduce((sum, each) => sum + each.length, 0);
          expect(lengthsOf(group, piece)).toBe(cuts.length);
          const overlaps = (cuts.length - 1) * overlap(diameter);
          expect(whole - overlaps).toBeCloseTo(length, 6);
          for (const cut of cuts) expect(cut.length).toBeLessThanOrEqual(stock + 1e-9);
        }
      }
    },
  );

  it('goes by the stock that is said to be on sale', () => {
    const shop = drawnShop(6);
    const usual = cutList(shop, treeOf(shop)).groups;
    shop.build.stockLength = 1;
    const short = cutList(shop, treeOf(shop)).groups;
    expect(short.every(({ stock }) => stock === 1)).toBe(true);
    const sticks = (groups: typeof usual) =>
      groups.reduce((sum, each) => sum + each.sticks.length, 0);
    expect(sticks(short)).toBeGreaterThan(2 * sticks(usual));
  });

  it('knows a ticked piece again, and at what length it was cut', () => {
    const shop = drawnShop(3);
    const [piece] = piecesOf(shop).pieces;
    if (!piece) throw new Error('no piece');
    expect(cutAt(piece, [])).toBeNull();
    const ticks = withCut([], piece, { id: 1, stock: 3 });
    expect(cutAt(piece, ticks)).toBeCloseTo(piece.length, 3);
    expect(cutAt({ key: `${piece.key}0` }, ticks)).toBeNull();
    expect(withoutCut(ticks, piece)).toEqual([]);
    expect(isCut(piece, ticks)).toBe(true);
    expect(isCut({ ...piece, length: piece.length + 0.01 }, ticks)).toBe(false);
    // Pipe of another size is not cut because a piece as long was.
    expect(isCut({ ...piece, diameter: 2 * piece.diameter }, ticks)).toBe(false);
    // As earlier versions ticked it: nobody noted what it was cut from.
    const old = `${piece.key} ${(piece.length * 1000).toFixed(0)}`;
    expect(cutAt(piece, [old])).toBeCloseTo(piece.length, 3);
    shop.build.cut = [old];
    expect(cutList(shop, treeOf(shop)).groups.flatMap(({ sticks }) => sticks)).toEqual(
      cutList(drawnShop(3), treeOf(drawnShop(3))).groups.flatMap(({ sticks }) => sticks),
    );
  });

  it('keeps what is left of a length that was begun for what is cut later', () => {
    const shop = drawnShop(6);
    const found = cutList(shop, treeOf(shop)).groups.flatMap((group) =>
      group.sticks.flatMap((stick) => {
        const piece = group.pieces.find(({ key }) => key === stick.cuts[0]?.key);
        return piece && stick.cuts.length > 1 ? [{ group, stick, piece }] : [];
      }),
    );
    const [{ group, stick, piece } = {}] = found;
    if (!group || !stick || !piece) throw new Error('nothing to cut');
    const groupNow = () => {
      const found = cutList(shop, treeOf(shop)).groups.find(
        ({ pipe, diameter }) => pipe === group.pipe && diameter === group.diameter,
      );
      if (!found) throw new Error('no group');
      return found;
    };
    shop.build.cut = withCut([], piece, stick);
    const begun = groupNow();
    expect(begun.sticks.length).toBe(group.sticks.length);
    const started = begun.sticks.find(({ id }) => id === stick.id);
    expect(started?.done.map(({ key }) => key)).toEqual([piece.key]);
    expect(begun.sticks.flatMap(({ cuts }) => cuts).some(({ key }) => key === piece.key)).toBe(
      false,
    );
    // The plan changes: that piece is longer now. What was cut still took its share of the length.
    shop.build.cut = shop.build.cut.map((tick) => tick.replace(/ \d+ @/, ' 321 @'));
    const changed = groupNow();
    const first = changed.sticks.find(({ id }) => id === stick.id);
    expect(first?.done).toEqual([{ key: `was ${piece.key}`, length: 0.321 }]);
    const used = [...(first?.done ?? []), ...(first?.cuts ?? [])];
    const whole = used.reduce((sum, { length }) => sum + length + shop.build.kerf, 0);
    expect(whole - shop.build.kerf).toBeLessThanOrEqual(changed.stock + 1e-9);
    expect(changed.sticks.flatMap(({ cuts }) => cuts).some(({ key }) => key === piece.key)).toBe(
      true,
    );
    // Pipe is sold longer now: what was begun is as long as it was.
    shop.build.stockLength = 6;
    const longer = groupNow().sticks.map(({ id, stock }) => (id === stick.id ? stock : null));
    expect(longer).toContain(group.stock);
    expect(groupNow().stock).toBe(6);
    shop.build.stockLength = null;
    // Cut once more, both took their share.
    const anew = changed.sticks.find(({ cuts }) => cuts.some(({ key }) => key === piece.key));
    shop.build.cut = withCut(shop.build.cut, piece, anew ?? null);
    const twice = groupNow().sticks.flatMap(({ done }) => done.map(({ length }) => length));
    expect(twice.toSorted()).toEqual([0.321, piece.length].toSorted());
    expect(cutAt(piece, shop.build.cut)).toBeCloseTo(piece.length, 3);
  });
});
