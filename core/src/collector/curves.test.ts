import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCurveFile } from './curve-file';
import { bareFanStatic, curveFromTests, estimatedCurve, FALL_EXPONENT } from './estimated-curve';

describe('a curve from a CSV file', () => {
  it.each([
    ['plain, in the shop’s units', '0,10\n400,8.5\n900,3', 'us', 400 * 4.719474432e-4],
    [
      'with a heading that says its units',
      'flow (m3/h),pressure (Pa)\n0,2500\n900,1800',
      'us',
      0.25,
    ],
    ['with bare units for a heading', 'm3/h,Pa\n0,2500\n900,1800', 'us', 0.25],
    ['with units in the heading alone', 'CFM;in wg\n0;10\n400;8.5', 'metric', 400 * 4.719474432e-4],
    ['with semicolons and a unit in a cell', '0;2500 Pa\n900 m3/h;1800 Pa', 'us', 0.25],
    ['with semicolons and decimal commas', '0;2500\n900,0;1800,5', 'metric', 0.25],
    ['with tabs, blank lines and a last newline', '0\t2500\n\n900\t1800\n', 'metric', 0.25],
  ] as const)('%s', (_, text, system, second) => {
    const read = readCurveFile(text, system);
    if (!read.ok) throw new Error(read.reason);
    expect(read.points[1]?.flow).toBeCloseTo(second, 9);
    expect(read.points[0]?.flow).toBe(0);
  });

  it.each([
    ['', /at least two points/],
    ['0,10', /at least two points/],
    ['0,10\n400', /Line 2: a flow and a pressure/],
    ['0,10\n400,8.5,7', /Line 2: a flow and a pressure/],
    ['0,10\n400,40k', /Line 2: .*40k/],
    ['0,10\n\n400,8\n300,9', /Line 4: the flow goes backward/],
    ['0,10\n400,-2', /Line 2: /],
    [`0,10\n${Array.from({ length: 300 }, (_, i) => `${i + 1},5`).join('\n')}`, /at most 200/],
  ])('%j is refused with its line', (text, reason) => {
    const read = readCurveFile(text, 'us');
    expect(read.ok ? 'read' : read.reason).toMatch(reason);
  });
});

/** An open inlet that takes nothing, so that the outlet's pressure is the fan's own. */
const openTest = (flow: number, outlet: number) => ({
  flow,
  outlet,
  inletDiameter: 0.15,
  entryLoss: 0,
});

describe('a curve from two field tests', () => {
  it('goes through both, and falls to nothing', () => {
    const made = curveFromTests(2500, openTest(0.4, 500), 1.2);
    if (!made.ok) throw new Error(made.reason);
    const [first] = made.points;
    const last = made.points.at(-1);
    expect(first).toEqual({ flow: 0, pressure: 2500 });
    expect(last?.pressure).toBeCloseTo(0, 9);
    // 2500·(1 − (0.4/Q)^1.9) = 500 at the outlet, no loss at a bell mouth: Q = 0.4/0.8^(1/1.9)
    expect(last?.flow).toBeCloseTo(0.4 / 0.8 ** (1 / 1.9), 9);
  });

  it('recovers a known fan from what taps and meter would show of it', () => {
    const inlet = { inletDiameter: 0.127, entryLoss: 0.93 };
    fc.assert(
      fc.property(
        fc.double({ min: 800, max: 4000, noNaN: true }),
        fc.double({ min: 0.15, max: 0.7, noNaN: true }),
        fc.double({ min: 0, max: 600, noNaN: true }),
        fc.double({ min: 0.8, max: 1.3, noNaN: true }),
        (shutOff, free, filter, density) => {
          const known = (flow: number) => shutOff * (1 - (flow / free) ** FALL_EXPONENT);
          // Where the known fan meets its open inlet and its filter, found by halving.
          let [low, high] = [0, free];
          for (let step = 0; step < 80; step++) {
            const flow = (low + high) / 2;
            const open = { ...inlet, flow, outlet: filter * flow };
            if (known(flow) > bareFanStatic(open, density)) low = flow;
            else high = flow;
          }
          fc.pre(low > 0.01);
          const open = { ...inlet, flow: low, outlet: filter * low };
          const made = curveFromTests(shutOff, open, density);
          if (!made.ok) throw new Error(made.reason);
          for (const { flow, pressure } of made.points) {
            expect(Math.abs(pressure - known(flow))).toBeLessThan(1e-6 * shutOff);
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it.each([
    [0, 0.4, 100],
    [2500, 0, 100],
    [2500, 0.4, 2500],
    [Number.NaN, 0.4, 100],
  ])('%f, %f, %f are refused with a sentence', (blocked, flow, pressure) => {
    const made = curveFromTests(blocked, openTest(flow, pressure), 1.2);
    expect(made.ok ? '' : made.reason).toMatch(/\.$/);
  });
});

describe('an estimated curve', () => {
  it('scales by the fan laws: shut-off with rim speed squared and with density', () => {
    const shutOff = (wheel: number, speed: number, density: number) =>
      estimatedCurve(wheel, speed, 0.5, density)[0]?.pressure ?? 0;
    expect(shutOff(0.3, 60, 1.2) / shutOff(0.3, 30, 1.2)).toBeCloseTo(4, 12);
    expect(shutOff(0.36, 60, 1.2) / shutOff(0.3, 60, 1.2)).toBeCloseTo(1.44, 12);
    expect(shutOff(0.3, 60, 0.9) / shutOff(0.3, 60, 1.2)).toBeCloseTo(0.75, 12);
  });
});
