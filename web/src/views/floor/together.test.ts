import 'fake-indexeddb/auto';
import { newShop, type Shop } from '@frank-gauge/core/design';
import { setRoomSize } from '@frank-gauge/core/room';
import { inletMouth, routeUsual } from '@frank-gauge/core/routing';
import { beforeEach, describe, expect, it } from 'vitest';
import { choosePart } from '@/storage/choices';
import { database } from '@/storage/database';
import { eventually } from '@/storage/eventually';
import { edit, shopSession, undo } from '@/storage/session';
import { addShop } from '@/storage/shop-list';
import { COLLECTOR } from './collector-id';
import { addMachineHere } from './ducts/edit-ducts';
import { place } from './edit-things';
import {
  copyThings,
  editRuns,
  moveThings,
  moveTo,
  removeThings,
  turnThings,
} from './edit-together';
import { planDrawing, turnedAbout } from './plan-drawing';
import {
  allOf,
  letGo,
  selectAlso,
  selectedOf,
  selectTogether,
  togetherWith,
  useSelection,
} from './selection';
import { namedThings } from './thing-names';

const curve = [
  { flow: 0, pressure: 2500 },
  { flow: 0.6, pressure: 0 },
];

const shop = (): Shop => {
  const session = shopSession.state.getState();
  if (session.status !== 'open') throw new Error(session.status);
  return session.shop;
};

const selected = () => [...useSelection.getState().ids];
const placeOf = (id: string) => shop().machines.find((machine) => machine.id === id)?.place;
/** Every point of every duct. */
const points = () =>
  JSON.stringify([
    shop().ducts.nodes.map(({ at }) => at),
    shop().ducts.runs.map(({ route }) => route?.bends.map(({ at }) => at)),
  ]);

/** Two machines in a room of 10 by 8 m, each routed to the collector. */
let [shopId, one, other] = ['', '', ''];

beforeEach(async () => {
  shopSession.close();
  letGo();
  await Promise.all(database().tables.map((table) => table.clear()));
  const fresh = newShop('one', 'One', 'metric', curve);
  setRoomSize(fresh, 10, 8);
  fresh.room.ceilingHeight = 2.7;
  shopId = await addShop(fresh);
  shopSession.open(shopId);
  await eventually(() => expect(shopSession.state.getState().status).toBe('open'));
  place(COLLECTOR, 'the collector');
  addMachineHere('tableSaw');
  addMachineHere('bandSaw');
  [one, other] = shop().machines.map(({ id }) => id) as [string, string];
  let next = 0;
  edit('lead', (draft) => {
    const route = (machine: string, run: string | null) => {
      const port = draft.machines.find(({ id }) => id === machine)?.ports[0]?.id ?? '';
      const goal = run === null ? ({ kind: 'inlet' } as const) : ({ kind: 'run', run } as const);
      const routed = routeUsual(draft, machine, port, goal, () => `led${next++}`);
      if (!routed.ok) throw new Error(routed.why);
      return routed.run;
    };
    const first = route(one, null);
    route(other, first);
  });
  choosePart(shopId, '');
});

describe('what is selected together', () => {
  it('grows and shrinks, and begins with what was open', () => {
    selectAlso(one);
    expect(selected()).toEqual([one]);
    selectAlso(other);
    selectAlso(one);
    expect(selected()).toEqual([other]);
    letGo();
    choosePart(shopId, one);
    selectAlso(other);
    expect(selected()).toEqual([one, other]);
    letGo();
    choosePart(shopId, 'room');
    selectAlso(other);
    expect(selected()).toEqual([other]);
  });

  it('is all that has a place, or the one alone that is none of them', () => {
    const runs = shop().ducts.runs.map(({ id }) => id);
    selectTogether(allOf(shop()));
    expect(selected()).toEqual([one, other, COLLECTOR, ...runs]);
    expect(togetherWith(one)).toEqual(selected());
    letGo();
    selectTogether([other]);
    expect(togetherWith(one)).toEqual([one]);
    expect(selectedOf(shop(), [one, 'gone', COLLECTOR])).toEqual({
      machines: new Set([one]),
      isCollector: true,
      runs: new Set(),
    });
  });
});

describe('moved together', () => {
  it('typed a digit at a time, a place is reached as in one go', async () => {
    const [x = 0, y = 0] = [placeOf(one)?.x, placeOf(one)?.y];
    const before = points();
    moveTo(one, { x: 1, y });
    moveTo(one, { x: 12, y });
    moveTo(one, { x: x + 0.5, y });
    const inSteps = points();
    moveTo(one, { x, y });
    expect(points()).toBe(before);
    moveTo(one, { x: x + 0.5, y });
    expect(points()).toBe(inSteps);
    expect(await undo()).toBe('move Table saw');
    expect(points()).toBe(before);
    expect(placeOf(one)).toEqual({ x, y });
  });

  it('alone, a machine leaves its ducts; another edit between begins a new move', async () => {
    const before = points();
    const [x = 0, y = 0] = [placeOf(one)?.x, placeOf(one)?.y];
    moveThings([one], { x: 0.25, y: 0 }, true);
    expect(points()).toBe(before);
    turnThings([other], Math.PI / 2);
    moveThings([one], { x: 0, y: 0.5 }, true);
    expect(points()).toBe(before);
    expect(await undo()).toBe('move Table saw');
    expect(placeOf(one)?.x).toBeCloseTo(x + 0.25, 12);
    expect([await undo(), await undo()]).toEqual(['turn', 'move Table saw']);
    expect(placeOf(one)).toEqual({ x, y });
  });

  it('everything, ducts and collector, goes as one and turns where it stands', async () => {
    const inlet = inletMouth(shop())?.at;
    const turns = shop().machines.map(({ turn }) => turn);
    moveThings(allOf(shop()), { x: -0.25, y: -0.5 });
    expect(inletMouth(shop())?.at.x).toBeCloseTo((inlet?.x ?? 0) - 0.25, 9);
    turnThings([one, other, COLLECTOR], Math.PI / 2);
    expect(shop().machines.map(({ turn }, i) => turn - (turns[i] ?? 0))).toEqual([
      Math.PI / 2,
      Math.PI / 2,
    ]);
    expect(await undo()).toBe('turn');
    expect(await undo()).toBe(`move ${allOf(shop()).length} things`);
    expect(inletMouth(shop())?.at).toEqual(inlet);
  });

  it('copies come with their ducts and are what is taken then; taken out, all that was theirs goes', async () => {
    copyThings([one, other, COLLECTOR]);
    const copies = selected();
    expect(copies).toHaveLength(2);
    expect(shop().machines).toHaveLength(4);
    const ports = () => shop().ducts.nodes.filter(({ kind }) => kind.kind === 'port').length;
    expect(ports()).toBe(4);
    const [a, b] = [placeOf(copies[0] ?? ''), placeOf(copies[1] ?? '')];
    const [c, d] = [placeOf(one), placeOf(other)];
    // They stand to each other as their patterns do.
    expect((b?.x ?? 0) - (a?.x ?? 0)).toBeCloseTo((d?.x ?? 0) - (c?.x ?? 0), 9);
    removeThings(copies);
    expect(shop().machines.map(({ id }) => id)).toEqual([one, other]);
    expect(ports()).toBe(2);
    expect(selected()).toEqual([]);
    expect(await undo()).toBe('remove 2 things');
    expect(shop().machines).toHaveLength(4);
  });

  it('ducts are sized at once; nothing to take out is no change', async () => {
    const runs = new Set(shop().ducts.runs.map(({ id }) => id));
    editRuns(runs, 'diameter', (run) => {
      run.diameter = 0.125;
    });
    expect(new Set(shop().ducts.runs.map(({ diameter }) => diameter))).toEqual(new Set([0.125]));
    removeThings([COLLECTOR]);
    expect(shop().collector.place).not.toBeNull();
    expect(await undo()).toContain('diameter of');
  });
});

describe('names on the plan', () => {
  const drawing = planDrawing({ ...newShop('s', 'S', 'metric', curve).room }, [], 800, 600);
  const thing = (id: string, x: number, y: number) => {
    const corners = [
      { x: x - 0.1, y: y - 0.1 },
      { x: x + 0.1, y: y + 0.1 },
    ];
    return {
      id,
      name: `A long name of ${id}`,
      block: { at: { x, y }, turn: 0, width: 0.2, depth: 0.2 },
      corners,
    };
  };

  it('stand clear of each other and of ducts; what is wrong is always named', () => {
    const things = Array.from({ length: 14 }, (_, i) => thing(`machine ${i}`, 2, 2));
    const named = (wrong: string[], open?: string) =>
      namedThings(things, drawing, [], new Set(wrong), open).map(({ of }) => of.id);
    // There is not room for fourteen names around one spot; the first keep theirs.
    expect(named([]).length).toBeLessThan(14);
    expect(named([])[0]).toBe('machine 0');
    expect(named([], 'machine 13')[0]).toBe('machine 13');
    const all = things.map(({ id }) => id);
    expect(named(all)).toEqual(all);
    const { x, y } = drawing.spot({ x: 2, y: 2 });
    const over = { from: { x: x - 300, y: y + 20 }, to: { x: x + 300, y: y + 20 }, half: 12 };
    const [own] = namedThings(things.slice(0, 1), drawing, [over], new Set(), undefined);
    expect(own?.at.y).toBeLessThan(y);
  });

  it('a shape is turned about its spot: along a way that goes down the screen, right is down', () => {
    const path = turnedAbout(
      { x: 10, y: 20 },
      { x: 0, y: 5 },
    )([
      { x: 1, y: 0 },
      { x: 0, y: 2 },
    ]);
    expect(path).toBe('M10.0 21.0 L8.0 20.0 Z');
    // Of no way at all it stands as it is.
    expect(turnedAbout({ x: 1, y: 1 }, { x: 0, y: 0 })([{ x: 1, y: 0 }])).toBe('M2.0 1.0 Z');
  });
});
