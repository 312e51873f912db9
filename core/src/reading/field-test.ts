import { circleArea, velocityPressure } from '../air/velocity-pressure';
import type { BlowerPoint } from '../collector/blower';
import { filterResistance } from '../collector/filter';
import type { Media } from '../design/schema';
import type { FieldTest } from '../journal/field-test';
import { studentT } from '../measuring/student-t';
import { type FittedCurve, fitCurve, type TestPoint } from './fit-curve';

/** A fixed loss with its 95 % interval. */
export interface FittedLoss {
  readonly value: number;
  readonly uncertainty: number;
}

export interface FieldTestFit {
  readonly curve: FittedCurve;
  readonly points: readonly TestPoint[];
  /** What stands behind the blower, Pa per m³/s; null where its outlet was not read twice. */
  readonly exhaust: FittedLoss | null;
  /** Between the two suction taps, velocity heads of the duct there; null likewise. */
  readonly separator: FittedLoss | null;
}

/**
 * Fan static pressure of a step, Pa: static at the outlet less total at the inlet (AMCA), with the
 * inlet's suction read at a tap in duct of `tapDiameter`.
 */
export const fanStatic = (
  { flow, inlet, outlet }: FieldTest['steps'][number],
  { tapDiameter, density }: Pick<FieldTest, 'tapDiameter' | 'density'>,
): number => inlet + (outlet ?? 0) - velocityPressure(flow / circleArea(tapDiameter), density);

/** A field test read: the blower's curve, and the losses that stayed the same at every opening. */
export function fitFieldTest(test: FieldTest): FieldTestFit {
  const points = test.steps.map((step) => ({ flow: step.flow, pressure: fanStatic(step, test) }));
  const curve = fitCurve(points, {
    flow: test.flowUncertainty,
    pressure: test.pressureUncertainty,
  });
  const exhaust = throughOrigin(
    test.steps.flatMap(({ flow, outlet }) => (outlet === null ? [] : [[flow, outlet] as const])),
    Math.hypot(test.flowUncertainty, test.pressureUncertainty),
  );
  const area = circleArea(test.tapDiameter);
  const separator = throughOrigin(
    test.steps.flatMap(({ flow, inlet, ahead }) =>
      ahead === null ? [] : [[velocityPressure(flow / area, test.density), inlet - ahead] as const],
    ),
    Math.hypot(2 * test.flowUncertainty, test.pressureUncertainty),
  );
  return { curve, points, exhaust, separator };
}

/** y = k·x by least squares, its interval by the scatter and an uncertainty all points share. */
function throughOrigin(
  pairs: readonly (readonly [x: number, y: number])[],
  sharedUncertainty: number,
): FittedLoss | null {
  const used = pairs.filter(([x]) => x > 0);
  if (used.length < 2) return null;
  const xx = used.reduce((sum, [x]) => sum + x * x, 0);
  const value = used.reduce((sum, [x, y]) => sum + x * y, 0) / xx;
  const rest = used.reduce((sum, [x, y]) => sum + (y - value * x) ** 2, 0) / (used.length - 1);
  const scatter = studentT(used.length - 1) * Math.sqrt(rest / xx);
  return { value, uncertainty: Math.hypot(scatter, sharedUncertainty * value) };
}

const SHARES = [0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9, 1];

/** A fitted curve as points for a document, down to where it makes no pressure. */
export const curvePoints = (curve: Extract<FittedCurve, { ok: true }>): BlowerPoint[] =>
  SHARES.map((share) => ({
    flow: share * curve.freeFlow,
    pressure: Math.max(0, curve.at(share * curve.freeFlow).pressure),
  }));

/** How loaded a filter of this media is that takes `resistance` Pa per m³/s; at least clean. */
export const loadingOf = (media: Media, resistance: number): number =>
  Math.max(1, resistance / filterResistance(media, 1));
