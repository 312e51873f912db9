import {
  type CollectorPart,
  type Finding,
  type FindingKind,
  fanCurveLine,
  findings,
  gatesOfDrop,
  judgeDrops,
  pressureProfile,
  systemCurve,
} from '@frank-gauge/core/analysis';
import type { DuctTree, Shop } from '@frank-gauge/core/design';
import { readShop } from '@frank-gauge/core/journal';
import { solveTree } from '@frank-gauge/core/network';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { describe, expect, it } from 'vitest';
import { failureSentence } from '@/words/failure-words';
import { findingMessage } from '@/words/finding-words';
import document from '../../../../demo/heron-slip.json';
import { gather } from '../parts/gather-steps';
import { outward } from '../parts/outward';
import { readCurve, writePoint } from '../parts/read-curve';
import { stepLabel } from '../parts/step-label';

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
    const steps = pressureProfile(air.solution, air.drop);
    const gathered = gather(steps);
    expect(gathered.length).toBeLessThan(steps.length);
    const sum = (of: typeof steps) => of.reduce((total, { loss }) => total + loss, 0);
    expect(sum(gathered)).toBeCloseTo(sum(steps), 6);
    gathered.slice(1).forEach((step, i) => {
      expect(step.staticBefore).toBe(gathered[i]?.staticAfter);
    });
  });

  it('labels each step with its part and the measure that matters', () => {
    const { shop, tree } = demo();
    const air = planer({ shop, tree });
    const labels = gather(pressureProfile(air.solution, air.drop)).map((step) =>
      stepLabel(step, tree, 'us').join(' '),
    );
    expect(labels).toContain('Hose 7′');
    expect(labels).toContain('5 in. 12′');
    expect(labels).toContain('Cyclone');
    expect(labels.slice(-2)).toEqual(['Blower', 'Filter']);
  });
});

describe('the crossing', () => {
  it('the ducts’ own line passes through the operating point', () => {
    const { shop, tree } = demo();
    const { drop, solution } = planer({ shop, tree });
    const asked = systemCurve(shop, tree, 'found', gatesOfDrop(drop));
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
    const line = fanCurveLine(planer(demo()).solution);
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
    // What is pasted by mistake is refused before it is read.
    expect(readCurve('0 10\n'.repeat(30_000), 'us')).toMatchObject({ ok: false });
    const edited = readCurve(lines.join('\n'), 'us', curve);
    expect(edited.ok && edited.points[2]).toEqual(curve[2]);
    expect(edited.ok && edited.points[1]).not.toEqual(curve[1]);
  });
});

describe('sentences', () => {
  const air = planer(demo());
  const step = pressureProfile(air.solution, air.drop)[0];
  const drop = { kind: 'drop', drop: 'd' } as const;
  const run = { kind: 'run', run: 'r' } as const;
  const at = (part: CollectorPart) => ({ kind: 'collector', part }) as const;
  const names = { drop: () => 'Planer', run: () => 'Back main' };

  /** One of every kind, by kind, so that none can be forgotten; with one of every remedy. */
  const all: { readonly [K in FindingKind]: Extract<Finding, { kind: K }> } = {
    starved: {
      kind: 'starved',
      severity: 'serious',
      where: drop,
      numbers: { short: 0.05, flow: 0.2, need: 0.25, share: 0.3 },
      largest: step ?? null,
      remedy: { kind: 'shorter hose', run: 'r', length: 0.61, gain: 0.01 },
    },
    'slow drop': {
      kind: 'slow drop',
      severity: 'caution',
      where: drop,
      numbers: { velocity: 12, wanted: 18 },
      remedy: { kind: 'narrower', run: 'r', diameter: 0.1 },
    },
    'settling main': {
      kind: 'settling main',
      severity: 'caution',
      where: run,
      numbers: { velocity: 10, wanted: 14 },
      remedy: { kind: 'open another gate' },
    },
    'fast duct': {
      kind: 'fast duct',
      severity: 'note',
      where: run,
      numbers: { velocity: 34, limit: 30 },
      remedy: { kind: 'wider', run: 'r', diameter: 0.15 },
    },
    'long hose': {
      kind: 'long hose',
      severity: 'caution',
      where: drop,
      numbers: { length: 3, limit: 1.8, loss: 400 },
      remedy: null,
    },
    'elbow at the inlet': {
      kind: 'elbow at the inlet',
      severity: 'caution',
      where: at('inlet'),
      numbers: { straight: 0.1, wanted: 0.75, loss: 200 },
      remedy: { kind: 'straight ahead of the inlet', length: 0.75 },
    },
    'close elbows': {
      kind: 'close elbows',
      severity: 'note',
      where: run,
      numbers: { straight: 0.1, wanted: 0.75 },
      remedy: null,
    },
    'head-on tee': {
      kind: 'head-on tee',
      severity: 'caution',
      where: run,
      numbers: { angle: Math.PI / 2, loss: 120 },
      remedy: { kind: 'sweep both legs' },
    },
    'against the flow': {
      kind: 'against the flow',
      severity: 'caution',
      where: run,
      numbers: { angle: 2, taken: Math.PI / 2 },
      remedy: { kind: 'turn with the flow' },
    },
    'outside its range': {
      kind: 'outside its range',
      severity: 'note',
      where: run,
      numbers: { given: 4, used: 2.5 },
      clamped: { what: 'radius over diameter', kind: 'number', given: 4, used: 2.5 },
      remedy: null,
    },
    'leak-prone': {
      kind: 'leak-prone',
      severity: 'caution',
      where: run,
      numbers: { leak: 0.02, share: 0.08 },
      remedy: { kind: 'seal' },
    },
    'pressure-side leak': {
      kind: 'pressure-side leak',
      severity: 'serious',
      where: at('exhaust'),
      numbers: { leak: 0.01 },
      remedy: { kind: 'seal' },
    },
    'small circuit': {
      kind: 'small circuit',
      severity: 'serious',
      where: at('motor'),
      numbers: { breaker: 15, wanted: 30, fullLoad: 24, largest: 60 },
      remedy: { kind: 'larger circuit', rating: 30 },
    },
    'large breaker': {
      kind: 'large breaker',
      severity: 'caution',
      where: at('motor'),
      numbers: { breaker: 50, largest: 30, fullLoad: 12 },
      remedy: null,
    },
    'small plug': {
      kind: 'small plug',
      severity: 'serious',
      where: at('motor'),
      numbers: { carries: 12, fullLoad: 24 },
      remedy: null,
    },
    'plug of another voltage': {
      kind: 'plug of another voltage',
      severity: 'serious',
      where: at('motor'),
      numbers: { plug: 120, motor: 230 },
      remedy: null,
    },
    'hard start': {
      kind: 'hard start',
      severity: 'caution',
      where: at('motor'),
      numbers: { start: 144, least: 75 },
      remedy: null,
    },
    'overloaded motor': {
      kind: 'overloaded motor',
      severity: 'serious',
      where: at('motor'),
      numbers: { power: 2000, rated: 1500, current: 14, plate: 12 },
      remedy: { kind: 'shut a gate' },
    },
    'small filter': {
      kind: 'small filter',
      severity: 'caution',
      where: at('filter'),
      numbers: { faceVelocity: 0.06, comfortable: 0.04 },
      remedy: { kind: 'larger filter', area: 15 },
    },
    'filter due': {
      kind: 'filter due',
      severity: 'caution',
      where: at('filter'),
      numbers: { loading: 6, due: 5, pressure: 300, clean: 50 },
      remedy: { kind: 'clean the filter' },
    },
    'coarse filter': {
      kind: 'coarse filter',
      severity: 'caution',
      where: at('filter'),
      numbers: { letBy: 0.8 },
      remedy: { kind: 'finer filter' },
    },
    'fast return': {
      kind: 'fast return',
      severity: 'caution',
      where: at('exhaust'),
      numbers: { faceVelocity: 2, limit: 1.5 },
      remedy: { kind: 'larger filter', area: 0.4 },
    },
    'air leaves the building': {
      kind: 'air leaves the building',
      severity: 'caution',
      where: at('exhaust'),
      numbers: { flow: 0.3, opening: 0.17, heat: 7000 },
      remedy: { kind: 'let air in' },
    },
    'small way back': {
      kind: 'small way back',
      severity: 'caution',
      where: at('exhaust'),
      numbers: { depression: 12, limit: 5 },
      remedy: { kind: 'larger way back', area: 0.3 },
    },
    'choked blower': {
      kind: 'choked blower',
      severity: 'note',
      where: at('blower'),
      numbers: { flow: 0.1, best: 0.3 },
      remedy: null,
    },
    'run-out blower': {
      kind: 'run-out blower',
      severity: 'note',
      where: at('blower'),
      numbers: { flow: 0.5, best: 0.3 },
      remedy: { kind: 'shut a gate' },
    },
    'several operating points': {
      kind: 'several operating points',
      severity: 'caution',
      where: at('blower'),
      numbers: { flow: 0.4, other: 0.1 },
      remedy: { kind: 'open another gate' },
    },
  };

  it.each(['us', 'metric'] as const)('for every finding: plain, with its number (%s)', (system) => {
    for (const finding of Object.values(all)) {
      const { title, text, severity } = findingMessage(finding, system, names);
      expect(title).toMatch(/\.$/);
      expect(text).toMatch(/\.$/);
      expect(`${title} ${text}`).not.toMatch(/!|undefined|NaN|null/);
      expect(`${title} ${text}`).toMatch(/\d/);
      expect(severity).toBe(finding.severity);
    }
  });

  it('the demo’s planer is told what to do', () => {
    const { shop } = demo();
    const [starved] = findings(shop, air, 'found', 'one');
    if (!starved) throw new Error('nothing found');
    const { title, text } = findingMessage(starved, 'us', names);
    expect(title).toMatch(/^Planer is \d+ CFM short\.$/);
    expect(text).toMatch(/Cut its hose to 2′: about \+\d+ CFM, no cost\./);
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
      /No steady airflow/,
    );
  });
});
