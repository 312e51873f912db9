import type { MachineKindId } from '../design/machine-kinds';
import { toSI } from '../quantity/units';
import type { Layout, PlacedKind } from './lay-out';
import type { MeterFace } from './meter-face';
import type { Trouble } from './trouble';
import type { WrittenId } from './written-ids';

/** A practice shop written by hand. All of them are invented. */
interface WrittenShop {
  readonly layout: Omit<Layout, 'id'>;
  readonly troubles: readonly Trouble[];
  /** How its meter was left, where it was not left as it should be. */
  readonly face?: Partial<MeterFace>;
  readonly seed: number;
}

const ft = (feet: number) => toSI(feet, 'ft');
const in2 = (area: number) => toSI(area, 'in2');

/** A machine at a place in feet. */
const at = (kind: MachineKindId, x: number, y: number, turned = 0): PlacedKind => ({
  kind,
  at: { x: ft(x), y: ft(y) },
  turned,
});
/** A machine at a place in meters. */
const atMeters = (kind: MachineKindId, x: number, y: number, turned = 0): PlacedKind => ({
  kind,
  at: { x, y },
  turned,
});

/** A room in feet, with its collector in the right back corner. */
const room = (width: number, depth: number, height: number) => ({
  units: 'us' as const,
  room: { width: ft(width), depth: ft(depth), height: ft(height) },
  collector: { x: ft(width - 3), y: ft(depth - 2.5), inlet: 'left' as const },
});

/** From two machines in a garage to a school: in the order one would try them. */
export const WRITTEN_SHOPS: Readonly<Record<WrittenId, WrittenShop>> = {
  garage: {
    layout: {
      ...room(20, 18, 8.5),
      name: 'Two-machine garage',
      blower: 'two',
      machines: [at('tableSaw', 9, 9), at('planer', 4, 6)],
      style: 'main',
      leakageClass: 12,
      loading: 1.5,
    },
    troubles: [{ kind: 'opening', of: ['Thickness planer'], amount: in2(6) }],
    seed: 11,
  },
  'lean-to': {
    layout: {
      ...room(22, 16, 8),
      name: 'Lean-to',
      blower: 'two',
      machines: [at('bandSaw', 4, 8), at('jointer', 9, 6), at('drumSander', 13, 9)],
      style: 'main',
      leakageClass: 15,
      loading: 1.6,
    },
    troubles: [{ kind: 'gate not shut', of: ['Jointer'], amount: 0.45 }],
    seed: 12,
  },
  'boat-shed': {
    layout: {
      ...room(28, 20, 9),
      name: 'Boat shed',
      blower: 'two',
      machines: [
        at('tableSaw', 12, 9),
        at('bandSaw', 6, 12),
        at('planer', 6, 6),
        at('discSander', 18, 5),
      ],
      style: 'shortest',
      leakageClass: 12,
      loading: 2,
    },
    troubles: [{ kind: 'filter', amount: 5.5 }],
    seed: 13,
  },
  luthier: {
    layout: {
      units: 'metric',
      room: { width: 6, depth: 5, height: 2.4 },
      collector: { x: 5.2, y: 4.2, inlet: 'left' },
      name: 'Luthier’s room',
      blower: 'oneAndHalf',
      machines: [
        atMeters('bandSaw', 1.2, 2.6),
        atMeters('drumSander', 2.6, 1.6),
        atMeters('spindleSander', 1.2, 1.2),
        atMeters('discSander', 4.2, 1.6),
      ],
      style: 'main',
      leakageClass: 10,
      loading: 1.4,
    },
    troubles: [{ kind: 'clog', of: ['Drum sander'], amount: 12 }],
    seed: 14,
  },
  'chair-shop': {
    layout: {
      ...room(30, 20, 9),
      name: 'Chair shop',
      blower: 'three',
      machines: [
        at('tableSaw', 14, 10),
        at('bandSaw', 8, 12),
        at('lathe', 5, 5),
        at('shaper', 12, 4),
        at('discSander', 20, 6),
      ],
      style: 'main',
      leakageClass: 14,
      loading: 1.8,
    },
    troubles: [],
    face: { hold: 'maximum' },
    seed: 15,
  },
  cellar: {
    layout: {
      ...room(26, 18, 7.5),
      name: 'Cellar',
      blower: 'two',
      machines: [
        at('tableSaw', 12, 8),
        at('jointer', 6, 5),
        at('planer', 6, 10),
        at('bandSaw', 16, 12),
        at('routerTable', 19, 5),
      ],
      style: 'shortest',
      leakageClass: 18,
      loading: 1.6,
    },
    troubles: [{ kind: 'meter', way: 'less', amount: 1.25 }],
    seed: 16,
  },
  carport: {
    layout: {
      ...room(34, 20, 9),
      name: 'Closed-in carport',
      blower: 'three',
      machines: [
        at('tableSaw', 17, 10),
        at('planer', 6, 6),
        at('jointer', 5, 13),
        at('bandSaw', 12, 5),
        at('mitreSaw', 23, 5),
        at('drumSander', 11, 14),
      ],
      style: 'main',
      leakageClass: 16,
      loading: 1.7,
    },
    troubles: [{ kind: 'opening', of: ['Jointer'], amount: in2(8) }],
    face: { unit: 'ms' },
    seed: 17,
  },
  cabinetmaker: {
    layout: {
      ...room(36, 24, 10),
      name: 'Cabinetmaker’s shop',
      blower: 'three',
      machines: [
        at('tableSaw', 18, 12),
        at('planer', 8, 6),
        at('jointer', 6, 14),
        at('bandSaw', 13, 5),
        at('shaper', 24, 6),
        at('drumSander', 12, 18),
      ],
      style: 'walls',
      leakageClass: 12,
      loading: 1.6,
    },
    troubles: [{ kind: 'separator', amount: 3.5 }],
    seed: 18,
  },
  turnery: {
    layout: {
      ...room(32, 22, 9),
      name: 'Turnery',
      blower: 'three',
      machines: [
        at('lathe', 6, 6),
        at('bandSaw', 6, 14),
        at('tableSaw', 16, 11),
        at('shaper', 13, 5),
        at('spindleSander', 22, 6),
        at('discSander', 12, 16),
      ],
      style: 'main',
      leakageClass: 15,
      loading: 1.9,
    },
    troubles: [{ kind: 'gate not open', of: ['Shaper'], amount: 0.3 }],
    face: { unit: 'mph' },
    seed: 19,
  },
  joinery: {
    layout: {
      ...room(44, 26, 10),
      name: 'Joinery',
      blower: 'five',
      machines: [
        at('tableSaw', 22, 13),
        at('planer', 8, 7),
        at('jointer', 6, 16),
        at('bandSaw', 14, 6),
        at('shaper', 28, 6),
        at('mitreSaw', 35, 5),
        at('drumSander', 13, 19),
        at('routerTable', 21, 5),
        at('discSander', 28, 17),
      ],
      style: 'main',
      leakageClass: 14,
      loading: 1.8,
    },
    troubles: [{ kind: 'opening', of: ['Thickness planer'], amount: in2(10) }],
    face: { hold: 'maximum' },
    seed: 20,
  },
  'co-op': {
    layout: {
      ...room(46, 28, 10),
      name: 'Wood co-op',
      blower: 'five',
      machines: [
        at('tableSaw', 22, 14),
        at('planer', 9, 7),
        at('jointer', 7, 17),
        at('bandSaw', 15, 6),
        at('shaper', 29, 7),
        at('mitreSaw', 37, 5),
        at('drumSander', 14, 20),
        at('routerTable', 22, 6),
        at('discSander', 29, 19),
        at('lathe', 35, 13),
      ],
      style: 'main',
      leakageClass: 18,
      loading: 1.8,
    },
    troubles: [
      { kind: 'opening', of: ['Drum sander'], amount: in2(9) },
      { kind: 'clog', of: ['Shaper'], amount: 14 },
    ],
    seed: 21,
  },
  school: {
    layout: {
      ...room(52, 30, 11),
      name: 'School shop',
      blower: 'five',
      machines: [
        at('tableSaw', 24, 15),
        at('planer', 9, 8),
        at('jointer', 7, 18),
        at('bandSaw', 16, 7),
        at('shaper', 31, 8),
        at('mitreSaw', 42, 6),
        at('drumSander', 15, 22),
        at('routerTable', 23, 7),
        at('discSander', 32, 21),
        at('lathe', 38, 14),
        at('spindleSander', 24, 24),
        at('drillPress', 9, 25),
      ],
      style: 'main',
      leakageClass: 12,
      loading: 1.6,
    },
    troubles: [{ kind: 'leakage', amount: 5 }],
    face: { unit: 'kmh' },
    seed: 22,
  },
};
