import papaparse from 'papaparse';
import { describe, expect, it } from 'vitest';
import { writeTable } from './write-table';

describe('a table for a spreadsheet', () => {
  it('reads back line by line, commas, quotes and line ends in it kept', () => {
    const lines = [
      ['Main, at the "cyclone"', '3', ''],
      ['two\nlines', '10′ 6″', 'P1'],
    ];
    const text = writeTable(['what', 'how many', 'piece'], lines);
    const { data } = papaparse.parse<string[]>(text.trimEnd());
    expect(data).toEqual([['what', 'how many', 'piece'], ...lines]);
  });

  it('runs nothing when a spreadsheet opens it', () => {
    expect(writeTable(['name'], [['=HYPERLINK("x")']])).not.toMatch(/(^|\n)"?=/);
  });
});
