import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  branchLeg,
  type JunctionLeg,
  junctionLosses,
  type LegLoss,
  legLossInto,
  momentumOf,
  straightLeg,
  symmetricLeg,
  teeShare,
} from './converging-junction';

const DENSITY = 1.2;

/** A main with one branch: areas m², angle rad, flows m³/s. */
const anyJunction = fc.record({
  main: fc.double({ min: 0.005, max: 0.1, noNaN: true }),
  ratio: fc.double({ min: 0.1, max: 1, noNaN: true }),
  angle: fc.double({ min: 0.2, max: Math.PI / 2, noNaN: true }),
  through: fc.double({ min: 0.01, max: 1, noNaN: true }),
  own: fc.double({ min: 0.01, max: 1, noNaN: true }),
});
type AnyJunction = typeof anyJunction extends fc.Arbitrary<infer J> ? J : never;

const legsOf = ({ main, ratio, angle, through, own }: AnyJunction, times = 1) => [
  { leg: straightLeg(main * times, teeShare(angle)), flow: through * times },
  { leg: branchLeg(ratio * main * times, main * times, angle), flow: own * times },
];

describe('legs of a junction', () => {
  it('lose the same at the same velocities, whatever the size of the junction', () => {
    fc.assert(
      fc.property(anyJunction, fc.double({ min: 0.1, max: 10, noNaN: true }), (junction, times) => {
        const losses = junctionLosses(legsOf(junction), DENSITY);
        const scaled = junctionLosses(legsOf(junction, times), DENSITY);
        const pressure = Math.max(...losses.map(Math.abs), 1e-6);
        for (const [i, loss] of losses.entries()) {
          expect(Math.abs((scaled[i] ?? 0) - loss) / pressure).toBeLessThan(1e-9);
        }
      }),
    );
  });

  it('lose four times as much at twice the flow', () => {
    fc.assert(
      fc.property(anyJunction, (junction) => {
        const { through, own } = junction;
        const losses = junctionLosses(legsOf(junction), DENSITY);
        const twice = legsOf({ ...junction, through: 2 * through, own: 2 * own });
        for (const [i, loss] of junctionLosses(twice, DENSITY).entries()) {
          expect(loss / (losses[i] || Number.NaN)).toBeCloseTo(4, 9);
        }
      }),
    );
  });

  it('have the derivatives they say, by their own flow, the combined one and the momentum', () => {
    const lossOf = (leg: JunctionLeg, own: number, combined: number, m: number): LegLoss => {
      const out = { loss: 0, byOwn: 0, byCombined: 0, byMomentum: 0 };
      legLossInto(out, leg.kind, leg.area, leg.combinedArea, leg.tee, own, combined, m, DENSITY);
      return out;
    };
    fc.assert(
      fc.property(anyJunction, (junction) => {
        const legs = legsOf(junction);
        const { main, ratio, angle, own } = junction;
        const flow = { own, combined: junction.own + junction.through };
        const m = legs.reduce((sum, each) => sum + momentumOf(each.leg, each.flow), 0);
        const kinds = [...legs.map(({ leg }) => leg), symmetricLeg(ratio * main, main, angle)];
        for (const leg of kinds) {
          const junction = lossOf(leg, flow.own, flow.combined, m);
          const by = (own: number, combined: number, momentum: number) =>
            lossOf(leg, flow.own + own, flow.combined + combined, m + momentum).loss;
          const h = 1e-6;
          const scale = (junction.loss === 0 ? 1 : Math.abs(junction.loss)) + DENSITY * m;
          const differs = (derivative: number, plus: number, minus: number, step: number) =>
            Math.abs(derivative - (plus - minus) / (2 * step)) * flow.own > 1e-5 * scale;
          expect(differs(junction.byOwn, by(h, 0, 0), by(-h, 0, 0), h)).toBe(false);
          expect(differs(junction.byCombined, by(0, h, 0), by(0, -h, 0), h)).toBe(false);
          const step = 1e-4 * Math.max(m, 1);
          expect(
            Math.abs(junction.byMomentum - (by(0, 0, step) - by(0, 0, -step)) / (2 * step)),
          ).toBeLessThan(1e-6);
        }
      }),
    );
  });

  it('lose what is worked by hand where a branch as wide as the main brings half of the air', () => {
    const lossOf = (tee: number, angle = Math.PI / 2) => {
      const main = { leg: straightLeg(0.02, tee), flow: 0.2 };
      const branch = { leg: branchLeg(0.02, 0.02, angle), flow: 0.2 };
      return junctionLosses([main, branch], DENSITY);
    };
    // The combined air has 240 Pa of velocity pressure at 20 m/s. The main loses 2q − q² of it by the
    // balance, and 1.55q − q² by Idelchik's tee (from memory), q = ½.
    expect(lossOf(0)[0]).toBeCloseTo(0.75 * 240, 6);
    expect(lossOf(1)[0]).toBeCloseTo(0.525 * 240, 6);
    // The branch at 45°: A·(1 + ¼ − ½ − ½·cos 45°), A = 0.55.
    expect(lossOf(0, Math.PI / 4)[1]).toBeCloseTo(0.55 * (0.75 - Math.SQRT1_2 / 2) * 240, 6);
  });
});
