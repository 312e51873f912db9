import { readFileSync } from 'node:fs';
import { VERSION } from '@frank-gauge/core/design';
import { readJournalLines } from '@frank-gauge/core/journal';
import { expect, it } from 'vitest';

const page = readFileSync(new URL('../docs/file-format.md', import.meta.url), 'utf8');

it('the journal on docs/file-format.md is one the program reads', () => {
  const [, lines = ''] = /```\n(\{"format":"frank-gauge-journal"[\s\S]*?)```/.exec(page) ?? [];
  const read = readJournalLines(lines, VERSION);
  if (read.kind !== 'whole') throw new Error(JSON.stringify(read));
  const { instruments, testPoints, readings } = read.journal;
  expect([instruments, testPoints, readings].map(({ length }) => length)).toEqual([1, 1, 1]);
});

it('its example of a whole file is of the present version, with the parts a file has', () => {
  const [, example = ''] = /```json\n([\s\S]*?)```/.exec(page) ?? [];
  expect(example).toContain(`"version": ${VERSION},`);
  const demo = JSON.parse(
    readFileSync(new URL('../demo/heron-slip.json', import.meta.url), 'utf8'),
  );
  for (const part of Object.keys(demo)) expect(example).toContain(`"${part}": `);
});
