import { describe, expect, it } from 'vitest';
import { keptSize, shrinkPicture } from './shrink-picture';

describe('a picture that is kept', () => {
  it.each([
    [4000, 3000, 1600, 1200],
    [3000, 4000, 1200, 1600],
    [800, 600, 800, 600],
    [20_000, 1, 1600, 1],
  ])('of %i × %i is %i × %i', (width, height, kept, high) => {
    expect(keptSize(width, height)).toEqual({ width: kept, height: high });
  });

  it('of 40 MB is refused by its size, unread', async () => {
    const file = new File(['x'], 'huge.jpg', { type: 'image/jpeg' });
    Object.defineProperty(file, 'size', { value: 40_000_000 });
    expect(await shrinkPicture(file)).toMatch(/^huge\.jpg is 40 MB; a photo can be at most 30 MB/);
  });
});
