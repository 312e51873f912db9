/** Chance that is the same whenever it is asked for: of a seed, the same numbers in the same order. */
export interface Chance {
  /** Evenly between 0 and 1. */
  readonly uniform: () => number;
  /** Normally distributed about 0 with a standard deviation of 1. */
  readonly normal: () => number;
}

/**
 * A stream of chance from a seed. Evenly by mulberry32 (in the public domain, from memory), normally by the
 * method of Box and Muller (1958, from memory).
 * @param seed any whole number
 */
export function chanceOf(seed: number): Chance {
  let state = seed | 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}
