/** A way between two spots of a graph, by their numbers. */
export interface GraphEdge {
  readonly a: number;
  readonly b: number;
  readonly weight: number;
}

export interface Graph {
  readonly size: number;
  readonly edges: readonly GraphEdge[];
}

export interface SteinerTree {
  readonly edges: readonly GraphEdge[];
  readonly weight: number;
}

/** More terminals than this are not joined exactly: the work grows threefold with each. */
export const MOST_EXACT = 9;

/**
 * The lightest tree that joins all `terminals` of a graph; null where they cannot be joined. Up to
 * nine by Dreyfus and Wagner's dynamic programme (Networks 1, 1971, from memory), exactly; more by
 * leading each to the tree so far by the shortest way, the nearest first, which is never more than
 * twice the least.
 */
export function steinerTree(graph: Graph, terminals: readonly number[]): SteinerTree | null {
  const [root, ...others] = [...new Set(terminals)];
  if (root === undefined || others.length === 0) return { edges: [], weight: 0 };
  const around = neighbours(graph);
  const tree =
    others.length < MOST_EXACT
      ? exact(graph, around, root, others)
      : byNearest(graph, around, root, others);
  return tree;
}

type Around = readonly (readonly { readonly to: number; readonly edge: GraphEdge }[])[];

function neighbours({ size, edges }: Graph): Around {
  const around: { to: number; edge: GraphEdge }[][] = Array.from({ length: size }, () => []);
  for (const edge of edges) {
    around[edge.a]?.push({ to: edge.b, edge });
    around[edge.b]?.push({ to: edge.a, edge });
  }
  return around;
}

/** Where a best tree at a spot comes from: along an edge, or of two trees that meet there. */
type From =
  | { readonly kind: 'start' }
  | { readonly kind: 'edge'; readonly edge: GraphEdge; readonly spot: number }
  | { readonly kind: 'meet'; readonly mask: number };

function exact(
  { size }: Graph,
  around: Around,
  root: number,
  others: readonly number[],
): SteinerTree | null {
  const full = (1 << others.length) - 1;
  const weights = Array.from({ length: full + 1 }, () => new Float64Array(size).fill(Infinity));
  const froms: (From | undefined)[][] = Array.from({ length: full + 1 }, () => []);
  for (let mask = 1; mask <= full; mask++) {
    const weight = weights[mask] as Float64Array;
    const from = froms[mask] as (From | undefined)[];
    others.forEach((terminal, i) => {
      if (mask !== 1 << i) return;
      weight[terminal] = 0;
      from[terminal] = { kind: 'start' };
    });
    for (let part = (mask - 1) & mask; part > 0; part = (part - 1) & mask) {
      if (part < (mask ^ part)) break;
      const [one, other] = [weights[part], weights[mask ^ part]];
      for (let spot = 0; spot < size; spot++) {
        const sum = (one?.[spot] ?? Infinity) + (other?.[spot] ?? Infinity);
        if (sum >= (weight[spot] ?? Infinity)) continue;
        weight[spot] = sum;
        from[spot] = { kind: 'meet', mask: part };
      }
    }
    relax(around, weight, (spot, edge, by) => {
      from[spot] = { kind: 'edge', edge, spot: by };
    });
  }
  const weight = weights[full]?.[root] ?? Infinity;
  if (weight === Infinity) return null;
  const edges = new Set<GraphEdge>();
  const waiting: { mask: number; spot: number }[] = [{ mask: full, spot: root }];
  for (let at = waiting.pop(); at; at = waiting.pop()) {
    const from = froms[at.mask]?.[at.spot];
    if (from?.kind === 'edge') {
      edges.add(from.edge);
      waiting.push({ mask: at.mask, spot: from.spot });
    } else if (from?.kind === 'meet') {
      waiting.push({ mask: from.mask, spot: at.spot });
      waiting.push({ mask: at.mask ^ from.mask, spot: at.spot });
    }
  }
  return { edges: [...edges], weight };
}

/** Dijkstra from every spot that has a weight: lowers what can be lowered along edges. */
function relax(
  around: Around,
  weight: Float64Array,
  lowered: (spot: number, edge: GraphEdge, by: number) => void,
): void {
  const done = new Uint8Array(weight.length);
  for (;;) {
    let spot = -1;
    let least = Infinity;
    for (let i = 0; i < weight.length; i++) {
      const own = weight[i] as number;
      if (!done[i] && own < least) {
        least = own;
        spot = i;
      }
    }
    if (spot < 0) return;
    done[spot] = 1;
    for (const { to, edge } of around[spot] ?? []) {
      const sum = least + edge.weight;
      if (sum >= (weight[to] as number) - 1e-12) continue;
      weight[to] = sum;
      lowered(to, edge, spot);
    }
  }
}

function byNearest(
  { size }: Graph,
  around: Around,
  root: number,
  others: readonly number[],
): SteinerTree | null {
  const inTree = new Set([root]);
  const edges = new Set<GraphEdge>();
  const left = new Set(others);
  while (left.size > 0) {
    const weight = new Float64Array(size).fill(Infinity);
    for (const spot of inTree) weight[spot] = 0;
    const cameBy = new Map<number, { edge: GraphEdge; by: number }>();
    relax(around, weight, (spot, edge, by) => cameBy.set(spot, { edge, by }));
    const [nearest] = [...left].sort((a, b) => (weight[a] ?? 0) - (weight[b] ?? 0));
    if (nearest === undefined || (weight[nearest] ?? Infinity) === Infinity) return null;
    for (let spot = nearest; !inTree.has(spot); ) {
      inTree.add(spot);
      const step = cameBy.get(spot);
      if (!step) break;
      edges.add(step.edge);
      spot = step.by;
    }
    left.delete(nearest);
    for (const terminal of [...left]) if (inTree.has(terminal)) left.delete(terminal);
  }
  const all = [...edges];
  return { edges: all, weight: all.reduce((sum, edge) => sum + edge.weight, 0) };
}
