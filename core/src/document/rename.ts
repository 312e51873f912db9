import type { DocumentChange, Step } from './changes';
import { isJson } from './json-walk';

/** A member that takes another name, wherever the way to it leads; `*` on the way: every entry of a list. */
export interface Rename {
  readonly path: readonly string[];
  readonly from: string;
  readonly to: string;
}

/** The renames that concern what lies one step further in, their ways shorter by it. */
const inside = (renames: readonly Rename[], step: string): Rename[] =>
  renames.flatMap((rename) => {
    const [first, ...path] = rename.path;
    return first === step ? [{ ...rename, path }] : [];
  });

/** What a member is called after the renames that end here. */
const nameAfter = (renames: readonly Rename[], name: string): string =>
  renames.find(({ path, from }) => path.length === 0 && from === name)?.to ?? name;

/**
 * A value with its members renamed; all else as it is, whatever its shape.
 * @example withRenames({ a: { x: 1 } }, [{ path: ['a'], from: 'x', to: 'y' }]) // { a: { y: 1 } }
 */
export function withRenames<T>(value: T, renames: readonly Rename[]): T;
export function withRenames(value: unknown, renames: readonly Rename[]): unknown {
  if (renames.length === 0) return value;
  if (Array.isArray(value)) {
    const ofEntries = inside(renames, '*');
    return value.map((entry) => withRenames(entry, ofEntries));
  }
  if (!isJson(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, member]) => [
      nameAfter(renames, name),
      withRenames(member, inside(renames, name)),
    ]),
  );
}

/** A remembered change that speaks of the members by their new names, so that it can still be undone. */
export function changeWithRenames(
  change: DocumentChange,
  renames: readonly Rename[],
): DocumentChange {
  let left = renames;
  const path = change.path.map((step: Step) => {
    const named = typeof step === 'string' ? nameAfter(left, step) : step;
    left = inside(left, typeof step === 'string' ? step : '*');
    return named;
  });
  if (change.op === 'set') return { ...change, path, value: withRenames(change.value, left) };
  if (change.op === 'list') return { ...change, path, added: withRenames(change.added, left) };
  return { ...change, path };
}
