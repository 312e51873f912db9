import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STANDARD_DENSITY } from '../air/air-at-site';
import { blowerCurve, isRising } from './blower';
import { BLOWER_CLASS_IDS, BLOWER_CLASSES, blowerOfClass } from './blower-classes';
import { readCurveFile } from './curve-file';
import {
  bareFanStatic,
  curveFromTests,
  estimatedCurve,
  FALL_EXPONENT,
  freeFlowOf,
} from './estimated-curve';
import { comfortableFaceVelocity, MEDIA } from './filter';
import { finesLetBy } from './filter-grade';
import { curveInto } from './monotone-curve';

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
    ['with cells that are only blank', '0,10, ,\n400, 8.5 ,, \n', 'us', 400 * 4.719474432e-4],
    ['with a line of blanks', '0,10\n , \n400,8.5', 'us', 400 * 4.719474432e-4],
    ['with a blank heading of one column', ',in wg\n0,10\n400,8.5', 'us', 400 * 4.719474432e-4],
    ['with blanks round a heading’s unit', 'flow ( m3/h ),sp\n0,10\n900,8', 'us', 0.25],
    ['with a heading of words and unit', ' Air flow, m3/h \t SP Pa\n0\t10\n900\t8', 'us', 0.25],
    ['with a column more that has a heading', 'm3/h,Pa,note\n0,2500\n900,1800', 'us', 0.25],
    ['with a cell’s unit over its heading’s', 'CFM,Pa\n0,2500\n900 m3/h,1800', 'us', 0.25],
    ['with numbers like 9e2', 'm3/h,Pa\n0,2500\n9e2,1800', 'us', 0.25],
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
    ['0,10\n-400,2', /Line 2: a curve has no values below zero/],
    ['0,10\nmuch,2', /Line 2: .*much/],
    ['0,10\n400,2500', /Line 2: 2,500 in. w.g. is more than any blower makes/],
    ['0,10\n400000,2', /Line 2: 400,000 CFM is more than any blower makes/],
    [' '.repeat(100_001), /^It is longer than any curve: at most 100,000 letters\./],
    ['0;10\n400; ', /Line 2: a flow and a pressure/],
    ['0,10\n100,0,\n90,0', /Line 3: the flow goes backward/],
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
    [0, {}, /inlet blocked, a blower makes some suction/],
    [-100, {}, /inlet blocked, a blower makes some suction/],
    [Number.NaN, {}, /inlet blocked, a blower makes some suction/],
    [2500, { flow: 0 }, /inlet open, a blower moves some air/],
    [2500, { flow: Number.NaN }, /inlet open, a blower moves some air/],
    [2500, { inletDiameter: 0 }, /needs a diameter/],
    [2500, { inletDiameter: Number.NaN }, /needs a diameter/],
    [2500, { outlet: -1 }, /zero or more/],
    [2500, { entryLoss: -0.1 }, /zero or more/],
    [2500, { entryLoss: Number.NaN }, /zero or more/],
    [2500, { outlet: 2500 }, /would take more than the pressure/],
  ])('%f Pa with %j is refused with the reason', (blocked, change, reason) => {
    const made = curveFromTests(blocked, { ...openTest(0.4, 100), ...change }, 1.2);
    expect(made.ok ? '' : made.reason).toMatch(reason);
  });

  it('takes a filter and an inlet that lose nothing', () => {
    const made = curveFromTests(2500, openTest(0.4, 0), 1.2);
    // No fan static pressure at the flow that was read: it is the curve's end.
    expect(made.ok && made.points.at(-1)?.flow).toBeCloseTo(0.4, 9);
    expect(made.ok && made.points).toHaveLength(8);
  });

  it('has a point of its own for the flow that was read, and no two points in one place', () => {
    for (const outlet of [100, 500, 1200]) {
      const made = curveFromTests(2500, openTest(0.4, outlet), 1.2);
      if (!made.ok) throw new Error(made.reason);
      const flows = made.points.map(({ flow }) => flow);
      expect(flows).toHaveLength(9);
      expect(flows).toEqual(flows.toSorted((a, b) => a - b));
      const own = made.points.find(({ flow }) => Math.abs(flow - 0.4) < 1e-9);
      expect(own?.pressure).toBeCloseTo(outlet, 6);
    }
    // At 0.6 of its free flow the curve has a point already.
    const there = 2500 * (1 - 0.6 ** FALL_EXPONENT);
    const made = curveFromTests(2500, openTest(0.4, there), 1.2);
    expect(made.ok && made.points).toHaveLength(8);
  });

  it('has no free flow where the test gives more pressure than the blower makes, or less than none', () => {
    expect(freeFlowOf(openTest(0.4, 2500), 2500, 1.2)).toBeNull();
    expect(freeFlowOf(openTest(0.4, -10), 2500, 1.2)).toBeNull();
    expect(freeFlowOf(openTest(0.4, 0), 2500, 1.2)).toBeCloseTo(0.4, 12);
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

describe('a blower of a class', () => {
  it('moves the flow its class is stated by with its inlet open, and less at 50 Hz', () => {
    for (const id of BLOWER_CLASS_IDS) {
      const { bareFlow, inletDiameter, power } = BLOWER_CLASSES[id];
      for (const [system, slower] of [
        ['us', 1],
        ['metric', 2850 / 3450],
      ] as const) {
        const blower = blowerOfClass(id, system);
        const flow = bareFlow * slower;
        const out = { value: 0, slope: 0 };
        curveInto(out, blowerCurve(blower.curve), flow);
        const bare = { flow, inletDiameter, entryLoss: 0.93, outlet: 0 };
        // The curve has few points, so that between them it is not quite the law.
        expect(out.value / bareFanStatic(bare, STANDARD_DENSITY)).toBeCloseTo(1, 1);
        expect(blower.name).toContain(BLOWER_CLASSES[id].name);
        expect(blower.motor).toMatchObject({ power, plateCurrent: null, startRatio: null });
      }
    }
  });
});

describe('a rising curve', () => {
  const curve = (...pressures: number[]) =>
    pressures.map((pressure, i) => ({ flow: i / 10, pressure }));

  it('is one that has more pressure at any point than at the one before', () => {
    expect(isRising(curve(2500, 2400, 1000, 0))).toBe(false);
    expect(isRising(curve(2500, 2500, 1000))).toBe(false);
    expect(isRising(curve(2400, 2500, 1000))).toBe(true);
    expect(isRising(curve(2500, 1000, 1001))).toBe(true);
  });
});

describe('filters', () => {
  it('are called small above the face velocity of the media nearest in permeability', () => {
    for (const media of Object.values(MEDIA)) {
      expect(comfortableFaceVelocity(media.permeability * 1.01)).toBe(media.comfortable);
    }
    expect(comfortableFaceVelocity(10)).toBe(MEDIA.cloth.comfortable);
    expect(comfortableFaceVelocity(0)).toBe(MEDIA.cellulose.comfortable);
  });

  it('let through what their grade allows, and all of a band the grade does not cover', () => {
    expect(finesLetBy(13)).toEqual([0.5, expect.closeTo(0.15, 9), expect.closeTo(0.1, 9)]);
    expect(finesLetBy(8)).toEqual([1, 0.8, expect.closeTo(0.3, 9)]);
  });
});
