import type { Run, Shop } from '@frank-gauge/core/design';
import { type Spot, turnedBy } from '@frank-gauge/core/room';
import {
  beginMove,
  copyMachines,
  type Move,
  moveBy,
  removeBranch,
  removeMachine,
} from '@frank-gauge/core/routing';
import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { choosePart } from '@/storage/choices';
import { edit, shopSession } from '@/storage/session';
import { undoAction } from '../frame/undo-aloud';
import { COLLECTOR } from './collector-id';
import { letGo, selectedOf, selectTogether } from './selection';

/** A move that goes on as long as nothing else is edited. */
interface GoingOn {
  readonly ids: string;
  readonly move: Move;
  readonly by: Spot;
  /** The shop as it left it. */
  readonly after: Shop;
}

let last: GoingOn | null = null;

const openShop = (): Shop | null => {
  const session = shopSession.state.getState();
  return session.status === 'open' ? session.shop : null;
};

/** 'Planer', 'the collector' or '3 things'. */
function namesOf({ machines }: Shop, ids: readonly string[]): string {
  const [only] = ids;
  if (ids.length > 1) return `${ids.length} things`;
  if (only === COLLECTOR) return 'the collector';
  return machines.find(({ id }) => id === only)?.name ?? 'a duct';
}

/**
 * Moves things so much farther, their ducts with them; `isAlone` leaves the ducts where they are.
 * Quick moves of the same things are one step to undo.
 */
export function moveThings(ids: readonly string[], step: Spot, isAlone = false): void {
  const shop = openShop();
  if (!shop) return;
  const key = ids.toSorted().join(' ');
  const goesOn = last?.ids === key && last.after === shop ? last : null;
  const move = goesOn?.move ?? beginMove(shop, selectedOf(shop, ids));
  const by = { x: (goesOn?.by.x ?? 0) + step.x, y: (goesOn?.by.y ?? 0) + step.y };
  edit(`move ${namesOf(shop, ids)}`, (draft) => moveBy(draft, move, by, isAlone), {
    merge: `move ${key}`,
  });
  const after = openShop();
  last = after && { ids: key, move, by, after };
}

/** Puts what stands at a place. */
export function moveTo(id: string, at: Spot): void {
  const shop = openShop();
  const place =
    id === COLLECTOR
      ? shop?.collector.place
      : shop?.machines.find((machine) => machine.id === id)?.place;
  if (place) moveThings([id], { x: at.x - place.x, y: at.y - place.y });
}

/** Turns each of them where it stands by so much, counter-clockwise. */
export function turnThings(ids: readonly string[], by: number): void {
  edit(
    'turn',
    (shop) => {
      const { machines, isCollector } = selectedOf(shop, ids);
      for (const own of shop.machines) {
        if (machines.has(own.id)) own.turn = turnedBy(own.turn, by);
      }
      if (isCollector) shop.collector.turn = turnedBy(shop.collector.turn, by);
    },
    { merge: `turn ${ids.toSorted().join(' ')}` },
  );
}

/** Copies the machines among them, each with its duct, and takes the copies instead. */
export function copyThings(ids: readonly string[]): void {
  let made: readonly string[] = [];
  edit('copy', (shop) => {
    const { machines } = selectedOf(shop, ids);
    made = copyMachines(shop, [...machines], () => nanoid(10));
  });
  if (made.length === 0) return;
  selectTogether(made.length > 1 ? made : []);
  choosePart(openShop()?.id ?? '', made.length > 1 ? '' : (made[0] ?? ''));
}

/** Takes machines and ducts out, ducts with all that leads into them. The collector stays. */
export function removeThings(ids: readonly string[]): void {
  const shop = openShop();
  if (!shop) return;
  const { machines, runs } = selectedOf(shop, ids);
  const names = [...shop.machines, ...shop.ducts.runs]
    .filter(({ id }) => machines.has(id) || runs.has(id))
    .map(({ name }) => name);
  if (names.length === 0) return;
  const what = names.length > 1 ? `${names.length} things` : (names[0] ?? '');
  edit(`remove ${what}`, (draft) => {
    for (const id of machines) removeMachine(draft, id);
    for (const id of runs) {
      if (draft.ducts.runs.some((run) => run.id === id)) removeBranch(draft, id);
    }
  });
  letGo();
  choosePart(shop.id, '');
  toast(`Removed ${what}`, { action: undoAction() });
}

/** Edits the same of several runs; quick edits of it are one step to undo. */
export function editRuns(
  ids: ReadonlySet<string>,
  field: string,
  change: (run: Run) => void,
): void {
  edit(
    `${field} of ${ids.size} ducts`,
    (shop) => {
      for (const run of shop.ducts.runs) if (ids.has(run.id)) change(run);
    },
    { merge: `${[...ids].join(' ')} ${field}` },
  );
}
