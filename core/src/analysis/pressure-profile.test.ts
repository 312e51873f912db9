import { describe, expect, it } from 'vitest';
import { judgedDrop } from '../../reference/judged-drop';
import { threeBranchShop } from '../../reference/sample-shops';
import { circleArea, velocityPressure } from '../air/velocity-pressure';
import type { Shop } from '../design/schema';
import { SEPARATOR_RUN } from '../network/assemble/separator-segment';
import type { DropAir } from './judge-drops';
import { lossesOfRun } from './losses-of-run';
import { pressureProfile } from './pressure-profile';

const filter = { name: '', area: 10, permeability: 0.1, seasoned: 1, grade: null };

function judged(change: (shop: Shop) => void = () => {}): DropAir {
  const shop = threeBranchShop();
  shop.collector.exhaust = { kind: 'filter', filter };
  change(shop);
  return judgedDrop(shop, 'saw');
}

describe('the way of a drop’s air', () => {
  it('passes every part of its runs and the separator, in their order, then the blower, then out', () => {
    const { solution, drop } = judged();
    const steps = pressureProfile(solution, drop);
    const runs = [...drop.path.map(({ id }) => id), SEPARATOR_RUN];
    const parts = runs.flatMap((run) =>
      (solution.airIn.get(run) ?? []).flatMap((segment) =>
        segment.parts.map(({ kind, name, loss }) => ({ kind, name, loss, run })),
      ),
    );
    expect(steps.map(({ kind, name, loss, run }) => ({ kind, name, loss, run }))).toEqual([
      ...parts,
      { kind: 'blower', name: '', loss: -solution.blower.rise, run: '' },
      { kind: 'exhaust', name: 'filter', loss: expect.any(Number), run: '' },
    ]);
  });

  it('falls in total pressure by each part’s loss, static lower by the velocity pressure there', () => {
    const { solution, drop } = judged();
    const steps = pressureProfile(solution, drop);
    const { density } = solution.network.air;
    let index = 0;
    for (const run of [...drop.path.map(({ id }) => id), SEPARATOR_RUN]) {
      for (const { parts, diameter, flowIn, flowOut } of solution.airIn.get(run) ?? []) {
        for (const [i, { loss }] of parts.entries()) {
          const step = steps[index++];
          if (!step) throw new Error('no step');
          expect(step.totalAfter).toBeCloseTo(step.totalBefore - loss, 9);
          const flow = i === parts.length - 1 ? flowOut : flowIn;
          const pressure = velocityPressure(flow / circleArea(diameter), density);
          expect(step.totalAfter - step.staticAfter).toBeCloseTo(pressure, 9);
        }
      }
    }
    // Ahead of the blower the pressure is far below the room's.
    const ahead = steps.find(({ kind }) => kind === 'blower');
    expect(ahead?.totalBefore).toBeCloseTo(solution.blower.inletTotal, 3);
    expect(ahead?.totalBefore).toBeLessThan(-500);
  });

  it('where a run leaks, its last part has more air than its first', () => {
    const { solution, drop } = judged(({ condition }) => {
      condition.holes.push({ run: 'saw', area: 2e-3, origin: { kind: 'assumed' } });
    });
    const segments = solution.airIn.get('saw') ?? [];
    const pipe = segments.at(-1);
    if (!pipe || pipe.parts.length < 2) throw new Error('no parts');
    expect(pipe.flowOut).toBeGreaterThan(1.05 * pipe.flowIn);
    const own = pressureProfile(solution, drop).filter(({ run }) => run === 'saw');
    const [last, before] = [own.at(-1), own.at(-2)];
    const dynamic = (step = last) => (step?.totalAfter ?? 0) - (step?.staticAfter ?? 0);
    expect(dynamic(last) / dynamic(before)).toBeCloseTo((pipe.flowOut / pipe.flowIn) ** 2, 6);
  });

  it('is above the room’s pressure behind the blower by what the filter takes', () => {
    const { solution, drop } = judged();
    const [blower, exhaust] = pressureProfile(solution, drop).slice(-2);
    const { outletStatic, flow } = solution.blower;
    // 125 Pa at its permeability, 10 m² of it.
    expect(outletStatic).toBeCloseTo(125 * flow, 3);
    expect(blower?.staticAfter).toBeCloseTo(outletStatic, 9);
    expect(blower?.totalAfter).toBeCloseTo(outletStatic, 9);
    expect(exhaust?.loss).toBeCloseTo(outletStatic, 9);
    expect(exhaust?.staticAfter).toBe(0);
  });

  it('passes a separator the blower pushes into behind the blower', () => {
    const { solution, drop } = judged(({ collector, condition }) => {
      collector.assembly.order = 'pushed';
      condition.pressureSide.area = 5e-4;
    });
    const [blower, separator, exhaust] = pressureProfile(solution, drop).slice(-3);
    expect([blower?.kind, separator?.kind, exhaust?.kind]).toEqual([
      'blower',
      'separator',
      'exhaust',
    ]);
    expect(separator?.name).toBe('pushed');
    const { flow, outletLeak, outletStatic } = solution.blower;
    expect(outletLeak).toBeGreaterThan(0);
    const pushed = solution.network.exhaust.separator * (flow - outletLeak) ** 2;
    expect(separator?.loss).toBeCloseTo(pushed, 9);
    expect(separator?.staticAfter).toBeCloseTo(outletStatic - pushed, 9);
    expect(exhaust?.loss).toBeCloseTo(outletStatic - pushed, 9);
    expect(exhaust?.totalAfter).toBeCloseTo(0, 9);
  });

  it('passes a filter ahead of the blower there, and leaves the blower at the room’s pressure', () => {
    const { solution, drop } = judged(({ collector }) => {
      collector.assembly.order = 'cleanSide';
    });
    const steps = pressureProfile(solution, drop);
    const [exhaust, blower] = steps.slice(-2);
    expect([exhaust?.kind, blower?.kind]).toEqual(['exhaust', 'blower']);
    const { rise } = solution.blower;
    expect(exhaust?.totalAfter).toBeCloseTo(-rise, 9);
    expect(exhaust?.loss).toBeCloseTo((exhaust?.totalBefore ?? 0) + rise, 9);
    expect(exhaust?.loss).toBeCloseTo(125 * solution.blower.flow, 0);
    expect(blower).toMatchObject({ run: '', name: '', loss: -rise });
    expect(blower?.totalAfter).toBeCloseTo(0, 9);
    expect(blower?.staticAfter).toBeCloseTo(0, 9);
    const sum = steps.reduce((total, { loss }) => total + loss, 0);
    expect(Math.abs(sum)).toBeLessThan(1e-5 * rise);
  });
});

describe('the parts of a run', () => {
  it('have their loss as a coefficient of the velocity pressure where they stand', () => {
    const { solution } = judged();
    const segments = solution.airIn.get('saw') ?? [];
    const wanted = segments.flatMap(({ parts, velocityPressureOut }) =>
      parts.map((part) => ({ ...part, coefficient: part.loss / velocityPressureOut })),
    );
    expect(wanted.length).toBeGreaterThan(2);
    expect(lossesOfRun(solution, 'saw')).toEqual(wanted);
    expect(lossesOfRun(solution, 'nowhere')).toEqual([]);
  });

  it('have none where hardly any air moves', () => {
    const { solution } = judged(({ condition }) => {
      condition.sealing.usual = 0.01;
    });
    // The planer's gate is shut: what moves there is its seams' leak.
    const shut = lossesOfRun(solution, 'planer');
    expect(shut.length).toBeGreaterThan(0);
    for (const { coefficient } of shut) expect(coefficient).toBeNull();
  });

  it('have none either where the duct they join drowns what moves in theirs', () => {
    const { solution } = judged();
    const [segment] = solution.airIn.get('saw') ?? [];
    const [part] = segment?.parts ?? [];
    if (!segment || !part) throw new Error('no part');
    const coefficientOf = (loss: number) => {
      const saw = [{ ...segment, parts: [{ ...part, loss }], velocityPressureOut: 0.2 }];
      const { velocityInto } = solution.airIn;
      const airIn = Object.assign(new Map([['saw', saw]]), { velocityInto });
      return lossesOfRun({ ...solution, airIn }, 'saw')[0]?.coefficient;
    };
    expect(coefficientOf(-19)).toBeCloseTo(-95, 9);
    expect(coefficientOf(-250)).toBeNull();
    expect(coefficientOf(250)).toBeNull();
  });
});
