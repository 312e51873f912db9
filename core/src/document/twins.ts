import { dotted, type Fault } from './fault';

/**
 * The first entry of a list whose id another of that list has already, wherever in a document; null: there is
 * none. Edits name things by their ids, so that two of one id would be changed, moved and taken out together.
 */
export function twinsIn(value: unknown, path: readonly PropertyKey[] = []): Fault | null {
  if (typeof value !== 'object' || value === null) return null;
  if (Array.isArray(value)) {
    const ids = new Set<string>();
    for (const [i, entry] of value.entries()) {
      const id: unknown = typeof entry === 'object' && entry !== null ? entry.id : undefined;
      if (typeof id !== 'string') continue;
      if (ids.has(id)) {
        return { path: dotted([...path, i, 'id']), message: `another has the id '${id}' already` };
      }
      ids.add(id);
    }
  }
  for (const [key, inner] of Object.entries(value)) {
    const found = twinsIn(inner, [...path, key]);
    if (found) return found;
  }
  return null;
}
