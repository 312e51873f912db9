import type { Change } from './history';

/** An edit on its way to storage when its page was left. */
export interface KeptWrite {
  /** Its own, so that it is stored once, whether or not it still came through. */
  readonly id: string;
  readonly shop: string;
  readonly change: Change;
}

const KEY = 'frank-gauge: edits on their way';

/** Where a page that is left can still put something, at once. */
export type Shelf = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** Whether this is what `keepWrites` put there: anything else of the same address may have written over it. */
function isKept(write: Partial<KeptWrite> | null): write is KeptWrite {
  const { design, journal } = write?.change ?? {};
  const lists = [design, journal?.added, journal?.updated, journal?.removed];
  return (
    typeof write?.id === 'string' && typeof write.shop === 'string' && lists.every(Array.isArray)
  );
}

function kept(shelf: Shelf): readonly KeptWrite[] {
  try {
    const list: unknown = JSON.parse(shelf.getItem(KEY) ?? '[]');
    return Array.isArray(list) ? list.filter(isKept) : [];
  } catch {
    return [];
  }
}

function put(shelf: Shelf, list: readonly KeptWrite[]): void {
  try {
    if (list.length === 0) shelf.removeItem(KEY);
    else shelf.setItem(KEY, JSON.stringify(list));
  } catch {
    // No room, or no such place: then what was on its way is lost, as it would be without this.
  }
}

/**
 * Keeps edits of a page that is left: its writes to the browser's database may not come through any more,
 * since a page that is gone takes no further step.
 */
export function keepWrites(shelf: Shelf, writes: readonly KeptWrite[]): void {
  if (writes.length === 0) return;
  const ids = new Set(writes.map(({ id }) => id));
  put(shelf, [...kept(shelf).filter(({ id }) => !ids.has(id)), ...writes]);
}

/** Takes back what was kept of a shop, in the order it was edited. */
export function takeWrites(shelf: Shelf, shop: string): readonly KeptWrite[] {
  const all = kept(shelf);
  const own = all.filter((write) => write.shop === shop);
  if (own.length > 0)
    put(
      shelf,
      all.filter((write) => write.shop !== shop),
    );
  return own;
}
