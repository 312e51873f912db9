/**
 * What distinguishes two versions of a document, as changes that name things by their id instead of
 * their place in a list. Such changes still hold where another tab has added, removed or moved things
 * meanwhile; patches by index would change the neighbour.
 *
 * A list whose entries are objects with ids of their own is compared entry by entry; so is a list with
 * one entry a run (`run`). Any other list (a curve, an outline) is one value, replaced as a whole.
 */

/** One step of a way into a document: a member by its name, or the entry of a list by its id. */
export type Step = string | { readonly key: IdKey; readonly is: string };
type IdKey = 'id' | 'run';

export type DocumentChange =
  | { readonly op: 'set'; readonly path: readonly Step[]; readonly value: unknown }
  | { readonly op: 'unset'; readonly path: readonly Step[] }
  | {
      readonly op: 'list';
      readonly path: readonly Step[];
      readonly key: IdKey;
      readonly removed: readonly string[];
      readonly added: readonly unknown[];
      /** Ids of the whole list afterwards, in order. */
      readonly order: readonly string[];
    };

type Members = Readonly<Record<string, unknown>>;

const isMembers = (value: unknown): value is Members =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const ID_KEYS: readonly IdKey[] = ['id', 'run'];

/** The id of a list's entry; null where it has none. */
function idOf(entry: unknown, key: IdKey): string | null {
  const id = isMembers(entry) ? entry[key] : undefined;
  return typeof id === 'string' ? id : null;
}

/** What a list's entries are known by, if every one has an id that no other has. */
function keyOf(list: readonly unknown[]): IdKey | null {
  for (const key of ID_KEYS) {
    const ids = new Set(list.map((entry) => idOf(entry, key)));
    if (!ids.has(null) && ids.size === list.length) return key;
  }
  return null;
}

/** The same by value; documents hold numbers, texts, truths, null, lists and objects. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) {
    return a.length === b.length && a.every((entry, i) => isSame(entry, b[i]));
  }
  if (!isMembers(a) || !isMembers(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && isSame(a[key], b[key]))
  );
}

/**
 * Whether `after` is `before` with, at most, members more: what defaults fill in. What was changed of
 * `before` by id can then be undone in `after`.
 * @example isExtended({ a: 1, b: [{ id: 'x' }] }, { a: 1, b: [{ id: 'x', c: 0 }] }) // true
 */
export function isExtended(before: unknown, after: unknown): boolean {
  if (Array.isArray(before) && Array.isArray(after)) {
    return (
      before.length === after.length && before.every((entry, i) => isExtended(entry, after[i]))
    );
  }
  if (!isMembers(before) || !isMembers(after)) return isSame(before, after);
  return Object.keys(before).every(
    (key) => Object.hasOwn(after, key) && isExtended(before[key], after[key]),
  );
}

/**
 * The changes that make `after` of `before`, none where they are the same by value. What both share by
 * identity is not looked into, so that the cost is that of what was touched.
 * @example
 * changesBetween({ machines: [{ id: 'a', name: 'Saw' }] }, { machines: [{ id: 'a', name: 'Planer' }] })
 * // [{ op: 'set', path: ['machines', { key: 'id', is: 'a' }, 'name'], value: 'Planer' }]
 */
export function changesBetween(before: unknown, after: unknown): DocumentChange[] {
  const changes: DocumentChange[] = [];
  collect(before, after, [], changes);
  return changes;
}

function collect(
  before: unknown,
  after: unknown,
  path: readonly Step[],
  changes: DocumentChange[],
): void {
  if (Object.is(before, after)) return;
  if (isMembers(before) && isMembers(after)) {
    for (const name of Object.keys(before)) {
      if (!Object.hasOwn(after, name)) changes.push({ op: 'unset', path: [...path, name] });
    }
    for (const [name, value] of Object.entries(after)) {
      const inside = [...path, name];
      if (Object.hasOwn(before, name)) collect(before[name], value, inside, changes);
      else changes.push({ op: 'set', path: inside, value });
    }
    return;
  }
  if (Array.isArray(before) && Array.isArray(after)) {
    const key = keyOf(before.length > 0 ? before : after);
    if (key && keyOf(after.length > 0 ? after : before) === key) {
      collectEntries(before, after, key, path, changes);
      return;
    }
  }
  if (!isSame(before, after)) changes.push({ op: 'set', path, value: after });
}

function collectEntries(
  before: readonly unknown[],
  after: readonly unknown[],
  key: IdKey,
  path: readonly Step[],
  changes: DocumentChange[],
): void {
  const was = byId(before, key);
  const order = [...byId(after, key).keys()];
  const isReordered =
    before.length !== after.length || order.some((id, i) => idOf(before[i], key) !== id);
  if (isReordered) {
    const stays = new Set(order);
    changes.push({
      op: 'list',
      path,
      key,
      removed: [...was.keys()].filter((id) => !stays.has(id)),
      added: after.filter((entry) => !was.has(idOf(entry, key) ?? '')),
      order,
    });
  }
  for (const [id, entry] of byId(after, key)) {
    if (was.has(id)) collect(was.get(id), entry, [...path, { key, is: id }], changes);
  }
}

function byId(list: readonly unknown[], key: IdKey): Map<string, unknown> {
  return new Map(list.map((entry) => [idOf(entry, key) ?? '', entry]));
}

/**
 * A document with changes made to it, sharing all they do not touch; null where one of them is about
 * something that is no longer there, and then none is made.
 */
export function withChanges<T>(document: T, changes: readonly DocumentChange[]): T | null {
  let made: unknown = document;
  for (const change of changes) {
    const next = changed(made, change, 0);
    if (next === GONE) return null;
    made = next;
  }
  return made as T;
}

/** What a change is about is not there. */
const GONE = Symbol('gone');

function changed(at: unknown, change: DocumentChange, depth: number): unknown {
  const { path } = change;
  const step = path[depth];
  if (step === undefined) {
    if (change.op === 'set') return change.value;
    return change.op === 'list' && Array.isArray(at) ? withEntries(at, change) : GONE;
  }
  if (typeof step === 'object') {
    if (!Array.isArray(at)) return GONE;
    const place = at.findIndex((entry) => idOf(entry, step.key) === step.is);
    if (place < 0) return GONE;
    const entry = changed(at[place], change, depth + 1);
    return entry === GONE ? GONE : at.with(place, entry);
  }
  if (!isMembers(at)) return GONE;
  const isLast = depth === path.length - 1;
  if (isLast && change.op === 'unset') {
    const { [step]: _, ...rest } = at;
    return rest;
  }
  if (!isLast && !Object.hasOwn(at, step)) return GONE;
  const member = changed(at[step], change, depth + 1);
  return member === GONE ? GONE : { ...at, [step]: member };
}

type ListChange = Extract<DocumentChange, { op: 'list' }>;

/** Entries this change does not know of stay behind the entry they stood behind. */
function withEntries(list: readonly unknown[], { key, removed, added, order }: ListChange) {
  const gone = new Set(removed);
  const stays = list.filter((entry) => !gone.has(idOf(entry, key) ?? ''));
  const entries = byId(stays, key);
  for (const entry of added) {
    const id = idOf(entry, key) ?? '';
    if (!entries.has(id)) entries.set(id, entry);
  }
  const known = order.filter((id) => entries.has(id));
  const isKnown = new Set(known);
  const result = known.map((id) => entries.get(id));
  let behind = 0;
  for (const entry of stays) {
    const id = idOf(entry, key) ?? '';
    if (isKnown.has(id)) behind = result.indexOf(entry) + 1;
    else result.splice(behind++, 0, entry);
  }
  return result;
}
