import type { Chance } from './chance';

type Path = readonly (string | number)[];

/** Everything in a JSON value that can be broken, by where it stands. */
export function placesIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  const inner = Object.entries(value).flatMap(([key, member]) =>
    placesIn(member, [...path, Array.isArray(value) ? Number(key) : key]),
  );
  return path.length === 0 ? inner : [path, ...inner];
}

const NUMBERS = [
  ...[0, -0, -1, 1e-300, 1e-9, 0.5, 1, 3, 50, 999, 1e10, 1e300, 1e308, Number.MAX_SAFE_INTEGER],
  ...[0.01, 0.05, 0.1, 0.15, 2, 10, 20, 100, 200, 500, 1000, -1000, 5000, 50_000],
] as const;
const TEXTS = [
  ...[
    '',
    ' ',
    'x',
    'inlet',
    'constructor',
    '__proto__',
    'toString',
    'x'.repeat(64),
    'x'.repeat(200),
  ],
  ...['x'.repeat(5000), 'a\nb', 'a\u0000b', '=1+1', '\u202e', '\ud800', '2026-13-45T99:99:99Z'],
] as const;

/** Breaks a copy of a JSON value in so many places. */
export function broken(
  value: unknown,
  places: readonly Path[],
  times: number,
  chance: Chance,
): unknown {
  const copy = structuredClone(value);
  for (let i = 0; i < times; i++) breakAt(copy, places[chance.below(places.length)] ?? [], chance);
  return copy;
}

function breakAt(root: unknown, path: Path, chance: Chance): void {
  const key = path.at(-1);
  let parent: unknown = root;
  for (const step of path.slice(0, -1))
    parent = (parent as Record<string | number, unknown>)?.[step];
  if (typeof parent !== 'object' || parent === null || key === undefined) return;
  const holder = parent as Record<string | number, unknown>;
  const value = holder[key];
  const list = Array.isArray(parent) ? (parent as unknown[]) : null;
  switch (chance.below(12)) {
    case 0:
      if (list) list.splice(Number(key), 1);
      else delete holder[key];
      return;
    case 1:
      if (list) list.splice(Number(key), 0, structuredClone(value));
      else holder[`${key}2`] = value;
      return;
    case 2:
      holder[key] = chance.one([null, true, [], {}, 'text', 7]);
      return;
    case 3:
      if (list)
        list.push(
          ...Array.from({ length: chance.one([1, 20, 300]) }, () => structuredClone(value)),
        );
      return;
    case 4:
      if (list) list.reverse();
      return;
    case 5: {
      // Another's value in this one's place: an id, a kind, a name.
      const [other] = Object.keys(holder).filter((each) => each !== String(key));
      if (other !== undefined) holder[key] = holder[other];
      return;
    }
    default:
      if (typeof value === 'number') {
        holder[key] =
          chance.next() < 0.5 ? chance.one(NUMBERS) : value * 10 ** (chance.next() * 4 - 2);
      } else if (typeof value === 'string') holder[key] = chance.one(TEXTS);
      else if (typeof value === 'boolean') holder[key] = !value;
      else holder[key] = chance.one([null, chance.one(NUMBERS), chance.one(TEXTS)]);
  }
}
