import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { withdrawal } from '../../assembly/bracket';
import { baffleFor } from '../../collector/baffle';
import { newShop } from '../../design/new-shop';
import type { Shop } from '../../design/schema';
import { readShop } from '../../file/shop-file';
import { toSI } from '../../quantity/units';
import { rectangularRoom } from '../../room/room-outline';
import { blankOf } from '../boards/board';
import { partKinds } from '../boards/part-kinds';
import { bendOf } from './flat-panel';
import type { MadeThing } from './maker';
import { makerPlace } from './maker-place';
import { MAKERS, type MakerId, makerOf, type SizeOf } from './makers';
import { SCREW_EDGE, studsBehind, usualOnWall } from './on-studs';
import type { MakerSayingId, MakerSayings } from './sayings';

const CURVE = [
  { flow: 0, pressure: 2900 },
  { flow: 0.55, pressure: 0 },
];
const inches = (value: number) => toSI(value, 'in');

/** A shop of 12 by 20 ft with studs every 16 in. on its first wall, the collector at the wall's middle. */
function walled(): Shop {
  const shop = newShop('a', 'A', 'us', CURVE);
  shop.room.outline = [...rectangularRoom(inches(144), inches(240))];
  shop.room.walls = [{ studSpacing: inches(16) }, ...Array(3).fill({ studSpacing: null })];
  shop.collector.place = { x: inches(72), y: 0.4, z: 0 };
  return shop;
}
const EMPTY = makerPlace(newShop('a', 'A', 'us', CURVE));
const WALLED = makerPlace(walled());

function make<M extends MakerId>(id: M, typed: Partial<Record<SizeOf<M>, number>>, place = EMPTY) {
  const maker = makerOf(id);
  return maker.make({ ...maker.usual(place), ...(typed as Record<string, number>) }, place);
}

function madeOf<M extends MakerId>(
  id: M,
  typed: Partial<Record<SizeOf<M>, number>>,
  place = EMPTY,
): MadeThing {
  const made = make(id, typed, place);
  if (!made.ok) throw new Error(`${made.field}: ${made.reason.id}`);
  return made.thing;
}

const partOf = (thing: MadeThing, name: string) => {
  const part = thing.parts.find(({ board }) => board.name === name);
  if (!part) throw new Error(`no ${name}`);
  return part;
};

const radiusOf = (outline: { kind: string; radius?: number } | undefined) =>
  outline?.kind === 'circle' ? (outline.radius ?? Number.NaN) : Number.NaN;

describe('sizes that cannot be made', () => {
  it.each<[MakerId, string, Record<string, number>, MakerSayingId]>([
    [
      'drumLid',
      'ring',
      { ring: inches(0.5), gasket: inches(0.625), rim: inches(1) },
      'lid ring narrower than its gasket',
    ],
    ['drumLid', 'gasket', { gasket: inches(1), rim: inches(0.5) }, 'gasket wider than its groove'],
    ['drumLid', 'gasketHeight', { gasketHeight: 0.02, board: 0.012 }, 'gasket fills its groove'],
    [
      'drumLid',
      'boltCircle',
      { boltCircle: inches(6), opening: inches(6) },
      'bolts too near the opening',
    ],
    ['drumLid', 'boltCircle', { boltCircle: 0.6, drum: 0.5 }, 'bolts meet the inner ring'],
    [
      'drumLid',
      'opening',
      { opening: 0.45, boltCircle: 0.5, drum: 0.5 },
      'no room for opening and bolts',
    ],
    ['drumLid', 'window', { window: 0.3 }, 'window too wide'],
    ['slottedBaffle', 'inlet', { inlet: 0.4, drop: 0.4 }, 'inlet too wide for the drum'],
    ['slottedBaffle', 'drop', { drop: 0.05 }, 'plate above the inlet'],
    ['slottedBaffle', 'drumHeight', { drumHeight: 0.3 }, 'too little left for dust'],
    ['filterBox', 'gasket', { gasket: 0.05, filter: 0.15 }, 'gasket leaves too small an opening'],
    ['filterBox', 'door', { door: 0.9 }, 'door too wide'],
    ['filterBox', 'doorHeight', { doorHeight: 0.9 }, 'door too high'],
    ['filterBox', 'bracket', { bracket: 0.15, screw: 0.008 }, 'brackets too low for two rows'],
    ['pailRing', 'ring', { ring: 0.02, gasket: 0.03 }, 'ring narrower than its gasket'],
    ['pailRing', 'opening', { opening: 0.31, pail: 0.31 }, 'opening leaves no lid'],
    [
      'pailRing',
      'bevel',
      { opening: 0.4, pail: 0.45, machineRing: 0.42, bevel: 1.1 },
      'bevel too wide',
    ],
    ['cycloneShelf', 'flange', { flange: 0.1, body: 0.3 }, 'flange slips through'],
    ['cycloneShelf', 'width', { width: 0.3, body: 0.35, flange: 0.4 }, 'shelf too narrow'],
    [
      'cycloneShelf',
      'depth',
      { depth: 0.2, body: 0.3, flange: 0.4, width: 0.6 },
      'shelf too shallow',
    ],
    ['cycloneShelf', 'bracket', { bracket: 0.1 }, 'brackets too low for two rows'],
    ['motorCleat', 'patternWidth', { patternWidth: 0.7, length: 0.6 }, 'bolts beyond the ends'],
    ['motorCleat', 'patternHeight', { patternHeight: 0.5, height: 0.3 }, 'bolts beyond the edges'],
    ['slideLift', 'travel', { travel: 0.3, slide: 0.3 }, 'travel beyond the slides'],
    ['slideLift', 'lever', { lever: 0.1, travel: 0.1 }, 'lever too short'],
    ['wedgeLift', 'wedge', { wedge: 1, bin: 0.4 }, 'wedge longer than the deck'],
    ['wedgeLift', 'travel', { travel: 0.2, wedge: 0.4, bin: 0.5 }, 'wedges slide back'],
    [
      'wedgeLift',
      'wedgeThickness',
      { wedgeThickness: 0.1, bin: 0.3, wedge: 0.3, travel: 0.02 },
      'wedges too thick',
    ],
    ['floorSweep', 'mouth', { mouth: 0.1, pipe: 0.15 }, 'mouth too narrow for the pipe'],
    ['floorSweep', 'mouthHeight', { mouthHeight: 0.2, pipe: 0.1 }, 'mouth too high'],
    ['linerCage', 'hoop', { hoop: 0.1, drum: 0.2 }, 'hoops leave no opening'],
    ['linerCage', 'slats', { slats: 40, slat: 0.1 }, 'no room for tubes'],
    ['linerCage', 'tubes', { tubes: 6, slats: 4 }, 'more tubes than slats'],
    ['linerCage', 'hoops', { hoops: 6, board: 0.03, drumHeight: 0.3 }, 'too many hoops'],
    [
      'collectorEnclosure',
      'filterWidth',
      { filterWidth: 1, depth: 0.8 },
      'return filter wider than the side',
    ],
    ['collectorEnclosure', 'filters', { filters: 12, height: 1.5 }, 'too many return filters'],
    ['collectorEnclosure', 'pieceWidth', { pieceWidth: 0.4 }, 'piece cuts through a filter'],
    ['collectorEnclosure', 'pieceHeight', { pieceHeight: 0.4 }, 'piece cuts through a filter'],
    ['blastGate', 'rail', { rail: 0.01, blade: 0.01 }, 'rail too narrow for its screws'],
  ])('of %s are named at %s, with a number that would do', (id, field, typed, reason) => {
    const maker = makerOf(id);
    const sizes = { ...maker.usual(EMPTY), ...typed };
    const made = maker.make(sizes, EMPTY);
    if (made.ok) throw new Error('made');
    expect(made.field).toBe(field);
    expect(made.reason.id).toBe(reason);
    const { most, least } = made.reason.numbers as { most?: number; least?: number };
    const instead = most === undefined ? least : most > 0 ? most * (1 - 1e-9) : 0;
    if (instead === undefined) return;
    const own = maker.fields[field];
    const again = maker.make({ ...sizes, [field]: instead }, EMPTY);
    // Another size may be wrong then, as where the number is none that can be typed.
    if (!again.ok && own && instead >= own.min && instead <= own.max) {
      expect(again.reason.id).not.toBe(reason);
    }
  });
});

describe('a lid for a 55-gallon drum', () => {
  // A common open-head steel drum is 22½ in. inside and its rim curls about ½ in. (common practice, no source).
  const thing = madeOf('drumLid', { drum: inches(22.5), rim: inches(0.5) });

  it('has rings on both sides of its rim, and a groove that takes rim and gasket', () => {
    const inner = partOf(thing, 'inner ring').board;
    const outer = partOf(thing, 'outer ring').board;
    expect(radiusOf(inner.outline)).toBeLessThan(inches(11.25));
    expect(radiusOf(inner.outline)).toBeGreaterThan(inches(11.25) - 0.002);
    expect(radiusOf(outer.holes[0])).toBeGreaterThan(inches(11.75));
    expect(radiusOf(outer.holes[0])).toBeLessThan(inches(11.75) + 0.002);
    expect(radiusOf(partOf(thing, 'lid').board.outline)).toBeCloseTo(radiusOf(outer.outline), 9);
  });

  it('takes a gasket around its rim, and is stiff enough', () => {
    const gasket = thing.bought.find(({ what }) => what.id === 'lid gasket');
    // By hand: π × 23 in. is 72.3 in.
    expect((gasket?.amount ?? 0) / inches(1)).toBeCloseTo(72.26, 1);
    expect(thing.checks.every(({ isMet }) => isMet)).toBe(true);
  });
});

describe('a slotted baffle', () => {
  it('has the plate, the slot and the height that the collector is judged by', () => {
    const drum = 0.5;
    const thing = madeOf('slottedBaffle', { drum, drumHeight: 0.8, inlet: 0.15, drop: 0.15 });
    const judged = baffleFor(drum, 0.8, 0.15);
    if (!judged.ok) throw new Error(judged.reason);
    const plate = partOf(thing, 'baffle plate');
    expect(plate.at.z + plate.board.thickness).toBeCloseTo(-judged.baffle.drop, 9);
    const slot = thing.checks.find(({ what }) => what.id === 'area of the slot');
    expect(slot?.value).toBeCloseTo(judged.baffle.slotShare, 6);
    const { outline } = plate.board;
    const radii =
      outline.kind === 'polygon' ? outline.points.map(({ x, y }) => Math.hypot(x, y)) : [];
    expect(Math.min(...radii)).toBeCloseTo(judged.baffle.slotRadius, 9);
    // Two thirds of the way around, as 240° of 360°.
    const atSlot = radii.filter((radius) => radius < drum / 2 - 0.01).length;
    expect(atSlot / radii.length).toBeCloseTo(2 / 3, 1);
  });
});

describe('what hangs on a wall', () => {
  it('meets two studs where they are, its screws in their middles', () => {
    const thing = madeOf('motorCleat', {}, WALLED);
    const screw = makerOf('motorCleat').usual(WALLED).screw ?? 0;
    const { along = 0, wall } = makerOf('motorCleat').usual(WALLED);
    const studs = WALLED.walls[(wall ?? 1) - 1]?.studs ?? [];
    const holes = partOf(thing, 'cleat, in front').board.holes.flatMap((hole) =>
      hole.kind === 'circle' && Math.abs(2 * hole.radius - screw) < 1e-9 ? [hole.at.x + along] : [],
    );
    expect(holes.length).toBeGreaterThanOrEqual(4);
    for (const at of holes) {
      expect(Math.min(...studs.map((stud) => Math.abs(stud - at)))).toBeLessThan(1e-9);
    }
  });

  it('is refused where there are no two studs, with a place that has them', () => {
    const along = inches(17);
    const made = make('motorCleat', { along, length: inches(20), wall: 1 }, WALLED);
    expect(made.ok ? '' : made.field).toBe('along');
    if (made.ok) throw new Error('made');
    // By hand: studs at 16, 32 and 48 in.; the board reaches from 17 to 37 in.
    const { stud, start } = made.reason.numbers as MakerSayings['fewer than two studs'];
    expect(made.reason.id).toBe('fewer than two studs');
    expect(stud).toBeCloseTo(inches(32), 9);
    expect(start).toBeCloseTo(inches(14.5), 9);
    expect(
      make(
        'motorCleat',
        { along: inches(14.5), length: inches(20), wall: 1, patternWidth: inches(6) },
        WALLED,
      ).ok,
    ).toBe(true);
  });

  it('takes studs for as far apart as usual where nobody knows them, and says so', () => {
    const on = { wall: 2, along: 0.5, length: 0.7 };
    const studs = studsBehind(on, WALLED);
    expect(studs).toMatchObject({ ok: true, areKnown: false });
    if (studs.ok) expect((studs.at[1] ?? 0) - (studs.at[0] ?? 0)).toBeCloseTo(inches(16), 9);
    const steps = madeOf('motorCleat', { wall: 2 }, WALLED).steps.map(({ id }) => id);
    expect(steps).toContain('find the studs');
    expect(studsBehind({ ...on, wall: 9 }, WALLED)).toEqual({
      ok: false,
      reason: { id: 'wall not there', numbers: { walls: 4 } },
    });
  });

  it('goes to the wall the collector stands at, behind it', () => {
    const { wall, along } = usualOnWall(WALLED, 0.6);
    expect(wall).toBe(1);
    expect(Math.abs(along + 0.3 - inches(72))).toBeLessThan(inches(16));
    const studs = studsBehind({ wall, along, length: 0.6 }, WALLED);
    expect(studs.ok && studs.at.every((at) => at >= SCREW_EDGE - 1e-6)).toBe(true);
  });

  it('is held by its screws as far as the wood holds them', () => {
    const light = madeOf('motorCleat', { weight: 10 });
    const heavy = madeOf('motorCleat', { weight: 20 });
    const pullOf = (thing: MadeThing) =>
      thing.checks.find(({ what }) => what.id === 'pull on the upper screws')?.value ?? 0;
    expect(pullOf(heavy)).toBeCloseTo(2 * pullOf(light), 9);
    // By hand: twice the weight of 10 kg, its reach over the rise of the rows, on two of four screws.
    const usual = makerOf('motorCleat').usual(EMPTY);
    const { reach = 0, board = 0, height = 0, screw = 0, screwDepth = 0 } = usual;
    const byHand = (2 * 10 * 9.80665 * (reach + 2 * board)) / (height - 2 * SCREW_EDGE);
    expect(pullOf(light)).toBeCloseTo(byHand / (2 * withdrawal(screw, screwDepth)), 6);
    expect(madeOf('motorCleat', { weight: 500 }).checks.some(({ isMet }) => !isMet)).toBe(true);
  });
});

describe('a flat lid under suction', () => {
  it('bends by the plate formula: with the fourth power of its radius, and less by the third of its thickness', () => {
    const bend = bendOf(0.3, 0.018, 3000);
    expect(bendOf(0.6, 0.018, 3000) / bend).toBeCloseTo(16, 9);
    expect(bendOf(0.3, 0.036, 3000) / bend).toBeCloseTo(1 / 8, 9);
    // Roark's table for simply supported round plates, ν = 0.3 (from memory): y = 0.696·p·a⁴/(E·t³).
    expect(bend / ((3000 * 0.3 ** 4) / (5e9 * 0.018 ** 3))).toBeCloseTo(0.696, 2);
  });
});

describe('what follows the collector', () => {
  it('changes with it: a wider bin, a wider lid, baffle, cage and lift', () => {
    const shop = newShop('a', 'A', 'us', CURVE);
    shop.collector.assembly.bin.diameter = 0.6;
    const place = makerPlace(shop);
    for (const id of ['drumLid', 'slottedBaffle', 'linerCage'] as const) {
      expect(makerOf(id).usual(place).drum).toBeCloseTo(0.598, 9);
    }
    for (const id of ['slideLift', 'wedgeLift'] as const) {
      expect(makerOf(id).usual(place).bin).toBeCloseTo(0.6, 9);
    }
  });

  it('has a floor sweep and a gate for the pipe of the ducts', () => {
    const read = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
    if (!read.ok) throw new Error('no demo');
    const widest = Math.max(...read.shop.ducts.runs.map(({ diameter }) => diameter));
    const pipe = makerOf('blastGate').usual(makerPlace(read.shop)).pipe ?? 0;
    expect(pipe).toBeGreaterThan(widest);
    expect(pipe).toBeLessThan(widest + 0.02);
  });

  it('needs as many return filters as keep their air under 300 ft/min', () => {
    const shop = newShop('a', 'A', 'us', CURVE);
    const place = { ...makerPlace(shop), airflow: 1 };
    const maker = MAKERS.collectorEnclosure;
    const { filters, filterWidth } = maker.usual(place);
    // By hand: 1 m³/s over 1.524 m/s is 0.656 m², and a filter 20 in. square less its edge has 0.234.
    expect(filterWidth).toBeCloseTo(inches(20), 9);
    expect(filters).toBe(3);
    const one = maker.make({ ...maker.usual(place), filters: 1 }, place);
    expect(one.ok && one.thing.checks.at(-1)?.isMet).toBe(false);
  });

  it('makes an enclosure larger than a sheet of pieces that fit on it, with the same panels', () => {
    const read = readShop(JSON.parse(readFileSync('demo/heron-slip.json', 'utf8')));
    if (!read.ok) throw new Error('no demo');
    const place = makerPlace(read.shop);
    const maker = MAKERS.collectorEnclosure;
    const usual = maker.usual(place);
    const madeBy = (sizes: Partial<typeof usual>) => {
      const made = maker.make({ ...usual, ...sizes }, place);
      if (!made.ok) throw new Error(made.reason.id);
      return made.thing;
    };
    // The demo's collector is higher than a sheet of 4 by 8 ft is long.
    expect(usual.height).toBeGreaterThan(inches(96));
    const sawn = madeBy({});
    for (const { board } of sawn.parts) {
      const { width, height } = blankOf(board);
      expect(width).toBeLessThanOrEqual(inches(48) + 1e-9);
      expect(height).toBeLessThanOrEqual(inches(96) + 1e-9);
    }
    const whole = madeBy({ pieceWidth: 6, pieceHeight: 6 });
    const areaOf = ({ parts }: typeof sawn) =>
      parts.reduce((sum, { board }) => {
        const { width, height } = blankOf(board);
        return sum + width * height;
      }, 0);
    expect(areaOf(sawn)).toBeCloseTo(areaOf(whole), 9);
    const holesOf = ({ parts }: typeof sawn) => parts.flatMap(({ board }) => board.holes).length;
    expect(holesOf(sawn)).toBe(holesOf(whole));
    const wall = inches(1.5);
    // By hand: the front and the back, 78 by 102 in., each have a seam upright and one level; the top one; sides one each.
    const battens = sawn.bought.find(({ what }) => what.id === 'battens over the seams');
    const [across, up] = [usual.width + 2 * wall, usual.height + wall - inches(0.5)];
    const deep = usual.depth + 2 * wall;
    expect(battens?.amount).toBeCloseTo(2 * (across + up) + deep + 2 * (deep - inches(1)), 9);
    const said = (thing: typeof sawn) => [...thing.bought.map(({ what }) => what), ...thing.steps];
    expect(said(sawn).map(({ id }) => id)).toEqual(
      expect.arrayContaining(['front latches', 'join the pieces', 'latch on the front']),
    );
    expect(said(sawn).map(({ id }) => id)).not.toContain('door hinges');
    expect(said(whole).map(({ id }) => id)).toContain('door hinges');
    expect(said(whole).map(({ id }) => id)).not.toContain('join the pieces');
  });

  it('counts as many of each part as it places', () => {
    const gate = madeOf('blastGate', {});
    const counts = partKinds(gate.parts).map(({ board, count }) => [board.name, count]);
    expect(counts).toEqual([
      ['face', 2],
      ['rail', 2],
      ['blade', 1],
    ]);
  });
});
