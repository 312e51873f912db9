import {
  arrangeDucts,
  type DuctTree,
  type Finding,
  findings,
  gatesOfDrop,
  judgeDrops,
  pressureLadder,
  readShop,
  type Shop,
  solveTree,
} from '@frank-gauge/core';
import { describe, expect, it } from 'vitest';
import { failureSentence } from '@/words/failure-words';
import { tell } from '@/words/finding-words';
import document from '../../../../demo/heron-slip.json';
import { blowerLine, demandLine } from './crossing-lines';
import { gather } from './gather-rungs';
import { outward } from './outward';
import { readCurve, writePoint } from './read-curve';
import { rungLabel } from './rung-label';

function demo(): { shop: Shop; tree: DuctTree } {
  const read = readShop(document);
  if (!read.ok) throw new Error(read.faults[0].message);
  const arranged = arrangeDucts(read.shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  return { shop: read.shop, tree: arranged.tree };
}

const planer = ({ shop, tree }: ReturnType<typeof demo>) => {
  const air = judgeDrops(shop, tree, 'found', 'one').find(({ drop }) => drop.name === 'Planer');
  if (air?.kind !== 'judged') throw new Error('no planer');
  return air;
};

describe('the list of runs', () => {
  it('goes from the blower outward, branches a step in, each run once', () => {
    const { tree } = demo();
    const listed = outward(tree);
    expect(listed.map(({ run, depth }) => `${'  '.repeat(depth)}${run.name}`)).toEqual([
      'Main at the cyclone',
      '  Table saw drop',
      '  Floor sweep drop',
      'Back main',
      '  Band saw drop',
      'Far end',
      '  Drum sander drop',
      'Planer drop',
    ]);
  });
});

describe('the ladder', () => {
  it('gathered keeps its ends and its sum', () => {
    const air = planer(demo());
    const rungs = pressureLadder(air.solution, air.drop);
    const gathered = gather(rungs);
    expect(gathered.length).toBeLessThan(rungs.length);
    const sum = (of: typeof rungs) => of.reduce((total, { loss }) => total + loss, 0);
    expect(sum(gathered)).toBeCloseTo(sum(rungs), 6);
    gathered.slice(1).forEach((rung, i) => {
      expect(rung.staticBefore).toBe(gathered[i]?.staticAfter);
    });
  });

  it('labels each step with its part and the measure that matters', () => {
    const { shop, tree } = demo();
    const air = planer({ shop, tree });
    const labels = gather(pressureLadder(air.solution, air.drop)).map((rung) =>
      rungLabel(rung, shop, 'us').join(' '),
    );
    expect(labels).toContain('Hose 7 ft');
    expect(labels).toContain('5 in. 11 ft');
    expect(labels).toContain('Cyclone');
    expect(labels.slice(-2)).toEqual(['Blower', 'Filter']);
  });
});

describe('the crossing', () => {
  it('the ducts’ own line passes through the operating point', () => {
    const { shop, tree } = demo();
    const { drop, solution } = planer({ shop, tree });
    const asked = demandLine(shop, tree, drop, 'found', 'one');
    const nearest = Math.min(
      ...asked.map(({ flow, pressure }) =>
        Math.hypot(flow / solution.blower.flow - 1, pressure / solution.blower.rise - 1),
      ),
    );
    expect(nearest).toBeLessThan(1e-9);
    asked.slice(1).forEach((point, i) => {
      expect(point.flow).toBeGreaterThan(asked[i]?.flow ?? 0);
      expect(point.pressure).toBeGreaterThan(asked[i]?.pressure ?? 0);
    });
  });

  it('the blower’s line falls from shut-off to the last point', () => {
    const line = blowerLine(planer(demo()).solution);
    expect(line[0]?.flow).toBe(0);
    line.slice(1).forEach((point, i) => {
      expect(point.pressure).toBeLessThanOrEqual(line[i]?.pressure ?? 0);
    });
  });
});

describe('a curve as text', () => {
  it('keeps the figures of lines nobody touched', () => {
    const { curve } = demo().shop.collector.blower;
    const text = curve.map((point) => writePoint(point, 'us')).join('\n');
    expect(readCurve(text, 'us', curve)).toEqual({ ok: true, points: curve });
    const lines = text.split('\n');
    lines[1] = '200  10.7';
    const edited = readCurve(lines.join('\n'), 'us', curve);
    expect(edited.ok && edited.points[2]).toEqual(curve[2]);
    expect(edited.ok && edited.points[1]).not.toEqual(curve[1]);
  });
});

describe('sentences', () => {
  const air = planer(demo());
  const rung = pressureLadder(air.solution, air.drop)[0];
  const all: Finding[] = [
    {
      kind: 'starved',
      drop: 'd',
      short: 0.05,
      largest: rung ? { rung, share: 0.3 } : null,
      shorterHose: { length: 0.61, gain: 0.01 },
    },
    { kind: 'starved', drop: 'd', short: 0.05, largest: null, shorterHose: null },
    { kind: 'slow drop', drop: 'd', velocity: 12, wanted: 18 },
    { kind: 'settling main', run: 'r', velocity: 10, wanted: 14 },
    { kind: 'small circuit', breaker: 15, wanted: 30 },
    { kind: 'overloaded motor', power: 2000, rated: 1500 },
    { kind: 'small filter', faceVelocity: 0.06, comfortable: 0.04 },
  ];

  it.each(['us', 'metric'] as const)('for every finding: plain, with its number (%s)', (system) => {
    for (const finding of all) {
      const { title, text } = tell(finding, system, 'Planer', () => 'Back main');
      expect(title).toMatch(/\.$/);
      expect(`${title}${text}`).not.toMatch(/!|undefined|NaN|null/);
      expect(finding.kind === 'starved' ? title : text).toMatch(/\d/);
    }
  });

  it('the demo’s planer is told what to do', () => {
    const { shop } = demo();
    const [starved] = findings(shop, air, 'found', 'one');
    if (!starved) throw new Error('nothing found');
    const { title, text } = tell(starved, 'us', 'Planer', (run) => run);
    expect(title).toMatch(/^Planer is \d+ CFM short\.$/);
    expect(text).toMatch(/Cut its hose to 2 ft: about \+\d+ CFM, no cost\./);
  });

  it('for every way of having no answer', () => {
    const { shop, tree } = demo();
    const [drop] = tree.drops;
    if (!drop) throw new Error('no drop');
    const weak = structuredClone(shop);
    weak.collector.blower.curve = [
      { flow: 0, pressure: 3000 },
      { flow: 0.1, pressure: 2900 },
    ];
    const solved = solveTree(weak, tree, { view: 'found', openGates: gatesOfDrop(drop) });
    if (solved.kind !== 'unsolved') throw new Error('solved');
    expect(failureSentence(solved.reason, 'us')).toMatch(/more than 212 CFM, the last point/);
    expect(
      failureSentence({ kind: 'not-a-tree', problems: [{ path: [], message: 'a loop' }] }, 'us'),
    ).toMatch(/a loop/);
    expect(failureSentence({ kind: 'no-convergence', iterations: 60, residual: 1 }, 'us')).toMatch(
      /No steady flow/,
    );
  });
});
