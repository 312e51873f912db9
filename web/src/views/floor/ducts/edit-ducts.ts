import type { BendStyle, MachineKindId } from '@frank-gauge/core/design';
import {
  addBend,
  addMachine,
  type DuctEnd,
  drawRun,
  type Goal,
  joinBy,
  movePoint,
  type NotJoined,
  type Point3,
  type RoutedDuct,
  raiseDucts,
  removeBend,
  routeDrawn,
  routeUsual,
  setBendStyle,
  splitInHalf,
} from '@frank-gauge/core/routing';
import { nanoid } from 'nanoid';
import { choosePart } from '@/storage/choices';
import { edit, openShopId } from '@/storage/session';

const newId = () => nanoid(10);

/** Routes a duct as it was drawn; opens it where it can be routed, else answers why not. */
export function routeAsDrawn(from: DuctEnd, to: DuctEnd, points: readonly Point3[]): RoutedDuct {
  return routed('draw a duct', (shop) => routeDrawn(shop, from, to, points, newId));
}

/** Leads a machine's port the usual way to a run, a joint or the collector. */
export function routeUsually(machine: string, port: string, goal: Goal): RoutedDuct {
  return routed('route a duct', (shop) => routeUsual(shop, machine, port, goal, newId));
}

function routed(
  label: string,
  route: (shop: Parameters<typeof routeDrawn>[0]) => RoutedDuct,
): RoutedDuct {
  let made = { ok: false, why: 'not placed' } as RoutedDuct;
  edit(label, (shop) => {
    made = route(shop);
  });
  if (made.ok) choosePart(openShopId(), made.run);
  return made;
}

/** Draws a run that is not drawn yet, from what it leads to outward. */
export function drawOutward(run: string, points: readonly Point3[]): void {
  edit('draw a run', (shop) => {
    const outward = points.toReversed();
    drawRun(shop, run, outward.slice(1), outward[0] ?? null, newId);
  });
}

/** Puts a bend or a joint somewhere else; a drag is one step to undo. */
export function movePointTo(id: string, at: Point3): void {
  edit('move a duct', (shop) => movePoint(shop, id, at), { merge: `point ${id}` });
}

export function styleBend(id: string, style: BendStyle): void {
  edit('bend', (shop) => setBendStyle(shop, id, style), { merge: `style ${id}` });
}

export function bendAt(run: string, at: Point3): void {
  edit('add a bend', (shop) => {
    addBend(shop, run, at, newId);
  });
}

/** Makes a branch join by another angle, rad; answers why it cannot, or null. */
export function joinRunBy(run: string, name: string, angle: number): NotJoined | null {
  let why: NotJoined | null = null;
  edit(`how ${name} joins`, (shop) => {
    why = joinBy(shop, run, angle, newId);
  });
  return why;
}

export function straighten(run: string, bend: string): void {
  edit('remove a bend', (shop) => removeBend(shop, run, bend));
}

export function raiseLevel(from: number, to: number): void {
  edit('height of the ducts', (shop) => raiseDucts(shop, from, to), {
    merge: 'height of the ducts',
  });
}

export function splitRunInHalf(run: string): void {
  edit('split a run', (shop) => {
    splitInHalf(shop, run, newId);
  });
}

export function addMachineHere(kind: MachineKindId): void {
  let id = '';
  edit('add a machine', (shop) => {
    id = addMachine(shop, kind, newId);
  });
  if (id) choosePart(openShopId(), id);
}
