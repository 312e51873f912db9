import { describe, expect, it } from 'vitest';
import { wyeBody } from '../fittings/fitting-bodies';
import { toSI } from '../quantity/units';
import { wyeReach } from './wye-reach';

const inches = (value: number) => toSI(value, 'in');

describe('how far beside a main a branch turns into its wye', () => {
  // On the leg at 45°: the wye of 5 into 8 takes 4 / sin 45° + 2.5 / tan 45° + 1.97 = 10.13 in., the elbow 7.5 × tan 22.5° =
  // 3.11 in. and the pipe its diameter: 18.23 in., so 12.89 in. beside the main; in half diameters 15 in.
  it('is three diameters for 5 in. into 8 in. at 45° (worked by hand)', () => {
    expect(wyeReach(inches(8), inches(5))).toBeCloseTo(inches(15), 9);
  });

  it.each([30, 45, 60])('leaves pipe for both collars at %i°, whatever the sizes', (degrees) => {
    const angle = (degrees * Math.PI) / 180;
    for (const main of [4, 5, 6, 7, 8, 10, 12].map(inches)) {
      for (const branch of [2, 2.5, 3, 4, 5, 6, 7, 8].map(inches).filter((each) => each <= main)) {
        const reach = wyeReach(main, branch, angle);
        const elbow = 1.5 * branch * Math.tan((Math.PI / 2 - angle) / 2);
        const left = reach / Math.sin(angle) - elbow - wyeBody(main, branch, angle).branch;
        expect(left).toBeGreaterThan(inches(4));
        expect(left).toBeGreaterThan(0.9 * branch);
        // No farther than it has to be, and never nearer than is usual.
        expect(reach).toBeGreaterThan(2 * branch - 1e-9);
        const nearer = reach - branch / 2;
        expect(
          nearer < 2 * branch - 1e-9 ||
            nearer / Math.sin(angle) - elbow - wyeBody(main, branch, angle).branch <
              Math.max(0.11, branch) + 1e-9,
        ).toBe(true);
      }
    }
  });
});
