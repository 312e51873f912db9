/** What one part of the attack tried, and what got through: sentences that say how to see it again. */
export interface Attacked {
  readonly tried: number;
  readonly failed: readonly string[];
  /** Of requests: the longest a page had to wait while they were worked on, ms. */
  readonly longestStallMs?: number;
}

export interface Strength {
  /** How many tries. */
  readonly count: number;
  /** Where chance begins: the same seed tries the same. */
  readonly seed: number;
}

/** No more of what got through is kept: the first few say enough. */
const MOST_FAILED = 50;

/** Collects what gets through. */
export class Failures {
  readonly list: string[] = [];
  add(sentence: string): void {
    if (this.list.length < MOST_FAILED) this.list.push(sentence);
  }
}

/** Runs something that must neither throw nor take longer than `most` ms; answers its fault, or null. */
export function faultOf(most: number, run: () => void): string | null {
  const began = performance.now();
  try {
    run();
  } catch (error) {
    return error instanceof Error
      ? (error.stack ?? error.message).split('\n', 3).join(' ')
      : String(error);
  }
  const took = Math.round(performance.now() - began);
  return took > most ? `took ${took} ms` : null;
}
