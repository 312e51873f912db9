import { machineGates } from '../analysis/gate-sets';
import type { BlowerClassId } from '../collector/blower-classes';
import { jointCount } from '../design/length';
import type { MachineKindId } from '../design/machine-kinds';
import { AMOUNTS } from '../inference/faults';
import { toSI } from '../quantity/units';
import type { Chance } from '../simulate/chance';
import type { LaidOut, Layout, PlacedKind } from './lay-out';
import type { Level } from './level';
import type { MeterFace } from './meter-face';
import { USUAL_FACE } from './meter-face';
import type { Trouble } from './trouble';

/** Machines a shop of chance may have, each once: what most shops have stands first. */
const KINDS: readonly MachineKindId[] = [
  'tableSaw',
  'planer',
  'jointer',
  'bandSaw',
  'drumSander',
  'mitreSaw',
  'routerTable',
  'discSander',
  'shaper',
  'lathe',
  'spindleSander',
  'drillPress',
];

interface OfLevel {
  /** Fewest and most machines. */
  readonly machines: readonly [number, number];
  /** How often nothing is wrong; how often two things are. */
  readonly sound: number;
  readonly two: number;
  /** How often somebody pressed a button of the meter. */
  readonly pressed: number;
  /** Where in the range of amounts, evenly in ln between 0 and 1. */
  readonly amounts: readonly [number, number];
}

const OF_LEVELS: Readonly<Record<Level, OfLevel>> = {
  first: { machines: [2, 4], sound: 0.1, two: 0, pressed: 0, amounts: [0.55, 0.9] },
  usual: { machines: [5, 7], sound: 0.15, two: 0, pressed: 0.25, amounts: [0.4, 0.9] },
  hard: { machines: [8, 11], sound: 0.15, two: 0.3, pressed: 0.35, amounts: [0.3, 0.85] },
};

/** Feet of floor across and deep for so many machines, and what is added for each. */
const FLOOR = { width: 16, depth: 14, widthEach: 2.6, depthEach: 1.1 } as const;

/** A room with machines for a shop of chance. */
export function chanceLayout(level: Level, { uniform }: Chance): Omit<Layout, 'id'> {
  const between = (least: number, most: number) => least + (most - least) * uniform();
  const [fewest, most] = OF_LEVELS[level].machines;
  const count = fewest + Math.floor((most - fewest + 1) * uniform());
  const isUs = uniform() < 0.7;
  const [width, depth] = [
    toSI(FLOOR.width + FLOOR.widthEach * count, 'ft'),
    toSI(FLOOR.depth + FLOOR.depthEach * count, 'ft'),
  ];
  const blower: BlowerClassId = count > 7 ? 'five' : count > 4 ? 'three' : 'two';
  return {
    name: '',
    units: isUs ? 'us' : 'metric',
    room: { width, depth, height: between(2.5, 3.1) },
    collector: { x: width - 0.9, y: depth - 0.75, inlet: 'left' },
    blower,
    machines: placed(chosen(count, uniform), width, depth, uniform),
    style: (['shortest', 'walls', 'main'] as const)[Math.floor(3 * uniform())] ?? 'main',
    leakageClass: Math.round(between(9, 24)),
    loading: between(1.3, 2.2),
  };
}

/** So many kinds, those that stand first rather than others. */
function chosen(count: number, uniform: () => number): MachineKindId[] {
  const left = [...KINDS];
  return Array.from({ length: count }, () => {
    const [kind = 'tableSaw'] = left.splice(Math.floor(left.length * uniform() ** 1.6), 1);
    return kind;
  });
}

/** Machines in two or three rows, each somewhere in a field of its own, clear of the collector's corner. */
function placed(
  kinds: readonly MachineKindId[],
  width: number,
  depth: number,
  uniform: () => number,
): PlacedKind[] {
  const rows = kinds.length > 3 ? 2 : 1;
  const columns = Math.ceil(kinds.length / rows);
  const [across, deep] = [(width - 2.6) / columns, (depth - 2) / rows];
  return kinds.map((kind, i) => {
    const [column, row] = [Math.floor(i / rows), i % rows];
    const wobble = (room: number) => (uniform() - 0.5) * Math.max(0, room - 1.8);
    return {
      kind,
      at: {
        x: 0.2 + (column + 0.5) * across + wobble(across),
        y: 0.2 + (row + 0.5) * deep + wobble(deep),
      },
      turned: 0,
    };
  });
}

/** What is wrong with a shop of chance, and how its meter was left. */
export function chanceTroubles(
  level: Level,
  { tree }: LaidOut,
  { uniform }: Chance,
): { readonly troubles: readonly Trouble[]; readonly face: MeterFace } {
  const { sound, two, pressed, amounts } = OF_LEVELS[level];
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(uniform() * list.length)];
  const kinds = [
    ...Array.from({ length: 5 }, () => 'opening' as const),
    ...(['clog', 'gate not open', 'gate not shut', 'filter', 'separator', 'meter'] as const),
    ...(level === 'first' ? [] : (['leakage', 'blower'] as const)),
  ];
  /** As likely at one joint as at any other; a gate's at a machine's gate. */
  const runFor = (kind: Trouble['kind']): string | undefined => {
    const gates = machineGates(tree);
    if (kind === 'gate not open' || kind === 'gate not shut') return pick([...gates]);
    if (kind === 'clog') return pick(tree.upstreamFirst)?.id;
    return pick(
      tree.upstreamFirst.flatMap((run) =>
        Array.from({ length: 1 + jointCount(run, tree) }, () => run.id),
      ),
    );
  };
  const trouble = (kind: (typeof kinds)[number]): Trouble => {
    const { from, to } = AMOUNTS[kind];
    const [least, most] = amounts;
    const amount = from * (to / from) ** (least + (most - least) * uniform());
    if (kind === 'meter') return { kind, way: uniform() < 0.5 ? 'more' : 'less', amount };
    if (kind === 'filter' || kind === 'separator' || kind === 'blower' || kind === 'leakage') {
      return { kind, amount };
    }
    return { kind, run: runFor(kind) ?? '', amount };
  };
  const chance = uniform();
  const count = chance < sound ? 0 : chance < sound + two ? 2 : 1;
  const first = trouble(pick(kinds) ?? 'opening');
  // Two at once are two that are told apart: of other kinds, and not a meter's as well.
  const others = kinds.filter((kind) => kind !== first.kind && kind !== 'meter');
  const second = trouble(pick(others) ?? 'filter');
  const button = uniform() < pressed ? pick(['unit', 'hold'] as const) : null;
  return {
    troubles: [first, second].slice(0, count),
    face: {
      unit: button === 'unit' ? (pick(['mph', 'kmh'] as const) ?? null) : null,
      hold: button === 'hold' ? 'maximum' : USUAL_FACE.hold,
    },
  };
}
