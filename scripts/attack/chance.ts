/** Chance that begins anew from a seed (mulberry32): quick, and good enough to choose what to break. */
export class Chance {
  constructor(private state: number) {}

  /** From 0 up to 1, without it. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  }

  below(most: number): number {
    return Math.floor(this.next() * most);
  }

  one<T>(of: readonly [T, ...T[]]): T {
    return of[this.below(of.length)] ?? of[0];
  }
}
