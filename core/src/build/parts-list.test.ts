import { describe, expect, it } from 'vitest';
import { treeOf } from '../../reference/plain-readings';
import { threeBranchShop } from '../../reference/sample-shops';
import { newShop } from '../design/new-shop';
import type { Shop } from '../design/schema';
import { toSI } from '../quantity/units';
import { cutList } from './cuts/cut-list';
import { type Part, type PartLine, partsList } from './parts-list';
import { type Stage, stagesOf } from './stages';

const SIX = toSI(6, 'in');
const FOUR = toSI(4, 'in');

/**
 * A main of 6 in., 20 ft long, into a 6-in. inlet; the saw on a 4-in. branch at 45° with two 90° elbows, 6 ft of pipe and
 * 3 ft of hose to a 4-in. port; the planer on a 6-in. run straight through, 10 ft, no hose, a 5-in. port; a gate each.
 */
function layout(): Shop {
  const shop = threeBranchShop();
  const runs = shop.ducts.runs.filter(({ id }) => id !== 'sander');
  shop.machines = shop.machines.slice(0, 2);
  shop.ducts.nodes = shop.ducts.nodes.filter(({ id, kind }) =>
    kind.kind === 'port' ? runs.some(({ from }) => from === id) : true,
  );
  shop.ducts.runs = runs;
  const [saw, planer] = ['saw', 'planer'].map((id) => runs.find((run) => run.id === id));
  const main = runs.find(({ to }) => to === 'inlet');
  if (!saw || !planer || !main) throw new Error('no runs');
  shop.collector.separator.inletDiameter = SIX;
  const plain = { pipe: 'snapLock', route: null, joints: null, fittings: [], hose: null } as const;
  const gate = { opening: 1, open: true, closedGap: 0, end: 'upstream' } as const;
  Object.assign(main, plain, { diameter: SIX, length: toSI(20, 'ft'), gate: null });
  Object.assign(planer, plain, { diameter: SIX, length: toSI(10, 'ft'), gate });
  Object.assign(saw, plain, { diameter: FOUR, length: toSI(6, 'ft'), gate });
  planer.joins = { kind: 'straight' };
  saw.joins = { kind: 'branch', angle: Math.PI / 4 };
  saw.hose = { kind: 'ribbed', length: toSI(3, 'ft'), diameter: FOUR, compression: 0 };
  saw.fittings = [
    {
      ...{ kind: 'elbow', id: 'e', style: 'fivePiece', angle: Math.PI / 2 },
      ...{ radiusRatio: 1.5, count: 2, after: null },
    },
  ];
  const [first, second] = shop.machines.map(({ ports: [port] }) => port);
  if (first) first.diameter = FOUR;
  if (second) second.diameter = toSI(5, 'in');
  return shop;
}

const of = (lines: readonly PartLine[], kind: Part['kind']) =>
  lines.filter(({ part }) => part.kind === kind);
const count = (lines: readonly PartLine[], kind: Part['kind']) =>
  of(lines, kind).reduce((sum, { quantity }) => sum + quantity, 0);

describe('the parts of a small layout, counted by hand', () => {
  const shop = layout();
  const tree = treeOf(shop);
  const lines = partsList(shop, tree);

  it('are two elbows, one wye, one reducer, two gates, a hose with two clamps', () => {
    expect(of(lines, 'elbow').map(({ part, quantity }) => [part, quantity])).toEqual([
      [{ kind: 'elbow', pipe: 'snapLock', diameter: FOUR, angle: Math.PI / 2 }, 2],
    ]);
    expect(of(lines, 'wye').map(({ part, quantity }) => [part, quantity])).toEqual([
      [
        {
          kind: 'wye',
          pipe: 'snapLock',
          main: SIX,
          diameter: FOUR,
          angle: expect.closeTo(Math.PI / 4, 9),
        },
        1,
      ],
    ]);
    // Only the planer's port is of another size than its duct.
    expect(of(lines, 'reducer').map(({ part }) => part)).toEqual([
      { kind: 'reducer', from: SIX, to: toSI(5, 'in') },
    ]);
    expect(count(lines, 'gate')).toBe(2);
    // The saw's, with 2 in. over at each end, and the collector's own, 0.3 m from separator to blower.
    expect(of(lines, 'hose').map(({ part, quantity }) => [part, quantity])).toEqual([
      [{ kind: 'hose', hose: 'ribbed', diameter: SIX }, expect.closeTo(0.3 + 0.1, 9)],
      [{ kind: 'hose', hose: 'ribbed', diameter: FOUR }, expect.closeTo(toSI(3, 'ft') + 0.1, 9)],
    ]);
    expect(of(lines, 'clamp').map(({ part, quantity }) => [part, quantity])).toEqual([
      // The collector's own hose, from separator to blower.
      [{ kind: 'clamp', diameter: SIX }, 2],
      [{ kind: 'clamp', diameter: FOUR }, 2],
    ]);
  });

  it('are a coupling at the collector, and one more where two lengths of spiral pipe meet', () => {
    const couplings = (own: readonly PartLine[]) =>
      of(own, 'coupling').map(({ part, quantity }) => [part, quantity]);
    // Crimped pipe goes into the next by itself; at the inlet, of the same size, it meets it end to end.
    const six = { kind: 'coupling', diameter: SIX };
    expect(couplings(lines)).toEqual([[six, 1]]);
    const spiral = layout();
    for (const run of spiral.ducts.runs) run.pipe = 'galvanised';
    // The main, 20 ft, is two lengths; the planer's and the saw's runs, 10 ft and 6 ft, are one each.
    expect(couplings(partsList(spiral, treeOf(spiral)))).toEqual([[six, 2]]);
    // Of plastic drain pipe one end goes into the bell of the next, and the inlet is not of its size.
    for (const run of spiral.ducts.runs) run.pipe = 'drain';
    expect(couplings(partsList(spiral, treeOf(spiral)))).toEqual([]);
  });

  it('are what leads from part to part of the collector, and outdoors where the air goes there', () => {
    const own = (change: (shop: Shop) => void, stage: Stage | null = null) => {
      const changed = layout();
      changed.collector.exhaust = newShop('s', 'S', 'us', []).collector.exhaust;
      change(changed);
      const grown = treeOf(changed);
      return partsList(changed, grown, cutList(changed, grown), stage).flatMap(
        ({ part, quantity }) =>
          part.kind === 'collectorPipe' || part.kind === 'pipeOutdoors' ? [[part, quantity]] : [],
      );
    };
    const rigid = { kind: 'collectorPipe', diameter: SIX };
    // From blower to filter.
    expect(own(() => {})).toEqual([[rigid, 0.3]]);
    expect(
      own(({ collector }) => {
        collector.assembly.coupling = { kind: 'rigid', length: 0.5 };
      }),
    ).toEqual([[rigid, 0.8]]);
    const EIGHT = toSI(8, 'in');
    const outdoors = (shop: Shop) => {
      shop.collector.exhaust = {
        ...{ kind: 'outdoors', diameter: EIGHT, length: 1.8, pipe: 'galvanised' },
        ...{ lossCoefficient: 0.3, end: 'flap', heating: null, makeUp: null },
      };
    };
    const out = { kind: 'pipeOutdoors', pipe: 'galvanised', diameter: EIGHT };
    expect(own(outdoors)).toEqual([[out, 1.8]]);
    const [mains, drop] = stagesOf(treeOf(layout()));
    expect(own(outdoors, mains)).toEqual([[out, 1.8]]);
    expect(own(outdoors, drop)).toEqual([]);
  });

  it('are as many 5-ft lengths as the cut list has, and no fewer than the pipe is long', () => {
    const { groups } = cutList(shop, tree);
    expect(count(lines, 'pipe')).toBe(groups.reduce((sum, { sticks }) => sum + sticks.length, 0));
    const metres = groups
      .flatMap(({ pieces }) => pieces)
      .reduce((sum, { length }) => sum + length, 0);
    expect(count(lines, 'pipe') * toSI(5, 'ft')).toBeGreaterThan(metres);
    // The main: 20 ft − 2 in. of the wye + 1½ in. of crimp is 19.96 ft: four whole lengths, which overlap by 1½ in., and
    // 0.46 ft. The planer's: 10 ft − 4 in. of gate − 7.8 in. of the wye + 1½ in. is 9.14 ft: one, and 4.27 ft. Both
    // rests come from a sixth length.
    const wide = of(lines, 'pipe').find(
      ({ part }) => part.kind === 'pipe' && part.diameter === SIX,
    );
    expect(wide?.quantity).toBe(6);
  });

  it('are three screws and a turn of tape with a lap for each joint, and tape along the seams', () => {
    // The main: behind its wye and three times between 5-ft lengths; the coupling at the inlet has two rims to tape.
    // The planer's run: its gate, between two lengths, at the wye; the reducer at its port has two rims.
    // The saw's: its gate, two elbows, between two lengths, at the wye; hose and port are clamped.
    const [main, planer, saw] = [4, 3, 1 + 4 + 1 + 1] as const;
    expect(count(lines, 'screw')).toBe(3 * (main + planer + saw));
    const around = Math.PI * (SIX * (main + 2 + planer + 2) + FOUR * saw);
    const seams = toSI(20 + 10 + 6, 'ft');
    expect(count(lines, 'tape')).toBeCloseTo(1.1 * around + seams, 9);
  });

  it('are one screw for each joint of plastic pipe, and no seam', () => {
    const plastic = layout();
    for (const run of plastic.ducts.runs) run.pipe = 'sewer';
    const own = partsList(plastic, treeOf(plastic));
    // Lengths of 10 ft: one joint in the main; what is not of its size at inlet and port has no screw.
    expect(count(own, 'screw')).toBe(1 + 1 + (1 + 1) + (1 + 4 + 1));
  });

  it('are a hanger every 10 ft or less, and one at the branch', () => {
    // 20 ft: 3 and the branch's; 10 ft: 2; 6 ft: 1.
    expect(count(lines, 'hanger')).toBe(3 + 1 + 2 + 1);
  });

  it('have names that stay when the plan changes, and prices by the book', () => {
    const longer = layout();
    const main = longer.ducts.runs.find(({ to }) => to === 'inlet');
    if (main) main.length = toSI(40, 'ft');
    const later = partsList(longer, treeOf(longer));
    expect(later.map(({ key }) => key)).toEqual(lines.map(({ key }) => key));
    const priced = lines.filter(({ bought }) => bought).map(({ part }) => part.kind);
    expect(new Set(priced)).toEqual(new Set(['pipe', 'elbow', 'wye', 'gate', 'hose', 'tape']));
  });
});
