// Draws the rooms of the code and which imports which, from the real imports.
import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import type { ICruiseResult } from 'dependency-cruiser';

const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** Every module of `side` and what it imports, found as the lint rule finds it. */
function importsOf(side: Side): ICruiseResult['modules'] {
  const asked = ['--config', '.dependency-cruiser.cjs', '--output-type', 'json'];
  const printed = execFileSync('npx', ['depcruise', ...asked, `${side}/src`], {
    cwd: ROOT,
    encoding: 'utf8',
    maxBuffer: 2 ** 26,
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  return JSON.parse(printed).modules;
}

/** The room of a source file: a folder of `core/src`, or of `web/src`, where each view is one. */
const ROOMS = {
  core: /^core\/src\/([^/]+)\//,
  web: /^web\/src\/(?:views\/)?([^/]+)\//,
};
type Side = keyof typeof ROOMS;
const TEST = /\.test\.tsx?$/;

/** From each room to those it imports, tests left out, names in alphabetical order. */
type Rooms = ReadonlyMap<string, ReadonlySet<string>>;

export function roomsOf(side: Side): Rooms {
  const roomOf = (file: string): string | undefined => ROOMS[side].exec(file)?.[1];
  const rooms = new Map<string, Set<string>>();
  for (const { source, dependencies } of importsOf(side)) {
    const from = roomOf(source);
    if (!from || TEST.test(source)) continue;
    const into = rooms.get(from) ?? new Set();
    rooms.set(from, into);
    for (const { resolved } of dependencies) {
      const to = roomOf(resolved);
      if (to && to !== from) into.add(to);
    }
  }
  return new Map(
    [...rooms].toSorted().map(([room, into]) => [room, new Set([...into].toSorted())]),
  );
}

/** Every room that `from` reaches, by one import or several. */
function reached(rooms: Rooms, from: string, seen = new Set<string>()): ReadonlySet<string> {
  for (const to of rooms.get(from) ?? []) {
    if (seen.has(to)) continue;
    seen.add(to);
    reached(rooms, to, seen);
  }
  return seen;
}

/**
 * The rooms as a Mermaid flow chart. An arrow is left out where a way round by other rooms says as much;
 * rooms must not import each other in a circle.
 */
export function roomsChart(rooms: Rooms): string {
  const lines: string[] = [];
  for (const [from, into] of rooms) {
    const isNamed = (to: string): boolean =>
      [...into].some((other) => other !== to && reached(rooms, other).has(to));
    const arrows = [...into].filter((to) => !isNamed(to));
    lines.push(...(arrows.length > 0 ? arrows.map((to) => `  ${from} --> ${to}`) : [`  ${from}`]));
  }
  return ['```mermaid', 'flowchart TD', ...lines, '```'].join('\n');
}

/** `document` with the charts that stand between its markers drawn anew. */
export function withRooms(document: string, rooms: Readonly<Record<Side, Rooms>>): string {
  let drawn = document;
  for (const side of ['core', 'web'] as const) {
    const chart = roomsChart(rooms[side]);
    drawn = drawn.replace(
      new RegExp(`(<!-- rooms of ${side} -->\n)[^]*?(<!-- end -->)`),
      (_, start: string, end: string) => `${start}${chart}\n${end}`,
    );
  }
  return drawn;
}
