import { readFileSync } from 'node:fs';
import { beforeAll, expect, it } from 'vitest';
import { roomsChart, roomsOf, withRooms } from './rooms';

let rooms: Parameters<typeof withRooms>[1];
beforeAll(() => {
  rooms = { core: roomsOf('core'), web: roomsOf('web') };
}, 120_000);

it('docs/architecture.md shows the rooms as npm run docs:rooms draws them', () => {
  const kept = readFileSync(new URL('../docs/architecture.md', import.meta.url), 'utf8');
  expect(withRooms(kept, rooms)).toBe(kept);
});

it('imports by alias count: the Air view uses the storage', () => {
  expect(rooms.web.get('air')).toContain('storage');
});

it('leaves out an arrow that a way round says, and shows a room that imports nothing', () => {
  const three = new Map([
    ['a', new Set(['b', 'c'])],
    ['b', new Set(['c'])],
    ['c', new Set<string>()],
  ]);
  expect(roomsChart(three)).toBe(
    ['```mermaid', 'flowchart TD', '  a --> b', '  b --> c', '  c', '```'].join('\n'),
  );
});
