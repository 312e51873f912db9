import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toSI } from '../quantity/units';
import { reducerBody, wyeBody } from './fitting-bodies';

/** Where the wall of a branch cuts the wall of a main, as seen from the crossing of their middles: along main and branch. */
function cutOf(main: number, branch: number, angle: number) {
  const [radius, own] = [main / 2, branch / 2];
  const at = Array.from({ length: 720 }, (_, i) => (i / 720) * 2 * Math.PI);
  return at.map((phi) => {
    // A line along the branch: from a point of its circle, in the direction of its middle.
    const across = own * Math.sin(phi);
    const up = own * Math.cos(phi);
    const height = Math.sqrt(radius ** 2 - across ** 2);
    // Height over the main's middle: s·sin(angle) + up·cos(angle).
    const s = (height - up * Math.cos(angle)) / Math.sin(angle);
    return { branch: s, main: s * Math.cos(angle) - up * Math.sin(angle) };
  });
}

describe('a wye', () => {
  it('has a body that the whole cut lies in, with a collar to spare', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        fc.double({ min: Math.PI / 9, max: Math.PI / 2, noNaN: true }),
        (main, share, angle) => {
          const body = wyeBody(main, share * main, angle);
          const cut = cutOf(main, share * main, angle);
          const collar = 0.05 - 1e-9;
          expect(Math.max(...cut.map((each) => each.branch))).toBeLessThan(
            body.branch - collar + 1e-6,
          );
          expect(Math.max(...cut.map((each) => each.main))).toBeLessThan(
            body.ahead - collar + 1e-6,
          );
          expect(-Math.min(...cut.map((each) => each.main))).toBeLessThan(
            body.behind - collar + 1e-6,
          );
        },
      ),
    );
  });

  it('of 4 in. into 6 in. at 45° takes 6.24 in. and a collar of the branch (worked by hand)', () => {
    // 3 in. / sin 45° + 2 in. / tan 45° = 4.243 + 2 = 6.243 in.
    const body = wyeBody(toSI(6, 'in'), toSI(4, 'in'), Math.PI / 4);
    expect(body.branch - 0.05).toBeCloseTo(toSI(6.243, 'in'), 4);
    // Along the main: 3 / tan 45° + 2 / sin 45° = 5.828 in. ahead of the crossing.
    expect(body.ahead - 0.05).toBeCloseTo(toSI(5.828, 'in'), 4);
  });
});

it('a reducer from 6 to 4 in. with sides of 15° is 3.73 in. long (worked by hand: 1 in. / tan 15°)', () => {
  expect(reducerBody(toSI(6, 'in'), toSI(4, 'in'))).toBeCloseTo(toSI(3.732, 'in'), 4);
  expect(reducerBody(0.15, 0.1524)).toBe(0);
});
