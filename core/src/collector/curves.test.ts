import { describe, expect, it } from 'vitest';
import { readCurveFile } from './curve-file';
import { curveFromTests, estimatedCurve } from './estimated-curve';

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

describe('a curve from two field tests', () => {
  it('goes through both, and falls to nothing', () => {
    const made = curveFromTests(2500, { flow: 0.4, pressure: 500 });
    if (!made.ok) throw new Error(made.reason);
    const [first] = made.points;
    const last = made.points.at(-1);
    expect(first).toEqual({ flow: 0, pressure: 2500 });
    expect(last?.pressure).toBeCloseTo(0, 9);
    // 2500·(1 − (0.4/Q)^1.9) = 500: Q = 0.4/0.8^(1/1.9)
    expect(last?.flow).toBeCloseTo(0.4 / 0.8 ** (1 / 1.9), 9);
  });

  it.each([
    [0, 0.4, 100],
    [2500, 0, 100],
    [2500, 0.4, 2500],
    [Number.NaN, 0.4, 100],
  ])('%f, %f, %f are refused with a sentence', (blocked, flow, pressure) => {
    const made = curveFromTests(blocked, { flow, pressure });
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
