import { describe, expect, it } from 'vitest';
import { type Air, STANDARD_DENSITY } from '../air/air-at-site';
import { circleArea, velocityPressure } from '../air/velocity-pressure';
import { frictionLoss } from '../duct/friction-law';
import type { HosePiece, Loss, PairedElbows, Turn } from './loss-method';
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
const PAIR: PairedElbows = { ...ELBOWS, spacer: 3 * DIAMETER };
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
  it('takes more by velocity pressures, and counts the same in equivalent feet', () => {
    const close = { ...TURN, straight: 0 };
    const ratio = (name: 'darcy' | 'powerFit' | 'equivalentFeet'): number =>
      pressure(lossMethod(name).turn(close, 1)) / pressure(lossMethod(name).turn(TURN, 1));
    expect(ratio('darcy')).toBeGreaterThan(1);
    expect(ratio('powerFit')).toBe(ratio('darcy'));
    expect(ratio('equivalentFeet')).toBe(1);
  });
});
