import { newShop } from '@frank-gauge/core/design';
import { toSI } from '@frank-gauge/core/quantity';
import type { DuctConflict } from '@frank-gauge/core/routing';
import { beforeEach, describe, expect, it } from 'vitest';
import { ductMessage, whyNoRoute } from '@/words/duct-words';
import { drawnRuler, printScale } from '../parts/print-drawing';
import { airTone } from './ducts/air-tone';
import { addPoint, begin, chooseTool, removeLast, useDrawing } from './ducts/drawing-state';
import { planDrawing, zoomed } from './plan-drawing';

describe('the tone of air', () => {
  const rules = { settlingVelocity: toSI(2800, 'fpm'), carryingVelocity: toSI(3500, 'fpm') };
  const tone = (fpm: number) => airTone(toSI(fpm, 'fpm'), rules);

  it('says still, settling, between, carrying and too fast, deeper with speed', () => {
    const states = [20, 1500, 3000, 4000, 7000].map((fpm) => tone(fpm).state);
    expect(states).toEqual(['still', 'settling', 'between', 'carrying', 'fast']);
    const depths = [20, 500, 1500, 3000, 4000, 7000].map((fpm) => tone(fpm).opacity);
    expect(depths).toEqual(depths.toSorted((a, b) => a - b));
  });

  it('is the same whichever way the air goes', () => {
    expect(airTone(-15, rules)).toEqual(airTone(15, rules));
  });
});

describe('what is wrong with a duct, in words', () => {
  const names = { run: () => 'Far end', machine: () => 'Planer' };
  const conflicts: DuctConflict[] = [
    { kind: 'no length', run: 'a' },
    { kind: 'one spot', run: 'a' },
    { kind: 'no room to bend', run: 'a', short: 0.1 },
    { kind: 'against the flow', run: 'a', angle: 2.36 },
    { kind: 'elbow at the collector', run: 'a', straight: 0.1, wanted: 0.46 },
    { kind: 'long hose', run: 'a', length: 2.5, limit: 1.83 },
    { kind: 'wider than what follows', run: 'a', by: 0.025 },
    { kind: 'through a post', run: 'a' },
    { kind: 'through a wall', run: 'a' },
    { kind: 'through the collector', run: 'a' },
    { kind: 'above the ceiling', run: 'a', short: 0.1 },
    { kind: 'into the floor', run: 'a', short: 0.1 },
    { kind: 'below head height', run: 'a', height: 1.7, wanted: 1.98 },
    { kind: 'port without a duct', machine: 'm', port: 'p' },
  ];

  it.each(conflicts)('$kind names what it is about, and what to do', (conflict) => {
    const { title, text } = ductMessage(conflict, 'us', names);
    expect(title).toMatch(/Far end|Planer/);
    expect(title).toMatch(/\.$/);
    expect(text).toMatch(/\.$/);
    expect(`${title} ${text}`).not.toMatch(/undefined|NaN|\.\./);
  });

  it('gives the number that is short', () => {
    const [, , short, against] = conflicts;
    if (!short || !against) throw new Error('no conflicts');
    expect(ductMessage(short, 'metric', names).text).toContain('100 mm');
    expect(ductMessage(against, 'us', names).text).toContain('135°');
  });

  it('says of every refusal why', () => {
    for (const why of [
      'no way to the blower',
      'port has its duct',
      'into itself',
      'no length',
      'not placed',
    ] as const) {
      expect(whyNoRoute(why)).toMatch(/\.$/);
    }
  });
});

describe('a duct that is being drawn', () => {
  const at = { x: 1, y: 2, z: 2.3 };
  beforeEach(() => chooseTool('draw'));

  it('takes points back one by one, then its beginning', () => {
    begin({ end: { kind: 'inlet' }, at, from: at, name: 'the collector' });
    addPoint({ ...at, x: 3 });
    addPoint({ ...at, x: 4 });
    removeLast();
    expect(useDrawing.getState().points).toEqual([{ ...at, x: 3 }]);
    removeLast();
    expect(useDrawing.getState().begun).not.toBeNull();
    removeLast();
    expect(useDrawing.getState().begun).toBeNull();
  });

  it('is let go of with its tool', () => {
    begin({ end: { kind: 'inlet' }, at, from: at, name: 'the collector' });
    addPoint(at);
    chooseTool('move');
    expect(useDrawing.getState()).toMatchObject({ tool: 'move', begun: null, points: [] });
  });
});

describe('a drawing on paper', () => {
  it('is at the largest scale that fits either sheet, whichever way it lies', () => {
    // By hand: 9.6 m at 1 to 50 is 192 mm, 6.1 m is 122 mm; 1 to 25 would take 384.
    expect(printScale(9.6, 6.1)).toBe(50);
    expect(printScale(6.1, 9.6)).toBe(50);
    expect(printScale(2, 1.5)).toBe(10);
    expect(printScale(40, 10)).toBe(200);
  });

  it('has a ruler of 4 in. in the US, a tick each quarter', () => {
    const ruler = drawnRuler('us');
    expect(ruler).toContain('width="103.6mm"');
    expect(ruler).toContain('x2="101.6"');
    expect(ruler.match(/<line/g)).toHaveLength(18);
  });

  it('has a ruler of a hundred millimeters elsewhere, a tick each ten', () => {
    const ruler = drawnRuler('metric');
    expect(ruler).toContain('width="102mm"');
    expect(ruler).toContain('viewBox="-1 -1 102 7"');
    expect(ruler.match(/<line/g)).toHaveLength(12);
  });
});

describe('the plan from nearer', () => {
  const { room } = newShop('s', 'S', 'metric', [
    { flow: 0, pressure: 1 },
    { flow: 1, pressure: 0 },
  ]);
  const whole = planDrawing(room, [], 600, 400);
  const near = zoomed(whole, { k: 3, x: -120, y: 40 });

  it('finds the floor under every pixel, and every pixel over the floor', () => {
    for (const drawing of [whole, near]) {
      for (const spot of [
        { x: 0, y: 0 },
        { x: 2.5, y: 1.25 },
      ]) {
        const back = drawing.floor(drawing.spot(spot));
        expect(back.x).toBeCloseTo(spot.x, 9);
        expect(back.y).toBeCloseTo(spot.y, 9);
      }
    }
    expect(near.scale).toBe(3 * whole.scale);
  });
});
