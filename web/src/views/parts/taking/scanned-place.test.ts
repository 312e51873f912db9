import { describe, expect, it } from 'vitest';
import { placeInAddress, readingAddress } from './scanned-place';

describe('the address on a label', () => {
  it.each(['saw', 'a/b #1', 'Säge?'])('names its test point (%s)', (place) => {
    const { pathname, hash } = new URL(readingAddress('http://shop.local:4321', 'one', place));
    expect(pathname).toBe('/shop/one/log');
    expect(placeInAddress(hash)).toBe(place);
  });

  it('of another kind names none', () => {
    for (const hash of ['', '#', '#shop=AB', '#at=%E0%A4%A']) {
      expect(placeInAddress(hash)).toBeNull();
    }
  });
});
