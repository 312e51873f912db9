import { describe, expect, it } from 'vitest';
import { linearScale } from './linear-scale';

describe('a straight scale', () => {
  it('puts the ends of its domain at the ends of its range, whichever way that runs', () => {
    const scale = linearScale([-2, 6], [200, 40]);
    expect([scale(-2), scale(2), scale(6)]).toEqual([200, 120, 40]);
    expect(scale.domain).toEqual([-2, 6]);
  });

  it('ends at round numbers where it is asked to', () => {
    const scale = linearScale([-7.62, 0.79], [0, 100], 5);
    expect(scale.domain).toEqual([-8, 2]);
    expect(scale.ticks(6)).toEqual([-8, -6, -4, -2, 0, 2]);
  });

  it('of a single number is where its range begins, not nowhere', () => {
    expect(linearScale([3, 3], [10, 90])(3)).toBe(10);
  });
});
