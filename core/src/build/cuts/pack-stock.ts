/** Something to be cut from stock, m. */
export interface ToCut {
  readonly key: string;
  readonly length: number;
}

/** A length of stock that something was cut from already. */
export interface Begun {
  /** From 1 on. */
  readonly id: number;
  /** How long it was, m. */
  readonly stock: number;
  readonly cuts: readonly ToCut[];
}

/** One length of stock with what is cut from it. */
export interface Stick {
  /** The same as long as anything that was cut from it is remembered. */
  readonly id: number;
  /** How long it was, m. */
  readonly stock: number;
  /** What was cut from it before, and what is still to be. */
  readonly done: readonly ToCut[];
  readonly cuts: readonly ToCut[];
  /** What is left over, m. */
  readonly left: number;
}

export interface Packed {
  readonly sticks: readonly Stick[];
  /** No cutting needs fewer sticks than this. */
  readonly bound: number;
}

/** Sets that are tried for a better packing than the first. */
const MOST_TRIED = 20_000;
const SAME = 1e-9;

/**
 * Cuts pieces from as few lengths of stock as can be found: first-fit decreasing, and where that is above the bound a
 * search through all ways, given up after so many. Every cut takes a kerf, the one at the end of the stock too unless it
 * comes out even. No piece may be longer than the stock. What is left of lengths that were begun is used up first.
 * @param stock m
 * @param kerf m
 */
export function packStock(
  pieces: readonly ToCut[],
  stock: number,
  kerf: number,
  begun: readonly Begun[] = [],
): Packed {
  const sorted = pieces.toSorted((a, b) => b.length - a.length || (a.key < b.key ? -1 : 1));
  // With a kerf behind every piece, and one for the stock itself, pieces add up.
  const room = stock + kerf;
  const sizes = sorted.map(({ length }) => length + kerf);
  const open = begun.map((each) =>
    each.cuts.reduce((left, { length }) => left - length - kerf, each.stock + kerf),
  );
  const bound = begun.length + newBound(sizes, room, open);
  const first = firstFit(sizes, room, open);
  const best =
    first.length > bound ? (search(sizes, room, first.length, bound, open) ?? first) : first;
  const taken = new Set(begun.map(({ id }) => id));
  const fresh = Array.from({ length: best.length + begun.length }, (_, i) => i + 1).filter(
    (id) => !taken.has(id),
  );
  const sticks = best.map((own, i): Stick => {
    const cuts = own.flatMap((at) => sorted[at] ?? []);
    const used = own.reduce((sum, at) => sum + (sizes[at] ?? 0), 0);
    const left = Math.max(0, (open[i] ?? room) - used - kerf);
    const id = begun[i]?.id ?? fresh[i - begun.length] ?? i + 1;
    return { id, stock: begun[i]?.stock ?? stock, done: begun[i]?.cuts ?? [], cuts, left };
  });
  return { sticks, bound };
}

/** Fewest lengths that are needed besides those begun: for all that is more than these have, and for what fits none. */
function newBound(sizes: readonly number[], room: number, open: readonly number[]): number {
  if (open.length === 0) return packingBound(sizes, room);
  const widest = Math.max(...open);
  const tooLong = sizes.filter((size) => size > widest + SAME);
  const over = [...sizes, ...open.map((left) => -Math.max(0, left))].reduce((a, b) => a + b, 0);
  return Math.max(0, Math.ceil(over / room - SAME), packingBound(tooLong, room));
}

/** First-fit decreasing: each size goes into the first bin with room for it, what is left in open ones first. */
export function firstFit(
  sizes: readonly number[],
  room: number,
  open: readonly number[] = [],
): number[][] {
  const bins = open.map((left): { own: number[]; left: number } => ({ own: [], left }));
  for (const [i, size] of sizes.entries()) {
    const bin = bins.find(({ left }) => left >= size - SAME);
    if (bin) {
      bin.own.push(i);
      bin.left -= size;
    } else bins.push({ own: [i], left: room - size });
  }
  return bins.map(({ own }) => own);
}

/**
 * Fewest bins that sizes can go into (L2 of Martello and Toth 1990, from memory): for any k up to half the room, sizes
 * above room − k stand alone, those above a half have a bin each, and the rest has to fit into what these leave.
 */
export function packingBound(sizes: readonly number[], room: number): number {
  const whole = sizes.reduce((sum, size) => sum + size, 0);
  let bound = Math.ceil(whole / room - SAME);
  for (const k of [0, ...sizes.filter((size) => size <= room / 2 + SAME)]) {
    const alone = sizes.filter((size) => size > room - k + SAME);
    const half = sizes.filter((size) => size <= room - k + SAME && size > room / 2 + SAME);
    const small = sizes.filter((size) => size <= room / 2 + SAME && size >= k - SAME);
    const sum = (of: readonly number[]) => of.reduce((total, size) => total + size, 0);
    const beside = half.length * room - sum(half);
    const more = Math.max(0, Math.ceil((sum(small) - beside) / room - SAME));
    bound = Math.max(bound, alone.length + half.length + more);
  }
  return bound;
}

/** A packing into fewer bins than there are; null: none was found. */
function search(
  sizes: readonly number[],
  room: number,
  most: number,
  bound: number,
  open: readonly number[],
): number[][] | null {
  let best: number[][] | null = null;
  let fewest = most;
  let tried = 0;
  const bins = open.map((left): { own: number[]; left: number } => ({ own: [], left }));
  const place = (i: number): void => {
    if (tried++ > MOST_TRIED || fewest <= bound) return;
    const size = sizes[i];
    if (size === undefined) {
      best = bins.map(({ own }) => [...own]);
      fewest = bins.length;
      return;
    }
    const seen = new Set<number>();
    for (const bin of bins) {
      // Bins with the same room left are the same.
      const left = Math.round(bin.left * 1e6);
      if (bin.left < size - SAME || seen.has(left)) continue;
      seen.add(left);
      bin.own.push(i);
      bin.left -= size;
      place(i + 1);
      bin.own.pop();
      bin.left += size;
    }
    if (bins.length + 1 < fewest) {
      bins.push({ own: [i], left: room - size });
      place(i + 1);
      bins.pop();
    }
  };
  place(0);
  return best;
}
