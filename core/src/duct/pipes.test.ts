import { describe, expect, it } from 'vitest';
import { PIPES, pipeOutside, sizeOf } from './pipes';

const { sizes } = PIPES.drain;
const [small, large] = [sizes[0], sizes[1]];

describe('a size of the catalogue', () => {
  it('is found by its true inside diameter, within half a millimetre', () => {
    for (const size of sizes) {
      expect(sizeOf('drain', size.inside)).toBe(size);
      expect(sizeOf('drain', size.inside + 0.49e-3)).toBe(size);
      expect(sizeOf('drain', size.inside - 0.49e-3)).toBe(size);
      expect(sizeOf('drain', size.inside + 0.51e-3)).toBeNull();
      expect(sizeOf('drain', size.inside - 0.51e-3)).toBeNull();
    }
  });
});

describe('the outside of a pipe', () => {
  it('is its size’s', () => {
    for (const size of sizes) expect(pipeOutside('drain', size.inside)).toBe(size.outside);
    // A diameter typed a shade off still has the outside of the size that is sold.
    expect(pipeOutside('drain', small.inside + 0.3e-3)).toBe(small.outside);
  });

  it('of a diameter that is not sold is found by the wall of the nearest size', () => {
    const wallOf = (inside: number) => pipeOutside('drain', inside) - inside;
    expect(small.outside - small.inside).not.toBeCloseTo(large.outside - large.inside, 4);
    const [low, high] = [small.inside + 0.005, large.inside - 0.005];
    expect(wallOf(low)).toBeCloseTo(small.outside - small.inside, 9);
    expect(wallOf(high)).toBeCloseTo(large.outside - large.inside, 9);
    expect(wallOf(1)).toBeCloseTo((sizes.at(-1)?.outside ?? 0) - (sizes.at(-1)?.inside ?? 0), 9);
  });
});
