import { describe, expect, it } from 'vitest';
import { type Air, STANDARD_DENSITY } from '../air/air-at-site';
import { circleArea, velocityPressure } from '../air/velocity-pressure';
import { frictionLoss } from '../duct/friction-law';
import type { HosePiece, Loss, PairedElbows, Turn } from '../fittings/loss-method';
import { lossMethod } from './loss-methods';

const STANDARD_AIR: Air = { density: STANDARD_DENSITY, viscosity: 1.82e-5 };
const DIAMETER = 0.1524;
/** About 4,000 fpm in it. */
const FLOW = 20 * circleArea(DIAMETER);
const RIGHT_ANGLE = Math.PI / 2;

const pressure = (loss: Loss): number =>
  loss.kind === 'coefficient'
    ? loss.coefficient * velocityPressure(FLOW / circleArea(DIAMETER), STANDARD_DENSITY)
    : frictionLoss(loss.friction, FLOW, DIAMETER, STANDARD_AIR);

const ELBOWS = {
  style: 'fivePiece',
  radiusRatio: 1.5,
  count: 1,
  pipe: 'galvanised',
  diameter: DIAMETER,
  straight: null,
} as const;
const TURN: Turn = { ...ELBOWS, angle: RIGHT_ANGLE };
const PAIR: PairedElbows = { ...ELBOWS, spacer: 5 * DIAMETER };
const HOSE: HosePiece = {
  kind: 'smooth',
  length: 2,
  diameter: DIAMETER,
  compression: 0,
  pipe: 'galvanised',
};

describe.each(['darcy', 'powerFit', 'equivalentFeet'] as const)('losses by %s', (name) => {
  const method = lossMethod(name);

  it('grow with the angle and with the number of elbows', () => {
    const one = pressure(method.turn(TURN, 1));
    expect(pressure(method.turn({ ...TURN, angle: RIGHT_ANGLE / 2 }, 1))).toBeLessThan(one);
    expect(pressure(method.turn({ ...TURN, count: 3 }, 1))).toBeCloseTo(3 * one, 9);
    expect(one).toBeGreaterThan(0);
  });

  it('are no more for two gentle turns than for one sharp turn', () => {
    const sharp = { ...TURN, straight: 0 };
    expect(pressure(method.pair(PAIR, 1))).toBeLessThanOrEqual(
      pressure(method.turn({ ...sharp, style: 'mitred' }, 1)),
    );
  });

  it('are more in hose than in as much duct', () => {
    const inDuct = frictionLoss(method.pipe('galvanised', 2, 1), FLOW, DIAMETER, STANDARD_AIR);
    const inHose = frictionLoss(method.hose(HOSE, 1), FLOW, DIAMETER, STANDARD_AIR);
    expect(inHose).toBeGreaterThan(inDuct);
  });

  it('are multiplied by the factor of an estimate that is asked about', () => {
    for (const ask of [
      (factor: number): Loss => method.turn(TURN, factor),
      (factor: number): Loss => method.pair(PAIR, factor),
      (factor: number): Loss => ({ kind: 'friction', friction: method.hose(HOSE, factor) }),
      (factor: number): Loss => ({
        kind: 'friction',
        friction: method.pipe('galvanised', 3, factor),
      }),
    ]) {
      expect(pressure(ask(1.3))).toBeCloseTo(1.3 * pressure(ask(1)), 9);
    }
  });
});

describe('an elbow close behind another', () => {
  const { turn, pair } = lossMethod('darcy');
  const close = { straight: 0 };

  it('is the first of several alike, or of several pairs; the others stand as ever', () => {
    const turns = pressure(turn({ ...TURN, ...close, count: 3 }, 1));
    const apart = pressure(turn({ ...TURN, ...close }, 1)) + 2 * pressure(turn(TURN, 1));
    expect(turns).toBeCloseTo(apart, 9);

    const pairs = pressure(pair({ ...PAIR, ...close, count: 2 }, 1));
    expect(pairs).toBeCloseTo(
      pressure(pair({ ...PAIR, ...close }, 1)) + pressure(pair(PAIR, 1)),
      9,
    );
  });

  it('is the second of a pair whose spacer is short', () => {
    const short = pressure(pair({ ...PAIR, spacer: 0 }, 1));
    expect(short).toBeGreaterThan(pressure(pair(PAIR, 1)));
    // Either elbow of a pair may be the close one: both take the same.
    expect(short).toBeCloseTo(pressure(pair({ ...PAIR, ...close }, 1)), 9);
  });

  it('takes more by velocity pressures, and counts the same in equivalent feet', () => {
    const close = { ...TURN, straight: 0 };
    const ratio = (name: 'darcy' | 'powerFit' | 'equivalentFeet'): number =>
      pressure(lossMethod(name).turn(close, 1)) / pressure(lossMethod(name).turn(TURN, 1));
    expect(ratio('darcy')).toBeGreaterThan(1);
    expect(ratio('powerFit')).toBe(ratio('darcy'));
    expect(ratio('equivalentFeet')).toBe(1);
  });
});

it('equivalent feet count a pair of 45s as the 90 that it stands for', () => {
  const { pair, turn } = lossMethod('equivalentFeet');
  expect(pressure(pair({ ...PAIR, count: 2 }, 1))).toBe(pressure(turn({ ...TURN, count: 2 }, 1)));
});

it('equivalent feet count a branch as an elbow of its angle', () => {
  const { branch, turn } = lossMethod('equivalentFeet');
  const { angle, pipe, diameter } = TURN;
  const asBranch = branch?.({ angle, pipe, diameter }, 1);
  expect(asBranch && pressure(asBranch)).toBe(pressure(turn(TURN, 1)));
});
