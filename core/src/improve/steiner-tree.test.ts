import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Graph, type GraphEdge, MOST_EXACT, steinerTree } from './steiner-tree';

/** A grid of so many columns and rows whose legs weigh what `weigh` says. */
function gridOf(columns: number, rows: number, weigh: (index: number) => number): Graph {
  const edges: GraphEdge[] = [];
  const join = (a: number, b: number) => edges.push({ a, b, weight: weigh(edges.length) });
  for (let y = 0; y < rows; y++) {
    for (let x = 0; x < columns; x++) {
      const at = y * columns + x;
      if (x + 1 < columns) join(at, at + 1);
      if (y + 1 < rows) join(at, at + columns);
    }
  }
  return { size: columns * rows, edges };
}

/** Whether these edges join all terminals. */
function joins(edges: readonly GraphEdge[], terminals: readonly number[]): boolean {
  const reached = new Set([terminals[0]]);
  for (let isGrowing = true; isGrowing; ) {
    isGrowing = false;
    for (const { a, b } of edges) {
      if (reached.has(a) === reached.has(b)) continue;
      reached.add(a).add(b);
      isGrowing = true;
    }
  }
  return terminals.every((terminal) => reached.has(terminal));
}

/** The least weight of all sets of edges that join the terminals: every subset is tried. */
function bruteForce({ edges }: Graph, terminals: readonly number[]): number {
  let best = Number.POSITIVE_INFINITY;
  for (let mask = 0; mask < 1 << edges.length; mask++) {
    const chosen = edges.filter((_, i) => mask & (1 << i));
    const weight = chosen.reduce((sum, edge) => sum + edge.weight, 0);
    if (weight < best && joins(chosen, terminals)) best = weight;
  }
  return best;
}

describe('a least tree on a grid', () => {
  it('weighs what the best of all subsets of legs weighs', () => {
    const weights = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 12, maxLength: 12 });
    const some = fc.uniqueArray(fc.nat(8), { minLength: 2, maxLength: 5 });
    fc.assert(
      fc.property(weights, some, (weight, terminals) => {
        const graph = gridOf(3, 3, (i) => weight[i] ?? 1);
        const tree = steinerTree(graph, terminals);
        expect(tree?.weight).toBe(bruteForce(graph, terminals));
        expect(joins(tree?.edges ?? [], terminals)).toBe(true);
        const sum = tree?.edges.reduce((all, edge) => all + edge.weight, 0);
        expect(sum).toBe(tree?.weight);
      }),
      { numRuns: 60 },
    );
  });

  it('of four corners of a square meets in the middle: a known case', () => {
    // Rectilinear: three sides of the square, or its middle line and four halves; 3 × 2 legs each.
    const tree = steinerTree(
      gridOf(3, 3, () => 1),
      [0, 2, 6, 8],
    );
    expect(tree?.weight).toBe(6);
  });

  it('of more than it can do exactly is a tree, at most twice the least', () => {
    const graph = gridOf(6, 6, (i) => 1 + (i % 3));
    const terminals = Array.from({ length: MOST_EXACT + 4 }, (_, i) => (i * 11) % 36);
    const tree = steinerTree(graph, terminals);
    expect(joins(tree?.edges ?? [], terminals)).toBe(true);
    const spots = new Set(tree?.edges.flatMap(({ a, b }) => [a, b]));
    expect(tree?.edges).toHaveLength(spots.size - 1);
  });

  it('is none where something is shut off, and empty for one spot', () => {
    const graph: Graph = { size: 3, edges: [{ a: 0, b: 1, weight: 1 }] };
    expect(steinerTree(graph, [0, 2])).toBeNull();
    expect(steinerTree(graph, [1])).toEqual({ edges: [], weight: 0 });
  });
});
