import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { roomsChart, roomsOf, withRooms } from './rooms';

it('docs/architecture.md shows the rooms as npm run docs:rooms draws them', () => {
  const kept = readFileSync(new URL('../docs/architecture.md', import.meta.url), 'utf8');
  expect(withRooms(kept)).toBe(kept);
}, 120_000);

it('imports by alias count: the Air view uses the store', () => {
  expect(roomsOf('web').get('air')).toContain('store');
}, 60_000);

it('leaves out an arrow that a way round says, and shows a room that imports nothing', () => {
  const rooms = new Map([
    ['a', new Set(['b', 'c'])],
    ['b', new Set(['c'])],
    ['c', new Set<string>()],
  ]);
  expect(roomsChart(rooms)).toBe(
    ['```mermaid', 'flowchart TD', '  a --> b', '  b --> c', '  c', '```'].join('\n'),
  );
});
