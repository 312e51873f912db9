import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDrawnShop } from '../../reference/any-drawn-shop';
import { readShop } from '../file/shop-file';
import { arrangeDucts } from '../routing/arrange-ducts';
import { evaluate } from './evaluate';
import { costOf } from './improvement';
import { improved, improvementsOf, searchedImprovements } from './improvements-of';
import { reroutings } from './kinds/route-improvements';

describe('whatever shop it is', () => {
  it('every improvement leaves a document that can be kept, arranged and solved, and costs what can be paid', () => {
    fc.assert(
      fc.property(anyDrawnShop, (shop) => {
        const arranged = arrangeDucts(shop);
        if (!arranged.ok || arranged.tree.drops.length === 0) return;
        const before = structuredClone(shop);
        const all = [
          ...improvementsOf(shop, arranged.tree),
          ...searchedImprovements(shop, arranged.tree, reroutings(shop)),
        ];
        expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
        const solves = evaluate(shop) !== null;
        for (const each of all) {
          const after = improved(shop, [each]);
          expect(readShop(after), each.id).toMatchObject({ ok: true });
          const tree = arrangeDucts(after);
          expect(tree.ok, each.id).toBe(true);
          const own = tree.ok ? tree.tree.drops.length : 0;
          expect(own + (each.relieves ?? 0), each.id).toBeGreaterThanOrEqual(
            arranged.tree.drops.length,
          );
          const cost = costOf(each, after.advice);
          expect(Number.isFinite(cost) && cost >= 0, each.id).toBe(true);
          expect(each.hours).toBeGreaterThanOrEqual(0);
          if (solves && own > 0) expect(() => evaluate(after), each.id).not.toThrow();
        }
        expect(shop).toEqual(before);
      }),
      { numRuns: 10 },
    );
  }, 120_000);
});
